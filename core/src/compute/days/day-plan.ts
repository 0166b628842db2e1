/** One day of a job: what is on and how deep, what stops it, who and what comes, what to order, what to watch. */
import { type Hold, holdsOf, isOpen } from '../../holds/index.ts';
import type { HeldWork } from '../../plan/kinds.ts';
import type { Plan } from '../../plan/schema.ts';
import type { TaskKind } from '../../programme/index.ts';
import { nextDayOf } from '../../time/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import type { Days, DayTask, ToCall, Watch } from './days.ts';

export interface OnDay {
  readonly task: DayTask;
  /** m from its string, and what that is called; null: it is nothing that is dug; the job's own string. */
  readonly depth: number | null;
  readonly string: string | null;
}

export interface DayPlan {
  readonly day: string;
  readonly worked: boolean;
  readonly lost: boolean;
  readonly on: readonly OnDay[];
  /** What is waited for: cures, and who comes. */
  readonly waits: readonly DayTask[];
  readonly comes: readonly ToCall[];
  readonly order: readonly ToCall[];
  readonly watch: readonly Watch[];
  /** What somebody still has to let before what is on that day. */
  readonly stops: readonly Pick<Hold, 'hold' | 'kind' | 'name' | 'element' | 'role' | 'before' | 'state'>[];
  /** People the day wants at once, at the most. */
  readonly people: number;
}

/** What each is held by. */
const HELD_AS: Partial<Record<TaskKind, HeldWork>> = {
  dig: 'dig',
  bed: 'cover',
  lean: 'cover',
  pour: 'pour',
  fill: 'backfill',
};

const spans = ({ begins, ends }: DayTask, day: string): boolean =>
  begins.slice(0, 10) <= day && ends.slice(0, 10) >= day;

/** @param day 2026-10-15; one nothing is on is empty */
export function dayPlanOf(
  plan: Plan,
  takeoff: Takeoff,
  { tasks, days, calls, watch }: Days,
  day: string,
): DayPlan {
  const on = tasks.filter((task) => task.done < 1 && spans(task, day));
  const worked = on.filter(({ resource, work }) => resource !== null && work > 0);
  const board = days.find((one) => one.day === day);
  const elements = new Map(takeoff.elements.map((info) => [info.id, info]));
  const held = new Map<string, HeldWork>();
  for (const { kind, element, pour } of worked) {
    const before = HELD_AS[kind];
    if (!before) continue;
    const ids = element !== null ? [element] : (takeoff.pours.find((one) => one.id === pour)?.elements ?? []);
    for (const id of ids) held.set(`${before} ${id}`, before);
    held.set(`${before} `, before);
  }
  return {
    day,
    worked: board?.worked ?? false,
    lost: board?.lost ?? false,
    on: worked
      .map((task): OnDay => {
        const info = task.element === null ? undefined : elements.get(task.element);
        const deep = info && (task.kind === 'dig' || task.kind === 'trim' || task.kind === 'seen');
        return {
          task,
          depth: deep ? info.fromString : null,
          string: deep ? (info.string.name ?? null) : null,
        };
      })
      .toSorted((p, q) => (p.task.begins < q.task.begins ? -1 : 1)),
    waits: on.filter(({ resource, work }) => resource === null || work <= 0),
    comes: calls.filter((call) => call.day === day),
    order: calls.filter((call) => call.by === day),
    // The night ahead is of the day before it.
    watch: watch.filter(
      (one) =>
        one.day === day ||
        one.day === nextDayOf(day) ||
        (one.until !== null && one.day < day && one.until.slice(0, 10) >= day),
    ),
    stops: holdsOf({ ...takeoff, plan })
      .filter((hold) => isOpen(hold) && held.get(`${hold.before} ${hold.element ?? ''}`) === hold.before)
      .map(({ hold, kind, name, element, role, before, state }) => ({
        hold,
        kind,
        name,
        element,
        role,
        before,
        state,
      })),
    people: Math.max(0, ...worked.filter(({ resource }) => resource === 'crew').map(({ people }) => people)),
  };
}
