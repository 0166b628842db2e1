/** What must be said where it applies: a code and its data. Words live with the interface. */
import type { Kind } from '../units/index.ts';

export const WEIGHTS = ['stop', 'warn', 'note'] as const;
export type Weight = (typeof WEIGHTS)[number];

/** The stage of the work a caution belongs to. */
export type CautionStage = 'ground' | 'levels' | 'dig' | 'water' | 'base' | 'backfill';
/** Who may lift a hold: nobody else does. */
export type Lifter = 'engineer' | 'owner' | 'competent' | 'locator';

/** @typeParam Code of the table of cautions */
export interface Caution<Code extends string = string> {
  readonly code: Code;
  readonly weight: Weight;
  readonly stage: CautionStage;
  /** Of what is only told nobody need. */
  readonly lifts: Lifter | null;
  /** Numbers in SI with the kind each prints as. */
  readonly values?: Readonly<Record<string, readonly [number, Kind]>>;
  /** Names as people gave them. */
  readonly names?: Readonly<Record<string, string>>;
  /** What is one of a few, by its code: whose rule, above or below. */
  readonly codes?: Readonly<Record<string, string>>;
  /** Elements it concerns; empty means the whole job. */
  readonly elements: readonly string[];
}
