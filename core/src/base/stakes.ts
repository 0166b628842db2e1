/**
 * Levelled stakes a lean layer is drawn off to: their tops at its top, close enough that the screed
 * always bears on two.
 */

/** The screed laps each stake by half of this, m (practice). */
const BEARING = 0.2;
/** Up to this wide one row down the middle does, m (assumed: a person draws across it in one pull). */
const ONE_ROW = 0.6;

export interface Stakes {
  /** Along it and across it, and how far apart along it, m. */
  readonly along: number;
  readonly across: number;
  readonly spacing: number;
}

/** Most two stakes may stand apart for a screed so long, m. */
export const stakeSpacing = (screed: number): number => screed - BEARING;

/**
 * Stakes of a layer in plan.
 * @param length m; @param width m
 * @param screed length of the straight-edge, m, > 0.2
 */
export function stakesFor(length: number, width: number, screed: number): Stakes {
  const most = stakeSpacing(screed);
  const gaps = Math.max(1, Math.ceil(length / most - 1e-9));
  return {
    along: gaps + 1,
    across: width <= ONE_ROW + 1e-9 ? 1 : Math.max(1, Math.ceil(width / most - 1e-9)) + 1,
    spacing: length / gaps,
  };
}
