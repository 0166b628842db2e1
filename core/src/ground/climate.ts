/**
 * From a record of mean air temperatures to freezing indices: the degree-days below 0 °C of each
 * winter, and the design winter as UFC 3-130-01 takes it: the mean of the three coldest of thirty
 * years, or the coldest of a shorter record.
 */
import { DAY_MS } from '../time/index.ts';

/** Mean temperature of a day, or of a month when `day` is null. */
export interface Reading {
  readonly year: number;
  /** 1…12. */
  readonly month: number;
  readonly day: number | null;
  /** °C. */
  readonly mean: number;
}

export interface Winter {
  /** '2011–12', or '2011' where winter does not cross the year's end. */
  readonly winter: string;
  /** °C·days. */
  readonly index: number;
  readonly days: number;
}

export interface Record {
  readonly winters: readonly Winter[];
  /** Winters left out for gaps, with the days missing. */
  readonly left: readonly { readonly winter: string; readonly missing: number }[];
  /** Mean of the whole record, °C: each calendar month counted alike. */
  readonly mean: number;
  /** See the plan's `climate.shape`. */
  readonly shape: readonly number[];
}

/** Years a record should have for the three coldest to be taken. */
const LONG_RECORD = 30;
/** Days a winter may miss and still count: a bad battery, not a lost January. */
const MOST_MISSING = 7;
const SHAPE_STEPS = 24;

const dayNumber = (year: number, month: number, day: number) =>
  Math.round(Date.UTC(year, month - 1, day) / DAY_MS);
const daysIn = (year: number, month: number) => dayNumber(year, month + 1, 1) - dayNumber(year, month, 1);

interface Day {
  readonly at: number;
  readonly mean: number;
}

/** Month the record is warmest in, 1…12: winters are cut there. */
function warmestMonth(readings: readonly Reading[]): { warmest: number; mean: number } {
  const sums = Array.from({ length: 12 }, () => ({ sum: 0, count: 0 }));
  for (const { month, mean } of readings) {
    const entry = sums[month - 1]!;
    entry.sum += mean;
    entry.count += 1;
  }
  let warmest = 7;
  let best = -Infinity;
  const means: number[] = [];
  sums.forEach(({ sum, count }, i) => {
    if (count === 0) return;
    means.push(sum / count);
    if (sum / count > best) {
      best = sum / count;
      warmest = i + 1;
    }
  });
  return { warmest, mean: means.reduce((p, q) => p + q, 0) / Math.max(1, means.length) };
}

/** Share of the index spent at equal steps from the first frost to the last. */
function shapeOf(days: readonly Day[]): number[] {
  const frost = days.filter((day) => day.mean < 0);
  const first = frost[0]?.at ?? 0;
  const last = frost[frost.length - 1]?.at ?? 0;
  const total = frost.reduce((sum, day) => sum - day.mean, 0);
  if (total <= 0 || last <= first) return [];
  return Array.from({ length: SHAPE_STEPS + 1 }, (_, i) => {
    const until = first + ((last + 1 - first) * i) / SHAPE_STEPS;
    const spent = frost.reduce((sum, day) => sum - day.mean * Math.max(0, Math.min(1, until - day.at)), 0);
    return Math.min(1, spent / total);
  });
}

/**
 * Winters of a record, in order. Readings may come in any order; one day twice: the later counts.
 * @param readings daily or monthly means, °C
 */
export function wintersOf(readings: readonly Reading[]): Record {
  const { warmest, mean } = warmestMonth(readings);
  const byDay = new Map<number, number>();
  for (const reading of readings) {
    if (reading.day !== null) byDay.set(dayNumber(reading.year, reading.month, reading.day), reading.mean);
    else
      for (let day = 1; day <= daysIn(reading.year, reading.month); day++)
        byDay.set(dayNumber(reading.year, reading.month, day), reading.mean);
  }
  const seasonOf = (at: number) => {
    const date = new Date(at * DAY_MS);
    return date.getUTCMonth() + 1 >= warmest ? date.getUTCFullYear() : date.getUTCFullYear() - 1;
  };
  const seasons = new Map<number, Day[]>();
  for (const [at, value] of [...byDay].sort((p, q) => p[0] - q[0])) {
    const season = seasonOf(at);
    const days = seasons.get(season);
    if (days) days.push({ at, mean: value });
    else seasons.set(season, [{ at, mean: value }]);
  }
  // Winters that cross the year's end carry both years.
  const crosses = warmest >= 4 && warmest <= 10;
  const nameOf = (season: number) =>
    crosses
      ? `${season}–${String((season + 1) % 100).padStart(2, '0')}`
      : String(season + (warmest <= 3 ? 0 : 1));
  const winters: Winter[] = [];
  const left: { winter: string; missing: number }[] = [];
  let coldest: { index: number; days: readonly Day[] } | null = null;
  for (const [season, days] of seasons) {
    const winter = nameOf(season);
    // The cold half: three months either side of the middle of the season.
    const start = dayNumber(season, warmest + 3, 1);
    const end = dayNumber(season, warmest + 9, 1);
    const there = days.filter(({ at }) => at >= start && at < end).length;
    const missing = end - start - there;
    if (missing > MOST_MISSING) {
      left.push({ winter, missing });
      continue;
    }
    const frost = days.filter((day) => day.mean < 0);
    const index = frost.reduce((sum, day) => sum - day.mean, 0);
    const length = frost.length > 0 ? frost[frost.length - 1]!.at - frost[0]!.at + 1 : 0;
    winters.push({ winter, index, days: length });
    if (!coldest || index > coldest.index) coldest = { index, days };
  }
  return { winters, left, mean, shape: coldest ? shapeOf(coldest.days) : [] };
}

export interface DesignWinter {
  readonly index: number;
  readonly days: number;
  readonly rule: 'threeColdest' | 'coldest';
  /** The winters it is made of. */
  readonly of: readonly string[];
}

/** The winter to design for; null for an empty record. */
export function designWinter(winters: readonly Winter[]): DesignWinter | null {
  const cold = [...winters].sort((p, q) => q.index - p.index);
  if (cold.length === 0) return null;
  const long = cold.length >= LONG_RECORD;
  const taken = cold.slice(0, long ? 3 : 1);
  const mean = (of: (winter: Winter) => number) => taken.reduce((sum, w) => sum + of(w), 0) / taken.length;
  return {
    index: mean((w) => w.index),
    days: mean((w) => w.days),
    rule: long ? 'threeColdest' : 'coldest',
    of: taken.map((w) => w.winter),
  };
}

/** A record this warm throughout is °F, or of a place that needs no frost depth. */
const LOOKS_FAHRENHEIT = 30;
/** Warmest month above this, °C, was never measured anywhere: °F. */
const NEVER_CELSIUS = 45;

/** Whether the figures can hardly be °C: a mean, or a warmest reading, no place has. */
export function looksFahrenheit(readings: readonly Pick<Reading, 'mean'>[]): boolean {
  if (readings.length === 0) return false;
  const mean = readings.reduce((sum, r) => sum + r.mean, 0) / readings.length;
  return mean > LOOKS_FAHRENHEIT || readings.some((r) => r.mean > NEVER_CELSIUS);
}
