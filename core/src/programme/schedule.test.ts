/** Days and tasks in time: networks by hand, cures over the change of clocks, bays, and small networks by brute force. */
import { describe, expect, it } from 'vitest';
import { drawnCases, seeded } from '../testing.ts';
import { dayOf, localOf, momentOf } from '../time/index.ts';
import { calendarOf, type WorkWeek } from './calendar.ts';
import { circleOf, schedule, type Timed } from './schedule.ts';

const MON_TO_FRI = [true, true, true, true, true, false, false];
const ALL_DAYS = MON_TO_FRI.map(() => true);
const week = (more: Partial<WorkWeek> = {}): WorkWeek => ({
  zone: 'Europe/Madrid',
  week: MON_TO_FRI,
  off: [],
  start: '08:00',
  hours: 8,
  ...more,
});
const task = (id: string, work: number, after: readonly string[] = [], more: Partial<Timed> = {}): Timed => ({
  id,
  work,
  passes: 0,
  resource: null,
  after,
  from: null,
  ...more,
});
const moment = (local: string, zone = 'Europe/Madrid') => momentOf(local, zone)!;
const shown = (at: number, zone = 'Europe/Madrid') => localOf(at, zone);

describe('working days', () => {
  const calendar = calendarOf(week({ off: ['2026-11-09'] }));
  it('ten hours from Thursday noon end on Friday at 14:00; over a weekend and a day off on Tuesday', () => {
    // Thursday 12–16 is 4, Friday 8–14 is 6.
    expect(shown(calendar.after(moment('2026-11-05T12:00'), 10))).toBe('2026-11-06T14:00');
    // Friday 8 hours, Monday the 9th is off, Tuesday 2.
    expect(shown(calendar.after(moment('2026-11-06T08:00'), 10))).toBe('2026-11-10T10:00');
    expect(shown(calendar.next(moment('2026-11-06T17:00')))).toBe('2026-11-10T08:00');
    expect(calendar.between(moment('2026-11-05T12:00'), moment('2026-11-10T10:00'))).toBeCloseTo(14, 9);
  });
  it('have their hours on both nights the clocks change, in three zones', () => {
    for (const [zone, spring, autumn] of [
      ['Europe/Madrid', '2026-03-29', '2026-10-25'],
      ['America/New_York', '2026-03-08', '2026-11-01'],
      ['Australia/Lord_Howe', '2026-10-04', '2026-04-05'],
    ] as const)
      for (const day of [spring, autumn]) {
        const all = calendarOf(week({ zone, week: ALL_DAYS, start: '00:30', hours: 10 }));
        const from = moment(`${day}T00:30`, zone);
        expect([day, (all.after(from, 10) - from) / 3_600_000]).toEqual([day, 10]);
        // The next hour of work is the next morning's.
        expect(dayOf(all.after(from, 10.5), zone)).not.toBe(day);
        expect(all.between(from, all.after(from, 25))).toBeCloseTo(25, 9);
      }
  });
  it('72 h of cure from Saturday 28 March 2026 14:00 in Madrid end Tuesday 15:00', () => {
    const { tasks } = schedule(
      [task('cure', 0, [], { passes: 72 })],
      moment('2026-03-28T14:00'),
      () => calendar,
    );
    expect(shown(tasks[0]!.ends)).toBe('2026-03-31T15:00');
  });
});

