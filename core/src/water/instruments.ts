/** What an instrument says through a night, and whether it may be believed. */

export interface Measured {
  /** Hours after the rain begins. */
  readonly at: number;
  readonly value: number;
}

export type InstrumentFault = 'silent' | 'stuck' | 'jumps' | 'outOfRange';

/** Silent after so many hours without a word; stuck after so many without a change while it rains. */
const SILENT = 1;
const STUCK = 4;
/** Faster than this a level does not move, m in an hour. */
const FASTEST = 3;

/**
 * What is wrong with the readings of an instrument; null when nothing shows.
 * @param until hours it should have spoken by
 * @param range of what it can read
 * @param fastest it can move in an hour; @param moves it must change while something happens
 */
export function instrumentFault(
  readings: readonly Measured[],
  until: number,
  range: readonly [low: number, high: number],
  { fastest = FASTEST, moves = false }: { readonly fastest?: number; readonly moves?: boolean } = {},
): { readonly fault: InstrumentFault; readonly at: number } | null {
  let changed = readings[0]?.at ?? 0;
  for (const [i, { at, value }] of readings.entries()) {
    if (!(value >= range[0] && value <= range[1])) return { fault: 'outOfRange', at };
    const before = readings[i - 1];
    if (!before) continue;
    const hours = at - before.at;
    if (hours > SILENT + 1e-9) return { fault: 'silent', at: before.at };
    if (hours > 0 && Math.abs(value - before.value) > fastest * Math.max(hours, 1 / 12) + 1e-9)
      return { fault: 'jumps', at };
    if (value !== before.value) changed = at;
    else if (moves && at - changed > STUCK) return { fault: 'stuck', at: changed };
  }
  const last = readings.at(-1)?.at ?? 0;
  return until - last > SILENT + 1e-9 ? { fault: 'silent', at: last } : null;
}
