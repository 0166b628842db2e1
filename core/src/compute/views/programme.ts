/**
 * The days of a job: its tasks in time, what each waits for, what is late against the plan as it stood, and what has to be
 * ordered or called by when. The same input gives the same days: today is an argument.
 */
import { holdsOf } from '../../holds/index.ts';
import type { Plan } from '../../plan/schema.ts';
import {
  calendarOf,
  circleOf,
  type Placed,
  schedule,
  type Task,
  type ToFill,
  tasksOf,
} from '../../programme/index.ts';
import type { Problem } from '../../results/index.ts';
import { DAY_MS } from '../../time/durations.ts';
import { localOf, momentOf, nextDayOf } from '../../time/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { fillingOf } from './filling.ts';

/** A task in time, as the job's own clock shows it. */
export interface DayTask extends Task {
  /** Local, 2026-11-26T07:30. */
  readonly begins: string;
  readonly ends: string;
  /** When it would have ended had all gone as planned; null: it is done, or there is no plan to hold it against. */
  readonly planned: string | null;
  /** Working days it is later than that. */
  readonly late: number;
  readonly waitsFor: Placed['waitsFor'];
}

/** Something to be ordered, or somebody to be called, and by when. */
export interface ToCall {
  readonly what: 'stone' | 'lean' | 'concrete' | 'fill' | 'inspector' | 'pump';
  readonly task: string;
  /** The day it is wanted, and the working day before it. */
  readonly day: string;
  readonly by: string;
  /** m³ or none. */
  readonly quantity: number | null;
}

export interface Days {
  readonly tasks: readonly DayTask[];
  /** The first and the last day anything is done. */
  readonly first: string;
  readonly last: string;
  /** The earliest day it could end, whatever the order. */
  readonly bound: string;
  /** What is on, day by day that anything is: ids of tasks. */
  readonly days: readonly {
    readonly day: string;
    readonly worked: boolean;
    readonly tasks: readonly string[];
  }[];
  readonly calls: readonly ToCall[];
  readonly problems: readonly Problem[];
}

/** Days a job is planned over at most; a limit that cuts says so. */
const MOST_DAYS = 1500;

const NOTHING: Omit<Days, 'problems'> = { tasks: [], first: '', last: '', bound: '', days: [], calls: [] };

