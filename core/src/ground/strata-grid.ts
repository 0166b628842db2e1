/**
 * Strata for volumes: boundaries taken linear over a grid finer than the spacing of the logs, so
 * that between a dug plane and a ground plane every soil's volume is exact.
 *
 * The grid hangs on the first log and runs towards the next, and its squares are cut by both
 * diagonals: a job moved, turned or mirrored has the same volumes. It is made where it is asked
 * for, and kept.
 */
import {
  clip,
  edges,
  integral,
  intersect,
  isEmpty,
  type Linear,
  minus,
  type Polygon,
} from '../geometry/index.ts';
import type { GroundLog } from '../plan/schema.ts';
import { planeThrough } from './surface.ts';

const FINEST_GRID = 0.25;
const COARSEST_GRID = 5;

export interface Knot {
  readonly x: number;
  readonly y: number;
  readonly value: number;
}

/** Inverse distance, power 2. */
export function idw(knots: readonly Knot[], x: number, y: number): number {
  let sum = 0;
  let weight = 0;
  for (const knot of knots) {
    const d2 = (x - knot.x) ** 2 + (y - knot.y) ** 2;
    if (d2 < 1e-12) return knot.value;
    sum += knot.value / d2;
    weight += 1 / d2;
  }
  return sum / weight;
}

/** One boundary over plan: its knots, and whether their values are depths or levels. */
export interface Boundary {
  readonly by: 'depth' | 'level';
  readonly knots: readonly Knot[];
}

/** Direction from the first log to the next that stands elsewhere. */
function headingOf(logs: readonly GroundLog[]): readonly [number, number] {
  const [first] = logs;
  for (const { at } of logs.slice(1)) {
    const [dx, dy] = [at[0] - first!.at[0], at[1] - first!.at[1]];
    const length = Math.hypot(dx, dy);
    if (length > 1e-6) return [dx / length, dy / length];
  }
  return [1, 0];
}

/** A tenth of the nearest spacing of two logs, within reason, m. */
function gridSize(logs: readonly GroundLog[]): number {
  let nearest = Infinity;
  logs.forEach((p, i) => {
    for (const q of logs.slice(i + 1))
      nearest = Math.min(nearest, Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]));
  });
  return Math.min(COARSEST_GRID, Math.max(FINEST_GRID, nearest / 10));
}

/** A quarter of a square of the grid: the half-planes that bound it and every boundary's plane over it. */
interface Triangle {
  readonly walls: readonly Linear[];
  readonly planes: readonly Linear[];
}

/** Squares of a row beyond any job. */
const ROW = 2 ** 22;
/** Tells places of the grid apart, at halves too: a number, since it is asked for at every square. */
const placeKey = (i: number, j: number): number => 2 * i * ROW + 2 * j;

/** Adds the bank m³ of every soil, by position, between a dug plane and the ground over a convex piece. */
export type AddVolumes = (area: Polygon, level: Linear, ground: Linear, into: number[]) => void;

/**
 * Volumes between boundaries that lie where they like.
 * @param boundaries tops of the soils from the ground down; the first is the ground itself
 */
