/** What would mend a caution where the plan can: the plan so mended, and what that comes to. */

import { usualLift } from '../../base/index.ts';
import { leastLap } from '../../levels/steps.ts';
import { isAssumed } from '../../plan/assumed.ts';
import type { Plan } from '../../plan/schema.ts';
import { shapeOf } from '../../setout/index.ts';
import { underFlood } from '../../takeoff/index.ts';
import type { Kind } from '../../units/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import type { Remedied } from './remedied.ts';
import { type Difference, whatIf } from './what-if.ts';

/** A plan with a caution mended; null when it does not stand. And to what it was brought. */
export interface Remedy {
  readonly plan: Plan;
  /** Elements it is offered for; none: the whole job. */
  readonly ids: readonly string[];
  readonly to: readonly [value: number, kind: Kind] | { readonly name: string };
}

/** Sides brought back to what the rule asks of each; what is dug in bays under a wall has none to lay back. */
function slopedBack(plan: Plan, takeoff: Takeoff, ids: readonly string[]): Remedy | null {
  const asked = new Map(
    takeoff.elements.flatMap((e) =>
      ids.includes(e.id) && !e.bays ? [[e.id, e.rule.steepest] as const] : [],
    ),
  );
  if (asked.size === 0) return null;
  return {
    ids: [...asked.keys()],
    plan: {
      ...plan,
      elements: plan.elements.map((e) => {
        const slope = asked.get(e.id);
        return slope === undefined || !shapeOf(e).founded ? e : { ...e, slope, support: 'slope' as const };
      }),
    },
    to: [Math.max(...asked.values()), 'slope'],
  };
}

/** Floors and walls raised to stand as far over the flood as is asked. */
function raised(plan: Plan, takeoff: Takeoff): Remedy | null {
  const low = underFlood({ plan, stacks: takeoff.stacks, elements: takeoff.elements });
  const walls = new Set(low.flatMap(({ element }) => element ?? []));
  const least = low[0]?.least;
  if (least === undefined) return null;
  return {
    ids: [...walls],
    plan: {
      ...plan,
      elements: plan.elements.map((element) =>
        element.rising && walls.has(element.id)
          ? { ...element, rising: { ...element.rising, top: 'flood' as const, over: null } }
          : element,
      ),
      levels: {
        ...plan.levels,
        floors: plan.levels.floors.map((floor) =>
          floor.above === null && floor.level < least ? { ...floor, level: least } : floor,
        ),
      },
    },
    to: [least, 'level'],
  };
}

/** Steps and laps by the rule again, as they are where nobody types them. */
function stepsByRule(plan: Plan, takeoff: Takeoff, ids: readonly string[], what: 'height' | 'lap'): Remedy {
  const of = takeoff.elements.flatMap((e) => (ids.includes(e.id) && e.steps ? [e] : []));
  const to =
    what === 'height'
      ? Math.min(...of.map(({ element }) => element.thickness))
      : Math.max(...of.map(({ element, steps }) => leastLap(steps!.height, element.thickness)));
  return {
    ids,
    plan: { ...plan, levels: { ...plan.levels, steps: { ...plan.levels.steps, [what]: null } } },
    to: [to, 'size'],
  };
}

/** Lifts no thicker than their compactor usually does. */
function usualLifts(plan: Plan): Remedy | null {
  let to = Infinity;
  const beds = plan.beds.map((bed) => ({
    ...bed,
    layers: bed.layers.map((layer) => {
      const { maxLift, compactor, cohesive, proven } = layer;
      if (maxLift === null || compactor === null || proven) return layer;
      const [, high] = usualLift(compactor, cohesive);
      if (maxLift <= high) return layer;
      to = Math.min(to, high);
      return { ...layer, maxLift: high };
    }),
  }));
  return Number.isFinite(to) ? { ids: [], plan: { ...plan, beds }, to: [to, 'size'] } : null;
}

/** The first of the plan's other machines with which neither caution stands. */
function otherMachine(plan: Plan, takeoff: Takeoff): Remedy | null {
  const ask = whatIf(plan, takeoff);
  for (const { id, name } of plan.dig.machines) {
    if (id === plan.dig.machine) continue;
    const mended = { ...plan, dig: { ...plan.dig, machine: id } };
    const { cautions } = ask(mended).takeoff;
    if (!cautions.some(({ code }) => code === 'reach' || code === 'gate'))
      return { ids: [], plan: mended, to: { name } };
  }
  return null;
}

/** What was assumed is somebody's word. */
function coverSaid(plan: Plan): Remedy | null {
  const { cover } = plan.levels;
  if (cover === null || !isAssumed(plan, '/levels/cover')) return null;
  const assumed = plan.assumed.filter((pointer) => pointer !== '/levels/cover');
  return { ids: [], plan: { ...plan, assumed }, to: [cover, 'size'] };
}

export function remedyFor(plan: Plan, takeoff: Takeoff, code: Remedied): Remedy | null {
  const found = takeoff.cautions.filter((caution) => caution.code === code);
  if (found.length === 0) return null;
  const ids = found.flatMap(({ elements }) => elements);
  switch (code) {
    case 'unsupported':
      return slopedBack(plan, takeoff, ids);
    case 'underFlood':
      return raised(plan, takeoff);
    case 'stepHigh':
      return stepsByRule(plan, takeoff, ids, 'height');
    case 'lapShort':
      return stepsByRule(plan, takeoff, ids, 'lap');
    case 'liftOverCompactor':
      return usualLifts(plan);
    case 'reach':
    case 'gate':
      return otherMachine(plan, takeoff);
    case 'coverAssumed':
      return coverSaid(plan);
  }
}

/** What only says that an assumption is so changes no figure: nothing has to be worked out. */
export const CHANGES_NOTHING: ReadonlySet<Remedied> = new Set(['coverAssumed']);

/** Whether a mended plan has a caution no more, of what it was mended for. */
function lifted({ cautions }: Takeoff, code: Remedied, { ids }: Remedy): boolean {
  return !cautions.some(
    (caution) =>
      caution.code === code && (ids.length === 0 || caution.elements.some((id) => ids.includes(id))),
  );
}

/** What mending a caution changes; null when it does not stand, or what would mend it does not lift it. */
export function remedyCost(
  plan: Plan,
  takeoff: Takeoff,
  code: Remedied,
): { readonly to: Remedy['to']; readonly change: Difference } | null {
  const mend = remedyFor(plan, takeoff, code);
  if (!mend) return null;
  const { takeoff: mended, change } = whatIf(plan, takeoff)(mend.plan);
  return lifted(mended, code, mend) ? { to: mend.to, change } : null;
}
