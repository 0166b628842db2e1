/**
 * The dig of a whole job: its solid, volume by stratum and by element, and the over-dig split by
 * cause. Each cause is the difference of two unions, so shared soil is never charged twice and
 * neat + causes = dug exactly.
 */

import type { Linear, Polygon } from '../geometry/index.ts';
import type { GroundModel } from '../ground/strata.ts';
import type { Plan } from '../plan/schema.ts';
import { outlinedOf, traitsOf } from '../plan/variants.ts';
import { outlinePieces, roomOf, shapeOf } from '../setout/index.ts';
import {
  type Bottom,
  benchesOver,
  bottomsFor,
  grown,
  outlineBottoms,
  type Purpose,
  plain,
} from './bottoms.ts';
import { type FoundationLevels, lowestOf } from './foundation-levels.ts';
import type { Part } from './part.ts';
import { type SoftDig, softDigs } from './soft.ts';
import { type Cut, type Solid, sizeDug, solveSolid, volumeOf } from './solid.ts';
import { type UnderBays, underBays } from './underpin.ts';
import { slopeOf, supportOf } from './width.ts';

export const CAUSES = ['room', 'bucket', 'sides', 'low', 'soft', 'access'] as const;
export type Cause = (typeof CAUSES)[number];

export interface Excavation {
  readonly solid: Solid;
  readonly bottoms: readonly Polygon[][];
  /** Bank m³. */
  readonly total: number;
  readonly neat: number;
  /** What is dug neat, in plan, m². */
  readonly neatArea: number;
  readonly overdig: Readonly<Record<Cause, number>>;
  readonly byStratum: readonly number[];
  readonly byElement: readonly number[];
  /** By element, every soil of it by position, bank m³; and its bottom in plan, m². */
  readonly soilsOf: readonly (readonly number[])[];
  readonly bottomOf: readonly number[];
  /** Runs dug in bays under old walls; their soil is in every volume, not in the solid. */
  readonly bays: readonly (UnderBays | null)[];
  /** Soft spots taken out under the bottoms, by position; their soil is in every volume, not in the solid. */
  readonly soft: readonly SoftDig[];
  /** Flat bottom and whole opening in plan, m². */
  readonly bottomArea: number;
  readonly openArea: number;
}

/** One way the dig is cut, to tell the causes of over-dig apart. */
interface Cutting {
  readonly purpose: Purpose;
  /** Down to what is needed, or to what is dug. */
  readonly floors: 'formations' | 'dug';
  /** False cuts every side upright. */
  readonly sides: boolean;
  /** False leaves ramps out. */
  readonly access: boolean;
}

