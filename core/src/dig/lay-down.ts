/**
 * Where the spoil lies: what each lay-down area holds with its slope and its distance from the
 * dig, how the kept soil is shared among them, and what is in the way there and must be moved
 * again.
 *
 * A heap on an area is the prism whose sides rise at the angle of repose from the area's edge to
 * the height allowed: the volume under E(x, y) = tan φ · distance to the edge, cut at the height.
 * The area is shrunk first by what must keep clear of an open dig's edge. Not covered: heaps on
 * falling ground, which hold less uphill and more down.
 */

import QuickLRU from 'quick-lru';
import { PRACTICE } from '../catalogue/practice.ts';
import {
  alongside,
  area,
  boxesApart,
  boxOf,
  contains,
  convexPieces,
  crossing,
  edges,
  flat,
  offset,
  type Polygon,
  subtract,
  tidy,
  unionArea,
} from '../geometry/index.ts';
import { distanceTo } from '../levels/neighbour.ts';
import type { Plan, SiteArea } from '../plan/schema.ts';

type Point = readonly [number, number];

export interface Overlap {
  readonly what: 'dig' | 'path' | 'pad' | 'boundary' | 'hazard';
  readonly name: string;
  /** Element it lies on, when it is one. */
  readonly element: string | null;
  /** m² of the area it takes. */
  readonly area: number;
}

export interface LaidArea {
  readonly id: string;
  readonly name: string;
  readonly use: SiteArea['use'];
  readonly area: number;
  /** Loose m³ it can hold, and holds. */
  readonly capacity: number;
  readonly holds: number;
  /** Height of the heap that holds it, m. */
  readonly height: number;
  readonly overlaps: readonly Overlap[];
  /** Loose m³ that will be moved again. */
  readonly rehandled: number;
  /** Nearest it comes to the edge of a dig, m; less than nought inside. */
  readonly edge: number;
  /** Toe nearer to the edge than the rules allow. */
  readonly tooNear: boolean;
}

export interface LayDown {
  readonly areas: readonly LaidArea[];
  /** Loose m³ kept for which there is no room. */
  readonly homeless: number;
  readonly rehandled: number;
}

/** Steps a heap is measured in: its area is a quadratic of the height between two of them. */
const STEPS = 48;

/** A heap at every step from the ground to the highest: loose m³ under it, and its plan area there. */
interface HeapSteps {
  readonly held: Float64Array;
  readonly area: Float64Array;
}

const heaps = new QuickLRU<string, HeapSteps>({ maxSize: 64 });

/** The same area is asked twice at every edit, and lies where it lay at the next. */
function heapBySteps(outline: readonly Point[], repose: number, highest: number): HeapSteps {
  const key = `${outline.join()};${repose};${highest}`;
  const known = heaps.get(key);
  if (known) return known;
  const made = heapSteps(outline, repose, highest);
  heaps.set(key, made);
  return made;
}

function heapSteps(outline: readonly Point[], repose: number, highest: number): HeapSteps {
  const held = new Float64Array(STEPS + 1);
  const areas = new Float64Array(STEPS + 1);
  const out = { held, area: areas };
  const corners = tidy(outline);
  if (corners.length < 3 || crossing(corners) !== null || highest <= 0) return out;
  const tan = Math.tan((repose * Math.PI) / 180);
  const at = (z: number): number => {
    const shrunk = offset(corners, -z / tan);
    return shrunk ? Math.max(0, area(flat(shrunk))) : 0;
  };
  const step = highest / STEPS;
  let below = at(0);
  areas[0] = below;
  for (let i = 0; i < STEPS; i++) {
    const above = at((i + 1) * step);
    // Once nothing is left the heap has come to its point.
    const middle = above > 0 ? at((i + 0.5) * step) : below / 4;
    held[i + 1] = held[i]! + (step / 6) * (below + 4 * middle + above);
    areas[i + 1] = above;
    below = above;
    if (above === 0) {
      held.fill(held[i + 1]!, i + 1);
      break;
    }
  }
  return out;
}

/**
 * Loose m³ of a heap on an outline: sides at the angle of repose, top cut at a height.
 * V = ∫ A(offset(−z/tan φ)) dz, by Simpson's rule.
 */
export const heapVolume = (outline: readonly Point[], repose: number, height: number): number =>
  heapBySteps(outline, repose, height).held[STEPS]!;

/** Height of the heap that holds a volume, m; null when it does not fit under `most`. */
export function heapHeight(
  outline: readonly Point[],
  repose: number,
  volume: number,
  most: number,
): number | null {
  if (volume <= 0) return 0;
  const { held, area: areas } = heapBySteps(outline, repose, most);
  if (held[STEPS]! < volume - 1e-9) return null;
  const at = held.findIndex((v) => v >= volume - 1e-9);
  const step = most / STEPS;
  // Between two steps the area falls evenly: a·z + b·z² is what is still to be held.
  const a = areas[at - 1]!;
  const b = (areas[at]! - a) / (2 * step);
  const left = volume - held[at - 1]!;
  const within =
    Math.abs(b) < 1e-9 ? left / a : (-a + Math.sqrt(Math.max(0, a * a + 4 * b * left))) / (2 * b);
  return (at - 1) * step + Math.min(step, within);
}

