/** Laboratory test of what a layer is laid of: moisture by dry mass, dry density, kg/m³; grains' specific gravity. */
import { id, listOf, object, optional, orNull, within } from '../../plan/parts.ts';
import { proctor } from '../../soil-tests/index.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { layerKey, moisture } from '../measures.ts';

const measures = {
  moisture,
  grains: { kind: 'number', min: 2.3, max: 3.3 },
  coarseShare: { kind: 'percent', min: 0, max: 0.4 },
  dryDensity: { kind: 'density', min: 1000, max: 2800 },
} as const;

const FAULTS = {
  tooFew: 'labTooFew',
  together: 'labTogether',
  oneSided: 'labOneSided',
  overAir: 'labOverAir',
} as const;

export const labValue = checked(
  object({
    bed: id,
    layer: id,
    grains: within(measures.grains),
    points: listOf(object({ moisture: within(moisture), density: within(measures.dryDensity) }), 4, 20),
    // Stones sieved out for the mould; absent of tests logged before they could be.
    coarse: optional(
      orNull(
        object({
          share: within(measures.coarseShare),
          grains: within(measures.grains),
          moisture: within(moisture),
        }),
      ),
    ),
  }),
  /** A test without a top. */
  ({ points, grains, coarse = null }) => {
    const found = proctor(points, grains, coarse);
    return found.ok ? null : { code: FAULTS[found.fault], at: '/points' };
  },
);

export const lab = recordKind<typeof labValue>()({
  measures,
  onPlacement: false,
  /** The newest test of each layer. */
  fold: lastBy(({ value }) => layerKey(value)),
  said: ({ bed, layer, points }) => [
    { sentence: 'record.labValue', parts: { layer: { bed, layer }, count: points.length } },
  ],
});
