/**
 * Soft spots: ground under the bottom taken out within an outline, its sides upright, and put back. Only
 * what lies under a dug bottom is counted; what reaches past it stays, and is told of. Where two overlap
 * the deeper is dug once.
 *
 * Not covered: sides that do not stand while the hole is open, spots under bays of an old wall.
 */
import {
  at,
  convexPieces,
  cornersOf,
  crossing,
  edges,
  intersect,
  isEmpty,
  type Linear,
  type Polygon,
  area as sizeOf,
  subtract,
  tidy,
} from '../geometry/index.ts';
import type { GroundModel } from '../ground/strata.ts';
import type { Plan, SoftSpot } from '../plan/schema.ts';
import type { Solid } from './solid.ts';

/** A piece of a spot under one bottom. */
export interface SoftPiece {
  /** Of the element it lies under. */
  readonly owner: number;
  readonly area: Polygon;
  /** Level of the bottom over it, and the lowest it is dug to. */
  readonly level: Linear;
  readonly lowest: number;
  /** Bank m³. */
  readonly volume: number;
}

export interface SoftDig {
  readonly spot: SoftSpot;
  readonly pieces: readonly SoftPiece[];
  /** In plan, m²; bank m³, and every soil of it by position. */
  readonly area: number;
  readonly volume: number;
  readonly soils: readonly number[];
  /** Soils of it by element. */
  readonly byElement: ReadonlyMap<number, readonly number[]>;
  /** Lowest level it is dug to, and how far that is below the ground over it, m; null under no bottom. */
  readonly lowest: number | null;
  readonly deepest: number;
  /** In plan, m²: of it lies under no bottom. */
  readonly outside: number;
}

/** A level that much lower, m. */
export const lowered = ({ a, b, c }: Linear, by: number): Linear => ({ a, b, c: c - by });
/** Convex pieces of an outline; none of one that crosses itself. */
export function piecesOf({ points }: SoftSpot): Polygon[] {
  const corners = tidy(points);
  return corners.length < 3 || crossing(corners) !== null ? [] : convexPieces(corners);
}

/** Positions of the parts that are bottoms, not benches over them: the first of those that belong together. */
function bottomParts({ parts }: Solid): ReadonlySet<number> {
  const seen = new Set<number>();
  const out = new Set<number>();
  parts.forEach(({ of }, i) => {
    if (!seen.has(of)) out.add(i);
    seen.add(of);
  });
  return out;
}

/** A cell of bottom, cut by what is taken out of it. */
interface Bottom {
  readonly owner: number;
  readonly level: Linear;
  readonly ground: Linear;
  left: Polygon[];
}

/** What of the spot lies under the bottoms; it is cut out of what is left of them. */
function taken(bottoms: readonly Bottom[], pieces: readonly Polygon[]) {
  const walls = pieces.map(edges);
  return bottoms.flatMap((bottom) =>
    walls.flatMap((sides) => {
      const inside = bottom.left.flatMap((piece) => {
        const cut = intersect(piece, sides);
        return isEmpty(cut) ? [] : [cut];
      });
      if (inside.length > 0) bottom.left = bottom.left.flatMap((piece) => subtract(piece, sides));
      return inside.map((area) => ({ bottom, area }));
    }),
  );
}

/**
 * Digs the soft spots of a plan.
 * @param solid what is dug without them
 * @param founded what is built on, by element: ramps are only driven on
 */
export function softDigs(
  { ground: { softSpots } }: Plan,
  model: GroundModel,
  solid: Solid,
  founded: readonly boolean[],
): SoftDig[] {
  if (softSpots.length === 0) return [];
  const isBottom = bottomParts(solid);
  const bottoms = solid.cuts.flatMap(({ cells }, i): Bottom[] => {
    const { owner } = solid.parts[i]!;
    if (!isBottom.has(i) || !founded[owner]) return [];
    return cells.flatMap(({ flat, area, level, ground }) =>
      flat ? [{ owner, level, ground, left: [area] }] : [],
    );
  });
  const digs = new Map<SoftSpot, SoftDig>();
  // The deeper first: where two overlap it is the one that is dug.
  for (const spot of [...softSpots].sort((p, q) => q.depth - p.depth)) {
    const pieces = piecesOf(spot);
    const cut = taken(bottoms, pieces);
    const soils = model.soils.map(() => 0);
    const byElement = new Map<number, number[]>();
    let [lowest, deepest] = [Infinity, 0];
    const out = cut.map(({ bottom: { owner, level, ground }, area }): SoftPiece => {
      const own = byElement.get(owner) ?? model.soils.map(() => 0);
      byElement.set(owner, own);
      const [down, up] = [model.soils.map(() => 0), model.soils.map(() => 0)];
      model.addVolumes(area, lowered(level, spot.depth), ground, down);
      model.addVolumes(area, level, ground, up);
      down.forEach((volume, k) => {
        const between = Math.max(0, volume - up[k]!);
        soils[k]! += between;
        own[k]! += between;
      });
      const corners = cornersOf(area);
      const floorAt = ([x, y]: readonly [number, number]) => at(level, x, y) - spot.depth;
      const floor = Math.min(...corners.map(floorAt));
      lowest = Math.min(lowest, floor);
      deepest = Math.max(deepest, ...corners.map((corner) => at(ground, ...corner) - floorAt(corner)));
      return { owner, area, level, lowest: floor, volume: sizeOf(area) * spot.depth };
    });
    const area = out.reduce((sum, piece) => sum + sizeOf(piece.area), 0);
    const whole = pieces.reduce((sum, piece) => sum + sizeOf(piece), 0);
    digs.set(spot, {
      spot,
      pieces: out,
      area,
      volume: out.reduce((sum, piece) => sum + piece.volume, 0),
      soils,
      byElement,
      lowest: Number.isFinite(lowest) ? lowest : null,
      deepest,
      outside: Math.max(0, whole - area),
    });
  }
  return softSpots.map((spot) => digs.get(spot)!);
}
