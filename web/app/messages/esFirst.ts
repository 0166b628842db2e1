/** Spanish words the desk and the board start with. */
import type { enFirst } from './enFirst.ts';
import { board } from './es/board.ts';
import { cautions } from './es/cautions.ts';
import { desk } from './es/desk.ts';
import { dig } from './es/dig.ts';
import { founding } from './es/founding.ts';
import { ground } from './es/ground.ts';
import { kinds } from './es/kinds.ts';
import { levels } from './es/levels.ts';
import { problems } from './es/problems.ts';
import { pumps } from './es/pumps.ts';
import { setout } from './es/setout.ts';
import { small } from './es/small.ts';
import { tally } from './es/tally.ts';
import type { Words } from './words.ts';

export const esFirst: Words<typeof enFirst> = {
  ...board,
  ...desk,
  ...small,
  ...tally,
  ...kinds,
  ...founding,
  ...ground,
  ...setout,
  ...levels,
  ...dig,
  ...cautions,
  ...problems,
  ...pumps,
};
