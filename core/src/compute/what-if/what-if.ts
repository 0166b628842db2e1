/** What another plan of a job comes to: every question about a change asks it here. */
import { COMPARED, type ComparedId } from '../../figures/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { computeWith } from '../pipeline/compute.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** Second less first, SI. */
export interface Difference {
  /** Of every amount the table of figures compares. */
  readonly of: Readonly<Record<ComparedId, number>>;
  /** In the plan's currency; null when no price is typed for anything that changes. */
  readonly cost: number | null;
}

/** @param plan whose prices are taken */
export function difference({ prices }: Plan, from: Takeoff, to: Takeoff): Difference {
  const changes = COMPARED.map((row) => ({ ...row, change: row.amount(to) - row.amount(from) }));
  const moved = changes.filter(({ price, change }) => price !== null && change !== 0);
  const known = moved.flatMap(({ price, per, change }) => {
    const each = prices[price!];
    return each === null ? [] : [(each * change) / per];
  });
  return {
    of: Object.fromEntries(changes.map(({ id, change }) => [id, change])) as Record<ComparedId, number>,
    cost: known.length > 0 ? known.reduce((sum, one) => sum + one, 0) : moved.length > 0 ? null : 0,
  };
}

/** A plan in place of the one that stands. */
export interface Other {
  readonly takeoff: Takeoff;
  /** Against the plan as it stands. */
  readonly change: Difference;
}

/**
 * A job as it stands, to be asked what another plan of it comes to, or other facts. What was logged is known to
 * both unless others are given.
 * @param takeoff of the plan as it stands
 */
export const whatIf =
  (plan: Plan, takeoff: Takeoff) =>
  (other: Plan, facts = takeoff.facts): Other => {
    const made = other === plan && facts === takeoff.facts ? takeoff : computeWith(other, facts);
    return { takeoff: made, change: difference(plan, takeoff, made) };
  };
