/**
 * The dig of a whole job: its solid, volume by stratum and by element, and the over-dig split by
 * cause. Each cause is the difference of two unions, so shared soil is never charged twice and
 * neat + causes = dug exactly.
 */
import { area, type Linear, type Polygon } from '../geometry/index.ts';
import type { Soil } from '../ground/soil.ts';
import type { Element, Pad, Plan } from '../plan/schema.ts';
import { footprints } from '../setout/index.ts';
import { type Part, type Solid, solveSolid, volumeDeeperThan, volumeOf } from './solid.ts';
import { bottomOf, roomOf, slopeOf } from './width.ts';

export const CAUSES = ['room', 'bucket', 'sides', 'low'] as const;
export type Cause = (typeof CAUSES)[number];

export interface Excavation {
  readonly solid: Solid;
  readonly bottoms: readonly Polygon[][];
  /** Bank m³. */
  readonly total: number;
  readonly neat: number;
  readonly overdig: Readonly<Record<Cause, number>>;
  readonly byStratum: readonly number[];
  readonly byElement: readonly number[];
  /** Flat bottom and whole opening in plan, m². */
  readonly bottomArea: number;
  readonly openArea: number;
}

/** Formation needed and dug, by element, m. */
export interface Formations {
  readonly needed: readonly number[];
  readonly dug: readonly number[];
}

type Size = (element: Element) => { across: number; along: number | null };

function partsOf(
  plan: Plan,
  live: readonly boolean[],
  size: Size,
  end: (element: Element) => number,
  floors: readonly number[],
  slope: (element: Element) => number,
): { parts: Part[]; bottoms: Polygon[][] } {
  const padSize = (pad: Pad): readonly [number, number] => {
    const { across, along } = size(pad);
    const long = along ?? across;
    return pad.length >= pad.width ? [long, across] : [across, long];
  };
  const bottoms = footprints(
    plan.elements,
    (element) => ({ half: size(element).across / 2, end: end(element) }),
    padSize,
  );
  const parts = bottoms.flatMap((pieces, owner) =>
    live[owner]
      ? pieces.map((bottom) => ({
          owner,
          bottom,
          floor: floors[owner]!,
          slope: slope(plan.elements[owner]!),
        }))
      : [],
  );
  return { parts, bottoms };
}

/**
 * Digs the job.
 * @param live elements that can be dug; the others are skipped (their problem is named elsewhere)
 */
export function excavate(
  plan: Plan,
  ground: Linear,
  soils: readonly Soil[],
  formations: Formations,
  live: readonly boolean[],
): Excavation {
  const { corners } = plan.dig;
  const neatSize: Size = (e) =>
    e.kind === 'strip'
      ? { across: e.width, along: null }
      : { across: Math.min(e.length, e.width), along: Math.max(e.length, e.width) };
  const neededSize: Size = (e) => {
    const room = 2 * roomOf(plan, e);
    const { across, along } = neatSize(e);
    return { across: across + room, along: along === null ? null : along + room };
  };
  const dugSize: Size = (e) => {
    const { width, length } = bottomOf(plan, e);
    return { across: width.dug, along: length };
  };
  const vertical = () => 0;
  const room = (e: Element) => roomOf(plan, e);
  const slope = (e: Element) => slopeOf(plan, e);

  const { parts, bottoms } = partsOf(plan, live, dugSize, room, formations.dug, slope);
  const solid = solveSolid(parts, ground, corners);
  const total = volumeOf(solid);

  const volume = (
    size: Size,
    end: (e: Element) => number,
    floors: readonly number[],
    side: (e: Element) => number,
  ) => volumeOf(solveSolid(partsOf(plan, live, size, end, floors, side).parts, ground, corners));
  const neat = volume(neatSize, vertical, formations.needed, vertical);
  const withRoom = volume(neededSize, room, formations.needed, vertical);
  const withBucket = volume(dugSize, room, formations.needed, vertical);
  const anyLow = plan.elements.some((e) => e.low > 0);
  const withSides = anyLow ? volume(dugSize, room, formations.needed, slope) : total;

  // Soil deeper than each stratum's top, by cell; a stratum is the difference of two such.
  const byStratum = soils.map(() => 0);
  const byElement = plan.elements.map(() => 0);
  for (const cell of solid.cells) {
    const deeper = soils.map((soil) => volumeDeeperThan(cell, soil.top));
    deeper.forEach((volume, k) => {
      byStratum[k]! += volume - (deeper[k + 1] ?? 0);
    });
    byElement[cell.owner]! += deeper[0] ?? 0;
  }
  return {
    solid,
    bottoms,
    total,
    neat,
    overdig: {
      room: withRoom - neat,
      bucket: withBucket - withRoom,
      sides: withSides - withBucket,
      low: total - withSides,
    },
    byStratum,
    byElement,
    bottomArea: solid.cells.reduce((sum, cell) => sum + (cell.flat ? area(cell.area) : 0), 0),
    openArea: solid.cells.reduce((sum, cell) => sum + area(cell.area), 0),
  };
}
