export { type Calendar, calendarOf, type WorkWeek } from './calendar.ts';
export { circleOf, type Placed, type Schedule, schedule, type Timed } from './schedule.ts';
export { type Task, type TaskKind, type ToFill, tasksOf } from './tasks.ts';
