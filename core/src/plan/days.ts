/** When a job is worked: its days and hours, its people, what is waited for, and what somebody typed of a task. */
import Type, { type Static } from 'typebox';
import { FIELDS } from './fields.ts';
import { CALENDAR_DAY, MOST_TASKS, TASK_ID } from './limits.ts';
import { num, object, oneOf, orNull } from './parts.ts';

const Day = Type.String({ pattern: CALENDAR_DAY });
const Task = Type.String({ pattern: TASK_ID });
const people = (id: '/days/people' | '/days/own/*/people') =>
  Type.Integer({ minimum: FIELDS[id].min, maximum: FIELDS[id].max });

export const Days = object({
  /** The first day anything is done; null: nobody has said, and days are counted from the day it is asked. */
  start: orNull(Day),
  /** Monday to Sunday: worked or not. */
  week: Type.Array(Type.Boolean(), { minItems: 7, maxItems: 7 }),
  /** Days off beside those. */
  off: Type.Array(Day, { maxItems: 120 }),
  people: people('/days/people'),
  /** Working hours from when somebody is asked to look until he comes. */
  notice: num('/days/notice'),
  /** Days forms stay on. */
  formsStay: num('/days/formsStay'),
  /** Days a pass under an old wall cures before it is packed: the engineer's. */
  bayCure: num('/days/bayCure'),
  /** Rain of a day, m, from which nobody works outside. Null: as is typical. */
  rainStops: orNull(num('/days/rainStops')),
  /** The weather that is expected, day after day without a gap: as typed, as a file had it, as the feed says. */
  weather: Type.Array(
    object({
      day: Day,
      /** m, and °C; null: not known. */
      rain: orNull(num('/days/weather/*/rain')),
      low: orNull(num('/days/weather/*/low')),
      high: orNull(num('/days/weather/*/high')),
      from: oneOf(['typed', 'file', 'feed'] as const),
    }),
    { maxItems: 120 },
  ),
  /** What somebody typed of a task, by its name. Null: by the table of rates, the job's people, as soon as it can. */
  own: Type.Array(
    object({
      task: Task,
      rate: orNull(num('/days/own/*/rate')),
      hours: orNull(num('/days/own/*/hours')),
      people: orNull(people('/days/own/*/people')),
      /** Not before this day. */
      pin: orNull(Day),
      /** Tasks it comes after, beside those it comes after anyhow. */
      after: Type.Array(Task, { maxItems: 20 }),
    }),
    { maxItems: MOST_TASKS },
  ),
});
export type Days = Static<typeof Days>;
