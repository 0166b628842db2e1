/** Places a rod is held at, and shots made here a moment ago. */
import type { HoleSurface, Verdict } from '@cimiento/core';

export type Place = readonly [number, number];

/** One place is shot when a shot lies this near, m. */
export const HERE = 0.31;

export const apart = (p: Place, q: Place) => Math.hypot(p[0] - q[0], p[1] - q[1]);

export interface Logged {
  readonly id: string;
  readonly place: Place;
  readonly on: HoleSurface['on'];
  readonly verdict: Verdict;
}
