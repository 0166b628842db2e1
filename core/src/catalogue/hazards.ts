/** What lies near a dig and can be hurt by it, or hurt those in it. */

/** What may be in the way of a dig, or fall into it. */
export const HAZARD_KINDS = [
  'service',
  'footing',
  'crest',
  'tree',
  'rock',
  'stream',
  'overhead',
  'well',
] as const;
export type HazardKind = (typeof HAZARD_KINDS)[number];
