/** Mean air temperatures, daily or monthly: `date,mean`, `year,month,mean` or `year,month,day,mean`. */
import { looksFahrenheit, type Problem, type ProblemCode, type Reading } from '@cimiento/core';
import { columnOf, readTable, type Table } from './table.ts';

export type ReadClimate =
  | {
      readonly ok: true;
      readonly readings: readonly Reading[];
      /** The figures can hardly be °C although they were read as such. */
      readonly fahrenheit: boolean;
    }
  | { readonly ok: false; readonly problem: Problem };

interface Columns {
  readonly date: number;
  readonly year: number;
  readonly month: number;
  readonly day: number;
  readonly mean: number;
}

function columnsOf({ head, rows }: Table): Columns | null {
  if (head) {
    const found = {
      date: columnOf(head, 'date', 'fecha'),
      year: columnOf(head, 'year', 'ano', 'anio'),
      month: columnOf(head, 'month', 'mes'),
      day: columnOf(head, 'day', 'dia'),
      mean: head.findIndex((name) => /mean|temp|tavg|media|°c|°f/.test(name)),
    };
    return found.mean < 0 || (found.date < 0 && (found.year < 0 || found.month < 0)) ? null : found;
  }
  const width = rows[0]?.length ?? 0;
  if (width === 2) return { date: 0, year: -1, month: -1, day: -1, mean: 1 };
  if (width === 3) return { date: -1, year: 0, month: 1, day: -1, mean: 2 };
  return { date: -1, year: 0, month: 1, day: 2, mean: 3 };
}

/** '2011-12-31' or '2011-12', also with / or . between. */
function dateOf(text: string): [number, number, number | null] | null {
  const match = /^(\d{4})[-/.](\d{1,2})(?:[-/.](\d{1,2}))?$/.exec(text.trim());
  return match ? [Number(match[1]), Number(match[2]), match[3] ? Number(match[3]) : null] : null;
}

const daysIn = (year: number, month: number) => new Date(Date.UTC(year, month, 0)).getUTCDate();

/** Coldest and warmest mean of a day ever measured, with room, °C. */
const COLDEST = -75;
const WARMEST = 60;

/** Reads a climate record. @param fahrenheit the figures are °F */
export function readClimateCsv(text: string, fahrenheit: boolean): ReadClimate {
  const read = readTable(text, 2);
  if (!read.ok) return read;
  const { table } = read;
  const { rows, number, firstLine } = table;
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadClimate => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  const columns = columnsOf(table);
  if (!columns) return refuse('columnsUnknown');
  const raw: Reading[] = [];
  for (const [i, row] of rows.entries()) {
    const line = firstLine + i;
    const cell = (column: number) => (column < 0 ? '' : (row[column] ?? ''));
    // A reading that was never taken is left blank in most records.
    if (/^(|na|nan|-|null)$/i.test(cell(columns.mean).trim())) continue;
    const mean = number(cell(columns.mean));
    const date =
      columns.date >= 0
        ? dateOf(cell(columns.date))
        : ([
            number(cell(columns.year)),
            number(cell(columns.month)),
            columns.day < 0 ? null : number(cell(columns.day)),
          ] as const);
    if (mean === null)
      return refuse('notANumber', {
        value: cell(columns.mean).slice(0, 40),
        params: { line, column: columns.mean + 1 },
      });
    const [year, month, day] = date ?? [null, null, null];
    const dated =
      year !== null &&
      month !== null &&
      year >= 1700 &&
      year <= 2500 &&
      month >= 1 &&
      month <= 12 &&
      Number.isInteger(year) &&
      Number.isInteger(month) &&
      (day === null ? columns.day < 0 : Number.isInteger(day) && day >= 1 && day <= daysIn(year, month));
    if (!dated) return refuse('notADate', { params: { line } });
    raw.push({ year, month, day, mean });
  }
  if (raw.length === 0) return refuse('fileEmpty');
  const readings = fahrenheit ? raw.map((r) => ({ ...r, mean: ((r.mean - 32) * 5) / 9 })) : raw;
  const suspect = !fahrenheit && looksFahrenheit(raw);
  const wild = suspect ? undefined : readings.find((r) => r.mean < COLDEST || r.mean > WARMEST);
  if (wild)
    return refuse('temperatureWild', {
      value: wild.mean,
      kind: 'temperature',
      min: COLDEST,
      max: WARMEST,
      params: { date: `${wild.year}-${wild.month}` },
    });
  return { ok: true, readings, fahrenheit: suspect };
}
