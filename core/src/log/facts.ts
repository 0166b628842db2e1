/** Records folded into what is known: corrections in, what was withdrawn out. */

import { standing } from './causal-order.ts';
import { type Folding, gathered } from './fold.ts';
import { BOOKS, type Book } from './kind.ts';
import { type Folded, RECORD_KIND_IDS, type RecordKindId, recordKindOf } from './kinds/index.ts';
import { placementKey } from './placement.ts';
import type { BookedRecord, PlacedRecord, SiteRecord } from './record.ts';

/** What the records of each kind amount to, and the history of each placement in the order of time. */
export type Facts = { readonly [K in RecordKindId]: Folded<K> } & {
  /** By `placementKey`. */
  readonly histories: ReadonlyMap<string, readonly PlacedRecord[]>;
} & {
  /** Records of the kinds of a book, in the order of time. */
  readonly [B in Book]: readonly BookedRecord<B>[];
};

export const NO_RECORDS: readonly SiteRecord[] = [];

/** Records of one kind with what they amount to. */
interface Part {
  readonly of: readonly SiteRecord[];
  readonly known: unknown;
}
interface Whole {
  readonly parts: ReadonlyMap<string, Part>;
  readonly facts: Facts;
}

const HISTORIES = 'histories';
const parted = (stand: readonly SiteRecord[]): Map<string, SiteRecord[]> => {
  const out = new Map<string, SiteRecord[]>(
    [...RECORD_KIND_IDS, HISTORIES, ...BOOKS].map((name) => [name, []]),
  );
  for (const record of stand) {
    out.get(record.kind)!.push(record);
    const { onPlacement, book } = recordKindOf(record.kind);
    if (record.placement !== null && onPlacement) out.get(HISTORIES)!.push(record);
    if (book) out.get(book)!.push(record);
  }
  return out;
};

const isBook = (name: string): name is Book => BOOKS.some((book) => book === name);

function foldInto(name: string, known: unknown, more: readonly SiteRecord[]): unknown {
  if (isBook(name)) return [...((known as SiteRecord[] | null) ?? []), ...more];
  return name === HISTORIES
    ? gathered(
        known as Facts['histories'] | null,
        more as readonly PlacedRecord[],
        ({ element, placement }) => placementKey(element, placement),
        (record) => record,
      )
    : recordKindOf(name as RecordKindId).fold(known, more as readonly Folding<unknown>[]);
}

/** What a part amounts to now: what came after is folded into what was known; else all of it anew. */
function partOf(name: string, of: readonly SiteRecord[], before: Part | undefined): Part {
  const grown = before && before.of.length <= of.length && before.of.every((record, i) => record === of[i]);
  if (!grown) return { of, known: foldInto(name, null, of) };
  if (before.of.length === of.length) return before;
  return { of, known: foldInto(name, before.known, of.slice(before.of.length)) };
}

const folded = new WeakMap<readonly SiteRecord[], Facts>();
/** What was folded last: lists grow by a record at a time, and most of what they say stays as it was. */
let latest: Whole | null = null;

/**
 * What some records say together. The same list gives the same object, and so does one that says no more than
 * the one before it: a note moves nothing.
 */
export function factsOf(records: readonly SiteRecord[]): Facts {
  const known = folded.get(records);
  if (known) return known;
  const before = latest;
  const parts = new Map<string, Part>();
  for (const [name, of] of parted(standing(records)))
    parts.set(name, partOf(name, of, before?.parts.get(name)));
  const same =
    before !== null && [...parts].every(([name, { known }]) => known === before.parts.get(name)!.known);
  const facts = same
    ? before.facts
    : (Object.fromEntries([...parts].map(([name, { known }]) => [name, known])) as unknown as Facts);
  latest = { parts, facts };
  folded.set(records, facts);
  return facts;
}
