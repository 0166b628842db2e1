/** What a shot says in one word: dig on, trim by hand, make up, or good. */
import type { ShotSurface } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';

/** How far a surface may lie over and under what is wanted, m, both included. */
export interface Limits {
  readonly over: number;
  readonly under: number;
}

/** Typical: formation never high, and low by no more than a shovel's slip; what is laid both ways alike. */
export const TYPICAL_LIMITS: Readonly<Record<ShotSurface, Limits>> = {
  formation: { over: 0, under: 0.025 },
  bed: { over: 0.015, under: 0.015 },
  lean: { over: 0.005, under: 0.005 },
  footing: { over: 0.01, under: 0.01 },
};

/** High spots up to so much are scraped off with a shovel, m: assumed where no hand trim is typed. */
const SCRAPED = 0.025;

/** Limits of a surface on a job: typed, else typical. */
export function limitsOf({ levels }: Plan, on: ShotSurface): Limits {
  const { formationOver, formationUnder, bed, lean, footing } = levels.limits;
  if (on === 'formation')
    return {
      over: formationOver ?? TYPICAL_LIMITS.formation.over,
      under: formationUnder ?? TYPICAL_LIMITS.formation.under,
    };
  const typed = { bed, lean, footing }[on];
  return typed === null ? TYPICAL_LIMITS[on] : { over: typed, under: typed };
}

export type Word = 'dig' | 'trim' | 'makeUp' | 'good';

export interface Verdict {
  readonly word: Word;
  /** Over what is wanted, m; below it negative. Whole millimetres: what a tape can tell. */
  readonly off: number;
}

/**
 * @param level as shot, m
 * @param wanted there, m
 * @param trim high spots up to this are taken off by hand, m
 */
export function verdictOf(level: number, wanted: number, { over, under }: Limits, trim: number): Verdict {
  const off = Math.round((level - wanted) * 1000) / 1000;
  const slack = 1e-9;
  if (off > over + slack) return { word: off <= trim + slack ? 'trim' : 'dig', off };
  return { word: off < -under - slack ? 'makeUp' : 'good', off };
}

/** Height of a typed hand trim over which a high spot is dug, else what a shovel scrapes. */
export const trimOf = (plan: Plan, own: number | null): number => own ?? plan.dig.handTrim ?? SCRAPED;
