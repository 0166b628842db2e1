/** Spanish, whole. */
import type { Messages } from './en.ts';
import { esBoard } from './esBoard.ts';
import { esFirst } from './esFirst.ts';
import { esLater } from './esLater.ts';

export const es: Messages = {
  ...esFirst,
  ...esBoard,
  ...esLater,
  problem: { ...esFirst.problem, ...esBoard.problem },
};
