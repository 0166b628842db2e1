/**
 * What every form of element is in plan: one row a form. A new kind of element of a form there is: its name in
 * plan/kinds.ts, its schema in plan/elements.ts, what a new one is in plan/blank.ts, what is cast of it in
 * pour/kinds.ts, its fields on screen and its words; the compiler names each that is missing.
 */
import { cornersOf, type Polygon } from '../geometry/index.ts';
import type { Element, Pad, Ramp } from '../plan/elements.ts';
import type { ElementOfForm, OutlinedElement, RunElement } from '../plan/forms.ts';
import { FORMS, type Form } from '../plan/kinds.ts';
import { axisLength, segmentsOf } from './footprint.ts';

type Point = readonly [number, number];
interface Line {
  readonly from: Point;
  readonly to: Point;
}

interface Shape<E extends Element> {
  /** Pointer within the element of its point number i. */
  readonly pointer: (i: number) => string;
  /** The points that place it: corners of axis or outline, the middle of a pad, the foot of a ramp. */
  readonly points: (element: E) => readonly Point[];
  /** With other points: as many as `points` gives, in the same order. */
  readonly moved: (element: E, points: readonly Point[]) => E;
  /** Its points make a closed line. */
  readonly closed: (element: E) => boolean;
  /** Sizes across and along, m: what a crew would call its width and its length. */
  readonly sizes: (element: E) => { across: number; along: number };
  /**
   * Places its ground is told by: the same ones however the job is turned or mirrored, and however a
   * footing is cut into pieces.
   * @param pieces of its footing in plan, one a run
   */
  readonly read: (element: E, pieces: readonly Polygon[]) => readonly Point[];
  /** Where its name stands in plan. */
  readonly label: (element: E) => Point;
  /** The line a machine works along. @param depth of its cut, m */
  readonly worked: (element: E, depth: number) => Line;
  /** Direction of its long side, anticlockwise from east, radians. */
  readonly heading: (element: E) => number;
  /** What is strung of it: axes, sides, or nothing. */
  readonly strung: (element: E) => readonly Line[];
  /** Its sides are strung along the face, its room lies outside; else about an axis. */
  readonly byFace: boolean;
  /** Pegged at every corner, at its middle by its name, or not at all. */
  readonly pegged: 'corners' | 'middle' | 'none';
  /** Its level is decided by the rules; otherwise it comes down to what it serves. */
  readonly founded: boolean;
  /** What it is dug before is dug first: how far down it leads. */
  readonly serves: (element: E) => string | null;
  /** Its bottom may step along its axis. */
  readonly steps: (element: E) => boolean;
}

