/** What happened on a day, out of the records; and what is done so far beside what was planned. */

import type { FigureId } from '../figures/index.ts';
import { inTime, standing } from '../log/causal-order.ts';
import { DELIVERIES, type Delivery } from '../log/kinds/delivered.ts';
import type { RecordKindId } from '../log/kinds/index.ts';
import type { RecordOf, SiteRecord } from '../log/record.ts';
import { dayOf } from '../time/index.ts';
import { wedge } from './clock.ts';

/** A record that says something of a day. */
type Standing<K extends RecordKindId> = RecordOf<K> & { readonly value: NonNullable<RecordOf<K>['value']> };

/** The day a record is of: the one it names, else the one it was made on, by the job's clock. */
export function dayOfRecord({ value, at }: SiteRecord, zone: string): string {
  const named = value && 'day' in value ? value.day : value && 'when' in value ? value.when.slice(0, 10) : '';
  return /^\d{4}-\d{2}-\d{2}$/.test(named) ? named : dayOf(Date.parse(at), zone);
}

const sum = <T>(of: readonly T[], value: (one: T) => number): number =>
  of.reduce((total, one) => total + value(one), 0);

/** m³, of stone kg; null where no order was written down. */
export interface Delivered {
  readonly ordered: number | null;
  readonly came: number;
  readonly left: number;
}

export interface DayReport {
  readonly day: string;
  /** Its records that stand, in order. */
  readonly records: readonly SiteRecord[];
  readonly people: readonly { readonly who: string; readonly hours: number }[];
  readonly personHours: number;
  /** By the plan's machines, bank m³ and hours. */
  readonly machines: readonly { readonly machine: string; readonly volume: number; readonly hours: number }[];
  /** Loose m³, and hours of one person. */
  readonly byHand: { readonly loose: number; readonly hours: number };
  readonly loads: { readonly count: number; readonly loose: number };
  readonly delivered: { readonly [D in Delivery]: Delivered | null };
  readonly pumpHours: number;
  readonly weather: Standing<'weather'>['value'] | null;
  readonly stops: readonly Standing<'stopped'>[];
  readonly stopHours: number;
  /** Of the stops somebody priced; null: none was. */
  readonly stopCost: number | null;
  /** Bank m³ to dig again. */
  readonly fallen: number;
  /** What else is told, as it was logged. */
  readonly told: readonly SiteRecord[];
}

const TOLD: ReadonlySet<RecordKindId> = new Set([
  'note',
  'noticed',
  'handover',
  'fell',
  'arrived',
  'heap',
  'photo',
]);

/** Days on which anything was logged, the newest first. */
export const daysOf = (records: readonly SiteRecord[], zone: string): string[] =>
  [...new Set(standing(records).map((record) => dayOfRecord(record, zone)))].sort().reverse();

function deliveredOf(all: readonly Standing<'delivered'>[], of: Delivery): Delivered | null {
  const own = all.map(({ value }) => value).filter((value) => value.of === of);
  if (own.length === 0) return null;
  return {
    // One ticket without an order leaves the sum unknown.
    ordered: own.some(({ ordered }) => ordered === null) ? null : sum(own, ({ ordered }) => ordered ?? 0),
    came: sum(own, ({ came }) => came),
    left: sum(own, ({ left }) => left),
  };
}

