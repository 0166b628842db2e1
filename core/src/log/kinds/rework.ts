/** What was done to a lift that failed. */
import { object, oneOf } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const REWORKS = ['rolled', 'wetted', 'dried', 'replaced'] as const;

export const reworkValue = checked(object({ what: oneOf(REWORKS) }));

export const rework = recordKind<typeof reworkValue>()({
  measures: {},
  onPlacement: true,
  fold: nothing,
  said: ({ what }) => [
    {
      sentence: 'record.reworkValue',
      parts: { placement: { placement: true }, what: { word: `proof.reworks.${what}` } },
    },
  ],
});
