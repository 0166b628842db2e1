/**
 * The ground's surface: a plane, or spot levels triangulated. Everything is linear over pieces of
 * plan, so what is cut out of it stays exact.
 *
 * Outside the spots' hull the level of the nearest point of the hull is held: level square to
 * each hull edge, one level round each corner. The takeoff warns when a dig reaches there.
 */
import Flatbush from 'flatbush';
import QuickLRU from 'quick-lru';
import {
  at,
  type Box,
  boxOf,
  edges,
  flatPlan,
  type Linear,
  type Polygon,
  triangulate,
  unionBox,
} from '../geometry/index.ts';
import type { SurfaceSpec } from '../plan/schema.ts';

/** A piece of plan over which the ground is one plane. */
export interface SurfacePatch {
  /** Convex, counter-clockwise. */
  readonly area: Polygon;
  readonly box: Box;
  /** Half-planes that bound the area; none for a piece without end. */
  readonly walls: readonly Linear[];
  readonly ground: Linear;
  /** Highest level over it, m; Infinity for a sloping plane. */
  readonly highest: number;
  /** False beyond the hull of the spots. */
  readonly measured: boolean;
}

export interface Surface {
  level(x: number, y: number): number;
  /** Pieces that meet a box; one piece without end for a plane. */
  patches(box: Box): readonly SurfacePatch[];
  /** Highest level anywhere; Infinity for a sloping plane. */
  readonly highest: number;
  /** Whether a place lies among what was measured: within the hull of the spots, anywhere on a plane. */
  measured(x: number, y: number): boolean;
  /** Convex hull of the spots, counter-clockwise; null for a plane. */
  readonly hull: Polygon | null;
  /** The triangles' points, for drawing: [x, y, z] of each corner. */
  readonly triangles: readonly Float64Array[];
}

export type SurfaceFault = Extract<ReturnType<typeof triangulate>, { ok: false }>['fault'];
export type MadeSurface =
  | { readonly ok: true; readonly surface: Surface }
  | { readonly ok: false; readonly fault: SurfaceFault };

/** Nearer than this (m) to an edge either side will do: the ground is the same on both. */
const ON_EDGE = 1e-10;
/** Nearer than this (m) to the hull of the spots is within it. */
const ON_HULL = 1e-9;
/** Farther than any job, m. */
const FAR = 1e5;
const EVERYWHERE: Polygon = [-FAR, -FAR, FAR, -FAR, FAR, FAR, -FAR, FAR];
const FAR_BOX: Box = { x0: -FAR, y0: -FAR, x1: FAR, y1: FAR };

export function planeSurface(ground: Linear): Surface {
  const highest = ground.a === 0 && ground.b === 0 ? ground.c : Infinity;
  const patch: SurfacePatch = {
    area: EVERYWHERE,
    box: FAR_BOX,
    walls: [],
    ground,
    highest,
    measured: true,
  };
  return {
    level: (x, y) => at(ground, x, y),
    measured: () => true,
    patches: () => [patch],
    highest,
    hull: null,
    triangles: [],
  };
}

/** The plane through three points [x, y, z]; the triangle must have an area. */
export function planeThrough(
  p: readonly [number, number, number],
  q: readonly [number, number, number],
  r: readonly [number, number, number],
): Linear {
  const [ux, uy, uz] = [q[0] - p[0], q[1] - p[1], q[2] - p[2]];
  const [vx, vy, vz] = [r[0] - p[0], r[1] - p[1], r[2] - p[2]];
  const det = ux * vy - uy * vx;
  const a = (uz * vy - uy * vz) / det;
  const b = (ux * vz - uz * vx) / det;
  return { a, b, c: p[2] - a * p[0] - b * p[1] };
}

/**
 * A surface through spot levels.
 * @param points x, y, level
 * @param breaklines lists of positions in `points` that no triangle may cross
 */
