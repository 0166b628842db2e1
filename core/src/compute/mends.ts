/** What would mend a caution where the plan can: the plan so mended, and what that comes to. */
import type { CautionCode } from '../cautions/index.ts';
import type { Plan } from '../plan/schema.ts';
import { underFlood } from '../takeoff/index.ts';
import type { Kind } from '../units/index.ts';
import { type Difference, difference } from './compare.ts';
import { computeWith } from './compute.ts';
import type { Takeoff } from './takeoff.ts';

/** Cautions a press can mend. */
export const MENDED = ['unsupported', 'underFlood'] as const satisfies readonly CautionCode[];
export type Mended = (typeof MENDED)[number];

/** A plan with a caution mended; null when it does not stand. And to what it was brought. */
export interface Mend {
  readonly plan: Plan;
  readonly to: readonly [value: number, kind: Kind];
}

/** Sides brought back to what the rule asks of each. */
function slopedBack(plan: Plan, takeoff: Takeoff, ids: readonly string[]): Mend {
  const asked = new Map(
    takeoff.elements.flatMap((e) => (ids.includes(e.id) ? [[e.id, e.rule.steepest] as const] : [])),
  );
  return {
    plan: {
      ...plan,
      elements: plan.elements.map((e) => {
        const slope = asked.get(e.id);
        return slope === undefined || e.kind === 'ramp' ? e : { ...e, slope, support: 'slope' as const };
      }),
    },
    to: [Math.max(...asked.values()), 'slope'],
  };
}

/** Floors raised to stand as far over the flood as is asked. */
function raised(plan: Plan, takeoff: Takeoff): Mend | null {
  const low = underFlood({ plan, stacks: takeoff.stacks });
  const least = low[0]?.least;
  if (least === undefined) return null;
  return {
    plan: {
      ...plan,
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

export function mendOf(plan: Plan, takeoff: Takeoff, code: Mended): Mend | null {
  const found = takeoff.cautions.filter((caution) => caution.code === code);
  if (found.length === 0) return null;
  if (code === 'underFlood') return raised(plan, takeoff);
  return slopedBack(
    plan,
    takeoff,
    found.flatMap(({ elements }) => elements),
  );
}

/** What mending a caution changes; null when it does not stand. */
export function mendCost(
  plan: Plan,
  takeoff: Takeoff,
  code: Mended,
): { readonly to: Mend['to']; readonly change: Difference } | null {
  const mend = mendOf(plan, takeoff, code);
  return (
    mend && {
      to: mend.to,
      change: difference(plan, takeoff, computeWith(mend.plan, takeoff.facts)),
    }
  );
}
