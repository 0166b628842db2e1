/**
 * How far a bottom lies below what is wanted, everywhere on it, from shots at some places: over the triangles
 * between them linear, outside their hull as at the nearest place on its edge. Volumes are exact integrals of
 * that, cut to the bottom: what is low and what is high apart, never netted.
 *
 * Not covered: a bottom that bends round what stands inside it is shot across.
 */
import {
  area,
  at,
  clip,
  constant,
  edges,
  flatPlan,
  integral,
  intersect,
  isEmpty,
  type Linear,
  type Mesh,
  type Polygon,
  triangulate,
} from '../geometry/index.ts';

/** x, y and m low; high negative. */
export type LowAt = readonly [x: number, y: number, low: number];

/** A region in plan, as half-planes, with how low it is there. */
interface Region {
  readonly within: readonly Linear[];
  readonly low: Linear;
}

/** Two shots nearer than this in plan are one place, m. */
const SAME_PLACE = 1e-4;

/** Linear over plan through three points; null when they lie on one line. */
function planeThrough([p, q, r]: readonly [LowAt, LowAt, LowAt]): Linear | null {
  const [ux, uy, uz] = [q[0] - p[0], q[1] - p[1], q[2] - p[2]];
  const [vx, vy, vz] = [r[0] - p[0], r[1] - p[1], r[2] - p[2]];
  const det = ux * vy - uy * vx;
  if (Math.abs(det) < 1e-12) return null;
  const a = (uz * vy - uy * vz) / det;
  const b = (ux * vz - uz * vx) / det;
  return { a, b, c: p[2] - a * p[0] - b * p[1] };
}

/** Linear along p–q and the same square to it; the half-plane behind p, and the one past q. */
function along(p: LowAt, q: LowAt): { low: Linear; before: Linear; past: Linear } {
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const squared = dx * dx + dy * dy;
  const [sx, sy] = [dx / squared, dy / squared];
  const by = q[2] - p[2];
  return {
    low: { a: by * sx, b: by * sy, c: p[2] - by * (sx * p[0] + sy * p[1]) },
    before: { a: -dx, b: -dy, c: dx * p[0] + dy * p[1] },
    past: { a: dx, b: dy, c: -(dx * q[0] + dy * q[1]) },
  };
}

/** Shots on one line: between two of them by how far along, before the first and past the last as there. */
function lineRegions(points: readonly LowAt[]): Region[] {
  const [first] = points;
  const far = points.reduce((p, q) =>
    Math.hypot(q[0] - first![0], q[1] - first![1]) > Math.hypot(p[0] - first![0], p[1] - first![1]) ? q : p,
  );
  const [dx, dy] = [far[0] - first![0], far[1] - first![1]];
  const order = [...points].sort((p, q) => p[0] * dx + p[1] * dy - (q[0] * dx + q[1] * dy));
  const out: Region[] = [];
  order.slice(1).forEach((q, i) => {
    const p = order[i]!;
    const { low, before, past } = along(p, q);
    out.push({ within: [before, past], low });
    if (i === 0) out.push({ within: [negated(before)], low: constant(p[2]) });
    if (i === order.length - 2) out.push({ within: [negated(past)], low: constant(q[2]) });
  });
  return out;
}

const negated = ({ a, b, c }: Linear): Linear => ({ a: -a, b: -b, c: -c });

/** Outside a hull: a strip square to each side, and the wedge between two strips at each corner. */
function hullRegions(points: readonly LowAt[], hull: readonly number[]): Region[] {
  return hull.flatMap((i, k): Region[] => {
    const p = points[i]!;
    const q = points[hull[(k + 1) % hull.length]!]!;
    const before = points[hull[(k + hull.length - 1) % hull.length]!]!;
    const side = along(p, q);
    // Counter-clockwise: outside lies to the right of p → q.
    const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
    const outside: Linear = { a: -dy, b: dx, c: dy * p[0] - dx * p[1] };
    return [
      { within: [side.before, side.past, outside], low: side.low },
      { within: [negated(along(before, p).past), negated(side.before)], low: constant(p[2]) },
    ];
  });
}

function regionsOf(points: readonly LowAt[]): Region[] {
  if (points.length === 1) return [{ within: [], low: constant(points[0]![2]) }];
  // Of two surfaces that fit as well the lower ground, which is the one that is lower by more.
  const made = triangulate(
    flatPlan(points),
    [],
    points.map((p) => -p[2]),
  );
  if (!made.ok) return lineRegions(points);
  const { mesh } = made;
  return [...triangleRegions(points, mesh), ...hullRegions(points, mesh.hull)];
}

const flatOf = (corners: readonly LowAt[]): Polygon => corners.flatMap((p) => [p[0], p[1]]);

function triangleRegions(points: readonly LowAt[], { triangles }: Mesh): Region[] {
  const out: Region[] = [];
  for (let e = 0; e < triangles.length; e += 3) {
    const corners = [0, 1, 2].map((k) => points[triangles[e + k]!]!) as [LowAt, LowAt, LowAt];
    const low = planeThrough(corners);
    if (!low) continue;
    const flat = flatOf(corners);
    const round = area(flat) > 0 ? flat : flatOf(corners.toReversed());
    out.push({ within: edges(round), low });
  }
  return out;
}

/** A bottom cut up by its shots: pieces with how low each is over plan. */
export interface LowPiece {
  readonly plan: Polygon;
  readonly low: Linear;
}

/** The last shot of each place: a bottom dug on is shot again there. */
function latestOf(points: readonly LowAt[]): LowAt[] {
  const out: LowAt[] = [];
  for (const point of points) {
    const same = out.findIndex(([x, y]) => Math.hypot(x - point[0], y - point[1]) < SAME_PLACE);
    if (same >= 0) out[same] = point;
    else out.push(point);
  }
  return out;
}

/**
 * @param points in the order of time, at least one
 * @param bottoms convex pieces that do not overlap
 */
export function lowPieces(points: readonly LowAt[], bottoms: readonly Polygon[]): LowPiece[] {
  const regions = regionsOf(latestOf(points));
  return bottoms.flatMap((bottom) =>
    regions.flatMap(({ within, low }): LowPiece[] => {
      const plan = within.length === 0 ? bottom : intersect(bottom, within);
      return isEmpty(plan) ? [] : [{ plan, low }];
    }),
  );
}

/** What is low and what is high, m³ each, and the area they were told of, m². */
export interface LowAndHigh {
  readonly low: number;
  readonly high: number;
  readonly area: number;
}

export function volumesOf(pieces: readonly LowPiece[]): LowAndHigh {
  let [low, high, whole] = [0, 0, 0];
  for (const { plan, low: f } of pieces) {
    const deep = clip(plan, negated(f));
    const tall = clip(plan, f);
    if (deep.length >= 6) low += integral(deep, f);
    if (tall.length >= 6) high -= integral(tall, f);
    whole += area(plan);
  }
  return { low: Math.max(0, low), high: Math.max(0, high), area: whole };
}

/** How low it is at a place of a bottom, by the nearest piece. */
export function lowAt(pieces: readonly LowPiece[], x: number, y: number): number | null {
  const inside = pieces.find(({ plan }) => edges(plan).every((edge) => at(edge, x, y) <= 1e-6));
  return inside ? at(inside.low, x, y) : null;
}
