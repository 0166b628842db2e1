/**
 * A piece of work that never changes, to measure a machine by: a mesh of triangles cut by lines, some objects made and
 * looked up, some numbers sorted. It stands by itself: nothing of the program is in it, so that the program getting
 * faster or slower does not move it. Change it, and every budget must be measured anew.
 */

/** Pseudo-random numbers in [0, 1): a linear congruential generator (Knuth 1997, vol. 2, table 1, line 18). */
function drawing(seed: number): () => number {
  let now = seed;
  return () => {
    now = (Math.imul(now, 1_664_525) + 1_013_904_223) >>> 0;
    return now / 2 ** 32;
  };
}

/** What of a polygon lies where a·x + b·y ≤ c (Sutherland and Hodgman 1974). */
function cut(polygon: readonly number[], a: number, b: number, c: number): number[] {
  const out: number[] = [];
  for (let i = 0; i < polygon.length; i += 2) {
    const [x, y] = [polygon[i]!, polygon[i + 1]!];
    const [u, v] = [polygon[(i + 2) % polygon.length]!, polygon[(i + 3) % polygon.length]!];
    const [here, next] = [a * x + b * y - c, a * u + b * v - c];
    if (here <= 0) out.push(x, y);
    if (here <= 0 !== next <= 0) {
      const t = here / (here - next);
      out.push(x + t * (u - x), y + t * (v - y));
    }
  }
  return out;
}

const TRIANGLES = 6000;
const LINES = 12;

/** m² left of a mesh after it is cut: the same number every time. */
export function fixedWork(): number {
  const next = drawing(7);
  const lines = Array.from({ length: LINES }, () => [next() - 0.5, next() - 0.5, 20 + 20 * next()] as const);
  const places = new Map<string, { readonly at: number; readonly area: number }>();
  for (let t = 0; t < TRIANGLES; t++) {
    const [x, y] = [100 * next() - 50, 100 * next() - 50];
    let piece: number[] = [x, y, x + 4 * next(), y, x, y + 4 * next()];
    for (const [a, b, c] of lines) piece = cut(piece, a, b, c);
    let area = 0;
    for (let i = 0; i < piece.length; i += 2)
      area +=
        (piece[i]! * piece[(i + 3) % piece.length]! - piece[(i + 2) % piece.length]! * piece[i + 1]!) / 2;
    places.set(`${x.toFixed(3)}/${y.toFixed(3)}`, { at: t, area });
  }
  const areas = [...places.values()].sort((p, q) => p.area - q.area || p.at - q.at);
  return areas.reduce((sum, { area }) => sum + area, 0);
}
