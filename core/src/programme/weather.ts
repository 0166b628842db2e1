/**
 * What the weather of a day does to a dig: rain from which nobody works outside, frost that goes into bare ground and
 * gives again, heat and frost on fresh concrete. Limits nobody typed are typical, and said.
 */
import { type FrozenToday, frozenAfter, type GroundModel } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import { dayMean } from '../pour/index.ts';
import { RATES } from '../rates/index.ts';
import type { Origin } from '../results/index.ts';

export type DayWeather = Plan['days']['weather'][number];

/** A day as warm as this is hot for concrete, °C: typical (ACI 305R names no limit; plants ask from about 30). */
export const HOT = 30;

/** Rain of a day from which it is lost, m, and where that comes from. */
const rainStop = ({ days }: Plan): { readonly value: number; readonly from: Origin } =>
  days.rainStops === null
    ? { value: RATES.rainStops.likely, from: 'typical' }
    : { value: days.rainStops, from: 'typed' };

/** Days on which it rains too much to work. */
export const lostDays = (plan: Plan): string[] =>
  plan.days.weather.flatMap(({ day, rain }) =>
    rain !== null && rain >= rainStop(plan).value - 1e-9 ? [day] : [],
  );

/** The first day that is missing between the first and the last; null: there is none. */
export function gapIn(weather: readonly DayWeather[], nextDay: (day: string) => string): string | null {
  for (let i = 1; i < weather.length; i++) {
    const due = nextDay(weather[i - 1]!.day);
    if (weather[i]!.day !== due) return due;
  }
  return null;
}

/** Hours a machine takes where a share of it is frozen. @param rate output there over that unfrozen, 0…1 */
export const frozenHours = (hours: number, share: number, rate: number): number =>
  hours * (1 - share + share / rate);

/** Frost deeper than this is looked for no further, degree-days. */
const MOST_INDEX = 4000;

/** Degree-days that froze the ground so deep. */
function indexAt(plan: Plan, model: Pick<GroundModel, 'logColumns'>, depth: number): number {
  let [low, high] = [0, MOST_INDEX];
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    if (frozenAfter(plan, model, [-middle]).depth < depth) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export interface Crust extends Pick<FrozenToday, 'depth' | 'thawing'> {
  readonly day: string;
}

/**
 * How deep the ground is frozen, day by day of the weather that is expected: as it was found last, and what each day
 * adds or takes. A day of which no temperature is known moves nothing.
 * @param found as it was logged, and when
 */
export function crusts(
  plan: Plan,
  model: Pick<GroundModel, 'logColumns'>,
  found: { readonly depth: number; readonly when: string } | null,
): Crust[] {
  const { weather } = plan.days;
  const measured = found && found.depth > 0 ? found : null;
  const first = measured ? indexAt(plan, model, measured.depth) : 0;
  const means: number[] = measured ? [-first] : [];
  return weather.map((day) => {
    // What came before it was found is in it.
    if (measured === null || day.day > measured.when.slice(0, 10)) means.push(dayMean(day) ?? 0);
    const { depth, thawing } = frozenAfter(plan, model, means);
    return { day: day.day, depth, thawing };
  });
}

/** Frozen ground's rate as somebody typed it, else as the machine's bucket fills. @param machine its own, of this ground */
export const frozenRateOf = (
  { dig }: Plan,
  machine: number | null,
): { readonly rate: number; readonly from: Origin } =>
  dig.frozenRate === null ? { rate: machine ?? 1, from: 'typical' } : { rate: dig.frozenRate, from: 'typed' };