export function griddedVolumes(boundaries: readonly Boundary[], logs: readonly GroundLog[]): AddVolumes {
  // Four triangles a square: as many to the area as squares half as large cut once.
  const size = gridSize(logs) * Math.SQRT2;
  const [ox, oy] = logs[0]?.at ?? [0, 0];
  const [ux, uy] = headingOf(logs);
  const nodes = new Map<number, readonly [number, number, readonly number[]]>();
  /** Place and boundaries of a node, in squares from the first log; middles lie at halves. */
  const node = (i: number, j: number) => {
    const key = placeKey(i, j);
    const before = nodes.get(key);
    if (before) return before;
    const [u, v] = [i * size, j * size];
    const [x, y] = [ox + u * ux - v * uy, oy + u * uy + v * ux];
    const made = [x, y, boundaries.map(({ knots }, k) => (k === 0 ? 0 : idw(knots, x, y)))] as const;
    nodes.set(key, made);
    return made;
  };
  const squares = new Map<number, readonly Triangle[]>();
  const square = (i: number, j: number): readonly Triangle[] => {
    const key = placeKey(i, j);
    const before = squares.get(key);
    if (before) return before;
    const middle = node(i + 0.5, j + 0.5);
    const round = [node(i, j), node(i + 1, j), node(i + 1, j + 1), node(i, j + 1)];
    const made = round.map((p, n): Triangle => {
      const q = round[(n + 1) % 4]!;
      return {
        walls: edges([p[0], p[1], q[0], q[1], middle[0], middle[1]]),
        planes: boundaries.map((_, k) =>
          planeThrough([p[0], p[1], p[2][k]!], [q[0], q[1], q[2][k]!], [middle[0], middle[1], middle[2][k]!]),
        ),
      };
    });
    squares.set(key, made);
    return made;
  };
  return (area, level, ground, into) => {
    const n = area.length / 2;
    const us = new Float64Array(n);
    const vs = new Float64Array(n);
    for (let k = 0; k < n; k++) {
      const [x, y] = [area[2 * k]! - ox, area[2 * k + 1]! - oy];
      us[k] = (x * ux + y * uy) / size;
      vs[k] = (y * ux - x * uy) / size;
    }
    let v0 = Infinity;
    let v1 = -Infinity;
    for (let k = 0; k < n; k++) {
      v0 = Math.min(v0, vs[k]!);
      v1 = Math.max(v1, vs[k]!);
    }
    for (let j = Math.floor(v0); j <= Math.floor(v1); j++) {
      const [u0, u1] = rowSpan(us, vs, j);
      for (let i = Math.floor(u0); i <= Math.floor(u1); i++)
        for (const { walls, planes } of square(i, j)) {
          const piece = intersect(area, walls);
          if (piece.length === 0) continue;
          const tops = planes.map((plane, k) =>
            k === 0 ? ground : boundaries[k]!.by === 'depth' ? minus(ground, plane) : plane,
          );
          addSoils(piece, level, tops, 0, ground, into);
        }
    }
  };
}

/** How far a convex piece reaches along the row of squares from v = j to j + 1: a slanting one fills few. */
function rowSpan(us: Float64Array, vs: Float64Array, j: number): readonly [number, number] {
  let u0 = Infinity;
  let u1 = -Infinity;
  for (let k = 0; k < us.length; k++) {
    const u = us[k]!;
    const v = vs[k]!;
    const next = k + 1 === us.length ? 0 : k + 1;
    const du = us[next]! - u;
    const dv = vs[next]! - v;
    if (v >= j && v <= j + 1) {
      u0 = Math.min(u0, u);
      u1 = Math.max(u1, u);
    }
    for (let edge = j; edge <= j + 1; edge++)
      if (v < edge !== v + dv < edge) {
        const at = u + (du * (edge - v)) / dv;
        u0 = Math.min(u0, at);
        u1 = Math.max(u1, at);
      }
  }
  return [u0, u1];
}

/** Volumes between boundaries that all lie so deep under the ground. */
export const parallelVolumes =
  (depths: readonly number[]): AddVolumes =>
  (area, level, ground, into) =>
    addSoils(
      area,
      level,
      depths.map((depth) => ({ ...ground, c: ground.c - depth })),
      0,
      ground,
      into,
    );

/**
 * Soil k and what lies under it, down to the dug level: cut where the next boundary would rise
 * above this one's top, since a soil is never above the one before it.
 * @param top where soil k begins
 * @returns bank m³ of them together
 */
function addSoils(
  piece: Polygon,
  level: Linear,
  tops: readonly Linear[],
  k: number,
  top: Linear,
  into: number[],
): number {
  const dug = clip(piece, minus(level, top));
  if (dug.length < 6) return 0;
  const volume = Math.max(0, integral(dug, minus(top, level)));
  const next = tops[k + 1];
  let deeper = 0;
  if (next) {
    const rise = minus(next, top);
    const under = clip(dug, rise);
    if (!isEmpty(under)) deeper += addSoils(under, level, tops, k + 1, next, into);
    const over = under === dug ? [] : clip(dug, minus(top, next));
    if (!isEmpty(over)) deeper += addSoils(over, level, tops, k + 1, top, into);
  }
  into[k]! += volume - Math.min(volume, deeper);
  return volume;
}
