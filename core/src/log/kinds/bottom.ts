/** A bottom as it was found at formation. */
import { bool, object, oneOf } from '../../plan/parts.ts';
import { byElement, lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

/** How a bottom feels under thumb, boot and bar; how wet it is. */
export const FEELS = ['firm', 'yields', 'soft'] as const;
export const WETNESSES = ['dry', 'damp', 'seeping', 'water'] as const;

export const bottomValue = checked(
  object({
    feel: oneOf(FEELS),
    wet: oneOf(WETNESSES),
    frozen: bool(),
    asLogged: bool(),
  }),
);

export const bottom = recordKind<typeof bottomValue>()({
  measures: {},
  onPlacement: false,
  /** As it was last found, by element. */
  fold: lastBy(byElement),
  said: ({ feel, wet, frozen }) => [
    { word: `proof.feels.${feel}` },
    { word: `proof.wets.${wet}` },
    frozen ? { word: 'proof.frozen' } : '',
  ],
});
