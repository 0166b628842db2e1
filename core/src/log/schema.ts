/** Schemas of records, one a kind, for whatever comes from outside. */
import * as Type from 'typebox';
import { MOST_REVISIONS } from '../plan/limits.ts';
import { id, object, orNull, Point, text } from '../plan/parts.ts';
import { RECORD_KIND_IDS, RECORD_VALUES, type RecordKindId } from './kinds/index.ts';
import { PLACEMENT_NAME } from './placement.ts';

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
      // Records of earlier files say none of the three.
      placement: Type.Optional(orNull(Type.String({ pattern: PLACEMENT_NAME, maxLength: 200 }))),
      place: orNull(Point),
      corrects: orNull(id),
      after: Type.Optional(orNull(id)),
      revision: Type.Optional(orNull(Type.Integer({ minimum: 1, maximum: MOST_REVISIONS }))),
      value: orNull(RECORD_VALUES[kind].schema),
    }),
  ]),
) as unknown as Readonly<Record<RecordKindId, Type.TSchema>>;