/** Everything a cutting digs, as parts of a solid, and the bottoms by element. */
function partsOf(
  plan: Plan,
  founded: readonly FoundationLevels[],
  cutting: Cutting,
): { parts: Part[]; bottoms: Polygon[][] } {
  const all = bottomsFor(plan, cutting.purpose, founded);
  const parts: Part[] = [];
  let of = 0;
  all.forEach((list, owner) => {
    const { element, live, reach, low, [cutting.floors]: floors } = founded[owner]!;
    const sunk = cutting.floors === 'dug' ? low : 0;
    // What is dug in bays from inside opens nothing at the surface.
    if (!live || traitsOf(element).inBays || (!shapeOf(element).founded && !cutting.access)) return;
    const support = cutting.sides ? supportOf(plan, element) : 'upright';
    const slope = support === 'slope' ? slopeOf(plan, element) : 0;
    const back = support === 'shore' ? plan.dig.shore : 0;
    const outline = outlinedOf(element);
    const room = cutting.purpose === 'neat' ? 0 : roomOf(plan, element);
    // An outline moves out as a whole, not piece by piece.
    const stoodBack = outline && back > 0 ? outlineBottoms(plan, outline, room + back) : list;
    const benches = support === 'bench' ? benchesOver(reach, plan.dig.bench) : [];
    const cut = (bottom: Bottom, piece: Polygon, up: number, own: number): void => {
      const floor = plus(bottom.rise, floors[bottom.stretch]!);
      parts.push({
        owner,
        of,
        bottom: piece,
        stretch: bottom.stretch,
        risers: bottom.risers,
        floor: up === 0 ? floor : { ...floor, c: floor.c + up },
        slope: own,
        fills: bottom.fills,
        mitre: bottom.flank?.mitre ?? 0,
        rounding: bottom.rounding,
      });
    };
    stoodBack.forEach((bottom) => {
      // A flank only carries a slope; without one it is nothing.
      if (bottom.flank && slope <= 0) return;
      const piece = outline || back === 0 ? bottom.plan : grown(bottom, back);
      const own = bottom.upright ? 0 : slope;
      // What lies low lies within the toes of the sides: they rise from where they were cut.
      if (sunk > 0 && own > 0) {
        if (!bottom.flank) cut(bottom, piece, 0, 0);
        cut(bottom, piece, sunk, own);
      } else cut(bottom, piece, 0, own);
      if (!outline) for (const bench of benches) cut(bottom, grown(bottom, bench.back), bench.up, 0);
      of++;
    });
    if (!outline || benches.length === 0) return;
    // Benches of an outline belong to its last bottom, the one that lies lowest.
    of--;
    for (const bench of benches)
      for (const piece of outlinePieces(outline.outline, room + bench.back))
        cut(plain(piece), piece, bench.up, 0);
    of++;
  });
  return {
    parts,
    bottoms: all.map((list) => list.filter((bottom) => !bottom.flank).map((bottom) => bottom.plan)),
  };
}

/** Bottoms as they are wanted, each piece with its level: sides, benches and ramps left out. */
export const wantedParts = (plan: Plan, founded: readonly FoundationLevels[]): Part[] =>
  partsOf(plan, founded, { purpose: 'dug', floors: 'formations', sides: false, access: false }).parts.filter(
    ({ mitre, bottom }) => mitre === 0 && bottom.length >= 6,
  );

const plus = (rise: Linear, level: number): Linear => ({ a: rise.a, b: rise.b, c: rise.c + level });

const soilsIn = new WeakMap<GroundModel, WeakMap<Cut, readonly number[]>>();

/** Volume of every soil in a cut, bank m³; kept with the cut, which outlives one plan. */
function volumesBySoil(cut: Cut, model: GroundModel): readonly number[] {
  const known = soilsIn.get(model) ?? new WeakMap<Cut, readonly number[]>();
  soilsIn.set(model, known);
  const before = known.get(cut);
  if (before) return before;
  const out = model.soils.map(() => 0);
  for (const { area, level, ground } of cut.cells) model.addVolumes(area, level, ground, out);
  known.set(cut, out);
  return out;
}

const add = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

/** Soil put in as it is dug: by stratum, and by element with its bottom. */
function tallyFor(plan: Plan, model: GroundModel) {
  const sums = {
    byStratum: model.soils.map(() => 0),
    byElement: plan.elements.map(() => 0),
    soilsOf: plan.elements.map(() => model.soils.map(() => 0)),
    bottomOf: plan.elements.map(() => 0),
  };
  return {
    sums,
    add(owner: number, volume: number, soils: readonly number[], bottom: number): void {
      sums.byElement[owner]! += volume;
      sums.bottomOf[owner]! += bottom;
      soils.forEach((bank, k) => {
        sums.byStratum[k]! += bank;
        sums.soilsOf[owner]![k]! += bank;
      });
    },
  };
}

