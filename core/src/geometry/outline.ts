/**
 * Outlines with any number of bends: their orientation, whether they cross themselves, their
 * offset, and convex pieces to integrate over.
 *
 * An outline is a list of corners [x, y], metres, the last joined to the first. Functions here
 * want one that does not cross itself: ask `crossing` first.
 */
import earcut from 'earcut';
import { area, at, edges, intersect, type Linear, minus, mitreOf, type Polygon, subtract } from './convex.ts';

export type Corner = readonly [number, number];
type Corners = readonly Corner[];

/** Corners nearer than this (m) are one. */
const SAME = 1e-6;
/** Sine of a bend below which it is none. */
const STRAIGHT = 1e-9;

const cross = (o: Corner, p: Corner, q: Corner): number =>
  (p[0] - o[0]) * (q[1] - o[1]) - (p[1] - o[1]) * (q[0] - o[0]);

export const flat = (corners: Corners): number[] => corners.flat();

/** Counter-clockwise, doubled corners and corners on a straight line left out. */
export function tidy(corners: Corners): Corner[] {
  const apart = corners.filter((p, i) => {
    const before = corners[(i + corners.length - 1) % corners.length]!;
    return Math.hypot(p[0] - before[0], p[1] - before[1]) > SAME;
  });
  const bent = apart.filter((p, i) => {
    const before = apart[(i + apart.length - 1) % apart.length]!;
    const after = apart[(i + 1) % apart.length]!;
    const sides =
      Math.hypot(p[0] - before[0], p[1] - before[1]) * Math.hypot(after[0] - p[0], after[1] - p[1]);
    return Math.abs(cross(before, p, after)) > STRAIGHT * sides;
  });
  return area(flat(bent)) < 0 ? bent.reverse() : bent;
}

/** Whether segments p–q and r–s meet, ends included. */
function meet(p: Corner, q: Corner, r: Corner, s: Corner): boolean {
  const [a, b, c, d] = [cross(r, s, p), cross(r, s, q), cross(p, q, r), cross(p, q, s)];
  if (a > 0 !== b > 0 && c > 0 !== d > 0 && a !== 0 && b !== 0 && c !== 0 && d !== 0) return true;
  const on = (o: Corner, e: Corner, x: Corner) =>
    Math.min(o[0], e[0]) - SAME <= x[0] &&
    x[0] <= Math.max(o[0], e[0]) + SAME &&
    Math.min(o[1], e[1]) - SAME <= x[1] &&
    x[1] <= Math.max(o[1], e[1]) + SAME;
  return (
    (a === 0 && on(r, s, p)) ||
    (b === 0 && on(r, s, q)) ||
    (c === 0 && on(p, q, r)) ||
    (d === 0 && on(p, q, s))
  );
}

/** The first two sides, by their starting corners, that cross or touch; null when none do. */
export function crossing(corners: Corners): readonly [number, number] | null {
  const n = corners.length;
  for (let i = 0; i < n; i++)
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      if (meet(corners[i]!, corners[(i + 1) % n]!, corners[j]!, corners[(j + 1) % n]!)) return [i, j];
    }
  return null;
}

export const isConvex = (corners: Corners): boolean =>
  corners.every(
    (p, i) =>
      cross(corners[(i + corners.length - 1) % corners.length]!, p, corners[(i + 1) % corners.length]!) > 0,
  );

/**
 * Every side moved outwards by `by` m (inwards when negative), corners mitred.
 * @param corners tidy
 * @returns null when the outline does not bear it: sides would vanish or cross
 */
export function offset(corners: readonly Corner[], by: number): Corner[] | null {
  if (by === 0) return [...corners];
  const sides = edges(flat(corners));
  const n = sides.length;
  const out = sides.map((side, i): Corner => {
    const before = sides[(i + n - 1) % n]!;
    const det = before.a * side.b - before.b * side.a;
    const [p, q] = [by - before.c, by - side.c];
    return [(p * side.b - before.b * q) / det, (before.a * q - p * side.a) / det];
  });
  const kept = out.every((p, i) => {
    const q = out[(i + 1) % n]!;
    const [from, to] = [corners[i]!, corners[(i + 1) % n]!];
    return (q[0] - p[0]) * (to[0] - from[0]) + (q[1] - p[1]) * (to[1] - from[1]) > 0;
  });
  return kept && crossing(out) === null ? out : null;
}

/**
 * Convex pieces that make up an outline: ears, joined across every diagonal that is not needed
 * (Hertel & Mehlhorn 1983).
 * @param corners tidy
 */
export function convexPieces(corners: readonly Corner[]): Polygon[] {
  if (isConvex(corners)) return [flat(corners)];
  const ears = earcut(flat(corners));
  let pieces: number[][] = [];
  for (let i = 0; i < ears.length; i += 3) {
    const ear = [ears[i]!, ears[i + 1]!, ears[i + 2]!];
    if (cross(corners[ear[0]!]!, corners[ear[1]!]!, corners[ear[2]!]!) < 0) ear.reverse();
    pieces.push(ear);
  }
  const joined = (p: number[], q: number[]): number[] | null => {
    for (let i = 0; i < p.length; i++) {
      const [from, to] = [p[i]!, p[(i + 1) % p.length]!];
      const j = q.indexOf(to);
      if (j < 0 || q[(j + 1) % q.length] !== from) continue;
      // p from the shared side's end right round to its start, then q without the shared corners.
      const ring = [
        ...p.slice(i + 1),
        ...p.slice(0, i + 1),
        ...Array.from({ length: q.length - 2 }, (_, k) => q[(j + 2 + k) % q.length]!),
      ];
      const convex = ring.every(
        (_, k) =>
          cross(
            corners[ring[(k + ring.length - 1) % ring.length]!]!,
            corners[ring[k]!]!,
            corners[ring[(k + 1) % ring.length]!]!,
          ) > -STRAIGHT,
      );
      if (convex) return ring;
    }
    return null;
  };
  for (let again = true; again; ) {
    again = false;
    search: for (let i = 0; i < pieces.length; i++)
      for (let j = i + 1; j < pieces.length; j++) {
        const ring = joined(pieces[i]!, pieces[j]!);
        if (!ring) continue;
        pieces = [...pieces.filter((_, k) => k !== i && k !== j), ring];
        again = true;
        break search;
      }
  }
  return pieces.map((ring) => ring.flatMap((i) => [...corners[i]!]));
}

