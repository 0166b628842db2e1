/** Where the soil goes: bank to loose by stratum, what goes back, what leaves, and what has to come. */
import type { Soil } from '../ground/soil.ts';
import type { Plan } from '../plan/schema.ts';
import {
  type Bank,
  bank,
  bankToCompacted,
  bankToLoose,
  compacted,
  compactedToBank,
  type Loose,
} from '../units/index.ts';
import type { Fitness } from './fitness.ts';

export interface StratumSpoil {
  readonly soil: Soil;
  /** Dug and stripped. */
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

/** What a hole asks for, tamped m³. */
export interface FillNeed {
  /** All of the hole. */
  readonly hole: number;
  /** Of it stone at the foot, and the room of a floor, which is not filled. */
  readonly foot: number;
  readonly floorRoom: number;
  /** On top; null: what came off the holes. */
  readonly topsoil: number | null;
  /** The most that finds room there, beside floors and over stone at the foot. */
  readonly topsoilMost: number;
  /** Asked for elsewhere: soft spots put back with cement, the ground raised round the walls. */
  readonly elsewhere: number;
}

/** What comes by truck, where the job's own soil does not do. */
export interface BroughtIn {
  /** m³ as it lies in the end, in the pit it comes from, in the truck. */
  readonly tamped: number;
  readonly bank: number;
  readonly loose: number;
  readonly loads: number;
}

export interface Spoil {
  readonly strata: readonly StratumSpoil[];
  readonly fits: readonly Fitness[];
  readonly need: FillNeed;
  readonly loose: number;
  readonly keptBank: number;
  readonly keptLoose: number;
  /** Topsoil kept, bank m³; and what of it goes back on top, tamped. */
  readonly keptTopsoil: number;
  readonly topsoilBack: number;
  readonly hauledBank: number;
  readonly hauledLoose: number;
  readonly hauledMass: number;
  /** Void to fill again, compacted m³, and how much of it no kept soil fills. */
  readonly backfill: number;
  readonly shortfall: number;
  readonly broughtIn: BroughtIn;
}

/** Nothing asked for beside a hole: all of it is filled with soil, its own topsoil on top. */
export const holeAlone = (hole: number): FillNeed => ({
  hole,
  foot: 0,
  floorRoom: 0,
  topsoil: null,
  topsoilMost: hole,
  elsewhere: 0,
});

/** ⌈loose/body⌉ of what has to come, from tamped m³: bank = tamped/(1 − s), loose = bank·(1 + S). */
export function broughtIn({ swell, shrink, body }: Plan['backfill']['bringIn'], tamped: number): BroughtIn {
  const inPit = compactedToBank(compacted(tamped), shrink);
  const loose = bankToLoose(inPit, swell);
  return { tamped, bank: inPit, loose, loads: Math.max(0, Math.ceil(loose / body - 1e-9)) };
}

/**
 * Shares the soil dug between backfill, topsoil heap and haul. Topsoil goes back on top; below it soil that is fit as
 * it is goes first, then what is mixed or dried; the rest leaves.
 * @param dug bank m³ of every soil out of the holes; @param stripped beside them
 */
export function spoilOf(
  plan: Plan,
  fits: readonly Fitness[],
  dug: readonly number[],
  need: FillNeed,
  stripped: readonly number[] = [],
): Spoil {
  const whole = fits.map((_, i) => bank(Math.max(0, dug[i]!) + Math.max(0, stripped[i] ?? 0)));
  const kept = fits.map(() => bank(0));
  const ofTop = fits.flatMap(({ use }, i) => (use === 'topsoil' ? [i] : []));
  const tampedTop = (of: readonly number[]) =>
    ofTop.reduce((sum, i) => sum + bankToCompacted(bank(Math.max(0, of[i]!)), fits[i]!.soil.shrink), 0);
  let missing = Math.max(0, need.hole - need.foot - need.floorRoom);
  let keptTopsoil = 0;
  let topsoilBack = 0;
  if (plan.spoil.topsoil === 'keep') {
    for (const i of ofTop) {
      kept[i] = whole[i]!;
      keptTopsoil += whole[i]!;
    }
    topsoilBack = Math.min(missing, need.topsoilMost, need.topsoil ?? tampedTop(dug), tampedTop(whole));
  }
  missing += need.elsewhere - topsoilBack;
  // Gone from the plan's spoil: what comes by truck is all that goes back.
  if (plan.spoil.keepForBackfill && plan.backfill.with === 'own')
    for (const use of ['fit', 'mix', 'dry'] as const)
      fits.forEach((fit, i) => {
        if (fit.use !== use || missing <= 0) return;
        const fills = Math.min(missing, bankToCompacted(whole[i]!, fit.soil.shrink));
        kept[i] = compactedToBank(compacted(fills), fit.soil.shrink);
        missing -= fills;
      });
  const strata = fits.map(({ soil }, i): StratumSpoil => {
    const keptBank = kept[i]!;
    const hauledBank = bank(Math.max(0, whole[i]! - keptBank));
    return {
      soil,
      bank: whole[i]!,
      loose: bankToLoose(whole[i]!, soil.swell),
      keptBank,
      keptLoose: bankToLoose(keptBank, soil.swell),
      hauledBank,
      hauledLoose: bankToLoose(hauledBank, soil.swell),
      hauledMass: hauledBank * soil.density,
    };
  });
  const sum = (of: (stratum: StratumSpoil) => number) => strata.reduce((total, s) => total + of(s), 0);
  const shortfall = Math.max(0, missing) < 1e-9 ? 0 : missing;
  return {
    strata,
    fits,
    need,
    loose: sum((s) => s.loose),
    keptBank: sum((s) => s.keptBank) - keptTopsoil,
    keptLoose: sum((s) => (s.soil.typical.backfill === 'topsoil' ? 0 : s.keptLoose)),
    keptTopsoil,
    topsoilBack,
    hauledBank: sum((s) => s.hauledBank),
    hauledLoose: sum((s) => s.hauledLoose),
    hauledMass: sum((s) => s.hauledMass),
    backfill: Math.max(0, need.hole),
    shortfall,
    broughtIn: broughtIn(plan.backfill.bringIn, shortfall),
  };
}