export interface DugElement {
  readonly id: string;
  readonly name: string;
  readonly openings: readonly Polygon[];
  readonly depth: number;
  /** Upright and unsupported: a tall heap stands off by the depth. */
  readonly unsupported: boolean;
}

/** m² that two sets of convex pieces share. */
function shared(pieces: readonly Polygon[], others: readonly Polygon[]): number {
  const whole = unionArea(pieces);
  const left = others.reduce(
    (rest, other) => {
      const walls = edges(other);
      return rest.flatMap((piece) => subtract(piece, walls));
    },
    [...pieces],
  );
  return Math.max(0, whole - left.reduce((sum, piece) => sum + area(piece), 0));
}

/** A path as one piece a run, its width about its line. */
const pathPieces = ({ points, width }: Plan['site']['paths'][number]): Polygon[] =>
  points.slice(1).flatMap((q, i): Polygon[] => {
    const p = points[i]!;
    return Math.hypot(q[0] - p[0], q[1] - p[1]) < 1e-6 ? [] : [alongside(p, q, width / 2)];
  });

/** Distance between an outline and a convex piece, m; 0 when they meet. */
function apart(outline: readonly Point[], piece: Polygon): number {
  // The piece may lie wholly inside, where its distance to the outline's line says nothing.
  if (contains(outline, piece[0]!, piece[1]!)) return 0;
  return distanceTo([...outline, outline[0]!], piece);
}

/**
 * Shares the kept soil among the lay-down areas.
 * @param kept loose m³ kept for backfill, and of topsoil
 * @param repose degrees, of the flattest kept soil
 * @param setback least distance from the edge of a dig to the toe, m
 */
export function layDown(
  plan: Plan,
  dug: readonly DugElement[],
  kept: { readonly spoil: number; readonly topsoil: number },
  repose: number,
  setback: number,
): LayDown {
  const left = { spoil: kept.spoil, topsoil: kept.topsoil, stone: 0 };
  const areas = plan.site.areas.map((site): LaidArea => {
    const outline = tidy(site.points);
    const pieces = convexPieces(outline);
    const size = area(flat(outline));
    const capacity = heapVolume(outline, repose, PRACTICE.heap.value);
    const holds = Math.min(left[site.use], capacity);
    left[site.use] -= holds;
    const height = heapHeight(outline, repose, holds, PRACTICE.heap.value) ?? PRACTICE.heap.value;
    const overlaps: Overlap[] = [
      ...dug.flatMap((element): Overlap[] => {
        const common = shared(pieces, element.openings);
        return common > 0.01 ? [{ what: 'dig', name: element.name, element: element.id, area: common }] : [];
      }),
      ...plan.site.paths.flatMap((path): Overlap[] => {
        const common = shared(pieces, pathPieces(path));
        return common > 0.01 ? [{ what: 'path', name: path.name, element: null, area: common }] : [];
      }),
    ];
    const { boundary } = plan.site;
    if (boundary.length > 2) {
      const outside = size - shared(pieces, convexPieces(tidy(boundary)));
      if (outside > 0.01) overlaps.push({ what: 'boundary', name: '', element: null, area: outside });
    }
    const box = boxOf(flat(outline));
    const distances = dug.map((element) =>
      element.openings.reduce(
        // What lies farther off by its box alone is not measured.
        (least, piece) =>
          boxesApart(box, boxOf(piece)) < least ? Math.min(least, apart(outline, piece)) : least,
        Infinity,
      ),
    );
    const edge = Math.min(Infinity, ...distances);
    const needed = Math.max(
      setback,
      // A tall heap beside an unsupported face stands off by its depth.
      ...dug.map((element, i) =>
        element.unsupported && height > 1 && distances[i]! < element.depth ? element.depth : 0,
      ),
    );
    const inTheWay = overlaps
      .filter((overlap) => overlap.what !== 'boundary')
      .reduce((sum, overlap) => sum + overlap.area, 0);
    return {
      id: site.id,
      name: site.name,
      use: site.use,
      area: size,
      capacity,
      holds,
      height,
      overlaps,
      // What lies where something is still to be dug or must pass is moved again.
      rehandled: size > 0 ? holds * Math.min(1, inTheWay / size) : 0,
      edge: Number.isFinite(edge) ? edge : -1,
      tooNear: holds > 0 && Number.isFinite(edge) && edge < needed - 1e-6,
    };
  });
  return {
    areas,
    homeless: plan.site.areas.length === 0 ? 0 : left.spoil + left.topsoil,
    rehandled: areas.reduce((sum, a) => sum + a.rehandled, 0),
  };
}
