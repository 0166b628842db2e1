/**
 * When each truck is wanted: the digs in their order, the trucks in theirs, hour by hour of the
 * machine's working day.
 *
 * A truck is wanted when the soil that leaves begins to fill it. None there: the machine waits.
 * Loaded it is away for a round trip; one that leaves late in the day is back next morning. Not
 * covered: traffic, tipping hours, trucks of different size queuing for each other.
 */

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
}

export interface Haul {
  readonly loads: readonly Load[];
  readonly digs: readonly { readonly id: string; readonly from: number; readonly to: number }[];
  /** Hours the machine stands for want of a truck, and trucks that are back stand for want of soil. */
  readonly machineWaits: number;
  readonly trucksWait: number;
  /** Hours of work the whole takes. */
  readonly ends: number;
}

/** Less of a truckload than this is none. */
const NOTHING = 1e-9;

/**
 * @param digs in the order they are dug
 * @param fleet trucks that run, ≥ 1
 * @param trip hours one is away
 * @param day hours of work a day
 */
export function haulage(digs: readonly Hauled[], fleet: number, trip: number, day: number): Haul {
  const free = Array.from({ length: Math.max(1, fleet) }, () => 0);
  /** In hours of work: the night is no time at all. */
  const back = (left: number) => Math.min(left + trip, (Math.floor(left / day + NOTHING) + 1) * day);
  const loads: Load[] = [];
  const shown: { id: string; from: number; to: number }[] = [];
  let now = 0;
  let machineWaits = 0;
  let trucksWait = 0;
  let open: { truck: number; wanted: number; from: number; fill: number; ids: string[] } | null = null;
  const send = () => {
    if (!open) return;
    loads.push({ ...open, full: now });
    free[open.truck] = back(now);
    open = null;
  };
  for (const { id, hours, loads: wanted } of digs) {
    const from = now;
    let left = wanted;
    let spent = 0;
    while (left > NOTHING) {
      if (!open) {
        // One that is there already, the first of them: the others need not come.
        const ready = free.findIndex((at) => at <= now + NOTHING);
        const truck = ready >= 0 ? ready : free.indexOf(Math.min(...free));
        const start = Math.max(now, free[truck]!);
        machineWaits += start - now;
        if (loads.some((load) => load.truck === truck)) trucksWait += start - free[truck]!;
        open = { truck, wanted: now, from: start, fill: 0, ids: [] };
        now = start;
      }
      const put = Math.min(left, 1 - open.fill);
      const took = (hours * put) / wanted;
      now += took;
      spent += took;
      left -= put;
      open.fill += put;
      if (!open.ids.includes(id)) open.ids.push(id);
      if (open.fill > 1 - NOTHING) send();
    }
    now += Math.max(0, hours - spent);
    shown.push({ id, from, to: now });
  }
  send();
  return { loads, digs: shown, machineWaits, trucksWait, ends: now };
}

/** Minutes past midnight of a time written as 07:30. */
export function minutesOf(clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return 60 * hours + minutes;
}

/**
 * The clock after some hours of work: day of the dig from 1, and minutes past midnight.
 * @param ending what ends with the day's work ends that day and not next morning
 */
export function clockAfter(
  hours: number,
  start: string,
  day: number,
  ending = false,
): { readonly day: number; readonly minutes: number } {
  const exact = hours / day;
  const days = ending ? Math.max(0, Math.ceil(exact - NOTHING) - 1) : Math.floor(exact + NOTHING);
  return { day: days + 1, minutes: minutesOf(start) + Math.round(60 * (hours - days * day)) };
}
