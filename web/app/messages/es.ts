/** Spanish, whole. */
import type { Messages } from './en.ts';
import { esBoard } from './esBoard.ts';
import { esFirst } from './esFirst.ts';
import { esLater } from './esLater.ts';
import { merged } from './merged.ts';

export const es: Messages = merged(esFirst, esBoard, esLater);
