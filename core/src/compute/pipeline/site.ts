/** What a job stands on: its ground, how deep each element is founded, and the dig as a solid. */
import { type Excavation, excavate, type FoundationLevels, foundationLevels } from '../../dig/index.ts';
import {
  designFrost,
  type Frost,
  type FrozenNow,
  frozenNow,
  type GroundModel,
  groundModel,
} from '../../ground/index.ts';
import { floorStacks, levelElements, shallowOf, withInstructedWidths } from '../../levels/index.ts';
import type { Facts } from '../../log/index.ts';
import type { Plan } from '../../plan/schema.ts';
import type { Problem } from '../../results/index.ts';
import type { Job } from '../../takeoff/index.ts';

/** What a job stands on before anything is dug. */
export interface Site {
  /** With the widths an engineer has ordered in place of those typed. */
  readonly plan: Plan;
  readonly facts: Facts;
  readonly model: GroundModel;
  readonly frost: Frost;
  readonly frozen: FrozenNow | null;
}

export function groundStep(given: Plan, facts: Facts): Site {
  const plan = withInstructedWidths(given);
  const model = groundModel(plan);
  return { plan, facts, model, frost: designFrost(plan, model), frozen: frozenNow(facts) };
}

/** Elements with the levels they are dug to, and what cannot be. */
export interface Founded {
  readonly elements: readonly FoundationLevels[];
  readonly problems: readonly Problem[];
}

export function foundStep({ plan, model, frost }: Site): Founded {
  const { levelled, problems } = levelElements(plan, model, frost);
  const elements = foundationLevels(plan, levelled);
  return { elements, problems: [...problems, ...elements.flatMap(({ problem }) => problem ?? [])] };
}

export const digStep = ({ plan, model }: Site, { elements }: Founded): Excavation =>
  excavate(plan, model, elements);

/** The floors and the other school, which stand beside the dig. */
export function floorStep({ plan, model, frost }: Site): Pick<Job, 'stacks' | 'shallow'> {
  const stacks = floorStacks(plan);
  return { stacks, shallow: shallowOf(plan, model, frost, stacks[0]?.level ?? null) };
}
