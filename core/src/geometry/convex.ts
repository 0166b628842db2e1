/**
 * Convex polygons and half-planes: the few exact operations everything else is made of.
 *
 * A polygon is a flat array [x0, y0, x1, y1, …], counter-clockwise, metres, x east and y north.
 * A half-plane {a, b, c} holds the points where a·x + b·y + c ≤ 0. A linear function uses the
 * same three numbers.
 *
 * Not guaranteed: pieces may share edges and be slivers down to SLIVER; nothing here needs
 * vertices to match exactly, since every answer is an integral and slivers integrate to nothing.
 */
export type Polygon = readonly number[];
export interface Linear {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

/** Plan area in m² below which a piece is dropped: a square tenth of a millimetre. */
const SLIVER = 1e-8;
/** Two planes closer than this everywhere near the job (m) are taken as the same plane. */
export const SAME_PLANE = 1e-9;

export const at = (f: Linear, x: number, y: number): number => f.a * x + f.b * y + f.c;
export const minus = (f: Linear, g: Linear): Linear => ({ a: f.a - g.a, b: f.b - g.b, c: f.c - g.c });
export const constant = (c: number): Linear => ({ a: 0, b: 0, c });

/** Signed area, m²; positive counter-clockwise. */
export const area = (p: Polygon): number => areaIn(p, p.length);

function areaIn(p: Polygon | Float64Array, n: number): number {
  let twice = 0;
  // Taken about the first corner: far from the origin the products would lose digits.
  const ox = p[0] ?? 0;
  const oy = p[1] ?? 0;
  for (let i = 0, j = n - 2; i < n; j = i, i += 2)
    twice += (p[j]! - ox) * (p[i + 1]! - oy) - (p[i]! - ox) * (p[j + 1]! - oy);
  return twice / 2;
}

/** Corners of a polygon, one by one. */
export const cornersOf = (p: Polygon): [number, number][] =>
  Array.from({ length: p.length / 2 }, (_, i) => [p[2 * i]!, p[2 * i + 1]!]);

/** Mean of its corners. */
export function cornerMean(p: Polygon): readonly [number, number] {
  const n = p.length / 2;
  let [x, y] = [0, 0];
  for (let i = 0; i < p.length; i += 2) {
    x += p[i]! / n;
    y += p[i + 1]! / n;
  }
  return [x, y];
}

/** ∬ f dA over a convex polygon, exact for a linear f: the sum over its fan of triangles. */
export function integral(p: Polygon, f: Linear): number {
  const ox = p[0] ?? 0;
  const oy = p[1] ?? 0;
  const f0 = at(f, ox, oy);
  let sum = 0;
  for (let i = 2; i + 3 < p.length; i += 2) {
    const x1 = p[i]! - ox;
    const y1 = p[i + 1]! - oy;
    const x2 = p[i + 2]! - ox;
    const y2 = p[i + 3]! - oy;
    sum += ((x1 * y2 - x2 * y1) / 2) * (f0 + (f.a * (x1 + x2) + f.b * (y1 + y2)) / 3);
  }
  return sum;
}

/**
 * Work room: cuts go back and forth between these two, so that only what is kept is made anew.
 * Millions of cuts a plan would otherwise leave as many arrays to be swept up.
 */
let work = new Float64Array(128);
let spare = new Float64Array(128);
let values = new Float64Array(64);

/** Puts a polygon into the work room; its length. */
function load(p: Polygon): number {
  const n = p.length;
  if (n + 4 > work.length) widen(n + 4);
  for (let i = 0; i < n; i++) work[i] = p[i]!;
  return n;
}

function widen(wanted: number): void {
  const grown = new Float64Array(2 * wanted);
  grown.set(work);
  work = grown;
  spare = new Float64Array(2 * wanted);
  values = new Float64Array(wanted);
}

/** Cuts what lies in the work room to where h ≤ 0: its new length, the same when nothing was cut off. */
function cut(n: number, h: Linear): number {
  const { a, b, c } = h;
  let outside = 0;
  for (let i = 0; i < n; i += 2) {
    const v = a * work[i]! + b * work[i + 1]! + c;
    values[i >> 1] = v;
    if (v > 0) outside++;
  }
  if (outside === 0) return n;
  if (outside * 2 === n) return 0;
  if (n + 4 > spare.length) widen(n + 4);
  let m = 0;
  let px = work[n - 2]!;
  let py = work[n - 1]!;
  let pv = values[(n >> 1) - 1]!;
  for (let i = 0; i < n; i += 2) {
    const x = work[i]!;
    const y = work[i + 1]!;
    const v = values[i >> 1]!;
    if (v > 0 !== pv > 0) {
      const t = pv / (pv - v);
      spare[m++] = px + t * (x - px);
      spare[m++] = py + t * (y - py);
    }
    if (v <= 0) {
      spare[m++] = x;
      spare[m++] = y;
    }
    px = x;
    py = y;
    pv = v;
  }
  [work, spare] = [spare, work];
  return m;
}

/** What was left in the work room. */
function kept(n: number): number[] {
  const out: number[] = [];
  for (let i = 0; i < n; i++) out.push(work[i]!);
  return out;
}

/** The part of a convex polygon where h ≤ 0 (empty array when none). */
export function clip(p: Polygon, h: Linear): Polygon {
  const { a, b, c } = h;
  let outside = 0;
  for (let i = 0; i < p.length; i += 2) if (a * p[i]! + b * p[i + 1]! + c > 0) outside++;
  if (outside === 0) return p;
  if (outside * 2 === p.length) return [];
  return kept(cut(load(p), h));
}

const negated = (h: Linear): Linear => ({ a: -h.a, b: -h.b, c: -h.c });

export const isEmpty = (p: Polygon): boolean => p.length < 6 || area(p) < SLIVER;

/** Cuts p to the half-planes in the work room: the length of what is left there, 0 for none worth counting. */
function cutAll(p: Polygon, halfPlanes: readonly Linear[]): number {
  let n = load(p);
  for (const h of halfPlanes) {
    n = cut(n, h);
    if (n < 6) return 0;
  }
  return areaIn(work, n) < SLIVER ? 0 : n;
}

/** The part of p inside every half-plane; empty array when there is none worth counting. */
export function intersect(p: Polygon, halfPlanes: readonly Linear[]): Polygon {
  const n = cutAll(p, halfPlanes);
  return n === 0 ? [] : kept(n);
}

/**
 * p less the convex region that the half-planes bound, as convex pieces.
 * Returns [p] itself, uncut, when the two do not meet.
 */
export function subtract(p: Polygon, halfPlanes: readonly Linear[]): Polygon[] {
  if (cutAll(p, halfPlanes) === 0) return [p];
  const pieces: Polygon[] = [];
  let rest = p;
  for (const h of halfPlanes) {
    const off = clip(rest, negated(h));
    if (!isEmpty(off)) pieces.push(off);
    rest = clip(rest, h);
  }
  return pieces;
}

/** One outward half-plane per edge: value = distance outside that edge, m. */
export function edges(p: Polygon): Linear[] {
  const out: Linear[] = [];
  const n = p.length;
  for (let i = 0; i < n; i += 2) {
    const x = p[i]!;
    const y = p[i + 1]!;
    const dx = p[(i + 2) % n]! - x;
    const dy = p[(i + 3) % n]! - y;
    const length = Math.hypot(dx, dy);
    if (length < SAME_PLANE) continue;
    const a = dy / length;
    const b = -dx / length;
    out.push({ a, b, c: -(a * x + b * y) });
  }
  return out;
}

/**
 * How far a mitred corner between two sides runs out, against how far the sides do: 1/cos(turn/2),
 * by the half-angle formula; a needle is held to a hundredfold.
 */
export const mitreOf = (side: Linear, next: Linear): number =>
  1 / Math.max(0.01, Math.sqrt(Math.max(0, 1 + side.a * next.a + side.b * next.b) / 2));

export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

export function boxOf(p: Polygon): Box {
  let x0 = Infinity;
  let y0 = Infinity;
  let x1 = -Infinity;
  let y1 = -Infinity;
  for (let i = 0; i < p.length; i += 2) {
    x0 = Math.min(x0, p[i]!);
    x1 = Math.max(x1, p[i]!);
    y0 = Math.min(y0, p[i + 1]!);
    y1 = Math.max(y1, p[i + 1]!);
  }
  return { x0, y0, x1, y1 };
}

export const boxesMeet = (p: Box, q: Box): boolean =>
  p.x0 < q.x1 && q.x0 < p.x1 && p.y0 < q.y1 && q.y0 < p.y1;

/** Distance between two boxes, m: no more than between what they hold. */
export const boxesApart = (p: Box, q: Box): number =>
  Math.hypot(Math.max(0, p.x0 - q.x1, q.x0 - p.x1), Math.max(0, p.y0 - q.y1, q.y0 - p.y1));

export const unionBox = (boxes: readonly Box[]): Box =>
  boxes.reduce(
    (whole, b) => ({
      x0: Math.min(whole.x0, b.x0),
      y0: Math.min(whole.y0, b.y0),
      x1: Math.max(whole.x1, b.x1),
      y1: Math.max(whole.y1, b.y1),
    }),
    { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity },
  );

/** Corners of a rectangle with sides along (cos, sin) of `angle` (rad) and square to it. */
export function rectangle(x: number, y: number, length: number, width: number, angle: number): Polygon {
  const ux = (Math.cos(angle) * length) / 2;
  const uy = (Math.sin(angle) * length) / 2;
  const vx = (-Math.sin(angle) * width) / 2;
  const vy = (Math.cos(angle) * width) / 2;
  return [
    x - ux - vx,
    y - uy - vy,
    x + ux - vx,
    y + uy - vy,
    x + ux + vx,
    y + uy + vy,
    x - ux + vx,
    y - uy + vy,
  ];
}

/** The ground about a straight run from p to q: `half` to both sides of it, `past` beyond either end. */
export function alongside(
  p: readonly [number, number],
  q: readonly [number, number],
  half: number,
  past = 0,
): Polygon {
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const [x, y] = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  return rectangle(x, y, Math.hypot(dx, dy) + 2 * past, 2 * half, Math.atan2(dy, dx));
}

/**
 * The stretch [s0, s1] (m along it) of a line from (x, y) in unit direction (dx, dy) inside the
 * half-planes, or null. s starts as the wanted window.
 */
export function clipLine(
  x: number,
  y: number,
  dx: number,
  dy: number,
  window: readonly [number, number],
  halfPlanes: readonly Linear[],
): [number, number] | null {
  let [s0, s1] = window;
  for (const h of halfPlanes) {
    const rate = h.a * dx + h.b * dy;
    const start = at(h, x, y);
    if (Math.abs(rate) < 1e-12) {
      if (start > 0) return null;
      continue;
    }
    const crossing = -start / rate;
    if (rate > 0) s1 = Math.min(s1, crossing);
    else s0 = Math.max(s0, crossing);
    if (s1 - s0 < SAME_PLANE) return null;
  }
  return [s0, s1];
}
