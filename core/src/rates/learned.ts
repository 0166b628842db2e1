/** How a crew's own records teach a rate, and which of log, word and table is taken. */
import type { Origin } from '../results/index.ts';
import { RATES, type RateId } from './table.ts';

/** How many days' logs replace what is typical. */
const ENOUGH = 3;

/** m³ an hour by the crew's own log; null with too few days on it. */
export function loggedRate(
  days: readonly { readonly volume: number; readonly hours: number }[],
): number | null {
  if (days.length < ENOUGH) return null;
  const volume = days.reduce((sum, day) => sum + day.volume, 0);
  const hours = days.reduce((sum, day) => sum + day.hours, 0);
  return volume / hours;
}

export interface RateTaken {
  readonly rate: number;
  readonly from: Origin;
}

/** The rate that counts: the crew's own log, else what is typed, else the table's. */
export function rateOf(id: RateId, logged: number | null, typed: number | null): RateTaken {
  if (logged !== null) return { rate: logged, from: 'measured' };
  if (typed !== null) return { rate: typed, from: 'typed' };
  const { likely, origin } = RATES[id];
  return { rate: likely, from: origin };
}
