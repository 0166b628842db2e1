/** A calendar with times cut out of it: what stands under water is not worked at. */
import { HOUR_MS } from '../time/durations.ts';
import type { Calendar, Span } from './calendar.ts';

/** Cut at most: water that comes again and again. */
const MOST = 400;
const NOTHING = 1;

/** @param shut spans nothing is worked in, in any order */
export function without(calendar: Calendar, shut: readonly Span[]): Calendar {
  if (shut.length === 0) return calendar;
  const cuts = shut.toSorted((p, q) => p[0] - q[0]);
  /** The moment at or after one that lies in no cut and can be worked. */
  const next = (moment: number): number => {
    let at = calendar.next(moment);
    for (let k = 0; k < MOST; k++) {
      const cut = cuts.find(([from, to]) => at >= from && at < to);
      if (!cut) return at;
      at = calendar.next(cut[1]);
    }
    return at;
  };
  return {
    zone: calendar.zone,
    next,
    after(moment, hours) {
      let at = next(moment);
      let left = hours;
      for (let k = 0; k < MOST; k++) {
        const end = calendar.after(at, left);
        const cut = cuts.find(([from, to]) => to > at && from < end - NOTHING);
        if (!cut) return end;
        left -= Math.max(0, calendar.between(at, cut[0]));
        at = next(cut[1]);
        if (left * HOUR_MS <= NOTHING) return calendar.after(at, 0);
      }
      return calendar.after(at, left);
    },
    between(from, to) {
      return this.spans(from, to).reduce((sum, [start, end]) => sum + (end - start), 0) / HOUR_MS;
    },
    spans(from, to) {
      let out = calendar.spans(from, to);
      for (const [start, end] of cuts)
        out = out.flatMap(([p, q]): Span[] => {
          if (end <= p || start >= q) return [[p, q]];
          const left: Span[] = [];
          if (start > p) left.push([p, start]);
          if (end < q) left.push([end, q]);
          return left;
        });
      return out;
    },
  };
}
