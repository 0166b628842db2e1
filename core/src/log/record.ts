/**
 * A record: what someone did or saw. It is never changed or undone, only corrected by a newer one.
 */
import type { Book } from './kind.ts';
import type { BookedKindId, PlacedKindId, RecordKindId, RecordValue } from './kinds/index.ts';

/** Of one job; more is another job, or a mistake. */
export const MOST_RECORDS = 20_000;

/** What every record carries, whatever it is of. */
interface Entry {
  /** Made by the client: sent twice it is kept once. */
  readonly id: string;
  /** When it was seen or done, by the clock of who logged it, ISO 8601. */
  readonly at: string;
  /** Who logged it, by name; empty when it came with an old plan. */
  readonly by: string;
  /** Of which element; null: of the job. */
  readonly element: string | null;
  /** What it hangs on of what is laid, cast or filled there, see placement.ts; null: on nothing of it. */
  readonly placement: string | null;
  /** Where, m in plan; null when nobody said. */
  readonly place: readonly [number, number] | null;
  /** Id of the record it corrects. */
  readonly corrects: string | null;
  /** Id of the newest record known where it was made: it comes after that one, whatever the clocks say. */
  readonly after: string | null;
  /** The plan's revision it was seen against; null when nobody said. */
  readonly revision: number | null;
}

export type RecordOf<K extends RecordKindId> = Entry & {
  readonly kind: K;
  readonly value: RecordValue<K> | null;
};
/** A record; `value` null withdraws the one it corrects. */
export type SiteRecord = { [K in RecordKindId]: RecordOf<K> }[RecordKindId];

/** A record that stands and hangs on a placement. */
export type PlacedRecord = {
  [K in PlacedKindId]: RecordOf<K> & { readonly value: RecordValue<K>; readonly placement: string };
}[PlacedKindId];

/** A record that stands in a book. */
export type BookedRecord<B extends Book> = {
  [K in BookedKindId<B>]: RecordOf<K> & { readonly value: RecordValue<K> };
}[BookedKindId<B>];
