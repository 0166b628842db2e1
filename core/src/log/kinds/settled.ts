/** What became of a word from others: it went into the plan, or the lead set it aside. */
import { id, object, oneOf, text } from '../../plan/parts.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const settledValue = checked(
  object({ word: id, how: oneOf(['taken', 'aside'] as const), why: text(400) }),
);

export const settled = recordKind<typeof settledValue>()({
  measures: {},
  onPlacement: false,
  book: 'changes',
  fold: lastBy(({ value }) => value.word),
  said: ({ how, why }) => [{ word: `change.how.${how}` }, why],
});
