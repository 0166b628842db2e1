/** What a sieve lets through, as CSV: `size,passing`, mm and %. In any order; sorted by size. */
import { type Grading, gradingFault, type Problem, type ProblemCode } from '@cimiento/core';
import { columnOf, readTable } from './table.ts';

export type ReadGrading =
  | { readonly ok: true; readonly grading: Grading }
  | { readonly ok: false; readonly problem: Problem };

const MOST = 24;

export function readGradingCsv(text: string): ReadGrading {
  const read = readTable(text, 2);
  if (!read.ok) return read;
  const { rows, head, number, firstLine } = read.table;
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadGrading => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  const size = head ? columnOf(head, 'size', 'sieve', 'mm', 'tamiz', 'tamano') : 0;
  const passing = head ? head.findIndex((name) => /pass|pasa|%/.test(name)) : 1;
  if (size < 0 || passing < 0)
    return refuse('columnMissing', { params: { column: size < 0 ? 'size' : 'passing' } });
  if (rows.length > MOST) return refuse('gradingLong', { value: rows.length, max: MOST });
  const points: { size: number; passing: number }[] = [];
  for (const [i, row] of rows.entries()) {
    const line = firstLine + i;
    const [mm, percent] = [number(row[size] ?? ''), number(row[passing] ?? '')];
    const bad = mm === null ? size : percent === null ? passing : -1;
    if (mm === null || percent === null)
      return refuse('notANumber', {
        value: (row[bad] ?? '').slice(0, 40),
        params: { line, column: bad + 1 },
      });
    if (mm < 1e-4 || mm > 300 || percent < 0 || percent > 100)
      return refuse('gradingWild', { params: { line } });
    points.push({ size: mm / 1000, passing: percent / 100 });
  }
  points.sort((p, q) => p.size - q.size);
  if (points.length < 3) return refuse('gradingShort');
  if (gradingFault(points) !== null) return refuse('gradingFalls');
  return { ok: true, grading: points };
}
