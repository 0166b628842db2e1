/** A balance that proves an answer by another route. */
export interface Check {
  readonly code: string;
  readonly expected: number;
  readonly found: number;
  /** How far apart the two may be, same unit: what the other route can tell. */
  readonly within: number;
  readonly ok: boolean;
}
