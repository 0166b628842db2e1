/**
 * Rain by the hour as CSV: `time,mm`, times as 2026-03-14T20:00 or 2026-03-14 20:00 on the job's own clock.
 * Readings more often than hourly are added up by the hour they fall in.
 */
import { momentOf, type Problem, type ProblemCode } from '@cimiento/core';
import { columnOf, readTable } from './table.ts';

export type ReadRain =
  | {
      readonly ok: true;
      /** The hour it begins, as a local time, and m of rain of every hour from it. */
      readonly start: string;
      readonly hourly: readonly number[];
    }
  | { readonly ok: false; readonly problem: Problem };

const MOST_HOURS = 96;
/** In an hour more has never been measured, mm. */
const WILD = 200;
const HOUR = 3_600_000;

/** A time as the plan writes them; null when it is none. */
function timeOf(text: string): string | null {
  const match = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})[T ](\d{1,2}):(\d{2})(?::\d{2})?$/.exec(text.trim());
  if (!match) return null;
  const [, year, month, day, hour, minute] = match as unknown as readonly string[];
  const two = (part: string) => part.padStart(2, '0');
  return `${year}-${two(month!)}-${two(day!)}T${two(hour!)}:${minute}`;
}

/** @param zone of the job: an hour its clock skips is no hour */
export function readRainCsv(text: string, zone: string): ReadRain {
  const read = readTable(text, 2);
  if (!read.ok) return read;
  const { rows, head, number, firstLine } = read.table;
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadRain => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  const time = head ? columnOf(head, 'time', 'hora', 'fecha', 'date') : 0;
  const rain = head ? head.findIndex((name) => /mm|rain|lluvia/.test(name)) : 1;
  if (time < 0 || rain < 0) return refuse('columnMissing', { params: { column: time < 0 ? 'time' : 'mm' } });
  const fallen = new Map<number, number>();
  let [first, firstLocal, before] = [0, '', -Infinity];
  for (const [i, row] of rows.entries()) {
    const line = firstLine + i;
    const local = timeOf(row[time] ?? '');
    const moment = local === null ? null : momentOf(local, zone);
    if (local === null) return refuse('notADate', { params: { line } });
    if (moment === null) return refuse('noSuchHour', { params: { line }, value: local.replace('T', ' ') });
    if (moment <= before) return refuse('timeBack', { params: { line }, value: local.replace('T', ' ') });
    before = moment;
    const mm = number(row[rain] ?? '');
    if (mm === null)
      return refuse('notANumber', {
        value: (row[rain] ?? '').slice(0, 40),
        params: { line, column: rain + 1 },
      });
    if (mm < 0 || mm > WILD)
      return refuse('rainWild', {
        value: mm / 1000,
        min: 0,
        max: WILD / 1000,
        kind: 'size',
        params: { line },
      });
    if (fallen.size === 0) [first, firstLocal] = [moment, local];
    const hour = Math.floor((moment - first) / HOUR);
    if (hour >= MOST_HOURS) return refuse('rainLong', { value: hour, max: MOST_HOURS, params: { line } });
    if (hour > 0 && !fallen.has(hour) && !fallen.has(hour - 1))
      return refuse('rainGap', { params: { line }, value: local.replace('T', ' ') });
    fallen.set(hour, (fallen.get(hour) ?? 0) + mm / 1000);
  }
  if (fallen.size === 0) return refuse('fileEmpty');
  return {
    ok: true,
    start: firstLocal,
    hourly: Array.from({ length: Math.max(...fallen.keys()) + 1 }, (_, i) => fallen.get(i) ?? 0),
  };
}
