/** A lift laid: on what, and why there if it was not sound; moisture as it came, null when nobody measured. */
import { name, object, oneOf, oneOfSchemas, optional, orNull, said, text, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { moisture } from '../measures.ts';

/** What a lift is laid on. */
export const GROUNDS = ['sound', 'mud', 'ice', 'water'] as const;

/** Filled before it was let: who said so, and why. */
const despite = optional(object({ who: name, reason: said }));

// Nothing is laid on mud, ice or water without a reason.
export const laidValue = checked(
  oneOfSchemas([
    object({
      on: oneOf(['sound'] as const),
      reason: text(400),
      moisture: orNull(within(moisture)),
      despite,
    }),
    object({
      on: oneOf(['mud', 'ice', 'water'] as const),
      reason: said,
      moisture: orNull(within(moisture)),
      despite,
    }),
  ]),
);

export const laid = recordKind<typeof laidValue>()({
  measures: { moisture },
  onPlacement: true,
  fold: nothing,
  said: ({ on, reason, despite }) => [
    {
      sentence: 'record.laidValue',
      parts: { placement: { placement: true }, ground: { word: `proof.ground.${on}` } },
    },
    reason,
    ...(despite ? [{ sentence: 'record.laidDespite', parts: { ...despite } } as const] : []),
  ],
});
