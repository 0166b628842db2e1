/**
 * What is logged on a job: one row a kind of record. A record says what someone did or saw; it is
 * never changed or undone, only corrected by a newer one.
 */
import Type, { type Static, type TSchema } from 'typebox';
import type { Range } from '../plan/fields.ts';
import { id, object, oneOf, orNull, Point, text, within } from '../plan/parts.ts';

/** Numbers a record holds: what may be typed. */
export const MEASURES = {
  dugVolume: { kind: 'volume', min: 0.1, max: 5000 },
  dugHours: { kind: 'hours', min: 0.1, max: 100 },
  taped: { kind: 'taped', min: 0.01, max: 5000 },
  frozenDepth: { kind: 'length', min: 0, max: 5 },
} as const satisfies Record<string, Range>;

interface RecordKind {
  readonly schema: TSchema;
  /** Message key of what it is. */
  readonly label: string;
}

export const RECORD_KINDS = {
  /** A machine's day: what it dug, by the crew's own count. */
  dug: {
    label: 'record.dug',
    schema: object({
      machine: id,
      when: text(40),
      volume: within(MEASURES.dugVolume),
      hours: within(MEASURES.dugHours),
    }),
  },
  /** A distance between two corners, by tape. */
  taped: {
    label: 'record.taped',
    schema: object({ from: text(20), to: text(20), distance: within(MEASURES.taped) }),
  },
  /** How deep the ground was found frozen; 0: thawed. */
  frozen: {
    label: 'record.frozen',
    schema: object({
      depth: within(MEASURES.frozenDepth),
      from: oneOf(['typed', 'feed'] as const),
      when: text(40),
    }),
  },
  /** A buried service laid bare by hand, or covered again. */
  laidBare: { label: 'record.laidBare', schema: object({ hazard: id, bare: Type.Boolean() }) },
  /** Anything worth telling. */
  note: { label: 'record.note', schema: object({ text: text(2000) }) },
} as const satisfies Record<string, RecordKind>;

export type RecordKindId = keyof typeof RECORD_KINDS;
export const RECORD_KIND_IDS = Object.keys(RECORD_KINDS) as readonly RecordKindId[];

type ValueOf<K extends RecordKindId> = Static<(typeof RECORD_KINDS)[K]['schema']>;

/** Of one job; more is another job, or a mistake. */
export const MOST_RECORDS = 20_000;
/** A moment as ISO 8601 with seconds, in UTC. */
const MOMENT = '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{2}:[0-9]{2}:[0-9]{2}(\\.[0-9]{1,3})?Z$';

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
  [K in RecordKindId]: Entry & { readonly kind: K; readonly value: ValueOf<K> | null };
}[RecordKindId];
export type RecordValue<K extends RecordKindId> = ValueOf<K>;

/** One schema a kind, for whatever comes from outside. */
export const RECORD_SCHEMAS = Object.fromEntries(
  RECORD_KIND_IDS.map((kind) => [
    kind,
    object({
      id,
      kind: Type.Literal(kind),
      at: Type.String({ pattern: MOMENT }),
      by: text(120),
      element: orNull(id),
      place: orNull(Point),
      corrects: orNull(id),
      value: orNull(RECORD_KINDS[kind].schema),
    }),
  ]),
) as unknown as Readonly<Record<RecordKindId, TSchema>>;
