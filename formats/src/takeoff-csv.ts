/** The takeoff as CSV (RFC 4180), one row a figure, for a spreadsheet. SI throughout. */
import type { Plan, Takeoff } from '@cimiento/core';
import { takeoffJson } from './takeoff-json.ts';

type CsvValue = string | number | null;

/**
 * One cell. Text that a spreadsheet would take for a formula (first mark = + - @, tab or return)
 * is led by an apostrophe; numbers are written bare. Quotes are doubled.
 */
export function cell(value: CsvValue): string {
  if (value === null) return '';
  if (typeof value === 'number') return Number.isFinite(value) ? String(Math.round(value * 1e6) / 1e6) : '';
  const guarded = /^\s*[=+\-@\t\r]/.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(guarded) ? `"${guarded.replace(/"/g, '""')}"` : guarded;
}

/** Rows of section, item, quantity, value and unit. */
export function takeoffCsv(plan: Plan, takeoff: Takeoff): string {
  const json = takeoffJson(plan, takeoff);
  const rows: CsvValue[][] = [['section', 'item', 'quantity', 'value', 'unit']];
  rows.push(['job', plan.name, 'place', plan.place, '']);
  const figures = Object.entries(json.figures);
  for (const [id, figure] of figures) rows.push(['figure', id, '', figure.value, figure.unit]);
  for (const [, { parts }] of figures)
    for (const { section, item, label, quantity, value, unit } of parts)
      rows.push([section, label ?? item, quantity, value, unit]);
  json.elements.forEach((e, i) => {
    const name = plan.elements[i]?.name ?? e.id;
    rows.push(['element', name, 'governs', e.governs ?? '', '']);
    for (const key of ['formation', 'depth', 'fromString', 'bottomWidth'] as const)
      rows.push(['element', name, key, e[key], 'm']);
    for (const key of ['volume', 'stone', 'concrete'] as const)
      rows.push(['element', name, key, e[key], 'm3']);
  });
  for (const pour of json.pours)
    for (const key of ['neat', 'ordered'] as const)
      rows.push(['pour', pour.name ?? pour.id, key, pour[key], 'm3']);
  for (const one of json.hand) {
    const name = plan.elements.find((e) => e.id === one.id)?.name ?? one.id;
    rows.push(['hand', name, 'hours', one.hours, 'h']);
  }
  for (const c of json.cautions) rows.push(['caution', c.code, c.weight, c.elements.join(' '), '']);
  return `${rows.map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`;
}
