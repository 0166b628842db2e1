/** How soil gets out from under a house: trips, hours, bins. Rates are typical. */
import type { Underpin } from '../plan/elements.ts';
import { RATES } from '../rates/index.ts';

type WayOut = NonNullable<Underpin['out']>;

/** Loose over bank of what comes out of a bay: typical, for what is dug by hand there. */
const SWELL = 1.25;

export interface GoesOut {
  /** Loose m³. */
  readonly loose: number;
  /** Barrows, or bins; none of a belt. */
  readonly trips: number;
  /** Hours it takes, one barrow on its way. */
  readonly hours: number;
}

/** @param bank m³ that are dug, bank */
export function outOf({ by, distance, bin }: WayOut, bank: number): GoesOut {
  const loose = bank * SWELL;
  const belt = loose / RATES.conveyed.likely;
  if (by === 'conveyor') return { loose, trips: 0, hours: belt };
  const held = by === 'bins' ? bin : RATES.barrowHolds.likely;
  const trips = Math.ceil(loose / held - 1e-9);
  // A bin is filled by barrow: it is the barrow's way to it that takes the time.
  const barrows = Math.ceil(loose / RATES.barrowHolds.likely - 1e-9);
  const minutes = barrows * ((2 * distance) / RATES.barrowWalk.likely + RATES.barrowTurn.likely);
  return { loose, trips, hours: minutes / 60 };
}
