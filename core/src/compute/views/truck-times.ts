/** The trucks of a plan by the clock: its digs in order, what of each leaves, and at what pace. */
import { PRACTICE } from '../../catalogue/practice.ts';
import { type Haul, type Hauled, haulage, type Loads, machineOf, truckMatch } from '../../dig/index.ts';
import type { Plan, Truck } from '../../plan/schema.ts';
import { usualFill } from '../../takeoff/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

export interface TruckTimes extends Haul {
  /** The truck that takes each load. */
  readonly trucks: readonly Truck[];
  /** Fewest trucks with which the machine waits less than a twentieth of its time; null when none do. */
  readonly enough: number | null;
}

/** Standing for want of a truck, as a share of the time, that nobody would send for another to save. */
const LITTLE = 0.05;
const MOST_TRIED = 12;

/**
 * What each dig asks of machine and trucks. Of every soil the heap takes what backfill wants of it
 * first, in the order of digging; the rest leaves.
 * @param fills the truck the loads are counted in, and what fills it; none when nothing leaves
 */
function hauledOf(
  plan: Plan,
  takeoff: Takeoff,
  order: readonly string[],
  fills: Loads | undefined,
): Hauled[] {
  const machine = takeoff.work.machines.find((entry) => entry.machine === plan.dig.machine);
  const kept = takeoff.spoil.strata.map((s): number => s.keptBank);
  // What people dug takes no hours of the machine's; its soil is loaded last.
  const byHand = takeoff.work.hand.elements.map((own) => own.id);
  const whole = [...order.filter((id) => !byHand.includes(id)), ...byHand];
  return whole.flatMap((id): Hauled[] => {
    const element = takeoff.elements.find((e) => e.id === id);
    if (!element?.live) return [];
    let hours = 0;
    let loads = 0;
    element.bySoil.forEach((volume, k) => {
      const soil = takeoff.soils[k]!;
      const work = machine?.strata.find((s) => s.soil.index === soil.index);
      if (work && work.volume > 0 && !element.element.hand) hours += (work.hours * volume) / work.volume;
      const keep = Math.min(volume, kept[k]!);
      kept[k]! -= keep;
      const leaves = volume - keep;
      if (!fills || leaves <= 0) return;
      const { truck, limit } = fills;
      loads +=
        limit === 'mass' ? (leaves * soil.density) / truck.payload : (leaves * (1 + soil.swell)) / truck.body;
    });
    return [{ id, hours, loads }];
  });
}

/**
 * When each truck is wanted.
 * @param order ids in the order the machine digs them; what is missing is not dug, but for what people dig
 */
export function truckTimes(plan: Plan, takeoff: Takeoff, order: readonly string[]): TruckTimes {
  // The first of the fleet that takes fewest sets the pace, by what fills it first.
  const fills = takeoff.loads.find((entry) => entry.truck.id === takeoff.mixed[0]?.truck);
  const largest = fills?.truck;
  const digs = hauledOf(plan, takeoff, order, fills);
  const machine = machineOf(plan);
  const match =
    largest &&
    truckMatch(machine, usualFill(plan, takeoff.spoil), largest.body, plan.spoil.trip, 1, largest.sideHeight);
  const run = (trucks: number) =>
    haulage(digs, {
      trucks,
      trip: plan.spoil.trip / 60,
      day: plan.dig.day.hours,
      loading: (match?.loading ?? 0) / 60,
      stands: PRACTICE.truckStands.value,
    });
  const made = run(plan.spoil.fleet);
  const types = takeoff.mixed.flatMap(({ truck, loads }) => {
    const type = plan.spoil.trucks.find((entry) => entry.id === truck)!;
    return Array.from({ length: loads }, () => type);
  });
  let enough: number | null = null;
  for (let fleet = 1; fleet <= MOST_TRIED && enough === null; fleet++) {
    const { machineWaits, ends } = run(fleet);
    if (machineWaits <= LITTLE * ends) enough = fleet;
  }
  return {
    ...made,
    trucks: made.loads.map((_, i) => types[Math.min(i, types.length - 1)]!),
    enough,
  };
}
