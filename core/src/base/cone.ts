/**
 * The dynamic cone: blows against depth to CBR with depth (Webster, Grau & Williams 1992, US Army WES
 * GL-92-3; ASTM D6951).
 */

/** What formula holds: any soil, low-plastic clay of CBR under 10, fat clay. */
export const CONE_SOILS = ['any', 'leanClay', 'fatClay'] as const;
export type ConeSoil = (typeof CONE_SOILS)[number];

export interface ConeReading {
  /** Blows so far, and how far the cone is in, m. */
  readonly blows: number;
  readonly depth: number;
}

export interface ConeStep {
  readonly from: number;
  readonly to: number;
  /** mm a blow. */
  readonly index: number;
  /** %. */
  readonly cbr: number;
}

/** CBR, %, by penetration a blow, mm. */
export function cbrOf(index: number, soil: ConeSoil): number {
  const any = 292 / index ** 1.12;
  if (soil === 'fatClay') return 1 / (0.002871 * index);
  if (soil === 'leanClay' && any < 10) return 1 / (0.017019 * index) ** 2;
  return any;
}

/**
 * Steps between readings, from the top down. Readings in any order; without further blows or depth a
 * reading makes no step.
 */
export function coneSteps(readings: readonly ConeReading[], soil: ConeSoil): ConeStep[] {
  const sorted = [...readings].sort((p, q) => p.blows - q.blows || p.depth - q.depth);
  return sorted.flatMap((reading, i): ConeStep[] => {
    const before = sorted[i - 1];
    if (!before) return [];
    const [blows, down] = [reading.blows - before.blows, reading.depth - before.depth];
    if (blows <= 0 || down <= 0) return [];
    const index = (down * 1000) / blows;
    return [{ from: before.depth, to: reading.depth, index, cbr: cbrOf(index, soil) }];
  });
}
