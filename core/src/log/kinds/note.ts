/** Anything worth telling. */
import { object, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const noteValue = checked(object({ text: text(2000) }));

export const note = recordKind<typeof noteValue>()({
  measures: {},
  onPlacement: false,
  fold: nothing,
  said: ({ text }) => [text],
});
