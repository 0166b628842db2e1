/** Boards against frost in plan: under a slab, under its edge, or out past it. */
import { framePieces } from '../dig/bottoms.ts';
import { area, type Polygon } from '../geometry/index.ts';
import type { Raft } from '../plan/elements.ts';
import { outlinePieces } from '../setout/index.ts';

/** Convex pieces that do not overlap; none where there are no boards. */
export function boardPieces({ outline, boards }: Raft): Polygon[] {
  if (!boards) return [];
  if (boards.zone === 'whole') return outlinePieces(outline, 0);
  const [out, inward] = boards.zone === 'apron' ? [boards.width, 0] : [0, boards.width];
  return framePieces(outline, out, inward).map(({ plan }) => plan);
}

/** m² covered. */
export const boardArea = (raft: Raft): number =>
  boardPieces(raft).reduce((sum, piece) => sum + Math.abs(area(piece)), 0);
