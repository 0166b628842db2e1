/** What every kind of element has in common in plan, asked of its row in the table of kinds. */
import type { Polygon } from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import { shapeOf } from './kinds.ts';

type Point = readonly [number, number];

/** The points that place an element: corners of its axis or outline, the middle of a pad. */
export const pointsOf = (element: Element): readonly Point[] => shapeOf(element).points(element);

/** The element with other points: as many as `pointsOf` gives, in the same order. */
export const withPoints = <T extends Element>(element: T, points: readonly Point[]): T =>
  shapeOf(element).moved(element, points);

/** Middle of the points. */
export function middleOf(element: Element): Point {
  const points = pointsOf(element);
  const sum = points.reduce<[number, number]>(([x, y], p) => [x + p[0], y + p[1]], [0, 0]);
  return [sum[0] / points.length, sum[1] / points.length];
}

/** Places an element's ground is told by: its corners and middles. @param pieces of its footing, one a run */
export const readPlaces = (element: Element, pieces: readonly Polygon[]): readonly Point[] =>
  shapeOf(element).read(element, pieces);

/** Where an element's name stands in plan: half way along a strip's longest run, else its middle. */
export const labelPlace = (element: Element): Point => shapeOf(element).label(element);

/** Plan sizes across and along, m: what a crew would call its width and its length. */
export const sizesOf = (element: Element): { across: number; along: number } =>
  shapeOf(element).sizes(element);
