/** Loads that left, by their tickets: how many, and loose m³ of all of them. */
import { bool, id, object, optional, orNull, text, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

const measures = {
  hauledLoads: { kind: 'count', min: 1, max: 500 },
  /** Minutes from leaving full until it is back. */
  hauledTrip: { kind: 'number', min: 1, max: 600 },
  hauledLoose: { kind: 'volume', min: 0.1, max: 10_000 },
} as const;

export const hauledValue = checked(
  object({
    day,
    /** One of the plan's trucks. */
    truck: id,
    loads: within(measures.hauledLoads),
    volume: within(measures.hauledLoose),
    ticket: text(80),
    /** Minutes a truck was away, on the whole; and whether all that was dug that day left with it. */
    trip: optional(orNull(within(measures.hauledTrip))),
    all: optional(bool()),
  }),
  ({ loads }) => (Number.isInteger(loads) ? null : { code: 'wholeNumber', at: '/loads', value: loads }),
);

export const hauled = recordKind<typeof hauledValue>()({
  measures,
  onPlacement: false,
  fold: nothing,
  said: ({ truck, loads, volume, ticket }) => [
    {
      sentence: 'record.hauledValue',
      parts: {
        truck: { truck },
        loads: { quantity: loads, kind: 'count' },
        volume: { quantity: volume, kind: 'volume' },
      },
    },
    ticket,
  ],
});
