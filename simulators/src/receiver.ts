/**
 * A laser receiver on a rod, made up: it finds the beam within the rod's length, a millimetre or two apart from one
 * reading to the next, and its battery runs down. The same place and count give the same reading.
 */
import { seeded } from '@cimiento/core';
import { seedOf } from './gauge.ts';

/** Of the rod it slides on, m. */
const ROD = 5;
/** One standard deviation of a reading, m. */
const SCATTER = 0.0015;
/** Of its charge a reading takes; and how full it is at first, at least. */
const TAKES = 0.004;
const FULL_FROM = 0.35;

export interface ReceiverAsked {
  /** What tells one place and receiver from another. */
  readonly place: string;
  /** What the rod would read there if it read right, m. */
  readonly expected: number;
  /** Readings taken with it so far. */
  readonly taken: number;
}
export type ReceiverAnswer =
  | { readonly ok: true; readonly reading: number; readonly battery: number }
  | { readonly ok: false; readonly fault: 'outOfRange' | 'empty'; readonly battery: number };

export function receiverReading({ place, expected, taken }: ReceiverAsked): ReceiverAnswer {
  const first = FULL_FROM + (1 - FULL_FROM) * seeded(seedOf(place))();
  const battery = Math.max(0, Math.round((first - TAKES * taken) * 100) / 100);
  if (battery <= 0) return { ok: false, fault: 'empty', battery };
  const draw = seeded(seedOf(`${place}/${taken}`));
  // Two uniform draws make a normal one (Box & Muller 1958).
  const off = Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw()) * SCATTER;
  const reading = Math.round((expected + off) * 1000) / 1000;
  if (reading <= 0 || reading >= ROD) return { ok: false, fault: 'outOfRange', battery };
  return { ok: true, reading, battery };
}
