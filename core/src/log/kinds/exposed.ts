/** A buried service exposed by hand, or covered again. */
import { bool, id, object } from '../../plan/parts.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

export const exposedValue = checked(object({ hazard: id, bare: bool() }));

export const exposed = recordKind<typeof exposedValue>()({
  measures: {},
  onPlacement: false,
  /** How each was last left, by hazard. */
  fold: lastBy(({ value }) => value.hazard),
  said: ({ hazard, bare }) => [
    { sentence: bare ? 'record.bare' : 'record.covered', parts: { name: { hazard } } },
  ],
});
