/**
 * How long what is cast has cured: days as they pass, but for those colder in the mean than is typed (5 °C typical, ACI 306R),
 * by the weather as it was logged or is expected. Of a day nobody knows it counts (assumed). Time makes a thing ready to
 * be asked for; nothing here says what it bears.
 */
import type { Plan } from '../plan/schema.ts';
import { HOUR_MS } from '../time/durations.ts';
import { dayOf, momentOf, nextDayOf } from '../time/index.ts';

/** When the last of some casts was cast by the log, ms since 1970; null: there is none, or one of them is not. */
export function castWhen(
  keys: readonly string[],
  poured: ReadonlyMap<string, { readonly at: string }>,
): number | null {
  let last: number | null = null;
  for (const key of keys) {
    const known = poured.get(key);
    if (!known) return null;
    last = Math.max(last ?? -Infinity, Date.parse(known.at));
  }
  return last;
}

/** A day's cold and warmth, °C; null: not known. */
export interface DayTemperature {
  readonly low: number | null;
  readonly high: number | null;
}

/** Mean of a day, °C; null where neither its low nor its high is known. */
export const dayMean = ({ low, high }: DayTemperature): number | null =>
  low === null ? high : high === null ? low : (low + high) / 2;

/** Days whose temperature is known: as it was logged, else as it is expected. */
export function temperatures(
  { days }: Plan,
  logged: ReadonlyMap<string, DayTemperature>,
): ReadonlyMap<string, DayTemperature> {
  const out = new Map<string, DayTemperature>(days.weather.map((one) => [one.day, one]));
  for (const [day, one] of logged) out.set(day, one);
  return out;
}

/** Days too cold to count. */
export const coldDays = (plan: Plan, logged: ReadonlyMap<string, DayTemperature>): ReadonlySet<string> =>
  new Set(
    [...temperatures(plan, logged)].flatMap(([day, one]) => {
      const mean = dayMean(one);
      return mean !== null && mean < plan.pour.cure.cold ? [day] : [];
    }),
  );

/** Days looked ahead: colder than this long nothing ever cures. */
const FARTHEST = 400;

/**
 * When so many days that count have passed.
 * @param at ms since 1970 it was cast
 * @param cold days that do not count
 * @returns ms since 1970
 */
export function curedAt(at: number, days: number, cold: ReadonlySet<string>, zone: string): number {
  let left = days * 24 * HOUR_MS;
  if (cold.size === 0) return at + left;
  let moment = at;
  let day = dayOf(at, zone);
  for (let i = 0; i < FARTHEST; i++) {
    const next = nextDayOf(day);
    const ends = momentOf(`${next}T00:00`, zone) ?? momentOf(`${next}T01:00`, zone) ?? moment + 24 * HOUR_MS;
    if (!cold.has(day)) {
      if (left <= ends - moment) return moment + left;
      left -= ends - moment;
    }
    moment = ends;
    day = next;
  }
  return moment + left;
}
