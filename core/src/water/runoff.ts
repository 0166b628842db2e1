/**
 * Ground that drains into a hole: the share of rain that runs off it (rational coefficients, ASCE Manual of
 * Practice 37), and how much of it there is, by following the surface downhill.
 */
import type { SoilKind } from '../catalogue/soils.ts';
import { type Box, boxOf, contains, edges, at as evaluate, type Polygon } from '../geometry/index.ts';

type Point = readonly [number, number];

/** Share that runs off lawns and open ground: flat under 2 %, middling, steep over 7 %. */
const SHARES = {
  sandy: [0.08, 0.125, 0.175],
  heavy: [0.15, 0.2, 0.3],
} as const;
/** Ground that is frozen or full sheds nearly all: assumed. */
const SHED_WHEN_FULL = 0.9;

const SANDY: readonly SoilKind[] = ['sand', 'siltySand', 'gravel'];

/** @param slope rise over run */
export function runoffShare(soil: SoilKind, slope: number, full: boolean): number {
  if (full) return SHED_WHEN_FULL;
  if (soil === 'rock') return SHED_WHEN_FULL;
  const steep = slope < 0.02 ? 0 : slope <= 0.07 ? 1 : 2;
  return SHARES[SANDY.includes(soil) ? 'sandy' : 'heavy'][steep];
}

export interface Draining {
  /** m² that drain into each hole, by position; the holes themselves left out. */
  readonly areas: readonly number[];
  /** Mean slope of that ground. */
  readonly slopes: readonly number[];
  /** Centres of it, by hole: for drawing; and the side of a square each stands for, m. */
  readonly places: readonly (readonly Point[])[];
  readonly step: number;
  /** m² whose water was still on its way when it was given up following: it may drain in, too. */
  readonly cutOff: number;
}

/** Squares the ground is looked over in, about. */
const SQUARES = 6000;
/** Flatter than this water stands where it is. */
const STANDS = 0.002;
/** Longest way it is followed, in times half the way round the ground looked at: no plain slope has one so long. */
const LONGEST = 4;
/** Water that has moved less than a step after so many of them goes to and fro in a hollow: it stands. */
const GOES_NOWHERE = 64;

/** How a way ended that led into no hole: it stands, is taken away, or leaves what is looked at; or was given up. */
const NOWHERE = -1;
const GIVEN_UP = -2;

