/** The days of a job as CSV (RFC 4180), one row a task, in the order they begin. */
import type { Days } from '@cimiento/core';
import { cell } from './takeoff-csv.ts';

const HEAD = [
  'task',
  'element',
  'pour',
  'begins',
  'ends',
  'hours',
  'clock',
  'people',
  'done',
  'late',
  'after',
] as const;

export function daysCsv({ tasks }: Days): string {
  const rows = [...tasks]
    .sort((p, q) => (p.begins < q.begins ? -1 : p.begins > q.begins ? 1 : 0))
    .map(({ id, element, pour, begins, ends, work, passes, people, done, late, after }) => [
      id,
      element,
      pour,
      begins,
      ends,
      work,
      passes,
      people,
      done,
      late,
      after.join(' '),
    ]);
  return `${[HEAD, ...rows].map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`;
}
