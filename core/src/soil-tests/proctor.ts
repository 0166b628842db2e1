/**
 * A laboratory compaction test (Proctor, ASTM D698 and D1557): dry density against moisture, the curve
 * through it, its maximum and the optimum, and the line no soil can cross because it holds no air.
 */

export interface ProctorPoint {
  /** Water by dry mass, 1 = 100 %. */
  readonly moisture: number;
  /** Dry, kg/m³. */
  readonly density: number;
}

export type ProctorFault =
  /** Fewer than four points. */
  | 'tooFew'
  /** Two at one moisture, or so close that no curve is told by them. */
  | 'together'
  /** The curve has no top between the driest and the wettest point: all on one side. */
  | 'oneSided'
  /** Its top lies where no air is left: no soil is so dense, something was weighed wrong. */
  | 'overAir';

/** Stones too large for the mould, which the laboratory sieves out: their share by dry mass, grains, water. */
export interface Coarse {
  readonly share: number;
  /** Specific gravity, of the stones as they are. */
  readonly grains: number;
  readonly moisture: number;
}

export interface Proctor {
  readonly ok: true;
  /** Maximum dry density, kg/m³, and the moisture it comes at: of all that is laid, its stones in it. */
  readonly maximum: number;
  readonly optimum: number;
  /** The same of what was in the mould. */
  readonly mould: { readonly maximum: number; readonly optimum: number };
  /** Specific gravity of all grains together. */
  readonly grains: number;
  /** Of the curve, by the moisture less its middle: density = Σ cᵢ·(w − middle)ⁱ. */
  readonly curve: readonly number[];
  readonly middle: number;
  /** Points over the zero-air-voids line, by position: measuring errors. */
  readonly above: readonly number[];
}
export type ProctorResult = Proctor | { readonly ok: false; readonly fault: ProctorFault };

/** Of water, kg/m³. */
const WATER = 1000;
/** Two tests whose moisture differs by less are one. */
const APART = 0.002;
/** Beyond the line by less than this is rounding of what was read. */
const ROUNDED = 1e-3;

/** Dry density with no air left at a moisture, kg/m³. @param grains specific gravity of the grains */
export const zeroAirVoids = (moisture: number, grains: number): number =>
  (grains * WATER) / (1 + moisture * grains);

/** Coefficients of the polynomial of a degree with least squares of y, lowest first. */
function leastSquares(x: readonly number[], y: readonly number[], degree: number): number[] {
  const n = degree + 1;
  const rows = Array.from({ length: n }, (_, i) => [
    ...Array.from({ length: n }, (_, j) => x.reduce((sum, v) => sum + v ** (i + j), 0)),
    x.reduce((sum, v, k) => sum + v ** i * y[k]!, 0),
  ]);
  for (let i = 0; i < n; i++) {
    const pivot = rows
      .slice(i)
      .reduce((best, row, k) => (Math.abs(row[i]!) > Math.abs(rows[best]![i]!) ? i + k : best), i);
    [rows[i], rows[pivot]] = [rows[pivot]!, rows[i]!];
    for (let k = i + 1; k < n; k++) {
      const factor = rows[k]![i]! / rows[i]![i]!;
      for (let j = i; j <= n; j++) rows[k]![j]! -= factor * rows[i]![j]!;
    }
  }
  const out: number[] = Array.from({ length: n }, () => 0);
  for (let i = n - 1; i >= 0; i--) {
    const known = out.reduce((sum, c, j) => (j > i ? sum + c * rows[i]![j]! : sum), 0);
    out[i] = (rows[i]![n]! - known) / rows[i]![i]!;
  }
  return out;
}

/** Density by the curve at a moisture, kg/m³. */
export const densityAt = ({ curve, middle }: Pick<Proctor, 'curve' | 'middle'>, moisture: number): number =>
  curve.reduce((sum, c, i) => sum + c * (moisture - middle) ** i, 0);

/** Of the mould's soil and its stones together: each takes its own room, and brings its own water. */
function withCoarse(mould: Proctor['mould'], grains: number, coarse: Coarse | null) {
  const share = coarse?.share ?? 0;
  if (!coarse || share === 0) return { ...mould, grains };
  return {
    maximum: 1 / ((1 - share) / mould.maximum + share / (coarse.grains * WATER)),
    optimum: (1 - share) * mould.optimum + share * coarse.moisture,
    grains: 1 / ((1 - share) / grains + share / coarse.grains),
  };
}

/**
 * Least-squares cubic of density on moisture, a quadratic with four points; its highest top within the
 * data is the maximum.
 * @param grains specific gravity of the grains: 2.65–2.70 where nobody measured it
 * @param coarse what was sieved out of it: put back in by its volume (ASTM D4718; up to 40 % over 4.75 mm,
 *   30 % over 19 mm)
 */
export function proctor(
  points: readonly ProctorPoint[],
  grains: number,
  coarse: Coarse | null = null,
): ProctorResult {
  if (points.length < 4) return { ok: false, fault: 'tooFew' };
  const sorted = [...points].sort((p, q) => p.moisture - q.moisture);
  if (sorted.some((point, i) => i > 0 && point.moisture - sorted[i - 1]!.moisture < APART))
    return { ok: false, fault: 'together' };
  const [low, high] = [sorted[0]!.moisture, sorted[sorted.length - 1]!.moisture];
  const middle = (low + high) / 2;
  // Counted in the half range and in thousands: the sums of powers stay of one size.
  const half = (high - low) / 2;
  const scaled = leastSquares(
    sorted.map((p) => (p.moisture - middle) / half),
    sorted.map((p) => p.density / 1000),
    points.length === 4 ? 2 : 3,
  );
  const curve = scaled.map((c, i) => (c * 1000) / half ** i);
  const [, b = 0, c = 0, d = 0] = scaled;
  // Where it is level: b + 2c·u + 3d·u² = 0, and falls away on both sides: 2c + 6d·u < 0.
  const roots =
    Math.abs(d) < 1e-12
      ? [-b / (2 * c)]
      : (() => {
          const inside = c * c - 3 * b * d;
          if (inside < 0) return [];
          return [(-c + Math.sqrt(inside)) / (3 * d), (-c - Math.sqrt(inside)) / (3 * d)];
        })();
  const tops = roots.filter((u) => u > -1 && u < 1 && 2 * c + 6 * d * u < 0);
  if (tops.length === 0) return { ok: false, fault: 'oneSided' };
  const found = { curve, middle };
  const best = tops
    .map((u) => middle + u * half)
    .reduce((p, q) => (densityAt(found, q) > densityAt(found, p) ? q : p));
  const mould = { maximum: densityAt(found, best), optimum: best };
  if (mould.maximum > zeroAirVoids(best, grains) * (1 + ROUNDED)) return { ok: false, fault: 'overAir' };
  return {
    ok: true,
    ...withCoarse(mould, grains, coarse),
    mould,
    ...found,
    above: points.flatMap((p, i) =>
      p.density > zeroAirVoids(p.moisture, grains) * (1 + ROUNDED) ? [i] : [],
    ),
  };
}
