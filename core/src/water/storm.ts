/** Rain by the clock: how much has fallen since a storm began. */

import type { PATTERNS } from '../plan/kinds.ts';

export type Pattern = (typeof PATTERNS)[number];

export interface Storm {
  /** All that falls, m, in so many hours. Not read of an hourly one. */
  readonly depth: number;
  readonly hours: number;
  readonly pattern: Pattern;
  /** Rain of every hour, m. */
  readonly hourly: readonly number[];
}

export const stormHours = ({ pattern, hours, hourly }: Storm): number =>
  pattern === 'hourly' ? hourly.length : hours;

/** Hours after its start at which a storm may begin, end, or fall harder or softer at once. */
export const stormTurns = (storm: Storm): readonly number[] =>
  storm.pattern === 'hourly' ? [...storm.hourly.keys(), storm.hourly.length] : [0, storm.hours];

const add = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

export const stormDepth = ({ pattern, depth, hourly }: Storm): number =>
  pattern === 'hourly' ? add(hourly) : depth;

/** Share fallen at a share of the time: even; heaviest at once and dying away; heaviest in the middle. */
const SHARES: Record<Exclude<Pattern, 'hourly'>, (x: number) => number> = {
  even: (x) => x,
  front: (x) => 1 - (1 - x) ** 2,
  centre: (x) => (x < 0.5 ? 2 * x * x : 1 - 2 * (1 - x) ** 2),
};

/** How many m of rain have come down so many hours after the start of a storm. */
function fallenBy(storm: Storm): (after: number) => number {
  const hours = stormHours(storm);
  if (hours <= 0) return () => 0;
  const all = stormDepth(storm);
  const { pattern, depth, hourly } = storm;
  if (pattern !== 'hourly') {
    const share = SHARES[pattern];
    return (after) => (after <= 0 ? 0 : after >= hours ? all : depth * share(after / hours));
  }
  // By hour: what had fallen when it began.
  const before = [0];
  for (const rain of hourly) before.push(before.at(-1)! + rain);
  return (after) => {
    if (after <= 0) return 0;
    if (after >= hours) return all;
    const whole = Math.floor(after);
    return before[whole]! + (after - whole) * hourly[whole]!;
  };
}

/** m of rain from the start of a storm until so many hours after it. */
export const fallen = (storm: Storm, after: number): number => fallenBy(storm)(after);

/**
 * The rain of a storm over a night: how much has fallen by an hour, and when it turns.
 * @param start hours after the night begins
 */
export const showerOf = (storm: Storm, start = 0) => {
  const fallenAfter = fallenBy(storm);
  return {
    rain: (hour: number): number => fallenAfter(hour - start),
    turns: stormTurns(storm).map((hour) => hour + start),
  };
};
