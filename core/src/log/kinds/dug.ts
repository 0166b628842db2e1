/** A machine's day: bank m³ it dug, by the crew's own count, in so many hours. */
import { SOIL_KINDS } from '../../catalogue/soils.ts';
import { id, object, oneOf, optional, orNull, text, within } from '../../plan/parts.ts';
import { listBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = {
  dugVolume: { kind: 'volume', min: 0.1, max: 5000 },
  dugHours: { kind: 'hours', min: 0.1, max: 100 },
} as const;

export const dugValue = checked(
  object({
    machine: id,
    when: text(40),
    volume: within(measures.dugVolume),
    hours: within(measures.dugHours),
    /** What it dug in; nobody said. */
    soil: optional(orNull(oneOf(SOIL_KINDS))),
  }),
);

export const dug = recordKind<typeof dugValue>()({
  measures,
  onPlacement: false,
  /** Days of each machine, by its id, in the order they were logged. */
  fold: listBy(({ value }) => value.machine),
  said: ({ machine, volume, hours, when }) => [
    {
      sentence: 'record.dugValue',
      parts: {
        machine: { machine },
        volume: { quantity: volume, kind: 'volume' },
        hours: { quantity: hours, kind: 'hours' },
      },
    },
    { day: when },
  ],
});
