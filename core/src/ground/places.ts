/** Where the ground under a footing is read, and how high and low it lies there. */
import { boxOf, intersect, type Polygon } from '../geometry/index.ts';
import type { GroundModel } from './strata.ts';

/** Spacing of places read along a footing where strata vary, m. */
const READ_EVERY = 1;

/**
 * Places at which the ground under plan pieces is read so that nothing between them is lower or
 * higher: the pieces' corners, every break of the surface in them, and, where strata vary, places
 * between.
 */
export function placesOn(model: GroundModel, pieces: readonly Polygon[]): (readonly [number, number])[] {
  const out: (readonly [number, number])[] = [];
  const corners = (p: Polygon) => {
    for (let i = 0; i < p.length; i += 2) out.push([p[i]!, p[i + 1]!]);
  };
  for (const piece of pieces) {
    corners(piece);
    if (model.surface.hull)
      for (const { walls } of model.surface.patches(boxOf(piece)))
        if (walls.length > 0) corners(intersect(piece, walls));
    if (model.varies)
      for (let i = 0; i < piece.length; i += 2) {
        const j = (i + 2) % piece.length;
        const [x, y, dx, dy] = [
          piece[i]!,
          piece[i + 1]!,
          piece[j]! - piece[i]!,
          piece[j + 1]! - piece[i + 1]!,
        ];
        const count = Math.floor(Math.hypot(dx, dy) / READ_EVERY);
        for (let k = 1; k <= count; k++) out.push([x + (dx * k) / (count + 1), y + (dy * k) / (count + 1)]);
      }
  }
  return out;
}

/** Lowest and highest ground over plan pieces, m; Infinity and −Infinity over none. */
export const groundOver = (model: GroundModel, pieces: readonly Polygon[]) =>
  groundAt(model, placesOn(model, pieces));

/** Lowest and highest ground at some places, m; Infinity and −Infinity at none. */
export function groundAt(
  model: GroundModel,
  places: readonly (readonly [number, number])[],
): { low: number; high: number } {
  let low = Infinity;
  let high = -Infinity;
  for (const [x, y] of places) {
    const level = model.level(x, y);
    low = Math.min(low, level);
    high = Math.max(high, level);
  }
  return { low, high };
}
