/**
 * One part of a dig and its face: the planes its sides and bottom lie in, and how far it can open.
 */
import {
  at,
  type Box,
  boxesMeet,
  boxOf,
  edges,
  intersect,
  type Linear,
  minus,
  mitreOf,
  type Polygon,
  unionBox,
} from '../geometry/convex.ts';
import type { Surface, SurfacePatch } from '../ground/surface.ts';

export type Corners = 'mitred' | 'rounded';

/** One convex piece of a dug bottom. */
export interface Part {
  /** Index of the element this piece belongs to. */
  readonly owner: number;
  /** The bottom in plan, convex and counter-clockwise; two points for a flank. */
  readonly bottom: Polygon;
  /** Level of the bottom over plan, m. */
  readonly floor: Linear;
  /** Side slope, run over rise; 0 is a vertical face. */
  readonly slope: number;
  /** Which stretch of a stepped strip it is; 0 otherwise. */
  readonly stretch: number;
  /** Faces cut upright whatever the slope: the risers of steps. */
  readonly risers: readonly Linear[];
  /** Which of the element's bottoms it belongs to, by position; benches belong to the one below. */
  readonly of: number;
  /** Stone is laid on it. */
  readonly fills: boolean;
  /** How much farther a flank's sharpest mitre runs out than its side; 0 to read it off the bottom. */
  readonly mitre: number;
  /** Of a flank: distance functions of the facets that round its corners. */
  readonly rounding: readonly Linear[];
}

/** What of a part makes its face: two parts alike in this are dug alike. */
export type Shape = Pick<Part, 'bottom' | 'floor' | 'slope' | 'risers' | 'mitre' | 'rounding'>;

/** The ground a dig is cut under. */
export type Ground = Pick<Surface, 'patches' | 'highest'>;

/** Facets each quarter turn of a rounded corner is cut into; see `facets`. */
const FACETS_PER_QUARTER = 12;

export interface Face {
  readonly bottom: Polygon;
  /** Planes whose largest is the face: the floor first, then one a side facet. */
  readonly planes: readonly Linear[];
  /** Upright faces, as half-planes: all of them for vertical sides, else the risers. */
  readonly walls: readonly Linear[];
  /** Distance functions of the side facets, aligned with planes[1..]. */
  readonly sides: readonly Linear[];
  /** Pieces of the ground it may open. */
  readonly patches: readonly SurfacePatch[];
  /** It opens nothing outside this; nowhere when it opens nothing. */
  readonly box: Box;
  /** Its own opening at ground level, in convex pieces. */
  openings(): readonly Polygon[];
}

/**
 * Distance functions of the sides of a part. Mitred: one an edge. Rounded: each corner gets N−1
 * facets between its two edges, set back by a factor c so that their plan area equals the
 * circular sector's: with δ = turn/N,  2·t₁/2 + c·(1−c·cosδ)/sinδ + (N−2)·c²·tan(δ/2) = N·δ/2,
 * t₁ = (c − cosδ)/sinδ, a quadratic in c. A lone rounded pit is then exact.
 */
function facets(bottom: Polygon, corners: Corners): Linear[] {
  const sides = edges(bottom);
  if (corners === 'mitred') return sides;
  return [...sides, ...sides.flatMap((from, i) => cornerFacets(from, sides[(i + 1) % sides.length]!))];
}

/** The facets of one rounded corner between two sides; none where it goes straight on or in. */
export function cornerFacets(from: Linear, to: Linear): Linear[] {
  const turn = Math.atan2(from.a * to.b - from.b * to.a, from.a * to.a + from.b * to.b);
  if (turn < 1e-6) return [];
  // A hair over a whole facet is not another: a right angle has as many however it lies.
  const count = Math.max(2, Math.ceil((turn / (Math.PI / 2)) * FACETS_PER_QUARTER - 1e-6));
  const step = turn / count;
  const setBack = cornerFactor(count, step);
  // The corner itself: where both edges are at distance nought.
  const det = from.a * to.b - from.b * to.a;
  const vx = (-from.c * to.b + to.c * from.b) / det;
  const vy = (-from.a * to.c + to.a * from.c) / det;
  return Array.from({ length: count - 1 }, (_, k) => {
    const cos = Math.cos((k + 1) * step);
    const sin = Math.sin((k + 1) * step);
    const a = (from.a * cos - from.b * sin) / setBack;
    const b = (from.a * sin + from.b * cos) / setBack;
    return { a, b, c: -(a * vx + b * vy) };
  });
}

