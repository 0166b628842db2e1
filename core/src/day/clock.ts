/** Trucks against the clock and against what is left; hours against what they were planned at. */

import { minutesOf } from '../time/index.ts';

/** Minutes a truck came late, early less than none. @param due and `came`, times of one day, 07:30 */
export const minutesLate = (due: string, came: string): number => minutesOf(came) - minutesOf(due);

/** What is still in the ground against the room on a truck, loose m³. */
export function roomFor(at: {
  readonly bucketfuls: number;
  readonly bucket: number;
  readonly room: number;
}): {
  readonly left: number;
  /** What does not go on: none when all of it does. */
  readonly over: number;
} {
  const left = at.bucketfuls * at.bucket;
  return { left, over: Math.max(0, left - at.room) };
}

/** What hours over those planned cost, less than none for hours saved. @param price of an hour */
export const overrun = (planned: number, done: number, price: number): number => (done - planned) * price;

/** Bank m³ of a side that fell in: a wedge along so much of it, so high and so far back. */
export const wedge = (of: {
  readonly length: number;
  readonly height: number;
  readonly back: number;
}): number => (of.length * of.height * of.back) / 2;
