/**
 * The days of a job: its tasks in time, what each waits for, what is late against the plan as it stood and why, what the
 * weather takes, and what has to be ordered or called by when. The same input gives the same days: today is an argument.
 */
import { groundModel } from '../../ground/index.ts';
import { holdsOf } from '../../holds/index.ts';
import { type SiteRecord, standing } from '../../log/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { coldDays, curedAt } from '../../pour/index.ts';
import {
  baysNow,
  type Calendar,
  type Crust,
  calendarOf,
  circleOf,
  crusts,
  frozenHours,
  frozenRateOf,
  gapIn,
  lostDays,
  type Placed,
  type Span,
  schedule,
  type Task,
  type ToFill,
  tasksOf,
  without,
} from '../../programme/index.ts';
import { rateOf } from '../../rates/index.ts';
import type { Problem } from '../../results/index.ts';
import { digsWith } from '../../takeoff/index.ts';
import { HOUR_MS } from '../../time/durations.ts';
import { localsOf, minutesOf, momentOf, nextDayOf } from '../../time/index.ts';
import { crustShare } from '../pipeline/hauling.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { fillingOf } from '../views/filling.ts';
import { boardDays } from './board.ts';
import { callsOf } from './calls.ts';
import type { Days, DayTask } from './days.ts';
import { watchOf } from './watch.ts';
import { type Flood, type OpenHole, Rain } from './wet.ts';
import { type Held, type Late, whyOf } from './why.ts';

/** Where nobody gave a first day: a Monday, so that days can be counted. */
const FIRST_DAY = '2026-01-05';

const NOTHING: Omit<Days, 'problems'> = {
  tasks: [],
  first: '',
  last: '',
  bound: '',
  days: [],
  calls: [],
  watch: [],
  floods: [],
  unlooked: 0,
  frost: { hours: 0, money: null },
  bays: [],
};

/** What is wrong with the days as they are typed: no working day, a day that is none, a pin before today, tasks in a circle, weather with a gap. */
function problemsOf({ days, water }: Plan, tasks: readonly Task[], today: string): Problem[] {
  const out: Problem[] = [];
  if (!days.week.some(Boolean)) out.push({ code: 'noWorkday', path: '/days/week' });
  const isNoDay = (day: string) => momentOf(`${day}T12:00`, water.zone) === null;
  const noDay = (path: string, value: string) => out.push({ code: 'noSuchDay', path, value });
  if (days.start !== null && isNoDay(days.start)) noDay('/days/start', days.start);
  days.off.forEach((day, i) => {
    if (isNoDay(day)) noDay(`/days/off/${i}`, day);
  });
  days.own.forEach(({ pin, task }, i) => {
    const done = tasks.find(({ id }) => id === task)?.done ?? 0;
    if (pin !== null && isNoDay(pin)) noDay(`/days/own/${i}/pin`, pin);
    else if (pin !== null && pin < today && done < 1)
      out.push({ code: 'pinPast', path: `/days/own/${i}/pin`, value: pin, params: { name: task, today } });
  });
  days.weather.forEach(({ day, low, high }, i) => {
    if (isNoDay(day)) noDay(`/days/weather/${i}/day`, day);
    if (low !== null && high !== null && low > high)
      out.push({ code: 'coldOverWarmDay', path: `/days/weather/${i}/low`, value: low, params: { day } });
  });
  const gap = gapIn(days.weather, nextDayOf);
  if (gap !== null) out.push({ code: 'weatherGap', path: '/days/weather', value: gap });
  const circle = circleOf(tasks);
  if (circle) {
    const at = days.own.findIndex(({ task }) => circle.includes(task));
    out.push({
      code: 'taskCircle',
      path: `/days/own/${Math.max(0, at)}/after`,
      params: { names: circle.join(' → ') },
    });
  }
  return out;
}

/** What was found of the filling of a takeoff last. */
const fillsFound = new WeakMap<
  Takeoff,
  { readonly of: string; readonly fills: ReadonlyMap<string, ToFill> }
>();

/** m³ to fill again by element, and the share that is laid. What may be filled when moves neither. */
function fillsOf(plan: Plan, takeoff: Takeoff, today: string): ReadonlyMap<string, ToFill> {
  const of = JSON.stringify(plan.backfill);
  const known = fillsFound.get(takeoff);
  if (known?.of === of) return known.fills;
  const fills = new Map(
    fillingOf(plan, takeoff, today).elements.map(({ info, sides }) => {
      const cards = sides.flatMap((side) => side.cards);
      const volume = cards.reduce((all, card) => all + card.volume, 0);
      const laid = cards.reduce((all, card) => (card.laid ? all + card.volume : all), 0);
      return [info.id, { volume, done: volume > 0 ? laid / volume : 0 }] as const;
    }),
  );
  fillsFound.set(takeoff, { of, fills });
  return fills;
}

