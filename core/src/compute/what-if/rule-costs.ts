/** What each rule of a depth, and an engineer's word on it, costs. */

import type { DepthRule } from '../../levels/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { computeWith } from '../pipeline/compute.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type Difference, difference, whatIf } from './what-if.ts';

/** The plan with some elements held to a level, whatever the rules say. */
function heldTo(plan: Plan, elements: readonly string[], level: number): Plan {
  const instruction = {
    id: 'what-if',
    level,
    width: null,
    who: '?',
    when: '',
    why: '',
    elements: [...elements],
  };
  return { ...plan, levels: { ...plan.levels, instructions: [...plan.levels.instructions, instruction] } };
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
  const ask = whatIf(plan, takeoff);
  const cost = (rule: RuleCost['rule'], level: number): RuleCost => ({
    rule,
    level,
    change: ask(heldTo(plan, together, level)).change,
  });
  return [
    cost('deeper', info.underside - deeper),
    ...info.decision.candidates.map(({ rule, level }) => cost(rule, level)),
  ];
}

/** What an engineer's instruction changes against the plan without it; null when it is not there. */
export function instructionCost(plan: Plan, takeoff: Takeoff, id: string): Difference | null {
  const rest = plan.levels.instructions.filter((instruction) => instruction.id !== id);
  if (rest.length === plan.levels.instructions.length) return null;
  const bare = { ...plan, levels: { ...plan.levels, instructions: rest } };
  const without = computeWith(bare, takeoff.facts);
  return without.problems.length > 0 ? null : difference(plan, without, takeoff);
}
