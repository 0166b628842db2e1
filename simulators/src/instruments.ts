/**
 * Stand-ins for what a crew may leave in a hole overnight: a water-level logger, a rain gauge, a pump's
 * meter. Made-up readings, the same for the same place and hour, shaped by what the caller says of the
 * night; now and then one falls silent, sticks or jumps, as real ones do.
 */
import { seedOf } from './gauge.ts';
import { random } from './job.ts';

export const INSTRUMENTS = ['level', 'rain', 'pump'] as const;
export type Instrument = (typeof INSTRUMENTS)[number];

/** Between two readings, h. */
export const EVERY = 1 / 6;

export interface InstrumentAsked {
  readonly kind: Instrument;
  /** Which instrument on which night: one of them gives one course. */
  readonly place: string;
  /** What is expected of it every sixth of an hour: level, m; rain fallen, m; flow, m³/s. */
  readonly expected: readonly number[];
}

export interface InstrumentReading {
  /** Hours after it was set going. */
  readonly at: number;
  readonly value: number;
}

/** Shares of instruments that fall silent, stick, or jump. */
const SILENT = 0.1;
const STICKS = 0.08;
const JUMPS = 0.08;
/** How far a night turns out otherwise than expected: of what is expected, and of a reading, m. */
const OTHERWISE = 0.25;
const NOISE = { level: 0.002, rain: 0, pump: 0 } as const;
/** A level jumps by so much when its cable is caught, m. */
const JUMP = 4;

/**
 * Readings of one instrument over a night, in order. Levels are told against the first that was expected.
 * @returns fewer than expected when it falls silent
 */
export function instrumentReadings({ kind, place, expected }: InstrumentAsked): InstrumentReading[] {
  const next = random(seedOf(`${kind}:${place}`));
  const fate = next();
  const scale = 1 + OTHERWISE * (2 * next() - 1);
  const turn = Math.floor(expected.length * (0.35 + 0.4 * next()));
  const base = kind === 'level' ? Math.min(...expected) : 0;
  const out: InstrumentReading[] = [];
  for (const [i, value] of expected.entries()) {
    const own = base + (value - base) * scale + NOISE[kind] * (2 * next() - 1);
    if (fate < SILENT && i >= turn) break;
    const stuck = fate >= SILENT && fate < SILENT + STICKS && i > turn;
    const jumped = kind === 'level' && fate >= 1 - JUMPS && i === turn;
    const read = stuck ? out.at(-1)!.value : own + (jumped ? JUMP : 0);
    out.push({ at: i * EVERY, value: Math.round(read * 1e6) / 1e6 });
  }
  return out;
}
