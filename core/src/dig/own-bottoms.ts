/** The bottom of each element that is its own: where two lie over one another it is the lower one's. */
import {
  at,
  boxesMeet,
  boxOf,
  cornerMean,
  edges,
  intersect,
  isEmpty,
  type Linear,
  type Polygon,
  subtract,
} from '../geometry/index.ts';
import type { Plan } from '../plan/schema.ts';
import { shapeOf } from '../setout/index.ts';
import { wantedParts } from './excavate.ts';
import type { FoundationLevels } from './foundation-levels.ts';
import { lowered, piecesOf } from './soft.ts';

/** A convex piece of a bottom with the level wanted over it. */
export interface OwnBottom {
  readonly plan: Polygon;
  readonly level: Linear;
}

/** Soft spots as convex pieces, the deeper first. */
const spotsOf = ({ ground }: Plan): { depth: number; walls: Linear[] }[] =>
  [...ground.softSpots]
    .sort((p, q) => q.depth - p.depth)
    .flatMap((spot) => piecesOf(spot).map((piece) => ({ depth: spot.depth, walls: edges(piece) })));

/** Pieces lowered where soft ground is taken out of them. */
function withSoft(plan: Plan, pieces: readonly OwnBottom[]): OwnBottom[] {
  let left = [...pieces];
  const out: OwnBottom[] = [];
  for (const { depth, walls } of spotsOf(plan)) {
    const next: OwnBottom[] = [];
    for (const piece of left) {
      const inside = intersect(piece.plan, walls);
      if (isEmpty(inside)) {
        next.push(piece);
        continue;
      }
      out.push({ plan: inside, level: lowered(piece.level, depth) });
      for (const rest of subtract(piece.plan, walls)) next.push({ plan: rest, level: piece.level });
    }
    left = next;
  }
  return [...out, ...left];
}

/**
 * @param founded of the same plan, dug to what is wanted
 * @param of elements asked for, by position: the others are left empty
 * @param low m each was found below what is wanted, by position
 * @returns by element, pieces that overlap no other
 */
export function ownBottoms(
  plan: Plan,
  founded: readonly FoundationLevels[],
  of: ReadonlySet<number>,
  low: ReadonlyMap<number, number> = new Map(),
): OwnBottom[][] {
  const parts = wantedParts(plan, founded)
    .filter(({ owner }) => shapeOf(founded[owner]!.element).founded)
    .map(({ owner, bottom, floor }) => ({
      owner,
      bottom,
      floor,
      box: boxOf(bottom),
      // As it lies now: of two at one level the one that was dug lower has what they share.
      level: at(floor, ...cornerMean(bottom)) - (low.get(owner) ?? 0),
    }))
    .sort((p, q) => p.level - q.level || p.owner - q.owner);
  const out: OwnBottom[][] = founded.map(() => []);
  parts.forEach((part, i) => {
    if (!of.has(part.owner)) return;
    let left: Polygon[] = [part.bottom];
    for (const lower of parts.slice(0, i))
      if (left.length > 0 && boxesMeet(part.box, lower.box)) {
        const walls = edges(lower.bottom);
        left = left.flatMap((piece) => subtract(piece, walls)).filter((piece) => !isEmpty(piece));
      }
    out[part.owner]!.push(...left.map((piece) => ({ plan: piece, level: part.floor })));
  });
  return out.map((pieces, owner) =>
    withSoft(
      plan,
      // All of it lies under others': it is told of as it is by itself.
      pieces.length > 0
        ? pieces
        : parts
            .filter((part) => part.owner === owner && of.has(owner))
            .map(({ bottom, floor }) => ({ plan: bottom, level: floor })),
    ),
  );
}