function cornerFactor(count: number, step: number): number {
  const sin = Math.sin(step);
  const cos = Math.cos(step);
  // p·c² + q·c + r = 0 gathered from the area balance above.
  const p = -cos / sin + (count - 2) * Math.tan(step / 2);
  const q = 2 / sin;
  const r = -cos / sin - (count * step) / 2;
  const root = Math.sqrt(q * q - 4 * p * r);
  const one = (-q + root) / (2 * p);
  const other = (-q - root) / (2 * p);
  return Math.abs(one - 1) < Math.abs(other - 1) ? one : other;
}

/** How far the sharpest mitred corner of a polygon runs out, against how far its sides do. */
function mitreReach(bottom: Polygon): number {
  const sides = edges(bottom);
  return sides.reduce((most, side, i) => Math.max(most, mitreOf(side, sides[(i + 1) % sides.length]!)), 1);
}

/**
 * Where the opening of a sloped part may lie, and the ground there. The sides come out at the
 * highest ground at the latest: first the highest anywhere, then the highest within that.
 */
function windowUnder(shape: Shape, ground: Ground): { box: Box; patches: readonly SurfacePatch[] } {
  const base = boxOf(shape.bottom);
  const mitre = shape.mitre || mitreReach(shape.bottom);
  const out = (high: number): Box => {
    const reach = 1.1 * Math.max(0, high - shape.floor.c) * shape.slope * mitre + 0.02;
    return { x0: base.x0 - reach, y0: base.y0 - reach, x1: base.x1 + reach, y1: base.y1 + reach };
  };
  const widest = out(ground.highest);
  const patches = ground.patches(widest);
  const box = out(patches.reduce((most, patch) => Math.max(most, patch.highest), -Infinity));
  return { box, patches: patches.filter((patch) => boxesMeet(patch.box, box)) };
}

/**
 * The same where the ground or the floor falls without end. Where the ground falls faster than the
 * sides rise the opening would run on for ever; it is held to twenty times the depth and size.
 */
function windowOnFall(shape: Shape, ground: Ground): { box: Box; patches: readonly SurfacePatch[] } {
  const base = boxOf(shape.bottom);
  let deepest = 0;
  for (const patch of ground.patches(base))
    for (let i = 0; i < shape.bottom.length; i += 2)
      deepest = Math.max(
        deepest,
        at(minus(patch.ground, shape.floor), shape.bottom[i]!, shape.bottom[i + 1]!),
      );
  const reach = 20 * deepest * shape.slope * Math.max(1, shape.mitre) + 0.02;
  const box = { x0: base.x0 - reach, y0: base.y0 - reach, x1: base.x1 + reach, y1: base.y1 + reach };
  return { box, patches: ground.patches(box) };
}

export const rectangleOf = ({ x0, y0, x1, y1 }: Box): Polygon => [x0, y0, x1, y0, x1, y1, x0, y1];

const NOWHERE: Box = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };

/** The face of a part under a ground. */
export function faceOf(shape: Shape, ground: Ground, corners: Corners): Face {
  const { floor, bottom, slope, risers } = shape;
  const upright = slope <= 0;
  const sides = upright
    ? []
    : shape.mitre > 0
      ? [edges(bottom)[0]!, ...shape.rounding]
      : facets(bottom, corners);
  const planes = [
    floor,
    ...sides.map((d) => ({ a: d.a / slope + floor.a, b: d.b / slope + floor.b, c: d.c / slope + floor.c })),
  ];
  const level = floor.a === 0 && floor.b === 0 && Number.isFinite(ground.highest);
  const { box, patches } = upright
    ? { box: boxOf(bottom), patches: ground.patches(boxOf(bottom)) }
    : level
      ? windowUnder(shape, ground)
      : windowOnFall(shape, ground);
  const whole = upright ? bottom : rectangleOf(box);
  let found: readonly Polygon[] | null = null;
  const openings = () => {
    found ??= patches
      .map((patch) =>
        intersect(whole, [...risers, ...patch.walls, ...planes.map((plane) => minus(plane, patch.ground))]),
      )
      .filter((piece) => piece.length > 0);
    return found;
  };
  // Many pieces of ground are near enough to their opening; under one plane it can run far out.
  const near = patches.length > 1 ? box : openings().length > 0 ? unionBox(openings().map(boxOf)) : NOWHERE;
  return { bottom, planes, walls: upright ? edges(bottom) : risers, sides, patches, box: near, openings };
}
