/**
 * A soil in the hand: from what a crew lead sees and feels to a USCS group, a cautious side-slope
 * class and what it means for the job. Field procedures after ASTM D2488 (visual–manual) and
 * 29 CFR 1926 Subpart P, App. A (thumb penetration, unconfined strength).
 *
 * Never better than the evidence: what was not tried is taken at its worst, soil by hand is never
 * put in class A, and water puts it in class C.
 */

import type { BackfillUse, SlopeClass, SoilKind } from '../catalogue/soils.ts';
import type { Hand } from '../plan/schema.ts';

/** Unconfined strength a pocket penetrometer must show for class B, Pa (0.5 tsf). */
export const CLASS_B_STRENGTH = 47_880;

export type HandReason =
  | 'byGrain'
  | 'finesClean'
  | 'finesSilty'
  | 'finesClayey'
  | 'threadTough'
  | 'threadMedium'
  | 'threadWeak'
  | 'ribbonLong'
  | 'ribbonShort'
  | 'shineFast'
  | 'shineNone'
  | 'notTried'
  | 'noCohesion'
  | 'thumbFirm'
  | 'thumbSoft'
  | 'strength'
  | 'strengthLow'
  | 'seeps'
  | 'damp'
  | 'neverA'
  | 'organic';

export interface Identified {
  /** Null while not even the grain is known. */
  readonly uscs: string | null;
  /** Kind of the library nearest to it. */
  readonly kind: SoilKind | null;
  readonly slopeClass: SlopeClass;
  readonly softens: boolean;
  readonly backfill: BackfillUse;
  /** How water comes through it: freely, slowly, hardly. */
  readonly drains: 'freely' | 'slowly' | 'hardly';
  readonly reasons: readonly HandReason[];
  /** Tests that would tell more. */
  readonly missing: readonly (keyof Hand)[];
}

const TESTS: Record<NonNullable<Hand['grain']>, readonly (keyof Hand)[]> = {
  gravel: ['thread', 'seep'],
  sand: ['thread', 'shine', 'seep'],
  silt: ['thread', 'shine', 'thumb', 'seep'],
  clay: ['thread', 'ribbon', 'thumb', 'seep'],
  organic: ['thumb', 'seep'],
};

interface Group {
  readonly uscs: string;
  readonly kind: SoilKind;
  readonly cohesive: boolean;
  readonly drains: Identified['drains'];
  readonly backfill: BackfillUse;
  readonly softens: boolean;
}
const group = (
  uscs: string,
  kind: SoilKind,
  cohesive: boolean,
  drains: Identified['drains'],
  backfill: BackfillUse,
  softens: boolean,
): Group => ({ uscs, kind, cohesive, drains, backfill, softens });

/** The USCS group by ASTM D2488's field tests: thread, ribbon, shaking. */
function groupOf(hand: Hand, reasons: HandReason[]): Group | null {
  const { grain, thread, ribbon, shine } = hand;
  if (!grain) return null;
  reasons.push('byGrain');
  if (grain === 'organic') {
    reasons.push('organic');
    return group('OL', 'topsoil', false, 'slowly', 'topsoil', true);
  }
  const plastic = thread === 'medium' || thread === 'tough';
  if (thread === 'tough') reasons.push('threadTough');
  if (thread === 'medium') reasons.push('threadMedium');
  if (thread === 'weak') reasons.push('threadWeak');
  if (grain === 'gravel') {
    if (thread === undefined) reasons.push('notTried');
    if (plastic) {
      reasons.push('finesClayey');
      return group('GC', 'gravellyClay', true, 'hardly', 'yes', true);
    }
    reasons.push(thread === 'none' ? 'finesClean' : 'finesSilty');
    return thread === 'none'
      ? group('GW', 'gravel', false, 'freely', 'yes', false)
      : group('GM', 'gravel', false, 'slowly', 'yes', false);
  }
  if (grain === 'sand') {
    if (thread === undefined) reasons.push('notTried');
    if (plastic) {
      reasons.push('finesClayey');
      return group('SC', 'siltySand', true, 'slowly', 'afterDrying', true);
    }
    reasons.push(thread === 'none' ? 'finesClean' : 'finesSilty');
    return thread === 'none'
      ? group('SP', 'sand', false, 'freely', 'yes', false)
      : group('SM', 'siltySand', false, 'slowly', 'yes', false);
  }
  if (shine === 'fast') reasons.push('shineFast');
  if (shine === 'none') reasons.push('shineNone');
  if (ribbon === 'long' || ribbon === 'medium') reasons.push('ribbonLong');
  if (ribbon === 'short' || ribbon === 'none') reasons.push('ribbonShort');
  // Water that comes and goes with shaking is silt, whatever it looked like.
  if (shine === 'fast' || (grain === 'silt' && !plastic))
    return group('ML', shine === 'fast' ? 'silt' : 'sandySilt', false, 'slowly', 'no', true);
  if (thread === 'tough' && (ribbon === 'long' || ribbon === undefined))
    return group('CH', 'stiffClay', true, 'hardly', 'afterDrying', true);
  if (thread === 'weak' && ribbon !== 'long' && ribbon !== 'medium')
    return group('CL-ML', 'sandySilt', true, 'slowly', 'afterDrying', true);
  if (thread === undefined) reasons.push('notTried');
  return group('CL', 'stiffClay', true, 'hardly', 'yes', true);
}

/** What the hand says of a soil. */
export function identify(hand: Hand): Identified {
  const reasons: HandReason[] = [];
  const found = groupOf(hand, reasons);
  const missing = hand.grain
    ? TESTS[hand.grain].filter((test) => hand[test] === undefined)
    : (['grain'] as const);
  const soft = hand.thumb === 'soft' || hand.thumb === 'verySoft';
  const { penetrometer } = hand;
  let slopeClass: SlopeClass = 'C';
  if (!found) reasons.push('notTried');
  else if (hand.seep === 'seeps') reasons.push('seeps');
  else if (!found.cohesive) reasons.push('noCohesion');
  else if (penetrometer !== undefined) {
    // A reading outweighs the thumb.
    if (penetrometer >= CLASS_B_STRENGTH) {
      slopeClass = 'B';
      reasons.push('strength', 'neverA');
    } else reasons.push('strengthLow');
  } else if (soft) reasons.push('thumbSoft');
  else if (hand.thumb === undefined) reasons.push('notTried');
  else {
    slopeClass = 'B';
    reasons.push('thumbFirm', 'neverA');
  }
  // Not having looked for water is not having found none.
  if (slopeClass === 'B' && hand.seep === undefined) {
    slopeClass = 'C';
    reasons.push('notTried');
  }
  if (hand.seep === 'damp') reasons.push('damp');
  const weak = soft || (penetrometer !== undefined && penetrometer < CLASS_B_STRENGTH);
  return {
    uscs: found?.uscs ?? null,
    kind: found ? (found.kind === 'stiffClay' && weak ? 'softClay' : found.kind) : null,
    slopeClass,
    softens: found?.softens ?? true,
    backfill: !found
      ? 'no'
      : (hand.seep === 'seeps' || weak) && found.backfill === 'yes' && found.cohesive
        ? 'afterDrying'
        : found.backfill,
    drains: found?.drains ?? 'freely',
    reasons: [...new Set(reasons)],
    missing,
  };
}
