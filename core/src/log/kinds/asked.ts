/** Somebody was asked to come and look. */
import { ROLES } from '../../plan/kinds.ts';
import { id, object, oneOf, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const askedValue = checked(
  object({
    hold: id,
    role: oneOf(ROLES),
    /** For when: a day or a time as it was said; empty: as soon as they can. */
    when: text(40),
  }),
);

export const asked = recordKind<typeof askedValue>()({
  measures: {},
  onPlacement: false,
  book: 'looks',
  fold: nothing,
  said: ({ role, when }) => [
    { sentence: 'record.askedValue', parts: { role: { word: `hold.role.${role}` } } },
    { day: when },
  ],
});
