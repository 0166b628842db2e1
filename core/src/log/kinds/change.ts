/**
 * Word from an inspector or an engineer on the spot: what of the plan is to be otherwise, by whom and why, and
 * what that came to when it was said. Whether it went into the plan the next record says.
 */
import { ROLES } from '../../plan/kinds.ts';
import { id, listOf, name, object, oneOf, orNull, text, within } from '../../plan/parts.ts';
import { list } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = {
  /** Of a dimension, m, or a level. */
  changedTo: { kind: 'level', min: -500, max: 9000 },
  amount: { kind: 'number', min: -1e7, max: 1e7 },
} as const;

/** What can be ordered on the spot. */
export const CHANGE_WHATS = ['level', 'width', 'thickness', 'key', 'step', 'bed', 'cutBack'] as const;
export type ChangeWhat = (typeof CHANGE_WHATS)[number];

export const changeValue = checked(
  object({
    /** Named by what comes after it, and in the plan once it is taken in. */
    word: id,
    what: oneOf(CHANGE_WHATS),
    /** A neighbour’s footing that is cut back; null: the element the record is of. */
    thing: orNull(id),
    from: orNull(within(measures.changedTo)),
    to: within(measures.changedTo),
    who: name,
    role: oneOf(ROLES),
    why: text(400),
    /** What it changes, by amount, SI; empty where nobody worked it out. */
    amounts: listOf(object({ of: id, change: within(measures.amount) }), 0, 20),
    /** In the plan's currency; null: no price is known. */
    cost: orNull(within(measures.amount)),
  }),
);

export const change = recordKind<typeof changeValue>()({
  measures,
  onPlacement: false,
  book: 'changes',
  fold: list(),
  said: ({ what, from, to, who, role, why }) => [
    {
      sentence: from === null ? 'record.changeTo' : 'record.changeFromTo',
      parts: {
        what: { word: `change.what.${what}` },
        from: { quantity: from, kind: what === 'level' ? 'level' : 'size' },
        to: { quantity: to, kind: what === 'level' ? 'level' : 'size' },
      },
    },
    { sentence: 'record.byRole', parts: { who, role: { word: `hold.role.${role}` } } },
    why,
  ],
});
