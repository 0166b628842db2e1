/**
 * What when: tasks put in time so that each begins when what it needs is done, and a machine or a crew is at one thing at
 * a time. A serial schedule: of what may begin, the task with the longest way still to go after it comes first, in the earliest
 * gap there is; other ways to choose are tried too, some at random with one seed, and the one that ends first is kept. No schedule ends before its bound (longest way, busiest
 * resource), so how far from best it can be is said with it.
 *
 * Work is not broken off for other work; a night or a day off it goes over. Not covered: more than one of a resource, work that slows another.
 */
import { seeded } from '../random/index.ts';
import { HOUR_MS } from '../time/durations.ts';
import type { Calendar } from './calendar.ts';

/** What a task is put in time by. */
export interface Timed {
  readonly id: string;
  /** Hours of work, of its own calendar. */
  readonly work: number;
  /** Hours as they pass, after the work: a cure, a drying. */
  readonly passes: number;
  /** What it takes alone while it is worked; null: nothing is waited for. */
  readonly resource: string | null;
  /** Ids of what is done before it begins. */
  readonly after: readonly string[];
  /** It does not begin before; null: as soon as it can. */
  readonly from: number | null;
}

export interface Placed {
  readonly id: string;
  readonly begins: number;
  /** Its work is done; and what it waits for by the clock has passed too. */
  readonly worked: number;
  readonly ends: number;
  /** What it began after: the last of what it needs, what its resource was at, its own day; null: it could begin at once. */
  readonly waitsFor: { readonly what: 'task' | 'resource' | 'day'; readonly id: string | null } | null;
}

export interface Schedule {
  readonly tasks: readonly Placed[];
  readonly ends: number;
  /** The earliest any schedule could end. */
  readonly bound: number;
}

/** Ids of tasks that wait for one another in a circle, in its order; null: none do. */
export function circleOf(tasks: readonly Pick<Timed, 'id' | 'after'>[]): string[] | null {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const state = new Map<string, 'open' | 'done'>();
  for (const root of tasks) {
    if (state.has(root.id)) continue;
    const way: { id: string; next: number }[] = [{ id: root.id, next: 0 }];
    state.set(root.id, 'open');
    while (way.length > 0) {
      const here = way.at(-1)!;
      const after = byId.get(here.id)!.after;
      const next = after[here.next++];
      if (next === undefined) {
        state.set(here.id, 'done');
        way.pop();
      } else if (byId.has(next)) {
        if (state.get(next) === 'open')
          return way.slice(way.findIndex(({ id }) => id === next)).map(({ id }) => id);
        if (!state.has(next)) {
          state.set(next, 'open');
          way.push({ id: next, next: 0 });
        }
      }
    }
  }
  return null;
}

interface Net {
  readonly tasks: readonly Timed[];
  /** By position: those before and those after. */
  readonly before: readonly (readonly number[])[];
  readonly next: readonly (readonly number[])[];
  /** Each after all it needs. */
  readonly order: readonly number[];
}

function netOf(tasks: readonly Timed[]): Net {
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const before = tasks.map(({ after }) => after.flatMap((id) => at.get(id) ?? []));
  const next = tasks.map((): number[] => []);
  before.forEach((list, i) => {
    for (const j of list) next[j]!.push(i);
  });
  const left = before.map((list) => list.length);
  const order = tasks.flatMap((_, i) => (left[i] === 0 ? [i] : []));
  for (let k = 0; k < order.length; k++)
    for (const i of next[order[k]!]!) if (--left[i]! === 0) order.push(i);
  return { tasks, before, next, order };
}

/** Tasks put in time at most, over all tries. */
const TRIES = 2400;

type CalendarOf = (task: Timed) => Calendar;

/** When work begun at a moment is done, and over. */
const doneFrom = (task: Timed, calendar: Calendar, begins: number) => {
  const worked = task.work > 0 ? calendar.after(begins, task.work) : begins;
  return { worked, ends: worked + task.passes * HOUR_MS };
};

