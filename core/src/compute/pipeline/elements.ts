/** One record an element, from what is dug of it to all that is said of it. */

import { type LaidLayer, liftCards } from '../../base/index.ts';
import { PRACTICE, type SoilKind } from '../../catalogue/index.ts';
import {
  bottomOf,
  type Excavation,
  type FoundationLevels,
  flatsOf,
  lowestOf,
  type SoftDig,
  type Solid,
  sideRule,
  slopeOf,
  supportOf,
} from '../../dig/index.ts';
import { outsideOf, type Polygon } from '../../geometry/index.ts';
import { type GroundModel, groundOver, type Layer } from '../../ground/index.ts';
import { belowSlab, slabFrost } from '../../levels/index.ts';
import { bedOf } from '../../plan/beds.ts';
import type { Element } from '../../plan/elements.ts';
import type { GroundLog, Plan } from '../../plan/schema.ts';
import { stringFor } from '../../plan/strings.ts';
import { floorSlabOf, oldWallOf, wrappedOf } from '../../plan/variants.ts';
import {
  type CastStage,
  castOf,
  type LeftOut,
  leftOutOf,
  type Placed,
  place,
  topOver,
} from '../../pour/index.ts';
import { middleOf, readPlaces, shapeOf, sizesOf } from '../../setout/index.ts';
import type { Built, Dug, ElementTakeoff, Watered } from '../../takeoff/index.ts';
import { type Hole, holesOf } from '../../water/index.ts';
import type { Founded, Site } from './site.ts';

/** Deepest cut of an element, m: highest ground over each stretch less its level. */
function depthOf(
  { element, dug, groundHigh, index, live, low, lowWorst }: FoundationLevels,
  solid: Solid,
  model: GroundModel,
): number {
  if (!live) return 0;
  // People stand at the worst place, not at the mean one.
  const more = Math.max(0, lowWorst - low);
  // Under an old wall people stand in a pit dug from inside.
  const old = oldWallOf(element);
  if (old) return Math.max(0, old.inside - lowestOf(dug)) + more;
  if (dug.length === 1) return Math.max(0, groundHigh - dug[0]!) + more;
  return (
    more +
    solid.parts.reduce(
      (most, part) =>
        part.owner === index ? Math.max(most, groundOver(model, [part.bottom]).high - part.floor.c) : most,
      0,
    )
  );
}

/** Lowest level a soft spot is dug to under an element; Infinity where it lies under another. */
const lowestUnder = ({ pieces }: SoftDig, owner: number): number =>
  Math.min(...pieces.map((piece) => (piece.owner === owner ? piece.lowest : Infinity)));

/** What the dig is of each element. */
export function shareStep({ model }: Site, founded: Founded, dig: Excavation): Dug[] {
  const openings: Polygon[][] = founded.elements.map(() => []);
  dig.solid.openings.forEach((pieces, i) => {
    openings[dig.solid.parts[i]!.owner]!.push(...pieces);
  });
  return founded.elements.map((one, i): Dug => {
    const { element, pieces } = one;
    return {
      ...one,
      // What climbs out has a bottom only as far as it is under the ground.
      bottoms: shapeOf(element).founded ? dig.bottoms[i]! : flatsOf(dig.solid, i),
      openings: openings[i]!,
      depth: depthOf(one, dig.solid, model),
      lowest: Math.min(lowestOf(one.dug), ...dig.soft.map((spot) => lowestUnder(spot, i))),
      volume: dig.byElement[i]!,
      bySoil: dig.soilsOf[i]!,
      bottomArea: dig.bottomOf[i]!,
      bays: dig.bays[i]!,
      columns: one.decision === null ? [] : readPlaces(element, pieces).map(([x, y]) => model.column(x, y)),
    };
  });
}

export const placeStep = ({ plan, model }: Site, dug: readonly Dug[], dig: Excavation): Placed =>
  place(plan, model.surface, dig, dug);

export const buildStep = (
  { plan }: Site,
  dug: readonly Dug[],
  { elements, crossings }: Pick<Placed, 'elements' | 'crossings'>,
): Built[] =>
  dug.map((one, i) => ({
    ...one,
    ...elements[i]!,
    ...lessCrossings(elements[i]!, crossings, i),
    wrap: one.live ? clothRound(one.element) : 0,
    bed: bedOf(plan, one.element),
  }));

/** What is cast of an element, and what of it is left out for what runs through. */
function lessCrossings(
  { concrete, casts }: Pick<Placed['elements'][number], 'concrete' | 'casts'>,
  crossings: Placed['crossings'],
  owner: number,
) {
  const own = crossings.filter((one) => one.owner === owner);
  const leftOut = leftOutOf(own.filter(({ part }) => part === 'concrete'));
  const shares = own.flatMap((one) => one.shares);
  const stageVolume = (of: CastStage) =>
    casts.reduce((sum, { stage, volume }) => (stage === of ? sum + volume : sum), 0);
  return {
    concrete: concrete - leftOut,
    leftOut,
    casts: casts.map((cast) => {
      const like = shares.filter(({ stage }) => stage === cast.stage);
      const its = (of: LeftOut) =>
        of.number === null
          ? of.volume * (cast.volume / stageVolume(cast.stage))
          : of.number === cast.number
            ? of.volume
            : 0;
      return { ...cast, volume: like.reduce((left, one) => left - its(one), cast.volume) };
    }),
  };
}

/** Cloth round the stone of a drain or a stone footing, m². */
function clothRound(element: Element): number {
  if (!wrappedOf(element) || castOf(element).stone(element) === null) return 0;
  const { along, across } = sizesOf(element);
  const round = 2 * (across + element.thickness) + PRACTICE.clothLap.value;
  return along * round * (1 + PRACTICE.clothWaste.value);
}

