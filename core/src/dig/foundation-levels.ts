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
  /** m it was found dug below what is needed: on the mean of its bottom, and at the worst place. */
  readonly low: number;
  readonly lowWorst: number;
  /** Deepest cut as far as levels tell, m: how far benches and ramps have to climb. */
  readonly reach: number;
  /** It can be dug. */
  readonly live: boolean;
  /** Why it cannot, where it is levelled and lies wrong. */
  readonly problem: Problem | null;
}

export const lowestOf = (levels: readonly number[]): number => Math.min(...levels);

/** How far a bottom was found dug below what is needed, m. */
export interface FoundLow {
  readonly mean: number;
  readonly worst: number;
}

/** @param found by position of element; none: dug as needed */
export function foundationLevels(
  plan: Plan,
  levelled: readonly Levelled[],
  found: ReadonlyMap<number, FoundLow> = new Map(),
): FoundationLevels[] {
  return levelled.map((one) => {
    const { element, index, decision, groundLow, groundHigh } = one;
    const under = belowSlab(plan, element) + thicknessOf(bedOf(plan, element));
    const formations = one.undersides.map((underside) => underside - under);
    const { mean: low, worst: lowWorst } = found.get(index) ?? { mean: 0, worst: 0 };
    const dug = formations.map((level) => level - low);
    const bottom = lowestOf(dug);
    const named = {
      path: `/elements/${index}`,
      value: bottom,
      kind: 'level',
      params: { name: element.name },
    } as const;
    const problem: Problem | null =
      decision === null
        ? null
        : bottom < groundLow - DEEPEST_DIG
          ? { code: 'tooDeep', ...named, min: groundLow - DEEPEST_DIG }
          : bottom >= groundHigh - 1e-9
            ? { code: 'formationAboveGround', ...named, max: groundHigh }
            : null;
    const live = decision !== null && problem === null;
    return { ...one, formations, dug, low, lowWorst, live, problem, reach: Math.max(0, groundHigh - bottom) };
  });
}
