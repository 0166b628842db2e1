/** One job's whole record as CSV (RFC 4180), one row a record, in the order of time. SI. */
import { inTime, type Plan, type SiteRecord, standing } from '@cimiento/core';
import { cell } from './takeoff-csv.ts';

const HEAD = ['at', 'by', 'kind', 'element', 'x', 'y', 'value', 'stands', 'id', 'corrects', 'placement'];

/** A record's value as "name=value; …"; empty when it takes another back. */
const valueText = (value: SiteRecord['value']): string =>
  value === null
    ? ''
    : Object.entries(value)
        .filter(([, part]) => part !== '')
        .map(([name, part]) => `${name}=${String(part)}`)
        .join('; ');

export function writeRecordCsv(plan: Plan, records: readonly SiteRecord[]): string {
  const stand = new Set(standing(records));
  const name = (id: string | null) => plan.elements.find((element) => element.id === id)?.name ?? id;
  const rows = inTime(records).map((record) => [
    record.at,
    record.by,
    record.kind,
    name(record.element),
    record.place?.[0] ?? null,
    record.place?.[1] ?? null,
    valueText(record.value),
    stand.has(record) ? 'yes' : 'no',
    record.id,
    record.corrects,
    record.placement,
  ]);
  return `${[HEAD, ...rows].map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`;
}
