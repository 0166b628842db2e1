/** A list gone through before somebody is asked to look: what of it is done. */
import type { HoldKind } from '../../plan/kinds.ts';
import { id, listOf, object } from '../../plan/parts.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

/** What is gone through of each kind of work; none where shots, tests and tapes say it. */
export const TICK_LISTS = {
  setout: [],
  bottom: [],
  lift: [],
  lean: ['clean', 'thickness', 'level'],
  forms: ['size', 'braced', 'steel', 'cover', 'sleeves', 'clean'],
  pour: ['ordered', 'way', 'vibrator', 'weather', 'cure'],
  leak: ['filled', 'held', 'sleeves'],
  proofing: ['dry', 'laps', 'guarded'],
  backfill: ['cured', 'propped', 'proofed', 'drain'],
  bay: ['cured', 'packed', 'clean'],
  pump: ['waterOutside', 'filledOver'],
  posts: ['packed', 'carries'],
} as const satisfies Readonly<Record<HoldKind, readonly string[]>>;
export type Tick = (typeof TICK_LISTS)[HoldKind][number];

export const tickedValue = checked(object({ hold: id, done: listOf(id, 0, 20) }));

/** Names a hold of an element in the facts. */
export const holdKey = (hold: string, element: string | null): string => `${hold}/${element ?? ''}`;

export const ticked = recordKind<typeof tickedValue>()({
  measures: {},
  onPlacement: false,
  /** As it was last gone through, by hold and element. */
  fold: lastBy(({ value, element }) => holdKey(value.hold, element)),
  said: ({ done }) => [{ sentence: 'record.tickedValue', parts: { count: done.length } }],
});
