/** A distance between two corners, by tape, m. */
import { object, text, within } from '../../plan/parts.ts';
import { lastOfEach } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = { taped: { kind: 'taped', min: 0.01, max: 5000 } } as const;

export const tapedValue = checked(object({ from: text(20), to: text(20), distance: within(measures.taped) }));

export const taped = recordKind<typeof tapedValue>()({
  measures,
  onPlacement: false,
  /** The last between two corners, whichever way round. */
  fold: lastOfEach(({ from, to }) => [from, to].sort().join('\n')),
  said: ({ from, to, distance }) => [
    { sentence: 'record.tapedValue', parts: { from, to, distance: { quantity: distance, kind: 'taped' } } },
  ],
});
