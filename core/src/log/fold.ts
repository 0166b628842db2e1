/**
 * Folds: what the records of one kind amount to. Each takes what is known already and the records that came
 * after, in the order they happened, and gives what is known now; what was known stays as it was.
 */

/** What a fold is given of a record: one that stands, with its value. */
export interface Folding<V> {
  readonly element: string | null;
  readonly value: V;
  /** When it was, by the clock of who logged it, ISO 8601. */
  readonly at: string;
}

/** What is known and what came after give what is known now. Known null: nothing was. */
export type Fold<V, F> = (known: F | null, more: readonly Folding<V>[]) => F;

/** Every value, in order. */
export const list =
  <V>(): Fold<V, readonly V[]> =>
  (known, more) => [...(known ?? []), ...more.map(({ value }) => value)];

/** The last value; null before the first. */
export const last =
  <V>(): Fold<V, V | null> =>
  (known, more) =>
    more.at(-1)?.value ?? known;

type KeyOf<V> = (record: Folding<V>) => string | null;

/** The last value of each key, in the order of first mention. Records of no key are left out. */
export const lastBy =
  <V>(keyOf: KeyOf<V>): Fold<V, ReadonlyMap<string, V>> =>
  (known, more) => {
    const out = new Map(known);
    for (const record of more) {
      const key = keyOf(record);
      if (key !== null) out.set(key, record.value);
    }
    return out;
  };

/** The last value of each key as a list, in the order of first mention. */
export const lastOfEach =
  <V>(keyOf: (value: V) => string): Fold<V, readonly V[]> =>
  (known, more) => {
    const before = new Map((known ?? []).map((value) => [keyOf(value), value]));
    return [...lastBy<V>(({ value }) => keyOf(value))(before, more).values()];
  };

/** Every value by its key, in order. Records of no key are left out. */
export const listBy =
  <V>(keyOf: KeyOf<V>): Fold<V, ReadonlyMap<string, readonly V[]>> =>
  (known, more) =>
    gathered(known, more, keyOf, ({ value }) => value);

/** What is known by key with more of it: the lists that gain something are new, the others the same. */
export function gathered<R, T>(
  known: ReadonlyMap<string, readonly T[]> | null,
  more: readonly R[],
  keyOf: (record: R) => string | null,
  partOf: (record: R) => T,
): ReadonlyMap<string, readonly T[]> {
  const gained = new Map<string, T[]>();
  for (const record of more) {
    const key = keyOf(record);
    if (key === null) continue;
    const list = gained.get(key);
    if (list) list.push(partOf(record));
    else gained.set(key, [partOf(record)]);
  }
  const out = new Map(known);
  for (const [key, list] of gained) out.set(key, [...(out.get(key) ?? []), ...list]);
  return out;
}

/** Of the element a record is of; one of the job alone is left out. */
export const byElement = ({ element }: { readonly element: string | null }): string | null => element;

/** Kept for reading only: nothing is worked out of it. */
export const nothing = (): null => null;