/** When a task of no resource can begin: work wants working hours, and so does what takes no time at all. */
const beginsAt = (task: Timed, calendar: Calendar, from: number): number =>
  task.work > 0 || task.passes === 0 ? calendar.next(from) : from;

/** The end of each if nothing was waited for but what it needs. */
function unbound({ tasks, before, order }: Net, start: number, calendarOf: CalendarOf): number[] {
  const ends = tasks.map(() => start);
  for (const i of order) {
    const task = tasks[i]!;
    const calendar = calendarOf(task);
    const from = before[i]!.reduce(
      (late, j) => Math.max(late, ends[j]!),
      Math.max(start, task.from ?? start),
    );
    ends[i] = doneFrom(task, calendar, beginsAt(task, calendar, from)).ends;
  }
  return ends;
}

/** Hours as they pass that still come from the beginning of each: the longest way to the end. */
function waysLeft({ tasks, next, order }: Net, aDay: number): number[] {
  const left = tasks.map(() => 0);
  for (const i of order.toReversed()) {
    const { work, passes } = tasks[i]!;
    left[i] = (work * 24) / aDay + passes + next[i]!.reduce((most, j) => Math.max(most, left[j]!), 0);
  }
  return left;
}

/** What a resource is at, in order: stretches between which there is time left, each with what is done last in it. */
type Busy = { from: number; to: number; id: string }[];

