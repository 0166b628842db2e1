/** The holes that water must be held in: elements whose openings touch drain as one. */

import Flatbush from 'flatbush';
import type { Solid } from '../dig/solid.ts';
import {
  type Box,
  boxOf,
  cornersOf,
  gapBetween,
  type Polygon,
  smallestRectangle,
} from '../geometry/index.ts';
import type { Layer } from '../ground/strata.ts';
import type { Facts } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import { axisOf, shapeOf } from '../setout/index.ts';
import { type DrawnHole, equivalentRadius, holeInflow, trenchShare } from './inflow.ts';
import { risingHeadRange } from './rising-head.ts';

/** Water is held this far under formation so that the bottom can be trimmed and walked on, m. */
export const HOLD_BELOW = 0.3;

export interface Hole extends DrawnHole {
  readonly elements: readonly number[];
  /** What it acts like: a trench as soon as it is no longer a pit alone. */
  readonly method: 'pit' | 'trench';
  /** Plan sizes of the hole, m. */
  readonly a: number;
  readonly b: number;
  readonly head: number;
  readonly held: number;
  readonly holdLevel: number;
  /** m/s and m³/s: low, likely, high. */
  readonly k: readonly [number, number, number];
  readonly inflow: readonly [number, number, number];
  /** Measured by a rising-head test; typed only when every soil that lets water in has its own figure. */
  readonly kOrigin: 'measured' | 'typed' | 'typical';
}

/** Horizontal permeability of layered ground: thickness-weighted over the saturated depth, m/s. */
export function layeredK(column: readonly Layer[], from: number, to: number): [number, number, number] {
  const sum: [number, number, number] = [0, 0, 0];
  let thickness = 0;
  for (const { soil, top, bottom } of column) {
    const d = Math.min(to, bottom) - Math.max(from, top);
    if (d <= 0) continue;
    thickness += d;
    for (const i of [0, 1, 2] as const) sum[i] += soil.k[i] * d;
  }
  return thickness > 0 ? [sum[0] / thickness, sum[1] / thickness, sum[2] / thickness] : [0, 0, 0];
}

const meanOf = (all: readonly (readonly [number, number, number])[]): [number, number, number] => {
  const mean = (i: 0 | 1 | 2) => all.reduce((sum, k) => sum + k[i], 0) / Math.max(1, all.length);
  return [mean(0), mean(1), mean(2)];
};

/** Openings nearer than this (m) are one hole: a wall of soil so thin does not stand. */
const TOUCHING = 0.05;

interface Opening {
  readonly owner: number;
  readonly polygon: Polygon;
  readonly box: Box;
}

/** Elements grouped so that openings that touch are one hole. */
function joined(count: number, openings: readonly Opening[]): number[][] {
  const parent = Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => (parent[i] === i ? i : root(parent[i]!));
  if (openings.length === 0) return [];
  const tree = new Flatbush(openings.length);
  for (const { box } of openings) tree.add(box.x0, box.y0, box.x1, box.y1);
  tree.finish();
  openings.forEach((p, i) => {
    const { x0, y0, x1, y1 } = p.box;
    for (const j of tree.search(x0 - TOUCHING, y0 - TOUCHING, x1 + TOUCHING, y1 + TOUCHING)) {
      const q = openings[j]!;
      if (j <= i || root(p.owner) === root(q.owner)) continue;
      if (gapBetween(p.polygon, q.polygon) <= TOUCHING) parent[root(p.owner)] = root(q.owner);
    }
  });
  const groups = new Map<number, number[]>();
  for (const owner of new Set(openings.map((entry) => entry.owner))) {
    const key = root(owner);
    groups.set(key, [...(groups.get(key) ?? []), owner]);
  }
  return [...groups.values()].map((group) => group.sort((p, q) => p - q));
}

/** Sides of the smallest rectangle round some openings, whichever way it lies, m. */
function sizesOf(openings: readonly Opening[]): readonly [number, number] {
  return smallestRectangle(openings.flatMap(({ polygon }) => cornersOf(polygon)));
}

/** An element as the water sees it. */
export interface Standing {
  /** Level dug, lowest of the element, m. */
  readonly dug: number;
  readonly groundLow: number;
  /** Water level about it; null when none is known. */
  readonly water: number | null;
  /** The soils from the surface down at places of it. */
  readonly columns: readonly (readonly Layer[])[];
}

/** Ground water about a hole as it is let in: where from, and how easily. */
export interface Reach extends DrawnHole {
  readonly elements: readonly number[];
  readonly a: number;
  readonly b: number;
  /** Level water stands at outside; null when nobody knows. */
  readonly water: number | null;
  /** Level of its lowest dug place, of the lowest ground over it, and of the tight base. */
  readonly floor: number;
  readonly surface: number;
  readonly tight: number;
  readonly k: readonly [number, number, number];
  readonly kOrigin: 'measured' | 'typed' | 'typical';
}