export interface Asked {
  /** Ids in the order they are dug, as it was found; empty: as they were drawn. */
  readonly order?: readonly string[];
  /** The day it is asked, 2026-10-14; null: from the plan's own start. */
  readonly today?: string | null;
  /** What was logged: what stopped today, and which trucks came late. */
  readonly records?: readonly SiteRecord[];
}

/** Hours nobody could work today, and until when concrete that is late today keeps its pour; ms since 1970. */
function heldToday(records: readonly SiteRecord[], today: string, zone: string) {
  let stopped = 0;
  let until = 0;
  for (const record of standing(records)) {
    if (record.kind === 'stopped' && record.value?.day === today) stopped += record.value.hours;
    if (record.kind !== 'delivered' || record.value?.day !== today || record.value.of !== 'concrete')
      continue;
    const { due, arrived, came } = record.value;
    if (due === null || arrived === null || minutesOf(arrived) <= minutesOf(due)) continue;
    const at = momentOf(`${today}T${arrived}`, zone);
    if (at !== null) until = Math.max(until, at + (came / rateOf('poured', null, null).rate) * HOUR_MS);
  }
  return { stopped, until };
}

/** Tasks that cannot be worked at while their hole stands in water. */
const IN_THE_HOLE: readonly Task['kind'][] = ['trim', 'bed', 'lean', 'forms', 'pour', 'seen', 'looked'];

/** What the weather adds to a plan of days. */
interface Weathered {
  /** Hours more of each task, by its place in the list: in frozen ground, and by the clock where days are too cold to cure. */
  readonly frozen: readonly number[];
  readonly cold: readonly number[];
  /** Times each cannot be worked at. */
  readonly wet: readonly (readonly Span[])[];
  readonly floods: readonly Flood[];
  readonly unlooked: number;
}

/** A job's clocks: hours of work on paper, and those that rain and what stopped today leave. */
interface Clocks {
  readonly plain: Calendar;
  readonly outside: Calendar;
  readonly lost: readonly string[];
  readonly held: ReturnType<typeof heldToday>;
  /** The moment a day begins. */
  readonly moment: (day: string) => number;
  /** A moment as the clock on the job shows it. */
  readonly local: (moment: number) => string;
}

function clocksOf(plan: Plan, from: string, records: readonly SiteRecord[]): Clocks {
  const { days, dig, water } = plan;
  const { zone } = water;
  const hours = { zone, week: days.week, start: dig.day.start, hours: dig.day.hours };
  const begun = new Map<string, number>();
  const moment = (day: string) => {
    const known =
      begun.get(day) ?? momentOf(`${day}T${dig.day.start}`, zone) ?? Date.parse(`${day}T08:00:00Z`);
    begun.set(day, known);
    return known;
  };
  const plain = calendarOf({ ...hours, off: days.off });
  const lost = lostDays(plan);
  const held = heldToday(records, from, zone);
  const start = moment(from);
  const outside = without(
    calendarOf({ ...hours, off: [...days.off, ...lost] }),
    held.stopped > 0 ? [[start, plain.after(start, held.stopped)]] : [],
  );
  return { plain, outside, lost, held, moment, local: localsOf(zone) };
}

const noWeather = (tasks: readonly Task[]): Weathered => ({
  frozen: tasks.map(() => 0),
  cold: tasks.map(() => 0),
  wet: tasks.map(() => []),
  floods: [],
  unlooked: 0,
});

