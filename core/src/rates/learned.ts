/** What was taken from a crew's own log, and which of typed, taken and table counts. */
import type { SoilKind } from '../catalogue/soils.ts';
import type { Plan } from '../plan/schema.ts';
import type { Origin } from '../results/index.ts';
import { RATES, type RateId } from './table.ts';

/** Days a crew commonly wants to see before it believes its own log (assumed). */
export const ENOUGH = 3;

/** What some logged days teach of a rate: over all of them, and the least and the most of one day. */
export interface Taught {
  readonly days: number;
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** An amount by what it took, of a day. */
export interface Share {
  readonly day: string;
  readonly amount: number;
  readonly per: number;
}

/** @returns null where no day was logged */
export function taught(shares: readonly Share[]): Taught | null {
  const days = new Map<string, { amount: number; per: number }>();
  for (const { day, amount, per } of shares) {
    const own = days.get(day) ?? { amount: 0, per: 0 };
    days.set(day, { amount: own.amount + amount, per: own.per + per });
  }
  if (days.size === 0) return null;
  const each = [...days.values()];
  const ratios = each.map(({ amount, per }) => amount / per);
  const total = (of: 'amount' | 'per') => each.reduce((sum, one) => sum + one[of], 0);
  return {
    days: each.length,
    value: total('amount') / total('per'),
    low: Math.min(...ratios),
    high: Math.max(...ratios),
  };
}

/** Bank m³ an hour taken of a machine in a soil and no other; null: none. */
export const outputTaken = (plan: Plan, machine: string, soil: SoilKind | null): number | null =>
  plan.dig.learned.outputs.find((one) => one.machine === machine && one.soil === soil)?.value ?? null;

/** What counts of a machine in a soil: what was taken of it there, else of it anywhere; null: neither. */
export const outputLearned = (plan: Plan, machine: string, soil: SoilKind): number | null =>
  outputTaken(plan, machine, soil) ?? outputTaken(plan, machine, null);

/** How much a soil was found to swell, as taken from the log. */
export const swellTaken = (plan: Plan, soil: SoilKind): number | undefined =>
  plan.ground.swells.find((one) => one.soil === soil)?.value;

export interface RateTaken {
  readonly rate: number;
  readonly from: Origin;
}

/** The rate that counts: what is typed, else what was taken from the crew's own log, else the table's. */
export function rateOf(id: RateId, taken: number | null, typed: number | null): RateTaken {
  if (typed !== null) return { rate: typed, from: 'typed' };
  if (taken !== null) return { rate: taken, from: 'measured' };
  const { likely, origin } = RATES[id];
  return { rate: likely, from: origin };
}
