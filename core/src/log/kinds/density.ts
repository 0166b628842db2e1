/** A field test of a lift: moist density, kg/m³, by gauge, or from the weighings of a sand cone. */
import { object, orNull, within } from '../../plan/parts.ts';
import { dryFound, holeOf } from '../../soil-tests/index.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { moisture } from '../measures.ts';

const measures = {
  moisture,
  wetDensity: { kind: 'density', min: 1000, max: 3000 },
  sandDensity: { kind: 'density', min: 1000, max: 2200 },
  weighed: { kind: 'weighing', min: 0, max: 60 },
} as const;

export const densityValue = checked(
  object({
    wet: within(measures.wetDensity),
    moisture: within(moisture),
    cone: orNull(
      object({
        before: within(measures.weighed),
        after: within(measures.weighed),
        cone: within(measures.weighed),
        sand: within(measures.sandDensity),
        soil: within(measures.weighed),
      }),
    ),
  }),
  /** A sand cone without a hole. */
  ({ cone }) =>
    cone && holeOf(cone) <= 0 ? { code: 'holeEmpty', at: '/cone/after', value: cone.after } : null,
);

export const density = recordKind<typeof densityValue>()({
  measures,
  onPlacement: true,
  fold: nothing,
  said: (test) => [
    {
      sentence: 'record.densityValue',
      parts: {
        placement: { placement: true },
        dry: { quantity: dryFound(test), kind: 'density' },
        moisture: { quantity: test.moisture, kind: 'percent' },
      },
    },
  ],
});
