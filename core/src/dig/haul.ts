/**
 * When each truck is wanted: the digs in their order, the trucks in theirs, hour by hour of the
 * machine's working day.
 *
 * Soil that comes fast enough goes straight into a truck, which is wanted when it begins to. Soil
 * that comes in dribs is heaped until there is a load of it, and a truck is wanted then. None
 * there: the machine waits. Loaded it is away for a round trip; one that leaves late in the day is
 * back next morning. Not covered: traffic, tipping hours, trucks of different size queuing for each
 * other.
 */
import { nextDay } from '../time/index.ts';

/** One dig as the machine and the trucks meet it. */
export interface Hauled {
  readonly id: string;
  /** Hours the machine digs there. */
  readonly hours: number;
  /** What leaves of it, in truckloads and parts of one. */
  readonly loads: number;
}

export interface Load {
  /** Which of the trucks takes it, from 0. */
  readonly truck: number;
  /** Hours of work from the start of the dig: the machine is ready to load, begins, has filled it. */
  readonly wanted: number;
  readonly from: number;
  readonly full: number;
  /** Share of it that is filled. */
  readonly fill: number;
  /** Digs it takes soil from. */
  readonly ids: readonly string[];
  /** Put down first and loaded when there was enough of it. */
  readonly heaped: boolean;
}

/** Trucks and the day they run in. */
export interface Fleet {
  /** Trucks that run, ≥ 1. */
  readonly trucks: number;
  /** Hours one is away, from leaving full until it is back. */
  readonly trip: number;
  /** Hours of work a day. */
  readonly day: number;
  /** Hours the machine takes to load one from a heap. */
  readonly loading: number;
  /** Longest a truck stands under the bucket while it fills, h. */
  readonly stands: number;
}

export interface Haul {
  readonly loads: readonly Load[];
  readonly digs: readonly { readonly id: string; readonly from: number; readonly to: number }[];
  /** Hours the machine loads from heaps. */
  readonly loading: number;
  /** Hours the machine stands for want of a truck, and trucks that are back stand for want of soil. */
  readonly machineWaits: number;
  readonly trucksWait: number;
  /** Hours of work the whole takes. */
  readonly ends: number;
}

/** Less of a truckload than this is none. */
const NOTHING = 1e-9;

/**
 * Hours of digging from when a load's first soil comes until its last has, by load, as if no one
 * ever waited.
 */
function fillTimes(digs: readonly Hauled[]): number[] {
  const out: number[] = [];
  let now = 0;
  let fill = 0;
  let from = 0;
  for (const { hours, loads } of digs) {
    let left = loads;
    while (left > NOTHING) {
      if (fill === 0) from = now;
      const put = Math.min(left, 1 - fill);
      now += (hours * put) / loads;
      left -= put;
      fill += put;
      if (fill > 1 - NOTHING) {
        out.push(now - from);
        fill = 0;
      }
    }
    if (loads <= NOTHING) now += hours;
  }
  if (fill > NOTHING) out.push(now - from);
  return out;
}

/** @param digs in the order they are dug */
export function haulage(digs: readonly Hauled[], fleet: Fleet): Haul {
  const free = Array.from({ length: Math.max(1, fleet.trucks) }, () => 0);
  const times = fillTimes(digs);
  /** In hours of work: the night is no time at all. */
  const back = (left: number) => Math.min(left + fleet.trip, nextDay(left, fleet.day));
  const loads: Load[] = [];
  const shown: { id: string; from: number; to: number }[] = [];
  let now = 0;
  let machineWaits = 0;
  let trucksWait = 0;
  let loading = 0;
  /** The load that is being got together; its truck once one stands there. */
  let open: (Omit<Load, 'full' | 'truck'> & { truck: number | null }) | null = null;
  /** A truck under the bucket: one that is there already, the first of them, else the next that comes. */
  const call = (): { truck: number; wanted: number; from: number } => {
    const ready = free.findIndex((at) => at <= now + NOTHING);
    const truck = ready >= 0 ? ready : free.indexOf(Math.min(...free));
    const wanted = now;
    now = Math.max(now, free[truck]!);
    machineWaits += now - wanted;
    if (loads.some((load) => load.truck === truck)) trucksWait += now - free[truck]!;
    return { truck, wanted, from: now };
  };
  const send = () => {
    if (!open) return;
    const { truck, wanted, from } = open.truck === null ? call() : { ...open, truck: open.truck };
    if (open.heaped) {
      now += fleet.loading * open.fill;
      loading += fleet.loading * open.fill;
    }
    loads.push({ ...open, truck, wanted, from, full: now });
    free[truck] = back(now);
    open = null;
  };
  for (const { id, hours, loads: leaves } of digs) {
    const from = now;
    let left = leaves;
    while (left > NOTHING) {
      if (!open) {
        const heaped = times[loads.length]! > fleet.stands;
        open = {
          ...(heaped ? { truck: null, wanted: now, from: now } : call()),
          fill: 0,
          ids: [],
          heaped,
        };
      }
      const put = Math.min(left, 1 - open.fill);
      now += (hours * put) / leaves;
      left -= put;
      open = { ...open, fill: open.fill + put, ids: open.ids.includes(id) ? open.ids : [...open.ids, id] };
      if (open.fill > 1 - NOTHING) send();
    }
    if (leaves <= NOTHING) now += hours;
    shown.push({ id, from, to: now });
  }
  send();
  return { loads, digs: shown, machineWaits, trucksWait, loading, ends: now };
}
