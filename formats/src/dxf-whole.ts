/**
 * A drawing made whole before the parser sees it: of each entity that is taken the groups it is made of, in
 * the order the parser wants them, and nothing else. The parser trusts its input, and reads on for ever
 * where something foreign stands between two vertices, where a polyline does not end, or a table.
 *
 * Every loop here goes forward through the file's groups once.
 */

/** A drawing the parser may be given. */
export interface WholeDrawing {
  readonly text: string;
  /** Entities left out of it: kinds that are not taken, or without what they are made of. */
  readonly others: number;
}
type Group = readonly [code: number, value: string];

const FINITE = (value: string | undefined): value is string =>
  value !== undefined && value !== '' && Number.isFinite(Number(value));

/** Corners: each begins with its x, and has a y; a bulge where there is one. Null when one is not whole. */
function corners(groups: readonly Group[]): Group[][] | null {
  const out: { x: string; y?: string; bulge?: string }[] = [];
  for (const [code, value] of groups) {
    const last = out.at(-1);
    if (code === 10) out.push({ x: value });
    else if (last && code === 20) last.y = value;
    else if (last && code === 42) last.bulge = value;
  }
  if (out.some(({ x, y }) => !FINITE(x) || !FINITE(y))) return null;
  return out.map(({ x, y, bulge }) => [[10, x], [20, y!], ...(FINITE(bulge) ? [[42, bulge] as const] : [])]);
}

const first = (groups: readonly Group[], code: number): string | undefined =>
  groups.find((group) => group[0] === code)?.[1];

/** What an entity of a kind is made of, besides its layer; null where that is not there. */
const MADE_OF: Record<string, (groups: readonly Group[]) => readonly Group[] | null> = {
  LINE: (groups) => numbers(groups, [10, 20, 11, 21]),
  CIRCLE: (groups) => numbers(groups, [10, 20, 40]),
  ARC: (groups) => numbers(groups, [10, 20, 40, 50, 51]),
  // Only that there is one is asked.
  INSERT: () => [],
  LWPOLYLINE(groups) {
    const made = corners(groups);
    if (!made || made.length === 0) return null;
    return [[90, String(made.length)], [70, flags(groups)], ...made.flat()];
  },
};

function numbers(groups: readonly Group[], codes: readonly number[]): Group[] | null {
  const made = codes.map((code) => [code, first(groups, code) ?? ''] as const);
  return made.every(([, value]) => FINITE(value)) ? made : null;
}

const flags = (groups: readonly Group[]): string => {
  const said = first(groups, 70);
  return FINITE(said) ? String(Math.trunc(Number(said)) & 1) : '0';
};

interface Entity {
  readonly kind: string;
  readonly groups: Group[];
}

/** Groups of a file, two lines each; null when they do not come in pairs or a code is none. */
function groupsOf(text: string): Group[] | null {
  const lines = text.split(/\r\n|\r|\n/);
  while (lines.length > 0 && lines[lines.length - 1]!.trim() === '') lines.pop();
  if (lines.length % 2 !== 0) return null;
  const out: Group[] = [];
  for (let i = 0; i < lines.length; i += 2) {
    const code = lines[i]!.trim();
    if (!/^-?\d{1,5}$/.test(code)) return null;
    out.push([Number(code), lines[i + 1]!.trim()]);
  }
  return out;
}

/** The entities of a file and the unit its head says; null when its sections are not whole. */
function read(groups: readonly Group[]): { entities: Entity[]; unit: string | null } | null {
  const entities: Entity[] = [];
  let unit: string | null = null;
  let section: string | null = null;
  let name = '';
  for (let i = 0; i < groups.length; i++) {
    const [code, value] = groups[i]!;
    if (code === 0 && value === 'EOF') break;
    if (code === 0 && value === 'SECTION') {
      const next = groups[i + 1];
      if (section !== null || next?.[0] !== 2) return null;
      section = next[1];
      i++;
    } else if (code === 0 && value === 'ENDSEC') section = null;
    else if (section === 'HEADER') {
      if (code === 9) name = value;
      else if (code === 70 && name === '$INSUNITS') unit = value;
    } else if (section === 'ENTITIES') {
      if (code === 0) entities.push({ kind: value, groups: [] });
      else entities.at(-1)?.groups.push(groups[i]!);
    }
  }
  return section === null ? { entities, unit } : null;
}

/** An old polyline from its head to its end; null when it does not end, or a corner is not whole. */
function polyline(entities: readonly Entity[], at: number): { groups: Group[]; next: number } | null {
  const own: Group[] = [];
  for (let i = at + 1; i < entities.length; i++) {
    const { kind, groups } = entities[i]!;
    if (kind === 'SEQEND') {
      const made = corners(own);
      return (
        made && {
          groups: [
            [70, flags(entities[at]!.groups)],
            ...made.flatMap((corner): Group[] => [[0, 'VERTEX'], ...corner]),
            [0, 'SEQEND'],
          ],
          next: i,
        }
      );
    }
    if (kind !== 'VERTEX') return null;
    own.push(...groups);
  }
  return null;
}

/** @returns null for a file that is no whole drawing */
export function wholeDrawing(text: string): WholeDrawing | null {
  const groups = groupsOf(text);
  const found = groups && read(groups);
  if (!found) return null;
  const { entities, unit } = found;
  const out: Group[] = [];
  let others = 0;
  for (let i = 0; i < entities.length; i++) {
    const { kind, groups: own } = entities[i]!;
    const layer: Group = [8, first(own, 8) ?? '0'];
    if (kind === 'POLYLINE') {
      const made = polyline(entities, i);
      if (!made) return null;
      out.push([0, kind], layer, ...made.groups);
      i = made.next;
      continue;
    }
    const made = Object.hasOwn(MADE_OF, kind) ? MADE_OF[kind]!(own) : null;
    if (made) out.push([0, kind], layer, ...made);
    else others++;
  }
  const section = (of: string, inside: readonly Group[]): Group[] => [
    [0, 'SECTION'],
    [2, of],
    ...inside,
    [0, 'ENDSEC'],
  ];
  const whole = [
    ...section(
      'HEADER',
      unit === null
        ? []
        : [
            [9, '$INSUNITS'],
            [70, unit],
          ],
    ),
    ...section('ENTITIES', out),
    [0, 'EOF'] as const,
  ];
  return { text: `${whole.map(([code, value]) => `${code}\n${value}`).join('\n')}\n`, others };
}
