/**
 * A stand-in for a weather service: daily means and rain of a made-up cold place, the same for
 * everyone who asks about the same days. Its own seed; the clock is the caller's.
 */
import { random } from './job.ts';

export interface WeatherDay {
  /** 'YYYY-MM-DD'. */
  readonly date: string;
  /** °C. */
  readonly mean: number;
  /** mm. */
  readonly rain: number;
  /** °C, of its night and its noon. */
  readonly low: number;
  readonly high: number;
}

const DAY = 86_400_000;
/** Mean of the year, half its swing, and the day of the year it is coldest (20 January). */
const CLIMATE = { mean: 6.5, swing: 11, coldest: 20 } as const;

/** One day; neighbouring days share a spell of several days, as weather does. */
function dayOf(at: number, seed: number): WeatherDay {
  const date = new Date(at * DAY);
  const start = Date.UTC(date.getUTCFullYear(), 0, 1) / DAY;
  const season = Math.cos((2 * Math.PI * (at - start - CLIMATE.coldest)) / 365.25);
  const spell = (length: number) => {
    const n = Math.floor(at / length);
    const value = (k: number) => random(seed * 7919 + k * length)() * 2 - 1;
    const share = at / length - n;
    return value(n) * (1 - share) + value(n + 1) * share;
  };
  const own = random(seed * 104_729 + at);
  const mean = CLIMATE.mean - CLIMATE.swing * season + 4 * spell(9) + 2.5 * spell(31) + (own() - 0.5) * 3;
  const rain = own() < 0.28 ? own() * own() * 24 : 0;
  // The sun makes the day's swing: little under rain.
  const swing = rain > 0 ? 2.5 : 3 + 4 * own();
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return {
    date: date.toISOString().slice(0, 10),
    mean: tenth(mean),
    rain: tenth(rain),
    low: tenth(mean - swing),
    high: tenth(mean + swing),
  };
}

/**
 * Daily weather.
 * @param from first day, 'YYYY-MM-DD'
 * @param days how many
 * @returns empty when the date is none
 */
export function weatherFeed(from: string, days: number, seed = 1): WeatherDay[] {
  const start = Date.parse(`${from}T00:00:00Z`) / DAY;
  if (!Number.isFinite(start)) return [];
  return Array.from({ length: Math.max(0, Math.floor(days)) }, (_, i) => dayOf(start + i, seed));
}

/** Hours of a spell of rain. */
const SPELL = 9;

/**
 * Rain expected hour by hour, mm: each day's rain in one spell that begins at an hour of its own.
 * @param from first hour, 'YYYY-MM-DDTHH', on the place's own clock
 * @returns empty when the hour is none
 */
export function rainForecast(from: string, hours: number, seed = 1): number[] {
  const start = Date.parse(`${from.slice(0, 13)}:00:00Z`);
  if (!Number.isFinite(start)) return [];
  const hourOf = (at: number): number => {
    const day = Math.floor(at / DAY);
    let fallen = 0;
    // A spell begun late the day before goes on past midnight.
    for (const own of [day - 1, day]) {
      const next = random(seed * 15_485_863 + own);
      const begins = Math.floor(24 * next());
      const weights = Array.from({ length: SPELL }, () => 0.2 + next());
      const hour = (at - own * DAY) / 3_600_000 - begins;
      const weight = weights[Math.floor(hour)];
      if (weight !== undefined)
        fallen += (dayOf(own, seed).rain * weight) / weights.reduce((sum, one) => sum + one, 0);
    }
    return Math.round(fallen * 10) / 10;
  };
  return Array.from({ length: Math.max(0, Math.floor(hours)) }, (_, i) => hourOf(start + i * 3_600_000));
}
