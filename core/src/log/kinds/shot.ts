/**
 * A level taken of something dug or laid: by tape from a string, by rod or laser from a set-up; or how far it
 * lies below what was wanted, told by somebody who did not measure it there.
 */
import { id, literal, object, oneOf, oneOfSchemas, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { markLevel, rodReading } from '../measures.ts';

/** What a shot is taken on, from the ground up. */
export const SHOT_SURFACES = ['formation', 'bed', 'lean', 'footing'] as const;
export type ShotSurface = (typeof SHOT_SURFACES)[number];

const measures = {
  /** Down from the string, m. */
  tape: { kind: 'taped', min: 0.001, max: 15 },
  /** A rod made longer or shorter than the one the mark was read with, m. */
  rodOffset: { kind: 'taped', min: -5, max: 5 },
  low: { kind: 'size', min: 0, max: 3 },
} as const;

export const shotValue = checked(
  object({
    on: oneOf(SHOT_SURFACES),
    from: oneOfSchemas([
      object({ by: literal('tape'), string: within(markLevel), reading: within(measures.tape) }),
      object({
        by: literal('rod'),
        setup: id,
        reading: within(rodReading),
        offset: within(measures.rodOffset),
      }),
      object({ by: literal('said'), low: within(measures.low) }),
    ]),
  }),
);

export const shot = recordKind<typeof shotValue>()({
  measures,
  onPlacement: false,
  book: 'levels',
  fold: nothing,
  said: ({ on, from }) => [
    { word: `shot.on.${on}` },
    from.by === 'said'
      ? { sentence: 'record.shotSaid', parts: { low: { quantity: from.low, kind: 'size' } } }
      : {
          sentence: from.by === 'tape' ? 'record.shotTape' : 'record.shotRod',
          parts: { reading: { quantity: from.reading, kind: 'taped' } },
        },
  ],
});
