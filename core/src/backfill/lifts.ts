/**
 * Lifts of fill: equal, each thin enough for what tamps it. Near a wall that is the light machine, farther off the
 * crew's own; a lift that both tamp is as thin as the weaker of them wants it. What heavier plant does nearer a wall
 * is the engineer's figure, typed.
 */
import { usualLift } from '../base/index.ts';
import { COMPACTORS, type CompactorId } from '../catalogue/compactors.ts';
import type { Plan } from '../plan/schema.ts';

/** A machine at a lift: by the wall, away from it, or over all of it. */
export interface Tamping {
  readonly where: 'near' | 'away' | 'all';
  readonly compactor: CompactorId;
  /** Thickest it usually manages of this fill, m. */
  readonly manages: number;
  readonly passes: readonly [number, number, number];
  /** It does nothing for clay: its lift in stone is only a stopgap. */
  readonly unsuited: boolean;
}

export interface FillLifts {
  readonly count: number;
  /** m, tamped. */
  readonly thickness: number;
  readonly limit: number;
  readonly limitBy: 'specification' | 'compactor';
  readonly tampings: readonly Tamping[];
}

const tamping = (where: Tamping['where'], compactor: CompactorId, cohesive: boolean): Tamping => ({
  where,
  compactor,
  manages: usualLift(compactor, cohesive)[1],
  passes: COMPACTORS[compactor].passes,
  unsuited: cohesive && COMPACTORS[compactor].cohesive === null,
});

/**
 * @param height tamped, m
 * @param room from a wall to the dug face at the top of the stage, m; null: no wall stands there
 */
export function fillLifts(
  { backfill }: Pick<Plan, 'backfill'>,
  height: number,
  cohesive: boolean,
  room: number | null,
): FillLifts {
  const { near, compactor, maxLift } = backfill;
  const tampings =
    room === null
      ? [tamping('all', compactor, cohesive)]
      : room <= near.width + 1e-9
        ? [tamping('all', near.compactor, cohesive)]
        : [tamping('near', near.compactor, cohesive), tamping('away', compactor, cohesive)];
  const manages = Math.min(...tampings.map((one) => one.manages));
  const limit = Math.min(manages, maxLift ?? Infinity);
  const count = Math.max(1, Math.ceil(height / limit - 1e-9));
  return {
    count,
    thickness: height / count,
    limit,
    limitBy: maxLift !== null && maxLift < manages ? 'specification' : 'compactor',
    tampings,
  };
}
