/** Records out of plans of version 5 and older, in which they stood. */
import { loggedBefore } from '../plan/migrate.ts';
import type { RecordKindId, RecordValue, SiteRecord } from './kinds.ts';

/** When none is known they come before all others. */
const UNKNOWN_TIME = '1970-01-01T00:00:00.000Z';
const DATE = /^(\d{4}-\d{2}-\d{2})/;

/**
 * What people had logged in an old plan, as records. The same document gives the same ids, so taking
 * it twice keeps it once.
 * @param document of any version, not yet migrated
 */
export function recordsBefore(document: unknown): SiteRecord[] {
  const { dug, taped, frozen, laidBare } = loggedBefore(document);
  let count = 0;
  const record = <K extends RecordKindId>(kind: K, when: string, value: RecordValue<K>): SiteRecord => {
    const day = DATE.exec(when)?.[1];
    const at = day && !Number.isNaN(Date.parse(day)) ? `${day}T00:00:00.000Z` : UNKNOWN_TIME;
    count++;
    return {
      id: `old-${kind}-${String(count).padStart(4, '0')}`,
      kind,
      at,
      by: '',
      element: null,
      place: null,
      corrects: null,
      after: null,
      revision: null,
      value,
    } as SiteRecord;
  };
  return [
    ...dug.map((day) => record('dug', day.when, day)),
    ...taped.map((line) => record('taped', '', line)),
    ...(frozen
      ? [record('frozen', frozen.when, { ...frozen, from: frozen.from === 'feed' ? 'feed' : 'typed' })]
      : []),
    ...laidBare.map((hazard) => record('laidBare', '', { hazard, bare: true })),
  ];
}
