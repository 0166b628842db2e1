/** What a job stands on: its ground, how deep each element is founded, and the dig as a solid. */
import { type AsDug, asDugOf, CHECK_TOLERANCE, levelling, trimOf } from '../../as-dug/index.ts';
import {
  type Excavation,
  excavate,
  type FoundationLevels,
  foundationLevels,
  ownBottoms,
} from '../../dig/index.ts';
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
  /** What was shot of bottoms, by position of element. */
  readonly asDug: ReadonlyMap<number, AsDug>;
}

export function foundStep({ plan, facts, model, frost }: Site): Founded {
  const { levelled, problems } = levelElements(plan, model, frost);
  const wanted = foundationLevels(plan, levelled);
  const asDug = asDugBottoms(plan, facts, wanted);
  const elements = asDug.size === 0 ? wanted : foundationLevels(plan, levelled, asDug);
  return { elements, asDug, problems: [...problems, ...elements.flatMap(({ problem }) => problem ?? [])] };
}

/** What was shot of the bottoms there are, by position of element. */
function asDugBottoms(
  plan: Plan,
  { levels }: Facts,
  wanted: readonly FoundationLevels[],
): Map<number, AsDug> {
  const out = new Map<number, AsDug>();
  if (levels.length === 0) return out;
  const { shots } = levelling(levels, plan.levels.limits.check ?? CHECK_TOLERANCE);
  const shotOf = (id: string) => shots.filter(({ element, on }) => element === id && on === 'formation');
  const own = wanted.flatMap(({ element, index, live }) => {
    const list = live ? shotOf(element.id) : [];
    return list.length > 0 ? [[index, list] as const] : [];
  });
  if (own.length === 0) return out;
  const shot = new Set(own.map(([index]) => index));
  // What two share is the lower one's, and which that is the shots say: the second time it is known.
  for (const _time of [1, 2]) {
    const lows = new Map([...out].map(([index, { mean }]) => [index, mean]));
    const bottoms = ownBottoms(plan, wanted, shot, lows);
    for (const [index, list] of own) {
      const trim = trimOf(plan, wanted[index]!.element.trim);
      const made = asDugOf(plan, list, bottoms[index]!, trim);
      if (made) out.set(index, made);
    }
  }
  return out;
}

export const digStep = ({ plan, model }: Site, { elements }: Founded): Excavation =>
  excavate(plan, model, elements);

/** The floors and the other school, which stand beside the dig. */
export function floorStep({ plan, model, frost }: Site): Pick<Job, 'stacks' | 'shallow'> {
  const stacks = floorStacks(plan);
  return { stacks, shallow: shallowOf(plan, model, frost, stacks[0]?.level ?? null) };
}
