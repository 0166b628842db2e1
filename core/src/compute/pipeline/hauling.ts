/** What becomes of the soil, and the dig against what is round it. */

import {
  type FilledHole,
  type FillNeed,
  fillParts,
  fitnesses,
  holeAlone,
  raisedRound,
  roomOf,
  type Spoil,
  type Strips,
  spoilOf,
  stripsOf,
} from '../../backfill/index.ts';
import { mixedWithCement } from '../../base/index.ts';
import { PRACTICE } from '../../catalogue/index.ts';
import {
  type Excavation,
  handDug,
  type Loads,
  loadsOf,
  mixedLoads,
  type Solid,
  volumeDeeperThan,
  windrow,
} from '../../dig/index.ts';
import { clashesOf, floorStacks } from '../../levels/index.ts';
import type { FillStage } from '../../plan/kinds.ts';
import type { Plan } from '../../plan/schema.ts';
import type { Placed } from '../../pour/index.ts';
import { shapeOf } from '../../setout/index.ts';
import {
  type BrokenOut,
  brokenOut,
  digsWith,
  type ElementTakeoff,
  type Job,
  siteWork,
} from '../../takeoff/index.ts';
import type { Site } from './site.ts';

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

export interface Hauling {
  readonly spoil: Spoil;
  readonly strips: Strips;
  readonly hole: Job['hole'];
  readonly loads: readonly Loads[];
  readonly mixed: Job['mixed'];
  readonly pile: Job['pile'];
  readonly handTrim: Job['handTrim'];
  readonly broken: Job['broken'];
}

/** Soil that what is broken out stands in the place of, by position: as the element, or the dig, has it. */
function displacedBy(
  plan: Plan,
  elements: readonly ElementTakeoff[],
  dig: Excavation,
  items: readonly BrokenOut[],
): number[] {
  return dig.byStratum.map((volume, k) =>
    sum(
      items.map(({ obstruction, volume: broken }) => {
        const own = plan.elements.findIndex((element) => element.id === obstruction.element);
        const [part, whole] =
          own < 0 ? [volume, dig.total] : [elements[own]!.bySoil[k] ?? 0, elements[own]!.volume];
        return whole > 0 ? (broken * part) / whole : 0;
      }),
    ),
  );
}

/** Bank m³ dug under old walls less what is cast, packed and laid there, by element. */
const inBays = ({ bays }: Excavation, { elements }: Placed): number[] =>
  bays.map((own, i) => {
    if (!own) return 0;
    const built = (own.each.concrete + own.each.pack) * own.count;
    return Math.max(0, own.total - built - sum(elements[i]!.layers.map(({ volume }) => volume)));
  });

/** What the holes ask for. Stages are cut apart only where one of them is filled with something of its own. */
function needOf(plan: Plan, hole: FilledHole, dig: Excavation): FillNeed {
  const { surround, floors, topsoil } = plan.backfill;
  // Nothing grows in the bays under a wall.
  const bays = sum(hole.bays);
  const elsewhere =
    sum(dig.soft.map(({ spot, volume }) => (mixedWithCement(spot) ? volume : 0))) +
    raisedRound(plan, hole.elements);
  if (surround === null && floors.length === 0 && topsoil === null) {
    const { total } = roomOf(hole);
    return { ...holeAlone(total), topsoilMost: total - bays, elsewhere };
  }
  const parts = fillParts({ plan, hole, stacks: floorStacks(plan) }, topsoil ?? 0);
  const of = (...stages: readonly FillStage[]) =>
    sum(parts.map(({ stage, volume }) => (stages.includes(stage) ? volume : 0)));
  return {
    hole: sum(parts.map(({ volume }) => volume)),
    foot: of('foot'),
    floorRoom: of('floorRoom'),
    topsoil: topsoil === null ? null : of('topsoil'),
    topsoilMost: of('toTop', 'topsoil') - bays,
    elsewhere,
  };
}

