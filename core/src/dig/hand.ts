/** What a machine may not dig: the soil about buried services, and the last of every bottom. */
import {
  edges,
  integral,
  intersect,
  type Linear,
  type Polygon,
  rectangle,
  subtract,
} from '../geometry/index.ts';
import type { Hazard } from '../plan/schema.ts';
import type { Solid } from './solid.ts';

/** Strips of plan along a line, `off` to both sides of it and past its ends. */
function alongside(points: Hazard['points'], off: number): Polygon[] {
  if (points.length === 1) return [rectangle(points[0]![0], points[0]![1], 2 * off, 2 * off, 0)];
  return points.slice(1).map((q, i) => {
    const p = points[i]!;
    const angle = Math.atan2(q[1] - p[1], q[0] - p[0]);
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    return rectangle((p[0] + q[0]) / 2, (p[1] + q[1]) / 2, length + 2 * off, 2 * off, angle);
  });
}

/**
 * Bank m³ dug nearer to a buried service than one keeps off it: dug by hand, laid bare or not. Soil
 * by two services is counted once. Corners of the strips are square, a little more than the rule asks.
 */
export function handDug(solid: Solid, hazards: readonly Hazard[]): number {
  const zones = hazards
    .filter((hazard) => hazard.kind === 'service' && hazard.keepOff > 0)
    .flatMap((hazard) => alongside(hazard.points, hazard.keepOff))
    .map(edges);
  const within = (area: Polygon, depth: Linear): number => {
    let left: Polygon[] = [area];
    let volume = 0;
    for (const zone of zones) {
      for (const piece of left) {
        const inside = intersect(piece, zone);
        if (inside.length > 0) volume += integral(inside, depth);
      }
      left = left.flatMap((piece) => subtract(piece, zone));
    }
    return volume;
  };
  if (zones.length === 0) return 0;
  return solid.cuts.reduce(
    (sum, { cells }) => sum + cells.reduce((part, cell) => part + within(cell.area, cell.depth), 0),
    0,
  );
}
