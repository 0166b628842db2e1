/**
 * What is logged on a job: one row a kind of record. A record says what someone did or saw; it is
 * never changed or undone, only corrected by a newer one. A new kind is its value here, its schema in
 * schema.ts and its words in the interface; the compiler names what is missing.
 */
import type { Range } from '../plan/fields.ts';

/** Numbers a record holds: what may be typed. */
export const MEASURES = {
  dugVolume: { kind: 'volume', min: 0.1, max: 5000 },
  dugHours: { kind: 'hours', min: 0.1, max: 100 },
  handLoose: { kind: 'volume', min: 0.05, max: 500 },
  handHours: { kind: 'hours', min: 0.1, max: 500 },
  taped: { kind: 'taped', min: 0.01, max: 5000 },
  frozenDepth: { kind: 'length', min: 0, max: 5 },
} as const satisfies Record<string, Range>;

export interface RecordValues {
  /** A machine's day: bank m³ it dug, by the crew's own count, in so many hours. */
  readonly dug: { machine: string; when: string; volume: number; hours: number };
  /** What people dug: loose m³ as it lies in the heap or went in the barrow, in so many hours of one person. */
  readonly handDug: { volume: number; hours: number };
  /** A distance between two corners, by tape, m. */
  readonly taped: { from: string; to: string; distance: number };
  /** How deep the ground was found frozen, m; 0: thawed. */
  readonly frozen: { depth: number; from: 'typed' | 'feed'; when: string };
  /** A buried service laid bare by hand, or covered again. */
  readonly laidBare: { hazard: string; bare: boolean };
  /** Anything worth telling. */
  readonly note: { text: string };
}

/** Message key of what each kind is. */
export const RECORD_KINDS = {
  dug: { label: 'record.dug' },
  handDug: { label: 'record.handDug' },
  taped: { label: 'record.taped' },
  frozen: { label: 'record.frozen' },
  laidBare: { label: 'record.laidBare' },
  note: { label: 'record.note' },
} as const satisfies Record<keyof RecordValues, { readonly label: string }>;

export type RecordKindId = keyof typeof RECORD_KINDS;
export const RECORD_KIND_IDS = Object.keys(RECORD_KINDS) as readonly RecordKindId[];
export type RecordValue<K extends RecordKindId> = RecordValues[K];

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
  /** Where, m in plan; null when nobody said. */
  readonly place: readonly [number, number] | null;
  /** Id of the record it corrects. */
  readonly corrects: string | null;
}

/** A record; `value` null withdraws the one it corrects. */
export type SiteRecord = {
  [K in RecordKindId]: Entry & { readonly kind: K; readonly value: RecordValues[K] | null };
}[RecordKindId];