describe('networks by hand', () => {
  const calendar = calendarOf(week());
  const start = moment('2026-11-02T08:00');
  it('one machine: two digs one after the other, the crew behind each', () => {
    // Machine: A 4 h, B 8 h. Crew: a 6 h after A, b 2 h after B.
    // A Mon 8–12, B Mon 12–16 and Tue 8–12; a Mon 12–16 and Tue 8–10; b Tue 12–14.
    const of = schedule(
      [
        task('A', 4, [], { resource: 'machine' }),
        task('B', 8, [], { resource: 'machine' }),
        task('a', 6, ['A'], { resource: 'crew' }),
        task('b', 2, ['B'], { resource: 'crew' }),
      ],
      start,
      () => calendar,
    );
    const when = Object.fromEntries(
      of.tasks.map(({ id, begins, ends }) => [id, [shown(begins), shown(ends)]]),
    );
    expect(shown(of.ends)).toBe('2026-11-03T14:00');
    expect(when.b).toEqual(['2026-11-03T12:00', '2026-11-03T14:00']);
    // The machine alone is at it until Tuesday noon.
    expect(shown(of.bound)).toBe('2026-11-03T12:00');
  });
  it('two calendars: a machine of six days waits for a crew of five', () => {
    const machine = calendarOf(week({ week: [true, true, true, true, true, true, false], hours: 9 }));
    // Crew Friday 8 h; the machine Saturday 9 h of 10, Monday 1; the crew after it Monday from 9.
    const of = schedule(
      [
        task('form', 8, [], { resource: 'crew', from: moment('2026-11-06T08:00') }),
        task('dig', 10, ['form'], { resource: 'machine' }),
        task('trim', 3, ['dig'], { resource: 'crew' }),
      ],
      start,
      ({ resource }) => (resource === 'machine' ? machine : calendar),
    );
    // The machine goes on from Friday 16:00 to 17:00.
    expect(of.tasks.map(({ begins }) => shown(begins))).toEqual([
      '2026-11-06T08:00',
      '2026-11-06T16:00',
      '2026-11-09T08:00',
    ]);
    expect(shown(of.ends)).toBe('2026-11-09T11:00');
    expect(of.tasks[0]!.waitsFor).toEqual({ what: 'day', id: null });
  });
  it('a cure leaves the machine free: what can goes into the gap', () => {
    // Pour Mon 8–10, cures 24 h to Tue 10; pack Tue 10–12 by the crew, who lay 12 h meanwhile Mon 10 – Tue 14.
    const of = schedule(
      [
        task('pour', 2, [], { resource: 'crew', passes: 24 }),
        task('pack', 2, ['pour'], { resource: 'crew' }),
        task('lay', 6, [], { resource: 'crew' }),
      ],
      start,
      () => calendar,
    );
    const at = (id: string) => shown(of.tasks.find((one) => one.id === id)!.begins);
    expect([at('pour'), at('lay'), at('pack')]).toEqual([
      '2026-11-02T08:00',
      '2026-11-02T10:00',
      '2026-11-03T10:00',
    ]);
  });
});

describe('bays', () => {
  /** Dig 1 day, seen 1, pour 1, cure 3 days by the clock, pack in no time; the next pass after. */
  const passes = (count: number): Timed[] =>
    Array.from({ length: count }, (_, i) => i + 1).flatMap((n) => [
      task(`dig${n}`, 8, n > 1 ? [`pack${n - 1}`] : [], { resource: 'crew' }),
      task(`seen${n}`, 8, [`dig${n}`]),
      task(`pour${n}`, 8, [`seen${n}`], { resource: 'crew', passes: 72 }),
      task(`pack${n}`, 0, [`pour${n}`]),
    ]);
  const days = (calendar: WorkWeek) => {
    const start = moment('2026-11-02T08:00');
    const { ends } = schedule(passes(3), start, () => calendarOf(calendar));
    return Math.floor((ends - moment('2026-11-02T00:00')) / 86_400_000) + 1;
  };
  it('in three passes take 18 days of a seven-day week', () => {
    // What ends with a day's work ends that day: the pack of the last pass is in no time.
    const start = moment('2026-11-02T08:00');
    const { tasks } = schedule(passes(3), start, () => calendarOf(week({ week: ALL_DAYS })));
    const last = tasks.find(({ id }) => id === 'pour3')!;
    expect(dayOf(last.ends, 'Europe/Madrid')).toBe('2026-11-19');
    // Six days a pass: 2 to 19 November are 18.
    expect(Math.round((last.ends - start) / 86_400_000 + 0.67)).toBe(18);
  });
  it('and 22 calendar days from Monday to Friday', () => {
    // Mon, Tue, Wed and a cure to Saturday 16:00: packed Monday, three times: Monday the 23rd is the 22nd day.
    expect(days(week())).toBe(22);
  });
});

