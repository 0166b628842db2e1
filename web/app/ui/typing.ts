/** What may be half a number: a value on its way to another looks like one far off. */

/** A value this many times another, or this part of it, is far from it. */
const FAR = 10;

/**
 * Whether a typed value is too far from what stood there to be taken before the field is left: 1010.5 typed
 * over 100.25 passes 1, 10, 101 and 1010.
 * @param before what stood there, SI; null: nothing
 */
export function farFrom(before: number | null, typed: number | null): boolean {
  if (before === null || typed === null || before === 0) return false;
  if (typed === 0) return true;
  const ratio = Math.abs(typed / before);
  return ratio > FAR || ratio < 1 / FAR;
}
