/**
 * The three states of a soil volume, as brands: a bank volume cannot be added to a loose one
 * by mistake. All in m³.
 */
declare const state: unique symbol;
export type Bank = number & { readonly [state]: 'bank' };
export type Loose = number & { readonly [state]: 'loose' };
export type Compacted = number & { readonly [state]: 'compacted' };

export const bank = (cubicMetres: number): Bank => cubicMetres as Bank;
export const compacted = (cubicMetres: number): Compacted => cubicMetres as Compacted;

/** loose = bank·(1+S), S the swell as a fraction (FM 5-434, ch. 1). */
export const bankToLoose = (volume: Bank, swell: number): Loose => (volume * (1 + swell)) as Loose;

/** bank = compacted/(1−s), s the shrink as a fraction; negative for rock, which stays bulkier. */
export const compactedToBank = (volume: Compacted, shrink: number): Bank => (volume / (1 - shrink)) as Bank;

/** compacted = bank·(1−s). */
export const bankToCompacted = (volume: Bank, shrink: number): Compacted =>
  (volume * (1 - shrink)) as Compacted;
