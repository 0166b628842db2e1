/**
 * Triangulated surfaces: Delaunay over spots in plan (delaunator), then breaklines forced in by
 * flipping the edges they cross (Sloan 1993), left/right decided exactly (robust-predicates).
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
 */
export function triangulate(
  coords: Float64Array,
  breaklines: readonly (readonly number[])[],
): { readonly ok: true; readonly mesh: Mesh } | { readonly ok: false; readonly fault: MeshFault } {
  const count = coords.length / 2;
  const duplicate = firstDuplicate(coords);
  if (duplicate) return { ok: false, fault: { code: 'duplicateSpot', ...duplicate } };
  if (count < 3) return { ok: false, fault: { code: 'collinear' } };
  const { triangles, halfedges, hull } = new Delaunator(coords);
  if (triangles.length === 0) return { ok: false, fault: { code: 'collinear' } };
  const fault = forceLines({ coords, triangles, halfedges }, breaklines);
  if (fault) return { ok: false, fault };
  // delaunator winds for y downwards; with y north its hull runs clockwise.
  return { ok: true, mesh: { coords, triangles, halfedges, hull: [...hull].reverse() } };
}

interface Work {
  readonly coords: Float64Array;
  readonly triangles: Uint32Array;
  readonly halfedges: Int32Array;
}

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

  const link = (a: number, b: number) => {
    halfedges[a] = b;
    if (b !== -1) halfedges[b] = a;
  };
  /** Turns the diagonal of the two triangles that share half-edge a. */
  const flip = (a: number) => {
    const b = halfedges[a]!;
    const ar = prev(a);
    const al = next(a);
    const bl = prev(b);
    const br = next(b);
    const p0 = triangles[ar]!;
    const p1 = triangles[bl]!;
    triangles[a] = p1;
    triangles[b] = p0;
    const beyond = halfedges[bl]!;
    link(b, halfedges[ar]!);
    link(a, beyond);
    link(ar, bl);
    for (const e of [a, al, ar, b, bl, br]) remember(e);
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
