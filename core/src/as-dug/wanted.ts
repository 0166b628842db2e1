/** What is wanted of a bottom at a place of it. */
import { at, edges, type Linear, type Polygon } from '../geometry/convex.ts';

/** A convex piece of an element's bottom, with the level wanted over it. */
export interface WantedPiece {
  readonly plan: Polygon;
  readonly level: Linear;
}

/** How far a place lies outside a convex piece, m; nought inside. */
const outside = (piece: Polygon, [x, y]: readonly [number, number]): number =>
  Math.max(0, ...edges(piece).map((edge) => at(edge, x, y)));

/** The level wanted at a place, by the piece it lies in or nearest to; m it lies outside all of them. */
export function wantedAt(
  pieces: readonly WantedPiece[],
  place: readonly [number, number],
): { readonly level: number; readonly outside: number } | null {
  let best: { level: number; outside: number } | null = null;
  for (const { plan, level } of pieces) {
    const out = outside(plan, place);
    if (!best || out < best.outside - 1e-9) best = { level: at(level, ...place), outside: out };
  }
  return best;
}
