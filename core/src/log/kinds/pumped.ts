/** Hours a pump ran in a hole, and the level it left. */
import { object, orNull, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

const measures = {
  pumpHours: { kind: 'hours', min: 0.1, max: 24 },
  pumpLevel: { kind: 'level', min: -500, max: 9000 },
} as const;

export const pumpedValue = checked(
  object({ day, hours: within(measures.pumpHours), level: orNull(within(measures.pumpLevel)) }),
);

export const pumped = recordKind<typeof pumpedValue>()({
  measures,
  onPlacement: false,
  fold: nothing,
  said: ({ hours, level }) => [
    {
      sentence: level === null ? 'record.pumpedHours' : 'record.pumpedValue',
      parts: { hours: { quantity: hours, kind: 'hours' }, level: { quantity: level, kind: 'level' } },
    },
  ],
});
