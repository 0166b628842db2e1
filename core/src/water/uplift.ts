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

/** A soil typed no heavier than water weighs next to nothing under it, and not nothing. */
const LEAST_CRITICAL = 0.01;

const GRAINY: readonly SoilKind[] = ['silt', 'sandySilt', 'siltySand', 'sand', 'gravel', 'madeGround'];
const FINE: readonly SoilKind[] = ['silt', 'sandySilt', 'siltySand', 'sand'];

export interface Piping {
  /** The gradient that lifts the grains over the one there is: at the foot of the sides, and in the middle. */
  readonly toe: number;
  readonly middle: number;
  readonly asked: number;
  /** Water over the bottom, m. */
  readonly head: number;
  /** m that tight sheets must reach under the bottom for what is asked at their foot. */
  readonly sheets: number;
}

/** Whether a soil has grains that water can carry off. */
export const isGrainy = (soil: SoilKind): boolean => GRAINY.includes(soil);

/**
 * Whether water that stands over a bottom and is pumped from inside lifts the grains it comes up through:
 * the head over the shortest way through the soil, which is along the side to its foot, and over the half
 * circle from there to the middle (Terzaghi, Peck & Mesri, Soil Mechanics in Engineering Practice, art. 23).
 * Null of soil without grains, and where no water stands over the bottom.
 *
 * As if the water outside stood undrawn up to the side; not covered: sheets, wellpoints, a filter.
 * @param head of water over the bottom, m; @param slope of the sides, across to up
 * @param width of the bottom, and @param deep such soil under it is known to, m
 * @param full density of the soil full of water, kg/m³
 */
export function piping(
  soil: SoilKind,
  head: number,
  slope: number,
  width: number,
  deep: number,
  full: number,
): Piping | null {
  if (!isGrainy(soil) || head <= 0 || width <= 0) return null;
  // (Gs − 1)/(1 + e): what the grains weigh under water.
  const critical = Math.max(LEAST_CRITICAL, full / WATER - 1);
  const asked = FINE.includes(soil) ? PIPING_SAFE_FINE : PIPING_SAFE;
  const side = head * Math.hypot(1, slope);
  // Where such soil ends sooner, no way under the middle is longer than down to its end.
  const across = Math.PI * Math.min(width / 2, Math.max(0, deep));
  return {
    toe: (critical * side) / head,
    middle: (critical * (side + across)) / head,
    asked,
    head,
    sheets: Math.max(0, ((asked / critical) * head - side) / 2),
  };
}
