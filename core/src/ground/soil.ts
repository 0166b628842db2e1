/** Soils of a job: typical values of the kind, replaced by what was given for the job. */
import type { Linear } from '../geometry/index.ts';
import type { Plan, SoilLayer } from '../plan/schema.ts';
import { type FrostLayer, frostDepth, frostLayer } from './frost.ts';
import { type SlopeClass, SOIL_SOURCES, SOILS, type SoilTypical } from './kinds.ts';

export type SoilValue = 'density' | 'swell' | 'shrink' | 'repose' | 'permeability' | 'slopeClass';

export interface Soil {
  readonly layer: SoilLayer;
  readonly typical: SoilTypical;
  /** Depth of its top and bottom below ground, m; the last runs on down (Infinity). */
  readonly top: number;
  readonly bottom: number;
  readonly density: number;
  readonly swell: number;
  readonly shrink: number;
  readonly repose: number;
  /** m/s: low, likely, high. */
  readonly k: readonly [number, number, number];
  readonly slopeClass: SlopeClass;
}

/** One field test of permeability is good to about half an order of magnitude either way. */
const TEST_SPREAD = Math.sqrt(10);

/** The job's soils from the surface down. */
export function soilsOf(plan: Plan): Soil[] {
  const layers = plan.ground.soils;
  return layers.map((layer, i) => {
    const typical = SOILS[layer.kind];
    const { values } = layer;
    const [low, high] = typical.k;
    const k = values.permeability;
    return {
      layer,
      typical,
      top: layer.top,
      bottom: layers[i + 1]?.top ?? Infinity,
      density: values.density ?? typical.density,
      swell: values.swell ?? typical.swell,
      shrink: values.shrink ?? typical.shrink,
      repose: values.repose ?? typical.repose,
      k: k === undefined ? [low, Math.sqrt(low * high), high] : [k / TEST_SPREAD, k, k * TEST_SPREAD],
      slopeClass: values.slopeClass ?? typical.slopeClass,
    };
  });
}

/** Where a soil's value comes from. */
export function soilOrigin(soil: Soil, value: SoilValue): { origin: 'typed' | 'typical'; source?: string } {
  if (soil.layer.values[value] !== undefined) return { origin: 'typed' };
  const source = value === 'shrink' ? 'swell' : value === 'permeability' ? 'k' : value;
  return { origin: 'typical', source: SOIL_SOURCES[source] };
}

/** Ground level as a function of x and y. */
export function groundPlane(plan: Plan): Linear {
  const { level, gradeEast, gradeNorth } = plan.ground.surface;
  return { a: gradeEast, b: gradeNorth, c: level };
}

export const frostLayersOf = (soils: readonly Soil[]): FrostLayer[] =>
  soils.map(({ typical, top, bottom }) =>
    frostLayer(bottom - top, typical.grain, typical.dryDensity, typical.water),
  );

export interface Frost {
  /** Design frost depth below ground, m; null when neither figure is given. */
  readonly depth: number | null;
  readonly local: number | null;
  readonly computed: number | null;
  readonly governs: 'local' | 'computed' | null;
}

/** The larger of the local code's figure and the one computed from the climate. */
export function designFrost(plan: Plan, soils: readonly Soil[]): Frost {
  const { local, climate } = plan.ground.frost;
  const computed = climate ? frostDepth(frostLayersOf(soils), climate) : null;
  if (local === null && computed === null) return { depth: null, local, computed, governs: null };
  const governs = (computed ?? -1) > (local ?? -1) ? 'computed' : 'local';
  return { depth: Math.max(local ?? 0, computed ?? 0), local, computed, governs };
}
