/** A reading of the leak test of a box: how deep the water stands in it. */
import { object, within } from '../../plan/parts.ts';
import { byElement, listBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

const measures = { leakDepth: { kind: 'size', min: 0, max: 20 } } as const;

export const leakValue = checked(
  object({
    day,
    /** m of water over the bottom. */
    depth: within(measures.leakDepth),
  }),
);

export const leak = recordKind<typeof leakValue>()({
  measures,
  onPlacement: false,
  fold: listBy(byElement),
  said: ({ depth }) => [
    { sentence: 'record.leakValue', parts: { depth: { quantity: depth, kind: 'taped' } } },
  ],
});
