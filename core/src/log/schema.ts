/** Schemas of records, one a kind, for whatever comes from outside. */
import Type, { type Static, type TSchema } from 'typebox';
import { id, object, oneOf, orNull, Point, text, within } from '../plan/parts.ts';
import { MEASURES, RECORD_KIND_IDS, type RecordKindId, type RecordValues } from './kinds.ts';

const VALUES = {
  dug: object({
    machine: id,
    when: text(40),
    volume: within(MEASURES.dugVolume),
    hours: within(MEASURES.dugHours),
  }),
  handDug: object({ volume: within(MEASURES.handLoose), hours: within(MEASURES.handHours) }),
  taped: object({ from: text(20), to: text(20), distance: within(MEASURES.taped) }),
  frozen: object({
    depth: within(MEASURES.frozenDepth),
    from: oneOf(['typed', 'feed'] as const),
    when: text(40),
  }),
  laidBare: object({ hazard: id, bare: Type.Boolean() }),
  note: object({ text: text(2000) }),
} as const satisfies Record<RecordKindId, TSchema>;

/** A schema that lets in something else than the kind's value does not compile. */
type Agrees = { [K in RecordKindId]: Static<(typeof VALUES)[K]> extends RecordValues[K] ? true : K };
const _agree: { [K in RecordKindId]: true } = {} as Agrees;
void _agree;

/** A moment as ISO 8601 with seconds, in UTC. */
const MOMENT = '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{2}:[0-9]{2}:[0-9]{2}(\\.[0-9]{1,3})?Z$';

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
      value: orNull(VALUES[kind]),
    }),
  ]),
) as unknown as Readonly<Record<RecordKindId, TSchema>>;
