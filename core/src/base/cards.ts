/**
 * Lift cards: what each lift of a bed is, what was laid, tested, reworked and released of it, and so
 * whether it may be covered. Only a lift whose tests pass is green; a named person may let one be covered
 * all the same, with a reason that is kept.
 */
import { bedLift, type Facts, layerKey } from '../log/index.ts';
import { historyOf, type Logged, type Placement, type Stand, standsOf } from '../placement/index.ts';
import { layerValues } from '../plan/beds.ts';
import type { Bed, BedLayer } from '../plan/schema.ts';
import {
  compactionOf,
  dryFound,
  type ProctorResult,
  proctor,
  waterToAdd,
  zeroAirVoids,
} from '../soil-tests/index.ts';
import { type Lifts, liftsOf } from './lifts.ts';

/** Specific gravity of grains where nobody measured it: quartz and most crushed stone, typical. */
export const USUAL_GRAINS = 2.68;

/** A field test and what it says. */
export interface LiftTest {
  readonly record: Logged<'density'>;
  readonly dry: number;
  /** Of the maximum; null while no maximum is known. */
  readonly share: number | null;
  readonly passes: boolean | null;
  /** What is wrong with it: it then says nothing. */
  readonly fault: 'noHole' | 'overAir' | 'notLaid' | null;
}

/** A lift of a bed as something placed, with what it is made in and how it stands. */
export interface LiftCard extends Placement, Stand {
  readonly element: string;
  readonly bed: string;
  readonly layer: BedLayer;
  /** 1 the lowest of its layer, of so many. */
  readonly lift: number;
  readonly count: number;
  /** Compacted, and as it is spread, m. */
  readonly thickness: number;
  readonly loose: number;
  /** Of its compactor: low, typical, high. */
  readonly passes: Lifts['passes'];
  readonly tests: readonly LiftTest[];
  /** Water to add to the lift as it came, kg; less than nought: it must dry. Null when one of both is not known. */
  readonly water: number | null;
}

/** A lift of which nobody asked yet how it stands. */
type Lift = Omit<LiftCard, keyof Stand>;

/** What the laboratory says of a layer; null when nothing was tested. */
export const labOf = (facts: Facts, bed: string, layer: string): ProctorResult | null => {
  const test = facts.lab.get(layerKey({ bed, layer }));
  return test ? proctor(test.points, test.grains, test.coarse ?? null) : null;
};

/** Maximum dry density a layer is held against, kg/m³: the laboratory's, else the one typed. */
export const maximumBy = (lab: ProctorResult | null, { target }: BedLayer): number | null =>
  lab?.ok ? lab.maximum : (target?.maximum ?? null);

/** What a field test of something placed says. @param laid it was placed before it was tested */
export function tested(
  record: Logged<'density'>,
  maximum: number | null,
  share: number | null,
  grains: number,
  laid: boolean,
): LiftTest {
  const { moisture } = record.value;
  const found = dryFound(record.value);
  const dry = found ?? 0;
  const fault = !laid
    ? 'notLaid'
    : found === null
      ? 'noHole'
      : dry > zeroAirVoids(moisture, grains)
        ? 'overAir'
        : null;
  const reached = fault === null && maximum !== null ? compactionOf(dry, maximum) : null;
  return {
    record,
    dry,
    share: reached,
    passes: reached === null || share === null ? null : reached >= share - 1e-9,
    fault,
  };
}

/** An element's bed as it is laid, from formation up. */
export interface LaidBed {
  readonly id: string;
  readonly bed: Bed | null;
  readonly layers: readonly {
    readonly layer: BedLayer;
    readonly bottom: number;
    readonly top: number;
    readonly volume: number;
    readonly area: number;
  }[];
}

/** The cards of an element's bed, from formation up; layers that are cast or only laid have none. */
export function liftCards({ id, bed, layers }: LaidBed, facts: Facts): LiftCard[] {
  if (!bed) return [];
  const out: Lift[] = [];
  for (const own of layers) {
    const lifts = liftsOf(own.layer);
    if (lifts) out.push(...cardsOf(id, bed, own, lifts, facts, out.at(-1)?.name));
  }
  const stands = standsOf(
    out,
    facts,
    ({ tests }) =>
      (test) =>
        tests.find(({ record }) => record === test)?.passes ?? null,
  );
  return out.map((card, i) => ({ ...card, ...stands[i]! }));
}

/** The lifts of one layer with their tests; how they stand is not asked yet. @param under what the lowest lies on */
function cardsOf(
  element: string,
  bed: Bed,
  { layer, bottom, volume, area }: LaidBed['layers'][number],
  { count, thickness, loose, passes }: Lifts,
  facts: Facts,
  under: string | undefined,
): Lift[] {
  const lab = labOf(facts, bed.id, layer.id);
  const maximum = maximumBy(lab, layer);
  const grains = lab?.ok ? lab.grains : USUAL_GRAINS;
  const { target } = layer;
  const nameOf = (lift: number) => bedLift({ bed: bed.id, layer: layer.id, lift });
  return Array.from({ length: count }, (_, i): Lift => {
    const name = nameOf(i + 1);
    const below = i > 0 ? nameOf(i) : under;
    const history = historyOf({ element, name }, facts);
    const begun = history.findIndex(({ kind }) => kind === 'laid');
    const laid = history[begun] as Logged<'laid'> | undefined;
    const moisture = laid?.value.moisture ?? null;
    const known = moisture !== null && lab?.ok ? { moisture, optimum: lab.optimum } : null;
    return {
      element,
      name,
      stage: 'base',
      bed: bed.id,
      layer,
      lift: i + 1,
      count,
      thickness,
      loose,
      bottom: bottom + i * thickness,
      top: bottom + (i + 1) * thickness,
      volume: volume / count,
      passes,
      wanted: target ? Math.max(1, Math.ceil(area / target.area - 1e-9)) : 0,
      covers: below === undefined ? [] : [below],
      tests: history.flatMap((event, k) =>
        event.kind === 'density'
          ? [tested(event, maximum, target?.share ?? null, grains, begun >= 0 && begun < k)]
          : [],
      ),
      water:
        known &&
        waterToAdd(
          volume / count,
          (maximum ?? layerValues(layer).density) * (target?.share ?? 1),
          known.moisture,
          known.optimum,
        ),
    };
  });
}
