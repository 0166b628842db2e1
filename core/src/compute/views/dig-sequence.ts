/** The order of digging of a plan: its elements as trenches a machine meets. */

import { COMMON_SWELL } from '../../catalogue/soils.ts';
import {
  checkOrder,
  deepestReach,
  machineOf,
  type OrderInput,
  orderTrenches,
  reachAt,
  type Trench,
} from '../../dig/index.ts';
import { contains, distanceToLine } from '../../geometry/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { traitsOf } from '../../plan/variants.ts';
import { shapeOf } from '../../setout/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

type Point = readonly [number, number];

/** What the order is made of: one entry a live element, in the plan's order. */
export interface OrderProblem {
  readonly input: OrderInput;
  readonly ids: readonly string[];
}

export function orderProblem(plan: Plan, takeoff: Takeoff): OrderProblem {
  const machine = machineOf(plan);
  const reach = reachAt(machine, 0) ?? deepestReach(machine);
  const spoilAreas = plan.site.areas
    .map((area, i) => ({ area, i }))
    .filter(({ area }) => area.use === 'spoil');
  const entries = plan.elements.flatMap((element, i) => {
    const info = takeoff.elements[i];
    // What is dug by hand takes no machine's turn.
    if (!info?.live || element.hand) return [];
    const shape = shapeOf(element);
    const axis = shape.worked(element, info.depth);
    // A floor's reduced level is shallow and even: a machine drives over it.
    const openings = traitsOf(element).byFloor ? [] : info.openings;
    const [dx, dy] = [axis.to[0] - axis.from[0], axis.to[1] - axis.from[1]];
    const length = Math.hypot(dx, dy);
    const [nx, ny] = length > 1e-6 ? [-dy / length, dx / length] : [0, 1];
    let half = 0.3;
    for (const piece of info.openings)
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
      outwards: shape.serves(element) !== null,
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
    const served = element ? shapeOf(element).serves(element) : null;
    const after = served === null ? -1 : ids.indexOf(served);
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

export type DigSequence =
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
export function digSequence(plan: Plan, takeoff: Takeoff, budget?: () => boolean): DigSequence {
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
