/**
 * Placements: whatever is laid, cast or filled in the order the work is done, from the lowest lift of a bed to the
 * last of the backfill. Each kind of work says which it has; what was logged of one, whether it may be
 * covered, and what it waits for is the same for all.
 */
import type { PlacedRecord } from '../log/index.ts';
import type { CautionStage } from '../results/index.ts';

export interface Placement {
  /** Of which element; null: of no element alone. */
  readonly element: string | null;
  /** Its name there, see log/placement.ts; records hang on it. */
  readonly name: string;
  readonly stage: CautionStage;
  /** Levels, m. */
  readonly bottom: number;
  readonly top: number;
  /** As it lies, m³. */
  readonly volume: number;
  /** Tests the specification asks of it before it may be covered; 0 when it asks none. */
  readonly wanted: number;
  /** Names of those it lies on: they are released before it is placed. */
  readonly covers: readonly string[];
}

/**
 * To come; placed; tested, and it passed or failed; reworked after it failed; released to be covered, having
 * passed or, overridden, by a named person with a reason.
 */
export type PlacementState =
  | 'toCome'
  | 'placed'
  | 'passed'
  | 'failed'
  | 'reworked'
  | 'released'
  | 'overridden';

/** What was logged of a kind. */
export type Logged<K extends PlacedRecord['kind']> = Extract<PlacedRecord, { readonly kind: K }>;

/** How a placement stands by what was logged. */
export interface Stand {
  readonly state: PlacementState;
  readonly laid: Logged<'laid'> | null;
  readonly release: Logged<'release'> | null;
  /** Something lies on it. */
  readonly covered: boolean;
  /** What it lies on may not be covered yet. */
  readonly waits: boolean;
}

/** What may be covered. */
export const mayCover = (state: PlacementState): boolean => state === 'released' || state === 'overridden';
