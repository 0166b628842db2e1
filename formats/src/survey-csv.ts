/** Spot levels from delimited text. A column `line` or `string` of names makes breaklines. */
import type { Problem } from '@cimiento/core';
import { type Order, SURVEY_UNITS, type Survey, type SurveyPoint, type SurveyUnit } from './survey.ts';
import { columnOf, readTable, type Table } from './table.ts';

interface Columns {
  readonly east: number;
  readonly north: number;
  readonly level: number;
  readonly line: number;
}

/** Columns by their heads; null when the heads do not say. */
function byHead(head: readonly string[]): Columns | null {
  const east = columnOf(head, 'x', 'e', 'east', 'easting', 'este');
  const north = columnOf(head, 'y', 'n', 'north', 'northing', 'norte');
  const level = columnOf(head, 'z', 'level', 'elev', 'elevation', 'height', 'rl', 'cota', 'nivel');
  return east < 0 || north < 0 || level < 0
    ? null
    : { east, north, level, line: columnOf(head, 'line', 'string', 'breakline', 'linea') };
}

const byOrder = (order: Order): Columns => ({
  east: order.indexOf('E'),
  north: order.indexOf('N'),
  level: order.indexOf('Z'),
  line: -1,
});

/** What a file seems to hold, so that a person can be asked about the rest. */
export interface SurveyLook {
  /** Null: the heads say which column is which. */
  readonly order: Order | null;
  readonly first: readonly (readonly string[])[];
}

const guess = (table: Table): Order => ((table.rows[0]?.length ?? 3) > 3 ? 'PENZ' : 'ENZ');

/** Characters looked at before a person is asked. */
const LOOKED_AT = 4000;

/** The first rows, and the order of columns to start from. */
export function lookAtSurvey(text: string): { ok: true; look: SurveyLook } | { ok: false; problem: Problem } {
  // The last line of a part may be cut: it is left out.
  const part = text.length > LOOKED_AT ? text.slice(0, LOOKED_AT).replace(/[^\n]*$/, '') : text;
  const read = readTable(part, 2);
  if (!read.ok) return read;
  const { head, rows } = read.table;
  return {
    ok: true,
    look: { order: head && byHead(head) ? null : guess(read.table), first: rows.slice(0, 3) },
  };
}

export type ReadSurvey =
  | { readonly ok: true; readonly survey: Survey }
  | { readonly ok: false; readonly problem: Problem };

/**
 * Reads spot levels.
 * @param order of the columns where no head names them; null: as the file suggests
 */
export function readSurveyCsv(text: string, order: Order | null, unit: SurveyUnit): ReadSurvey {
  const read = readTable(text, 3);
  if (!read.ok) return read;
  const { rows, head, number, firstLine } = read.table;
  const columns = (head && byHead(head)) ?? byOrder(order ?? guess(read.table));
  const factor = SURVEY_UNITS[unit];
  const points: SurveyPoint[] = [];
  const lines = new Map<string, number[]>();
  for (const [i, row] of rows.entries()) {
    const values: number[] = [];
    for (const column of [columns.east, columns.north, columns.level]) {
      const value = number(row[column] ?? '');
      if (value === null)
        return {
          ok: false,
          problem: {
            code: 'notANumber',
            path: '',
            value: (row[column] ?? '').slice(0, 40),
            params: { line: firstLine + i, column: column + 1 },
          },
        };
      values.push(value * factor);
    }
    const name = columns.line >= 0 ? (row[columns.line] ?? '').trim() : '';
    if (name !== '') {
      const line = lines.get(name);
      if (line) line.push(points.length);
      else lines.set(name, [points.length]);
    }
    points.push([values[0]!, values[1]!, values[2]!]);
  }
  return {
    ok: true,
    survey: { points, breaklines: [...lines.values()].filter((line) => line.length > 1) },
  };
}

/** Writes spots with the names of the lines that run through them. */
export function writeSurveyCsv(survey: Survey): string {
  const name = new Map<number, string>();
  survey.breaklines.forEach((line, i) => {
    for (const at of line) name.set(at, `L${i + 1}`);
  });
  return `x,y,z,line\r\n${survey.points.map(([x, y, z], i) => `${x},${y},${z},${name.get(i) ?? ''}\r\n`).join('')}`;
}
