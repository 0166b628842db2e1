/**
 * Triangulated surfaces: Delaunay over spots in plan (delaunator), then breaklines forced in by
 * flipping the edges they cross (Sloan 1993), left/right decided exactly (robust-predicates).
 *
 * Where four spots lie on one circle either diagonal is Delaunay: with levels given the lower of
 * the two surfaces is taken, which is one answer however the job lies (a regular triangulation with
 * the level as its second lifting; Edelsbrunner & Shah 1996). Spots on one line at the hull stay on
 * it, whatever rounding does to them.
 *
 * Arrays follow delaunator: `triangles[e]` is the point half-edge e starts from, three to a
 * triangle; `halfedges[e]` is its twin in the neighbouring triangle, −1 on the hull.
 *
 * Not covered: holes and edges of the survey that bend inwards; the hull is convex.
 */
import Delaunator from 'delaunator';
import { orient2d } from 'robust-predicates';

export interface Mesh {
  /** [x0, y0, x1, y1, …], m. */
  readonly coords: Float64Array;
  readonly triangles: Uint32Array;
  readonly halfedges: Int32Array;
  /** Points of the convex hull, counter-clockwise. */
  readonly hull: readonly number[];
}

export type MeshFault =
  /** The same place twice: positions of the two points. */
  | { readonly code: 'duplicateSpot'; readonly at: number; readonly other: number }
  /** Every point on one line, or fewer than three. */
  | { readonly code: 'collinear' }
  /** A breakline that crosses another: its position, and the points of the stretch. */
  | { readonly code: 'breaklinesCross'; readonly line: number; readonly from: number; readonly to: number }
  | { readonly code: 'breaklineSpot'; readonly line: number; readonly at: number };

/** Two spots closer than this in plan (m) are one place measured twice. */
export const SAME_SPOT = 1e-4;

/** The plan coordinates of points, flat: what `triangulate` takes. */
export function flatPlan(points: readonly (readonly [number, number, ...number[]])[]): Float64Array {
  const out = new Float64Array(points.length * 2);
  points.forEach(([x, y], i) => {
    out[2 * i] = x;
    out[2 * i + 1] = y;
  });
  return out;
}

const next = (e: number) => (e % 3 === 2 ? e - 2 : e + 1);
const prev = (e: number) => (e % 3 === 0 ? e + 2 : e - 1);

function firstDuplicate(coords: Float64Array): { at: number; other: number } | null {
  const count = coords.length / 2;
  const order = Uint32Array.from({ length: count }, (_, i) => i);
  order.sort((p, q) => coords[2 * p]! - coords[2 * q]! || coords[2 * p + 1]! - coords[2 * q + 1]! || p - q);
  for (let i = 0; i < count; i++) {
    const p = order[i]!;
    for (let j = i + 1; j < count; j++) {
      const q = order[j]!;
      if (coords[2 * q]! - coords[2 * p]! > SAME_SPOT) break;
      if (Math.abs(coords[2 * q + 1]! - coords[2 * p + 1]!) <= SAME_SPOT)
        return { at: Math.max(p, q), other: Math.min(p, q) };
    }
  }
  return null;
}

/**
 * Triangulates spots, no triangle crossing a breakline.
 * @param coords [x0, y0, …] in m
 * @param breaklines each a list of positions of points
 * @param levels of the points, m: what decides between two diagonals that are as good
 */
export function triangulate(
  coords: Float64Array,
  breaklines: readonly (readonly number[])[],
  levels?: ArrayLike<number>,
): { readonly ok: true; readonly mesh: Mesh } | { readonly ok: false; readonly fault: MeshFault } {
  const count = coords.length / 2;
  const duplicate = firstDuplicate(coords);
  if (duplicate) return { ok: false, fault: { code: 'duplicateSpot', ...duplicate } };
  if (count < 3) return { ok: false, fault: { code: 'collinear' } };
  const made = new Delaunator(coords);
  const work = peeled({ coords, triangles: made.triangles, halfedges: made.halfedges });
  const { triangles, halfedges } = work;
  if (triangles.length === 0) return { ok: false, fault: { code: 'collinear' } };
  if (levels) settleTies(work, levels);
  const fault = forceLines(work, breaklines);
  if (fault) return { ok: false, fault };
  return { ok: true, mesh: { coords, triangles, halfedges, hull: hullOf(work) } };
}

interface Work {
  readonly coords: Float64Array;
  readonly triangles: Uint32Array;
  readonly halfedges: Int32Array;
}

/** A spot nearer than this (m) to a side of the hull lies on it. */
const ON_LINE = 1e-6;
/** Four spots whose determinant is within this share of their spread⁴ lie on one circle. */
const ON_CIRCLE = 1e-7;

/** Surfaces nearer than this (m) are one. */
const SAME_LEVEL = 1e-9;