export function spotSurface(
  points: readonly (readonly [number, number, number])[],
  breaklines: readonly (readonly number[])[],
): MadeSurface {
  const made = triangulate(
    flatPlan(points),
    breaklines,
    points.map((point) => point[2]),
  );
  if (!made.ok) return made;
  const { triangles, hull } = made.mesh;
  const patches: SurfacePatch[] = [];
  const drawn: Float64Array[] = [];
  const add = (area: Polygon, ground: Linear, highest: number, measured: boolean) =>
    patches.push({ area, box: boxOf(area), walls: edges(area), ground, highest, measured });
  for (let t = 0; t < triangles.length; t += 3) {
    // delaunator winds clockwise with y north; breakline flips keep that.
    const [p, q, r] = [points[triangles[t]!]!, points[triangles[t + 2]!]!, points[triangles[t + 1]!]!];
    add([p[0], p[1], q[0], q[1], r[0], r[1]], planeThrough(p, q, r), Math.max(p[2], q[2], r[2]), true);
    drawn.push(Float64Array.of(...p, ...q, ...r));
  }
  skirt(
    hull.map((i) => points[i]!),
    add,
  );

  const tree = new Flatbush(patches.length);
  for (const { box } of patches) tree.add(box.x0, box.y0, box.x1, box.y1);
  tree.finish();
  /** How far a point lies outside a piece, m; nought or less inside. */
  const outside = ({ walls }: SurfacePatch, x: number, y: number) => {
    let most = -Infinity;
    for (const wall of walls) {
      const out = at(wall, x, y);
      if (out > most) most = out;
    }
    return most;
  };
  /** The piece of some that a point lies in, or least outside of by no more than so much. */
  const nearestOf = (some: ArrayLike<number>, x: number, y: number, most = ON_EDGE): SurfacePatch | null => {
    let least = most;
    let nearest: SurfacePatch | null = null;
    for (let k = 0; k < some.length; k++) {
      const patch = patches[some[k]!]!;
      const out = outside(patch, x, y);
      if (out > least || (nearest && out === least)) continue;
      least = out;
      nearest = patch;
    }
    return nearest;
  };
  const square = squaresOf(patches.slice(0, triangles.length / 3));
  // Levels are mostly asked for near where the last one was.
  let last = patches[0]!;
  const patchAt = (x: number, y: number): SurfacePatch => {
    if (outside(last, x, y) <= ON_EDGE) return last;
    last = nearestOf(square(x, y), x, y) ?? nearestOf(tree.search(x, y, x, y), x, y, Infinity) ?? patches[0]!;
    return last;
  };
  const outline = hull.flatMap((i) => [points[i]![0], points[i]![1]]);
  const hullWalls = edges(outline);
  return {
    ok: true,
    surface: {
      level: (x, y) => at(patchAt(x, y).ground, x, y),
      measured: (x, y) => hullWalls.every((wall) => at(wall, x, y) <= ON_HULL),
      patches: (box) => tree.search(box.x0, box.y0, box.x1, box.y1).map((i) => patches[i]!),
      highest: points.reduce((most, point) => Math.max(most, point[2]), -Infinity),
      hull: outline,
      triangles: drawn,
    },
  };
}

const NOTHING = new Int32Array(0);

/**
 * Which pieces lie over each square of a grid about as fine as they are, so that a point asks a few:
 * positions of the pieces by a place; none beyond them.
 */
