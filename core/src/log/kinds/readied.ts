/** A list gone through before a pour: which of its lines somebody has looked to. */
import { castKey, id, listOf, object } from '../../plan/parts.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const readiedValue = checked(
  object({
    /** The pour's id. */
    pour: castKey,
    /** Lines of the list, and ids of what is set in. */
    done: listOf(id, 0, 120),
  }),
);

export const readied = recordKind<typeof readiedValue>()({
  measures: {},
  onPlacement: false,
  /** As it was last gone through, by pour. */
  fold: lastBy(({ value }) => value.pour),
  said: ({ done }) => [{ sentence: 'record.readiedValue', parts: { count: done.length } }],
});
