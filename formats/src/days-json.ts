/** The days of a job as plain JSON: tasks, days, and what is called by when. Local times of the job's own clock; SI. */
import type { Days, Plan } from '@cimiento/core';

export const DAYS_FORMAT = 'cimiento-days';

/** @returns an object that survives JSON without loss; every number is finite */
export const daysJson = (
  plan: Plan,
  { tasks, first, last, bound, days, calls, watch, floods, unlooked, frost, bays, problems }: Days,
) => ({
  format: DAYS_FORMAT,
  version: 1,
  job: { name: plan.name, place: plan.place },
  zone: plan.water.zone,
  first,
  last,
  /** The earliest day it could end, whatever the order. */
  bound,
  /** Hours of work in all, and hours by the clock after it. */
  tasks: tasks.map(({ id, kind, work: hours, passes: clock, ...task }) => ({
    id,
    kind,
    ...task,
    hours,
    clock,
  })),
  days,
  calls,
  watch,
  floods,
  /** Holes whose nights were not looked at any more: there are too many. */
  unlooked,
  frost,
  bays,
  problems,
});
