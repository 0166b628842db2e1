/** What one plan costs against another: volumes, loads, concrete and money. */

import type { DepthRule } from '../levels/index.ts';
import type { Plan } from '../plan/schema.ts';
import { computeWith } from './compute.ts';
import type { Takeoff } from './takeoff.ts';

/** Second less first, SI. */
export interface Difference {
  readonly dig: number;
  readonly loads: number;
  readonly stone: number;
  readonly lean: number;
  readonly concrete: number;
  /** Walls and columns below ground, m³. */
  readonly walls: number;
  /** In the plan's currency; null when no price is typed for anything that changes. */
  readonly cost: number | null;
}

const loadsIn = (takeoff: Takeoff) => takeoff.mixed.reduce((sum, { loads }) => sum + loads, 0);

/** @param plan whose prices are taken */
export function difference(plan: Plan, from: Takeoff, to: Takeoff): Difference {
  const volumes = {
    dig: to.figures.dig.value - from.figures.dig.value,
    loads: loadsIn(to) - loadsIn(from),
    stone: to.stone.mass - from.stone.mass,
    lean: to.lean.ordered - from.lean.ordered,
    concrete: to.concrete.ordered - from.concrete.ordered,
  };
  const { prices } = plan;
  const priced = [
    [prices.dig, volumes.dig],
    [prices.load, volumes.loads],
    [prices.stone, volumes.stone / 1000],
    [prices.lean, volumes.lean],
    [prices.concrete, volumes.concrete],
  ] as const;
  const known = priced.filter(([price, change]) => price !== null && change !== 0);
  const free = priced.every(([, change]) => change === 0);
  return {
    ...volumes,
    walls: to.walls - from.walls,
    cost:
      known.length > 0 ? known.reduce((sum, [price, change]) => sum + price! * change, 0) : free ? 0 : null,
  };
}

/** The plan with some elements held to a level, whatever the rules say. */
function heldTo(plan: Plan, elements: readonly string[], level: number): Plan {
  const word = { id: 'what-if', level, width: null, who: '?', when: '', why: '', elements: [...elements] };
  return { ...plan, levels: { ...plan.levels, instructions: [...plan.levels.instructions, word] } };
}

export interface RuleCost {
  readonly rule: DepthRule | 'deeper';
  readonly level: number;
  /** Against the plan as it stands. */
  readonly change: Difference;
}

/**
 * What each rule would cost if it decided alone, and what going deeper than all of them would.
 * @param index an element; those of its group go with it
 * @param deeper how far below the present underside the last row lies, m
 * @returns deepest rule first; empty for a stepped strip or where nothing decides
 */
export function ruleCosts(plan: Plan, takeoff: Takeoff, index: number, deeper: number): RuleCost[] {
  const info = takeoff.elements[index];
  if (!info?.decision || info.steps) return [];
  const own = plan.elements[index]!;
  const together = plan.elements
    .filter(
      (element, i) =>
        i === index || (own.group !== '' && element.group === own.group && !takeoff.elements[i]!.steps),
    )
    .map((element) => element.id);
  const cost = (rule: RuleCost['rule'], level: number): RuleCost => ({
    rule,
    level,
    change: difference(plan, takeoff, computeWith(heldTo(plan, together, level), takeoff.facts)),
  });
  return [
    cost('deeper', info.underside - deeper),
    ...info.decision.candidates.map(({ rule, level }) => cost(rule, level)),
  ];
}

/** What an engineer's instruction changes against the plan without it; null when it is not there. */
export function instructionCost(plan: Plan, takeoff: Takeoff, id: string): Difference | null {
  const rest = plan.levels.instructions.filter((word) => word.id !== id);
  if (rest.length === plan.levels.instructions.length) return null;
  const without = computeWith({ ...plan, levels: { ...plan.levels, instructions: rest } }, takeoff.facts);
  return without.problems.length > 0 ? null : difference(plan, without, takeoff);
}
