/** One bottom several ways side by side: what a low one is made up with, and what people work on. */
import { compactorChoices, type Stakes, stakesFor } from '../../base/index.ts';
import { bedOf, layerValues } from '../../plan/beds.ts';
import { newBed, newLayer } from '../../plan/blank.ts';
import type { Bed, BedLayer, Plan } from '../../plan/schema.ts';
import { shapeOf, sizesOf } from '../../setout/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type Difference, whatIf } from './what-if.ts';

const MAKE_UPS = ['stone', 'lean', 'concrete'] as const;
export type MakeUp = (typeof MAKE_UPS)[number];

export interface LowWay {
  readonly way: MakeUp;
  /** Of the plan as it stands. */
  readonly here: boolean;
  readonly change: Difference;
  /** Concrete the pour then orders, m³, and its trucks. */
  readonly pour: { readonly ordered: number; readonly loads: number };
  /** One person's hours of compacting; null: nothing is compacted. */
  readonly hours: number | null;
}

/**
 * Bottoms dug low, made up three ways.
 * @param takeoff of the plan as it stands
 * @returns none where no bottom is low
 */
export function lowWays(plan: Plan, takeoff: Takeoff): LowWay[] {
  if (takeoff.madeUp <= 0) return [];
  const low = takeoff.elements.filter((e) => e.live && e.low > 0);
  const ask = whatIf(plan, takeoff);
  return MAKE_UPS.map((way): LowWay => {
    const here = plan.pour.makeUp === way;
    const { takeoff: other, change } = ask(here ? plan : { ...plan, pour: { ...plan.pour, makeUp: way } });
    const hours = low.map(({ low: thickness, bottomArea, width }) => {
      const layer = { ...newLayer('crushed', [], plan.system), thickness };
      const own = compactorChoices(layer, bottomArea / width.dug, width.dug, plan.compactors);
      return own.find((choice) => choice.compactor === layer.compactor)?.hours ?? 0;
    });
    return {
      way,
      here,
      change,
      pour: { ordered: other.concrete.ordered, loads: other.concrete.loads },
      hours: way === 'stone' ? hours.reduce((sum, one) => sum + one, 0) : null,
    };
  });
}

export const WORKING_WAYS = ['ground', 'stakes', 'stone'] as const;
export type WorkingWay = (typeof WORKING_WAYS)[number];

/** What an element works on by the layers it has; null when it is none of the three. */
export function workingWayOf(bed: Bed | null): WorkingWay | null {
  const layers = bed?.layers ?? [];
  if (layers.length === 0) return 'ground';
  const lean = layers.some((layer) => layerValues(layer).cast);
  if (!lean) return null;
  return layers.length > 1 ? 'stone' : 'stakes';
}

/** The layers of a way to work, from formation up: the bed's own where it has them. */
export function workingLayers(bed: Bed | null, way: WorkingWay, system: Plan['system']): BedLayer[] {
  if (way === 'ground') return [];
  const own = bed?.layers ?? [];
  const casts = own.filter((layer) => layerValues(layer).cast);
  const stones = own.filter((layer) => !layerValues(layer).cast);
  const ids = own.map((layer) => layer.id);
  const lean = casts.length > 0 ? casts : [newLayer('lean', ids, system)];
  if (way === 'stakes') return lean;
  const taken = [...ids, ...lean.map((layer) => layer.id)];
  return [...(stones.length > 0 ? stones : [newLayer('crushed', taken, system)]), ...lean];
}

export interface WorkingCost {
  readonly way: WorkingWay;
  readonly here: boolean;
  readonly change: Difference;
}

/**
 * What each way to work costs under one element, the rest of the job as it is.
 * @returns none where nothing stands on a bottom
 */
export function workingWays(plan: Plan, takeoff: Takeoff, index: number): WorkingCost[] {
  const own = plan.elements[index];
  if (!own || !takeoff.elements[index]?.live || !shapeOf(own).founded) return [];
  const bed = bedOf(plan, own);
  const now = workingWayOf(bed);
  const ask = whatIf(plan, takeoff);
  return WORKING_WAYS.map((way): WorkingCost => {
    if (way === now) return { way, here: true, change: ask(plan).change };
    const layers = workingLayers(bed, way, plan.system);
    const made = { ...newBed(plan), cloth: bed?.cloth ?? null, layers };
    const changed: Plan = {
      ...plan,
      beds: layers.length > 0 ? [...plan.beds, made] : plan.beds,
      elements: plan.elements.map((e, i) =>
        i === index ? { ...e, bed: layers.length > 0 ? made.id : null } : e,
      ),
    };
    return { way, here: false, change: ask(changed).change };
  });
}

/** Stakes of the lean concrete under an element, and the level of their tops; null where none is drawn off. */
export function leanStakes(
  plan: Plan,
  { element, live, layers, length, width }: Takeoff['elements'][number],
): (Stakes & { readonly top: number }) | null {
  const lean = layers.find(({ layer }) => layerValues(layer).cast);
  if (!live || !lean || lean.area <= 0) return null;
  const { projection } = lean.layer;
  const past = projection === null ? 0 : 2 * projection;
  const across = projection === null ? width.dug : sizesOf(element).across + past;
  return { ...stakesFor(length + past, across, plan.pour.screed), top: lean.top };
}
