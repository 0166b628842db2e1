/**
 * Strata for volumes: boundaries taken linear over a grid finer than the spacing of the logs, so
 * that between a dug plane and a ground plane every soil's volume is exact.
 *
 * The grid hangs on the first log, so that moving a whole job changes nothing; it is made where it
 * is asked for, and kept.
 */
import {
  boxOf,
  clip,
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

/** A tenth of the nearest spacing of two logs, within reason, m. */
function gridSize(logs: readonly GroundLog[]): number {
  let nearest = Infinity;
  logs.forEach((p, i) => {
    for (const q of logs.slice(i + 1))
      nearest = Math.min(nearest, Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]));
  });
  return Math.min(COARSEST_GRID, Math.max(FINEST_GRID, nearest / 10));
}

/** Half a square of the grid: the half-planes that bound it and every boundary's plane over it. */
interface Triangle {
  readonly walls: readonly Linear[];
  readonly planes: readonly Linear[];
}

/** Adds the bank m³ of every soil, by position, between a dug plane and the ground over a convex piece. */
export type AddVolumes = (area: Polygon, level: Linear, ground: Linear, into: number[]) => void;

/**
 * Volumes between boundaries that lie where they like.
 * @param boundaries tops of the soils from the ground down; the first is the ground itself
 */
export function griddedVolumes(boundaries: readonly Boundary[], logs: readonly GroundLog[]): AddVolumes {
  const size = gridSize(logs);
  const [ox, oy] = logs[0]?.at ?? [0, 0];
  const nodes = new Map<string, readonly number[]>();
  const node = (i: number, j: number): readonly number[] => {
    const key = `${i},${j}`;
    const known = nodes.get(key);
    if (known) return known;
    const made = boundaries.map(({ knots }, k) => (k === 0 ? 0 : idw(knots, ox + i * size, oy + j * size)));
    nodes.set(key, made);
    return made;
  };
  const squares = new Map<string, readonly [Triangle, Triangle]>();
  /** The square up and right of a node, halved from its low left corner to its high right one. */
  const square = (i: number, j: number): readonly [Triangle, Triangle] => {
    const key = `${i},${j}`;
    const known = squares.get(key);
    if (known) return known;
    const [x0, y0, x1, y1] = [ox + i * size, oy + j * size, ox + (i + 1) * size, oy + (j + 1) * size];
    const planes = (corner: readonly [number, number], p: number, q: number) =>
      boundaries.map((_, k) =>
        planeThrough([x0, y0, node(i, j)[k]!], [...corner, node(p, q)[k]!], [x1, y1, node(i + 1, j + 1)[k]!]),
      );
    const left = { a: -1, b: 0, c: x0 };
    const right = { a: 1, b: 0, c: -x1 };
    const low = { a: 0, b: -1, c: y0 };
    const high = { a: 0, b: 1, c: -y1 };
    // Over the diagonal: y − x more than at the corner.
    const under = { a: -1, b: 1, c: x0 - y0 };
    const over = { a: 1, b: -1, c: y0 - x0 };
    const made: readonly [Triangle, Triangle] = [
      { walls: [right, low, under], planes: planes([x1, y0], i + 1, j) },
      { walls: [left, high, over], planes: planes([x0, y1], i, j + 1) },
    ];
    squares.set(key, made);
    return made;
  };
  return (area, level, ground, into) => {
    const box = boxOf(area);
    const [i0, i1] = [Math.floor((box.x0 - ox) / size), Math.floor((box.x1 - ox) / size)];
    const [j0, j1] = [Math.floor((box.y0 - oy) / size), Math.floor((box.y1 - oy) / size)];
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++)
        for (const { walls, planes } of square(i, j)) {
          const piece = intersect(area, walls);
          if (piece.length === 0) continue;
          const tops = planes.map((plane, k) =>
            k === 0 ? ground : boundaries[k]!.by === 'depth' ? minus(ground, plane) : plane,
          );
          addSoils(piece, level, tops, 0, ground, into);
        }
  };
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
