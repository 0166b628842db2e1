/** Dynamic cone driven into a bottom: blows and depth, m, from where it was set down. */
import { listOf, object, oneOf, within } from '../../plan/parts.ts';
import { CONE_SOILS, coneFault, coneStretches } from '../../soil-tests/index.ts';
import { byElement, listBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = {
  blows: { kind: 'count', min: 0, max: 2000 },
  driven: { kind: 'size', min: 0, max: 3 },
} as const;

export const coneValue = checked(
  object({
    soil: oneOf(CONE_SOILS),
    readings: listOf(object({ blows: within(measures.blows), depth: within(measures.driven) }), 2, 60),
  }),
  ({ readings }) => {
    const at = coneFault(readings);
    return at === null ? null : { code: 'coneBack', at: `/readings/${at}` };
  },
);

export const cone = recordKind<typeof coneValue>()({
  measures,
  onPlacement: false,
  fold: listBy(byElement),
  said: ({ soil, readings }) => {
    const cbrs = coneStretches(readings, soil).map(({ cbr }) => cbr);
    return [
      {
        sentence: 'record.coneValue',
        parts: {
          count: readings.length,
          deep: { quantity: readings.at(-1)!.depth, kind: 'size' },
          least: { quantity: cbrs.length > 0 ? Math.min(...cbrs) : null, kind: 'number', decimals: 0 },
        },
      },
    ];
  },
});
