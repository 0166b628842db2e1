/**
 * Rising-head test: a pit pumped down and left, its level read as it comes up again. What comes in between two
 * readings is what the pit's area gains; the permeability is the one that lets in as much at mid-height.
 */
import type { RisingHeadTest } from '../soil-tests/index.ts';
import { equivalentRadius, pitInflow } from './inflow.ts';

/** Readings say no more than this much either way, as a factor: assumed. */
const AT_LEAST = 1.5;
/** Bounds permeability is looked for between, m/s. */
const BOUNDS = [1e-11, 1] as const;
/** Nearer to the level outside than this a reading says nothing, m. */
const NEAR = 0.02;

/** m/s that lets so much in; null past the bounds. @param flow of k, rising with it */
function solve(flow: (k: number) => number, wanted: number): number | null {
  let [low, high] = [Math.log(BOUNDS[0]), Math.log(BOUNDS[1])];
  if (wanted <= flow(BOUNDS[0]) || wanted >= flow(BOUNDS[1])) return null;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (flow(Math.exp(middle)) < wanted) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

/** Permeability by each pair of readings, m/s; those that say nothing are left out. @param tight level of the tight base, m */
export function risingHeadEach(test: RisingHeadTest, tight: number): number[] {
  const { length, width, water, readings } = test;
  const radius = equivalentRadius(length, width);
  const head = water - tight;
  return readings.slice(1).flatMap((now, i) => {
    const before = readings[i]!;
    const [rise, time] = [now.level - before.level, (now.minutes - before.minutes) * 60];
    const middle = (now.level + before.level) / 2;
    if (rise <= 0 || time <= 0 || water - middle < NEAR || middle <= tight) return [];
    const gained = (length * width * rise) / time;
    const k = solve((of) => pitInflow(of, head, middle - tight, radius), gained);
    return k === null ? [] : [k];
  });
}

/** Low, likely and high permeability of a test, m/s; null when it says nothing. */
export function risingHeadRange(
  test: RisingHeadTest,
  tight: number,
): readonly [number, number, number] | null {
  const each = risingHeadEach(test, tight);
  if (each.length === 0) return null;
  const likely = Math.exp(each.reduce((sum, k) => sum + Math.log(k), 0) / each.length);
  return [Math.min(likely / AT_LEAST, ...each), likely, Math.max(likely * AT_LEAST, ...each)];
}
