/**
 * How sure a volume is that few shots tell of: ± t·s/√n·A, s the scatter of the shots about their own surface,
 * t Student's at 95 % both ways with n − 1 degrees of freedom (Student 1908; the table is the usual one).
 */

/** t at 97.5 %, by degrees of freedom from 1. */
const STUDENT = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131,
  2.12, 2.11, 2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
];
const NORMAL = 1.959964;

/** Past the table: the first two terms of its expansion in 1/df (Fisher & Cornish 1960). */
export function student(df: number): number {
  const z = NORMAL;
  return STUDENT[df - 1] ?? z + (z ** 3 + z) / (4 * df) + (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * df ** 2);
}

export interface Band {
  /** Shots it comes of, and their scatter, m. */
  readonly shots: number;
  readonly scatter: number;
  /** One standard deviation, and half the band at 95 %, m³. */
  readonly sigma: number;
  readonly half: number;
}

/**
 * @param lows m below what is wanted, of each shot
 * @param bottom m²
 * @returns null of fewer than two: one shot says nothing of how sure it is
 */
export function bandOf(lows: readonly number[], bottom: number): Band | null {
  const n = lows.length;
  if (n < 2) return null;
  const mean = lows.reduce((sum, low) => sum + low, 0) / n;
  const scatter = Math.sqrt(lows.reduce((sum, low) => sum + (low - mean) ** 2, 0) / (n - 1));
  const sigma = (scatter / Math.sqrt(n)) * bottom;
  return { shots: n, scatter, sigma, half: student(n - 1) * sigma };
}