/** The mesh without the slivers that rounding puts along its hull. */
function peeled(work: Work): Work {
  const { coords, triangles, halfedges } = work;
  const gone = new Uint8Array(triangles.length / 3);
  const flatAgainst = (e: number) => {
    const [a, b, c] = [triangles[e]!, triangles[next(e)]!, triangles[prev(e)]!];
    const [dx, dy] = [coords[2 * b]! - coords[2 * a]!, coords[2 * b + 1]! - coords[2 * a + 1]!];
    const [px, py] = [coords[2 * c]! - coords[2 * a]!, coords[2 * c + 1]! - coords[2 * a + 1]!];
    return Math.abs(dx * py - dy * px) < ON_LINE * Math.hypot(dx, dy);
  };
  const open: number[] = [];
  halfedges.forEach((twin, e) => {
    if (twin === -1) open.push(e);
  });
  let any = false;
  for (let e = open.pop(); e !== undefined; e = open.pop()) {
    if (gone[Math.floor(e / 3)] || !flatAgainst(e)) continue;
    any = true;
    gone[Math.floor(e / 3)] = 1;
    for (const side of [next(e), prev(e)]) {
      const twin = halfedges[side]!;
      if (twin === -1) continue;
      halfedges[twin] = -1;
      open.push(twin);
    }
  }
  if (!any) return work;
  const place = new Int32Array(triangles.length).fill(-1);
  let count = 0;
  for (let e = 0; e < triangles.length; e++) if (!gone[Math.floor(e / 3)]) place[e] = count++;
  const kept = { coords, triangles: new Uint32Array(count), halfedges: new Int32Array(count) };
  place.forEach((to, e) => {
    if (to < 0) return;
    kept.triangles[to] = triangles[e]!;
    kept.halfedges[to] = halfedges[e] === -1 ? -1 : place[halfedges[e]!]!;
  });
  return kept;
}

/** Points round the mesh, counter-clockwise with y north (delaunator winds for y downwards). */
function hullOf({ triangles, halfedges }: Work): number[] {
  const after = new Map<number, number>();
  halfedges.forEach((twin, e) => {
    if (twin === -1) after.set(triangles[next(e)]!, triangles[e]!);
  });
  const out: number[] = [];
  const [first] = after.keys();
  for (let p = first; p !== undefined && out.length < after.size; p = after.get(p)) out.push(p);
  return out;
}

/** Turns the diagonal of the two triangles that share half-edge a. Returns the six half-edges touched. */
function turnDiagonal({ triangles, halfedges }: Work, a: number): readonly number[] {
  const link = (p: number, q: number) => {
    halfedges[p] = q;
    if (q !== -1) halfedges[q] = p;
  };
  const b = halfedges[a]!;
  const [ar, al, bl, br] = [prev(a), next(a), prev(b), next(b)];
  const [p0, p1] = [triangles[ar]!, triangles[bl]!];
  triangles[a] = p1;
  triangles[b] = p0;
  const beyond = halfedges[bl]!;
  link(b, halfedges[ar]!);
  link(a, beyond);
  link(ar, bl);
  return [a, al, ar, b, bl, br];
}

/** Whether the diagonal at half-edge e lies above the other one of its four spots, and both are as good. */
function liesAbove({ coords, triangles, halfedges }: Work, levels: ArrayLike<number>, e: number): boolean {
  const twin = halfedges[e]!;
  if (twin === -1) return false;
  // Plain numbers: it is asked of every side of every triangle.
  const p = triangles[e]!;
  const q = triangles[next(e)]!;
  const r = triangles[prev(e)]!;
  const s = triangles[prev(twin)]!;
  const sx = coords[2 * s]!;
  const sy = coords[2 * s + 1]!;
  const px = coords[2 * p]! - sx;
  const py = coords[2 * p + 1]! - sy;
  const qx = coords[2 * q]! - sx;
  const qy = coords[2 * q + 1]! - sy;
  const rx = coords[2 * r]! - sx;
  const ry = coords[2 * r + 1]! - sy;
  const p2 = px * px + py * py;
  const q2 = qx * qx + qy * qy;
  const r2 = rx * rx + ry * ry;
  const det = px * (qy * r2 - q2 * ry) - py * (qx * r2 - q2 * rx) + p2 * (qx * ry - qy * rx);
  if (Math.abs(det) > ON_CIRCLE * Math.max(p2, q2, r2) ** 2) return false;
  // Where p–q crosses s–r, as a share of each.
  const dx = qx - px;
  const dy = qy - py;
  const turn = rx * dy - ry * dx;
  const along = (px * dy - py * dx) / turn;
  const here = (rx * py - ry * px) / -turn;
  if (!(along > 0 && along < 1 && here > 0 && here < 1)) return false;
  const [zp, zs] = [levels[p]!, levels[s]!];
  return zp + here * (levels[q]! - zp) > zs + along * (levels[r]! - zs) + SAME_LEVEL;
}

/** Of every four spots on a circle the diagonal that makes the lower surface. */
function settleTies(work: Work, levels: ArrayLike<number>): void {
  const { triangles, halfedges } = work;
  const queue: number[] = [];
  // Each diagonal once, by the one of its two halves that comes first.
  for (let e = 0; e < triangles.length; e++) if (halfedges[e]! > e) queue.push(e);
  // Every turn lowers the surface, so it ends; the bound is for numbers that are no levels.
  for (let left = 40 * triangles.length; queue.length > 0 && left > 0; left--) {
    const e = queue.pop()!;
    if (liesAbove(work, levels, e)) queue.push(...turnDiagonal(work, e));
  }
}

