/** How sure a number of loads is, when the swell is not. */
import type { Truck } from '../plan/schema.ts';

/** Chance that a normal quantity stays at or below x; Abramowitz & Stegun (1964), 26.2.17: to 7.5e-8. */
export function normal(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return x >= 0 ? 1 - tail : tail;
}

/**
 * Chance that N loads of a truck carry it all away. Loose volume is normal about its mean with a
 * spread given as a share of it; mass does not bulk and is as sure as the bank volume.
 * @param spread one standard deviation of the loose volume over its mean
 */
export function chanceOf(loads: number, truck: Truck, loose: number, mass: number, spread: number): number {
  if (mass > loads * truck.payload * (1 + 1e-9)) return 0;
  if (loose <= 0) return 1;
  if (spread <= 0) return loose <= loads * truck.body * (1 + 1e-9) ? 1 : 0;
  return normal((loads * truck.body - loose) / (spread * loose));
}

/** Fewest loads that carry it all with at least a chance. */
export function loadsFor(chance: number, truck: Truck, loose: number, mass: number, spread: number): number {
  if (loose <= 0) return 0;
  let loads = Math.max(1, Math.ceil(mass / truck.payload - 1e-9), Math.ceil(loose / truck.body - 1e-9) - 20);
  while (loads < 10_000 && chanceOf(loads, truck, loose, mass, spread) < chance) loads++;
  return loads;
}
