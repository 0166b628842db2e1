export { type BayNow, type BayState, baysNow } from './bays.ts';
export { type Calendar, calendarOf, type Span, type WorkWeek } from './calendar.ts';
export { type GoesOut, outOf } from './out.ts';
export { circleOf, type Placed, type Schedule, schedule, type Timed } from './schedule.ts';
export { type Task, type Tasked, type TaskKind, type ToFill, tasksOf } from './tasks.ts';
export {
  type Crust,
  crusts,
  type DayWeather,
  frozenHours,
  frozenRateOf,
  gapIn,
  HOT,
  lostDays,
} from './weather.ts';
export { without } from './without.ts';
