/** Trial strip of a lift so thick: dry density, kg/m³, or settlement, m, after so many passes. */
import { between, id, listOf, object, oneOf, within } from '../../plan/parts.ts';
import { listBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { layerKey } from '../measures.ts';

const measures = {
  passes: { kind: 'count', min: 0, max: 40 },
  settled: { kind: 'size', min: 0, max: 0.3 },
  lift: { kind: 'size', min: 0.05, max: 1 },
} as const;

export const trialValue = checked(
  object({
    bed: id,
    layer: id,
    thickness: within(measures.lift),
    by: oneOf(['density', 'settlement'] as const),
    readings: listOf(object({ passes: within(measures.passes), value: between(0, 2800) }), 2, 30),
  }),
);

export const trial = recordKind<typeof trialValue>()({
  measures,
  onPlacement: false,
  /** Every trial of each layer. */
  fold: listBy(({ value }) => layerKey(value)),
  said: ({ bed, layer, thickness, readings }) => [
    {
      sentence: 'record.trialValue',
      parts: {
        layer: { bed, layer },
        lift: { quantity: thickness, kind: 'size' },
        count: readings.length,
      },
    },
  ],
});