/** A side of an outline and where its slope governs outside. */
export interface Flank {
  readonly from: Corner;
  readonly to: Corner;
  /** Distance outside the side, m. */
  readonly distance: Linear;
  /** Half-planes between which, and outside the side, the distance to the outline is this side's. */
  readonly walls: readonly Linear[];
  /** How much farther its sharpest mitre runs out than the side itself. */
  readonly mitre: number;
}

/**
 * The zones outside an outline, one a side: bounded at each corner where the next side becomes
 * the one that counts. Whatever pieces the inside is cut into, these are the same.
 * @param corners tidy
 */
export function flanks(corners: readonly Corner[]): Flank[] {
  const sides = edges(flat(corners));
  const n = sides.length;
  /** At a corner that sticks out the farther side counts, at one that goes in the nearer. */
  const border = (mine: Linear, other: Linear, corner: number) => {
    const before = corners[(corner + n - 1) % n]!;
    const out = cross(before, corners[corner]!, corners[(corner + 1) % n]!) > 0;
    return out ? minus(other, mine) : minus(mine, other);
  };
  return sides.map((mine, i) => {
    const before = sides[(i + n - 1) % n]!;
    const after = sides[(i + 1) % n]!;
    return {
      from: corners[i]!,
      to: corners[(i + 1) % n]!,
      distance: mine,
      walls: [
        { a: -mine.a, b: -mine.b, c: -mine.c },
        border(mine, before, i),
        border(mine, after, (i + 1) % n),
      ],
      mitre: Math.max(1, mitreOf(mine, before), mitreOf(mine, after)),
    };
  });
}

/** Whether a point lies in an outline, its sides included to within `slack` m. */
export function contains(corners: Corners, x: number, y: number, slack = 0): boolean {
  let inside = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i++) {
    const [xi, yi] = corners[i]!;
    const [xj, yj] = corners[j]!;
    if (slack > 0 && distanceToLine([xj, yj], [xi, yi], x, y) <= slack) return true;
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
  }
  return inside;
}

/** Distance from a point to a segment, m. */
export function distanceToLine(p: Corner, q: Corner, x: number, y: number): number {
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const length = dx * dx + dy * dy;
  const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - p[0]) * dx + (y - p[1]) * dy) / length));
  return Math.hypot(x - p[0] - t * dx, y - p[1] - t * dy);
}

/** Length round a closed outline, m. */
export const perimeter = (outline: readonly Corner[]): number =>
  outline.reduce((sum, [x, y], i) => {
    const [nx, ny] = outline[(i + 1) % outline.length]!;
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);

/** A convex piece with its sides moved out by `by`, except those that lie along `fixed`. */
export function grow(piece: Polygon, by: number, fixed: readonly Linear[]): Polygon {
  if (by === 0) return piece;
  const sides = edges(piece);
  const n = sides.length;
  const corners = piece.length / 2;
  if (n !== corners) return piece;
  const middle = (i: number): Corner => [
    (piece[2 * i]! + piece[(2 * i + 2) % piece.length]!) / 2,
    (piece[2 * i + 1]! + piece[(2 * i + 3) % piece.length]!) / 2,
  ];
  const moved = sides.map((side, i) => {
    const [x, y] = middle(i);
    const still = fixed.some(
      (wall) =>
        Math.abs(at(wall, x, y)) < 1e-7 * Math.hypot(wall.a, wall.b) &&
        Math.abs(wall.a * side.b - wall.b * side.a) < 1e-7 * Math.hypot(wall.a, wall.b),
    );
    return still ? side.c : side.c - by;
  });
  const out: number[] = [];
  for (let i = 0; i < n; i++) {
    const j = (i + n - 1) % n;
    const [p, q] = [sides[j]!, sides[i]!];
    const det = p.a * q.b - p.b * q.a;
    out.push((p.b * moved[i]! - q.b * moved[j]!) / det, (q.a * moved[j]! - p.a * moved[i]!) / det);
  }
  return out;
}

/** m² of convex pieces that lie outside an outline; 0 when there is none. */
export function outsideOf(outline: Corners, pieces: readonly Polygon[]): number {
  if (outline.length < 3) return 0;
  let left = [...pieces];
  for (const inner of convexPieces(tidy(outline))) {
    const walls = edges(inner);
    left = left.flatMap((piece) => subtract(piece, walls));
  }
  return left.reduce((sum, piece) => sum + area(piece), 0);
}

/** Distance between two convex pieces, m; nought when they share some area. */
export function gapBetween(p: Polygon, q: Polygon): number {
  if (intersect(p, edges(q)).length > 0) return 0;
  const corner = (r: Polygon, i: number): Corner => [r[i % r.length]!, r[(i + 1) % r.length]!];
  let least = Infinity;
  for (const [one, other] of [
    [p, q],
    [q, p],
  ] as const)
    for (let i = 0; i < one.length; i += 2)
      for (let j = 0; j < other.length; j += 2)
        least = Math.min(least, distanceToLine(corner(other, j), corner(other, j + 2), one[i]!, one[i + 1]!));
  return least;
}
