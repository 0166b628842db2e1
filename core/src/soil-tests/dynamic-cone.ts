/**
 * Dynamic cone penetrometer: how far a blow drives it, and the CBR that goes with that (Webster, Grau and
 * Williams, US Army WES GL-92-3, 1992; the two clays after Webster, Brown and Porter, GL-94-17, 1994).
 */

/** What was driven through, as far as its relation to CBR goes. */
export const CONE_SOILS = ['other', 'leanClay', 'fatClay'] as const;
export type ConeSoil = (typeof CONE_SOILS)[number];

/** Blows and depth, m, both from where it was set down. */
export interface ConeReading {
  readonly blows: number;
  readonly depth: number;
}

/** A stretch between two readings. */
export interface ConeStretch {
  readonly from: number;
  readonly to: number;
  /** mm a blow. */
  readonly index: number;
  /** CBR, %. */
  readonly cbr: number;
}

/** Lean clay has its own relation below this CBR. */
const LEAN_BELOW = 10;

/** CBR, %, of a penetration of so many mm a blow. */
export function cbrOf(index: number, soil: ConeSoil): number {
  if (soil === 'fatClay') return 1 / (0.002871 * index);
  const usual = 292 / index ** 1.12;
  return soil === 'leanClay' && usual < LEAN_BELOW ? 1 / (0.017019 * index) ** 2 : usual;
}

/** Stretches from one reading to the next; those without a blow or without way are left out. */
export function coneStretches(readings: readonly ConeReading[], soil: ConeSoil): ConeStretch[] {
  return readings.slice(1).flatMap(({ blows, depth }, i): ConeStretch[] => {
    const before = readings[i]!;
    const [struck, driven] = [blows - before.blows, depth - before.depth];
    if (struck <= 0 || driven <= 0) return [];
    const index = (driven * 1000) / struck;
    return [{ from: before.depth, to: depth, index, cbr: cbrOf(index, soil) }];
  });
}

/** Position of the first reading that goes back, in blows or in depth; null where none does. */
export function coneFault(readings: readonly ConeReading[]): number | null {
  const at = readings.findIndex(
    ({ blows, depth }, i) => i > 0 && (blows < readings[i - 1]!.blows || depth < readings[i - 1]!.depth),
  );
  return at < 0 ? null : at;
}