/** What is wrong with the days as they are typed: no working day, a day that is none, a pin before today, tasks in a circle. */
function problemsOf({ days, water }: Plan, tasks: readonly Task[], today: string): Problem[] {
  const out: Problem[] = [];
  if (!days.week.some(Boolean)) out.push({ code: 'noWorkday', path: '/days/week' });
  const isNoDay = (day: string) => momentOf(`${day}T12:00`, water.zone) === null;
  if (days.start !== null && isNoDay(days.start))
    out.push({ code: 'noSuchDay', path: '/days/start', value: days.start });
  days.off.forEach((day, i) => {
    if (isNoDay(day)) out.push({ code: 'noSuchDay', path: `/days/off/${i}`, value: day });
  });
  days.own.forEach(({ pin, task }, i) => {
    const done = tasks.find(({ id }) => id === task)?.done ?? 0;
    if (pin !== null && isNoDay(pin)) out.push({ code: 'noSuchDay', path: `/days/own/${i}/pin`, value: pin });
    else if (pin !== null && pin < today && done < 1)
      out.push({ code: 'pinPast', path: `/days/own/${i}/pin`, value: pin, params: { name: task, today } });
  });
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

/** m³ to fill again by element, and the share that is laid. */
function fillsOf(plan: Plan, takeoff: Takeoff, today: string): Map<string, ToFill> {
  return new Map(
    fillingOf(plan, takeoff, today).elements.map(({ info, sides }) => {
      const cards = sides.flatMap((side) => side.cards);
      const volume = cards.reduce((all, card) => all + card.volume, 0);
      const laid = cards.reduce((all, card) => (card.laid ? all + card.volume : all), 0);
      return [info.id, { volume, done: volume > 0 ? laid / volume : 0 }] as const;
    }),
  );
}

/** What a task has to have there on its day. */
const WANTS: Partial<Record<Task['kind'], ToCall['what']>> = {
  bed: 'stone',
  lean: 'lean',
  pour: 'concrete',
  seen: 'inspector',
  looked: 'inspector',
};

/**
 * @param order ids in the order they are dug, as it was found; empty: as they were drawn
 * @param today the day it is asked, 2026-10-14; null: nothing is logged yet, from the plan's own start
 */
export function programmeOf(
  plan: Plan,
  takeoff: Takeoff,
  order: readonly string[] = [],
  today: string | null = null,
): Days {
  const { days, dig, water } = plan;
  const zone = water.zone;
  const from = today ?? days.start ?? FIRST_DAY;
  const job = { ...takeoff, plan };
  const tasks = tasksOf(
    plan,
    job,
    holdsOf(job),
    plan.dig.order.length > 0 ? plan.dig.order : order,
    fillsOf(plan, takeoff, from),
  );
  const problems = problemsOf(plan, tasks, from);
  if (problems.length > 0) return { ...NOTHING, problems };
  const calendar = calendarOf({
    zone,
    week: days.week,
    off: days.off,
    start: dig.day.start,
    hours: dig.day.hours,
  });
  const moment = (day: string) => momentOf(`${day}T${dig.day.start}`, zone) ?? Date.parse(`${day}T08:00:00Z`);
  const timed = (all: boolean) =>
    tasks.map(({ id, work, passes, resource, after, pin, done }) => ({
      id,
      work: work * (all ? 1 : 1 - done),
      passes: !all && done >= 1 ? 0 : passes,
      resource,
      after,
      from: pin === null ? null : moment(pin),
    }));
  const put = (all: boolean, day: string) => schedule(timed(all), moment(day), () => calendar, dig.day.hours);
  const now = put(false, from);
  const was = put(true, days.start ?? from);
  const local = (at: number) => localOf(at, zone);
  const shown = tasks.map((task, i): DayTask => {
    const { begins, ends, waitsFor } = now.tasks[i]!;
    const then = was.tasks[i]!.ends;
    return {
      ...task,
      begins: local(begins),
      ends: local(ends),
      planned: task.done >= 1 ? null : local(then),
      late: task.done >= 1 ? 0 : Math.max(0, Math.ceil(calendar.between(then, ends) / dig.day.hours - 1e-6)),
      waitsFor,
    };
  });
  const open = shown.filter(({ done }) => done < 1);
  const first = open.reduce((day, { begins }) => (begins < day ? begins : day), `${from}T99`).slice(0, 10);
  const last = local(now.ends).slice(0, 10);
  const list: Days['days'][number][] = [];
  for (let day = open.length > 0 ? first : from; day <= last && list.length < MOST_DAYS; day = nextDayOf(day))
    list.push({
      day,
      worked: calendar.spans(moment(day), moment(day) + DAY_MS / 2).length > 0,
      tasks: open
        .filter((task) => task.begins.slice(0, 10) <= day && task.ends.slice(0, 10) >= day)
        .map(({ id }) => id),
    });
  return {
    tasks: shown,
    first: open.length > 0 ? first : from,
    last,
    bound: local(now.bound).slice(0, 10),
    days: list,
    calls: open.flatMap((task): ToCall[] => {
      const what = WANTS[task.kind];
      if (!what) return [];
      const day = task.begins.slice(0, 10);
      return [{ what, task: task.id, day, by: dayBefore(list, day), quantity: task.quantity }];
    }),
    problems,
  };
}

/** Where nobody gave a first day: a Monday, so that days can be counted. */
const FIRST_DAY = '2026-01-05';

/** The working day before a day, of those listed; the first of them before any. */
const dayBefore = (list: readonly Days['days'][number][], day: string): string =>
  list.filter((one) => one.worked && one.day < day).at(-1)?.day ?? list[0]?.day ?? day;
