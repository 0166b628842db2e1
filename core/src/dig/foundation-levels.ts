/** From footing undersides down to what is dug: formation under the stack, and what of it can be dug. */

import type { Levelled } from '../levels/levelled.ts';
import { belowSlab } from '../levels/slab.ts';
import { bedOf, thicknessOf } from '../plan/beds.ts';
import { DEEPEST_DIG } from '../plan/limits.ts';
import type { Plan } from '../plan/schema.ts';
import type { Problem } from '../results/index.ts';

/** An element with the levels it is dug to, by stretch of it. */
export interface FoundationLevels extends Levelled {
  /** Level needed under the whole stack, and level dug, m. */
  readonly formations: readonly number[];
  readonly dug: readonly number[];
  /** Deepest cut as far as levels tell, m: how far benches and ramps have to climb. */
  readonly reach: number;
  /** It can be dug; if not, its problem is named. */
  readonly live: boolean;
}

export const lowestOf = (levels: readonly number[]): number => Math.min(...levels);

/** @param problems told of what cannot be dug */
export function foundationLevels(
  plan: Plan,
  levelled: readonly Levelled[],
  problems: Problem[],
): FoundationLevels[] {
  return levelled.map((one) => {
    const { element, index, decision, groundLow, groundHigh } = one;
    const under = belowSlab(plan, element) + thicknessOf(bedOf(plan, element));
    const formations = one.undersides.map((underside) => underside - under);
    const dug = formations.map((level) => level - element.low);
    const bottom = lowestOf(dug);
    const named = {
      path: `/elements/${index}`,
      value: bottom,
      kind: 'level',
      params: { name: element.name },
    } as const;
    let live = decision !== null;
    if (live && bottom < groundLow - DEEPEST_DIG) {
      live = false;
      problems.push({ code: 'tooDeep', ...named, min: groundLow - DEEPEST_DIG });
    } else if (live && bottom >= groundHigh - 1e-9) {
      live = false;
      problems.push({ code: 'formationAboveGround', ...named, max: groundHigh });
    }
    return { ...one, formations, dug, live, reach: Math.max(0, groundHigh - bottom) };
  });
}
