/** Turns the core's codes and numbers into words, for screens and paper alike. */
import {
  type BedLayer,
  type Caution,
  ELEMENT_KINDS,
  type Element,
  type ElementTakeoff,
  FIELDS,
  FLAT,
  isAssumed,
  isField,
  type Plan,
  type Problem,
  patternOf,
  type SoilEntry,
} from '@cimiento/core';
import { coded, type Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';
import { ranges } from './ranges.ts';

/** A field by its own name; without one by its key. */
function placeText(t: Say, path: string): string {
  const pattern = patternOf(path);
  return isField(pattern) ? t(FIELDS[pattern].label) : (path.split('/').at(-1) ?? '');
}

/** @param place where it is, in words; a file's is told by all that holds it, see `fileProblems.ts` */
export function problemText(t: Say, format: Format, problem: Problem, place = placeText): string {
  const show = (value: number | string | undefined) =>
    typeof value === 'number' && problem.kind ? format.text(value, problem.kind) : String(value ?? '');
  const values = {
    ...problem.params,
    value: show(problem.value),
    min: show(problem.min),
    max: show(problem.max),
    path: place(t, problem.path),
  };
  return t(`problem.${problem.code}`, values);
}

/** A soil by its own name or its kind; said to be assumed while nobody has looked. */
export function soilName(t: Say, plan: Plan, soil: SoilEntry): string {
  const name = soil.name || t(`soil.${soil.kind}`);
  return isAssumed(plan, '/ground/logs/0') ? t('ground.assumedSoil', { name }) : name;
}

/** Bottom width of a trench; both sizes of a pad. */
export const bottomText = (info: ElementTakeoff, format: Format): string =>
  info.bottomLength === null
    ? format.text(info.width.dug, 'size')
    : `${format.parts(info.width.dug, 'size').number} × ${format.text(info.bottomLength, 'size')}`;

/** How a drain falls; flatter than anybody can dig it is flat. */
export const fallText = (t: Say, format: Format, fall: number): string =>
  Math.abs(fall) < FLAT
    ? t('drain.flat')
    : t('drain.falls', { fall: format.text(Math.abs(fall), 'gradient') });

/** A depth from a string, to the millimetre or the quarter inch: what is dug by. */
export const depthText = (format: Format, depth: number): string =>
  format.text(depth, 'length', format.system === 'metric' ? { decimals: 3 } : {});

/** How the sides stand: as they are held, never a slope they do not have. */
export function sidesText(info: ElementTakeoff, t: Say, format: Format): string {
  if (info.bays) return t('sides.bays');
  if (info.support !== 'slope') return t(`sides.${info.support}`);
  return info.slope > 0 ? format.text(info.slope, 'slope') : t('sides.vertical');
}

/** What there is to dig, kind by kind. */
export function countText(t: Say, elements: readonly Element[]): string {
  const parts = ELEMENT_KINDS.flatMap((kind) => {
    const count = elements.filter((e) => e.kind === kind).length;
    return count > 0 ? [t(`kinds.count.${kind}`, { count })] : [];
  });
  return parts.length > 0 ? parts.join(', ') : t('plan.none');
}

/** Names of the elements a caution concerns, in the plan's order; none when it is all of them or the job's. */
function namesOf(plan: Plan, { elements }: Caution): readonly string[] {
  if (elements.length === 0 || elements.length === plan.elements.length) return [];
  return plan.elements.filter(({ id }) => elements.includes(id)).map(({ name }) => name);
}

/** Which things a caution concerns; empty when it is all of them. */
export const concerns = (plan: Plan, caution: Caution): string => ranges(namesOf(plan, caution));

/** More names, or ranges of them, are told by their number. */
const MOST_NAMED = 2;

/** The same in few words: of many things how many. */
export function concernsBriefly(t: Say, plan: Plan, caution: Caution): string {
  const names = namesOf(plan, caution);
  const said = ranges(names);
  return said.split(', ').length <= MOST_NAMED ? said : t('caution.of', { count: names.length });
}
/** One of a job's cautions: several may have one code. */
export const cautionKey = ({ code, names, elements }: Caution): string =>
  [code, ...Object.values(names ?? {}), ...elements].join('\n');

/** The numbers, names and codes of a caution, as they are said. */
function cautionValues(t: Say, format: Format, caution: Caution): Record<string, string> {
  const values: Record<string, string> = { ...caution.names };
  for (const [name, [value, kind]] of Object.entries(caution.values ?? {}))
    values[name] = format.text(value, kind);
  for (const [name, code] of Object.entries(caution.codes ?? {}))
    values[name] = t(coded(`caution.${name}.${code}`));
  return values;
}

/** What it is, in a line. */
export const cautionTitle = (t: Say, format: Format, caution: Caution): string =>
  t(coded(`caution.${caution.code}.title`), cautionValues(t, format, caution));

/** What it says once it is opened: words that come later than its title, but for who decides. */
export const cautionSays = (t: Say, format: Format, caution: Caution): string =>
  t(
    coded(caution.code === 'defer' ? 'caution.defer.text' : `cautionSays.${caution.code}`),
    cautionValues(t, format, caution),
  );

export const cautionText = (t: Say, format: Format, caution: Caution): { title: string; text: string } => ({
  title: cautionTitle(t, format, caution),
  text: cautionSays(t, format, caution),
});

/** What lifts a hold, in one line: the act, not the fault. */
export const actText = (t: Say, format: Format, plan: Plan, hold: Caution): string =>
  t(coded(`act.${hold.code}`), {
    ...cautionValues(t, format, hold),
    what: concernsBriefly(t, plan, hold) || t('caution.all'),
  });

/** A layer of a bed as it is ordered, or its material. */
export const layerName = (t: Say, { name, material }: Pick<BedLayer, 'name' | 'material'>): string =>
  name || t(`bedMaterial.${material}`);

/** More bays than this are told by the first two and the last. */
const MOST_BAYS = 14;

/** Bays of a pass by number. */
export const bayList = (pass: readonly number[]): string =>
  pass.length <= MOST_BAYS ? pass.join(', ') : `${pass.slice(0, 2).join(', ')} … ${pass.at(-1)}`;
