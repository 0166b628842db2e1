/**
 * Cautions that must be on screen and on paper where they apply: one row a caution. They warn and
 * defer: never a claim that an excavation is safe.
 */
import { type Caution, WEIGHTS } from '../results/index.ts';
import type { Job } from '../takeoff/index.ts';
import { type CautionRow, caseOf, type Finding, job } from './case.ts';
import { GROUND_CAUTIONS, UNKNOWN_CAUTIONS, WATER_CAUTIONS } from './ground.ts';
import { HAZARD_CAUTIONS } from './hazards.ts';
import { KIND_CAUTIONS } from './kinds.ts';
import { BED_CAUTIONS, LEVEL_CAUTIONS } from './levels.ts';
import { PEOPLE_CAUTIONS, SIDE_CAUTIONS } from './people.ts';
import { SITE_CAUTIONS } from './site.ts';

/** In the order they are said within one weight. */
const CAUTIONS = {
  ...SIDE_CAUTIONS,
  ...HAZARD_CAUTIONS,
  ...WATER_CAUTIONS,
  ...PEOPLE_CAUTIONS,
  ...UNKNOWN_CAUTIONS,
  ...GROUND_CAUTIONS,
  ...LEVEL_CAUTIONS,
  ...BED_CAUTIONS,
  ...KIND_CAUTIONS,
  ...SITE_CAUTIONS,
  // Last and always, dig or no dig.
  defer: { weight: 'note', stage: 'dig', standing: true, find: () => job() },
} as const satisfies Record<string, CautionRow>;

type Found = keyof typeof CAUTIONS;
/** `unproved` is found by nothing of the job: a proof says it, where one is asked for. */
export type CautionCode = Found | 'unproved';
export const CAUTION_CODES = Object.keys(CAUTIONS) as readonly Found[];

const rowOf = (code: Found): CautionRow => CAUTIONS[code];
/** Those that may hold a job up: the day board names them in few words. */
export const HOLD_CODES: readonly CautionCode[] = CAUTION_CODES.filter((code) => {
  const { weight, graver } = rowOf(code);
  return weight === 'stop' || graver;
});
/** Those said on every dig. */
export const STANDING_CODES: readonly CautionCode[] = CAUTION_CODES.filter((code) => rowOf(code).standing);

/** A row's finding as a caution: of a hold there is always somebody who lifts it. */
function cautionOf(code: Found, { find: _find, ...row }: CautionRow, found: Finding): Caution<CautionCode> {
  const weight = found.weight ?? row.weight;
  const lifts = weight === 'note' ? null : (row.lifts ?? (weight === 'stop' ? 'competent' : null));
  return { code, ...found, weight, stage: row.stage, lifts };
}

/** Cautions of a job, gravest first. */
export function cautionsFor(of: Job): Caution<CautionCode>[] {
  const at = caseOf(of);
  const out = CAUTION_CODES.flatMap((code) => {
    const row = rowOf(code);
    return row.find(at).map((found) => cautionOf(code, row, found));
  });
  return out.sort((p, q) => WEIGHTS.indexOf(p.weight) - WEIGHTS.indexOf(q.weight));
}