/** What becomes of the soil. */
export function spoilStep(
  { plan, model }: Site,
  elements: readonly ElementTakeoff[],
  dig: Excavation,
  placed: Placed,
): Hauling {
  const { soils } = model;
  const { trucks } = plan.spoil;
  const items = brokenOut(plan.ground.obstructions);
  const displaced = displacedBy(plan, elements, dig, items);
  const earth = dig.byStratum.map((volume, i) => Math.max(0, volume - displaced[i]!));
  const strips = stripsOf(plan, model, dig.solid);
  const hole = { taken: placed.taken, bays: inBays(dig, placed) };
  const need = needOf(plan, { solid: strips.filled, elements, ...hole }, dig);
  const spoil = spoilOf(plan, fitnesses(plan, soils), earth, need, strips.soils);
  const live = elements.filter((e) => e.live);
  const bearing = live.filter((e) => shapeOf(e.element).founded);
  const trimmed = sum(bearing.map((e) => e.trim * e.bottomArea));
  const trimmedArea = sum(bearing.map((e) => e.bottomArea));
  // Spoil is banked along one long side of each opening.
  const run = sum(live.map((e) => e.length + 2 * e.depth * (e.support === 'slope' ? e.slope : 0)));
  const length = Math.max(1, run);
  const repose = soils.length > 0 ? Math.min(...soils.map((soil) => soil.repose)) : PRACTICE.repose.value;
  return {
    spoil,
    strips,
    hole,
    loads: trucks.map((truck) => loadsOf(truck, spoil.hauledLoose, spoil.hauledMass)),
    mixed: mixedLoads(trucks, spoil.hauledLoose, spoil.hauledMass).map(({ truck, loads }) => ({
      truck: truck.id,
      loads,
    })),
    pile: { ...windrow(spoil.keptLoose / length, repose, PRACTICE.heap.value), length, repose },
    broken: {
      items,
      displaced,
      loads: sum(
        mixedLoads(trucks, sum(items.map(({ loose }) => loose)), sum(items.map(({ mass }) => mass))).map(
          ({ loads }) => loads,
        ),
      ),
    },
    handTrim: {
      area: trimmedArea,
      thickness: trimmedArea > 0 ? trimmed / trimmedArea : (plan.dig.handTrim ?? PRACTICE.trim.value),
      volume: trimmed,
    },
  };
}

/** Bank m³ of an element that lie deeper than so many m below the ground. */
const deeperIn =
  ({ cuts, parts }: Solid) =>
  (element: number, than: number): number =>
    sum(
      cuts.flatMap(({ cells }, i) =>
        parts[i]!.owner === element ? cells.map((cell) => volumeDeeperThan(cell, than)) : [],
      ),
    );

/** Share of a dig that lies in a crust so deep. Frost does not reach under a house. */
export function crustShare({ solid, elements }: Pick<Job, 'solid' | 'elements'>, depth: number): number {
  const total = sum(elements.map(({ volume }) => volume));
  const open = total - sum(elements.map(({ bays }) => bays?.total ?? 0));
  return total > 0 && depth > 0 ? Math.max(0, frozenVolume(solid, depth, open)) / total : 0;
}

/** Bank m³ dug within the frozen crust. */
const frozenVolume = (solid: Solid, depth: number, total: number) =>
  total - sum(solid.cuts.flatMap(({ cells }) => cells.map((cell) => volumeDeeperThan(cell, depth))));

/** The dig against what is round it: hazards, heaps, machines. */
export function siteStep(
  { plan, model, frozen }: Site,
  elements: readonly ElementTakeoff[],
  dig: Excavation,
  hauling: Hauling,
): Pick<Job, 'clashes' | 'frozen' | 'work'> {
  // Frost does not reach under a house.
  const open = dig.total - sum(dig.bays.map((bays) => bays?.total ?? 0));
  const frozenBank = frozen ? frozenVolume(dig.solid, frozen.depth, open) : 0;
  const share = (volume: number) => (dig.total > 0 ? volume / dig.total : 0);
  const work = siteWork({
    plan,
    soils: model.soils,
    byStratum: dig.byStratum,
    elements,
    spoil: hauling.spoil,
    loads: hauling.loads,
    shares: { frozen: share(frozenBank), hand: share(handDug(dig.solid, plan.ground.hazards)) },
    trimmed: hauling.handTrim.volume,
    deeper: deeperIn(dig.solid),
    repose: hauling.pile.repose,
  });
  return {
    frozen: frozen && { ...frozen, volume: frozenBank, rate: digsWith(plan, work)?.frozenRate ?? 1 },
    clashes: clashesOf(
      plan,
      elements.flatMap((e) =>
        e.live
          ? [
              {
                id: e.id,
                bottoms: dig.bottoms[e.index]!,
                openings: e.openings,
                formation: e.dug,
                groundLow: e.groundLow,
                depth: e.depth,
              },
            ]
          : [],
      ),
    ),
    work,
  };
}
