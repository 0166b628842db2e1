/** English words the desk and the board start with, a file a stage. */
import { board } from './en/board.ts';
import { cautions } from './en/cautions.ts';
import { desk } from './en/desk.ts';
import { dig } from './en/dig.ts';
import { founding } from './en/founding.ts';
import { ground } from './en/ground.ts';
import { kinds } from './en/kinds.ts';
import { levels } from './en/levels.ts';
import { problems } from './en/problems.ts';
import { pumps } from './en/pumps.ts';
import { setout } from './en/setout.ts';
import { small } from './en/small.ts';
import { tally } from './en/tally.ts';

export const enFirst = {
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
