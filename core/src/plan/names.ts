/** Names and ids given out one after the other. */

/** The next free id or name of the form T1, T2, … */
export function nextName(prefix: string, taken: readonly string[]): string {
  let n = 1;
  while (taken.includes(`${prefix}${n}`)) n++;
  return `${prefix}${n}`;
}
