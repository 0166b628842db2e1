/** Day by day, from the first anything is done to the last. */
import type { Calendar } from '../../programme/index.ts';
import { HOUR_MS } from '../../time/durations.ts';
import { nextDayOf } from '../../time/index.ts';
import type { BoardDay, DayTask } from './days.ts';

/** Days a job is shown over at most. */
const MOST_DAYS = 1500;

/** Every day from the first anything is done to the last, with what is on. */
export function boardDays(
  tasks: readonly DayTask[],
  from: string,
  last: string,
  calendar: Calendar,
  moment: (day: string) => number,
  lost: ReadonlySet<string>,
): BoardDay[] {
  const open = tasks.filter(({ done }) => done < 1);
  const first =
    open.length === 0
      ? from
      : open.reduce((day, { begins }) => (begins < day ? begins : day), `${from}T99`).slice(0, 10);
  const on = new Map<string, string[]>();
  const out: BoardDay[] = [];
  for (let day = first; day <= last && out.length < MOST_DAYS; day = nextDayOf(day)) {
    const own: string[] = [];
    on.set(day, own);
    out.push({
      day,
      worked: calendar.spans(moment(day), moment(day) + 12 * HOUR_MS).length > 0,
      lost: lost.has(day),
      tasks: own,
    });
  }
  for (const { id, begins, ends } of open)
    for (let day = begins.slice(0, 10); day <= ends.slice(0, 10); day = nextDayOf(day)) {
      const own = on.get(day);
      if (!own) break;
      own.push(id);
    }
  return out;
}
