/** The takeoff as CSV (RFC 4180), one row a figure, for a spreadsheet. SI throughout. */
import { elementName, type Plan, type Takeoff } from '@cimiento/core';
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
  const nameOf = (id: string) => elementName(plan, id);
  for (const pour of json.pours) {
    const name = pour.name ?? pour.id;
    for (const key of ['neat', 'low', 'stays', 'wanted', 'ordered', 'band'] as const)
      rows.push(['pour', name, key, pour[key], 'm3']);
    rows.push(['pour', name, 'loads', pour.loads, '']);
    // Each pass, stage and rise of it, under the name the pour's own list has it by.
    for (const cast of pour.casts) {
      rows.push(['cast', cast.key, 'volume', cast.volume, 'm3'], ['cast', cast.key, 'pour', pour.id, '']);
      rows.push(['cast', cast.key, 'bottom', cast.bottom, 'm'], ['cast', cast.key, 'top', cast.top, 'm']);
    }
  }
  for (const { element, side, stage, needed, available, bank, loose, broughtIn } of json.backfill.stages) {
    const name = `${element === null ? '' : nameOf(element)} ${side} ${stage}`.trim();
    for (const [key, value] of Object.entries({ needed, available, bank, loose, broughtIn }))
      rows.push(['backfill', name, key, value, 'm3']);
  }
  for (const one of json.strips) {
    const name = plan.site.strips.find(({ id }) => id === one.id)?.name ?? one.id;
    rows.push(['strip', name, 'kind', one.kind, ''], ['strip', name, 'area', one.area, 'm2']);
    rows.push(['strip', name, 'bank', one.bank, 'm3']);
  }
  for (const one of json.steel) {
    const mark = plan.pour.steel.find(({ id }) => id === one.id)?.name ?? one.id;
    rows.push(['steel', mark, 'element', nameOf(one.element), ''], ['steel', mark, 'kind', one.kind, '']);
    rows.push(['steel', mark, 'bars', one.bars, ''], ['steel', mark, 'each', one.each, 'm']);
    rows.push(['steel', mark, 'pieces', one.pieces, ''], ['steel', mark, 'supports', one.supports, '']);
    rows.push(['steel', mark, 'mass', one.mass, 'kg'], ['steel', mark, 'bought', one.bought, 'kg']);
  }
  for (const one of json.fittings) {
    rows.push(
      ['fitting', one.id, 'element', nameOf(one.element), ''],
      ['fitting', one.id, 'kind', one.kind, ''],
    );
    rows.push(['fitting', one.id, 'count', one.count, ''], ['fitting', one.id, 'length', one.metres, 'm']);
  }
  for (const one of json.hand) {
    rows.push(['hand', nameOf(one.id), 'hours', one.hours, 'h']);
  }
  for (const c of json.cautions) rows.push(['caution', c.code, c.weight, c.elements.join(' '), '']);
  return `${rows.map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`;
}
