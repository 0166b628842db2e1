/**
 * The leak test of a box before anything is filled against it: full of water, soaked, then how far its level falls in so many
 * days against what is allowed. Typical: a 500th of the depth and 10 mm at most in 7 days (EN 1508, as practised). What
 * evaporates is not taken off. Time and a level make it ready to ask; a named person lets it.
 */

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

const dayNumber = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000);
const dayOf = (number: number): string => new Date(number * 86_400_000).toISOString().slice(0, 10);

/** @param readings in the order of their days @param today 2026-10-21 */
export function leakOf(readings: readonly LeakReading[], limits: LeakLimits, today: string): LeakTest {
  const [first] = readings;
  if (!first) return { state: 'filling', allowed: 0, fallen: 0, stood: 0, readOn: null };
  const soaked = dayNumber(first.day) + limits.soak;
  const after = readings.filter(({ day }) => dayNumber(day) >= soaked);
  const begun = after[0];
  const start = begun ? dayNumber(begun.day) : soaked;
  const readOn = dayOf(start + limits.days);
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
  const stood = dayNumber(last.day) - start;
  const state =
    fallen > allowed + 1e-9
      ? 'leaks'
      : stood >= limits.days && dayNumber(today) >= start + limits.days
        ? 'holds'
        : 'standing';
  return { state, allowed, fallen, stood, readOn };
}