/** The log nearest to a place. */
function nearestLog({ ground }: Plan, [x, y]: readonly [number, number]): GroundLog | null {
  const away = ({ at }: GroundLog) => Math.hypot(at[0] - x, at[1] - y);
  return ground.logs.reduce<GroundLog | null>(
    (best, log) => (best === null || away(log) < away(best) ? log : best),
    null,
  );
}

/** How wet each element is. */
export function waterStep({ plan, model }: Site, built: readonly Built[]): Watered[] {
  return built.map((one) => {
    const { element, places, depth, lowest, live, columns } = one;
    const known = places.map(([x, y]) => model.water(x, y)).filter((level) => level !== null);
    const water = known.length > 0 ? Math.max(...known) : null;
    const log = nearestLog(plan, middleOf(element));
    // Water hanging over a tight layer wets the face as soon as the cut goes past it.
    const hanging = log?.perched ? (log.standing ?? log.strike) : null;
    const bed = columns.flatMap(
      (column) => column.find((layer) => layer.top < depth && layer.bottom >= depth - 1e-9) ?? [],
    );
    return {
      ...one,
      water,
      wet: live && water !== null && lowest < water,
      perched: hanging !== null && depth > hanging,
      softBottom: bed.some((layer) => layer.soil.typical.softens),
    };
  });
}

export const holeStep = ({ plan, facts }: Site, watered: readonly Watered[], { solid }: Excavation): Hole[] =>
  holesOf(
    plan,
    solid,
    watered.map(({ lowest, groundLow, water, columns }) => ({ dug: lowest, groundLow, water, columns })),
    facts.risingHead,
  );

/** Layers with their levels, stacked on the formation. */
function levelled(layers: readonly LaidLayer[], formation: number): ElementTakeoff['layers'] {
  let top = formation;
  return layers.map((laid) => {
    const bottom = top;
    top += laid.layer.thickness;
    return { ...laid, bottom, top };
  });
}

/** Kind of soil at a depth of a column; null where nothing is known. */
const soilAt = (column: readonly Layer[], depth: number): SoilKind | null =>
  column.find((layer) => layer.bottom >= depth - 1e-9)?.soil.layer.kind ??
  column.at(-1)?.soil.layer.kind ??
  null;

/**
 * All that is said of each element. What the steps before said of it is named one by one: spread, or left out by
 * `...rest`, so many come out as a slow object, and so does whatever is made from it.
 */
export function elementStep(
  { plan, facts, model, frost }: Site,
  watered: readonly Watered[],
): ElementTakeoff[] {
  return watered.map((one): ElementTakeoff => {
    const { dug: levels, columns, layers } = one;
    const { element, live, depth, undersides, formations, places, groundLow, wet, perched, softBottom } = one;
    const slab = floorSlabOf(element);
    const underside = lowestOf(undersides);
    const dug = lowestOf(levels);
    const laid = levelled(layers, lowestOf(formations));
    const bottom = bottomOf(plan, element);
    const string = stringFor(plan, element);
    return {
      element: one.element,
      index: one.index,
      places: one.places,
      groundLow: one.groundLow,
      groundHigh: one.groundHigh,
      decision: one.decision,
      steps: one.steps,
      undersides: one.undersides,
      formations: one.formations,
      low: one.low,
      lowWorst: one.lowWorst,
      live: one.live,
      bottoms: one.bottoms,
      openings: one.openings,
      depth: one.depth,
      lowest: one.lowest,
      volume: one.volume,
      bySoil: one.bySoil,
      bays: one.bays,
      bottomArea: one.bottomArea,
      stone: one.stone,
      ownStone: one.ownStone,
      pipe: one.pipe,
      makeUp: one.makeUp,
      concrete: one.concrete,
      casts: one.casts,
      rising: one.rising,
      concreteArea: one.concreteArea,
      footings: one.footings,
      leftOut: one.leftOut,
      wrap: one.wrap,
      bed: one.bed,
      water: one.water,
      wet: one.wet,
      perched: one.perched,
      softBottom: one.softBottom,
      id: element.id,
      group: element.group,
      built: castOf(element).built,
      underside,
      top: topOver(element, underside),
      layers: laid,
      cards:
        live && castOf(element).carries(element)
          ? liftCards({ id: element.id, bed: one.bed, layers: laid }, facts)
          : [],
      bottomSoil: soilAt(columns[0] ?? [], groundLow - dug),
      formation: lowestOf(formations),
      dug,
      string,
      // What the crew digs to, not what it has found itself to have dug.
      fromString: string.level - lowestOf(formations),
      width: bottom.width,
      bottomLength: bottom.length,
      // The pit that lets people in under a wall has upright sides.
      slope: one.bays ? 0 : slopeOf(plan, element),
      rule: sideRule(plan, columns, depth, wet || perched),
      underSlab: belowSlab(plan, element),
      slab: slab && live ? slabFrost(plan, slab, frost, columns[0] ?? [], groundLow) : null,
      // A ramp's floor is driven on, not built on.
      trim: shapeOf(element).founded
        ? (element.trim ??
          plan.dig.handTrim ??
          (softBottom ? PRACTICE.trimSoftening.value : PRACTICE.trim.value))
        : 0,
      length: sizesOf(element).along,
      support: supportOf(plan, element),
      surveyed: places.every(([x, y]) => model.surface.measured(x, y)),
      outside: live ? outsideOf(plan.site.boundary, one.openings) : 0,
    };
  });
}
