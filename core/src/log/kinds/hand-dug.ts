/** What people dug: loose m³ as it lies in the heap or went in the barrow, in so many hours of one person. */
import { object, within } from '../../plan/parts.ts';
import { list } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = {
  handLoose: { kind: 'volume', min: 0.05, max: 500 },
  handHours: { kind: 'hours', min: 0.1, max: 500 },
} as const;

export const handDugValue = checked(
  object({ volume: within(measures.handLoose), hours: within(measures.handHours) }),
);

export const handDug = recordKind<typeof handDugValue>()({
  measures,
  onPlacement: false,
  fold: list(),
  said: ({ volume, hours }) => [
    {
      sentence: 'record.handDugValue',
      parts: { volume: { quantity: volume, kind: 'volume' }, hours: { quantity: hours, kind: 'hours' } },
    },
  ],
});
