/** Schemas of records, one a kind, for whatever comes from outside. */
import Type, { type Static, type TSchema } from 'typebox';
import { MOST_REVISIONS } from '../plan/limits.ts';
import { id, name, object, oneOf, orNull, Point, text, within } from '../plan/parts.ts';
import { WHOLE_TEXT } from '../plan/text.ts';
import {
  CONE_SOILS,
  FEELS,
  MEASURES,
  RECORD_KIND_IDS,
  REWORKS,
  type RecordKindId,
  type RecordValues,
  WETNESSES,
} from './kinds.ts';

const list = <T extends TSchema>(items: T, minItems: number, maxItems: number) =>
  Type.Array(items, { minItems, maxItems });
const LiftOf = { bed: id, layer: id, lift: Type.Integer({ minimum: 1, maximum: 100 }) };
const said = Type.String({ minLength: 1, maxLength: 400, pattern: WHOLE_TEXT });

const VALUES = {
  dug: object({
    machine: id,
    when: text(40),
    volume: within(MEASURES.dugVolume),
    hours: within(MEASURES.dugHours),
  }),
  handDug: object({ volume: within(MEASURES.handLoose), hours: within(MEASURES.handHours) }),
  lab: object({
    bed: id,
    layer: id,
    grains: within(MEASURES.grains),
    points: list(
      object({ moisture: within(MEASURES.moisture), density: within(MEASURES.dryDensity) }),
      4,
      20,
    ),
    coarse: Type.Optional(
      orNull(
        object({
          share: within(MEASURES.coarseShare),
          grains: within(MEASURES.grains),
          moisture: within(MEASURES.moisture),
        }),
      ),
    ),
  }),
  trial: object({
    bed: id,
    layer: id,
    thickness: within(MEASURES.lift),
    by: oneOf(['density', 'settlement'] as const),
    readings: list(
      object({ passes: within(MEASURES.passes), value: Type.Number({ minimum: 0, maximum: 2800 }) }),
      2,
      30,
    ),
  }),
  bottom: object({
    feel: oneOf(FEELS),
    wet: oneOf(WETNESSES),
    frozen: Type.Boolean(),
    asLogged: Type.Boolean(),
  }),
  cone: object({
    soil: oneOf(CONE_SOILS),
    readings: list(object({ blows: within(MEASURES.blows), depth: within(MEASURES.driven) }), 2, 60),
  }),
  recharge: object({
    length: within(MEASURES.pitSide),
    width: within(MEASURES.pitSide),
    water: within(MEASURES.pitLevel),
    readings: list(object({ minutes: within(MEASURES.minutes), level: within(MEASURES.pitLevel) }), 2, 60),
  }),
  // Nothing is laid on mud, ice or water without a reason.
  laid: Type.Union([
    object({
      ...LiftOf,
      on: Type.Literal('sound'),
      reason: text(400),
      moisture: orNull(within(MEASURES.moisture)),
    }),
    object({
      ...LiftOf,
      on: oneOf(['mud', 'ice', 'water'] as const),
      reason: said,
      moisture: orNull(within(MEASURES.moisture)),
    }),
  ]),
  density: object({
    ...LiftOf,
    wet: within(MEASURES.wetDensity),
    moisture: within(MEASURES.moisture),
    cone: orNull(
      object({
        before: within(MEASURES.weighed),
        after: within(MEASURES.weighed),
        cone: within(MEASURES.weighed),
        sand: within(MEASURES.sandDensity),
        soil: within(MEASURES.weighed),
      }),
    ),
  }),
  rework: object({ ...LiftOf, what: oneOf(REWORKS) }),
  release: object({ ...LiftOf, who: name, reason: text(400) }),
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
      // Records of earlier files say neither.
      after: Type.Optional(orNull(id)),
      revision: Type.Optional(orNull(Type.Integer({ minimum: 1, maximum: MOST_REVISIONS }))),
      value: orNull(VALUES[kind]),
    }),
  ]),
) as unknown as Readonly<Record<RecordKindId, TSchema>>;
