/**
 * Trucks of a pour by the clock: when each is due, comes, lets off and is struck off; who waits for whom. Back to back: one is
 * due when the one before is empty. Minutes since midnight of the job's own day.
 */
import { RATES } from '../rates/index.ts';

/** m³ an hour that barrows take, each with somebody behind it. @param distance m one way, over planks */
export function barrowed(barrows: number, distance: number): number {
  const minutes = (2 * distance) / RATES.barrowWalk.likely + RATES.barrowTurn.likely;
  return (barrows * RATES.barrowHolds.likely * 60) / minutes;
}

/** Minutes one load is let off in, and the next is wanted after. @param rate m³ an hour, > 0 */
export const spacingOf = (load: number, rate: number): number => (load / rate) * 60;

/** What befell a truck: it alone is late (or early, less than 0), or the plant stopped and all from it on are. */
export interface Delay {
  /** Counted from 1. */
  readonly truck: number;
  readonly minutes: number;
  readonly plant: boolean;
}

export interface Arrival {
  readonly truck: number;
  readonly volume: number;
  /** When it was to come, by the rate and the loads before it. */
  readonly due: number;
  /** When it left the plant; null: nobody said how far that is. */
  readonly left: number | null;
  readonly arrives: number;
  readonly begins: number;
  readonly ends: number;
  /** Minutes it stands before it lets off; minutes nothing came before it. */
  readonly waits: number;
  readonly gap: number;
  /** Minutes from the plant to empty; null: nobody said how far that is. */
  readonly age: number | null;
}

/**
 * @param loads m³ of each truck
 * @param rate m³ an hour, > 0
 * @param first minutes since midnight the first is wanted
 * @param travel minutes from the plant; null: not said
 */
export function arrivals(
  loads: readonly number[],
  rate: number,
  first: number,
  travel: number | null,
  delays: readonly Delay[] = [],
): Arrival[] {
  const out: Arrival[] = [];
  let due = first;
  for (const [i, volume] of loads.entries()) {
    const truck = i + 1;
    const late = delays.reduce(
      (sum, delay) =>
        delay.truck === truck || (delay.plant && delay.truck < truck) ? sum + delay.minutes : sum,
      0,
    );
    const arrives = due + late;
    const free = out.at(-1)?.ends ?? arrives;
    const begins = Math.max(arrives, free);
    const ends = begins + spacingOf(volume, rate);
    const left = travel === null ? null : arrives - travel;
    out.push({
      truck,
      volume,
      due,
      left,
      arrives,
      begins,
      ends,
      waits: begins - arrives,
      gap: begins - free,
      age: left === null ? null : ends - left,
    });
    due += spacingOf(volume, rate);
  }
  return out;
}

/**
 * Hours a fresh face may wait for what is placed against it: as typed at 20 °C, halved for every 11 °C warmer and doubled for
 * every 11 °C colder (rule of thumb, assumed).
 */
export const openTime = (at20: number, temperature: number): number => at20 * 2 ** ((20 - temperature) / 11);

/** When so much of a pour has been let off, in minutes since midnight; at the end of a truck, its end. @param volume m³ from the first */
export function whenPlaced(list: readonly Arrival[], volume: number): number {
  let left = volume;
  for (const [i, { volume: own, begins, ends }] of list.entries()) {
    if (left <= own + 1e-9 || i === list.length - 1)
      return begins + (own > 0 ? (Math.min(left, own) / own) * (ends - begins) : 0);
    left -= own;
  }
  return 0;
}
