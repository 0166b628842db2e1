/** What is ordered: stone, lean concrete, concrete, and the trips that bring it. */
import { bedTakeoffs, putBackOf } from '../../base/index.ts';
import { BED_MATERIALS, type BedMaterialId } from '../../catalogue/index.ts';
import { bottomPerimeter, type Excavation, mixedLoads } from '../../dig/index.ts';
import { layerValues } from '../../plan/beds.ts';
import type { Bed, Plan } from '../../plan/schema.ts';
import {
  type Cast,
  castOf,
  castsOf,
  deliveryOf,
  floorTakeoffs,
  leftOutOf,
  type Placed,
  type Pour,
  poursOf,
} from '../../pour/index.ts';
import { shapeOf } from '../../setout/index.ts';
import type { ElementTakeoff, Job } from '../../takeoff/index.ts';
import type { Hauling } from './hauling.ts';
import type { Founded, Site } from './site.ts';

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

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

/** What is cast together. What is made up with concrete is cast with what stands on it. */
function pourStep(
  plan: Plan,
  { poured }: Site['facts'],
  elements: readonly ElementTakeoff[],
  asDug: Founded['asDug'],
): { readonly casts: readonly Cast[]; readonly pours: readonly Pour[] } {
  const more = plan.pour.makeUp === 'concrete';
  const casts = castsOf(
    plan,
    elements.map(({ casts: own, makeUp }) => ({ casts: own, more: more ? makeUp : 0 })),
  );
  // Where a low bottom is made up with stone or lean the pour stands on what was asked for.
  const found = more
    ? elements.map((e, i) => ({ low: e.makeUp, half: asDug.get(i)?.band?.half ?? null }))
    : [];
  return { casts, pours: poursOf(plan, casts, found, poured) };
}

/** What is ordered: beds with their lifts, stone, lean concrete, concrete. */
export function orderStep(
  { plan, facts }: Site,
  elements: readonly ElementTakeoff[],
  dig: Excavation,
  placed: Placed,
  hauling: Hauling,
  asDug: Founded['asDug'],
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
    ...elements.map((e) => ({
      of: 'element' as 'element' | 'makeUp' | 'foot',
      element: e.id as string | null,
      volume: e.ownStone,
      ...looseStone(e.bed, castOf(e.element).stoneOf(e.element)),
    })),
    {
      of: 'makeUp' as const,
      element: null,
      volume: made('stone'),
      ...looseStone(plan.beds[0] ?? null, 'crushed'),
    },
    { of: 'foot' as const, element: null, volume: hauling.spoil.need.foot, ...BED_MATERIALS.clear },
  ];
  const soft = dig.soft.map(({ soils: _soils, byElement: _by, ...spot }) => ({
    ...spot,
    ...putBackOf(spot.spot, spot.volume),
  }));
  // What goes back mixed with cement is the job's own soil.
  const backIn = soft.filter(({ cast, cement }) => !cast && cement === null);
  const backCast = sum(soft.map(({ cast, volume }) => (cast ? volume : 0)));
  const lean = placed.blinding + placed.irregularity + made('lean') + backCast;
  const { casts, pours } = pourStep(plan, facts, elements, asDug);
  const stone = {
    volume:
      sum(elements.map((e) => e.stone)) +
      made('stone') +
      hauling.spoil.need.foot +
      sum(backIn.map(({ volume }) => volume)),
    mass:
      sum([...compacted, ...backIn].map(({ mass }) => mass)) + sum(besides.map((s) => s.volume * s.density)),
    loose:
      sum([...compacted, ...backIn].map(({ loose }) => loose)) +
      sum(besides.map((s) => s.volume * s.looseFactor)),
    besides: besides
      .filter(({ volume }) => volume > 0)
      .map(({ of, element, volume, density }) => ({ of, element, volume, density })),
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
      neat: sum(casts.map(({ volume }) => volume)),
      ordered: sum(pours.map(({ ordered }) => ordered)),
      loads: sum(pours.map(({ loads }) => loads)),
    },
    walls: placed.risings - leftOutOf(placed.crossings.filter(({ part }) => part === 'rising')),
  };
}
