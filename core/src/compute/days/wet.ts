/**
 * Rain on the days of a job: which holes stand open then, what stands in them by the night's own balance, and until when.
 * Rain of a day falls evenly through it, every hole dry before (assumed); days of rain one after another are one storm.
 */
import type { Plan } from '../../plan/schema.ts';
import type { DayWeather, Span } from '../../programme/index.ts';
import { HOUR_MS } from '../../time/durations.ts';
import { momentOf, nextDayOf } from '../../time/index.ts';
import { type Ground, nightGround } from '../night/basin.ts';
import { wetUnder } from '../night/night.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** Days of one storm at most, and hours a hole is watched. */
const MOST_DAYS = 3;
const WATCHED = 94;
/** Holes looked at in all storms together: a limit that cuts says so. */
const MOST_LOOKS = 60;
/** Less rain than this in all wets nothing, m. */
const A_LITTLE = 0.001;

export interface Flood {
  readonly element: string;
  /** The first day of the rain. */
  readonly day: string;
  /** It stands in water from one moment to another, ms since 1970; still when it was given up. */
  readonly span: Span;
  readonly still: boolean;
  /** m over its bottom at the most. */
  readonly deep: number;
}

/** When a hole stands open, ms since 1970. */
export interface OpenHole {
  readonly element: string;
  readonly span: Span;
}

/** Days of rain one after another. */
function stormsOf(
  weather: readonly DayWeather[],
): { readonly day: string; readonly rain: readonly number[] }[] {
  const out: { day: string; rain: number[] }[] = [];
  let due = '';
  for (const { day, rain } of weather) {
    if (rain === null || rain <= 0) {
      due = '';
      continue;
    }
    const last = out.at(-1);
    if (last && day === due && last.rain.length < MOST_DAYS) last.rain.push(rain);
    else out.push({ day, rain: [rain] });
    due = nextDayOf(day);
  }
  return out.filter(({ rain }) => rain.reduce((sum, one) => sum + one, 0) >= A_LITTLE);
}

/** What stands in the holes of a job, looked up once for each storm and hole. */
export class Rain {
  readonly #plan: Plan;
  readonly #takeoff: Takeoff;
  readonly #known = new Map<string, Omit<Flood, 'element'> | null>();
  #ground: Ground | null = null;
  #looks = 0;

  constructor(plan: Plan, takeoff: Takeoff) {
    this.#plan = plan;
    this.#takeoff = takeoff;
  }

  /**
   * What rain does to the holes that stand open in it.
   * @returns floods, and how many holes were not looked at any more
   */
  in(open: readonly OpenHole[]): { readonly floods: readonly Flood[]; readonly unlooked: number } {
    const floods: Flood[] = [];
    let unlooked = 0;
    for (const { day, rain } of stormsOf(this.#plan.days.weather)) {
      const from = momentOf(`${day}T00:00`, this.#plan.water.zone);
      if (from === null) continue;
      const hourly = rain.flatMap((depth) => Array.from({ length: 24 }, () => depth / 24));
      const until = from + hourly.length * HOUR_MS;
      for (const { element, span } of open) {
        if (span[0] >= until || span[1] <= from) continue;
        const flood = this.#look(element, day, from, hourly);
        if (flood === undefined) unlooked++;
        else if (flood) floods.push({ element, ...flood });
      }
    }
    return { floods, unlooked };
  }

  /** Null: it stays dry; undefined: nobody looked any more. */
  #look(element: string, day: string, from: number, hourly: number[]) {
    const known = this.#known.get(`${day} ${element}`);
    if (known !== undefined) return known;
    if (this.#looks >= MOST_LOOKS) return undefined;
    this.#looks++;
    this.#ground ??= nightGround(this.#plan, this.#takeoff);
    const storm = { start: `${day}T00:00`, depth: 0, hours: 1, pattern: 'hourly' as const, hourly };
    const night = wetUnder(this.#ground, element, storm, WATCHED);
    const { first = null, last = null, peak = 0 } = night?.wet ?? {};
    const flood =
      night && first !== null && last !== null
        ? {
            day,
            span: [from + first * HOUR_MS, from + last * HOUR_MS] as const,
            still: !night.dry,
            deep: peak - night.surface,
          }
        : null;
    // Holes that run into one another stand in the same water.
    for (const id of night?.elements ?? [element]) this.#known.set(`${day} ${id}`, flood);
    return flood;
  }
}
