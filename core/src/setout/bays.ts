/**
 * Underpinning bays: a run cut into equal bays no longer than the engineer's figure, and the
 * passes they are dug in, open bays two apart. Geometry only: nothing here designs underpinning.
 */
export interface Bays {
  readonly count: number;
  readonly length: number;
  /** Bays of each pass, counted from 1 along the run; a pass waits for the one before to be packed. */
  readonly passes: readonly (readonly number[])[];
}

/** Bays left whole between two that are open. */
const WHOLE_BETWEEN = 2;

/**
 * @param run length, m
 * @param longest bay, m
 */
export function baysOf(run: number, longest: number): Bays {
  const count = Math.max(1, Math.ceil(run / longest - 1e-9));
  const every = WHOLE_BETWEEN + 1;
  const passes = Array.from({ length: Math.min(every, count) }, (_, pass) =>
    Array.from({ length: Math.ceil((count - pass) / every) }, (_bay, k) => pass + 1 + k * every),
  );
  return { count, length: run / count, passes };
}