/** The first stretch that ends after a moment. */
function stretchAfter(busy: Busy, moment: number): number {
  let [low, high] = [0, busy.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (busy[middle]!.to <= moment) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The earliest place for some work between what a resource is at already. */
function gapIn(
  busy: Busy,
  task: Timed,
  calendar: Calendar,
  from: number,
): { begins: number; worked: number; ends: number; behind: string | null } {
  let begins = calendar.next(from);
  let behind: string | null = null;
  for (let k = stretchAfter(busy, begins); k < busy.length; k++) {
    const one = busy[k]!;
    // Work takes no less time than it has hours.
    if (one.from - begins >= task.work * HOUR_MS - 1) {
      const done = doneFrom(task, calendar, begins);
      if (done.worked <= one.from) return { begins, ...done, behind };
    }
    begins = calendar.next(one.to);
    behind = one.id;
  }
  return { begins, ...doneFrom(task, calendar, begins), behind };
}

/** Puts work into what a resource is at; stretches with no working time between them become one. */
function occupy(busy: Busy, calendar: Calendar, from: number, to: number, id: string): void {
  const at = stretchAfter(busy, from);
  busy.splice(at, 0, { from, to, id });
  const join = (k: number): void => {
    const [one, next] = [busy[k], busy[k + 1]];
    if (!one || !next || calendar.next(one.to) < next.from) return;
    busy.splice(k, 2, { from: one.from, to: Math.max(one.to, next.to), id: next.id });
  };
  join(at);
  if (at > 0) join(at - 1);
}

function serial(
  net: Net,
  start: number,
  calendarOf: CalendarOf,
  shared: CalendarOf,
  rank: readonly number[],
): Placed[] {
  const { tasks, before, next } = net;
  const left = before.map((list) => list.length);
  const busy = new Map<string, Busy>();
  const placed: (Placed | null)[] = tasks.map(() => null);
  const open = tasks.flatMap((_, i) => (left[i] === 0 ? [i] : []));
  while (open.length > 0) {
    let best = 0;
    for (let k = 1; k < open.length; k++) if (rank[open[k]!]! > rank[open[best]!]! + 1e-9) best = k;
    const i = open.splice(best, 1)[0]!;
    placed[i] = put(i);
    for (const j of next[i]!) if (--left[j]! === 0) open.push(j);
  }
  return placed.map((one) => one!);

  function put(i: number): Placed {
    const task = tasks[i]!;
    const calendar = calendarOf(task);
    const needs = before[i]!.reduce<{ at: number; id: string | null }>(
      (late, j) => (placed[j]!.ends > late.at ? { at: placed[j]!.ends, id: tasks[j]!.id } : late),
      { at: start, id: null },
    );
    const from = Math.max(needs.at, task.from ?? start);
    const pinned = task.from !== null && task.from > needs.at;
    const waits: Placed['waitsFor'] = pinned
      ? { what: 'day', id: null }
      : needs.id === null
        ? null
        : { what: 'task', id: needs.id };
    if (task.resource === null || task.work <= 0) {
      const begins = beginsAt(task, calendar, from);
      return { id: task.id, begins, ...doneFrom(task, calendar, begins), waitsFor: waits };
    }
    const own = busy.get(task.resource) ?? [];
    busy.set(task.resource, own);
    const { begins, worked, ends, behind } = gapIn(own, task, calendar, from);
    occupy(own, shared(task), begins, worked, task.id);
    return {
      id: task.id,
      begins,
      worked,
      ends,
      waitsFor: behind === null ? waits : { what: 'resource', id: behind },
    };
  }
}

/** The earliest any schedule could end: the longest way, and each resource's work from when it can first be at any of it. */
function boundOf(net: Net, start: number, calendarOf: CalendarOf, shared: CalendarOf): number {
  const ends = unbound(net, start, calendarOf);
  let bound = Math.max(start, ...ends);
  const of = new Map<string, { work: number; first: number; calendar: Calendar }>();
  net.tasks.forEach((task, i) => {
    if (task.resource === null || task.work <= 0) return;
    const calendar = shared(task);
    const begins = net.before[i]!.reduce(
      (late, j) => Math.max(late, ends[j]!),
      Math.max(start, task.from ?? start),
    );
    const own = of.get(task.resource);
    if (own) {
      own.work += task.work;
      own.first = Math.min(own.first, begins);
    } else of.set(task.resource, { work: task.work, first: begins, calendar });
  });
  for (const { work, first, calendar } of of.values()) bound = Math.max(bound, calendar.after(first, work));
  return bound;
}

/**
 * @param tasks in no circle; one that names what is not there waits for nothing of it
 * @param start nothing begins before, ms since 1970
 * @param calendarOf the working hours of each
 * @param aDay hours worked a day, about: to weigh work against what passes by the clock
 * @param shared the working hours of a task's resource, where some task of it has fewer of its own
 */
export function schedule(
  tasks: readonly Timed[],
  start: number,
  calendarOf: CalendarOf,
  aDay = 8,
  shared = calendarOf,
): Schedule {
  const net = netOf(tasks);
  const bound = boundOf(net, start, calendarOf, shared);
  const left = waysLeft(net, aDay);
  const ends = unbound(net, start, calendarOf);
  const listed = tasks.map((_, i) => -i);
  const most = tasks.map(({ work }, i) => left[i]! - (work * 24) / aDay);
  const early = ends.map((end) => -end);
  let best: Schedule | null = null;
  const tried = (rank: readonly number[]) => {
    const placed = serial(net, start, calendarOf, shared, rank);
    const last = placed.reduce((late, one) => Math.max(late, one.ends), start);
    if (!best || last < best.ends) best = { tasks: placed, ends: last, bound };
    return best.ends <= bound;
  };
  // Of a large job there is time for fewer; for the longest way there always is.
  const ways = Math.max(1, Math.floor(TRIES / Math.max(1, tasks.length)));
  if ([left, most, listed, early].slice(0, ways).some(tried)) return best!;
  // As many more as there is time for, each a little off the longest way: the same ones every time.
  const next = seeded(tasks.length + 1);
  const far = Math.max(...left, 1);
  for (let k = 0; k < TRIES / Math.max(1, tasks.length); k++)
    if (tried(left.map((way) => way + far * (next() - 0.5)))) break;
  return best!;
}
