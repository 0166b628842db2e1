/**
 * Rising-head test: a pit pumped down and left; its sides in plan, level of the water outside, level in it
 * after so many minutes.
 */
import { listOf, object, within } from '../../plan/parts.ts';
import { risingHeadFault } from '../../soil-tests/index.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = {
  pitSide: { kind: 'length', min: 0.2, max: 20 },
  pitLevel: { kind: 'level', min: -500, max: 9000 },
  minutes: { kind: 'number', min: 0, max: 10_000 },
} as const;

export const risingHeadValue = checked(
  object({
    length: within(measures.pitSide),
    width: within(measures.pitSide),
    water: within(measures.pitLevel),
    readings: listOf(object({ minutes: within(measures.minutes), level: within(measures.pitLevel) }), 2, 60),
  }),
  ({ readings, water }) => {
    const at = risingHeadFault(readings, water);
    return at === null ? null : { code: 'rechargeBack', at: `/readings/${at}` };
  },
);

export const risingHead = recordKind<typeof risingHeadValue>()({
  measures,
  onPlacement: false,
  /** The last test, by element; of the whole job under ''. */
  fold: lastBy(({ element }) => element ?? ''),
  said: ({ readings, length, width }) => [
    {
      sentence: 'record.risingHeadValue',
      parts: {
        count: readings.length,
        length: { quantity: length, kind: 'length' },
        width: { quantity: width, kind: 'length' },
      },
    },
  ],
});
