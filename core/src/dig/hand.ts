/** What a machine may not dig: the soil about buried services, and the last of every bottom. */
import {
  alongside,
  edges,
  integral,
  intersect,
  type Linear,
  type Polygon,
  subtract,
} from '../geometry/index.ts';
import type { Hazard } from '../plan/schema.ts';
import type { Solid } from './solid.ts';

/** The ground one keeps off a line by so much; of a line that is a point, a square about it. */
const keptOff = ({ points, keepOff }: Hazard): Polygon[] =>
  points.length === 1
    ? [alongside(points[0]!, points[0]!, keepOff, keepOff)]
    : points.slice(1).map((q, i) => alongside(points[i]!, q, keepOff, keepOff));

/**
 * Bank m³ dug nearer to a buried service than one keeps off it: dug by hand, laid bare or not. Soil
 * by two services is counted once. Corners of the strips are square, a little more than the rule asks.
 */
export function handDug(solid: Solid, hazards: readonly Hazard[]): number {
  const zones = hazards
    .filter((hazard) => hazard.kind === 'service' && hazard.keepOff > 0)
    .flatMap(keptOff)
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
