/** Somebody came, looked, and let it be covered or did not: by name and role, signed with a finger. */
import { ROLES } from '../../plan/kinds.ts';
import { id, name, object, oneOf, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { finger } from '../measures.ts';

export const visitValue = checked(
  object({
    /** The hold that was looked at: its kind, or the id of one of the job's own. */
    hold: id,
    verdict: oneOf(['released', 'refused'] as const),
    who: name,
    role: oneOf(ROLES),
    /** Refused: what is to be done. Released with something wanting: why all the same. */
    what: text(400),
    finger,
  }),
  ({ verdict, what }) =>
    verdict === 'refused' && what.trim() === '' ? { code: 'visitNoWork', at: '/what' } : null,
);

export const visit = recordKind<typeof visitValue>()({
  measures: {},
  onPlacement: false,
  book: 'looks',
  fold: nothing,
  said: ({ verdict, who, role, what }) => [
    { word: `hold.verdict.${verdict}` },
    { sentence: 'record.byRole', parts: { who, role: { word: `hold.role.${role}` } } },
    what,
  ],
});
