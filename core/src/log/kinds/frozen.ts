/** How deep the ground was found frozen, m; 0: thawed. */
import { object, oneOf, text, within } from '../../plan/parts.ts';
import { last } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = { frozenDepth: { kind: 'length', min: 0, max: 5 } } as const;

export const frozenValue = checked(
  object({
    depth: within(measures.frozenDepth),
    from: oneOf(['typed', 'feed'] as const),
    when: text(40),
  }),
);

export const frozen = recordKind<typeof frozenValue>()({
  measures,
  onPlacement: false,
  fold: last(),
  said: ({ depth }) => [depth > 0 ? { quantity: depth, kind: 'length' } : { word: 'record.thawed' }],
});
