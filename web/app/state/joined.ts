import type { SiteRecord } from '@cimiento/core';

/** Joins lists of records, one of each id: the server's word on it first. */
export function joined(known: readonly SiteRecord[], more: readonly SiteRecord[]): readonly SiteRecord[] {
  const byId = new Map(known.map((record) => [record.id, record]));
  for (const record of more) byId.set(record.id, record);
  return [...byId.values()];
}
