/** What nearly hurt somebody, or what was found in the ground. */
import { object, oneOf, said } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

export const NOTICES = ['nearMiss', 'find'] as const;
export type Notice = (typeof NOTICES)[number];

export const noticedValue = checked(object({ day, what: oneOf(NOTICES), text: said }));

export const noticed = recordKind<typeof noticedValue>()({
  measures: {},
  onPlacement: false,
  fold: nothing,
  said: ({ what, text }) => [{ word: `record.notice.${what}` }, text],
});
