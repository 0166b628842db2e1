/**
 * Lift cards: what each lift of a bed is, what was laid, tested, reworked and released of it, and so
 * whether it may be covered. Only a lift whose tests pass is green; a named person may let one be covered
 * all the same, with a reason that is kept.
 */
import { type Facts, type LiftRecord, layerKey, liftKey } from '../log/index.ts';
import { layerValues } from '../plan/beds.ts';
import type { Bed, BedLayer } from '../plan/schema.ts';
import { compactionOf, dryFound, waterToAdd } from './density.ts';
import { type Lifts, liftsOf } from './lifts.ts';
import { type ProctorResult, proctor, zeroAirVoids } from './proctor.ts';

/** Specific gravity of grains where nobody measured it: quartz and most crushed stone, typical. */
export const USUAL_GRAINS = 2.68;

/** A field test and what it says. */
export interface LiftTest {
  readonly record: Extract<LiftRecord, { kind: 'density' }>;
  readonly dry: number;
  /** Of the maximum; null while no maximum is known. */
  readonly share: number | null;
  readonly passes: boolean | null;
  /** What is wrong with it: it then says nothing. */
  readonly fault: 'noHole' | 'overAir' | 'notLaid' | null;
}

export type LiftState = 'open' | 'laid' | 'failed' | 'reworked' | 'passed' | 'released' | 'overridden';

export interface LiftCard {
  readonly element: string;
  readonly bed: string;
  readonly layer: BedLayer;
  /** 1 the lowest of its layer, of so many. */
  readonly lift: number;
  readonly count: number;
  /** Compacted, and as it is spread, m; levels, m. */
  readonly thickness: number;
  readonly loose: number;
  readonly bottom: number;
  readonly top: number;
  /** Of its compactor: low, typical, high. */
  readonly passes: Lifts['passes'];
  /** Tests the specification asks of it; 0 when it asks none. */
  readonly wanted: number;
  readonly laid: Extract<LiftRecord, { kind: 'laid' }> | null;
  readonly tests: readonly LiftTest[];
  readonly release: Extract<LiftRecord, { kind: 'release' }> | null;
  readonly state: LiftState;
  /** Water to add to the lift as it came, kg; less than nought: it must dry. Null when one of both is not known. */
  readonly water: number | null;
  /** The lift below may not be covered yet. */
  readonly waitsBelow: boolean;
}

/** What the laboratory says of a layer; null when nothing was tested. */
export const labOf = (facts: Facts, bed: string, layer: string): ProctorResult | null => {
  const test = facts.lab.get(layerKey(bed, layer));
  return test ? proctor(test.points, test.grains, test.coarse ?? null) : null;
};

/** Maximum dry density a layer is held against, kg/m³: the laboratory's, else the one typed. */
export const maximumBy = (lab: ProctorResult | null, { target }: BedLayer): number | null =>
  lab?.ok ? lab.maximum : (target?.maximum ?? null);

function tested(
  record: Extract<LiftRecord, { kind: 'density' }>,
  maximum: number | null,
  share: number | null,
  grains: number,
  laid: boolean,
): LiftTest {
  const { moisture } = record.value!;
  const found = dryFound(record.value!);
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

/** Where a lift stands by its history, in the order of time. */
function stateOf(
  events: readonly LiftRecord[],
  tests: ReadonlyMap<LiftRecord, LiftTest>,
  wanted: number,
): LiftState {
  let state: LiftState = 'open';
  let passed = 0;
  for (const event of events) {
    if (event.kind === 'laid' && state === 'open') state = 'laid';
    else if (event.kind === 'density') {
      const test = tests.get(event);
      if (!test || test.passes === null) continue;
      // One that fails is not outvoted: it is reworked and tested again.
      if (!test.passes) state = 'failed';
      else if (state !== 'failed') {
        passed++;
        if (passed >= wanted && state !== 'released' && state !== 'overridden') state = 'passed';
      }
    } else if (event.kind === 'rework' && state !== 'open') {
      passed = 0;
      state = 'reworked';
    } else if (event.kind === 'release' && state !== 'open') {
      const free = state === 'passed' || (wanted === 0 && state === 'laid');
      if (free) state = 'released';
      else if (event.value!.reason.trim() !== '') state = 'overridden';
    }
  }
  return state;
}

/** What may be covered. */
export const mayCover = (state: LiftState): boolean => state === 'released' || state === 'overridden';

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
  const out: LiftCard[] = [];
  for (const { layer, bottom, volume, area } of layers) {
    const lifts = liftsOf(layer);
    if (!lifts) continue;
    const lab = labOf(facts, bed.id, layer.id);
    const maximum = maximumBy(lab, layer);
    const grains = lab?.ok ? lab.grains : USUAL_GRAINS;
    const { target } = layer;
    const wanted = target ? Math.max(1, Math.ceil(area / target.area - 1e-9)) : 0;
    for (let i = 0; i < lifts.count; i++) {
      const events = facts.lifts.get(liftKey(id, { bed: bed.id, layer: layer.id, lift: i + 1 })) ?? [];
      const laid = events.find((event) => event.kind === 'laid') ?? null;
      const tests = new Map<LiftRecord, LiftTest>();
      events.forEach((event, k) => {
        if (event.kind !== 'density') return;
        const placed = laid !== null && events.indexOf(laid) < k;
        tests.set(event, tested(event, maximum, target?.share ?? null, grains, placed));
      });
      const state = stateOf(events, tests, wanted);
      const moisture = laid?.value?.moisture ?? null;
      const below = out.at(-1);
      out.push({
        element: id,
        bed: bed.id,
        layer,
        lift: i + 1,
        count: lifts.count,
        thickness: lifts.thickness,
        loose: lifts.loose,
        bottom: bottom + i * lifts.thickness,
        top: bottom + (i + 1) * lifts.thickness,
        passes: lifts.passes,
        wanted,
        laid,
        tests: [...tests.values()],
        release: events.filter((event) => event.kind === 'release').at(-1) ?? null,
        state,
        water:
          moisture !== null && lab?.ok
            ? waterToAdd(
                volume / lifts.count,
                (maximum ?? layerValues(layer).density) * (target?.share ?? 1),
                moisture,
                lab.optimum,
              )
            : null,
        waitsBelow: below !== undefined && !mayCover(below.state),
      });
    }
  }
  return out;
}
