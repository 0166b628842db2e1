/** The stages of a job in the order the work is done: a digit jumps to each, nought to the tenth. */
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

/** The key that goes to a stage; the eleventh has none. */
export const keyOf = (stage: Stage): string => {
  const at = STAGES.indexOf(stage);
  return at < 9 ? String(at + 1) : at === 9 ? '0' : '';
};
/** The stage a key goes to. */
export const stageAt = (key: string): Stage | undefined =>
  key === '' ? undefined : STAGES.find((stage) => keyOf(stage) === key);
