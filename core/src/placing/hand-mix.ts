/** Concrete mixed by hand: from parts by volume to bags, sand, stone and water, batches, barrows, rounds a day. */
import { CEMENT_LOOSE } from '../pour/index.ts';
import { RATES } from '../rates/index.ts';

/** Loose volume of what goes in over that of the concrete: practice. */
const DRY = 1.54;

export interface HandMixed {
  /** Cement, sand and stone by volume; cement > 0. */
  readonly parts: readonly [cement: number, sand: number, stone: number];
  /** kg in a bag. */
  readonly bag: number;
  /** Litres a kg of cement. */
  readonly water: number;
  /** m³ of concrete at once: a mixer's, or what is turned over on a board. */
  readonly batch: number;
  /** Hours of one person for a m³, mixed, carried and placed. */
  readonly hours: number;
}

export interface ByHand {
  /** kg, and whole bags. */
  readonly cement: number;
  readonly bags: number;
  /** m³ loose. */
  readonly sand: number;
  readonly stone: number;
  /** L, what is in the sand with it. */
  readonly water: number;
  readonly batches: number;
  /** Bags, and kg, that go into one batch. */
  readonly bagsEach: number;
  readonly cementEach: number;
  readonly barrows: number;
  readonly hours: number;
  /** Batches a day of so many people and hours; how many days that is. */
  readonly rounds: number;
  readonly days: number;
}

/**
 * @param volume m³ of concrete
 * @param people at it, and their hours a day
 */
export function byHand(
  volume: number,
  { parts, bag, water, batch, hours }: HandMixed,
  people: number,
  day: number,
): ByHand {
  const all = parts[0] + parts[1] + parts[2];
  const dry = (part: number) => (volume * DRY * part) / all;
  const cement = dry(parts[0]) * CEMENT_LOOSE;
  const batches = Math.ceil(volume / batch - 1e-9);
  const cementEach = batches > 0 ? (cement / volume) * batch : 0;
  const rounds = Math.max(1, Math.floor((people * day) / (hours * batch) + 1e-9));
  return {
    cement,
    bags: Math.ceil(cement / bag - 1e-9),
    sand: dry(parts[1]),
    stone: dry(parts[2]),
    water: cement * water,
    batches,
    bagsEach: cementEach / bag,
    cementEach,
    barrows: Math.ceil(volume / RATES.barrowHolds.likely - 1e-9),
    hours: volume * hours,
    rounds,
    days: Math.ceil(batches / rounds),
  };
}
