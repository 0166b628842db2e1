/**
 * Machines: reach, what a bucket brings out in an hour, and the time a dig takes.
 *
 * Output of a hydraulic hoe, US Army FM 5-434, chapter 8: Q = 3600·Vb·fill/cycle × efficiency, in
 * loose m³/h, and by the soil's swell in bank m³/h. What the lead took from the crew's own log goes before it.
 */
import type { SoilKind } from '../catalogue/soils.ts';
import type { Machine, Plan } from '../plan/schema.ts';
import { RATES, type RateTaken, rateOf } from '../rates/index.ts';

/** The machine that digs; the first when none of that name is left. */
export const machineOf = (plan: Plan): Machine =>
  plan.dig.machines.find((machine) => machine.id === plan.dig.machine) ?? plan.dig.machines[0]!;

/** Deepest its teeth come below the tracks, m. */
export const deepestReach = (machine: Machine): number => Math.max(...machine.reach.map((at) => at.depth));

/** Reach at a depth below the tracks, m: straight between the points given; null beyond them. */
export function reachAt(machine: Machine, depth: number): number | null {
  const points = [...machine.reach].sort((p, q) => p.depth - q.depth);
  const first = points[0]!;
  if (depth <= first.depth) return first.reach;
  for (let i = 1; i < points.length; i++) {
    const [p, q] = [points[i - 1]!, points[i]!];
    if (depth <= q.depth + 1e-9)
      return p.reach + ((q.reach - p.reach) * (depth - p.depth)) / Math.max(1e-9, q.depth - p.depth);
  }
  return null;
}

/** How a soil sits in the bucket. */
const FILL_OF: Record<SoilKind, 'earth' | 'sand' | 'toughClay' | 'rock'> = {
  topsoil: 'earth',
  madeGround: 'earth',
  softClay: 'earth',
  stiffClay: 'toughClay',
  gravellyClay: 'toughClay',
  silt: 'earth',
  sandySilt: 'earth',
  siltySand: 'earth',
  sand: 'sand',
  gravel: 'sand',
  rock: 'rock',
};
export const fillFactor = (kind: SoilKind, frozen = false): number =>
  RATES[`fill.${frozen ? 'rock' : FILL_OF[kind]}`].likely;

/** Bucket sizes a cycle goes by, m³ at most; larger ones take the large machine's. */
const SIZES = [
  [0.1, 'smallest'],
  [0.4, 'small'],
  [0.8, 'middle'],
] as const;
/** Seconds a cycle: the machine's own, else by its bucket. */
export function cycleOf(machine: Machine): number {
  const size = SIZES.find(([most]) => machine.bucket <= most)?.[1] ?? 'large';
  return machine.cycle ?? RATES[`cycle.${size}`].likely;
}

/** What slows a cycle. Typical; a day's log settles it. */
export const SLOWS = ['cramped', 'crest', 'obstacle', 'deep'] as const;
export type Slow = (typeof SLOWS)[number];

/** Loose m³ a person digs in an hour here, and where that comes from. */
export const handRateOf = ({ dig }: Plan): RateTaken =>
  rateOf('digByHand', dig.learned.byHand?.value ?? null, dig.handRate);

export interface Output {
  /** Bank m³/h. */
  readonly rate: number;
  readonly from: 'measured' | 'typical';
  readonly cycle: number;
  readonly fill: number;
  readonly efficiency: number;
}

/**
 * Output of a machine in one soil.
 * @param learned bank m³ an hour taken from the log: with what slows it here in it, on ground that is not frozen
 * @param slowed what slows it here
 */
export function outputIn(
  machine: Machine,
  kind: SoilKind,
  swell: number,
  learned: number | null = null,
  frozen = false,
  slowed: readonly Slow[] = [],
): Output {
  const fill = fillFactor(kind, frozen);
  const factor = slowed.reduce((product, what) => product * RATES[`slow.${what}`].likely, 1);
  const cycle = cycleOf(machine) * factor;
  const efficiency = machine.efficiency ?? RATES.hoeWorks.likely;
  // Frozen, it brings out as much less as its bucket fills less.
  if (learned !== null)
    return { rate: (learned * fill) / fillFactor(kind), from: 'measured', cycle, fill, efficiency };
  const loose = ((3600 * machine.bucket * fill) / cycle) * efficiency;
  return { rate: loose / (1 + swell), from: 'typical', cycle, fill, efficiency };
}

export interface TruckMatch {
  /** Buckets that fill a truck, and minutes it takes. */
  readonly buckets: number;
  readonly loading: number;
  /** Trucks that keep the machine at work: round trip over loading time. */
  readonly balance: number;
  /** With `trucks` of them: who waits, and the trucks' or the machine's share of time lost. */
  readonly waits: 'machine' | 'trucks' | 'nobody';
  readonly lost: number;
  /** The machine clears the truck's side. */
  readonly clears: boolean;
}

/**
 * Machine and trucks together: N trucks are in balance when N = round trip / loading time.
 * @param body loose m³ a truck takes
 * @param roundTrip minutes from leaving full to back under the bucket
 * @param side height of the truck's side, m
 */
export function truckMatch(
  machine: Machine,
  fill: number,
  body: number,
  roundTrip: number,
  trucks: number,
  side: number,
): TruckMatch {
  const buckets = Math.ceil(body / (machine.bucket * fill) - 1e-9);
  const loading = (buckets * cycleOf(machine)) / 60;
  const balance = (roundTrip + loading) / loading;
  const ratio = trucks / balance;
  return {
    buckets,
    loading,
    balance,
    waits: Math.abs(ratio - 1) < 0.02 ? 'nobody' : ratio < 1 ? 'machine' : 'trucks',
    lost: ratio < 1 ? 1 - ratio : 1 - 1 / ratio,
    clears: machine.dumpHeight > side,
  };
}
