/**
 * Soft soil taken out from under a footing and put back better: how thick, by the spread of the load at
 * two down to one out (2:1, as in Bowles, Foundation Analysis and Design, 5th ed., 5-3), until what
 * comes down on the soft layer is no more than an engineer allows there. It sizes nothing else: the
 * allowable is typed with who said it.
 */

import type { Range } from '../plan/fields.ts';

/** What is typed to ask for it. */
export const REPLACEMENT_RANGES = {
  putBack: { kind: 'size', min: 0.05, max: 3 },
  bearing: { kind: 'pressure', min: 1000, max: 5_000_000 },
} as const satisfies Record<string, Range>;

export interface Spread {
  /** Under the footing, Pa. */
  readonly load: number;
  /** The engineer's for the soft layer, Pa. */
  readonly allowable: number;
  /** Of the footing, m; `length` null for a strip. */
  readonly width: number;
  readonly length: number | null;
  /** What is put back weighs more than what came out, N/m³: it loads the soft layer too. 0 when not counted. */
  readonly heavier?: number;
}

export interface Replacement {
  /** m under the footing's underside; 0 when the soft layer carries the load as it is. */
  readonly thickness: number;
  /** m at its foot: half the thickness wider on each side. */
  readonly width: number;
  readonly length: number | null;
  /** What then comes down on the soft layer, Pa. */
  readonly stress: number;
}

/** Stress the spread load leaves at a depth under the footing, Pa. */
export function spreadStress({ load, width, length, heavier = 0 }: Spread, z: number): number {
  const share = (width / (width + z)) * (length === null ? 1 : length / (length + z));
  return load * share + heavier * z;
}

/** Deepest looked for, m. */
const DEEPEST = 20;

/**
 * @returns null when no thickness does: what is put back is so heavy that the stress stops falling
 */
export function replacementUnder(spread: Spread): Replacement | null {
  const { load, allowable, width, length, heavier = 0 } = spread;
  const made = (thickness: number): Replacement => ({
    thickness,
    width: width + thickness,
    length: length === null ? null : length + thickness,
    stress: spreadStress(spread, thickness),
  });
  if (load <= allowable) return made(0);
  if (heavier === 0) {
    const over = load / allowable;
    if (length === null) return made(width * (over - 1));
    // (B + z)(L + z) = B·L·q/qa
    const half = (width + length) / 2;
    return made(Math.sqrt(half * half + width * length * (over - 1)) - half);
  }
  // The stress falls, then rises with the weight: the first crossing is before its least.
  let [low, high] = [0, 0];
  while (spreadStress(spread, high) > allowable) {
    low = high;
    high += 0.05;
    if (high > DEEPEST) return null;
    if (spreadStress(spread, high) > spreadStress(spread, low)) return null;
  }
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (spreadStress(spread, middle) > allowable) low = middle;
    else high = middle;
  }
  return made(high);
}