const middle = (points: readonly Point[]): Point => {
  const sum = points.reduce<[number, number]>(([x, y], p) => [x + p[0], y + p[1]], [0, 0]);
  return [sum[0] / points.length, sum[1] / points.length];
};
const copied = (points: readonly Point[]) => points.map(([x, y]) => [x, y] as const);
/** Runs of an axis and corners of an outline read at the most. */
const MOST_READ = 16;
const some = <T>(list: readonly T[]): readonly T[] => {
  const step = Math.ceil(list.length / MOST_READ);
  return list.filter((_, i) => i % step === 0);
};
const halfWay = ({ from, to }: Line): Point => [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
/** A line about a place, half of it to either side. */
const about = ([x, y]: Point, degrees: number, half: number): Line => {
  const angle = (degrees * Math.PI) / 180;
  const [ux, uy] = [Math.cos(angle) * half, Math.sin(angle) * half];
  return { from: [x - ux, y - uy], to: [x + ux, y + uy] };
};
/** More sides than this are an arc by chords: it is swung from its middle, not strung. */
const MOST_STRUNG = 12;

/** Sizes of an outline along its longest side and square to it, and that side's direction, radians. */
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

const longestRun = (element: RunElement) =>
  segmentsOf(element).reduce((p, q) => (q.length > p.length ? q : p));

const run = <E extends RunElement>(): Shape<E> => ({
  pointer: (i) => `points/${i}`,
  points: (e) => e.points,
  moved: (e, points) => ({ ...e, points: copied(points) }),
  closed: (e) => e.closed,
  sizes: (e) => ({ across: e.width, along: axisLength(e) }),
  read: (e, pieces) => [...some(segmentsOf(e)).map(halfWay), ...some(pieces).flatMap(cornersOf)],
  label: (e) => (segmentsOf(e).length === 0 ? e.points[0]! : halfWay(longestRun(e))),
  worked: (e) => {
    // A bent trench is met along its longest run, from its first to its last point when open.
    if (!e.closed && segmentsOf(e).length <= 1) return { from: e.points[0]!, to: e.points.at(-1)! };
    const { from, to } = longestRun(e);
    return { from, to };
  },
  heading: (e) => Math.atan2(longestRun(e).uy, longestRun(e).ux),
  strung: (e) => {
    const runs = segmentsOf(e);
    return runs.length > MOST_STRUNG ? [] : runs;
  },
  byFace: false,
  pegged: 'corners',
  founded: true,
  serves: () => null,
  steps: (e) => e.stepped,
});

const outlined = <E extends OutlinedElement>(): Shape<E> => ({
  pointer: (i) => `outline/${i}`,
  points: (e) => e.outline,
  moved: (e, points) => ({ ...e, outline: copied(points) }),
  closed: () => true,
  sizes: (e) => {
    const { long, short } = outlineSizes(e.outline);
    return { across: short, along: long };
  },
  read: (e) => [middle(e.outline), ...some(e.outline)],
  label: (e) => middle(e.outline),
  worked: (e) => {
    const { long, short, angle } = outlineSizes(e.outline);
    return about(middle(e.outline), (angle * 180) / Math.PI, Math.max(0, long - short) / 2);
  },
  heading: (e) => outlineSizes(e.outline).angle,
  strung: ({ outline }) =>
    outline.length > MOST_STRUNG
      ? []
      : outline.map((from, i) => ({ from, to: outline[(i + 1) % outline.length]! })),
  byFace: true,
  pegged: 'corners',
  founded: true,
  serves: () => null,
  steps: () => false,
});

const pad: Shape<Pad> = {
  pointer: () => 'at',
  points: (e) => [e.at],
  moved: (e, points) => ({ ...e, at: copied(points)[0] ?? e.at }),
  closed: () => false,
  sizes: (e) => ({ across: Math.min(e.length, e.width), along: Math.max(e.length, e.width) }),
  read: (e, pieces) => [e.at, ...pieces.flatMap(cornersOf)],
  label: (e) => e.at,
  worked: (e) => about(e.at, e.angle, Math.max(0, e.length - e.width) / 2),
  heading: (e) => (e.angle * Math.PI) / 180,
  strung: (e) => [about(e.at, e.angle, e.length / 2)],
  byFace: false,
  pegged: 'middle',
  founded: true,
  serves: () => null,
  steps: () => false,
};

const up = (e: Ramp, by: number): Point => {
  const angle = (e.angle * Math.PI) / 180;
  return [e.at[0] + by * Math.cos(angle), e.at[1] + by * Math.sin(angle)];
};
const ramp: Shape<Ramp> = {
  pointer: () => 'at',
  points: (e) => [e.at],
  moved: (e, points) => ({ ...e, at: copied(points)[0] ?? e.at }),
  closed: () => false,
  sizes: (e) => ({ across: e.width, along: 0 }),
  read: (e) => [e.at],
  label: (e) => up(e, 1.6 * e.width),
  worked: (e, depth) => ({ from: e.at, to: up(e, depth / e.grade) }),
  heading: (e) => (e.angle * Math.PI) / 180,
  strung: () => [],
  byFace: false,
  pegged: 'none',
  founded: false,
  serves: (e) => e.serves,
  steps: () => false,
};

const SHAPES: { readonly [F in Form]: Shape<ElementOfForm<F>> } = {
  run: run(),
  pad,
  outline: outlined(),
  ramp,
};

/** The row of an element's form. */
export const shapeOf = <E extends Element>(element: E): Shape<E> =>
  // A row takes elements of its own form only; which one that is the compiler cannot follow.
  SHAPES[FORMS[element.kind]] as unknown as Shape<E>;
