/**
 * Union of upright prisms, each of one material: what is placed in the ground, with shared room
 * counted once. The prism listed first keeps the room it shares with later ones.
 */
import { area, type Box, boxesMeet, boxOf, edges, intersect, type Polygon, subtract } from './convex.ts';

export interface Prism {
  readonly plan: Polygon;
  readonly bottom: number;
  readonly top: number;
}

/** Length of [bottom, top] not covered by the intervals. */
function uncovered(bottom: number, top: number, covers: readonly (readonly [number, number])[]): number {
  let free = 0;
  let from = bottom;
  for (const [c0, c1] of [...covers].sort((p, q) => p[0] - q[0])) {
    if (c1 <= from) continue;
    if (c0 >= top) break;
    if (c0 > from) free += c0 - from;
    from = Math.max(from, c1);
    if (from >= top) return free;
  }
  return free + Math.max(0, top - from);
}

/**
 * Volume each prism adds to those before it.
 * @returns m³ by prism, aligned with the input; the sum is the volume of the union
 */
export function prismVolumes(prisms: readonly Prism[]): number[] {
  const boxes: Box[] = prisms.map((prism) => boxOf(prism.plan));
  return prisms.map((prism, i) => {
    if (!(prism.top > prism.bottom)) return 0;
    let pieces: { plan: Polygon; covers: [number, number][] }[] = [{ plan: prism.plan, covers: [] }];
    for (let j = 0; j < i; j++) {
      const other = prisms[j]!;
      if (other.top <= prism.bottom || other.bottom >= prism.top || !boxesMeet(boxes[i]!, boxes[j]!))
        continue;
      const walls = edges(other.plan);
      pieces = pieces.flatMap((piece) => {
        const shared = intersect(piece.plan, walls);
        if (shared.length === 0) return [piece];
        const cover: [number, number] = [other.bottom, other.top];
        return [
          { plan: shared, covers: [...piece.covers, cover] },
          ...subtract(piece.plan, walls).map((plan) => ({ plan, covers: piece.covers })),
        ];
      });
    }
    return pieces.reduce(
      (sum, piece) => sum + area(piece.plan) * uncovered(prism.bottom, prism.top, piece.covers),
      0,
    );
  });
}

/** Plan area of the union of convex polygons, m². */
export const unionArea = (plans: readonly Polygon[]): number =>
  prismVolumes(plans.map((plan) => ({ plan, bottom: 0, top: 1 }))).reduce((sum, part) => sum + part, 0);
