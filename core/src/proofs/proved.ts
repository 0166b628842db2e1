/**
 * A takeoff whose proofs were asked for: what one of them contradicts is not told, on screen, on paper or in a
 * file, until somebody has found out which of the two is wrong.
 */
import type { CautionCode } from '../cautions/index.ts';
import type { Takeoff } from '../compute/pipeline/takeoff.ts';
import { type FigureId, type Figures, untold } from '../figures/index.ts';
import type { Plan } from '../plan/schema.ts';
import type { Caution, Check } from '../results/index.ts';
import { type ProofCode, proofsOf } from './proofs.ts';

/** The figures that hang on what a proof is of. */
const HANG: Record<ProofCode, readonly FigureId[]> = {
  volume: ['dig', 'spoil', 'keep', 'haul'],
  stratum: ['spoil', 'keep', 'haul'],
  stone: ['stone', 'keep', 'haul'],
  room: ['keep', 'haul'],
  stripped: ['spoil', 'keep', 'haul'],
  causes: ['dig'],
  loads: ['haul'],
};

/** What must not be told: the figures, and what was found beside what was said. */
export interface Stopped {
  readonly figures: readonly FigureId[];
  readonly failed: readonly Check[];
}

export function stoppedBy(checks: readonly Check[]): Stopped {
  const failed = checks.filter(({ ok }) => !ok);
  const figures = new Set(failed.flatMap(({ code }) => HANG[code as ProofCode]));
  return { figures: [...figures], failed };
}

/** The takeoff without the figures that are stopped, and with why. */
export function withStopped(takeoff: Takeoff, { figures, failed }: Stopped): Takeoff {
  if (failed.length === 0) return takeoff;
  const told = Object.entries(takeoff.figures).map(([id, figure]) => [
    id,
    figures.includes(figure.id) ? untold(figure) : figure,
  ]);
  const said = failed.map(
    ({ expected, found, kind }): Caution<CautionCode> => ({
      code: 'unproved',
      weight: 'stop',
      stage: 'dig',
      lifts: 'competent',
      values: { expected: [expected, kind], found: [found, kind] },
      elements: [],
    }),
  );
  return {
    ...takeoff,
    figures: Object.fromEntries(told) as unknown as Figures,
    cautions: [...said, ...takeoff.cautions],
  };
}

/** @param plan the takeoff was worked out of */
export const proved = (plan: Plan, takeoff: Takeoff): Takeoff =>
  withStopped(takeoff, stoppedBy(proofsOf(plan, takeoff)));
