/**
 * Weather by the day as CSV: `date,rain_mm,low_c,high_c`, day after day without a gap. A column that is missing, or a cell
 * left empty, is not known.
 */
import { isDay, nextDayOf, type Plan, type Problem, type ProblemCode } from '@cimiento/core';
import { columnOf, readTable } from './table.ts';

type Weather = Plan['days']['weather'];
export type ReadWeather =
  | {
      readonly ok: true;
      readonly weather: Weather;
      /** Days of the file beyond those kept. */
      readonly left: number;
    }
  | { readonly ok: false; readonly problem: Problem };

/** Days kept of a file; of one that holds more the first, from the day asked on. */
const MOST_WEATHER = 120;
/** In a day more rain, and colder or warmer, has hardly been measured: mm, °C. */
const WILD_RAIN = 1000;
const WILD_TEMPERATURE = 60;

/** @param from days before it are left out */
export function readWeatherCsv(text: string, from: string): ReadWeather {
  const read = readTable(text, 2);
  if (!read.ok) return read;
  const { rows, head, number, firstLine } = read.table;
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadWeather => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  const like = (pattern: RegExp) => head?.findIndex((name) => pattern.test(name)) ?? -1;
  const at = {
    day: head ? columnOf(head, 'date', 'day', 'fecha', 'día', 'dia') : 0,
    rain: head ? like(/rain|mm|lluvia/) : 1,
    low: head ? like(/low|min/) : 2,
    high: head ? like(/high|max/) : 3,
  };
  if (at.day < 0) return refuse('columnMissing', { params: { column: 'date' } });
  if (at.rain < 0 && at.low < 0 && at.high < 0)
    return refuse('columnMissing', { params: { column: 'rain_mm' } });
  const weather: Weather = [];
  let left = 0;
  let due: string | null = null;
  for (const [i, row] of rows.entries()) {
    const line = firstLine + i;
    const day = (row[at.day] ?? '').trim().replaceAll(/[/.]/g, '-');
    if (!isDay(day)) return refuse('notADate', { params: { line } });
    if (due !== null && day !== due)
      return day < due
        ? refuse('timeBack', { params: { line }, value: day })
        : refuse('weatherGap', { value: due });
    due = nextDayOf(day);
    const cell = (column: number): number | null | undefined => {
      const typed = (column < 0 ? '' : (row[column] ?? '')).trim();
      return typed === '' ? null : (number(typed) ?? undefined);
    };
    const [rain, low, high] = [cell(at.rain), cell(at.low), cell(at.high)];
    const bad = [rain, low, high].indexOf(undefined);
    if (rain === undefined || low === undefined || high === undefined) {
      const column = [at.rain, at.low, at.high][bad] ?? 0;
      return refuse('notANumber', {
        value: (row[column] ?? '').slice(0, 40),
        params: { line, column: column + 1 },
      });
    }
    if (rain !== null && (rain < 0 || rain > WILD_RAIN))
      return refuse('rainWild', {
        value: rain / 1000,
        min: 0,
        max: WILD_RAIN / 1000,
        kind: 'size',
        params: { line },
      });
    for (const value of [low, high])
      if (value !== null && Math.abs(value) > WILD_TEMPERATURE)
        return refuse('temperatureWild', {
          value,
          min: -WILD_TEMPERATURE,
          max: WILD_TEMPERATURE,
          kind: 'temperature',
          params: { date: day },
        });
    if (low !== null && high !== null && low > high)
      return refuse('coldOverWarmDay', { value: low, params: { day } });
    if (day < from) continue;
    if (weather.length >= MOST_WEATHER) left++;
    else weather.push({ day, rain: rain === null ? null : rain / 1000, low, high, from: 'file' });
  }
  return weather.length === 0 ? refuse('fileEmpty') : { ok: true, weather, left };
}