function reported(day: string, records: readonly SiteRecord[]): DayReport {
  const of = <K extends RecordKindId>(kind: K) =>
    records.filter(
      (record): record is Standing<K> & SiteRecord => record.kind === kind && record.value !== null,
    );
  const worked = new Map<string, number>();
  for (const { value } of of('worked')) worked.set(value.who, (worked.get(value.who) ?? 0) + value.hours);
  const machines = new Map<string, { machine: string; volume: number; hours: number }>();
  for (const { value } of of('dug')) {
    const at = machines.get(value.machine) ?? { machine: value.machine, volume: 0, hours: 0 };
    machines.set(value.machine, {
      ...at,
      volume: at.volume + value.volume,
      hours: at.hours + value.hours,
    });
  }
  const byHand = of('handDug').map(({ value }) => value);
  const hauled = of('hauled').map(({ value }) => value);
  const stops = of('stopped');
  const priced = stops.flatMap(({ value }) => (value.price === null ? [] : [value.hours * value.price]));
  const deliveries = of('delivered');
  return {
    day,
    records,
    people: [...worked].map(([who, hours]) => ({ who, hours })),
    personHours: sum([...worked.values()], (hours) => hours),
    machines: [...machines.values()],
    byHand: { loose: sum(byHand, ({ volume }) => volume), hours: sum(byHand, ({ hours }) => hours) },
    loads: { count: sum(hauled, ({ loads }) => loads), loose: sum(hauled, ({ volume }) => volume) },
    delivered: Object.fromEntries(DELIVERIES.map((what) => [what, deliveredOf(deliveries, what)])) as Record<
      Delivery,
      Delivered | null
    >,
    pumpHours: sum(of('pumped'), ({ value }) => value.hours),
    weather: of('weather').at(-1)?.value ?? null,
    stops,
    stopHours: sum(stops, ({ value }) => value.hours),
    stopCost: priced.length === 0 ? null : sum(priced, (cost) => cost),
    fallen: sum(of('fell'), ({ value }) => wedge(value)),
    told: records.filter(({ kind }) => TOLD.has(kind)),
  };
}

/** What happened on a day. @param zone the job's clock */
export const reportOf = (records: readonly SiteRecord[], day: string, zone: string): DayReport =>
  reported(
    day,
    inTime(standing(records)).filter((record) => dayOfRecord(record, zone) === day),
  );

/** Hours up to a day, that day with it: of each machine by its id, and of hands; null: no record tells. */
export function hoursTo(
  records: readonly SiteRecord[],
  day: string,
  zone: string,
): { readonly machines: ReadonlyMap<string, number>; readonly byHand: number | null } {
  const upTo = inTime(standing(records)).filter((record) => dayOfRecord(record, zone) <= day);
  const { machines, byHand } = reported(day, upTo);
  return {
    machines: new Map(machines.map(({ machine, hours }) => [machine, hours])),
    byHand: byHand.hours > 0 ? byHand.hours : null,
  };
}

/** What is planned of a headline figure, and what the log says is done of it; null: no record tells. */
export interface Progress {
  readonly planned: number;
  readonly done: number | null;
}

/** What figures are read from. */
export type Planned = Readonly<Record<FigureId, { readonly value: number }>>;

/**
 * Every headline figure beside what is done of it up to a day, that day with it. What people dug loose counts in
 * the ground by how the job's own soils swell.
 */
export function progressTo(
  figures: Planned,
  records: readonly SiteRecord[],
  day: string,
  zone: string,
): Readonly<Record<FigureId, Progress>> {
  const upTo = inTime(standing(records)).filter((record) => dayOfRecord(record, zone) <= day);
  const all = reported(day, upTo);
  const swell = figures.dig.value > 0 ? figures.spoil.value / figures.dig.value : 1;
  const dugByMachine = sum(all.machines, ({ volume }) => volume);
  const anyDug = all.machines.length > 0 || all.byHand.loose > 0;
  const bank = dugByMachine + all.byHand.loose / swell;
  const used = (of: Delivery) => {
    const { came, left } = all.delivered[of] ?? {};
    return came === undefined || left === undefined ? null : came - left;
  };
  const done: Record<FigureId, number | null> = {
    dig: anyDug ? bank : null,
    spoil: anyDug ? bank * swell : null,
    // What was dug and has not left lies here, for the fill or for a later load.
    keep: anyDug ? Math.max(0, bank - all.loads.loose / swell) : null,
    haul: all.loads.count > 0 ? all.loads.count : null,
    stone: used('stone'),
    lean: used('lean'),
    concrete: used('concrete'),
    water: null,
  };
  return Object.fromEntries(
    Object.entries(done).map(([id, value]) => [
      id,
      { planned: figures[id as FigureId].value, done: value } satisfies Progress,
    ]),
  ) as unknown as Record<FigureId, Progress>;
}
