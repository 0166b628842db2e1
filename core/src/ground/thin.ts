/**
 * Thins a survey of very many spots to those that make its shape: starting from the hull and a
 * coarse grid, the worst point of every triangle is taken in until the rest lie within a tolerance
 * of the surface through those kept (greedy insertion; Garland & Heckbert 1995).
 *
 * Not guaranteed: the fewest points possible. When the most allowed are kept and some still lie
 * farther off, `off` says by how much.
 */
import { flatPlan, triangulate } from '../geometry/index.ts';

export type SurveySpot = readonly [number, number, number];

export interface Thinned {
  /** Positions of the spots kept, in order. */
  readonly kept: readonly number[];
  /** Largest distance in level of a spot left out from the surface kept, m. */
  readonly off: number;
}

/** Spots a cell of the grid they are looked up in holds, on average. */
const PER_CELL = 4;

/** Spots by the cell of a grid they lie in: `order[start[c] … start[c + 1])`. */
function binned(points: readonly SurveySpot[]) {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) {
    x0 = Math.min(x0, x);
    x1 = Math.max(x1, x);
    y0 = Math.min(y0, y);
    y1 = Math.max(y1, y);
  }
  const size = Math.max(
    1e-6,
    Math.sqrt(((x1 - x0) * (y1 - y0) * PER_CELL) / points.length),
    (x1 - x0) / 2000,
    (y1 - y0) / 2000,
  );
  const nx = Math.max(1, Math.ceil((x1 - x0) / size));
  const ny = Math.max(1, Math.ceil((y1 - y0) / size));
  const column = (x: number) => Math.min(nx - 1, Math.max(0, Math.floor((x - x0) / size)));
  const row = (y: number) => Math.min(ny - 1, Math.max(0, Math.floor((y - y0) / size)));
  const start = new Uint32Array(nx * ny + 1);
  for (const [x, y] of points) start[row(y) * nx + column(x) + 1]!++;
  for (let c = 0; c < nx * ny; c++) start[c + 1]! += start[c]!;
  const next = start.slice();
  const order = new Uint32Array(points.length);
  points.forEach(([x, y], i) => {
    const cell = row(y) * nx + column(x);
    order[next[cell]!++] = i;
  });
  return { nx, ny, column, row, start, order };
}

/**
 * @param points at least three, no two in one place, not all on a line
 * @param tolerance m
 * @param most spots to keep at the most
 * @param always positions of spots kept whatever their level: those of breaklines
 * @param progress told the share done, 0…1
 */
export function thinSurvey(
  points: readonly SurveySpot[],
  tolerance: number,
  most: number,
  always: readonly number[],
  progress: (share: number) => void = () => {},
): Thinned {
  const grid = binned(points);
  const whole = triangulate(flatPlan(points), []);
  if (!whole.ok) return { kept: points.map((_, i) => i), off: 0 };
  const kept = new Set<number>([...always, ...whole.mesh.hull].slice(0, most));
  for (const p of rimOf(points, grid)) if (kept.size < most / 2) kept.add(p);
  const coarse = Math.max(1, Math.round(Math.max(grid.nx, grid.ny) / 16));
  for (let r = 0; r < grid.ny; r += coarse)
    for (let c = 0; c < grid.nx; c += coarse) {
      const first = grid.order[grid.start[r * grid.nx + c]!];
      if (
        first !== undefined &&
        grid.start[r * grid.nx + c]! < grid.start[r * grid.nx + c + 1]! &&
        kept.size < most
      )
        kept.add(first);
    }
  for (let round = 0; ; round++) {
    const list = [...kept].sort((p, q) => p - q);
    const { worst, off } = worstOf(points, list, grid, tolerance);
    if (worst.length === 0 || kept.size >= most) return { kept: list, off };
    worst.sort((p, q) => q.off - p.off);
    for (const { at } of worst.slice(0, most - kept.size)) kept.add(at);
    progress(Math.min(0.99, 1 - Math.min(1, tolerance / off) * 0.2 - 0.8 / (round + 2)));
  }
}

/**
 * The outermost spots of every row and column. Without them the long thin triangles along the
 * hull take in one spot a round and stay wrong longest.
 */
function rimOf(points: readonly SurveySpot[], grid: ReturnType<typeof binned>): Set<number> {
  const columns = new Map<number, [number, number]>();
  const rows = new Map<number, [number, number]>();
  const widen = (ends: Map<number, [number, number]>, key: number, p: number, axis: 0 | 1) => {
    const now = ends.get(key);
    if (!now) ends.set(key, [p, p]);
    else if (points[p]![axis] < points[now[0]]![axis]) now[0] = p;
    else if (points[p]![axis] > points[now[1]]![axis]) now[1] = p;
  };
  points.forEach(([x, y], p) => {
    widen(columns, grid.column(x), p, 1);
    widen(rows, grid.row(y), p, 0);
  });
  return new Set([...columns.values(), ...rows.values()].flat());
}

/** The spot farthest off in every triangle of the kept ones, where past the tolerance. */
function worstOf(
  points: readonly SurveySpot[],
  kept: readonly number[],
  grid: ReturnType<typeof binned>,
  tolerance: number,
): { worst: { at: number; off: number }[]; off: number } {
  const made = triangulate(flatPlan(kept.map((p) => points[p]!)), []);
  if (!made.ok) return { worst: [], off: 0 };
  const { triangles } = made.mesh;
  const worst: { at: number; off: number }[] = [];
  let farthest = 0;
  for (let t = 0; t < triangles.length; t += 3) {
    const [ax, ay, az] = points[kept[triangles[t]!]!]!;
    const [bx, by, bz] = points[kept[triangles[t + 1]!]!]!;
    const [cx, cy, cz] = points[kept[triangles[t + 2]!]!]!;
    const det = (by - cy) * (ax - cx) + (cx - bx) * (ay - cy);
    if (det === 0) continue;
    let at = -1;
    let off = 0;
    const toRow = grid.row(Math.max(ay, by, cy));
    const toColumn = grid.column(Math.max(ax, bx, cx));
    for (let r = grid.row(Math.min(ay, by, cy)); r <= toRow; r++)
      for (let c = grid.column(Math.min(ax, bx, cx)); c <= toColumn; c++) {
        const cell = r * grid.nx + c;
        for (let i = grid.start[cell]!; i < grid.start[cell + 1]!; i++) {
          const p = grid.order[i]!;
          const [x, y, z] = points[p]!;
          const u = ((by - cy) * (x - cx) + (cx - bx) * (y - cy)) / det;
          const v = ((cy - ay) * (x - cx) + (ax - cx) * (y - cy)) / det;
          if (u < -1e-9 || v < -1e-9 || u + v > 1 + 1e-9) continue;
          const away = Math.abs(u * az + v * bz + (1 - u - v) * cz - z);
          if (away > off) {
            off = away;
            at = p;
          }
        }
      }
    farthest = Math.max(farthest, off);
    if (off > tolerance && at >= 0) worst.push({ at, off });
  }
  return { worst, off: farthest };
}
