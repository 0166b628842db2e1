/** Outlines of many pieces taken together, for drawing and for files; volumes never need them. */
import { FillRule, unionD } from 'clipper2-ts';
import type { Polygon } from './convex.ts';

/** Decimals of a metre kept: a tenth of a millimetre. */
const DECIMALS = 4;

/**
 * The union's outlines, [x, y] corners, outer ones counter-clockwise, holes clockwise.
 * @param pieces convex or not, counter-clockwise
 */
export function unionOutlines(pieces: readonly Polygon[]): (readonly [number, number])[][] {
  if (pieces.length === 0) return [];
  const paths = pieces.map((piece) =>
    Array.from({ length: piece.length / 2 }, (_, i) => ({ x: piece[2 * i]!, y: piece[2 * i + 1]! })),
  );
  return unionD(paths, [], FillRule.NonZero, DECIMALS).map((path) => path.map(({ x, y }) => [x, y] as const));
}
