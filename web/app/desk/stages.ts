/** The stages of a job in the order the work is done. The key is what a digit jumps to. */
export const STAGES = [
  'ground',
  'setout',
  'levels',
  'dig',
  'water',
  'base',
  'pour',
  'backfill',
  'log',
] as const;
export type Stage = (typeof STAGES)[number];
