/** A side that fell in: along how much, how high, how far back. Whatever was looked at before is worth nothing. */
import { object, text, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

const measures = {
  fellLength: { kind: 'length', min: 0.1, max: 200 },
  fellHeight: { kind: 'length', min: 0.1, max: 20 },
  fellBack: { kind: 'length', min: 0.1, max: 20 },
} as const;

export const fellValue = checked(
  object({
    day,
    length: within(measures.fellLength),
    height: within(measures.fellHeight),
    back: within(measures.fellBack),
    note: text(400),
  }),
);

export const fell = recordKind<typeof fellValue>()({
  measures,
  onPlacement: false,
  book: 'looks',
  fold: nothing,
  said: ({ length, height, back, note }) => [
    {
      sentence: 'record.fellValue',
      parts: {
        length: { quantity: length, kind: 'length' },
        height: { quantity: height, kind: 'length' },
        back: { quantity: back, kind: 'length' },
      },
    },
    note,
  ],
});
