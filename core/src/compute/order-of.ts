/** The order of digging of a plan: its elements as trenches a machine meets. */
import {
  checkOrder,
  deepestReach,
  machineOf,
  type OrderInput,
  orderTrenches,
  reachAt,
  type Trench,
} from '../dig/index.ts';
import { contains, distanceToLine } from '../geometry/index.ts';
import { COMMON_SWELL } from '../ground/index.ts';
import type { Element, Plan } from '../plan/schema.ts';
import { middleOf, outlineSizes, segmentsOf } from '../setout/index.ts';
import type { Takeoff } from './takeoff.ts';

type Point = readonly [number, number];

/** What the order is made of: one entry a live element, in the plan's order. */
export interface OrderProblem {
  readonly input: OrderInput;
  readonly ids: readonly string[];
}

/** The line a machine works along: a strip's axis, the longer middle line of anything else. */
function axisOf(element: Element, depth: number): { from: Point; to: Point } {
  if (element.kind === 'ramp') {
    const angle = (element.angle * Math.PI) / 180;
    const run = depth / element.grade;
    const [x, y] = element.at;
    return { from: element.at, to: [x + Math.cos(angle) * run, y + Math.sin(angle) * run] };
  }
  if (element.kind === 'strip') {
    const runs = segmentsOf(element);
    const longest = runs.reduce((p, q) => (q.length > p.length ? q : p));
    // A bent trench is met along its longest run, from its first to its last point when open.
    return element.closed || runs.length > 1
      ? { from: longest.from, to: longest.to }
      : { from: element.points[0]!, to: element.points.at(-1)! };
  }
  if (element.kind === 'pad') {
    const angle = (element.angle * Math.PI) / 180;
    const half = Math.max(0, element.length - element.width) / 2;
    const [ux, uy] = [Math.cos(angle) * half, Math.sin(angle) * half];
    return { from: [element.at[0] - ux, element.at[1] - uy], to: [element.at[0] + ux, element.at[1] + uy] };
  }
  const { long, short, angle } = outlineSizes(element.outline);
  const middle = middleOf(element);
  const half = Math.max(0, long - short) / 2;
  const [ux, uy] = [Math.cos(angle) * half, Math.sin(angle) * half];
  return { from: [middle[0] - ux, middle[1] - uy], to: [middle[0] + ux, middle[1] + uy] };
}

export function orderProblem(plan: Plan, takeoff: Takeoff): OrderProblem {
  const machine = machineOf(plan);
  const reach = reachAt(machine, 0) ?? deepestReach(machine);
  const spoilAreas = plan.site.areas
    .map((area, i) => ({ area, i }))
    .filter(({ area }) => area.use === 'spoil');
  const entries = plan.elements.flatMap((element, i) => {
    const info = takeoff.elements[i];
    if (!info?.live) return [];
    const axis = axisOf(element, info.depth);
    const openings = takeoff.shapes.openings[i]!;
    const [dx, dy] = [axis.to[0] - axis.from[0], axis.to[1] - axis.from[1]];
    const length = Math.hypot(dx, dy);
    const [nx, ny] = length > 1e-6 ? [-dy / length, dx / length] : [0, 1];
    let half = 0.3;
    for (const piece of openings)
      for (let k = 0; k < piece.length; k += 2)
        half = Math.max(
          half,
          Math.abs((piece[k]! - axis.from[0]) * nx + (piece[k + 1]! - axis.from[1]) * ny),
        );
    // A slewing machine throws as far to one side as it reaches, from either side of the trench.
    const inReach = spoilAreas
      .map(({ area, i: index }) => ({ index, away: nearest(area.points, axis) }))
      .filter(({ away }) => away <= 2 * reach)
      .sort((p, q) => p.away - q.away)
      .map(({ index }) => index);
    const trench: Trench = {
      outwards: element.kind === 'ramp',
      id: element.id,
      openings,
      ...axis,
      half,
      loose: info.volume * (1 + COMMON_SWELL),
      areas: inReach,
    };
    return [{ trench, id: element.id }];
  });
  const ids = entries.map((entry) => entry.id);
  const trenches = entries.map(({ trench }): Trench => {
    const element = plan.elements.find((e) => e.id === trench.id);
    const after = element?.kind === 'ramp' ? ids.indexOf(element.serves) : -1;
    return { ...trench, after: after < 0 ? null : after };
  });
  const overlaps = plan.site.areas.map((area) => {
    const laid = takeoff.work.layDown.areas.find((entry) => entry.id === area.id);
    return (laid?.overlaps ?? []).flatMap((overlap) => {
      const index = overlap.element === null ? -1 : ids.indexOf(overlap.element);
      return index >= 0 ? [index] : [];
    });
  });
  return {
    ids,
    input: {
      trenches,
      machine: { width: machine.width, reach },
      boundary: plan.site.boundary,
      exits: plan.site.gates.map((gate) => gate.at),
      overlaps,
    },
  };
}

