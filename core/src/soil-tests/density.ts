/** How dense a lift came out: sand cone, gauge, and what that is of the laboratory's maximum. */

export interface SandCone {
  /** Jar and sand before and after, kg; what the cone and its plate hold, kg. */
  readonly before: number;
  readonly after: number;
  readonly cone: number;
  /** Of the sand as it pours, kg/m³. */
  readonly sand: number;
  /** Soil out of the hole, moist, kg, and its water by dry mass. */
  readonly soil: number;
  readonly moisture: number;
}

export interface Measured {
  /** kg/m³. */
  readonly wet: number;
  readonly dry: number;
}

/** Dry density of a moist soil, kg/m³: ρ/(1 + w). */
export const dryOf = (wet: number, moisture: number): number => wet / (1 + moisture);

/** Volume of the hole by its sand, m³; nought or less when the weighings cannot be right. */
export const holeOf = ({
  before,
  after,
  cone,
  sand,
}: Pick<SandCone, 'before' | 'after' | 'cone' | 'sand'>): number => (before - after - cone) / sand;

/**
 * Density in place by sand cone (ASTM D1556).
 * @returns null when the hole has no volume by its weighings
 */
export function sandCone(test: SandCone): (Measured & { readonly hole: number }) | null {
  const hole = holeOf(test);
  if (hole <= 0) return null;
  const wet = test.soil / hole;
  return { hole, wet, dry: dryOf(wet, test.moisture) };
}

/** A test by gauge, its moist density kg/m³, or by sand cone. */
export interface DensityTest {
  readonly wet: number;
  readonly moisture: number;
  readonly cone: Omit<SandCone, 'moisture'> | null;
}

/** Dry density a test found, kg/m³; null when its weighings leave no hole. */
export function dryFound({ wet, moisture, cone }: DensityTest): number | null {
  return cone ? (sandCone({ ...cone, moisture })?.dry ?? null) : dryOf(wet, moisture);
}

/** Share of the laboratory's maximum dry density. */
export const compactionOf = (dry: number, maximum: number): number => dry / maximum;

/** Water that brings a lift to its optimum, kg; less than nought: it must dry. @param volume compacted m³ */
export const waterToAdd = (volume: number, dry: number, moisture: number, optimum: number): number =>
  volume * dry * (optimum - moisture);
