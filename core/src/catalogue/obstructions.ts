/**
 * What stands in the way of a bucket, as crews find it: density in place, and how much it swells when
 * broken. Typical; what was typed beats it.
 */
export const OBSTRUCTION_KINDS = ['boulder', 'footing', 'slab', 'paving', 'rock'] as const;
export type ObstructionKind = (typeof OBSTRUCTION_KINDS)[number];

export interface ObstructionTypical {
  /** kg/m³ in place. */
  readonly density: number;
  readonly swell: number;
}

export const OBSTRUCTIONS: Record<ObstructionKind, ObstructionTypical> = {
  boulder: { density: 2600, swell: 0.6 },
  footing: { density: 2400, swell: 0.6 },
  slab: { density: 2400, swell: 0.6 },
  paving: { density: 2300, swell: 0.5 },
  rock: { density: 2600, swell: 0.6 },
};
