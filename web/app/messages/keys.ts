/** The keys of words, and the function that looks them up. */
import type { Messages } from './en.ts';

/** Plurals are asked for without their ending. */
type Asked<K extends string> = K extends `${infer Stem}_${'zero' | 'one' | 'other'}` ? Stem : K;
type Keys<T> = {
  [K in keyof T & string]: T[K] extends string ? Asked<K> : `${Asked<K>}.${Keys<T[K]>}`;
}[keyof T & string];

/** Every key there are words for. */
export type Key = Keys<Messages>;

/** Looks words up by their key, and puts values into them. A key made of parts is checked part by part. */
export type Say = (key: Key, values?: Readonly<Record<string, unknown>>) => string;

/**
 * A key made of a code that comes as text: from the core's tables, a file or the server. The types do not
 * know it; messages.test.ts and the tests of what makes the code hold that there are words for it.
 */
export const coded = (key: string): Key => key as Key;
