/** Where to hold the rod next: corners and every so far along, in the order one walks. */
import { boxOf, cornersOf, edges, type Polygon } from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import { outlinedOf, padOf } from '../plan/variants.ts';
import { axisOf } from '../setout/index.ts';

type Place = readonly [number, number];

/** No two shots of a pattern lie farther apart along a trench, m. */
const SHOT_SPACING = 3;
/** A rod stands so far in from a face, m. */
const IN = 0.15;
/** Bottoms wider than this are shot in two rows or more, m. */
const ROW = 2;

/** n + 1 shares from 0 to 1, no farther apart than the spacing. */
function steps(length: number): number[] {
  const count = Math.max(1, Math.ceil(length / SHOT_SPACING - 1e-9));
  return Array.from({ length: count + 1 }, (_, i) => i / count);
}

function runPlaces(element: Element, width: number): Place[] {
  const rows = width > ROW ? [-1, 1] : [0];
  const out: Place[] = [];
  const runs = axisOf(element);
  runs.forEach(({ from, ux, uy, length, first, last }, r) => {
    // A corner between two runs is shot once.
    const [a, b] = [first ? Math.min(IN, length / 4) : 0, last ? Math.min(IN, length / 4) : 0];
    for (const share of steps(length - a - b)) {
      if (share === 0 && r > 0) continue;
      if (share === 1 && r === runs.length - 1 && !first && !last && r > 0) continue;
      const s = a + share * (length - a - b);
      for (const row of rows) {
        const off = row * (width / 2 - IN);
        out.push([from[0] + ux * s - uy * off, from[1] + uy * s + ux * off]);
      }
    }
  });
  return out;
}

const mean = (places: readonly Place[]): Place => [
  places.reduce((sum, [x]) => sum + x, 0) / places.length,
  places.reduce((sum, [, y]) => sum + y, 0) / places.length,
];

/** Corners of an outline a little inside, and a net over what lies between. */
function outlinePlaces(outline: readonly Place[], bottoms: readonly Polygon[]): Place[] {
  const [mx, my] = mean(outline);
  const corners = outline.map(([x, y]): Place => {
    const far = Math.hypot(mx - x, my - y);
    const share = far > 0 ? Math.min(0.5, (IN * Math.SQRT2) / far) : 0;
    return [x + (mx - x) * share, y + (my - y) * share];
  });
  const inside = ([x, y]: Place) =>
    bottoms.some((piece) => edges(piece).every(({ a, b, c }) => a * x + b * y + c <= -IN));
  const box = boxOf(outline.flat());
  const net: Place[] = [];
  const [across, up] = [box.x1 - box.x0, box.y1 - box.y0].map((size) => steps(size).slice(1, -1));
  for (const v of up!)
    for (const u of across!) net.push([box.x0 + u * (box.x1 - box.x0), box.y0 + v * (box.y1 - box.y0)]);
  return [...corners, ...net.filter(inside)];
}

/**
 * Places to shoot of an element, in order.
 * @param width of its bottom, m
 * @param bottoms its bottom in plan, convex pieces
 */
export function shotPlaces(element: Element, width: number, bottoms: readonly Polygon[]): readonly Place[] {
  const outlined = outlinedOf(element);
  if (outlined) return outlinePlaces(outlined.outline, bottoms);
  if (padOf(element)) return bottoms[0] ? outlinePlaces(cornersOf(bottoms[0]), bottoms) : [];
  return runPlaces(element, width);
}
