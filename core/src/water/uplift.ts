/** Water from below: a bottom lifted by water under pressure, and one that boils. What is due is an engineer's. */
import type { SoilKind } from '../catalogue/soils.ts';

/** kg/m³ of water, and specific gravity of grains: typical. */
const WATER = 1000;
const GRAINS = 2.65;

/** Asked of the weight over a bed that holds water under pressure, over that pressure. */
export const HEAVE_SAFE = 1.2;
/** Asked of the gradient that lifts grains over the one there is; more where grains are fine (practice). */
const PIPING_SAFE = 1.5;
const PIPING_SAFE_FINE = 2;

/** Density of a soil full of water, kg/m³. @param dry density, kg/m³ */
export const saturated = (dry: number): number => dry + (1 - dry / (GRAINS * WATER)) * WATER;

export interface Heave {
  readonly safety: number;
  /** Level its pressure must be brought down to, m. */
  readonly relieveTo: number;
}

/**
 * Whether the soil left under a bottom outweighs water under pressure beneath it; null when that water does
 * not reach up to the bed over it.
 * @param over mass of what lies between the bottom and it, full of water, kg/m²
 * @param top of the bed that holds it, and @param level it would rise to, m
 */
export function heave(over: number, top: number, level: number): Heave | null {
  const pressure = level - top;
  if (pressure <= 0) return null;
  return { safety: over / (WATER * pressure), relieveTo: top + over / (WATER * HEAVE_SAFE) };
}

const GRAINY: readonly SoilKind[] = ['silt', 'sandySilt', 'siltySand', 'sand', 'gravel', 'madeGround'];
const FINE: readonly SoilKind[] = ['silt', 'sandySilt', 'siltySand', 'sand'];

export interface Piping {
  readonly safety: number;
  readonly asked: number;
  readonly gradient: number;
}

/**
 * Whether water that comes up through a bottom lifts its grains; null of soil that has none to lift. As if
 * all came up through the bottom: more than does.
 * @param inflow m³/s; @param bottom m²; @param dry density, kg/m³
 */
export function piping(
  soil: SoilKind,
  inflow: number,
  k: number,
  bottom: number,
  dry: number,
): Piping | null {
  if (!GRAINY.includes(soil) || inflow <= 0 || k <= 0 || bottom <= 0) return null;
  const voids = (GRAINS * WATER) / dry - 1;
  const gradient = inflow / (k * bottom);
  const critical = (GRAINS - 1) / (1 + voids);
  return {
    safety: critical / gradient,
    asked: FINE.includes(soil) ? PIPING_SAFE_FINE : PIPING_SAFE,
    gradient,
  };
}
