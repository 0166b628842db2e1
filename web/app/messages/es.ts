/** Spanish, whole. */
import type { Messages } from './en.ts';
import { esFirst } from './esFirst.ts';
import { esLater } from './esLater.ts';

export const es: Messages = { ...esFirst, ...esLater };
