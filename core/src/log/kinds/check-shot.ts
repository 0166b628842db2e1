/** A shot back to the mark a set-up was read on: it finds an instrument that was bumped. */
import { id, object, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { rodReading } from '../measures.ts';

export const checkShotValue = checked(
  object({
    setup: id,
    /** Read on the mark now, m. */
    reading: within(rodReading),
  }),
);

export const checkShot = recordKind<typeof checkShotValue>()({
  measures: { rodReading },
  onPlacement: false,
  book: 'levels',
  fold: nothing,
  said: ({ reading }) => [
    {
      sentence: 'record.checkShotValue',
      parts: { reading: { quantity: reading, kind: 'taped' } },
    },
  ],
});
