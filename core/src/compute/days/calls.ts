/** What has to be ordered, and who called, by when: the working day before it is wanted. */
import type { holdsOf } from '../../holds/index.ts';
import type { Task } from '../../programme/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import type { BoardDay, Days, DayTask, ToCall } from './days.ts';

/** What a task has to have there on its day. */
const WANTS: Partial<Record<Task['kind'], ToCall['what']>> = {
  bed: 'stone',
  lean: 'lean',
  pour: 'concrete',
  haul: 'trucks',
};

export function callsOf(
  takeoff: Takeoff,
  open: readonly DayTask[],
  list: readonly BoardDay[],
  floods: Days['floods'],
  holds: ReturnType<typeof holdsOf>,
): ToCall[] {
  // The working day before a day; the first of the list before any.
  const worked = list.filter((one) => one.worked);
  const dayBefore = (day: string) => worked.findLast((one) => one.day < day)?.day ?? list[0]?.day ?? day;
  const out = open.flatMap((task): ToCall[] => {
    const { id, kind, element, pour, quantity } = task;
    const day = task.begins.slice(0, 10);
    if (kind === 'seen' || kind === 'looked' || kind === 'released') {
      const of =
        kind === 'seen'
          ? ['bottom', 'bay']
          : kind === 'released'
            ? ['bay']
            : ['forms', 'proofing', 'backfill'];
      const role = holds.find(
        (hold) => hold.element === element && hold.kind !== null && of.includes(hold.kind),
      )?.role;
      // He comes by the end of it; who lets a bay go is called while it cures.
      const comes = task.ends.slice(0, 10);
      const by = kind === 'released' ? dayBefore(comes) : day;
      return [{ what: 'look', task: id, day: comes, by, quantity: null, role: role ?? null }];
    }
    const what = WANTS[kind];
    if (!what) return [];
    // Mixed on site it comes in no truck.
    if (kind === 'pour' && takeoff.pours.find((one) => one.id === pour)?.mixed) return [];
    const wanted =
      kind === 'pour' ? (takeoff.pours.find((one) => one.id === pour)?.ordered ?? quantity) : quantity;
    return [{ what, task: id, day, by: dayBefore(day), quantity: wanted, role: null }];
  });
  const short = takeoff.spoil.broughtIn.loose;
  const fill = open.find(({ kind }) => kind === 'fill');
  if (fill && short > 1e-6) {
    const day = fill.begins.slice(0, 10);
    out.push({ what: 'fill', task: fill.id, day, by: dayBefore(day), quantity: short, role: null });
  }
  // A hole that still stands in water when it was given up wants a pump.
  const pumped = new Set<string>();
  for (const { element, still, day } of floods) {
    const task = open.find((one) => one.element === element);
    if (!still || !task || pumped.has(element)) continue;
    pumped.add(element);
    out.push({ what: 'pump', task: task.id, day, by: dayBefore(day), quantity: null, role: null });
  }
  return out.toSorted((p, q) => (p.by < q.by ? -1 : p.by > q.by ? 1 : 0));
}
