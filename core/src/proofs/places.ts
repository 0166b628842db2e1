/**
 * Places to read a dig at, so that a thin trench across a wide site is read as closely as a pit: a grid in the
 * smallest rectangle round every opening, along its own sides. Where rectangles overlap a place counts by how
 * many of them it lies in (multiple importance sampling), so that together they measure what all of them cover.
 */
import { cornersOf, type Polygon } from '../geometry/index.ts';

/** A rectangle along a direction: a place in it is (u, v) along and across, m. */
interface Frame {
  readonly ux: number;
  readonly uy: number;
  readonly u0: number;
  readonly v0: number;
  readonly length: number;
  readonly width: number;
}

export interface Place {
  readonly x: number;
  readonly y: number;
  /** m² it stands for. */
  readonly area: number;
}

/** The smallest rectangle round a convex piece; one of its sides lies along one of the piece's. */
function frameOf(piece: Polygon): Frame | null {
  const corners = cornersOf(piece);
  let best: Frame | null = null;
  corners.forEach(([x, y], i) => {
    const [nx, ny] = corners[(i + 1) % corners.length]!;
    const side = Math.hypot(nx - x, ny - y);
    if (side < 1e-9) return;
    const [ux, uy] = [(nx - x) / side, (ny - y) / side];
    const us = corners.map(([px, py]) => px * ux + py * uy);
    const vs = corners.map(([px, py]) => py * ux - px * uy);
    const [u0, v0] = [Math.min(...us), Math.min(...vs)];
    const [length, width] = [Math.max(...us) - u0, Math.max(...vs) - v0];
    if (best === null || length * width < best.length * best.width) best = { ux, uy, u0, v0, length, width };
  });
  return best;
}

const inside = ({ ux, uy, u0, v0, length, width }: Frame, x: number, y: number): boolean => {
  const [u, v] = [x * ux + y * uy - u0, y * ux - x * uy - v0];
  return u >= 0 && v >= 0 && u < length && v < width;
};

/**
 * @param pieces convex, in plan
 * @param count of places, about; never fewer than a few in each piece
 */
export function* placesIn(pieces: readonly Polygon[], count: number): Generator<Place> {
  const frames = pieces.flatMap((piece) => frameOf(piece) ?? []);
  const whole = frames.reduce((sum, { length, width }) => sum + length * width, 0);
  if (whole <= 0) return;
  const step = Math.sqrt(whole / count);
  for (const frame of frames) {
    const { ux, uy, u0, v0, length, width } = frame;
    const [nu, nv] = [Math.max(4, Math.ceil(length / step)), Math.max(4, Math.ceil(width / step))];
    const [du, dv] = [length / nu, width / nv];
    for (let i = 0; i < nu; i++)
      for (let j = 0; j < nv; j++) {
        // Each is read somewhere in its square, else upright faces would fall between all of them.
        const u = u0 + (i + ((j * 0.618034 + 0.5) % 1)) * du;
        const v = v0 + (j + ((i * 0.618034 + 0.5) % 1)) * dv;
        const [x, y] = [u * ux - v * uy, u * uy + v * ux];
        const over = frames.reduce((sum, other) => sum + (inside(other, x, y) ? 1 : 0), 0);
        yield { x, y, area: (du * dv) / Math.max(1, over) };
      }
  }
}