/** Distance in plan from an area to the nearer end or the middle of an axis, m. */
function nearest(outline: readonly Point[], axis: { from: Point; to: Point }): number {
  const middle: Point = [(axis.from[0] + axis.to[0]) / 2, (axis.from[1] + axis.to[1]) / 2];
  return Math.min(
    ...[axis.from, middle, axis.to].map(([x, y]) =>
      contains(outline, x, y)
        ? 0
        : Math.min(...outline.map((p, i) => distanceToLine(p, outline[(i + 1) % outline.length]!, x, y))),
    ),
  );
}

/** One step as the desk shows it. */
export interface DigStep {
  readonly id: string;
  readonly how: 'astride' | 'beside';
  readonly start: Point;
  readonly finish: Point;
  readonly track: number;
  /** Id of the lay-down area. */
  readonly area: string | null;
  readonly rehandled: number;
}

export type DigOrder =
  | {
      readonly ok: true;
      readonly steps: readonly DigStep[];
      readonly track: number;
      readonly rehandled: number;
      readonly exact: boolean;
      /** The person's own order, as it was kept. */
      readonly typed: boolean;
    }
  | {
      readonly ok: false;
      readonly blocking: readonly string[];
      readonly stuck: readonly string[];
      /** What is wrong with the person's own order. */
      readonly clashes: readonly { code: 'trapped' | 'blocked' | 'early'; id: string; by: string | null }[];
      readonly typed: boolean;
    };

/** The person's order with what is new to it put at the end, and what is gone left out. */
export const typedOrder = (typed: readonly string[], ids: readonly string[]): number[] => [
  ...typed.flatMap((id) => (ids.includes(id) ? [ids.indexOf(id)] : [])),
  ...ids.flatMap((id, i) => (typed.includes(id) ? [] : [i])),
];

/**
 * The order a plan is dug in: the person's own when there is one, else the best found.
 * @param budget asked by a long search; false ends it
 */
export function digOrder(plan: Plan, takeoff: Takeoff, budget?: () => boolean): DigOrder {
  const { input, ids } = orderProblem(plan, takeoff);
  const shown = (steps: ReturnType<typeof checkOrder>['steps']): DigStep[] =>
    steps.map((step) => ({
      id: ids[step.trench]!,
      how: step.mode.how,
      start: step.mode.start,
      finish: step.mode.finish,
      track: step.track,
      area: step.area === null ? null : plan.site.areas[step.area]!.id,
      rehandled: step.rehandled,
    }));
  if (plan.dig.order.length > 0) {
    const { steps, clashes } = checkOrder(input, typedOrder(plan.dig.order, ids));
    if (clashes.length > 0 || (steps.length === 0 && ids.length > 0))
      return {
        ok: false,
        blocking: [],
        stuck: [],
        typed: true,
        clashes: clashes.map((clash) => ({
          code: clash.code,
          id: ids[clash.trench]!,
          by: clash.code !== 'trapped' && clash.by !== null ? ids[clash.by]! : null,
        })),
      };
    const made = shown(steps);
    return {
      ok: true,
      steps: made,
      typed: true,
      exact: false,
      track: made.reduce((sum, step) => sum + step.track, 0),
      rehandled: made.reduce((sum, step) => sum + step.rehandled, 0),
    };
  }
  const found = orderTrenches(input, budget);
  if (!found.ok)
    return {
      ok: false,
      typed: false,
      clashes: [],
      blocking: found.blocking.map((i) => ids[i]!),
      stuck: found.stuck.map((i) => ids[i]!),
    };
  return {
    ok: true,
    typed: false,
    steps: shown(found.steps),
    track: found.track,
    rehandled: found.rehandled,
    exact: found.exact,
  };
}
