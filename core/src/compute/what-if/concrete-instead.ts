/** A stone footing beside a concrete strip on the same line: what each digs, brings and costs. */

import type { Strip } from '../../plan/elements.ts';
import { startOf } from '../../plan/fields.ts';
import type { Plan } from '../../plan/schema.ts';
import { stoneFootingOf } from '../../plan/variants.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type Difference, whatIf } from './what-if.ts';

/** The strip a stone footing would be in concrete: as wide, a new job's thickness, on trimmed ground. */
const inConcrete = (plan: Plan, strip: Strip): Strip => ({
  ...strip,
  use: 'footing',
  thickness: startOf('/elements/*/thickness', plan.system),
  method: 'formed',
  fall: 0,
  outfall: null,
  pipe: null,
  wrapped: false,
  beam: null,
});

/**
 * What a concrete strip on the line of a stone footing changes; the walls on both are the same.
 * @param takeoff of the plan as it stands
 * @returns null for what is no stone footing, or is not dug
 */
export function concreteInstead(plan: Plan, takeoff: Takeoff, index: number): Difference | null {
  const here = plan.elements[index];
  const own = here ? stoneFootingOf(here) : null;
  if (!own || !takeoff.elements[index]?.live) return null;
  const elements = plan.elements.map((element) => (element === own ? inConcrete(plan, own) : element));
  return whatIf(plan, takeoff)({ ...plan, elements }).change;
}
