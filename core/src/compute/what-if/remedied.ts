/** Which cautions a press can mend: a page knows them before it knows how. */
import type { CautionCode } from '../../cautions/index.ts';

/** Cautions a press can mend. */
export const REMEDIED = [
  'unsupported',
  'underFlood',
  'stepHigh',
  'lapShort',
  'liftOverCompactor',
  'reach',
  'gate',
  'coverAssumed',
] as const satisfies readonly CautionCode[];
export type Remedied = (typeof REMEDIED)[number];
