/**
 * Where the names of a drawing stand. No name covers another, a mark, or the line that leads to one;
 * what finds no room is left out and comes with zooming in or picking. Lengths in px of the drawing.
 */

/** A rectangle on the drawing: its middle and its size. */
export interface Patch {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A place a name may take, by its middle. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  /** What it names, when the name stands off it: a line leads there. */
  readonly to?: readonly [number, number];
}

export interface Wish {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  /** Best first. */
  readonly spots: readonly Spot[];
  /** Who comes first: a smaller one takes the better place. */
  readonly rank: number;
  /** What it names as drawn: every other name keeps off it. */
  readonly marks?: readonly Patch[];
}

/** Between two names, px. */
const AIR = 2;
/** Side of a cell of the search, px. */
const CELL = 48;
/** A line is as wide as this to a name that would cover it, and is looked at this often. */
const LINE = 3;
const ALONG_LINE = 5;

const apart = (p: Patch, q: Patch): boolean =>
  Math.abs(p.x - q.x) * 2 >= p.width + q.width + 2 * AIR ||
  Math.abs(p.y - q.y) * 2 >= p.height + q.height + 2 * AIR;

/** Patches by the cells they touch, each with whose it is. */
function makeTaken() {
  const cells = new Map<string, { of: string; patch: Patch }[]>();
  const over = (patch: Patch): string[] => {
    const keys: string[] = [];
    const [w, h] = [patch.width / 2 + AIR, patch.height / 2 + AIR];
    for (let i = Math.floor((patch.x - w) / CELL); i <= Math.floor((patch.x + w) / CELL); i++)
      for (let j = Math.floor((patch.y - h) / CELL); j <= Math.floor((patch.y + h) / CELL); j++)
        keys.push(`${i},${j}`);
    return keys;
  };
  return {
    put(of: string, patch: Patch) {
      for (const key of over(patch)) cells.set(key, [...(cells.get(key) ?? []), { of, patch }]);
    },
    /** Nothing there but what is one's own. */
    free: (patch: Patch, own: string): boolean =>
      over(patch).every((key) =>
        (cells.get(key) ?? []).every((other) => other.of === own || apart(other.patch, patch)),
      ),
  };
}

/** A line from a name's edge to what it names, as small patches. */
function lineOf(tag: Patch, [x, y]: readonly [number, number]): Patch[] {
  const [dx, dy] = [x - tag.x, y - tag.y];
  const far = Math.hypot(dx, dy);
  const out = edge(tag, [x, y]);
  const start = Math.hypot(out[0] - tag.x, out[1] - tag.y);
  const patches: Patch[] = [];
  for (let s = start + LINE; s < far; s += ALONG_LINE)
    patches.push({ x: tag.x + (dx * s) / far, y: tag.y + (dy * s) / far, width: LINE, height: LINE });
  return patches;
}

/** Where a line from the middle of a patch to a point leaves it. */
export function edge(tag: Patch, [x, y]: readonly [number, number]): readonly [number, number] {
  const [dx, dy] = [x - tag.x, y - tag.y];
  const k = Math.min(tag.width / 2 / Math.abs(dx || 1e-9), tag.height / 2 / Math.abs(dy || 1e-9), 1);
  return [tag.x + dx * k, tag.y + dy * k];
}

/**
 * @param first id that is named whatever it covers, if there is a spot in the window at all
 * @param fixed what is drawn there already
 * @returns where each name stands, by id; a name without room is not in it
 */
