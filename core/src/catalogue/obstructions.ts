/**
 * What stands in the way of a bucket, as crews find it: density in place, how much it swells when
 * broken, and m³ an hour by hand and by a hammer on a machine. Typical; what was logged beats it.
 */
export const OBSTRUCTION_KINDS = ['boulder', 'footing', 'slab', 'paving', 'rock'] as const;
export type ObstructionKind = (typeof OBSTRUCTION_KINDS)[number];

export interface ObstructionTypical {
  /** kg/m³ in place. */
  readonly density: number;
  readonly swell: number;
  /** m³ broken an hour, in place. */
  readonly rate: { readonly hand: number; readonly hammer: number };
}

export const OBSTRUCTIONS: Record<ObstructionKind, ObstructionTypical> = {
  boulder: { density: 2600, swell: 0.6, rate: { hand: 0.15, hammer: 1 } },
  footing: { density: 2400, swell: 0.6, rate: { hand: 0.3, hammer: 2 } },
  slab: { density: 2400, swell: 0.6, rate: { hand: 0.4, hammer: 2.5 } },
  paving: { density: 2300, swell: 0.5, rate: { hand: 0.5, hammer: 3 } },
  rock: { density: 2600, swell: 0.6, rate: { hand: 0.1, hammer: 1 } },
};
