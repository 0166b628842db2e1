/** Something that makes a look of before worth nothing: rain, frost, a side that fell. */
import { object, oneOf, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const HAPPENINGS = ['rain', 'frost', 'fall'] as const;
export type Happening = (typeof HAPPENINGS)[number];

export const happenedValue = checked(object({ what: oneOf(HAPPENINGS), note: text(400) }));

export const happened = recordKind<typeof happenedValue>()({
  measures: {},
  onPlacement: false,
  book: 'looks',
  fold: nothing,
  said: ({ what, note }) => [{ word: `morning.after.${what}` }, note],
});
