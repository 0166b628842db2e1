/** Upright faces to be shored: their area and length, what other digs have taken away left out. */
import { at } from '../geometry/index.ts';
import type { Surface } from '../ground/surface.ts';
import type { Part } from './part.ts';
import { profile, type Solid } from './solid.ts';

export interface Faces {
  /** m² of face, and m along its foot. */
  readonly area: number;
  readonly length: number;
}

/** The dug surface is read this far outside a face, m. */
const OUTSIDE = 1e-3;
/** Samples along a side: heights are straight between a few bends. */
const SAMPLES = 64;

/**
 * Faces of some parts that stand over their bottoms.
 * @param wanted the parts whose sides are shored
 */
export function shoredFaces(
  solid: Solid,
  surface: Pick<Surface, 'level'>,
  wanted: (part: Part) => boolean,
): Faces {
  let area = 0;
  let length = 0;
  for (const part of solid.parts) {
    if (part.mitre > 0 || !wanted(part)) continue;
    const n = part.bottom.length;
    for (let i = 0; i < n; i += 2) {
      const [x0, y0] = [part.bottom[i]!, part.bottom[i + 1]!];
      const [x1, y1] = [part.bottom[(i + 2) % n]!, part.bottom[(i + 3) % n]!];
      const side = Math.hypot(x1 - x0, y1 - y0);
      if (side < 1e-6) continue;
      const [ux, uy] = [(x1 - x0) / side, (y1 - y0) / side];
      const [x, y] = [x0 + uy * OUTSIDE, y0 - ux * OUTSIDE];
      const beyond = profile(solid, x, y, ux, uy, [0, side]);
      const step = side / SAMPLES;
      for (let k = 0; k < SAMPLES; k++) {
        const s = (k + 0.5) * step;
        const [px, py] = [x + ux * s, y + uy * s];
        const piece = beyond.find((p) => s >= p.s0 && s <= p.s1);
        const top = piece
          ? piece.z0 + ((piece.z1 - piece.z0) * (s - piece.s0)) / Math.max(1e-12, piece.s1 - piece.s0)
          : surface.level(px, py);
        const height = top - at(part.floor, px, py);
        if (height < 0.01) continue;
        area += height * step;
        length += step;
      }
    }
  }
  return { area, length };
}
