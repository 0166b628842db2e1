/** Where a caution belongs on the desk, and who may lift it. */
import type { Weight } from '@cimiento/core';
import type { Stage } from './stages.ts';

/** Code, or what it begins with, by stage; the rest are of the dig. */
const STAGES: readonly (readonly [Stage, RegExp])[] = [
  [
    'ground',
    /^(frost|services|soilAssumed|frozenFace|thaw|beyondSurvey|keepOff|influence|cutBack|flood|vibrates)/,
  ],
  ['water', /^(water|floats?|perched|heave|piping|drawdown|surfaceWater|underFlood|drain)/],
  ['levels', /^(depthUnknown|aboveFrost|stepHigh|lapShort|instruction|shallow|cover|slab)/],
  ['base', /^(stone|lift|compactor|soft|replacement)/],
  ['backfill', /^(shortfall|spoilNear|rehandle|area|noRoom)/],
];
export const stageOfCaution = (code: string): Stage =>
  STAGES.find(([, codes]) => codes.test(code))?.[0] ?? 'dig';

export type Lifter = 'engineer' | 'owner' | 'competent';
const BY: readonly (readonly [Lifter, RegExp])[] = [
  [
    'engineer',
    /^(engineerDepth|influence|floats|slab|heave|piping|shallow|aboveFrost|underpin|soft|drainCrosses|drawdown|liftOverridden)/,
  ],
  ['owner', /^(keepOff\.(service|overhead|well)|services|cutBack|vibrates)/],
];

/** Who may lift a caution: of a hold somebody always; of what is only told nobody need. */
export function liftedBy(code: string, weight: Weight): Lifter | null {
  if (weight === 'note') return null;
  const found = BY.find(([, codes]) => codes.test(code))?.[0];
  return found ?? (weight === 'stop' ? 'competent' : null);
}
