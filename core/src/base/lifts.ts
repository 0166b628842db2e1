/** Stone bed in equal lifts, each thin enough for the compactor, with its passes. */

import { COMPACTORS } from '../catalogue/compactors.ts';
import type { Plan } from '../plan/schema.ts';

export interface Lifts {
  readonly count: number;
  /** Compacted thickness of each lift, m, and what it is spread at, loose. */
  readonly thickness: number;
  readonly loose: number;
  readonly limit: number;
  readonly limitBy: 'compactor' | 'specification';
  readonly passes: readonly [number, number, number];
  /** Four times the top stone does not go into a lift. */
  readonly stoneTooLarge: boolean;
  /** Thinner than the compactor's typical lift: a lighter one would do, this one may pump it. */
  readonly thin: boolean;
}

/**
 * n = ⌈T/t_max⌉ equal lifts of T/n, t_max the least of the specification's and the compactor's.
 */
export function liftsOf(bed: NonNullable<Plan['bed']>): Lifts {
  const compactor = COMPACTORS[bed.compactor];
  const [low, high] = compactor.granular;
  const limit = Math.min(high, bed.maxLift ?? Infinity);
  const count = Math.max(1, Math.ceil(bed.thickness / limit - 1e-9));
  const thickness = bed.thickness / count;
  return {
    count,
    thickness,
    loose: thickness * bed.looseFactor,
    limit,
    limitBy: bed.maxLift !== null && bed.maxLift < high ? 'specification' : 'compactor',
    passes: compactor.passes,
    stoneTooLarge: 4 * bed.topSize > thickness + 1e-9,
    thin: thickness < low / 2,
  };
}