function squaresOf(patches: readonly SurfacePatch[]): (x: number, y: number) => Int32Array {
  if (patches.length === 0) return () => NOTHING;
  const { x0, y0, x1, y1 } = unionBox(patches.map((patch) => patch.box));
  const [wide, high] = [x1 - x0, y1 - y0];
  // Spots nearly on one line make a row of squares, no finer than they are.
  const size = Math.max(
    1e-6,
    Math.sqrt((wide * high) / patches.length),
    Math.max(wide, high) / patches.length,
  );
  const columns = Math.floor(wide / size) + 1;
  const rows = Math.floor(high / size) + 1;
  // Counted first, then put one after the other: of many thousand squares most hold two or three.
  const begin = new Int32Array(columns * rows + 1);
  const over = (each: (square: number, i: number) => void) => {
    for (let i = 0; i < patches.length; i++) {
      const { box } = patches[i]!;
      for (let v = Math.floor((box.y0 - y0) / size); v <= Math.floor((box.y1 - y0) / size); v++)
        for (let u = Math.floor((box.x0 - x0) / size); u <= Math.floor((box.x1 - x0) / size); u++)
          each(v * columns + u, i);
    }
  };
  over((square) => {
    begin[square + 1]!++;
  });
  for (let k = 0; k < columns * rows; k++) begin[k + 1]! += begin[k]!;
  const held = new Int32Array(begin[columns * rows]!);
  const filled = begin.slice();
  over((square, i) => {
    held[filled[square]!++] = i;
  });
  const squares = Array.from({ length: columns * rows }, (_, k) => held.subarray(begin[k]!, begin[k + 1]!));
  return (x, y) => {
    const [u, v] = [Math.floor((x - x0) / size), Math.floor((y - y0) / size)];
    return u < 0 || v < 0 || u >= columns || v >= rows ? NOTHING : squares[v * columns + u]!;
  };
}

/** The ground beyond the hull: a strip square to each edge, a wedge round each corner. */
function skirt(
  hull: readonly (readonly [number, number, number])[],
  add: (area: Polygon, ground: Linear, highest: number, measured: boolean) => void,
): void {
  const n = hull.length;
  const out = hull.map((p, i) => {
    const q = hull[(i + 1) % n]!;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    return [(q[1] - p[1]) / length, (p[0] - q[0]) / length] as const;
  });
  for (let i = 0; i < n; i++) {
    const p = hull[i]!;
    const q = hull[(i + 1) % n]!;
    const [nx, ny] = out[i]!;
    const [mx, my] = out[(i + n - 1) % n]!;
    const reach = FAR / 10;
    add(
      [p[0], p[1], p[0] + nx * reach, p[1] + ny * reach, q[0] + nx * reach, q[1] + ny * reach, q[0], q[1]],
      planeThrough(p, q, [p[0] + nx, p[1] + ny, p[2]]),
      Math.max(p[2], q[2]),
      false,
    );
    const wedge = [p[0], p[1], p[0] + mx * reach, p[1] + my * reach, p[0] + nx * reach, p[1] + ny * reach];
    add(wedge, { a: 0, b: 0, c: p[2] }, p[2], false);
  }
}

/** A surface that was made, with a copy of what it was made from. */
interface Made {
  readonly points: Float64Array;
  readonly breaklines: string;
  readonly made: MadeSurface;
}

/** Surfaces kept for plans that come again: an edit seldom touches the ground. */
const MOST_KEPT = 8;
const planes = new QuickLRU<string, MadeSurface>({ maxSize: MOST_KEPT });
const spots: Made[] = [];

/**
 * The surface a plan describes. The last few are kept, told by what they were made from: plans come
 * as copies, and a survey is triangulated once and not at every edit.
 */
export function surfaceOf(spec: SurfaceSpec): MadeSurface {
  if (spec.kind === 'plane') {
    const key = `${spec.gradeEast} ${spec.gradeNorth} ${spec.level}`;
    const known = planes.get(key);
    if (known) return known;
    const ground = { a: spec.gradeEast, b: spec.gradeNorth, c: spec.level };
    const made: MadeSurface = { ok: true, surface: planeSurface(ground) };
    planes.set(key, made);
    return made;
  }
  const breaklines = JSON.stringify(spec.breaklines);
  const at = spots.findIndex((known) => known.breaklines === breaklines && alike(known.points, spec.points));
  const [found] = at < 0 ? [] : spots.splice(at, 1);
  const kept = found ?? {
    points: Float64Array.from(spec.points.flat()),
    breaklines,
    made: spotSurface(spec.points, spec.breaklines),
  };
  spots.unshift(kept);
  spots.length = Math.min(spots.length, MOST_KEPT);
  return kept.made;
}

const alike = (flat: Float64Array, points: readonly (readonly [number, number, number])[]): boolean =>
  flat.length === 3 * points.length &&
  points.every((p, i) => p[0] === flat[3 * i] && p[1] === flat[3 * i + 1] && p[2] === flat[3 * i + 2]);
