/** Somebody's hours of a day. */
import { name, object, text, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

const measures = { workedHours: { kind: 'hours', min: 0.25, max: 24 } } as const;

export const workedValue = checked(
  object({ day, who: name, hours: within(measures.workedHours), at: text(120) }),
);

export const worked = recordKind<typeof workedValue>()({
  measures,
  onPlacement: false,
  fold: nothing,
  said: ({ who, hours, at }) => [
    { sentence: 'record.workedValue', parts: { who, hours: { quantity: hours, kind: 'hours' } } },
    at,
  ],
});
