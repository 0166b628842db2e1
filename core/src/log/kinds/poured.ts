/** A pour that was cast: what of it, and how much it took, from the trucks or mixed on site. */
import { castKey, listOf, object, orNull, text, within } from '../../plan/parts.ts';
import type { Folding } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

const measures = { pouredVolume: { kind: 'volume', min: 0.01, max: 2000 } } as const;

export const pouredValue = checked(
  object({
    /** The pour's id, and the names of what was cast in it. */
    pour: castKey,
    casts: listOf(castKey, 1, 2000),
    /** m³; null: nobody measured. */
    volume: orNull(within(measures.pouredVolume)),
    note: text(200),
  }),
);

type Value = { readonly casts: readonly string[]; readonly volume: number | null };
/** With when it was, ISO 8601. */
type Poured = Value & { readonly at: string };

export const poured = recordKind<typeof pouredValue>()({
  measures,
  onPlacement: false,
  /** The pour each cast was last cast in, by its name. */
  fold: (
    known: ReadonlyMap<string, Poured> | null,
    more: readonly Folding<Value>[],
  ): ReadonlyMap<string, Poured> => {
    const out = new Map(known);
    for (const { value, at } of more) for (const key of value.casts) out.set(key, { ...value, at });
    return out;
  },
  said: ({ casts, volume, note }) => [
    volume === null
      ? { sentence: 'record.pouredCasts', parts: { count: casts.length } }
      : {
          sentence: 'record.pouredValue',
          parts: { volume: { quantity: volume, kind: 'volume' }, count: casts.length },
        },
    note,
  ],
});
