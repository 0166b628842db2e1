/** English, a file a stage. Each file of es/ has the shape of its namesake or the build fails. */

import { backfill } from './en/backfill.ts';
import { base } from './en/base.ts';
import { board } from './en/board.ts';
import { cautions } from './en/cautions.ts';
import { desk } from './en/desk.ts';
import { dig } from './en/dig.ts';
import { founding } from './en/founding.ts';
import { frost } from './en/frost.ts';
import { ground } from './en/ground.ts';
import { kinds } from './en/kinds.ts';
import { levels } from './en/levels.ts';
import { log } from './en/log.ts';
import { pour } from './en/pour.ts';
import { problems } from './en/problems.ts';
import { proof } from './en/proof.ts';
import { setout } from './en/setout.ts';
import { sheets } from './en/sheets.ts';
import { tally } from './en/tally.ts';
import { water } from './en/water.ts';
import type { Words } from './words.ts';

export const en = {
  ...board,
  ...desk,
  ...tally,
  ...kinds,
  ...founding,
  ...ground,
  ...frost,
  ...setout,
  ...levels,
  ...dig,
  ...water,
  ...base,
  ...proof,
  ...pour,
  ...backfill,
  ...log,
  ...cautions,
  ...problems,
  ...sheets,
};
export type Messages = Words<typeof en>;
