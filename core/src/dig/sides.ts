/**
 * Sides and when they need protection: 29 CFR 1926 Subpart P for "us"; the same slopes with
 * earlier protection for "cautious". Local codes and the competent person on site decide.
 */

import type { SlopeClass } from '../catalogue/soils.ts';
import type { Layer } from '../ground/strata.ts';
import type { Plan } from '../plan/schema.ts';

/** Steepest side allowed, H:V, to the engineer's limit below. */
const STEEPEST: Record<SlopeClass, number> = { rock: 0, A: 0.75, B: 1, C: 1.5 };
const ENGINEER_DEPTH = 6.1;
const LADDER_DEPTH = 1.22;
const LADDER_TRAVEL = 7.6;
const SPOIL_SETBACK = 0.61;

/** What a rule set says: when to protect, how steep, how far off. */
export interface Rules {
  readonly steepest: Readonly<Record<SlopeClass, number>>;
  /** Depth from which people need protection, m, and the earlier one in loose or wet ground. */
  readonly protectFrom: number;
  readonly protectLoose: number;
  readonly engineerDepth: number;
  readonly ladderDepth: number;
  readonly ladderTravel: number;
  readonly setback: number;
}

const US: Rules = {
  steepest: STEEPEST,
  protectFrom: 1.52,
  protectLoose: 1.52,
  engineerDepth: ENGINEER_DEPTH,
  ladderDepth: LADDER_DEPTH,
  ladderTravel: LADDER_TRAVEL,
  setback: SPOIL_SETBACK,
};

/** The rules a plan keeps to: 29 CFR 1926 Subpart P, the same with earlier protection, or its own. */
export function rulesOf(plan: Plan): Rules {
  switch (plan.ruleSet) {
    case 'us':
      return US;
    case 'cautious':
      return { ...US, protectFrom: 1.2, protectLoose: 1 };
    case 'own': {
      const { protectFrom, a, b, c, ...rest } = plan.ownRules;
      return { ...rest, protectFrom, protectLoose: protectFrom, steepest: { rock: 0, A: a, B: b, C: c } };
    }
  }
}

export interface SideRule {
  readonly slopeClass: SlopeClass;
  readonly steepest: number;
  /** Depth from which people need protection, m; null in stable rock. */
  readonly protectFrom: number | null;
  /** Water or seepage lowered the class. */
  readonly loweredByWater: boolean;
}

const ORDER: readonly SlopeClass[] = ['rock', 'A', 'B', 'C'];

/**
 * The rule for a cut of a given depth: the weakest soil cut governs, and water in the cut makes
 * it class C.
 * @param columns the ground at places along the cut
 */
export function sideRule(
  plan: Plan,
  columns: readonly (readonly Layer[])[],
  depth: number,
  wet: boolean,
): SideRule {
  const cut = columns.flatMap((column) =>
    column.filter((layer) => layer.top < depth).map((layer) => layer.soil),
  );
  const dry = cut.reduce<SlopeClass>(
    (worst, soil) => (ORDER.indexOf(soil.slopeClass) > ORDER.indexOf(worst) ? soil.slopeClass : worst),
    'rock',
  );
  const slopeClass = wet ? 'C' : dry;
  const early = wet || cut.some((soil) => soil.typical.loose);
  const rules = rulesOf(plan);
  const protectFrom = slopeClass === 'rock' ? null : early ? rules.protectLoose : rules.protectFrom;
  return {
    slopeClass,
    steepest: rules.steepest[slopeClass],
    protectFrom,
    loweredByWater: wet && dry !== 'C',
  };
}
