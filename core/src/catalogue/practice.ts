/**
 * Sizes crews work by that no formula gives: how much is left for hand trim, laps of cloth, how high a heap is
 * made. Each with where it is from; what a plan types stands in its place.
 */

export interface Practice {
  readonly value: number;
  readonly unit: string;
  readonly origin: 'typical' | 'assumed';
  readonly source: string;
}

const typical = (unit: string, value: number, source = 'practice'): Practice => ({
  value,
  unit,
  origin: 'typical',
  source,
});

export const PRACTICE = {
  /** Left of a bottom for last: where water softens it, and elsewhere. */
  trimSoftening: typical('m', 0.15),
  trim: typical('m', 0.05),
  /** Round a drain. */
  clothLap: typical('m', 0.3),
  clothWaste: typical('of the cloth', 0.05),
  /** Angle a heap stands at when nothing is known of its soil. */
  repose: typical('degrees', 37),
  /** How high a machine heaps beside its trench. */
  heap: typical('m', 2.5),
  /** Deeper than this nobody throws out: a stage or a bucket stands between. */
  throw: typical('m', 1.5),
  /** Lost to an uneven surface under lean concrete, on stone and on soil. */
  unevenStone: typical('m', 0.02),
  unevenSoil: typical('m', 0.01),
  /** Largest stone of a footing's mix. */
  topSize: typical('m', 0.02),
  /** Longest a driver stands under the bucket while his truck fills: a round figure. */
  truckStands: typical('hours', 1),
} as const satisfies Record<string, Practice>;
