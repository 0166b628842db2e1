/**
 * From axes to plan shapes: each strip and pad as convex pieces, for any half-width (footing,
 * blinding, dug bottom). Strips that meet run on to each other's far side, so corners and
 * T-junctions close without a notch and without digging past the corner.
 */

import {
  boxIndex,
  clip,
  convexPieces,
  crossing,
  type Linear,
  offset,
  type Polygon,
  rectangle,
  tidy,
} from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import type { RunElement } from '../plan/forms.ts';
import { outlineOf, padOf, runOf, widthOf } from '../plan/variants.ts';

type Point = readonly [number, number];

interface Segment {
  readonly from: Point;
  readonly to: Point;
  /** Unit direction from → to. */
  readonly ux: number;
  readonly uy: number;
  readonly length: number;
  readonly first: boolean;
  readonly last: boolean;
}

/** Sine of the angle between two axes below which a mitre would run away; cut square instead. */
const LEAST_MITRE_SINE = 0.3;
/** Points closer than this (m) are one point. */
const SAME_POINT = 1e-6;

const points = (strip: RunElement): Point[] => {
  const kept: Point[] = [];
  for (const p of strip.points) {
    const last = kept[kept.length - 1];
    if (!last || Math.hypot(p[0] - last[0], p[1] - last[1]) > SAME_POINT) kept.push(p);
  }
  const first = kept[0];
  const last = kept[kept.length - 1];
  if (
    strip.closed &&
    kept.length > 2 &&
    first &&
    last &&
    Math.hypot(first[0] - last[0], first[1] - last[1]) <= SAME_POINT
  )
    kept.pop();
  return kept;
};

/** The straight runs of an axis. Empty when every point is the same. */
export function segmentsOf(strip: RunElement): Segment[] {
  const kept = points(strip);
  const closed = strip.closed && kept.length > 2;
  const count = closed ? kept.length : kept.length - 1;
  const out: Segment[] = [];
  for (let i = 0; i < count; i++) {
    const from = kept[i]!;
    const to = kept[(i + 1) % kept.length]!;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    out.push({
      from,
      to,
      length,
      ux: (to[0] - from[0]) / length,
      uy: (to[1] - from[1]) / length,
      first: !closed && i === 0,
      last: !closed && i === count - 1,
    });
  }
  return out;
}

/** The straight runs of an element's axis; none of what has no axis. */
export function axisOf(element: Element): Segment[] {
  const run = runOf(element);
  return run ? segmentsOf(run) : [];
}

/** Length of an axis, m. */
export const axisLength = (strip: RunElement): number =>
  segmentsOf(strip).reduce((sum, segment) => sum + segment.length, 0);

/** What a run ends against: another run's axis, and that run's half-width. */
interface Stop {
  readonly ux: number;
  readonly uy: number;
  readonly half: number;
}

function distanceToSegment(p: Point, s: Segment): { across: number; beyond: number } {
  const px = p[0] - s.from[0];
  const py = p[1] - s.from[1];
  const along = px * s.ux + py * s.uy;
  return {
    across: Math.abs(px * s.uy - py * s.ux),
    beyond: Math.max(0, -along, along - s.length),
  };
}

/**
 * The half-plane that ends a run at joint P. (wx, wy) points from the joint into the run.
 * Against a stop: its far side line. Nearly in line or doubling back: square, long enough to
 * close the outer corner.
 */
function endPlane(p: Point, wx: number, wy: number, stop: Stop | null, half: number, free: number): Linear {
  const square = (extra: number): Linear => ({ a: -wx, b: -wy, c: wx * p[0] + wy * p[1] - extra });
  if (!stop) return square(free);
  let mx = -stop.uy;
  let my = stop.ux;
  const facing = mx * wx + my * wy;
  if (Math.abs(facing) < LEAST_MITRE_SINE) {
    const inLine = Math.abs(stop.ux * wx + stop.uy * wy);
    const turn = Math.acos(Math.min(1, inLine));
    return square(half * Math.tan(turn / 2));
  }
  if (facing > 0) {
    mx = -mx;
    my = -my;
  }
  return { a: mx, b: my, c: -(mx * p[0] + my * p[1]) - stop.half };
}

interface Owned {
  readonly owner: number;
  readonly segment: Segment;
}

