/** Spanish, in the words of the trade rather than word for word. */
import type { Messages } from './en.ts';
import { backfill } from './es/backfill.ts';
import { base } from './es/base.ts';
import { board } from './es/board.ts';
import { cautions } from './es/cautions.ts';
import { desk } from './es/desk.ts';
import { dig } from './es/dig.ts';
import { founding } from './es/founding.ts';
import { frost } from './es/frost.ts';
import { ground } from './es/ground.ts';
import { kinds } from './es/kinds.ts';
import { levels } from './es/levels.ts';
import { log } from './es/log.ts';
import { pour } from './es/pour.ts';
import { problems } from './es/problems.ts';
import { proof } from './es/proof.ts';
import { setout } from './es/setout.ts';
import { sheets } from './es/sheets.ts';
import { tally } from './es/tally.ts';
import { water } from './es/water.ts';

export const es: Messages = {
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
