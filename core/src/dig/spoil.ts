/** Spoil in trucks and in heaps: loads, windrows, cones. What of it goes back is the backfill's. */
import type { Truck } from '../plan/schema.ts';

export interface Loads {
  readonly truck: Truck;
  readonly loads: number;
  /** What fills first: the body, or the axle weight. */
  readonly limit: 'volume' | 'mass';
  /** Share of the last load that is filled, 0…1. */
  readonly lastFill: number;
}

/** ⌈max(loose/body, mass/payload)⌉ loads of one truck. A hair over a whole load is not another. */
export function loadsOf(truck: Truck, loose: number, mass: number): Loads {
  const byVolume = loose / truck.body;
  const byMass = mass / truck.payload;
  const exact = Math.max(byVolume, byMass);
  const loads = Math.max(0, Math.ceil(exact - 1e-9));
  return {
    truck,
    loads,
    limit: byMass > byVolume ? 'mass' : 'volume',
    lastFill: loads === 0 ? 0 : Math.min(1, exact - (loads - 1)),
  };
}

/** The fewest loads of a mixed fleet: the largest truck throughout, the least that will do last. */
export function mixedLoads(
  trucks: readonly Truck[],
  loose: number,
  mass: number,
): { truck: Truck; loads: number }[] {
  const alone = trucks.map((truck) => loadsOf(truck, loose, mass));
  const best = alone.reduce((p, q) => (q.loads < p.loads ? q : p));
  if (best.loads === 0) return [];
  const share = 1 / Math.max(loose / best.truck.body, mass / best.truck.payload);
  const left = 1 - (best.loads - 1) * share;
  const last = trucks
    .filter((truck) => loadsOf(truck, loose * left, mass * left).loads <= 1)
    .reduce((p, q) => (q.body < p.body ? q : p), best.truck);
  return last === best.truck
    ? [{ truck: best.truck, loads: best.loads }]
    : [
        { truck: best.truck, loads: best.loads - 1 },
        { truck: last, loads: 1 },
      ].filter((entry) => entry.loads > 0);
}

/**
 * Windrow of loose soil: base √(4A/tanφ), height √(A·tanφ) (FM 5-434).
 * @param areaPerMetre loose m³ per metre of bank
 * @param repose degrees
 * @param highest a bank no higher than this has a flat top and a wider base, m
 */
export function windrow(
  areaPerMetre: number,
  repose: number,
  highest = Infinity,
): { base: number; height: number } {
  const tan = Math.tan((repose * Math.PI) / 180);
  if (Math.sqrt(areaPerMetre * tan) > highest)
    return { base: areaPerMetre / highest + highest / tan, height: highest };
  return { base: Math.sqrt((4 * areaPerMetre) / tan), height: Math.sqrt(areaPerMetre * tan) };
}

/** Cone of loose soil: height (3V·tan²φ/π)^⅓ (FM 5-434). Diameter and height in m. */
export function cone(loose: number, repose: number): { diameter: number; height: number } {
  const tan = Math.tan((repose * Math.PI) / 180);
  const height = Math.cbrt((3 * loose * tan * tan) / Math.PI);
  return { diameter: (2 * height) / tan, height };
}