/** The runs a point may lie on or beside, in the order of their elements: no farther off than they are wide. */
function nearestTo(
  runs: readonly (readonly Segment[])[],
  halves: readonly number[],
): (p: Point) => readonly Owned[] {
  const all = runs.flatMap((own, owner) => own.map((segment): Owned => ({ owner, segment })));
  const index = boxIndex(
    all.map(({ owner, segment: { from, to } }) => {
      // Beyond its end and beside it at once: the corner of its reach, at any heading.
      const reach = Math.SQRT2 * halves[owner]! + 2 * SAME_POINT;
      return {
        x0: Math.min(from[0], to[0]) - reach,
        y0: Math.min(from[1], to[1]) - reach,
        x1: Math.max(from[0], to[0]) + reach,
        y1: Math.max(from[1], to[1]) + reach,
      };
    }),
  );
  return ([x, y]) => index.meeting({ x0: x, y0: y, x1: x, y1: y }).map((i) => all[i]!);
}

/** Half-width and free-end extension an element has for the purpose at hand, m. */
export interface Spread {
  readonly half: number;
  readonly end: number;
}

/**
 * Plan pieces of every element.
 * @param spread for a strip its half-width and free-end extension; for a pad `half` is unused and
 *   `grow` gives what is added on each side
 * @returns convex polygons by element, aligned with the input
 */
export function footprints(
  elements: readonly Element[],
  spread: (element: Element) => Spread,
  padSize: (element: Extract<Element, { kind: 'pad' }>) => readonly [number, number],
): Polygon[][] {
  const runs = elements.map(axisOf);
  const halves = elements.map((element, i) => (runs[i]!.length > 0 ? spread(element).half : 0));
  const near = nearestTo(runs, halves);
  return elements.map((element, index) => {
    const pad = padOf(element);
    if (pad) {
      const [length, width] = padSize(pad);
      return [rectangle(pad.at[0], pad.at[1], length, width, (pad.angle * Math.PI) / 180)];
    }
    // Outlined shapes and ramps have pieces of their own; see dig/bottoms.ts.
    const segments = runs[index]!;
    if (segments.length === 0) return [];
    const { half, end } = spread(element);
    const meeting = (p: Point, self: Segment): Stop | null => {
      for (const { owner: j, segment: other } of near(p)) {
        if (j === index) continue;
        const { across, beyond } = distanceToSegment(p, other);
        if (across > halves[j]! + SAME_POINT || beyond > halves[j]! + SAME_POINT) continue;
        const crossing = Math.abs(self.ux * other.uy - self.uy * other.ux);
        // A parallel run only counts as a continuation when the ends truly meet.
        if (crossing < LEAST_MITRE_SINE && across > SAME_POINT) continue;
        // The far side is measured from this run's end, which may lie off the other's axis.
        const offset = (p[0] - other.from[0]) * -other.uy + (p[1] - other.from[1]) * other.ux;
        const side = -other.uy * self.ux + other.ux * self.uy;
        const away = p === self.to ? side : -side;
        return { ux: other.ux, uy: other.uy, half: halves[j]! - Math.sign(away) * offset };
      }
      return null;
    };
    return segments.map((segment, k) => {
      const before = segment.first ? null : segments[(k + segments.length - 1) % segments.length]!;
      const after = segment.last ? null : segments[(k + 1) % segments.length]!;
      const joint = (s: Segment | null, p: Point): Stop | null =>
        s ? { ux: s.ux, uy: s.uy, half } : meeting(p, segment);
      const reach = segment.length + 40 * half + 4 * end + 10;
      const middle: Point = [(segment.from[0] + segment.to[0]) / 2, (segment.from[1] + segment.to[1]) / 2];
      let piece: Polygon = rectangle(
        middle[0],
        middle[1],
        2 * reach,
        2 * half,
        Math.atan2(segment.uy, segment.ux),
      );
      piece = clip(
        piece,
        endPlane(segment.from, segment.ux, segment.uy, joint(before, segment.from), half, end),
      );
      piece = clip(
        piece,
        endPlane(segment.to, -segment.ux, -segment.uy, joint(after, segment.to), half, end),
      );
      return piece;
    });
  });
}

/** Pieces of the bare footings: their own width, nothing added. Ramps carry nothing. */
export function footingPieces(elements: readonly Element[]): Polygon[][] {
  const narrow = footprints(
    elements,
    (e) => ({ half: (widthOf(e) ?? 0) / 2, end: 0 }),
    (pad) => [pad.length, pad.width],
  );
  return elements.map((e, i) => {
    const outline = outlineOf(e);
    return outline ? outlinePieces(outline, 0) : narrow[i]!;
  });
}

/** Convex pieces of an outline grown by `by` m; none when it cannot be. */
export function outlinePieces(outline: readonly Point[], by: number): Polygon[] {
  const corners = tidy(outline);
  if (corners.length < 3 || crossing(corners) !== null) return [];
  const grown = offset(corners, by);
  return grown ? convexPieces(grown) : [];
}
