/** How a pour is brought, placed, formed, mixed by hand and cured, as somebody typed it. */
import Type, { type Static } from 'typebox';
import { FIELDS, type FieldId } from './fields.ts';
import { BOARD_CORNERS, PLACED_BY } from './kinds.ts';
import { CLOCK, MOST_ELEMENTS } from './limits.ts';
import { castKey, id, num, object, oneOf, orNull, Point, text } from './parts.ts';

const whole = (of: FieldId) => Type.Integer({ minimum: FIELDS[of].min, maximum: FIELDS[of].max });

export const Placing = object({
  by: oneOf(PLACED_BY),
  /** m³ an hour; null: as is typical of the way. */
  rate: orNull(num('/pour/placing/rate')),
  /** Of barrows: how far, m, and how many go. */
  distance: num('/pour/placing/distance'),
  barrows: whole('/pour/placing/barrows'),
  /** Where it is let off: truck, pump or heap. Null: nobody has said. */
  from: orNull(Point),
  /** When the first truck is wanted; null: as the day begins. */
  first: orNull(Type.String({ pattern: CLOCK })),
  /** Hours from the plant; null: nobody has said. */
  travel: orNull(num('/pour/placing/travel')),
  /** Hours from batching to empty at most, as the buyer and the plant agreed; null: nobody has said. */
  limit: orNull(num('/pour/placing/limit')),
  /** Hours a fresh face may wait for what is placed against it, at 20 °C. */
  open: num('/pour/placing/open'),
  /** Of the concrete as it comes, °C; null: 20 (assumed). */
  temperature: orNull(num('/pour/placing/temperature')),
  /** A vibrated layer at most, and how far apart the head goes in, m. */
  layer: num('/pour/placing/layer'),
  reach: num('/pour/placing/reach'),
  /** What came, or will come, late: a truck by itself, or the plant stops and all from it on are. Hours; less than nought: early. */
  delays: Type.Array(
    object({
      pour: castKey,
      truck: whole('/pour/placing/delays/*/truck'),
      hours: num('/pour/placing/delays/*/hours'),
      plant: Type.Boolean(),
    }),
    { maxItems: 60 },
  ),
  /** Elements in which no joint may fall. */
  noJoint: Type.Array(id, { maxItems: MOST_ELEMENTS }),
});

export const Forms = object({
  board: num('/pour/forms/board'),
  corner: oneOf(BOARD_CORNERS),
  /** Lengths boards are sold in. */
  stock: Type.Array(num('/pour/forms/stock/*'), { minItems: 1, maxItems: 8 }),
  stakes: num('/pour/forms/stakes'),
  kickers: num('/pour/forms/kickers'),
  straps: num('/pour/forms/straps'),
  /** Pa a form of a wall was built for, and who says so; null: nobody, and no rise is told. */
  permitted: orNull(num('/pour/forms/permitted')),
  who: text(80),
  /** Of cement and admixtures. */
  chemistry: num('/pour/forms/chemistry'),
  slump: orNull(num('/pour/forms/slump')),
});

export const HandMix = object({
  /** Parts by volume. */
  cement: num('/pour/hand/cement'),
  sand: num('/pour/hand/sand'),
  stone: num('/pour/hand/stone'),
  bag: num('/pour/hand/bag'),
  /** L a kg of cement. */
  water: num('/pour/hand/water'),
  /** m³ at once. */
  batch: num('/pour/hand/batch'),
  /** Of one person for a m³. */
  hours: num('/pour/hand/hours'),
});

export const Cure = object({
  /** Days it is kept wet. */
  wet: num('/pour/cure/wet'),
  /** Days colder than this, in the mean, do not count, °C. */
  cold: num('/pour/cure/cold'),
  /** Hours it is kept above freezing. */
  warm: num('/pour/cure/warm'),
  /** Days before anything is put on it; null: nobody has said. */
  load: orNull(num('/pour/cure/load')),
});

/** The leak test of a box. */
export const Leak = object({
  share: num('/pour/leak/share'),
  most: num('/pour/leak/most'),
  days: num('/pour/leak/days'),
  soak: num('/pour/leak/soak'),
});
export type Placing = Static<typeof Placing>;
export type Forms = Static<typeof Forms>;
export type HandMix = Static<typeof HandMix>;
export type Cure = Static<typeof Cure>;
