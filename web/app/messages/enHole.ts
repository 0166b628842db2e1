/** English words the hole starts with; the rest comes once it stands. */
import { hole } from './en/hole.ts';
import { small } from './en/small.ts';

export const enHole = { ...small, ...hole };
