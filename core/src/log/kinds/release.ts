/** A lift let be covered, by whom; a reason when it had not passed. */
import { name, object, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const releaseValue = checked(object({ who: name, reason: text(400) }));

export const release = recordKind<typeof releaseValue>()({
  measures: {},
  onPlacement: true,
  fold: nothing,
  said: ({ who, reason }) => [
    { sentence: 'record.releaseValue', parts: { placement: { placement: true }, who } },
    reason,
  ],
});
