/** The core in a worker: the takeoff when it takes longer than a frame, and what-ifs always. */
import { compute, instructionCost, type Plan, ruleCosts, sameValue } from '@cimiento/core';
import { expose } from 'comlink';

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
};
export type ComputeWorker = typeof api;
expose(api);
