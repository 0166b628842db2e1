/** Contour lines of a triangulated surface, for drawing. */

/** One contour's pieces: [x0, y0, x1, y1, …], two points a piece. */
export interface Contour {
  readonly level: number;
  readonly pieces: readonly number[];
}

/** Most levels drawn; a steeper site gets a coarser step from the caller. */
const MOST_LEVELS = 200;

/**
 * Cuts every triangle at each whole multiple of the step. An edge that lies exactly on a level
 * belongs to the triangle above it, so that flat ground draws nothing twice.
 * @param triangles corners [x, y, z] × 3
 * @param step m, > 0
 */
export function contours(triangles: readonly Float64Array[], step: number): Contour[] {
  const byLevel = new Map<number, number[]>();
  for (const t of triangles) {
    const low = Math.min(t[2]!, t[5]!, t[8]!);
    const high = Math.max(t[2]!, t[5]!, t[8]!);
    if (high - low > MOST_LEVELS * step) continue;
    for (let n = Math.ceil(low / step); n * step < high; n++) {
      const level = n * step;
      const cut: number[] = [];
      for (let i = 0; i < 3; i++) {
        const p = 3 * i;
        const q = 3 * ((i + 1) % 3);
        if (t[p + 2]! > level === t[q + 2]! > level) continue;
        const share = (level - t[p + 2]!) / (t[q + 2]! - t[p + 2]!);
        cut.push(t[p]! + share * (t[q]! - t[p]!), t[p + 1]! + share * (t[q + 1]! - t[p + 1]!));
      }
      if (cut.length !== 4) continue;
      const pieces = byLevel.get(n);
      if (pieces) pieces.push(...cut);
      else byLevel.set(n, cut);
    }
  }
  return [...byLevel].sort(([p], [q]) => p - q).map(([n, pieces]) => ({ level: n * step, pieces }));
}