/** Tasks in time: as they were planned, and from today with what the weather adds. */
function putInTime(
  plan: Plan,
  takeoff: Takeoff,
  tasks: readonly Task[],
  { plain, outside, held, moment, local }: Clocks,
  from: string,
) {
  const start = moment(from);
  const aDay = plan.dig.day.hours;
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const put = (added: Weathered) => {
    const own = tasks.map(
      ({ resource }, i): Calendar => without(resource === null ? plain : outside, added.wet[i] ?? []),
    );
    return schedule(
      tasks.map(({ id, kind, work, passes, resource, after, pin, done }, i) => {
        const pinned = pin === null ? null : moment(pin);
        const truck = kind === 'pour' && held.until > start ? held.until : null;
        return {
          id,
          work: (work + (added.frozen[i] ?? 0)) * (1 - done),
          passes: done >= 1 ? 0 : passes + (added.cold[i] ?? 0),
          resource,
          after,
          from: truck === null ? pinned : Math.max(truck, pinned ?? truck),
        };
      }),
      start,
      ({ id }) => own[at.get(id)!]!,
      aDay,
      () => outside,
    );
  };
  const crust = crusts(plan, groundModel(plan), takeoff.facts.frozen);
  const rain = rainOn(plan, takeoff);
  let added = noWeather(tasks);
  let now = put(added);
  // What is frozen or flooded depends on the day a task falls on, and that on what is: looked at twice.
  for (let look = 0; look < 2; look++) {
    const next = weathered(plan, takeoff, tasks, now.tasks, { crust, rain, local });
    const same = JSON.stringify(next) === JSON.stringify(added);
    added = next;
    if (same) break;
    now = put(added);
  }
  const was = schedule(
    tasks.map(({ pin, ...task }) => ({ ...task, from: pin === null ? null : moment(pin) })),
    moment(plan.days.start ?? from),
    () => plain,
    aDay,
  );
  return { now, was, added, crust };
}

/** Pours that would have begun, had their concrete not come late today. */
const lateTrucks = (
  tasks: readonly Task[],
  now: readonly Placed[],
  { held, moment }: Clocks,
): ReadonlySet<string> =>
  new Set(
    tasks.flatMap(({ id, kind, pin }, i) =>
      kind === 'pour' &&
      held.until > 0 &&
      now[i]!.waitsFor?.what === 'day' &&
      (pin === null || moment(pin) < held.until)
        ? [id]
        : [],
    ),
  );

export function programmeOf(
  plan: Plan,
  takeoff: Takeoff,
  { order = [], today = null, records = [] }: Asked = {},
): Days {
  const { days, dig, prices } = plan;
  const from = today ?? days.start ?? FIRST_DAY;
  const job = { ...takeoff, plan };
  const clocks = clocksOf(plan, from, records);
  const { plain, moment, local } = clocks;
  const start = moment(from);
  const bays = baysNow(job, start);
  const holds = holdsOf(job);
  const tasks = tasksOf(plan, job, holds, {
    order: dig.order.length > 0 ? dig.order : order,
    fills: fillsOf(plan, takeoff, from),
    bays,
    now: start,
    crust: (depth) => crustShare(takeoff, depth),
  });
  const problems = problemsOf(plan, tasks, from);
  if (problems.length > 0) return { ...NOTHING, problems };
  const { now, was, added, crust } = putInTime(plan, takeoff, tasks, clocks, from);
  const lost = new Set(clocks.lost);
  const why = whysOf(tasks, now.tasks, was.tasks, added, {
    lost: clocks.lost.flatMap((day) =>
      plain.spans(moment(day), moment(day) + 12 * HOUR_MS).map((span) => ({ day, span })),
    ),
    today: { day: from, moment: start },
    held: { stopped: clocks.held.stopped, truck: lateTrucks(tasks, now.tasks, clocks) },
  });
  const shown = tasks.map(({ crust: _crust, ...task }, i): DayTask => {
    const { begins, ends, waitsFor } = now.tasks[i]!;
    const then = was.tasks[i]!.ends;
    const open = task.done < 1;
    const late = open ? Math.max(0, Math.ceil(plain.between(then, ends) / dig.day.hours - 1e-6)) : 0;
    return {
      ...task,
      begins: local(begins),
      ends: local(ends),
      frozen: added.frozen[i] ?? 0,
      planned: open ? local(then) : null,
      late,
      why: late > 0 ? why(task.id) : null,
      waitsFor,
    };
  });
  const list = boardDays(shown, from, local(now.ends).slice(0, 10), plain, moment, lost);
  const open = shown.filter(({ done }) => done < 1);
  const more = open.reduce((sum, { frozen, done }) => sum + frozen * (1 - done), 0);
  const floods = added.floods.map(({ span, ...flood }) => ({
    ...flood,
    from: local(span[0]),
    until: local(span[1]),
  }));
  return {
    tasks: shown,
    first: list[0]?.day ?? from,
    last: local(now.ends).slice(0, 10),
    bound: local(now.bound).slice(0, 10),
    days: list,
    calls: callsOf(takeoff, open, list, floods, holds),
    watch: watchOf(plan, takeoff, open, crust, floods, list),
    floods,
    unlooked: added.unlooked,
    frost: { hours: more, money: prices.machineHour === null ? null : more * prices.machineHour },
    bays: bays.map((bay) => ({ ...bay, cures: bay.cures === null ? null : local(bay.cures) })),
    problems,
  };
}

