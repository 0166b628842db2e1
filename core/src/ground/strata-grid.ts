/**
 * Strata for volumes: boundaries taken linear over a grid finer than the spacing of the logs, cut
 * with the pieces of the surface and with each other, so that every piece has one plane a boundary.
 */
import {
  type Box,
  boxesMeet,
  boxOf,
  edges,
  intersect,
  type Linear,
  type Polygon,
} from '../geometry/index.ts';
import type { GroundLog } from '../plan/schema.ts';
import { planeThrough, type Surface } from './surface.ts';

const FINEST_GRID = 0.5;
const COARSEST_GRID = 5;
const MOST_CELLS = 900;

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

/** A piece of plan over which every boundary is one plane. */
export interface StrataPatch {
  readonly area: Polygon;
  readonly box: Box;
  readonly walls: readonly Linear[];
  /** Level of each soil's top, by position in the plan's list; never above the one before. */
  readonly tops: readonly Linear[];
}

/** Splits a piece where the linear function changes sign: [where ≤ 0, where > 0], either may be empty. */
function splitBy(piece: Polygon, f: Linear): [Polygon, Polygon] {
  const low = intersect(piece, [f]);
  const high = intersect(piece, [{ a: -f.a, b: -f.b, c: -f.c }]);
  return [low, high];
}

/** A quarter of the nearest spacing of two logs, within reason. */
export function gridSize(box: Box, logs: readonly GroundLog[]): number {
  let nearest = COARSEST_GRID * 4;
  logs.forEach((p, i) => {
    for (const q of logs.slice(i + 1))
      nearest = Math.min(nearest, Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]));
  });
  const wanted = Math.min(COARSEST_GRID, Math.max(FINEST_GRID, nearest / 4));
  const area = (box.x1 - box.x0) * (box.y1 - box.y0);
  return Math.max(wanted, Math.sqrt(area / MOST_CELLS));
}

/**
 * @param patches the surface's pieces that meet a box
 * @param meets whether anything is asked of a box: the rest is left out
 */
export function gridded(
  box: Box,
  patches: Surface['patches'],
  boundaries: readonly Boundary[],
  size: number,
  meets: (box: Box) => boolean,
): StrataPatch[] {
  const nx = Math.max(1, Math.ceil((box.x1 - box.x0) / size));
  const ny = Math.max(1, Math.ceil((box.y1 - box.y0) / size));
  const dx = (box.x1 - box.x0) / nx;
  const dy = (box.y1 - box.y0) / ny;
  const X = (i: number) => box.x0 + i * dx;
  const Y = (j: number) => box.y0 + j * dy;
  /** Knot values on the grid, by boundary, row by row. */
  const values = boundaries.map(({ knots }, k) =>
    k === 0
      ? []
      : Array.from({ length: (nx + 1) * (ny + 1) }, (_, n) =>
          idw(knots, X(n % (nx + 1)), Y(Math.floor(n / (nx + 1)))),
        ),
  );
  const out: StrataPatch[] = [];
  const corner = (k: number, i: number, j: number) => values[k]![j * (nx + 1) + i]!;
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++)
      for (const half of [
        [
          [i, j],
          [i + 1, j],
          [i + 1, j + 1],
        ],
        [
          [i, j],
          [i + 1, j + 1],
          [i, j + 1],
        ],
      ] as const) {
        const triangle = half.flatMap(([p, q]) => [X(p), Y(q)]);
        const cell = boxOf(triangle);
        if (!meets(cell)) continue;
        const planes = boundaries.map((_, k) =>
          k === 0
            ? null
            : planeThrough(
                ...(half.map(([p, q]) => [X(p), Y(q), corner(k, p, q)] as const) as [
                  readonly [number, number, number],
                  readonly [number, number, number],
                  readonly [number, number, number],
                ]),
              ),
        );
        for (const piece of patches(cell)) {
          if (!boxesMeet(cell, piece.box)) continue;
          const area = intersect(triangle, piece.walls);
          if (area.length === 0) continue;
          out.push(...layered(area, piece.ground, boundaries, planes));
        }
      }
  return out;
}

/** Cuts one piece so that no boundary rises above the one over it. */
function layered(
  area: Polygon,
  ground: Linear,
  boundaries: readonly Boundary[],
  planes: readonly (Linear | null)[],
): StrataPatch[] {
  let parts: { area: Polygon; tops: Linear[] }[] = [{ area, tops: [ground] }];
  for (let k = 1; k < boundaries.length; k++) {
    const plane = planes[k]!;
    const wanted: Linear =
      boundaries[k]!.by === 'depth'
        ? { a: ground.a - plane.a, b: ground.b - plane.b, c: ground.c - plane.c }
        : plane;
    parts = parts.flatMap((part) => {
      const above = part.tops[k - 1]!;
      const rise = { a: wanted.a - above.a, b: wanted.b - above.b, c: wanted.c - above.c };
      const [under, over] = splitBy(part.area, rise);
      return [
        ...(under.length > 0 ? [{ area: under, tops: [...part.tops, wanted] }] : []),
        ...(over.length > 0 ? [{ area: over, tops: [...part.tops, above] }] : []),
      ];
    });
  }
  return parts.map((part) => ({ ...part, box: boxOf(part.area), walls: edges(part.area) }));
}