// biome-ignore lint/complexity/noExcessiveLinesPerFunction: one algorithm, whose steps share their work arrays
function forceLines(work: Work, breaklines: readonly (readonly number[])[]): MeshFault | null {
  const { coords, triangles, halfedges } = work;
  const count = coords.length / 2;
  const x = (p: number) => coords[2 * p]!;
  const y = (p: number) => coords[2 * p + 1]!;
  const turn = (a: number, b: number, c: number) => orient2d(x(a), y(a), x(b), y(b), x(c), y(c));
  /** Some half-edge that starts from each point. */
  const start = new Int32Array(count).fill(-1);
  const remember = (e: number) => {
    start[triangles[e]!] = e;
  };
  for (let e = 0; e < triangles.length; e++) remember(e);
  const forced = new Set<number>();
  const key = (a: number, b: number) => Math.min(a, b) * count + Math.max(a, b);

  const flip = (a: number) => {
    for (const e of turnDiagonal(work, a)) remember(e);
  };
  /** Half-edges that start from p, all round, hull or not. */
  const around = (p: number): number[] => {
    const out: number[] = [];
    const first = start[p]!;
    let e = first;
    do {
      out.push(e);
      const twin = halfedges[prev(e)]!;
      if (twin === -1) {
        // The hull: go round the other way from where we began.
        let back = halfedges[first]!;
        while (back !== -1) {
          const other = next(back);
          out.push(other);
          back = halfedges[other]!;
        }
        return out;
      }
      e = twin;
    } while (e !== first);
    return out;
  };
  const crosses = (a: number, b: number, p: number, q: number) => {
    if (a === p || a === q || b === p || b === q) return false;
    return turn(a, b, p) > 0 !== turn(a, b, q) > 0 && turn(p, q, a) > 0 !== turn(p, q, b) > 0;
  };

  /** Forces one stretch; stretches through a point on the way are cut there. */
  const force = (a: number, b: number, line: number): MeshFault | null => {
    const queue: number[] = [];
    let entry = -1;
    for (const e of around(a)) {
      const p = triangles[next(e)]!;
      const q = triangles[prev(e)]!;
      if (p === b || q === b) {
        forced.add(key(a, b));
        return null;
      }
      for (const via of [p, q])
        if (turn(a, b, via) === 0 && ahead(a, b, via)) {
          forced.add(key(a, via));
          return force(via, b, line);
        }
      if (crosses(a, b, p, q)) entry = next(e);
    }
    // Walk the crossed edges to b, or to a point that lies on the way.
    let end = b;
    let e = entry;
    while (e !== -1) {
      const p = triangles[e]!;
      const q = triangles[next(e)]!;
      if (forced.has(key(p, q))) return { code: 'breaklinesCross', line, from: a, to: b };
      queue.push(e);
      const twin = halfedges[e]!;
      const tip = triangles[prev(twin)]!;
      if (tip === b) break;
      if (turn(a, b, tip) === 0) {
        end = tip;
        break;
      }
      e = crosses(a, b, triangles[next(twin)]!, tip) ? next(twin) : prev(twin);
    }
    // Pairs of points, since half-edges change hands as diagonals turn.
    let pending = queue.map((edge) => [triangles[edge]!, triangles[next(edge)]!] as const);
    // Each round turns at least one diagonal towards the line; more rounds than that is a fault.
    let rounds = pending.length * pending.length + 8;
    while (pending.length > 0) {
      if (rounds-- < 0) return { code: 'breaklinesCross', line, from: a, to: end };
      const later: (readonly [number, number])[] = [];
      for (const [p, q] of pending) {
        const edge = around(p).find((candidate) => triangles[next(candidate)] === q) ?? -1;
        const from = edge === -1 ? around(q).find((candidate) => triangles[next(candidate)] === p)! : edge;
        const left = triangles[prev(from)]!;
        const right = triangles[prev(halfedges[from]!)]!;
        const [s, t] = [triangles[from]!, triangles[next(from)]!];
        const sides = turn(left, right, s) * turn(left, right, t);
        if (!(sides < 0)) {
          later.push([p, q]);
          continue;
        }
        flip(from);
        if (crosses(a, end, left, right)) later.push([left, right]);
      }
      pending = later;
    }
    forced.add(key(a, end));
    return end === b ? null : force(end, b, line);
  };
  const ahead = (a: number, b: number, via: number) =>
    (x(b) - x(a)) * (x(via) - x(a)) + (y(b) - y(a)) * (y(via) - y(a)) > 0;

  for (const [line, points] of breaklines.entries()) {
    for (const at of points) if (at >= count) return { code: 'breaklineSpot', line, at };
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1]!, points[i]!];
      if (a === b) return { code: 'breaklineSpot', line, at: a };
      const fault = force(a, b, line);
      if (fault) return fault;
    }
  }
  return null;
}
