/**
 * The takeoff in steps, each of which takes what the ones before it left: ground, levels, founded, dug,
 * built, watered, then what is said of each element, of the spoil, the site and the orders.
 */
import { bedTakeoffs, type LaidLayer, liftCards, putBackOf } from '../../base/index.ts';
import { BED_MATERIALS, type BedMaterialId, type SoilKind } from '../../catalogue/index.ts';
import {
  bottomOf,
  bottomPerimeter,
  type Excavation,
  excavate,
  type FoundationLevels,
  flatsOf,
  foundationLevels,
  HEAP_HEIGHT,
  handDug,
  type Loads,
  loadsOf,
  lowestOf,
  mixedLoads,
  type SoftDig,
  type Solid,
  type Spoil,
  sideRule,
  slopeOf,
  spoilOf,
  supportOf,
  volumeDeeperThan,
  windrow,
} from '../../dig/index.ts';
import { outsideOf, type Polygon } from '../../geometry/index.ts';
import {
  designFrost,
  type Frost,
  type FrozenNow,
  frozenNow,
  type GroundModel,
  groundModel,
  groundOver,
  type Layer,
} from '../../ground/index.ts';
import {
  belowSlab,
  clashesOf,
  floorStacks,
  isFloorSlab,
  levelElements,
  shallowOf,
  slabFrost,
  withInstructedWidths,
} from '../../levels/index.ts';
import type { Facts } from '../../log/index.ts';
import { bedOf, layerValues } from '../../plan/beds.ts';
import type { Element } from '../../plan/elements.ts';
import { oldWallOf } from '../../plan/forms.ts';
import type { Bed, GroundLog, Plan } from '../../plan/schema.ts';
import { stringFor } from '../../plan/strings.ts';
import {
  builtIn,
  castOf,
  deliveryOf,
  floorTakeoffs,
  type Placed,
  place,
  poursOf,
  topOver,
} from '../../pour/index.ts';
import type { Problem } from '../../results/index.ts';
import { middleOf, readPlaces, shapeOf, sizesOf } from '../../setout/index.ts';
import {
  type BrokenOut,
  type Built,
  brokenOut,
  type Dug,
  type ElementTakeoff,
  type Job,
  siteWork,
  type Watered,
} from '../../takeoff/index.ts';
import { type Hole, holesOf } from '../../water/index.ts';

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/** Hand trim left for last, m: more where water softens the bottom. */
const TRIM = { softening: 0.15, other: 0.05 } as const;
/** Angle a heap stands at when nothing is known of its soil, degrees. */
const COMMON_REPOSE = 37;

/** What a job stands on before anything is dug. */
export interface Site {
  /** With the widths an engineer has ordered in place of those typed. */
  readonly plan: Plan;
  readonly facts: Facts;
  readonly model: GroundModel;
  readonly frost: Frost;
  readonly frozen: FrozenNow | null;
  /** Told of by every step. */
  readonly problems: Problem[];
}

export function groundStep(given: Plan, facts: Facts): Site {
  const plan = withInstructedWidths(given);
  const model = groundModel(plan);
  return { plan, facts, model, frost: designFrost(plan, model), frozen: frozenNow(facts), problems: [] };
}

export const foundStep = (site: Site): FoundationLevels[] =>
  foundationLevels(site.plan, levelElements(site.plan, site.model, site.frost, site.problems), site.problems);

export const digStep = ({ plan, model }: Site, founded: readonly FoundationLevels[]): Excavation =>
  excavate(plan, model, founded);

/** Deepest cut of an element, m: highest ground over each stretch less its level. */
function depthOf(
  { element, dug, groundHigh, index, live }: FoundationLevels,
  solid: Solid,
  model: GroundModel,
): number {
  if (!live) return 0;
  // Under an old wall people stand in a pit dug from inside.
  const old = oldWallOf(element);
  if (old) return Math.max(0, old.inside - lowestOf(dug));
  if (dug.length === 1) return Math.max(0, groundHigh - dug[0]!);
  return solid.parts.reduce(
    (most, part) =>
      part.owner === index ? Math.max(most, groundOver(model, [part.bottom]).high - part.floor.c) : most,
    0,
  );
}

/** Lowest level a soft spot is dug to under an element; Infinity where it lies under another. */
const lowestUnder = ({ pieces }: SoftDig, owner: number): number =>
  Math.min(...pieces.map((piece) => (piece.owner === owner ? piece.lowest : Infinity)));

