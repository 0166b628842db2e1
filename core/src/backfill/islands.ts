/**
 * What is left standing between openings. Narrower than its own height, or than 1 m (typed beats it), it stands on
 * paper only: it is shown, and what it takes to dig it out with the rest. What is wider is never said to stand.
 *
 * Looked for between edges of openings that face each other at the ground; ends and corners that run to a point are
 * not told.
 */
import { type Part, solveSolid } from '../dig/index.ts';
import {
  area,
  at,
  convexHull,
  cornerMean,
  cornersOf,
  edges,
  isEmpty,
  type Polygon,
  smallestRectangle,
  subtract,
  unionOutlines,
} from '../geometry/index.ts';
import type { GroundModel } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import type { ElementTakeoff } from '../takeoff/element.ts';
import type { Job } from '../takeoff/job.ts';

export interface Island {
  /** The elements it stands between; one of what stands inside its own bends. */
  readonly elements: readonly [string, string];
  /** In plan, convex. */
  readonly plan: Polygon;
  /** m across on the whole, and how high it stands over the deeper bottom. */
  readonly width: number;
  readonly height: number;
  /** Asked of it. */
  readonly least: number;
  /** Level it would be taken out to: the shallower of both bottoms. */
  readonly level: number;
  /** Bank and loose m³ of taking it out. */
  readonly bank: number;
  readonly loose: number;
}

type Point = readonly [number, number];

/** A side of what is open: the land lies to its right. */
interface Rim {
  readonly p: Point;
  readonly q: Point;
  readonly length: number;
  readonly ux: number;
  readonly uy: number;
  readonly owner: ElementTakeoff;
}

/** How nearly they have to face each other: the cosine between their directions. */
const FACING = -0.8;
/** Shorter rims are none; nor are islands thinner than this on the whole, m, or smaller, m². */
const SHORT = 0.05;
const THIN = 0.03;
const SMALL = 0.01;
/** Steps over a rim to find whose it is, m. */
const INSIDE = 1e-3;

/** Typed, else its height and at least a metre. */
const leastOf = ({ backfill }: Pick<Plan, 'backfill'>, height: number): number =>
  backfill.leastStanding ?? Math.max(1, height);

const holds = (piece: Polygon, x: number, y: number) => edges(piece).every((side) => at(side, x, y) <= 1e-6);

function rimsOf(live: readonly ElementTakeoff[]): Rim[] {
  const outlines = unionOutlines(live.flatMap(({ openings }) => openings));
  return outlines.flatMap((outline) =>
    outline.flatMap((p, i): Rim[] => {
      const q = outline[(i + 1) % outline.length]!;
      const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (length < SHORT) return [];
      const [ux, uy] = [(q[0] - p[0]) / length, (q[1] - p[1]) / length];
      const [x, y] = [(p[0] + q[0]) / 2 - uy * INSIDE, (p[1] + q[1]) / 2 + ux * INSIDE];
      const owner = live.find(({ openings }) => openings.some((piece) => holds(piece, x, y)));
      return owner ? [{ p, q, length, ux, uy, owner }] : [];
    }),
  );
}

/** The land between two rims that face each other; null when they do not, or too far apart. */
function between(e: Rim, f: Rim, most: number): { plan: Polygon; width: number } | null {
  if (e.ux * f.ux + e.uy * f.uy > FACING) return null;
  const along = ([x, y]: Point) => (x - e.p[0]) * e.ux + (y - e.p[1]) * e.uy;
  // To the right of e.
  const off = ([x, y]: Point) => (x - e.p[0]) * e.uy - (y - e.p[1]) * e.ux;
  const [s0, s1] = [Math.max(0, along(f.q)), Math.min(e.length, along(f.p))];
  if (s1 - s0 < SHORT) return null;
  const [a, b] = [along(f.p), along(f.q)];
  const offAt = (s: number) => off(f.p) + ((off(f.q) - off(f.p)) * (s - a)) / (b - a);
  const [d0, d1] = [offAt(s0), offAt(s1)];
  if (Math.min(d0, d1) < 1e-6 || Math.min(d0, d1) >= most) return null;
  const place = (s: number, d: number): Point => [e.p[0] + s * e.ux + d * e.uy, e.p[1] + s * e.uy - d * e.ux];
  const corners = [place(s0, 0), place(s0, d0), place(s1, d1), place(s1, 0)];
  return { plan: corners.flat(), width: (d0 + d1) / 2 };
}

/** What is left of one that was taken out, or of a rim that runs along another. */
function isSliver(piece: Polygon): boolean {
  const size = Math.abs(area(piece));
  return size < SMALL || size < THIN * Math.max(...smallestRectangle(cornersOf(piece)));
}

