/**
 * Union of upright prisms, each of one material: what is placed in the ground, with shared room
 * counted once. The prism listed first keeps the room it shares with later ones.
 */
import { boxIndex } from './boxes.ts';
import { area, boxOf, edges, intersect, type Polygon, subtract } from './convex.ts';

export interface Prism {
  readonly plan: Polygon;
  readonly bottom: number;
  readonly top: number;
}

/** From one height to another. */
export type Span = readonly [from: number, to: number];

/** A piece of plan with the heights that belong to it, from the lowest up. */
export interface PrismPiece {
  readonly plan: Polygon;
  readonly spans: readonly Span[];
}

/** What of [bottom, top] the intervals do not cover. */
function uncovered(bottom: number, top: number, covers: readonly Span[]): Span[] {
  const free: Span[] = [];
  let from = bottom;
  for (const [c0, c1] of [...covers].sort((p, q) => p[0] - q[0])) {
    if (c1 <= from) continue;
    if (c0 >= top) break;
    if (c0 > from) free.push([from, c0]);
    from = Math.max(from, c1);
    if (from >= top) return free;
  }
  if (top > from) free.push([from, top]);
  return free;
}

/**
 * The room each prism adds to those before it.
 * @returns by prism, aligned with the input: convex pieces of plan, each with the heights that are its own
 */
export function prismPieces(prisms: readonly Prism[]): PrismPiece[][] {
  const boxes = prisms.map((prism) => boxOf(prism.plan));
  const index = boxIndex(boxes);
  return prisms.map((prism, i) => {
    if (!(prism.top > prism.bottom)) return [];
    let pieces: { plan: Polygon; covers: Span[] }[] = [{ plan: prism.plan, covers: [] }];
    for (const j of index.meeting(boxes[i]!)) {
      if (j >= i) break;
      const other = prisms[j]!;
      if (other.top <= prism.bottom || other.bottom >= prism.top) continue;
      const walls = edges(other.plan);
      pieces = pieces.flatMap((piece) => {
        const shared = intersect(piece.plan, walls);
        if (shared.length === 0) return [piece];
        const cover: Span = [other.bottom, other.top];
        return [
          { plan: shared, covers: [...piece.covers, cover] },
          ...subtract(piece.plan, walls).map((plan) => ({ plan, covers: piece.covers })),
        ];
      });
    }
    return pieces.flatMap(({ plan, covers }) => {
      const spans = uncovered(prism.bottom, prism.top, covers);
      return spans.length > 0 ? [{ plan, spans }] : [];
    });
  });
}

/** m³ of such pieces. */
export const pieceVolume = (pieces: readonly PrismPiece[]): number =>
  pieces.reduce(
    (sum, { plan, spans }) => sum + area(plan) * spans.reduce((high, [from, to]) => high + to - from, 0),
    0,
  );

/**
 * Volume each prism adds to those before it.
 * @returns m³ by prism, aligned with the input; the sum is the volume of the union
 */
export const prismVolumes = (prisms: readonly Prism[]): number[] => prismPieces(prisms).map(pieceVolume);

/** Plan area of the union of convex polygons, m². */
export const unionArea = (plans: readonly Polygon[]): number =>
  prismVolumes(plans.map((plan) => ({ plan, bottom: 0, top: 1 }))).reduce((sum, part) => sum + part, 0);
