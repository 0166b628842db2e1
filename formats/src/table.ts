/** Delimited text of any making: comma, semicolon or tab; decimal point or comma; a head or none. */
import type { Problem, ProblemCode } from '@cimiento/core';
import { dsvFormat } from 'd3-dsv';

/** Longer files are not read: far above a survey of 100 000 points. */
export const LONGEST_TABLE = 24_000_000;
export const MOST_ROWS = 250_000;

export interface Table {
  readonly rows: readonly (readonly string[])[];
  /** Names of the columns, lower case; null when the first row holds figures. */
  readonly head: readonly string[] | null;
  /** Line of the file the first row stands on, counted from 1. */
  readonly firstLine: number;
  readonly number: (text: string) => number | null;
}

export type ReadTable =
  | { readonly ok: true; readonly table: Table }
  | { readonly ok: false; readonly problem: Problem };

/** What separates columns: the mark that stands most evenly in the first lines. */
function delimiterOf(lines: readonly string[]): string {
  const count = (line: string, mark: string) => line.split(mark).length - 1;
  const steady = (mark: string) => Math.min(...lines.map((line) => count(line, mark)));
  return [';', '\t', ','].find((mark) => steady(mark) > 0) ?? ',';
}

/**
 * Reads delimited text.
 * @param least columns every row must have
 */
export function readTable(text: string, least: number): ReadTable {
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadTable => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  if (text.length > LONGEST_TABLE) return refuse('fileLong', { value: text.length, max: LONGEST_TABLE });
  if (text.includes('\0')) return refuse('fileBinary');
  const clean = text.replace(/^\uFEFF/, '');
  const first = clean
    .slice(0, 20_000)
    .split(/\r?\n/)
    .slice(0, -1)
    .concat(clean.length <= 20_000 ? [clean.split(/\r?\n/).pop() ?? ''] : [])
    .filter((line) => line.trim() !== '' && !line.startsWith('#'))
    .slice(0, 20);
  if (first.length === 0) return refuse('fileEmpty');
  const delimiter = delimiterOf(first);
  const commaDecimals = delimiter !== ',';
  const number = (cell: string): number | null => {
    const plain = commaDecimals && !cell.includes('.') ? cell.replace(',', '.') : cell;
    const trimmed = plain.trim();
    if (!/^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(trimmed)) return null;
    const value = Number(trimmed);
    return Number.isFinite(value) ? value : null;
  };
  const parsed = dsvFormat(delimiter).parseRows(clean);
  const rows: string[][] = [];
  let firstLine = 0;
  let head: string[] | null = null;
  for (const [i, row] of parsed.entries()) {
    if (row.every((cell) => cell.trim() === '') || row[0]?.startsWith('#')) continue;
    // A head is words alone: no cell of it begins like a figure or a date.
    if (rows.length === 0 && head === null && row.every((cell) => !/^\s*[-+]?\.?\d/.test(cell))) {
      head = row.map((cell) => cell.trim().toLowerCase());
      continue;
    }
    if (rows.length === 0) firstLine = i + 1;
    if (row.length < least)
      return refuse('rowShort', { params: { line: i + 1, found: row.length, wanted: least } });
    rows.push(row);
    if (rows.length > MOST_ROWS) return refuse('rowsMany', { max: MOST_ROWS });
  }
  if (rows.length === 0) return refuse('fileEmpty');
  return { ok: true, table: { rows, head, firstLine, number } };
}

/** Position of the first column that bears one of the names; −1 when there is none. */
export const columnOf = (head: readonly string[], ...names: readonly string[]): number =>
  head.findIndex((name) => names.includes(name.replace(/[^a-z0-9]/g, '')));
