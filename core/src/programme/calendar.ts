/**
 * The days a job is worked and their hours, in its own time zone. Work goes on from one working day to the next;
 * what cures or dries goes on by the clock. A day that is shorter or longer by the change of clocks has its working hours all the same.
 */

import { DAY_MS, HOUR_MS } from '../time/durations.ts';
import { momentOf } from '../time/index.ts';

export interface WorkWeek {
  /** IANA. */
  readonly zone: string;
  /** Monday to Sunday: worked or not; at least one is. */
  readonly week: readonly boolean[];
  /** Days off beside those, 2026-12-25. */
  readonly off: readonly string[];
  /** When a day begins, 07:30, and its hours. */
  readonly start: string;
  readonly hours: number;
}

/** From one moment to another, ms since 1970. */
export type Span = readonly [from: number, to: number];

export interface Calendar {
  readonly zone: string;
  /** The moment work can go on at, or after, a moment. */
  next(moment: number): number;
  /** The moment so many hours of work are done, from a moment on. @param hours none: when it can begin at all */
  after(moment: number, hours: number): number;
  /** Hours of work between two moments. */
  between(from: number, to: number): number;
  /** The working spans of it between two moments. */
  spans(from: number, to: number): Span[];
}

/** Days looked ahead for one that is worked: a year and a bit. Beyond it nobody works at all. */
const FARTHEST = 400;
/** Less than this is no work, ms. */
const NOTHING = 1;

/** Day 0 is 1970-01-01, a Thursday. */
const WEEKDAY_OF_0 = 3;
const nameOf = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);
const dayNumber = (name: string): number => Math.round(Date.parse(`${name}T00:00:00Z`) / DAY_MS);

/** @throws never: a week without a working day works on no day, and is refused where it is typed */
export function calendarOf({ zone, week, off, start, hours }: WorkWeek): Calendar {
  const free = new Set(off.map(dayNumber));
  const known = new Map<number, Span | null>();
  /** The working hours of a day; null: none. */
  const spanOf = (day: number): Span | null => {
    const before = known.get(day);
    if (before !== undefined) return before;
    const worked = week[(((day + WEEKDAY_OF_0) % 7) + 7) % 7] === true && !free.has(day);
    const from = worked ? begins(nameOf(day)) : null;
    const span: Span | null = from === null ? null : [from, from + hours * HOUR_MS];
    known.set(day, span);
    return span;
  };
  // A start the clocks skip in spring is the hour after it.
  const begins = (name: string): number | null =>
    momentOf(`${name}T${start}`, zone) ??
    momentOf(`${name}T${String(Number(start.slice(0, 2)) + 1).padStart(2, '0')}${start.slice(2)}`, zone);
  /** The first working span that ends after a moment, and its day. */
  const spanFrom = (moment: number): { readonly day: number; readonly span: Span } | null => {
    // What begins late may run past midnight, and no clock is a day from any other: no time zone is asked for that.
    const first = Math.floor(moment / DAY_MS) - 2;
    for (let day = first; day < first + FARTHEST; day++) {
      const span = spanOf(day);
      if (span && span[1] - moment >= NOTHING) return { day, span };
    }
    return null;
  };
  const next = (moment: number): number => {
    const found = spanFrom(moment);
    return found ? Math.max(moment, found.span[0]) : moment;
  };
  return {
    zone,
    next,
    after(moment, hours_) {
      let left = hours_ * HOUR_MS;
      let at = next(moment);
      while (left > NOTHING) {
        const found = spanFrom(at);
        if (!found) return at + left;
        const from = Math.max(at, found.span[0]);
        const room = found.span[1] - from;
        if (left <= room + NOTHING) return from + left;
        left -= room;
        at = found.span[1];
      }
      return at;
    },
    between(from, to) {
      return this.spans(from, to).reduce((sum, [start_, end]) => sum + (end - start_), 0) / HOUR_MS;
    },
    spans(from, to) {
      const out: Span[] = [];
      for (let at = from; at < to; ) {
        const found = spanFrom(at);
        if (!found || found.span[0] >= to) break;
        out.push([Math.max(at, found.span[0]), Math.min(to, found.span[1])]);
        at = found.span[1];
      }
      return out;
    },
  };
}
