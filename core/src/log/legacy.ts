/** Records as they were written earlier: in the plan itself up to its versions 5 and 11, and under older names. */
import { loggedBefore, lowBefore } from '../plan/migrate.ts';
import type { RecordKindId, RecordValue } from './kinds/index.ts';
import { bedLift } from './placement.ts';
import type { SiteRecord } from './record.ts';

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
  // A name once given out stays: what was taken over earlier is known by it.
  const record = <K extends RecordKindId>(
    kind: K,
    when: string,
    value: RecordValue<K>,
    name: string = kind,
    element: string | null = null,
  ): SiteRecord => {
    const day = DATE.exec(when)?.[1];
    const at = day && !Number.isNaN(Date.parse(day)) ? `${day}T00:00:00.000Z` : UNKNOWN_TIME;
    count++;
    return {
      id: `old-${name}-${String(count).padStart(4, '0')}`,
      kind,
      at,
      by: '',
      element,
      placement: null,
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
    ...laidBare.map((hazard) => record('exposed', '', { hazard, bare: true }, 'laidBare')),
    ...lowBefore(document).map(({ element, low }) =>
      record('shot', '', { on: 'formation', from: { by: 'said', low } }, 'low', element),
    ),
  ];
}

/** Kinds that had another name. */
const RENAMED: Readonly<Record<string, RecordKindId>> = { laidBare: 'exposed', recharge: 'risingHead' };

/**
 * A record as it is written now: kinds by their names, and what named the lift of a bed within its value named
 * as a placement. Anything else comes out as it went in, to be checked.
 */
export function upgradedRecord(record: unknown): unknown {
  if (typeof record !== 'object' || record === null) return record;
  const { kind, value } = record as { readonly kind?: unknown; readonly value?: unknown };
  const named = typeof kind === 'string' && Object.hasOwn(RENAMED, kind) ? { kind: RENAMED[kind] } : {};
  if (typeof value !== 'object' || value === null || !('lift' in value)) return { ...record, ...named };
  const { bed, layer, lift, ...rest } = value as Record<string, unknown>;
  if (typeof bed !== 'string' || typeof layer !== 'string' || typeof lift !== 'number') return record;
  return { ...record, placement: bedLift({ bed, layer, lift }), value: rest };
}
