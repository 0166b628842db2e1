/**
 * The ground's surface: a plane, or spot levels triangulated. Everything is linear over pieces of
 * plan, so what is cut out of it stays exact.
 *
 * Outside the spots' hull the level of the nearest point of the hull is held: level square to
 * each hull edge, one level round each corner. The takeoff warns when a dig reaches there.
 */
import Flatbush from 'flatbush';
import {
  at,
  type Box,
  boxOf,
  edges,
  flatPlan,
  type Linear,
  type Polygon,
  triangulate,
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
  /** False beyond the hull of the spots. */
  readonly measured: boolean;
}

export interface Surface {
  level(x: number, y: number): number;
  /** Pieces that meet a box; one piece without end for a plane. */
  patches(box: Box): readonly SurfacePatch[];
  /** Highest level anywhere; Infinity for a sloping plane. */
  readonly highest: number;
  /** Convex hull of the spots, counter-clockwise; null for a plane. */
  readonly hull: Polygon | null;
  /** The triangles' points, for drawing: [x, y, z] of each corner. */
  readonly triangles: readonly Float64Array[];
}

export type SurfaceFault = Extract<ReturnType<typeof triangulate>, { ok: false }>['fault'];
export type MadeSurface =
  | { readonly ok: true; readonly surface: Surface }
  | { readonly ok: false; readonly fault: SurfaceFault };

/** Farther than any job, m. */
const FAR = 1e5;
const EVERYWHERE: Polygon = [-FAR, -FAR, FAR, -FAR, FAR, FAR, -FAR, FAR];
const FAR_BOX: Box = { x0: -FAR, y0: -FAR, x1: FAR, y1: FAR };

export function planeSurface(ground: Linear): Surface {
  const patch: SurfacePatch = { area: EVERYWHERE, box: FAR_BOX, walls: [], ground, measured: true };
  return {
    level: (x, y) => at(ground, x, y),
    patches: () => [patch],
    highest: ground.a === 0 && ground.b === 0 ? ground.c : Infinity,
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
  const made = triangulate(flatPlan(points), breaklines);
  if (!made.ok) return made;
  const { triangles, hull } = made.mesh;
  const patches: SurfacePatch[] = [];
  const drawn: Float64Array[] = [];
  const add = (area: Polygon, ground: Linear, measured: boolean) =>
    patches.push({ area, box: boxOf(area), walls: edges(area), ground, measured });
  for (let t = 0; t < triangles.length; t += 3) {
    // delaunator winds clockwise with y north; breakline flips keep that.
    const [p, q, r] = [points[triangles[t]!]!, points[triangles[t + 2]!]!, points[triangles[t + 1]!]!];
    add([p[0], p[1], q[0], q[1], r[0], r[1]], planeThrough(p, q, r), true);
    drawn.push(Float64Array.of(...p, ...q, ...r));
  }
  skirt(
    hull.map((i) => points[i]!),
    add,
  );

  const tree = new Flatbush(patches.length);
  for (const { box } of patches) tree.add(box.x0, box.y0, box.x1, box.y1);
  tree.finish();
  const inside = ({ area }: SurfacePatch, x: number, y: number) => {
    let least = Infinity;
    for (let i = 0, j = area.length - 2; i < area.length; j = i, i += 2) {
      const dx = area[i]! - area[j]!;
      const dy = area[i + 1]! - area[j + 1]!;
      least = Math.min(least, (dx * (y - area[j + 1]!) - dy * (x - area[j]!)) / Math.hypot(dx, dy));
    }
    return least;
  };
  return {
    ok: true,
    surface: {
      level(x, y) {
        let best: SurfacePatch | null = null;
        let most = -Infinity;
        for (const i of tree.search(x, y, x, y)) {
          const candidate = patches[i]!;
          const depth = inside(candidate, x, y);
          if (depth > most) {
            most = depth;
            best = candidate;
          }
        }
        return best ? at(best.ground, x, y) : at(patches[0]!.ground, x, y);
      },
      patches: (box) => tree.search(box.x0, box.y0, box.x1, box.y1).map((i) => patches[i]!),
      highest: points.reduce((most, point) => Math.max(most, point[2]), -Infinity),
      hull: hull.flatMap((i) => [points[i]![0], points[i]![1]]),
      triangles: drawn,
    },
  };
}

/** The ground beyond the hull: a strip square to each edge, a wedge round each corner. */
function skirt(
  hull: readonly (readonly [number, number, number])[],
  add: (area: Polygon, ground: Linear, measured: boolean) => void,
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
      false,
    );
    const wedge = [p[0], p[1], p[0] + mx * reach, p[1] + my * reach, p[0] + nx * reach, p[1] + ny * reach];
    add(wedge, { a: 0, b: 0, c: p[2] }, false);
  }
}

const kept = new WeakMap<SurfaceSpec, MadeSurface>();

/**
 * The surface a plan describes. A triangulation is kept with its description, which must not be
 * altered after: plans are edited by making new ones.
 */
export function surfaceOf(spec: SurfaceSpec): MadeSurface {
  if (spec.kind === 'plane')
    return { ok: true, surface: planeSurface({ a: spec.gradeEast, b: spec.gradeNorth, c: spec.level }) };
  const known = kept.get(spec);
  if (known) return known;
  const made = spotSurface(spec.points, spec.breaklines);
  kept.set(spec, made);
  return made;
}
