/** Soils of a job: typical values of the kind, replaced by what was given for the job. */

import {
  type FrostGroup,
  SLOPE_CLASSES,
  type SlopeClass,
  SOIL_SOURCES,
  SOILS,
  type SoilTypical,
} from '../catalogue/soils.ts';
import type { Plan, SoilEntry } from '../plan/schema.ts';
import { swellTaken } from '../rates/index.ts';
import { heaveGroup } from './heave.ts';
import { identify } from './identify.ts';

export type SoilValue =
  | 'density'
  | 'swell'
  | 'shrink'
  | 'repose'
  | 'permeability'
  | 'dryDensity'
  | 'moisture'
  | 'slopeClass';

export interface Soil {
  /** Its position in the plan's list. */
  readonly index: number;
  readonly layer: SoilEntry;
  readonly typical: SoilTypical;
  readonly density: number;
  readonly swell: number;
  /** Typed, taken from the crew's own loads, or typical. */
  readonly swellFrom: 'typed' | 'measured' | 'typical';
  readonly shrink: number;
  readonly repose: number;
  /** m/s: low, likely, high. */
  readonly k: readonly [number, number, number];
  readonly dryDensity: number;
  readonly moisture: number;
  readonly slopeClass: SlopeClass;
  /** Whether the slope class was typed, found by hand, or is typical for the kind. */
  readonly classFrom: 'typed' | 'hand' | 'typical';
  readonly frostGroup: FrostGroup;
}

/** One field test of permeability is good to about half an order of magnitude either way. */
const TEST_SPREAD = Math.sqrt(10);

const weaker = (one: SlopeClass, than: SlopeClass) =>
  SLOPE_CLASSES.indexOf(one) > SLOPE_CLASSES.indexOf(than);

/**
 * The job's soils in their order. What was felt in the hand may lower the slope class of the
 * kind, never raise it; a class typed from a test stands.
 */
export function soilsOf(plan: Plan): Soil[] {
  return plan.ground.soils.map((layer, index) => {
    const typical = SOILS[layer.kind];
    const { values } = layer;
    const [low, high] = typical.k;
    const k = values.permeability;
    const hand = layer.hand ? identify(layer.hand).slopeClass : null;
    const classFrom = values.slopeClass
      ? 'typed'
      : hand && weaker(hand, typical.slopeClass)
        ? 'hand'
        : 'typical';
    return {
      index,
      layer,
      typical,
      density: values.density ?? typical.density,
      swell: values.swell ?? swellTaken(plan, layer.kind) ?? typical.swell,
      swellFrom:
        values.swell !== undefined
          ? 'typed'
          : swellTaken(plan, layer.kind) !== undefined
            ? 'measured'
            : 'typical',
      shrink: values.shrink ?? typical.shrink,
      repose: values.repose ?? typical.repose,
      k: k === undefined ? [low, Math.sqrt(low * high), high] : [k / TEST_SPREAD, k, k * TEST_SPREAD],
      dryDensity: values.dryDensity ?? typical.dryDensity,
      moisture: values.moisture ?? typical.water,
      slopeClass: values.slopeClass ?? (classFrom === 'hand' && hand ? hand : typical.slopeClass),
      classFrom,
      frostGroup: heaveGroup(typical, values.finer, values.plasticity),
    };
  });
}

/** Where a soil's value comes from. */
export function soilOrigin(
  soil: Soil,
  value: SoilValue,
): { origin: 'typed' | 'measured' | 'typical'; source?: string } {
  if (value === 'swell' && soil.swellFrom === 'measured') return { origin: 'measured' };
  if (soil.layer.values[value] !== undefined) return { origin: 'typed' };
  const source =
    value === 'shrink'
      ? 'swell'
      : value === 'permeability'
        ? 'k'
        : value === 'dryDensity' || value === 'moisture'
          ? 'density'
          : value;
  return { origin: 'typical', source: SOIL_SOURCES[source] };
}
