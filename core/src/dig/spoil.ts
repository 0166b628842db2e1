/** Spoil: bank to loose by stratum, what is kept for backfill, what leaves and in how many loads. */
import type { Soil } from '../ground/soil.ts';
import type { Plan, Truck } from '../plan/schema.ts';
import {
  type Bank,
  bank,
  bankToCompacted,
  bankToLoose,
  compacted,
  compactedToBank,
  type Loose,
} from '../units/index.ts';

export interface StratumSpoil {
  readonly soil: Soil;
  readonly bank: Bank;
  readonly loose: Loose;
  /** Bank m³ kept on the job for backfill, or as topsoil. */
  readonly keptBank: Bank;
  readonly keptLoose: Loose;
  readonly hauledBank: Bank;
  readonly hauledLoose: Loose;
  /** Mass hauled, kg. */
  readonly hauledMass: number;
}

export interface Spoil {
  readonly strata: readonly StratumSpoil[];
  readonly loose: number;
  readonly keptBank: number;
  readonly keptLoose: number;
  readonly keptTopsoil: number;
  readonly hauledBank: number;
  readonly hauledLoose: number;
  readonly hauledMass: number;
  /** Void to fill again, compacted m³, and how much of it no kept soil fills. */
  readonly backfill: number;
  readonly shortfall: number;
}

/**
 * Shares the dug soil between backfill, topsoil heap and haul. Kept
 * topsoil goes back on top; below it backfill takes soil that is fit as it is first, then soil that is fit once dried; made ground and running soil leave.
 * @param backfillVoid compacted m³ to fill: dug less everything built below ground
 */
export function spoilOf(
  plan: Plan,
  soils: readonly Soil[],
  byStratum: readonly number[],
  backfillVoid: number,
): Spoil {
  const kept = soils.map(() => bank(0));
  let missing = Math.max(0, backfillVoid);
  let keptTopsoil = 0;
  soils.forEach((soil, i) => {
    if (soil.typical.backfill !== 'topsoil' || plan.spoil.topsoil !== 'keep') return;
    kept[i] = bank(byStratum[i]!);
    keptTopsoil += byStratum[i]!;
    missing = Math.max(0, missing - bankToCompacted(kept[i]!, soil.shrink));
  });
  if (plan.spoil.keepForBackfill)
    for (const use of ['yes', 'afterDrying'] as const)
      soils.forEach((soil, i) => {
        if (soil.typical.backfill !== use || missing <= 0) return;
        const fills = Math.min(missing, bankToCompacted(bank(byStratum[i]!), soil.shrink));
        kept[i] = compactedToBank(compacted(fills), soil.shrink);
        missing -= fills;
      });
  const strata = soils.map((soil, i): StratumSpoil => {
    const whole = bank(Math.max(0, byStratum[i]!));
    const keptBank = kept[i]!;
    const hauledBank = bank(Math.max(0, whole - keptBank));
    return {
      soil,
      bank: whole,
      loose: bankToLoose(whole, soil.swell),
      keptBank,
      keptLoose: bankToLoose(keptBank, soil.swell),
      hauledBank,
      hauledLoose: bankToLoose(hauledBank, soil.swell),
      hauledMass: hauledBank * soil.density,
    };
  });
  const sum = (of: (stratum: StratumSpoil) => number) => strata.reduce((total, s) => total + of(s), 0);
  return {
    strata,
    loose: sum((s) => s.loose),
    keptBank: sum((s) => s.keptBank) - keptTopsoil,
    keptLoose: sum((s) => (s.soil.typical.backfill === 'topsoil' ? 0 : s.keptLoose)),
    keptTopsoil,
    hauledBank: sum((s) => s.hauledBank),
    hauledLoose: sum((s) => s.hauledLoose),
    hauledMass: sum((s) => s.hauledMass),
    backfill: Math.max(0, backfillVoid),
    shortfall: Math.max(0, missing) < 1e-9 ? 0 : missing,
  };
}

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