export function placeNames(
  wishes: readonly Wish[],
  fixed: readonly Patch[],
  window: { readonly width: number; readonly height: number },
  first: string | null = null,
): ReadonlyMap<string, Spot> {
  const marks = makeTaken();
  const names = makeTaken();
  for (const patch of fixed) marks.put('', patch);
  for (const wish of wishes) for (const patch of wish.marks ?? []) marks.put(wish.id, patch);
  const stands = new Map<string, Spot>();
  const rank = (wish: Wish) => (wish.id === first ? -Infinity : wish.rank);
  const order = [...wishes].sort((p, q) => rank(p) - rank(q) || (p.id < q.id ? -1 : 1));
  for (const { id, width, height, spots } of order) {
    const inside = spots.filter(
      ({ x, y }) =>
        x - width / 2 >= 0 &&
        y - height / 2 >= 0 &&
        x + width / 2 <= window.width &&
        y + height / 2 <= window.height,
    );
    const fits = (spot: Spot): boolean => {
      const tag = { ...spot, width, height };
      return (
        marks.free(tag, id) &&
        names.free(tag, id) &&
        (!spot.to || lineOf(tag, spot.to).every((patch) => names.free(patch, id)))
      );
    };
    const at = inside.find(fits) ?? (id === first ? inside[0] : undefined);
    if (!at) continue;
    stands.set(id, at);
    const tag = { ...at, width, height };
    names.put(id, tag);
    if (at.to) for (const patch of lineOf(tag, at.to)) names.put(id, patch);
  }
  return stands;
}

/** Steps away from a mark a name may be led to, px, and how many ways round. */
const RINGS = [16, 30, 48, 70];
const WAYS = 12;

/** Spots beside a mark: right, left, over, under and at its corners. */
export function beside(mark: Patch, width: number, height: number, gap = 3): Spot[] {
  const { x, y } = mark;
  const dx = (mark.width + width) / 2 + gap;
  const dy = (mark.height + height) / 2 + gap;
  return [
    { x: x + dx, y },
    { x: x - dx, y },
    { x, y: y - dy },
    { x, y: y + dy },
    { x: x + dx, y: y - dy },
    { x: x - dx, y: y - dy },
    { x: x + dx, y: y + dy },
    { x: x - dx, y: y + dy },
  ];
}

/** Spots further off, a line leading back to the mark. */
export function ledTo(mark: Patch, width: number, height: number): Spot[] {
  return RINGS.flatMap((ring) =>
    Array.from({ length: WAYS }, (_, i) => {
      const angle = (2 * Math.PI * (i + 0.5)) / WAYS;
      return {
        x: mark.x + Math.cos(angle) * ((mark.width + width) / 2 + ring),
        y: mark.y + Math.sin(angle) * ((mark.height + height) / 2 + ring),
        to: [mark.x, mark.y] as const,
      };
    }),
  );
}

/** Spots about a mark: beside it, then led to it. */
export const about = (
  mark: Patch,
  { width, height }: { readonly width: number; readonly height: number },
  gap?: number,
): Spot[] => [...beside(mark, width, height, gap), ...ledTo(mark, width, height)];

/** Shares of a line at which its name may stand, best first. */
const SHARES = [1 / 2, 1 / 3, 2 / 3, 1 / 5, 4 / 5, 1 / 10, 9 / 10, 5 / 12, 7 / 12];

/**
 * Spots along a line of points, the longest piece first: on it, or clear of it to either hand.
 * @param clear size of the name that keeps off the line; absent: it stands on it
 */
export function along(
  points: readonly (readonly [number, number])[],
  clear: { readonly width: number; readonly height: number } | null = null,
  gap = 4,
): Spot[] {
  const pieces = points
    .slice(1)
    .map((to, i) => {
      const from = points[i]!;
      return { from, to, length: Math.hypot(to[0] - from[0], to[1] - from[1]) };
    })
    .filter(({ length }) => length > 0)
    .sort((p, q) => q.length - p.length);
  return pieces.flatMap(({ from, to, length }) => {
    const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
    const off = clear ? (Math.abs(uy) * clear.width + Math.abs(ux) * clear.height) / 2 + gap : 0;
    return SHARES.flatMap((share) =>
      (off === 0 ? [0] : [off, -off]).map((by) => ({
        x: from[0] + ux * length * share + uy * by,
        y: from[1] + uy * length * share - ux * by,
      })),
    );
  });
}

/** A text that stands at an angle, as patches that cover it. */
export function slanted(x: number, y: number, width: number, height: number, angle: number): Patch[] {
  const count = Math.max(1, Math.ceil(width / height));
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const long = width / count;
  const each = {
    width: long * Math.abs(ux) + height * Math.abs(uy),
    height: long * Math.abs(uy) + height * Math.abs(ux),
  };
  return Array.from({ length: count }, (_, i) => {
    const s = ((i + 0.5) / count - 0.5) * width;
    return { x: x + ux * s, y: y + uy * s, ...each };
  });
}
