/**
 * Hazards against the dig: keep-off distances, a neighbour's line of influence, old concrete that
 * stands into the trench. It names and measures; what to do is for the people responsible.
 */
import { at, boxesApart, boxOf, distanceToLine, edges, type Polygon } from '../geometry/index.ts';
import type { Hazard, Plan } from '../plan/schema.ts';

export interface Clash {
  readonly hazard: string;
  readonly kind: Hazard['kind'];
  readonly element: string;
  readonly what: 'keepOff' | 'influence' | 'cutBack' | 'flood';
  /** In plan from the hazard to the opening (keepOff) or the bottom (the others), m; 0 crosses it. */
  readonly distance: number;
  /** keepOff: the distance wanted. influence: lowest formation allowed. cutBack: width left of the
   * old concrete beyond its line. flood: flood level. */
  readonly limit: number;
  /** influence: how far the formation lies below the limit. cutBack: what is cut off. flood: how far
   * the ground lies below it. */
  readonly by: number;
}

/** Distance in plan between two segments, m. */
function segmentDistance(a: readonly number[], b: readonly number[]): number {
  const [ax, ay, bx, by] = a as [number, number, number, number];
  const [cx, cy, dx, dy] = b as [number, number, number, number];
  const cross = (ox: number, oy: number, px: number, py: number, qx: number, qy: number) =>
    (px - ox) * (qy - oy) - (py - oy) * (qx - ox);
  const d1 = cross(ax, ay, bx, by, cx, cy);
  const d2 = cross(ax, ay, bx, by, dx, dy);
  const d3 = cross(cx, cy, dx, dy, ax, ay);
  const d4 = cross(cx, cy, dx, dy, bx, by);
  if (d1 > 0 !== d2 > 0 && d3 > 0 !== d4 > 0) return 0;
  return Math.min(
    distanceToLine([ax, ay], [bx, by], cx, cy),
    distanceToLine([ax, ay], [bx, by], dx, dy),
    distanceToLine([cx, cy], [dx, dy], ax, ay),
    distanceToLine([cx, cy], [dx, dy], bx, by),
  );
}

/** Distance in plan from a point or line to a convex polygon, m; 0 when they meet. */
export function distanceTo(points: Hazard['points'], polygon: Polygon): number {
  const walls = edges(polygon);
  let least = Infinity;
  points.forEach(([x, y], i) => {
    if (walls.every((wall) => at(wall, x, y) <= 0)) least = 0;
    const next = points[i + 1] ?? (points.length === 1 ? points[0]! : null);
    if (!next) return;
    for (let k = 0; k < polygon.length; k += 2) {
      const m = (k + 2) % polygon.length;
      least = Math.min(
        least,
        segmentDistance(
          [x, y, next[0], next[1]],
          [polygon[k]!, polygon[k + 1]!, polygon[m]!, polygon[m + 1]!],
        ),
      );
    }
  });
  return least;
}

/** Distance to the nearest of many polygons; those whose boxes lie farther off are not measured. */
function nearest(hazard: Hazard, polygons: readonly Polygon[]): number {
  const own = boxOf(hazard.points.flat());
  let least = Infinity;
  for (const polygon of polygons)
    if (boxesApart(own, boxOf(polygon)) < least) least = Math.min(least, distanceTo(hazard.points, polygon));
  return least;
}

/** One element as dug. */
export interface DugNearby {
  readonly id: string;
  readonly bottoms: readonly Polygon[];
  readonly openings: readonly Polygon[];
  readonly formation: number;
  readonly groundLow: number;
  readonly depth: number;
}

/** Every hazard too near the dig, too high for it or in its way. */
export function clashesOf(plan: Plan, dug: readonly DugNearby[]): Clash[] {
  const out: Clash[] = [];
  for (const hazard of plan.ground.hazards)
    for (const element of dug) {
      const clash = (what: Clash['what'], distance: number, limit: number, by: number) =>
        out.push({ hazard: hazard.id, kind: hazard.kind, element: element.id, what, distance, limit, by });
      const opening = nearest(hazard, element.openings);
      if (!Number.isFinite(opening)) continue;
      const over =
        hazard.kind === 'service' && hazard.depth !== null ? hazard.depth - hazard.keepOff : -Infinity;
      // A service well under the bottom of the cut is not in its way.
      if (hazard.kind !== 'footing' && opening < hazard.keepOff - 1e-9 && element.depth > over)
        clash('keepOff', opening, hazard.keepOff, hazard.keepOff - opening);
      if (hazard.kind === 'stream' && hazard.level !== null && hazard.level > element.groundLow)
        clash('flood', opening, hazard.level, hazard.level - element.groundLow);
      if (hazard.kind !== 'footing') continue;
      const projection = hazard.projection ?? 0;
      const bottom = nearest(hazard, element.bottoms);
      if (bottom < projection - 1e-9) clash('cutBack', bottom, bottom, projection - bottom);
      if (hazard.level !== null) {
        const limit = hazard.level - Math.max(0, bottom - projection) * plan.levels.influence;
        if (element.formation < limit - 1e-9) clash('influence', bottom, limit, limit - element.formation);
      }
    }
  return out;
}
