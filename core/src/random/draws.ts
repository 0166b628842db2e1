/** Draws of a generator of numbers in [0, 1). */

/** A number between two, all of them as likely. */
export const between = (next: () => number, [low, high]: readonly [number, number]): number =>
  low + (high - low) * next();

/** One of a list, each as likely. @throws RangeError of an empty one */
export function oneOf<T>(next: () => number, list: readonly T[]): T {
  if (list.length === 0) throw new RangeError('Nothing to draw from.');
  return list[Math.floor(next() * list.length)]!;
}

/** A share that is neither none nor all, as the inverse of a law without ends asks. */
export const openShare = (next: () => number): number => Math.min(1 - 1e-9, Math.max(1e-9, next()));
