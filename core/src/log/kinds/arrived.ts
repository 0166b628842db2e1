/** A soil truck that came: when it was due, when it came, what was still in the ground and what room it had. */
import { id, object, orNull, text, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day, time } from '../measures.ts';

const measures = {
  bucketfuls: { kind: 'count', min: 0, max: 200 },
  bucketHolds: { kind: 'volume', min: 0.02, max: 5 },
  truckRoom: { kind: 'volume', min: 0, max: 60 },
} as const;

export const arrivedValue = checked(
  object({
    day,
    truck: id,
    due: orNull(time),
    came: time,
    /** Bucketfuls left to dig, loose m³ each, and loose m³ the truck still took. */
    bucketfuls: within(measures.bucketfuls),
    bucket: within(measures.bucketHolds),
    room: within(measures.truckRoom),
    note: text(400),
  }),
);

export const arrived = recordKind<typeof arrivedValue>()({
  measures,
  onPlacement: false,
  fold: nothing,
  said: ({ truck, due, came, bucketfuls, note }) => [
    {
      sentence: 'record.arrivedValue',
      parts: { truck: { truck }, due: due ?? '–', came, count: { quantity: bucketfuls, kind: 'count' } },
    },
    note,
  ],
});
