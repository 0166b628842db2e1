/** The ground along a line, for drawing to scale. */
import { at, boxOf } from '../geometry/index.ts';
import type { GroundModel } from './strata.ts';

/** The surface and strata along a line, as levels at breaks and at a steady step between them. */
export interface FencePost {
  /** m along the line. */
  readonly s: number;
  readonly ground: number;
  /** Level of each soil's top. */
  readonly tops: readonly number[];
  readonly water: number | null;
  readonly measured: boolean;
}

/**
 * The ground along a line from one point to another, for drawing to scale.
 * @param step largest distance between posts, m
 */
export function fence(
  model: GroundModel,
  from: readonly [number, number],
  to: readonly [number, number],
  step: number,
): FencePost[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (!(length > 0)) return [];
  const ux = (to[0] - from[0]) / length;
  const uy = (to[1] - from[1]) / length;
  const box = boxOf([...from, ...to]);
  const stops = new Set<number>([0, length]);
  const count = Math.min(2000, Math.max(1, Math.ceil(length / step)));
  for (let i = 1; i < count; i++) stops.add((length * i) / count);
  const pieces = model.surface.patches({
    x0: box.x0 - 1e-6,
    y0: box.y0 - 1e-6,
    x1: box.x1 + 1e-6,
    y1: box.y1 + 1e-6,
  });
  if (pieces.length > 1 && pieces.length < 4000)
    for (const { walls } of pieces)
      for (const wall of walls) {
        const rate = wall.a * ux + wall.b * uy;
        if (Math.abs(rate) < 1e-12) continue;
        const s = -at(wall, from[0], from[1]) / rate;
        if (s <= 0 || s >= length) continue;
        const [x, y] = [from[0] + s * ux, from[1] + s * uy];
        // Only where the edge itself is met, not its line drawn on.
        if (walls.every((other) => at(other, x, y) <= 1e-6)) stops.add(s);
      }
  return [...stops]
    .sort((p, q) => p - q)
    .map((s) => {
      const [x, y] = [from[0] + s * ux, from[1] + s * uy];
      const tops = model.tops(x, y);
      const piece = model.surface.measured(x, y);
      return { s, ground: tops[0] ?? model.level(x, y), tops, water: model.water(x, y), measured: piece };
    });
}

/** The ground between two posts of a fence, linear from one to the next. */
export function postAt(posts: readonly FencePost[], s: number): FencePost | null {
  const after = posts.findIndex((post) => post.s >= s);
  const q = posts[after === -1 ? posts.length - 1 : after];
  const p = posts[Math.max(0, after - 1)];
  if (!p || !q) return null;
  const share = q.s === p.s ? 0 : Math.max(0, Math.min(1, (s - p.s) / (q.s - p.s)));
  const between = (from: number, to: number) => from + share * (to - from);
  return {
    s,
    ground: between(p.ground, q.ground),
    tops: p.tops.map((top, k) => between(top, q.tops[k]!)),
    water: p.water === null || q.water === null ? null : between(p.water, q.water),
    measured: p.measured && q.measured,
  };
}