const part = (plan: Polygon, level: number, of: number): Part => ({
  owner: -1,
  bottom: plan,
  floor: { a: 0, b: 0, c: level },
  slope: 0,
  stretch: 0,
  risers: [],
  of,
  fills: false,
  mitre: 0,
  rounding: [],
});

/** Bank and loose m³ that come out beyond the dig when pieces of plan go down to a level. */
function outOf(
  plan: Plan,
  model: GroundModel,
  { strips }: Pick<Job, 'strips'>,
  pieces: readonly (readonly [Polygon, number])[],
): { readonly bank: number; readonly loose: number } {
  const { filled } = strips;
  const of = filled.parts.length;
  const solid = solveSolid(
    [...filled.parts, ...pieces.map(([piece, level], i) => part(piece, level, 1e6 + of + i))],
    model.surface,
    plan.dig.corners,
  );
  // Only what is cut otherwise than before is looked at: the rest is the same cut.
  const [before, after] = [new Set(filled.cuts), new Set(solid.cuts)];
  const soils = model.soils.map(() => 0);
  let bank = 0;
  const add = (cuts: typeof solid.cuts, known: ReadonlySet<unknown>, sign: 1 | -1) => {
    const own = model.soils.map(() => 0);
    for (const cut of cuts) {
      if (known.has(cut)) continue;
      bank += sign * cut.volume;
      for (const { area: cell, level, ground } of cut.cells) model.addVolumes(cell, level, ground, own);
    }
    own.forEach((volume, k) => {
      soils[k]! += sign * volume;
    });
  };
  add(solid.cuts, before, 1);
  add(filled.cuts, after, -1);
  const loose = soils.reduce((sum, own, k) => sum + Math.max(0, own) * (1 + model.soils[k]!.swell), 0);
  return { bank: Math.max(0, bank), loose };
}

/** What stands between the openings of a job on paper only. What was taken out already is none. */
export function islandsOf(plan: Plan, model: GroundModel, job: Pick<Job, 'elements' | 'strips'>): Island[] {
  const live = job.elements.filter((info) => info.live && info.openings.length > 0);
  if (live.length === 0) return [];
  const deepest = Math.max(...live.map(({ depth }) => depth));
  const most = leastOf(plan, deepest);
  const rims = rimsOf(live);
  const open = live.flatMap(({ openings }) => openings);
  const gone = job.strips.items
    .filter(({ stripped }) => stripped.kind === 'island')
    .map(({ stripped }) => stripped.points.flat());
  const out: Island[] = [];
  // What one pair of rims has taken no other takes again.
  const taken: Polygon[] = [...open, ...gone];
  rims.forEach((e, i) => {
    for (const f of rims.slice(i + 1)) {
      const found = between(e, f, most);
      if (!found) continue;
      const height = Math.max(e.owner.depth, f.owner.depth);
      const least = leastOf(plan, height);
      if (found.width >= least - 1e-9) continue;
      const level = Math.max(e.owner.dug, f.owner.dug);
      let left: Polygon[] = [found.plan];
      for (const piece of taken) left = left.flatMap((one) => subtract(one, edges(piece)));
      for (const piece of left) {
        if (isEmpty(piece) || isSliver(piece)) continue;
        const [x, y] = cornerMean(piece);
        if (model.level(x, y) <= level + 1e-6) continue;
        taken.push(piece);
        out.push({
          elements: e.owner.index <= f.owner.index ? [e.owner.id, f.owner.id] : [f.owner.id, e.owner.id],
          plan: piece,
          width: found.width,
          height,
          least,
          level,
          ...outOf(plan, model, job, [[piece, level]]),
        });
      }
    }
  });
  return out;
}

/** One pit in the place of trenches and what stands between them: its outline, its level, what more comes out. */
export interface BulkPit {
  readonly outline: readonly (readonly [number, number])[];
  readonly level: number;
  readonly bank: number;
  readonly loose: number;
}

/** @param islands what stands on paper only: the pit takes in all the elements they lie between */
export function bulkPit(
  plan: Plan,
  model: GroundModel,
  job: Pick<Job, 'elements' | 'strips'>,
  islands: readonly Island[],
): BulkPit | null {
  const ids = new Set(islands.flatMap(({ elements }) => elements));
  const own = job.elements.filter(({ id, live }) => live && ids.has(id));
  if (own.length === 0) return null;
  const outline = convexHull(own.flatMap(({ openings }) => openings.flatMap(cornersOf)));
  if (outline.length < 3) return null;
  const level = Math.max(...own.map(({ dug }) => dug));
  return { outline, level, ...outOf(plan, model, job, [[outline.flat(), level]]) };
}
