/** Boards against frost in plan: under a slab, under its edge, or out past it. */
import { framePieces } from '../dig/bottoms.ts';
import { area, type Polygon } from '../geometry/index.ts';
import type { Raft } from '../plan/elements.ts';
import { outlinePieces } from '../setout/index.ts';

/** How far boards along an edge reach out past it and in under it, m. */
export const boardReach = ({ zone, width }: NonNullable<Raft['boards']>): readonly [number, number] =>
  zone === 'apron' ? [width, 0] : [0, width];

/** Convex pieces that do not overlap; none where there are no boards. */
export function boardPieces({ outline, boards }: Raft): Polygon[] {
  if (!boards) return [];
  if (boards.zone === 'whole') return outlinePieces(outline, 0);
  const [out, inward] = boardReach(boards);
  return framePieces(outline, out, inward).map(({ plan }) => plan);
}

/** m² covered. */
export const boardArea = (raft: Raft): number =>
  boardPieces(raft).reduce((sum, piece) => sum + Math.abs(area(piece)), 0);