/**
 * Holes of the elements asked for, as water meets them.
 * @param which by position
 * @param risingHead tests by element, or of the whole job: what they say beats what is typed
 */
export function reachesOf(
  plan: Plan,
  solid: Solid,
  standing: readonly Standing[],
  which: (element: number) => boolean,
  risingHead: Facts['risingHead'],
): Reach[] {
  const { knownTo } = plan.ground;
  const openings = solid.openings.flatMap((pieces, i): Opening[] => {
    const { owner } = solid.parts[i]!;
    return which(owner) ? pieces.map((polygon) => ({ owner, polygon, box: boxOf(polygon) })) : [];
  });
  return joined(plan.elements.length, openings).map((elements): Reach => {
    const known = elements.flatMap((i) => standing[i]!.water ?? []);
    const water = known.length > 0 ? Math.max(...known) : null;
    const [a, b] = sizesOf(openings.filter(({ owner }) => elements.includes(owner)));
    const floor = Math.min(...elements.map((i) => standing[i]!.dug));
    const surface = Math.min(...elements.map((i) => standing[i]!.groundLow));
    const tight = Math.min(surface - knownTo, floor - HOLD_BELOW);
    const [wetFrom, wetTo] = [Math.max(0, surface - (water ?? surface)), surface - tight];
    const letsIn = elements.flatMap((i) =>
      standing[i]!.columns.flatMap((column) =>
        column.filter((layer) => Math.min(wetTo, layer.bottom) > Math.max(wetFrom, layer.top)),
      ),
    );
    const k = meanOf(
      elements.flatMap((i) => standing[i]!.columns.map((column) => layeredK(column, wetFrom, wetTo))),
    );
    const test =
      elements.map((i) => risingHead.get(plan.elements[i]!.id)).find(Boolean) ?? risingHead.get('');
    const measured = test ? risingHeadRange(test, tight) : null;
    const only = elements.length === 1 ? plan.elements[elements[0]!]! : null;
    const open = only && !shapeOf(only).closed(only) ? axisOf(only) : [];
    const length = open.reduce((sum, run) => sum + run.length, 0);
    const width = Math.min(a, b);
    return {
      elements,
      a,
      b,
      radius: equivalentRadius(a, b),
      length,
      width,
      water,
      floor,
      surface,
      tight,
      k: measured ?? k,
      kOrigin: measured
        ? 'measured'
        : letsIn.length > 0 && letsIn.every(({ soil }) => soil.layer.values.permeability !== undefined)
          ? 'typed'
          : 'typical',
    };
  });
}

/**
 * Water let into a hole that stands at a level inside, m³/s; none where it stands higher inside, or where
 * nobody knows how high it stands outside.
 */
export function inflowAt(reach: Reach, k: number, level: number): number {
  const { water, tight } = reach;
  if (water === null) return 0;
  const head = water - tight;
  const held = Math.max(0, level - tight);
  return holeInflow(k, head, held, reach, reachingOf(head, held));
}

/**
 * Drawdown the reach is taken for, m. Sichardt's shrinks with the drawdown faster than the flow does, which
 * would leave a flow at none: below the least that is ever drawn under a wet formation the reach stays.
 */
export const reachingOf = (head: number, held: number): number => Math.max(head - held, HOLD_BELOW);

/**
 * Holes that come within the hold of the water, and the water each lets in. Water is held below
 * formation, so a hole need not reach it to draw it: inflow starts where the water stands at the
 * level held, and grows from nothing.
 */
export function holesOf(
  plan: Plan,
  solid: Solid,
  standing: readonly Standing[],
  risingHead: Facts['risingHead'],
): Hole[] {
  const drawn = (i: number) => {
    const { water, dug } = standing[i]!;
    return water !== null && dug - HOLD_BELOW < water;
  };
  return reachesOf(plan, solid, standing, drawn, risingHead).map((reach): Hole => {
    const { elements, a, b, radius, length, width, k, kOrigin, floor, tight } = reach;
    const holdLevel = floor - HOLD_BELOW;
    const flow = (likely: number) => inflowAt(reach, likely, holdLevel);
    return {
      elements,
      method: trenchShare(length, width) > 0 ? 'trench' : 'pit',
      a,
      b,
      radius,
      length,
      width,
      head: (reach.water ?? tight) - tight,
      held: Math.max(0, holdLevel - tight),
      holdLevel,
      k,
      inflow: [flow(k[0]), flow(k[1]), flow(k[2])],
      kOrigin,
    };
  });
}