describe('a circle', () => {
  it('is named, whatever hangs on it', () => {
    expect(
      circleOf([task('a', 1, ['c']), task('b', 1, ['a']), task('c', 1, ['b']), task('d', 1, ['a'])]),
    ).toEqual(['a', 'c', 'b']);
    expect(circleOf([task('a', 1), task('b', 1, ['a']), task('c', 1, ['a', 'b'])])).toBeNull();
  });
});

describe('small networks', () => {
  /** Every order of what may come next, each put as early as it can: the best of all. */
  function best(tasks: readonly Timed[], start: number, calendar: ReturnType<typeof calendarOf>): number {
    let least = Infinity;
    const go = (done: Map<string, number>, free: number, late: number) => {
      if (late >= least) return;
      if (done.size === tasks.length) {
        least = late;
        return;
      }
      for (const own of tasks) {
        if (done.has(own.id) || own.after.some((id) => !done.has(id))) continue;
        const from = Math.max(start, ...own.after.map((id) => done.get(id)!));
        const begins = calendar.next(own.resource ? Math.max(from, free) : from);
        const worked = calendar.after(begins, own.work);
        const ends = worked + own.passes * 3_600_000;
        go(new Map(done).set(own.id, ends), own.resource ? worked : free, Math.max(late, ends));
      }
    };
    go(new Map(), start, start);
    return least;
  }
  it('with one machine are right, never beat the bound or brute force, and mostly end as early as can be', () => {
    const calendar = calendarOf(week({ zone: 'UTC' }));
    const start = moment('2026-11-02T08:00', 'UTC');
    let same = 0;
    let worst = 1;
    const cases = drawnCases(300);
    for (let seed = 1; seed <= cases; seed++) {
      const next = seeded(seed);
      const count = 3 + Math.floor(next() * 4);
      const tasks = Array.from({ length: count }, (_, i) =>
        task(
          `t${i}`,
          1 + Math.floor(next() * 12),
          Array.from({ length: i }, (_before, j) => `t${j}`).filter(() => next() < 0.3),
          {
            resource: next() < 0.7 ? 'machine' : null,
            passes: next() < 0.3 ? 24 * Math.ceil(3 * next()) : 0,
          },
        ),
      );
      const own = schedule(tasks, start, () => calendar);
      const ends = new Map(own.tasks.map((one) => [one.id, one.ends]));
      const busy = own.tasks
        .filter((_, i) => tasks[i]!.resource !== null)
        .toSorted((p, q) => p.begins - q.begins);
      own.tasks.forEach((one, i) => {
        for (const id of tasks[i]!.after) expect(one.begins).toBeGreaterThanOrEqual(ends.get(id)!);
        expect(calendar.between(one.begins, one.worked)).toBeCloseTo(tasks[i]!.work, 6);
      });
      for (const [i, one] of busy.slice(1).entries())
        expect(one.begins).toBeGreaterThanOrEqual(busy[i]!.worked);
      const least = best(tasks, start, calendar);
      expect(own.ends).toBeGreaterThanOrEqual(least);
      expect(least).toBeGreaterThanOrEqual(own.bound);
      if (own.ends === least) same++;
      worst = Math.max(worst, (own.ends - start) / (least - start));
    }
    expect(same / cases).toBeGreaterThan(0.99);
    expect(worst).toBeLessThan(1.2);
  });
  it('are the same twice', () => {
    const calendar = calendarOf(week());
    const tasks = [task('a', 3, [], { resource: 'm' }), task('b', 3, [], { resource: 'm' })];
    const once = () => schedule(tasks, moment('2026-11-02T08:00'), () => calendar);
    expect(once()).toEqual(once());
  });
});
