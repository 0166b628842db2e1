/**
 * Running dimensions: where everything stands along and across the job, measured from one corner, as a
 * crew reads them off one tape pulled along each side.
 */
import type { Element } from '../plan/elements.ts';
import { shapeOf } from './kinds.ts';

type Point = readonly [number, number];

/** A place on a tape, m from its nought, and the names of what stands there. */
export interface Mark {
  readonly at: number;
  readonly names: readonly string[];
}

/** What a tape is held at, best first: the axis of a line square to it, such a face, the middle of a pad, an end. */
const NOUGHTS = ['axis', 'face', 'middle', 'end'] as const;
export interface Nought {
  readonly name: string;
  readonly by: (typeof NOUGHTS)[number];
}

export interface Running {
  /** The one thing each tape is held at. */
  readonly from: { readonly along: Nought; readonly across: Nought };
  /** Where both tapes begin. */
  readonly origin: Point;
  /** Direction of the first tape, within 45° of east; the second lies a quarter turn anticlockwise. */
  readonly ux: number;
  readonly uy: number;
  readonly along: readonly Mark[];
  readonly across: readonly Mark[];
}

/** Places nearer than this are one, m. */
const SAME = 0.005;
const QUARTER = Math.PI / 2;

/** A face nearer to an axis than this is found by it, and has no mark of its own, m. */
const BY_AXIS = 0.5;

interface Placed {
  readonly name: string;
  readonly points: readonly Point[];
  /** Its points stand two by two at the ends of lines; else it is a middle. */
  readonly lines: boolean;
  /** It is strung along its face, as a slab is. */
  readonly face: boolean;
}

/** What is strung or pegged: ends of axes and sides, middles of pads. */
function placedOf(elements: readonly Element[]): Placed[] {
  return elements.flatMap((element) => {
    const shape = shapeOf(element);
    const lines = shape.pegged !== 'middle';
    const points = !lines
      ? shape.points(element)
      : shape.strung(element).flatMap(({ from, to }) => [from, to]);
    return points.length > 0 ? [{ name: element.name, points, lines, face: shape.byFace }] : [];
  });
}

/** Direction of the longest line there is, turned by quarters to within 45° of east, radians. */
function mainDirection(elements: readonly Element[]): number {
  let longest = -1;
  let angle = 0;
  for (const element of elements) {
    const shape = shapeOf(element);
    for (const { from, to } of shape.strung(element)) {
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      // A hair longer counts as alike: the first of two stays, however they are rounded.
      if (length > longest + SAME) {
        longest = length;
        angle = Math.atan2(to[1] - from[1], to[0] - from[0]);
      }
    }
  }
  const turned = angle - QUARTER * Math.round(angle / QUARTER);
  return Math.abs(turned) < 1e-9 ? 0 : turned;
}

function marksOf(placed: readonly { name: string; at: number; face: boolean }[]): Mark[] {
  const out: { at: number; names: string[] }[] = [];
  const axes = placed.filter(({ face }) => !face);
  const told = placed.filter((one) => !one.face || axes.every(({ at }) => Math.abs(at - one.at) > BY_AXIS));
  for (const { name, at } of [...told].sort((p, q) => p.at - q.at)) {
    const last = out.at(-1);
    if (last && at - last.at < SAME) {
      if (!last.names.includes(name)) last.names.push(name);
    } else out.push({ at, names: [name] });
  }
  return out;
}

/** What stands at a tape's nought and is told of it. @param of along the tape, m from its nought */
function noughtOf(placed: readonly Placed[], of: (point: Point) => number): Nought {
  const found = placed.flatMap(({ name, points, lines, face }) =>
    points.flatMap((point, i) => {
      if (Math.abs(of(point)) >= SAME) return [];
      // The other end of its line.
      const other = points[i ^ 1];
      const lies = lines && other !== undefined && Math.abs(of(other)) < SAME;
      const by: Nought['by'] = lies ? (face ? 'face' : 'axis') : lines ? 'end' : 'middle';
      return [{ name, by }];
    }),
  );
  return found.reduce((best, next) => (NOUGHTS.indexOf(next.by) < NOUGHTS.indexOf(best.by) ? next : best));
}

/** @returns null when nothing is strung or pegged */
export function runningDimensions(elements: readonly Element[]): Running | null {
  const placed = placedOf(elements);
  if (placed.length === 0) return null;
  const angle = mainDirection(elements);
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const local = placed.flatMap(({ name, points, face }) =>
    points.map(([x, y]) => ({ name, face, along: x * ux + y * uy, across: y * ux - x * uy })),
  );
  const axis = local.filter(({ face }) => !face);
  /** The first mark: a face only where no axis finds it. */
  const nought = (of: (one: (typeof local)[number]) => number): number => {
    const first = Math.min(...local.map(of));
    const near = axis.map(of).filter((at) => at - first <= BY_AXIS);
    return near.length > 0 ? Math.min(...near) : first;
  };
  const s0 = nought(({ along }) => along);
  const t0 = nought(({ across }) => across);
  return {
    from: {
      along: noughtOf(placed, ([x, y]) => x * ux + y * uy - s0),
      across: noughtOf(placed, ([x, y]) => y * ux - x * uy - t0),
    },
    origin: [s0 * ux - t0 * uy, s0 * uy + t0 * ux],
    ux,
    uy,
    along: marksOf(local.map(({ name, face, along }) => ({ name, face, at: along - s0 }))),
    across: marksOf(local.map(({ name, face, across }) => ({ name, face, at: across - t0 }))),
  };
}
