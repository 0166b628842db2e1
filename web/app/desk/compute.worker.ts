/** The core in a worker: the takeoff when it takes longer than a frame, and what-ifs always. */
import {
  alternatives,
  compute,
  digOrder,
  instructionCost,
  type Plan,
  ruleCosts,
  sameValue,
} from '@cimiento/core';
import { expose } from 'comlink';

/** A search for a better order ends after this, ms. */
const LONGEST_SEARCH = 4000;

let surface: Plan['ground']['surface'] | null = null;

/**
 * A plan arrives as a copy each time. The surface it had before is put back in its place when
 * nothing in it changed, so that a survey is triangulated once and not at every edit.
 */
function known(plan: Plan): Plan {
  if (surface && sameValue(surface, plan.ground.surface))
    return { ...plan, ground: { ...plan.ground, surface } };
  surface = plan.ground.surface;
  return plan;
}

const api = {
  compute: (plan: Plan) => compute(known(plan)),
  ruleCosts(given: Plan, index: number, deeper: number) {
    const plan = known(given);
    return ruleCosts(plan, compute(plan), index, deeper);
  },
  instructionCosts(given: Plan) {
    const plan = known(given);
    const takeoff = compute(plan);
    return plan.levels.instructions.map(({ id }) => ({ id, change: instructionCost(plan, takeoff, id) }));
  },
  alternatives(given: Plan, index: number) {
    const plan = known(given);
    return alternatives(plan, compute(plan), index);
  },
  digOrder(given: Plan) {
    const plan = known(given);
    const until = performance.now() + LONGEST_SEARCH;
    return digOrder(plan, compute(plan), () => performance.now() < until);
  },
};
export type ComputeWorker = typeof api;
expose(api);