/** Whether two stretches cross. */
function crosses([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point, [dx, dy]: Point): boolean {
  const side = (px: number, py: number, qx: number, qy: number, rx: number, ry: number) =>
    (qx - px) * (ry - py) - (qy - py) * (rx - px);
  return (
    side(ax, ay, bx, by, cx, cy) > 0 !== side(ax, ay, bx, by, dx, dy) > 0 &&
    side(cx, cy, dx, dy, ax, ay) > 0 !== side(cx, cy, dx, dy, bx, by) > 0
  );
}

/** Position of the hole a place lies in; −1 in none. */
type HoleAt = (x: number, y: number) => number;

/** Squares that what is dug is sorted into, along its longer side. */
const SORTED = 64;

/** A place is looked for in the pieces of its square only: it is asked at every step of every way. */
function holeFinder(holes: readonly (readonly Polygon[])[]): HoleAt {
  const pieces = holes.flatMap((all, hole) =>
    all.map((piece) => ({ hole, box: boxOf(piece), sides: edges(piece) })),
  );
  if (pieces.length === 0) return () => -1;
  const { x0, y0, x1, y1 } = boxOf(holes.flat(2));
  const size = Math.max(x1 - x0, y1 - y0, 1e-6) / SORTED;
  const row = (y: number) => Math.floor((y - y0) / size);
  const column = (x: number) => Math.floor((x - x0) / size);
  const wide = column(x1) + 1;
  // In their order, so that of two holes over one place the first is found.
  const squares: (typeof pieces)[] = [];
  for (const piece of pieces)
    for (let j = row(piece.box.y0); j <= row(piece.box.y1); j++)
      for (let i = column(piece.box.x0); i <= column(piece.box.x1); i++) {
        squares[j * wide + i] ??= [];
        squares[j * wide + i]!.push(piece);
      }
  return (x, y) => {
    if (x < x0 || x > x1 || y < y0 || y > y1) return -1;
    const here = squares[row(y) * wide + column(x)];
    if (here)
      for (const { hole, box, sides } of here) {
        if (x < box.x0 || x > box.x1 || y < box.y0 || y > box.y1) continue;
        if (sides.every((side) => evaluate(side, x, y) <= 0)) return hole;
      }
    return -1;
  };
}

/** Downhill at a place, as a unit, and how steep. */
type Downhill = (x: number, y: number) => readonly [ux: number, uy: number, steep: number];

const slopeBy = (level: (x: number, y: number) => number, step: number): Downhill => {
  return (x, y) => {
    const gx = (level(x + step / 2, y) - level(x - step / 2, y)) / step;
    const gy = (level(x, y + step / 2) - level(x, y - step / 2)) / step;
    const steep = Math.hypot(gx, gy);
    return [steep > 0 ? -gx / steep : 0, steep > 0 ? -gy / steep : 0, steep];
  };
};

/**
 * Follows water downhill from a place, half a step at a time, until something stops it.
 * @param most half steps followed
 * @returns the hole it comes to, or how it ended
 */
function followed(
  from: Point,
  step: number,
  downhill: Downhill,
  holeAt: HoleAt,
  within: (x: number, y: number) => boolean,
  ditches: readonly (readonly [Point, Point])[],
  most: number,
  onTheWay?: (at: Point) => void,
): number {
  let here = from;
  let lately = from;
  for (let k = 1; k <= most; k++) {
    const [ux, uy, steep] = downhill(here[0], here[1]);
    if (steep < STANDS) return NOWHERE;
    const to: Point = [here[0] + (ux * step) / 2, here[1] + (uy * step) / 2];
    if (ditches.some(([p, q]) => crosses(here, to, p, q))) return NOWHERE;
    here = to;
    onTheWay?.(here);
    if (!within(here[0], here[1])) return NOWHERE;
    const hole = holeAt(here[0], here[1]);
    if (hole >= 0) return hole;
    if (k % GOES_NOWHERE === 0) {
      if (Math.hypot(here[0] - lately[0], here[1] - lately[1]) < step) return NOWHERE;
      lately = here;
    }
  }
  return GIVEN_UP;
}

/** Half steps that go so many times half round a box. */
const mostIn = ({ x0, y0, x1, y1 }: Box, step: number): number =>
  Math.ceil((LONGEST * (x1 - x0 + y1 - y0)) / (step / 2));

const stretches = (lines: readonly (readonly Point[])[]) =>
  lines.flatMap((line) => line.slice(1).map((q, i) => [line[i]!, q] as const));

/**
 * The ground within a plot that drains into each hole.
 * @param holes openings, convex pieces by hole
 * @param ditches lines that take away what comes to them
 */
export function drainingInto(
  level: (x: number, y: number) => number,
  plot: readonly Point[],
  holes: readonly (readonly Polygon[])[],
  ditches: readonly (readonly Point[])[],
): Draining {
  const box = boxOf(plot.flat());
  const whole = (box.x1 - box.x0) * (box.y1 - box.y0);
  const step = Math.max(0.25, Math.sqrt(whole / SQUARES));
  const [nx, ny] = [Math.ceil((box.x1 - box.x0) / step), Math.ceil((box.y1 - box.y0) / step)];
  const holeAt = holeFinder(holes);
  const centre = (i: number, j: number): Point => [box.x0 + (i + 0.5) * step, box.y0 + (j + 0.5) * step];
  const slope = slopeBy(level, step);
  /** Of a square, remembered. */
  const known = new Map<number, ReturnType<Downhill>>();
  const downhill: Downhill = (x, y) => {
    const i = Math.min(nx - 1, Math.max(0, Math.floor((x - box.x0) / step)));
    const j = Math.min(ny - 1, Math.max(0, Math.floor((y - box.y0) / step)));
    const key = i * ny + j;
    const before = known.get(key);
    if (before) return before;
    const made = slope(...centre(i, j));
    known.set(key, made);
    return made;
  };
  const within = (x: number, y: number) => x >= box.x0 && x <= box.x1 && y >= box.y0 && y <= box.y1;
  const runs = stretches(ditches);
  const most = mostIn(box, step);
  let cutOff = 0;
  const areas = holes.map(() => 0);
  const slopes = holes.map(() => 0);
  const places = holes.map((): Point[] => []);
  for (let i = 0; i < nx; i++)
    for (let j = 0; j < ny; j++) {
      const from = centre(i, j);
      if (!contains(plot, from[0], from[1]) || holeAt(from[0], from[1]) >= 0) continue;
      const hole = followed(from, step, downhill, holeAt, within, runs, most);
      if (hole === GIVEN_UP) cutOff += step * step;
      if (hole < 0) continue;
      areas[hole]! += step * step;
      slopes[hole]! += downhill(...from)[2];
      places[hole]!.push(from);
    }
  return {
    areas,
    slopes: slopes.map((sum, i) => sum / Math.max(1, places[i]!.length)),
    places,
    step,
    cutOff,
  };
}

/** How far water discharged on the ground is followed at a time, m. */
const PACE = 0.5;
/** Past the holes and everything else that is known of the ground it is followed no further than this, m: assumed. */
const PAST = 20;

/**
 * Where water discharged at a place goes, to the edge of what is known of the ground.
 * @param holes openings, convex pieces by hole
 * @param known places the ground is known about, beside the holes and the place itself
 * @returns the hole it comes to, −1 when it comes to none; its way; and whether that was given up, still running
 */
export function runsTo(
  level: (x: number, y: number) => number,
  from: Point,
  holes: readonly (readonly Polygon[])[],
  ditches: readonly (readonly Point[])[],
  known: readonly Point[] = [],
): { readonly hole: number; readonly way: readonly Point[]; readonly cutOff: boolean } {
  const holeAt = holeFinder(holes);
  const way: Point[] = [from];
  const first = holeAt(from[0], from[1]);
  if (first >= 0) return { hole: first, way, cutOff: false };
  const all = boxOf([...from, ...holes.flat(2), ...known.flat()]);
  const edge = { x0: all.x0 - PAST, y0: all.y0 - PAST, x1: all.x1 + PAST, y1: all.y1 + PAST };
  const hole = followed(
    from,
    PACE,
    slopeBy(level, PACE),
    holeAt,
    (x, y) => x >= edge.x0 && x <= edge.x1 && y >= edge.y0 && y <= edge.y1,
    stretches(ditches),
    mostIn(edge, PACE),
    (at) => way.push(at),
  );
  return { hole: Math.max(NOWHERE, hole), way, cutOff: hole === GIVEN_UP };
}
