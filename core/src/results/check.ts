/** A balance that proves an answer by another route. */
import type { Kind } from '../units/index.ts';

/** What one route says, and another. */
export interface Check {
  readonly code: string;
  readonly kind: Kind;
  readonly expected: number;
  readonly found: number;
  /** How far apart the two may be, same unit: what the other route can tell. */
  readonly within: number;
  readonly ok: boolean;
}