/** How the dig is cut up to and with each cause, in their order: every cause adds to the one before. */
const CUTTINGS: Record<'neat' | Exclude<Cause, 'soft'>, Cutting> = {
  neat: { purpose: 'neat', floors: 'formations', sides: false, access: false },
  room: { purpose: 'needed', floors: 'formations', sides: false, access: false },
  bucket: { purpose: 'dug', floors: 'formations', sides: false, access: false },
  sides: { purpose: 'dug', floors: 'formations', sides: true, access: false },
  low: { purpose: 'dug', floors: 'dug', sides: true, access: false },
  access: { purpose: 'dug', floors: 'dug', sides: true, access: true },
};
const IN_ORDER = ['neat', 'room', 'bucket', 'sides', 'low', 'access'] as const;
export type CutCause = (typeof IN_ORDER)[number];

/** The dig with a cause, and without it: what lies between is what the cause adds. */
export interface CauseCut {
  readonly after: Solid;
  /** Null of what is dug neat: nothing is dug without it. */
  readonly before: Solid | null;
}

/** @param founded of the same plan; what soft ground adds lies under the bottoms and is told by its spots */
export function causeCut(
  plan: Plan,
  { surface }: GroundModel,
  founded: readonly FoundationLevels[],
  cause: CutCause,
): CauseCut {
  const solid = (of: CutCause) =>
    solveSolid(partsOf(plan, founded, CUTTINGS[of]).parts, surface, plan.dig.corners);
  const before = IN_ORDER[IN_ORDER.indexOf(cause) - 1];
  return { after: solid(cause), before: before === undefined ? null : solid(before) };
}

/** Digs the job. What cannot be dug is skipped: its problem is named elsewhere. */
export function excavate(plan: Plan, model: GroundModel, founded: readonly FoundationLevels[]): Excavation {
  const { corners } = plan.dig;
  const { surface } = model;
  const { parts, bottoms } = partsOf(plan, founded, CUTTINGS.access);
  const solid = solveSolid(parts, surface, corners);
  const open = volumeOf(solid);
  const cut = (cause: CutCause) => sizeDug(partsOf(plan, founded, CUTTINGS[cause]).parts, surface, corners);
  const volume = (cause: CutCause) => cut(cause).volume;
  const { volume: neat, openArea: neatArea } = cut('neat');
  const withRoom = volume('room');
  const withBucket = volume('bucket');
  // Only what there is costs another solid.
  const anyRamp = founded.some(({ element, live }) => live && !shapeOf(element).founded);
  const anyLow = founded.some(({ low }) => low > 0);
  const withLow = anyRamp ? volume('low') : open;
  const withSides = anyLow ? volume('sides') : withLow;
  const tally = tallyFor(plan, model);
  let bottomArea = 0;
  let openArea = 0;
  solid.cuts.forEach((cut, i) => {
    tally.add(parts[i]!.owner, cut.volume, volumesBySoil(cut, model), cut.bottomArea);
    bottomArea += cut.bottomArea;
    openArea += cut.openArea;
  });
  const bays = founded.map(({ element, live, undersides, dug }) =>
    live ? underBays(model, element, lowestOf(undersides), lowestOf(dug)) : null,
  );
  let inBays = 0;
  bays.forEach((own, i) => {
    if (!own) return;
    inBays += own.total;
    tally.add(i, own.total, own.soils, own.area);
  });
  const bears = founded.map(({ element, live }) => live && shapeOf(element).founded);
  const soft = softDigs(plan, model, solid, bears);
  let softened = 0;
  for (const { volume, byElement } of soft) {
    softened += volume;
    // Its bottom is the one it lies under.
    for (const [owner, soils] of byElement) tally.add(owner, add(soils), soils, 0);
  }
  return {
    solid,
    bottoms,
    total: open + inBays + softened,
    neat: neat + inBays,
    neatArea: bays.reduce((sum, own) => sum + (own?.area ?? 0), neatArea),
    bays,
    soft,
    overdig: {
      room: withRoom - neat,
      bucket: withBucket - withRoom,
      sides: withSides - withBucket,
      low: withLow - withSides,
      soft: softened,
      access: open - withLow,
    },
    ...tally.sums,
    bottomArea,
    openArea,
  };
}
