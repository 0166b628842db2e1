/** How far a bay under an old wall is, as it is drawn. */
import type { BayState } from '@cimiento/core';

/** What a bay is filled with on plan, by how far it is. */
export const BAY_INKS: Readonly<Record<BayState, string>> = {
  toCome: 'paper',
  open: 'earth-wash',
  refused: 'held-wash',
  seen: 'chalk-wash',
  poured: 'water-wash',
  cured: 'water-wash',
  packed: 'placed-wash',
  released: 'placed',
};
