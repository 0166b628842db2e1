/** The convex hull and the smallest rectangle round a set of points. */
import Delaunator from 'delaunator';
import { tidy } from './outline.ts';

/** Sides of a hull shorter than this (m) are rounding, not directions. */
const LEAST_SIDE = 1e-6;
/** Rectangles within this share of one area are as good; the squarer is taken. */
const AS_GOOD = 1e-9;

/** Corners of the hull, each from the first point: far from the origin a circle through three points is badly told. */
function hullFrom(
  points: readonly (readonly [number, number])[],
  [x0, y0]: readonly [number, number],
): (readonly [number, number])[] {
  const flat = Float64Array.from(points.flatMap(([x, y]) => [x - x0, y - y0]));
  const { hull } = new Delaunator(flat);
  return Array.from(hull, (i) => [flat[2 * i]!, flat[2 * i + 1]!] as const);
}

/** The convex hull of points, counter-clockwise; fewer than three corners when they lie on a line. */
export function convexHull(points: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const first = points[0];
  if (!first) return [];
  return tidy(hullFrom(points, first)).map(([x, y]) => [x + first[0], y + first[1]] as const);
}

/**
 * Sides of the rectangle of least area that holds all points, longer first, m. One of its sides lies
 * along a side of the hull (Freeman & Shapira 1975), so every one is tried.
 * @returns [length, 0] of points on a line, [0, 0] of none
 */
export function smallestRectangle(points: readonly (readonly [number, number])[]): readonly [number, number] {
  const first = points[0];
  if (!first) return [0, 0];
  const corners = hullFrom(points, first);
  let best: readonly [number, number] | null = null;
  corners.forEach(([x, y], i) => {
    const [nx, ny] = corners[(i + 1) % corners.length]!;
    const length = Math.hypot(nx - x, ny - y);
    if (length < LEAST_SIDE) return;
    const [ux, uy] = [(nx - x) / length, (ny - y) / length];
    let [u0, u1, v0, v1] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const [px, py] of corners) {
      const [u, v] = [px * ux + py * uy, py * ux - px * uy];
      u0 = Math.min(u0, u);
      u1 = Math.max(u1, u);
      v0 = Math.min(v0, v);
      v1 = Math.max(v1, v);
    }
    const sides = [Math.max(u1 - u0, v1 - v0), Math.min(u1 - u0, v1 - v0)] as const;
    const [area, least] = [sides[0] * sides[1], best ? best[0] * best[1] : Infinity];
    const better = area < least * (1 - AS_GOOD);
    if (better || (best && area < least * (1 + AS_GOOD) && sides[0] + sides[1] < best[0] + best[1]))
      best = sides;
  });
  return best ?? [0, 0];
}
