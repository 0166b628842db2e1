/**
 * The plan: one document, SI, validated by this schema at every door. Levels are metres above
 * the job's own datum, depths metres below ground, x east and y north of the job's origin.
 */
import Type, { type Static, type TSchema } from 'typebox';
import { COMPACTOR_IDS } from '../base/compactors.ts';
import { SLOPE_CLASSES, SOIL_KINDS } from '../ground/kinds.ts';
import { RANGES, type RangeKey } from './ranges.ts';

export const PLAN_FORMAT = 'cimiento-plan';
export const PLAN_VERSION = 1;
export const MOST_ELEMENTS = 400;

const num = (key: RangeKey) => {
  const { min, max } = RANGES[key];
  const slack = 1e-9 * Math.max(1, Math.abs(max));
  return Type.Number({ minimum: min - slack, maximum: max + slack });
};
const text = (most: number) => Type.String({ maxLength: most });
const name = Type.String({ minLength: 1, maxLength: 80 });
const id = Type.String({ pattern: '^[A-Za-z0-9_-]{1,40}$' });
const oneOf = <const T extends readonly string[]>(values: T) =>
  Type.Unsafe<T[number]>({ type: 'string', enum: [...values] });
const object = <T extends Record<string, TSchema>>(fields: T) =>
  Type.Object(fields, { additionalProperties: false });
const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

export const Point = Type.Unsafe<readonly [number, number]>({
  type: 'array',
  prefixItems: [num('elements.coordinate'), num('elements.coordinate')],
  minItems: 2,
  maxItems: 2,
});

/** Values measured or given for this job; what is absent is typical for the kind of soil. */
const SoilValues = Type.Partial(
  object({
    density: num('ground.soils.density'),
    swell: num('ground.soils.swell'),
    shrink: num('ground.soils.shrink'),
    repose: num('ground.soils.repose'),
    permeability: num('ground.soils.permeability'),
    slopeClass: oneOf(SLOPE_CLASSES),
  }),
  { additionalProperties: false },
);

const Soil = object({
  id,
  name: text(80),
  kind: oneOf(SOIL_KINDS),
  top: num('ground.soils.top'),
  values: SoilValues,
});

const Common = {
  id,
  name,
  /** Elements of one group are dug to one level: the lowest any of them needs. */
  group: text(40),
  thickness: num('elements.thickness'),
  method: oneOf(['formed', 'trenchFill'] as const),
  /** Width of the wall or column that stands on it; 0 when none. */
  stem: num('elements.stem'),
  /** Null: the job's. */
  side: orNull(num('dig.side')),
  room: orNull(num('dig.room')),
  bucket: orNull(num('dig.buckets')),
  /** How far the bottom is dug, or found, below what is needed. */
  low: num('elements.low'),
};

const Strip = object({
  kind: Type.Literal('strip'),
  ...Common,
  points: Type.Array(Point, { minItems: 2, maxItems: 200 }),
  closed: Type.Boolean(),
  width: num('elements.width'),
});
const Pad = object({
  kind: Type.Literal('pad'),
  ...Common,
  at: Point,
  length: num('elements.length'),
  width: num('elements.width'),
  /** Degrees, anticlockwise from east. */
  angle: num('elements.angle'),
});

export const PlanSchema = object({
  format: Type.Literal(PLAN_FORMAT),
  version: Type.Literal(PLAN_VERSION),
  name,
  place: text(120),
  note: text(4000),
  system: oneOf(['metric', 'imperial'] as const),
  ruleSet: oneOf(['cautious', 'us'] as const),
  datum: object({ name: text(80), level: num('datum.level') }),
  ground: object({
    surface: object({
      level: num('ground.surface.level'),
      gradeEast: num('ground.surface.gradeEast'),
      gradeNorth: num('ground.surface.gradeNorth'),
    }),
    soils: Type.Array(Soil, { minItems: 1, maxItems: 20 }),
    /** Depth to which the ground is known, taken as the tight base of the water-bearing soil. */
    base: num('ground.base'),
    /** Standing water level; null when none was found. */
    water: orNull(num('ground.water')),
    frost: object({
      local: orNull(num('ground.frost.local')),
      climate: orNull(
        object({
          index: num('ground.frost.climate.index'),
          days: num('ground.frost.climate.days'),
          mean: num('ground.frost.climate.mean'),
          nFactor: num('ground.frost.climate.nFactor'),
        }),
      ),
      margin: num('ground.frost.margin'),
    }),
  }),
  levels: object({
    string: num('levels.string'),
    floor: orNull(
      object({
        level: num('levels.floor.level'),
        layers: Type.Array(object({ id, name, thickness: num('levels.floor.layers.thickness') }), {
          maxItems: 20,
        }),
      }),
    ),
    /** The soil the footings must stand in, and how far into it. */
    bearing: orNull(object({ soil: id, embedment: num('levels.bearing.embedment') })),
    /** Least depth of a footing's underside below ground by the local code. */
    cover: orNull(num('levels.cover')),
    /** An engineer's word on the footing underside: it overrides every rule. */
    instruction: orNull(
      object({ level: num('levels.instruction.level'), who: name, when: text(40), why: text(400) }),
    ),
  }),
  dig: object({
    corners: oneOf(['mitred', 'rounded'] as const),
    side: num('dig.side'),
    /** Form and working space on each side of a formed footing. */
    room: num('dig.room'),
    machine: text(80),
    buckets: Type.Array(num('dig.buckets'), { minItems: 1, maxItems: 12 }),
    /** Null: by soil, 150 mm where water softens it and 50 mm elsewhere. */
    handTrim: orNull(num('dig.handTrim')),
  }),
  spoil: object({
    topsoil: oneOf(['keep', 'haul'] as const),
    keepForBackfill: Type.Boolean(),
    trucks: Type.Array(
      object({ id, name, body: num('spoil.trucks.body'), payload: num('spoil.trucks.payload') }),
      { minItems: 1, maxItems: 6 },
    ),
  }),
  base: orNull(
    object({
      name: text(80),
      thickness: num('base.thickness'),
      density: num('base.density'),
      looseFactor: num('base.looseFactor'),
      topSize: num('base.topSize'),
      compactor: oneOf(COMPACTOR_IDS),
      /** The specification's largest lift; null when it says nothing. */
      maxLift: orNull(num('base.maxLift')),
    }),
  ),
  pour: object({
    blinding: orNull(
      object({
        thickness: num('pour.blinding.thickness'),
        projection: num('pour.blinding.projection'),
      }),
    ),
    /** Null: 20 mm over stone, 10 mm over soil. */
    irregularity: orNull(num('pour.irregularity')),
    waste: num('pour.waste'),
    /** The plant's order step and its truck. */
    step: num('pour.step'),
    truck: num('pour.truck'),
    /** What a bottom dug low is made up with. */
    makeUp: oneOf(['stone', 'lean', 'concrete'] as const),
  }),
  elements: Type.Array(Type.Union([Strip, Pad]), { maxItems: MOST_ELEMENTS }),
});

export type Plan = Static<typeof PlanSchema>;
export type Element = Plan['elements'][number];
export type Strip = Extract<Element, { kind: 'strip' }>;
export type Pad = Extract<Element, { kind: 'pad' }>;
export type SoilLayer = Plan['ground']['soils'][number];
export type Truck = Plan['spoil']['trucks'][number];