/** What was found of the rain on a takeoff last: an edit of days that leaves weather and water alone looks at no night again. */
const looked = new WeakMap<Takeoff, { readonly of: string; readonly rain: Rain }>();
function rainOn(plan: Plan, takeoff: Takeoff): Rain {
  const of = JSON.stringify([plan.days.weather, plan.water]);
  const known = looked.get(takeoff);
  if (known?.of === of) return known.rain;
  const rain = new Rain(plan, takeoff);
  looked.set(takeoff, { of, rain });
  return rain;
}

/** What the weather adds, with every task where it was put. */
function weathered(
  plan: Plan,
  takeoff: Takeoff,
  tasks: readonly Task[],
  placed: readonly Placed[],
  { crust, rain, local }: { readonly crust: readonly Crust[]; readonly rain: Rain } & Pick<Clocks, 'local'>,
): Weathered {
  const found = takeoff.facts.frozen?.depth ?? 0;
  const deepOn = (day: string): number => {
    const known = crust.findLast((one) => one.day <= day);
    return known ? known.depth : found;
  };
  const { rate } = frozenRateOf(plan, digsWith(plan, takeoff.work)?.frozenRate ?? null);
  const frozen = tasks.map(({ crust: share, work }, i) => {
    if (!share || work <= 0) return 0;
    const depth = deepOn(local(placed[i]!.begins).slice(0, 10));
    return depth > 0 ? frozenHours(work, share(depth), rate) - work : 0;
  });
  const { floods, unlooked } = rain.in(holesOpen(takeoff, tasks, placed));
  const wetAt = (element: string) =>
    floods.flatMap((flood) => (flood.element === element ? [flood.span] : []));
  const pours = new Map(takeoff.pours.map((pour) => [pour.id, pour.elements]));
  const wet = tasks.map(({ kind, element, pour }) =>
    IN_THE_HOLE.includes(kind)
      ? (element !== null ? [element] : pour !== null ? (pours.get(pour) ?? []) : []).flatMap(wetAt)
      : [],
  );
  return { frozen, cold: coldHours(plan, takeoff, tasks, placed), wet, floods, unlooked };
}

/** Hours by the clock that cures take longer in days too cold to count, of what is not cast yet. */
function coldHours(
  plan: Plan,
  { facts, pours }: Takeoff,
  tasks: readonly Task[],
  placed: readonly Placed[],
): number[] {
  const cold = coldDays(plan, facts.weather);
  const cast = new Set(pours.flatMap((pour) => (pour.cast ? [pour.id] : [])));
  return tasks.map(({ kind, pour, passes }, i) => {
    if (cold.size === 0 || kind !== 'cure' || passes <= 0 || (pour !== null && cast.has(pour))) return 0;
    const { worked } = placed[i]!;
    return (curedAt(worked, passes / 24, cold, plan.water.zone) - worked) / HOUR_MS - passes;
  });
}

/** Holes that stand open, each from when it is dug until what is cast first in it is. */
function holesOpen(takeoff: Takeoff, tasks: readonly Task[], placed: readonly Placed[]): OpenHole[] {
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  return takeoff.elements.flatMap(({ id, live, bays }): OpenHole[] => {
    const dig = at.get(`dig/${id}`);
    if (!live || bays || dig === undefined) return [];
    const own = takeoff.pours
      .filter(({ elements }) => elements.includes(id))
      .toSorted((p, q) => p.turn - q.turn)[0];
    if (own?.cast) return [];
    const pour = own ? at.get(`pour/${own.id}`) : undefined;
    const fill = at.get(`fill/${id}`);
    const last = pour ?? fill;
    const begins = tasks[dig]!.done >= 1 ? -Infinity : placed[dig]!.begins;
    return [{ element: id, span: [begins, last === undefined ? Infinity : placed[last]!.ends] }];
  });
}

function whysOf(
  tasks: readonly Task[],
  now: readonly Placed[],
  was: readonly Placed[],
  { frozen, cold, wet }: Weathered,
  {
    lost,
    today,
    held,
  }: {
    readonly lost: Parameters<typeof whyOf>[1];
    readonly today: Parameters<typeof whyOf>[2];
    readonly held: Held;
  },
) {
  const all = new Map(
    tasks.map((task, i): readonly [string, Late] => [
      task.id,
      { task, now: now[i]!, was: was[i]!, frozen: frozen[i] ?? 0, cold: cold[i] ?? 0, wet: wet[i] ?? [] },
    ]),
  );
  return whyOf(all, lost, today, held);
}
