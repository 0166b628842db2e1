/** Where to test a lift: spread over what it covers, another spread on every lift. */
import { area as areaOf, boxOf, edges, at as evaluate, type Polygon } from '../geometry/index.ts';

type Point = readonly [number, number];

/** Candidates looked over for every place wanted. */
const FOR_EACH = 24;
/** Kept off the sides, as a share of the distance between candidates. */
const OFF = 0.1;

/** Points of a square grid inside a convex piece. */
function within(piece: Polygon, step: number): Point[] {
  const box = boxOf(piece);
  const sides = edges(piece);
  const out: Point[] = [];
  for (let x = box.x0 + step / 2; x < box.x1; x += step)
    for (let y = box.y0 + step / 2; y < box.y1; y += step)
      if (sides.every((side) => evaluate(side, x, y) <= -step * OFF)) out.push([x, y]);
  return out;
}

/**
 * Places for the tests of one lift: each as far from the others as they go, then drawn in from the ends.
 * @param pieces convex, that do not overlap, flat [x, y, …]
 * @param count of tests; no more places than there is room for
 * @param lift 1 the lowest: another lift begins elsewhere
 */
export function testPlaces(pieces: readonly Polygon[], count: number, lift: number): Point[] {
  const whole = pieces.reduce((sum, piece) => sum + Math.abs(areaOf(piece)), 0);
  if (count <= 0 || whole <= 0) return [];
  const step = Math.sqrt(whole / (count * FOR_EACH));
  const candidates = pieces.flatMap((piece) => within(piece, step));
  if (candidates.length === 0) return [];
  // A third of the way on with every lift: no lift is tested over the hole of the last.
  const out: Point[] = [candidates[Math.floor(candidates.length * ((0.17 + lift * 0.38) % 1))]!];
  const away = candidates.map(([x, y]) => Math.hypot(x - out[0]![0], y - out[0]![1]));
  while (out.length < Math.min(count, candidates.length)) {
    let best = 0;
    for (let i = 1; i < candidates.length; i++) if (away[i]! > away[best]!) best = i;
    const next = candidates[best]!;
    out.push(next);
    candidates.forEach(([x, y], i) => {
      away[i] = Math.min(away[i]!, Math.hypot(x - next[0], y - next[1]));
    });
  }
  return drawnIn(out, candidates);
}

/** Position in a list of what lies nearest to a place. */
const nearest = (list: readonly Point[], [x, y]: Point): number => {
  const away = ([u, v]: Point) => Math.hypot(u - x, v - y);
  return list.reduce((best, point, i) => (away(point) < away(list[best]!) ? i : best), 0);
};

/** Places brought in from the ends: halfway to the middle of what lies nearest to each, on a candidate still. */
function drawnIn(places: readonly Point[], candidates: readonly Point[]): Point[] {
  const cells = places.map((): Point[] => []);
  for (const candidate of candidates) cells[nearest(places, candidate)]!.push(candidate);
  return places.map(([x, y], i) => {
    const cell = cells[i]!;
    const mean = (axis: 0 | 1) => cell.reduce((sum, point) => sum + point[axis], 0) / cell.length;
    return cell[nearest(cell, [(x + mean(0)) / 2, (y + mean(1)) / 2])]!;
  });
}
