/** What every kind of element has in common in plan: its points, its length, moving it. */
import type { Polygon } from '../geometry/index.ts';
import type { Element } from '../plan/schema.ts';
import { axisLength, segmentsOf } from './footprint.ts';

type Point = readonly [number, number];

/** The points that place an element: corners of its axis or outline, the middle of a pad. */
export function pointsOf(element: Element): readonly Point[] {
  switch (element.kind) {
    case 'strip':
      return element.points;
    case 'raft':
    case 'pit':
      return element.outline;
    case 'pad':
    case 'ramp':
      return [element.at];
  }
}

/** The element with other points: as many as `pointsOf` gives, in the same order. */
export function withPoints<T extends Element>(element: T, points: readonly Point[]): T {
  const copy = points.map(([x, y]) => [x, y] as const);
  switch (element.kind) {
    case 'strip':
      return { ...element, points: copy };
    case 'raft':
    case 'pit':
      return { ...element, outline: copy };
    case 'pad':
    case 'ramp':
      return { ...element, at: copy[0] ?? element.at };
  }
}

/** Middle of the points. */
export function middleOf(element: Element): Point {
  const points = pointsOf(element);
  const sum = points.reduce<[number, number]>(([x, y], p) => [x + p[0], y + p[1]], [0, 0]);
  return [sum[0] / points.length, sum[1] / points.length];
}

/** Runs of a strip and corners of an outline read at the most. */
const MOST_READ = 16;
const some = <T>(list: readonly T[]): readonly T[] => {
  const step = Math.ceil(list.length / MOST_READ);
  return list.filter((_, i) => i % step === 0);
};

/**
 * Places an element's ground is told by: its corners and middles. The same ones however the job is
 * turned or mirrored, so nothing depends on how a footing is cut into pieces.
 * @param pieces of its footing in plan, one a run
 */
export function readPlaces(element: Element, pieces: readonly Polygon[]): Point[] {
  const corners = (p: Polygon): Point[] =>
    Array.from({ length: p.length / 2 }, (_, i) => [p[2 * i]!, p[2 * i + 1]!]);
  switch (element.kind) {
    case 'strip':
      return [
        ...some(segmentsOf(element)).map(
          ({ from, to }): Point => [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2],
        ),
        ...some(pieces).flatMap(corners),
      ];
    case 'pad':
      return [element.at, ...pieces.flatMap(corners)];
    case 'raft':
    case 'pit':
      return [middleOf(element), ...some(element.outline)];
    case 'ramp':
      return [element.at];
  }
}

/** Where an element's name stands in plan: half way along a strip's longest run, else its middle. */
export function labelPlace(element: Element): Point {
  if (element.kind === 'ramp') {
    const angle = (element.angle * Math.PI) / 180;
    const on = 1.6 * element.width;
    return [element.at[0] + on * Math.cos(angle), element.at[1] + on * Math.sin(angle)];
  }
  if (element.kind !== 'strip') return middleOf(element);
  const runs = segmentsOf(element);
  if (runs.length === 0) return element.points[0]!;
  const longest = runs.reduce((p, q) => (q.length > p.length ? q : p));
  return [(longest.from[0] + longest.to[0]) / 2, (longest.from[1] + longest.to[1]) / 2];
}

/** Sizes of an outline along its longest side and square to it, and that side's direction. */
export function outlineSizes(outline: readonly Point[]): { long: number; short: number; angle: number } {
  let best = 0;
  let angle = 0;
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    if (length > best + 1e-9) {
      best = length;
      angle = Math.atan2(q[1] - p[1], q[0] - p[0]);
    }
  });
  const span = (ux: number, uy: number) => {
    const along = outline.map(([x, y]) => x * ux + y * uy);
    return Math.max(...along) - Math.min(...along);
  };
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const sizes = [span(cos, sin), span(-sin, cos)] as const;
  return { long: Math.max(...sizes), short: Math.min(...sizes), angle };
}

/** Plan sizes across and along, m: what a crew would call its width and its length. */
export function sizesOf(element: Element): { across: number; along: number } {
  switch (element.kind) {
    case 'strip':
      return { across: element.width, along: axisLength(element) };
    case 'pad':
      return {
        across: Math.min(element.length, element.width),
        along: Math.max(element.length, element.width),
      };
    case 'raft':
    case 'pit': {
      const { long, short } = outlineSizes(element.outline);
      return { across: short, along: long };
    }
    case 'ramp':
      return { across: element.width, along: 0 };
  }
}
