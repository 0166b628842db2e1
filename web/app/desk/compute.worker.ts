/** The core in a worker: the takeoff when it takes longer than a frame, and what-ifs always. */
import { alternatives, compute, digOrder, instructionCost, type Plan, ruleCosts } from '@cimiento/core';
import { expose } from 'comlink';

/** A search for a better order ends after this, ms. */
const LONGEST_SEARCH = 4000;

const api = {
  compute: (plan: Plan) => compute(plan),
  ruleCosts: (plan: Plan, index: number, deeper: number) => ruleCosts(plan, compute(plan), index, deeper),
  instructionCosts(plan: Plan) {
    const takeoff = compute(plan);
    return plan.levels.instructions.map(({ id }) => ({ id, change: instructionCost(plan, takeoff, id) }));
  },
  alternatives: (plan: Plan, index: number) => alternatives(plan, compute(plan), index),
  digOrder(plan: Plan) {
    const until = performance.now() + LONGEST_SEARCH;
    return digOrder(plan, compute(plan), () => performance.now() < until);
  },
};
export type ComputeWorker = typeof api;
expose(api);
