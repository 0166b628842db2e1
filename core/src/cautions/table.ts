/**
 * Cautions that must be on screen and on paper where they apply: one row a caution. They warn and
 * defer: never a claim that an excavation is safe.
 */
import { type Caution, WEIGHTS } from '../results/index.ts';
import type { Job } from '../takeoff/index.ts';
import { type CautionRow, caseOf, job } from './case.ts';
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
  defer: { weight: 'note', find: () => job() },
} as const satisfies Record<string, CautionRow>;

type Found = keyof typeof CAUTIONS;
/** `unproved` is found by nothing of the job: a proof says it, where one is asked for. */
export type CautionCode = Found | 'unproved';
export const CAUTION_CODES = Object.keys(CAUTIONS) as readonly Found[];

/** Graver than their row says where it is worst. */
const GRAVER = ['keepOff.service', 'keepOff.overhead', 'heave', 'piping', 'drainCrosses'] as const;
/** Those that may hold a job up: the day board names them in few words. */
export const HOLD_CODES: readonly CautionCode[] = CAUTION_CODES.filter(
  (code) => CAUTIONS[code].weight === 'stop' || GRAVER.some((one) => one === code),
);

/** Cautions of a job, gravest first. */
export function cautionsFor(of: Job): Caution<CautionCode>[] {
  const at = caseOf(of);
  const out = CAUTION_CODES.flatMap((code) => {
    const row: CautionRow = CAUTIONS[code];
    return row.find(at).map((found): Caution<CautionCode> => ({ code, weight: row.weight, ...found }));
  });
  return out.sort((p, q) => WEIGHTS.indexOf(p.weight) - WEIGHTS.indexOf(q.weight));
}
