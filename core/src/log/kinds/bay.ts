/** How far a bay under an old wall is: dug, seen, refused, packed, let go; that it was cast its pour says. */
import { ROLES } from '../../plan/kinds.ts';
import { object, oneOf, text, within } from '../../plan/parts.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const BAY_STEPS = ['dug', 'seen', 'refused', 'packed', 'released'] as const;
export type BayStep = (typeof BAY_STEPS)[number];
/** Somebody looked: he is named. */
const LOOKED: readonly BayStep[] = ['seen', 'refused', 'released'];

const measures = { bayNumber: { kind: 'count', min: 1, max: 2000 } } as const;

export const bayValue = checked(
  object({
    /** Counted from 1 along the run. */
    bay: within(measures.bayNumber),
    state: oneOf(BAY_STEPS),
    who: text(80),
    role: oneOf(ROLES),
    /** Refused: what is to be done. */
    what: text(400),
  }),
  ({ bay, state, who, what }) =>
    !Number.isInteger(bay)
      ? { code: 'wholeNumber', at: '/bay', value: bay }
      : LOOKED.includes(state) && who.trim() === ''
        ? { code: 'bayNoName', at: '/who' }
        : state === 'refused' && what.trim() === ''
          ? { code: 'visitNoWork', at: '/what' }
          : null,
);

/** Names a bay of an element in the facts. */
export const bayKey = (element: string, bay: number): string => `${element}/${bay}`;

export const bay = recordKind<typeof bayValue>()({
  measures,
  onPlacement: false,
  /** As each was last found. */
  fold: lastBy(({ value, element }) => (element === null ? null : bayKey(element, value.bay))),
  said: ({ bay: number, state, who, role, what }) => [
    { sentence: 'record.bayValue', parts: { bay: number, state: { word: `record.bayState.${state}` } } },
    ...(who === ''
      ? []
      : [
          {
            sentence: 'record.byRole' as const,
            parts: { who, role: { word: `hold.role.${role}` as const } },
          },
        ]),
    what,
  ],
});
