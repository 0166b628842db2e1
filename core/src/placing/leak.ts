/**
 * The leak test of a box before anything is filled against it: full of water, soaked, then how far its level falls in so many
 * days against what is allowed. Typical: a 500th of the depth and 10 mm at most in 7 days (EN 1508, as practised). What
 * evaporates is not taken off. Time and a level make it ready to ask; a named person lets it.
 */

import { dayShifted, daysBetween } from '../time/index.ts';

export interface LeakLimits {
  /** Share of the depth, and m at most. */
  readonly share: number;
  readonly most: number;
  /** Days it stands, after those it soaks. */
  readonly days: number;
  readonly soak: number;
}

/** m a level may fall. @param depth of water, m */
export const allowedDrop = (depth: number, { share, most }: LeakLimits): number =>
  Math.min(depth * share, most);

export interface LeakReading {
  /** 2026-10-14. */
  readonly day: string;
  /** m of water over the bottom. */
  readonly depth: number;
}

export interface LeakTest {
  readonly state: 'filling' | 'soaking' | 'standing' | 'holds' | 'leaks';
  /** m it may fall in the days, and has fallen, since it had soaked. */
  readonly allowed: number;
  readonly fallen: number;
  /** Days it has stood since. */
  readonly stood: number;
  /** The day it can be read, when it is soaked and has stood; null: it was never filled. */
  readonly readOn: string | null;
}

/** @param readings in the order of their days @param today 2026-10-21 */
export function leakOf(readings: readonly LeakReading[], limits: LeakLimits, today: string): LeakTest {
  const [first] = readings;
  if (!first) return { state: 'filling', allowed: 0, fallen: 0, stood: 0, readOn: null };
  const after = readings.filter(({ day }) => daysBetween(first.day, day) >= limits.soak);
  const begun = after[0];
  const readOn = begun
    ? dayShifted(begun.day, limits.days)
    : dayShifted(first.day, limits.soak + limits.days);
  if (!begun)
    return {
      state: 'soaking',
      allowed: allowedDrop(first.depth, limits),
      fallen: 0,
      stood: 0,
      readOn,
    };
  const last = after.at(-1)!;
  const allowed = allowedDrop(begun.depth, limits);
  const fallen = begun.depth - last.depth;
  const stood = daysBetween(begun.day, last.day);
  const state =
    fallen > allowed + 1e-9
      ? 'leaks'
      : stood >= limits.days && daysBetween(begun.day, today) >= limits.days
        ? 'holds'
        : 'standing';
  return { state, allowed, fallen, stood, readOn };
}
