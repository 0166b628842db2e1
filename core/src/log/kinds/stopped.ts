/** What stopped the work: its cause, how long, and what an hour of it costs. */
import { object, oneOf, orNull, text, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

export const STOP_CAUSES = ['rock', 'hose', 'rain', 'fall', 'waiting', 'other'] as const;
export type StopCause = (typeof STOP_CAUSES)[number];

const measures = {
  stopHours: { kind: 'hours', min: 0.1, max: 24 },
  stopHourPrice: { kind: 'price', min: 0, max: 100_000 },
} as const;

export const stoppedValue = checked(
  object({
    day,
    cause: oneOf(STOP_CAUSES),
    hours: within(measures.stopHours),
    /** Of machine and people together; null: nobody said. */
    price: orNull(within(measures.stopHourPrice)),
    note: text(400),
  }),
);

export const stopped = recordKind<typeof stoppedValue>()({
  measures,
  onPlacement: false,
  fold: nothing,
  said: ({ cause, hours, note }) => [
    {
      sentence: 'record.stoppedValue',
      parts: { cause: { word: `record.cause.${cause}` }, hours: { quantity: hours, kind: 'hours' } },
    },
    note,
  ],
});
