/** How a lift that stands so is coloured; its word always stands beside. */
import type { LiftCard } from '@cimiento/core';

export const LIFT_COLOURS = {
  toCome: 'edge',
  placed: 'ink',
  failed: 'held',
  reworked: 'earth',
  passed: 'placed',
  released: 'placed',
  overridden: 'earth',
} as const satisfies Record<LiftCard['state'], string>;
