/** Wellpoints round a hole: how many, how far apart, in how many stages. */
import { suctionLimit } from './pump.ts';

/** A point sanded in: m across, and m of screen: typical. */
const SANDED = 0.15;
const SCREEN = 1;
/** Apart, m; deeper under their header than this a second stage is dug, m: practice. */
export const APART = { least: 1, most: 3 } as const;
const STAGE = 5.5;
/** Against the least that a point's screen must stand under the level held, m: practice. */
const UNDER = 1;

/** m³/s a point can take from a soil: its screen times the fastest water gets through, √k/15 (Sichardt 1928). */
export const pointTakes = (k: number): number => Math.PI * SANDED * SCREEN * (Math.sqrt(k) / 15);

export interface Wellpoints {
  readonly count: number;
  readonly spacing: number;
  readonly stages: number;
  /** m the points reach under their header, and most a stage sucks here. */
  readonly lift: number;
  readonly most: number;
  /** Nearer than points are set: they are not the means. */
  readonly tooClose: boolean;
}

/**
 * @param inflow m³/s; @param round m round the hole; @param lift from the ground down to the level held, m
 * @param altitude m over the sea
 */
export function wellpoints(
  inflow: number,
  k: number,
  round: number,
  lift: number,
  altitude: number,
): Wellpoints {
  const most = Math.max(0.5, Math.min(STAGE, suctionLimit(altitude) - UNDER));
  const needed = inflow > 0 && k > 0 ? Math.ceil(inflow / pointTakes(k) - 1e-9) : 0;
  const count = Math.max(needed, Math.ceil(round / APART.most - 1e-9), 1);
  const spacing = round / count;
  return {
    count,
    spacing,
    stages: Math.max(1, Math.ceil(lift / most - 1e-9)),
    lift,
    most,
    tooClose: spacing < APART.least - 1e-9,
  };
}
