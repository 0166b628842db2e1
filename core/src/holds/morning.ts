/** The morning list: whether the competent person has been through it since the last thing that undoes it. */
import type { BookedRecord, Happening } from '../log/index.ts';
import { MORNING_ITEMS, type MorningItem } from '../log/kinds/morning.ts';

type Look = BookedRecord<'looks'>;
export type MorningRecord = Extract<Look, { readonly kind: 'morning' }>;

export interface MorningState {
  /** Nobody has been through it today; again after something happened; through, and something is not in order; in order. */
  readonly state: 'none' | 'again' | 'bad' | 'good';
  /** The newest of today. */
  readonly list: MorningRecord | null;
  /** What happened after it. */
  readonly after: Happening | null;
  readonly bad: readonly MorningItem[];
}

/**
 * @param looks in the order of time
 * @param day of a moment, as the job's own clock has it: two of one day are equal
 * @param now ISO 8601
 */
export function morningOf(looks: readonly Look[], day: (at: string) => string, now: string): MorningState {
  const today = day(now);
  const at = looks.findLastIndex((look) => look.kind === 'morning' && day(look.at) === today);
  const list = at >= 0 ? (looks[at] as MorningRecord) : null;
  if (!list) return { state: 'none', list: null, after: null, bad: [] };
  const event = looks.slice(at + 1).findLast((look) => look.kind === 'happened' || look.kind === 'fell');
  const bad = MORNING_ITEMS.filter((item) => list.value.items[item] === 'bad');
  // A side that was measured as it fell is a fall all the same.
  if (event?.kind === 'fell') return { state: 'again', list, after: 'fall', bad };
  if (event?.kind === 'happened') return { state: 'again', list, after: event.value.what, bad };
  return { state: bad.length > 0 ? 'bad' : 'good', list, after: null, bad };
}

/**
 * Ladders of a trench so that nobody walks farther than asked to one: as few as do, each in the middle of its share.
 * @returns m along the trench
 */
export function laddersAlong(length: number, travel: number): number[] {
  const count = Math.max(1, Math.ceil(length / (2 * travel) - 1e-9));
  return Array.from({ length: count }, (_, i) => ((i + 0.5) * length) / count);
}
