/**
 * The dig of a whole job: its solid, volume by stratum and by element, and the over-dig split by
 * cause. Each cause is the difference of two unions, so shared soil is never charged twice and
 * neat + causes = dug exactly.
 */
import Flatbush from 'flatbush';
import { area, boxOf, type Polygon, unionBox } from '../geometry/index.ts';
import type { GroundModel } from '../ground/strata.ts';
import type { Stepped } from '../levels/steps.ts';
import type { Element, Pad, Plan } from '../plan/schema.ts';
import { footprints } from '../setout/index.ts';
import {
  type Cell,
  type Part,
  type Solid,
  solveSolid,
  volumeDeeperThan,
  volumeOf,
  volumeUnder,
} from './solid.ts';
import { splitByStretch } from './stretches.ts';
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

/** Formation needed and dug, by element and by stretch of it, m. One stretch unless it steps. */
export interface Formations {
  readonly needed: readonly (readonly number[])[];
  readonly dug: readonly (readonly number[])[];
}

type Size = (element: Element) => { across: number; along: number | null };

function partsOf(
  plan: Plan,
  live: readonly boolean[],
  size: Size,
  end: (element: Element) => number,
  floors: Formations['dug'],
  slope: (element: Element) => number,
  steps: readonly (Stepped | null)[],
): { parts: Part[]; bottoms: Polygon[][] } {
  const padSize = (pad: Pad): readonly [number, number] => {
    const { across, along } = size(pad);
    const long = along ?? across;
    return pad.length >= pad.width ? [long, across] : [across, long];
  };
  const whole = footprints(
    plan.elements,
    (element) => ({ half: size(element).across / 2, end: end(element) }),
    padSize,
  );
  const pieces = whole.map((list, owner) =>
    splitByStretch(plan.elements[owner]!, list, steps[owner] ?? null),
  );
  const parts = pieces.flatMap((list, owner) =>
    live[owner]
      ? list.map(({ plan: bottom, stretch, risers }) => ({
          owner,
          bottom,
          stretch,
          risers,
          floor: floors[owner]![stretch]!,
          slope: slope(plan.elements[owner]!),
        }))
      : [],
  );
  return { parts, bottoms: pieces.map((list) => list.map((piece) => piece.plan)) };
}

/** Volume of every stratum in the cells, bank m³ by soil. */
function volumesByStratum(cells: readonly Cell[], model: GroundModel): number[] {
  const out = model.soils.map(() => 0);
  if (cells.length === 0) return out;
  const patches = model.strata(unionBox(cells.map((cell) => boxOf(cell.area))));
  const tree = new Flatbush(Math.max(1, patches.length));
  for (const { box } of patches) tree.add(box.x0, box.y0, box.x1, box.y1);
  tree.finish();
  for (const cell of cells) {
    const box = boxOf(cell.area);
    for (const i of tree.search(box.x0, box.y0, box.x1, box.y1)) {
      const { tops, walls } = patches[i]!;
      // Soil under each stratum's top; a stratum is the difference of two such.
      let above = volumeUnder(cell, tops[0]!, walls);
      for (let k = 0; k < tops.length && above > 0; k++) {
        const below = k + 1 < tops.length ? Math.min(above, volumeUnder(cell, tops[k + 1]!, walls)) : 0;
        out[k]! += above - below;
        above = below;
      }
    }
  }
  return out;
}

/**
 * Digs the job.
 * @param steps of stepped strips, by element; null where the bottom lies at one level
 * @param live elements that can be dug; the others are skipped (their problem is named elsewhere)
 */
export function excavate(
  plan: Plan,
  model: GroundModel,
  formations: Formations,
  steps: readonly (Stepped | null)[],
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
  const { surface } = model;
  const { parts, bottoms } = partsOf(plan, live, dugSize, room, formations.dug, slope, steps);
  const solid = solveSolid(parts, surface, corners);
  const total = volumeOf(solid);
  const volume = (
    size: Size,
    end: (e: Element) => number,
    floors: Formations['dug'],
    side: (e: Element) => number,
  ) => volumeOf(solveSolid(partsOf(plan, live, size, end, floors, side, steps).parts, surface, corners));
  const neat = volume(neatSize, vertical, formations.needed, vertical);
  const withRoom = volume(neededSize, room, formations.needed, vertical);
  const withBucket = volume(dugSize, room, formations.needed, vertical);
  const anyLow = plan.elements.some((e) => e.low > 0);
  const withSides = anyLow ? volume(dugSize, room, formations.needed, slope) : total;
  const byElement = plan.elements.map(() => 0);
  for (const cell of solid.cells) byElement[cell.owner]! += volumeDeeperThan(cell, 0);
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
    byStratum: volumesByStratum(solid.cells, model),
    byElement,
    bottomArea: solid.cells.reduce((sum, cell) => sum + (cell.flat ? area(cell.area) : 0), 0),
    openArea: solid.cells.reduce((sum, cell) => sum + area(cell.area), 0),
  };
}
