/** Words that come in parts, put together: those of one head may come early and late. */

export type Words = { readonly [key: string]: string | Words };

/** Puts words with those that are there. */
export function mergeInto(into: Record<string, string | Words>, words: Words): void {
  for (const [key, value] of Object.entries(words)) {
    const there = into[key];
    if (typeof value === 'string' || typeof there !== 'object') into[key] = value;
    else {
      const both: Record<string, string | Words> = { ...there };
      mergeInto(both, value);
      into[key] = both;
    }
  }
}

export function merged<A extends object, B extends object, C extends object>(
  first: A,
  board: B,
  later: C,
): A & B & C {
  const out: Record<string, string | Words> = {};
  for (const part of [first, board, later]) mergeInto(out, part as Words);
  return out as A & B & C;
}