/** What the dig is of each element. */
export function shareStep({ model }: Site, founded: readonly FoundationLevels[], dig: Excavation): Dug[] {
  const openings: Polygon[][] = founded.map(() => []);
  dig.solid.openings.forEach((pieces, i) => {
    openings[dig.solid.parts[i]!.owner]!.push(...pieces);
  });
  return founded.map((one, i): Dug => {
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

export const buildStep = ({ plan }: Site, dug: readonly Dug[], placed: Placed): Built[] =>
  dug.map((one, i) => ({
    ...one,
    stone: placed.stone[i]!,
    pipe: placed.pipes[i]!,
    wrap: one.live ? clothRound(one.element) : 0,
    bed: bedOf(plan, one.element),
    layers: placed.layers[i]!,
    concrete: placed.concrete[i]!,
    footings: placed.footingPieces[i]!,
  }));

/** Laps and offcuts of cloth round a drain: typical. */
const WRAP = { lap: 0.3, waste: 0.05 } as const;

/** Cloth round the stone of a drain or a stone footing, m². */
const clothRound = (element: Element): number =>
  element.kind === 'strip' && element.wrapped && element.use !== 'footing'
    ? sizesOf(element).along * (2 * (element.width + element.thickness) + WRAP.lap) * (1 + WRAP.waste)
    : 0;

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

/** All that is said of each element. */
export function elementStep(
  { plan, facts, model, frost }: Site,
  watered: readonly Watered[],
): ElementTakeoff[] {
  return watered.map(
    ({ dug: levels, pieces: _pieces, columns, reach: _reach, layers, ...one }): ElementTakeoff => {
      const { element, live, depth, undersides, formations, places, groundLow, wet, perched, softBottom } =
        one;
      const underside = lowestOf(undersides);
      const dug = lowestOf(levels);
      const laid = levelled(layers, lowestOf(formations));
      const bottom = bottomOf(plan, element);
      const string = stringFor(plan, element);
      return {
        ...one,
        id: element.id,
        group: element.group,
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
        fromString: string.level - dug,
        width: bottom.width,
        bottomLength: bottom.length,
        // The pit that lets people in under a wall has upright sides.
        slope: one.bays ? 0 : slopeOf(plan, element),
        rule: sideRule(plan, columns, depth, wet || perched),
        underSlab: belowSlab(plan, element),
        slab:
          isFloorSlab(element) && live ? slabFrost(plan, element, frost, columns[0] ?? [], groundLow) : null,
        // A ramp's floor is driven on, not built on.
        trim: shapeOf(element).founded
          ? (element.trim ?? plan.dig.handTrim ?? (softBottom ? TRIM.softening : TRIM.other))
          : 0,
        length: sizesOf(element).along,
        support: supportOf(plan, element),
        surveyed: places.every(([x, y]) => model.surface.measured(x, y)),
        outside: live ? outsideOf(plan.site.boundary, one.openings) : 0,
      };
    },
  );
}

export interface Hauling {
  readonly spoil: Spoil;
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
  const spoil = spoilOf(
    plan,
    soils,
    earth,
    dig.total - builtIn(placed, sum(dig.soft.map(({ volume }) => volume))),
  );
  const live = elements.filter((e) => e.live);
  const bearing = live.filter((e) => shapeOf(e.element).founded);
  const trimmed = sum(bearing.map((e) => e.trim * e.bottomArea));
  const trimmedArea = sum(bearing.map((e) => e.bottomArea));
  // Spoil is banked along one long side of each opening.
  const run = sum(live.map((e) => e.length + 2 * e.depth * (e.support === 'slope' ? e.slope : 0)));
  const length = Math.max(1, run);
  const repose = soils.length > 0 ? Math.min(...soils.map((soil) => soil.repose)) : COMMON_REPOSE;
  return {
    spoil,
    loads: trucks.map((truck) => loadsOf(truck, spoil.hauledLoose, spoil.hauledMass)),
    mixed: mixedLoads(trucks, spoil.hauledLoose, spoil.hauledMass).map(({ truck, loads }) => ({
      truck: truck.id,
      loads,
    })),
    pile: { ...windrow(spoil.keptLoose / length, repose, HEAP_HEIGHT), length, repose },
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
      thickness: trimmedArea > 0 ? trimmed / trimmedArea : (plan.dig.handTrim ?? TRIM.other),
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

/** Bank m³ dug within the frozen crust. */
const frozenVolume = (solid: Solid, depth: number, total: number) =>
  total - sum(solid.cuts.flatMap(({ cells }) => cells.map((cell) => volumeDeeperThan(cell, depth))));

/** The dig against what is round it: hazards, heaps, machines. */
export function siteStep(
  { plan, facts, model, frozen }: Site,
  elements: readonly ElementTakeoff[],
  dig: Excavation,
  hauling: Hauling,
): Pick<Job, 'clashes' | 'frozen' | 'work'> {
  // Frost does not reach under a house.
  const open = dig.total - sum(dig.bays.map((bays) => bays?.total ?? 0));
  const frozenBank = frozen ? frozenVolume(dig.solid, frozen.depth, open) : 0;
  const share = (volume: number) => (dig.total > 0 ? volume / dig.total : 0);
  return {
    frozen: frozen && { ...frozen, volume: frozenBank },
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
    work: siteWork({
      plan,
      facts,
      soils: model.soils,
      byStratum: dig.byStratum,
      elements,
      spoil: hauling.spoil,
      loads: hauling.loads,
      shares: { frozen: share(frozenBank), hand: share(handDug(dig.solid, plan.ground.hazards)) },
      trimmed: hauling.handTrim.volume,
      deeper: deeperIn(dig.solid),
      repose: hauling.pile.repose,
    }),
  };
}

/** What stone is of where no layer says: a drain's own, and what makes up a low bottom. */
const looseStone = (bed: Bed | null, otherwise: BedMaterialId) => {
  const layer = bed?.layers.find((one) => !layerValues(one).cast);
  return layer ? layerValues(layer) : BED_MATERIALS[otherwise];
};

/** Trips of the job's trucks: one that brings stone can take spoil back. */
function tripsOf(
  trucks: Plan['spoil']['trucks'],
  stone: { readonly loose: number; readonly mass: number },
  { mixed }: Pick<Hauling, 'mixed'>,
): Job['trips'] {
  const loads = (of: readonly { readonly loads: number }[]) => sum(of.map((one) => one.loads));
  const [into, out] = [loads(mixedLoads(trucks, stone.loose, stone.mass)), loads(mixed)];
  return { stone: into, spoil: out, matched: Math.min(into, out) };
}

/** What is ordered: beds with their lifts, stone, lean concrete, concrete. */
export function orderStep(
  { plan }: Site,
  elements: readonly ElementTakeoff[],
  dig: Excavation,
  placed: Placed,
  hauling: Hauling,
): Pick<
  Job,
  'beds' | 'soft' | 'floors' | 'pours' | 'stone' | 'lean' | 'concrete' | 'madeUp' | 'trips' | 'walls'
> {
  const { makeUp, waste, step, truck } = plan.pour;
  const made = (what: typeof makeUp) => (makeUp === what ? placed.makeUp : 0);
  const beds = bedTakeoffs(
    plan.beds,
    elements.flatMap((e) =>
      // A ramp comes down to the formation; nothing is laid on it.
      e.live && shapeOf(e.element).founded
        ? [{ ...e, area: e.bottomArea, perimeter: bottomPerimeter(plan, e.element) }]
        : [],
    ),
  );
  const compacted = beds.flatMap(({ layers }) => layers.filter(({ layer }) => !layerValues(layer).cast));
  const besides = [
    ...elements.map((e, i) => ({
      element: e.id as string | null,
      volume: placed.ownStone[i]!,
      ...looseStone(e.bed, castOf(e.element).stoneOf(e.element)),
    })),
    { element: null, volume: made('stone'), ...looseStone(plan.beds[0] ?? null, 'crushed') },
  ];
  const soft = dig.soft.map(({ soils: _soils, byElement: _by, ...spot }) => ({
    ...spot,
    ...putBackOf(spot.spot, spot.volume),
  }));
  const backIn = soft.filter(({ cast }) => !cast);
  const backCast = sum(soft.map(({ cast, volume }) => (cast ? volume : 0)));
  const lean = placed.blinding + placed.irregularity + made('lean') + backCast;
  // What is made up with concrete is cast with what stands on it.
  const cast = placed.concrete.map((volume, i) => volume + (makeUp === 'concrete' ? placed.makeUps[i]! : 0));
  const pours = poursOf(plan, cast);
  const stone = {
    volume: sum(placed.stone) + made('stone') + sum(backIn.map(({ volume }) => volume)),
    mass:
      sum([...compacted, ...backIn].map(({ mass }) => mass)) + sum(besides.map((s) => s.volume * s.density)),
    loose:
      sum([...compacted, ...backIn].map(({ loose }) => loose)) +
      sum(besides.map((s) => s.volume * s.looseFactor)),
    besides: besides
      .filter(({ volume }) => volume > 0)
      .map(({ element, volume, density }) => ({ element, volume, density })),
  };
  const delivered = (neat: number) => deliveryOf(neat, waste, step, truck);
  const dug = new Set(elements.filter((e) => e.live).map((e) => e.id));
  return {
    beds,
    floors: floorTakeoffs(plan, (element) => dug.has(element.id)),
    pours,
    soft,
    stone,
    madeUp: placed.makeUp,
    trips: tripsOf(plan.spoil.trucks, stone, hauling),
    lean: { volume: lean, ...delivered(lean) },
    // Each pour is ordered by itself, on its own day: all of them are what is ordered.
    concrete: {
      neat: sum(cast),
      ordered: sum(pours.map(({ ordered }) => ordered)),
      loads: sum(pours.map(({ loads }) => loads)),
    },
    walls: placed.stems,
  };
}

/** The floors and the other school, which stand beside the dig. */
export function floorStep({ plan, model, frost }: Site): Pick<Job, 'stacks' | 'shallow'> {
  const stacks = floorStacks(plan);
  return { stacks, shallow: shallowOf(plan, model, frost, stacks[0]?.level ?? null) };
}
