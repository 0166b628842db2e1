/** The pits that water must be held in: elements whose openings touch drain as one. */

import type { Solid } from '../dig/solid.ts';
import { type Box, boxesMeet, boxOf, unionBox } from '../geometry/index.ts';
import type { Layer } from '../ground/strata.ts';
import type { Plan } from '../plan/schema.ts';
import { axisLength, outlineSizes, segmentsOf } from '../setout/index.ts';
import { equivalentRadius, pitInflow, trenchInflow } from './inflow.ts';

/** Water is held this far under formation so that the bottom can be trimmed and walked on, m. */
export const HOLD_BELOW = 0.3;

export interface Pit {
  readonly elements: readonly number[];
  readonly method: 'pit' | 'trench';
  /** Plan sizes of the pit, m. */
  readonly a: number;
  readonly b: number;
  readonly radius: number;
  readonly head: number;
  readonly held: number;
  readonly holdLevel: number;
  /** m/s and m³/s: low, likely, high. */
  readonly k: readonly [number, number, number];
  readonly inflow: readonly [number, number, number];
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

/** Elements grouped so that openings that touch are one pit. */
function joined(count: number, boxes: readonly { owner: number; box: Box }[]): number[][] {
  const parent = Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => (parent[i] === i ? i : root(parent[i]!));
  for (const p of boxes)
    for (const q of boxes) if (boxesMeet(p.box, q.box)) parent[root(p.owner)] = root(q.owner);
  const groups = new Map<number, number[]>();
  for (const owner of new Set(boxes.map((entry) => entry.owner))) {
    const key = root(owner);
    groups.set(key, [...(groups.get(key) ?? []), owner]);
  }
  return [...groups.values()];
}

/** Heading of the job's grid at an element, rad, so that a turned job gives the same pit. */
function headingOf(plan: Plan, element: number): number {
  const e = plan.elements[element]!;
  if (e.kind === 'pad' || e.kind === 'ramp') return (e.angle * Math.PI) / 180;
  if (e.kind !== 'strip') return outlineSizes(e.outline).angle;
  const longest = segmentsOf(e).reduce((p, q) => (q.length > p.length ? q : p));
  return Math.atan2(longest.uy, longest.ux);
}

/** An element as the water sees it. */
export interface Standing {
  /** Level dug, lowest of the element, m. */
  readonly dug: number;
  readonly groundLow: number;
  /** Water level about it; null when none is known. */
  readonly water: number | null;
  readonly column: readonly Layer[];
}

/** Pits below the water level and the water each lets in. */
export function pitsOf(plan: Plan, solid: Solid, standing: readonly Standing[]): Pit[] {
  const { base } = plan.ground;
  const under = (i: number) => {
    const { water, dug } = standing[i]!;
    return water !== null && dug < water;
  };
  const openings = solid.openings.flatMap((pieces, i) => {
    const { owner } = solid.parts[i]!;
    return under(owner) ? pieces.map((polygon) => ({ owner, polygon, box: boxOf(polygon) })) : [];
  });
  return joined(plan.elements.length, openings).map((elements): Pit => {
    const first = elements[0]!;
    const water = Math.max(...elements.map((i) => standing[i]!.water ?? -Infinity));
    const heading = headingOf(plan, first);
    const cos = Math.cos(heading);
    const sin = Math.sin(heading);
    const turned = openings
      .filter(({ owner }) => elements.includes(owner))
      .map(({ polygon }) =>
        boxOf(
          polygon.map((_, i) => {
            const x = polygon[i - (i % 2)]!;
            const y = polygon[i - (i % 2) + 1]!;
            return i % 2 === 0 ? x * cos + y * sin : y * cos - x * sin;
          }),
        ),
      );
    const box = unionBox(turned);
    const a = box.x1 - box.x0;
    const b = box.y1 - box.y0;
    const floor = Math.min(...elements.map((i) => standing[i]!.dug));
    const surface = Math.min(...elements.map((i) => standing[i]!.groundLow));
    const tight = Math.min(surface - base, floor - HOLD_BELOW);
    const holdLevel = floor - HOLD_BELOW;
    const head = water - tight;
    const held = Math.max(0, holdLevel - tight);
    const k = layeredK(standing[first]!.column, Math.max(0, surface - water), surface - tight);
    const only = elements.length === 1 ? plan.elements[first]! : null;
    const length = only?.kind === 'strip' && !only.closed ? axisLength(only) : 0;
    const width = Math.min(a, b);
    const method = length > 5 * width ? 'trench' : 'pit';
    const radius = method === 'trench' ? width / 2 : equivalentRadius(a, b);
    const flow = (likely: number) =>
      method === 'trench'
        ? trenchInflow(likely, head, held, length, width)
        : pitInflow(likely, head, held, radius);
    return {
      elements,
      method,
      a,
      b,
      radius,
      head,
      held,
      holdLevel,
      k,
      inflow: [flow(k[0]), flow(k[1]), flow(k[2])],
    };
  });
}
