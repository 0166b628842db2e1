/** How deep the dig is anywhere: the map of cut depth. */
import { at, clip, edges, isEmpty, type Polygon } from '../geometry/index.ts';
import type { Solid } from './solid.ts';

export interface DepthBand {
  /** Depth below the ground there, m: at least `from`, less than `to`. */
  readonly from: number;
  readonly to: number;
  readonly pieces: readonly Polygon[];
}

/**
 * The opening cut along the lines of equal depth.
 * @param step of depth from band to band, m
 * @returns bands from the shallowest down; the last is as deep as the dig
 */
export function depthBands(solid: Solid, step: number): DepthBand[] {
  const bands: Polygon[][] = [];
  for (const { cells } of solid.cuts)
    for (const { area, depth } of cells) {
      let [least, most] = [Infinity, 0];
      for (let i = 0; i < area.length; i += 2) {
        const here = at(depth, area[i]!, area[i + 1]!);
        least = Math.min(least, here);
        most = Math.max(most, here);
      }
      const [first, last] = [Math.max(0, Math.floor(least / step + 1e-9)), Math.floor(most / step - 1e-9)];
      for (let k = first; k <= Math.max(first, last); k++) {
        const deeper = { a: -depth.a, b: -depth.b, c: k * step - depth.c };
        const shallower = { a: depth.a, b: depth.b, c: depth.c - (k + 1) * step };
        // A cell at one depth is wholly in its band, whatever rounding says of the band's edge.
        const piece = first >= last ? area : clip(clip(area, deeper), shallower);
        if (isEmpty(piece)) continue;
        bands[k] ??= [];
        bands[k]!.push(piece);
      }
    }
  return Array.from(bands, (pieces, k) => ({ from: k * step, to: (k + 1) * step, pieces: pieces ?? [] }));
}

/** The cut at a place: its depth below the ground there, m, and its level; null where nothing is dug. */
export function depthAt(solid: Solid, x: number, y: number): { depth: number; level: number } | null {
  for (const { cells } of solid.cuts)
    for (const { area, depth, level } of cells)
      if (edges(area).every((wall) => at(wall, x, y) <= 1e-9))
        return { depth: Math.max(0, at(depth, x, y)), level: at(level, x, y) };
  return null;
}
