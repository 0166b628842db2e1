/** How the hole is filled again: with what, in what lifts, what is fit, and what is asked of it. */
import Type, { type Static } from 'typebox';
import { BED_MATERIAL_IDS } from '../catalogue/bed-materials.ts';
import { COMPACTOR_IDS } from '../catalogue/compactors.ts';
import { FIELDS } from './fields.ts';
import {
  DAMP_PROOFS,
  FILLS,
  FLOOR_SIDES,
  NEVER_FILL,
  SOIL_USES,
  STRIP_KINDS,
  SURROUND_WHEN,
} from './kinds.ts';
import { MOST_ELEMENTS } from './limits.ts';
import { id, name, num, object, oneOf, orNull, Point, said, text } from './parts.ts';

/** A soil of the job as fill: what somebody found or decided. */
const FillSoil = object({
  soil: id,
  /** What becomes of it; null: by its moisture, else as is usual for its kind. */
  use: orNull(oneOf(SOIL_USES)),
  /** As it lies in the heap, and where it packs best; shares of the dry mass. Null: nobody measured. */
  moisture: orNull(num('/backfill/soils/*/moisture')),
  optimum: orNull(num('/backfill/soils/*/optimum')),
  /** Spread to dry: so many days, and where. */
  days: orNull(num('/backfill/soils/*/days')),
  where: text(80),
  /** What makes it no fill at all, wherever it is seen. */
  found: Type.Array(oneOf(NEVER_FILL), { maxItems: NEVER_FILL.length }),
});

/** A wall that is filled on one side alone, which only an engineer may say. */
const OneSided = object({
  element: id,
  who: name,
  when: text(40),
  /** Filled so high over its footing's underside at most, m. */
  height: num('/backfill/oneSided/*/height'),
  drainage: said,
});

export const Filling = object({
  with: oneOf(FILLS),
  /** What comes by truck where the job's own soil does not do: how it is bought, and the body it comes in. */
  bringIn: object({
    material: oneOf(BED_MATERIAL_IDS),
    swell: num('/backfill/bringIn/swell'),
    shrink: num('/backfill/bringIn/shrink'),
    body: num('/backfill/bringIn/body'),
  }),
  /** The specification's largest lift; null: by the compactor. */
  maxLift: orNull(num('/backfill/maxLift')),
  compactor: oneOf(COMPACTOR_IDS),
  /** By a wall: nothing heavier, nearer than so far. */
  near: object({ compactor: oneOf(COMPACTOR_IDS), width: num('/backfill/near/width') }),
  /** How much higher one side of a wall may stand than the other. */
  difference: num('/backfill/difference'),
  /** Days after its last pour before anybody is asked to let a wall be filled against. */
  cureDays: num('/backfill/cureDays'),
  /** What the specification asks of every lift; null: nothing. */
  target: orNull(
    object({
      share: num('/backfill/target/share'),
      /** Of the soil that goes back, by a laboratory; null: not known. */
      maximum: orNull(num('/backfill/target/maximum')),
      /** So many tests for so much of a lift. */
      area: num('/backfill/target/area'),
      points: Type.Integer({
        minimum: FIELDS['/backfill/target/points'].min,
        maximum: FIELDS['/backfill/target/points'].max,
      }),
    }),
  ),
  /** Stone at the foot, to so far over the footing, and the pipe in it; null: none. */
  surround: orNull(
    object({
      over: num('/backfill/surround/over'),
      when: oneOf(SURROUND_WHEN),
      cloth: Type.Boolean(),
      pipe: num('/backfill/surround/pipe'),
    }),
  ),
  damp: oneOf(DAMP_PROOFS),
  /** Put back on top, tamped. Null: as much as came off the holes. */
  topsoil: orNull(num('/backfill/topsoil')),
  /** Sides of runs a floor lies over: they are filled to its underside. */
  floors: Type.Array(object({ element: id, side: oneOf(FLOOR_SIDES) }), { maxItems: MOST_ELEMENTS }),
  oneSided: Type.Array(OneSided, { maxItems: MOST_ELEMENTS }),
  soils: Type.Array(FillSoil, { maxItems: 20 }),
  /** Heaps are covered: rain does nothing to them. */
  covered: Type.Boolean(),
  /** The ground after: how it falls away from the walls and how far, the hump left to settle, the plinth over it. Null: nobody has said. */
  after: orNull(
    object({
      fall: num('/backfill/after/fall'),
      length: num('/backfill/after/length'),
      hump: num('/backfill/after/hump'),
      plinth: num('/backfill/after/plinth'),
    }),
  ),
  /** What is left standing between openings is doubted where it is narrower. Null: its height, at least 1 m. */
  leastStanding: orNull(num('/backfill/leastStanding')),
});

/** Ground taken off beside the holes: topsoil, ground down to a level, or what cannot stand between openings. */
export const Stripped = object({
  id,
  name,
  kind: oneOf(STRIP_KINDS),
  points: Type.Array(Point, { minItems: 3, maxItems: 60 }),
  /** Of topsoil: so thick; of the others the level they are taken down to. */
  thickness: orNull(num('/site/strips/*/thickness')),
  level: orNull(num('/site/strips/*/level')),
  /** The lay-down area it lies on; null: not said. */
  area: orNull(id),
});

export type Filling = Static<typeof Filling>;
export type FillSoil = Filling['soils'][number];
export type OneSided = Filling['oneSided'][number];
export type Stripped = Static<typeof Stripped>;
