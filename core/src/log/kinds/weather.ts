/** The weather of a day: rain, and how cold and warm it was. */
import { object, orNull, text, within } from '../../plan/parts.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

const measures = {
  dayRain: { kind: 'size', min: 0, max: 1 },
  dayTemperature: { kind: 'temperature', min: -60, max: 60 },
} as const;

export const weatherValue = checked(
  object({
    day,
    rain: orNull(within(measures.dayRain)),
    low: orNull(within(measures.dayTemperature)),
    high: orNull(within(measures.dayTemperature)),
    note: text(200),
  }),
  ({ low, high }) =>
    low !== null && high !== null && low > high ? { code: 'coldOverWarm', at: '/low', value: low } : null,
);

export const weather = recordKind<typeof weatherValue>()({
  measures,
  onPlacement: false,
  /** As each day was last said. */
  fold: lastBy(({ value }) => value.day),
  said: ({ rain, low, high, note }) => [
    {
      sentence: 'record.weatherValue',
      parts: {
        rain: { quantity: rain, kind: 'size' },
        low: { quantity: low, kind: 'temperature' },
        high: { quantity: high, kind: 'temperature' },
      },
    },
    note,
  ],
});
