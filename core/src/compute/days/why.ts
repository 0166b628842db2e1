/** Why a task ends later than it was planned: what it waits for is followed back to what is late of itself. */
import type { Placed, Span, Task } from '../../programme/index.ts';

export interface Why {
  readonly code: 'rain' | 'flood' | 'frost' | 'cold' | 'pin' | 'stopped' | 'truck' | 'behind' | 'longer';
  /** The day it was so, where it was one. */
  readonly day: string | null;
  /** What it comes from, where that is another task. */
  readonly task: string | null;
}

export interface Late {
  readonly task: Task;
  readonly now: Placed;
  readonly was: Placed;
  /** Hours more in frozen ground. */
  readonly frozen: number;
  /** Hours it cures longer in days too cold to count. */
  readonly cold: number;
  /** Times it could not be worked at for water. */
  readonly wet: readonly Span[];
}

/** What stopped work on the day it is asked, and what came late to it. */
export interface Held {
  readonly stopped: number;
  readonly truck: ReadonlySet<string>;
}

/**
 * @param lost days nobody works for rain, with their working spans
 * @param today the moment it is asked
 */
export function whyOf(
  all: ReadonlyMap<string, Late>,
  lost: readonly { readonly day: string; readonly span: Span }[],
  today: { readonly day: string; readonly moment: number },
  held: Held,
) {
  const isLate = ({ now, was, task }: Late) => task.done < 1 && now.ends > was.ends + 1;
  const known = new Map<string, Why | null>();
  const own = (late: Late): Why => {
    const { task, now, was, frozen, cold, wet } = late;
    const said = (code: Why['code'], day: string | null = null): Why => ({ code, day, task: null });
    if (held.truck.has(task.id)) return said('truck', today.day);
    if (now.waitsFor?.what === 'day' && task.pin !== null) return said('pin', task.pin);
    const from = Math.min(was.begins, now.begins);
    if (wet.some(([start, end]) => start < now.worked && end > from)) return said('flood');
    const rain = lost.find(({ span }) => span[0] < now.worked && span[1] > from && span[1] > today.moment);
    if (rain && task.resource !== null) return said('rain', rain.day);
    if (frozen > 0) return said('frost');
    if (cold > 0) return said('cold');
    // It should have been done, or begun, before today; nobody logged it.
    if (was.begins < today.moment) return said('behind', null);
    if (held.stopped > 0) return said('stopped', today.day);
    return said('longer');
  };
  const why = (id: string, way: ReadonlySet<string>): Why | null => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const late = all.get(id);
    if (!late || !isLate(late)) return null;
    const needs = late.now.waitsFor?.id ?? null;
    const above = needs !== null && !way.has(needs) ? all.get(needs) : undefined;
    let found: Why;
    if (above && isLate(above)) {
      const root = why(needs!, new Set([...way, id]));
      found = root ? { ...root, task: root.task ?? needs } : own(late);
    } else found = own(late);
    known.set(id, found);
    return found;
  };
  return (id: string): Why | null => why(id, new Set());
}
