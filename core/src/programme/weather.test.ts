/** Weather, bays and water on the days of a job. Values worked by hand, with their steps. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute, programmeOf } from '../compute/index.ts';
import { overrun } from '../day/index.ts';
import type { RecordValue } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import { demo, logged, twoTrenches } from '../testing.ts';
import { momentOf, nextDayOf } from '../time/index.ts';
import { calendarOf, frozenHours, gapIn, outOf, without } from './index.ts';

const two = (change: (p: Plan) => void = () => {}) => twoTrenches('stiffClay', change);
type Records = Parameters<typeof compute>[1];
const of = (plan: Plan, records: Records = [], today: string | null = null) =>
  programmeOf(plan, compute(plan, records), { today, records: records ?? [] });
const task = (days: ReturnType<typeof of>, id: string) => days.tasks.find((one) => one.id === id)!;
const day = (
  name: string,
  rain: number | null,
  low: number | null = null,
  high: number | null = null,
): Plan['days']['weather'][number] => ({ day: name, rain, low, high, from: 'typed' });
/** Days from one on, all alike. */
function days(from: string, count: number, low: number, high: number): Plan['days']['weather'] {
  const out: Plan['days']['weather'] = [];
  for (let at = from; out.length < count; at = nextDayOf(at)) out.push(day(at, 0, low, high));
  return out;
}

describe('frozen ground', () => {
  it('9.4 hours are 12.6 with a sixth frozen to a third of the output, and 198 more at 62', () => {
    // 9.4 · (1 − s + 3 s) = 12.6 where s = (12.6 / 9.4 − 1) / 2 = 0.1702.
    const share = (12.6 / 9.4 - 1) / 2;
    const hours = frozenHours(9.4, share, 1 / 3);
    expect(hours).toBeCloseTo(12.6, 9);
    expect(Math.round(overrun(9.4, hours, 62))).toBe(198);
  });
  it('trebles a strip that lies within it, and says what that costs', () => {
    const plan = two((p) => {
      p.dig.frozenRate = 1 / 3;
      p.prices.machineHour = 62;
      p.site.strips = [
        {
          id: 's',
          name: 'S',
          kind: 'topsoil',
          points: [
            [-5, -5],
            [15, -5],
            [15, 15],
            [-5, 15],
          ],
          thickness: 0.25,
          level: null,
          area: null,
        },
      ];
    });
    const before = of(plan);
    const after = of(plan, [logged('frozen', { depth: 0.5, from: 'typed', when: '2026-11-01' })]);
    const strip_ = task(after, 'strip');
    expect(strip_.work + strip_.frozen).toBeCloseTo(3 * task(before, 'strip').work, 6);
    // The dig is 1.2 deep with upright sides: 0.5 of it is frozen, so its hours are 1 − s + 3 s with s = 0.5/1.2.
    const dig = task(after, 'dig/E1');
    expect((dig.work + dig.frozen) / dig.work).toBeCloseTo(1 + (2 * 0.5) / 1.2, 2);
    expect(after.frost.money).toBeCloseTo(after.frost.hours * 62, 9);
    expect(before.frost).toEqual({ hours: 0, money: 0 });
    expect(after.watch.map(({ code }) => code)).toContain('frost');
    expect(task(after, 'dig/E1').why?.code ?? task(after, 'strip').why?.code).toBe('frost');
  });
  it('is as deep as the hours of the machine say: one rate in figure and sentence', () => {
    const plan = two();
    const takeoff = compute(plan, [logged('frozen', { depth: 0.6, from: 'typed', when: '' })]);
    const [machine] = takeoff.work.machines;
    const share = takeoff.frozen!.volume / takeoff.figures.dig.value;
    expect(machine!.hours).toBeCloseTo(frozenHours(machine!.thawed, share, takeoff.frozen!.rate), 9);
  });
  it('grows in cold days and gives in mild ones; what is cast on it is told before the thaw', () => {
    const plan = two((p) => {
      p.days.weather = [...days('2026-11-02', 6, -14, -6), ...days('2026-11-08', 3, 2, 12)];
      p.days.own = [
        { task: 'pour/footings', rate: null, hours: null, people: null, pin: '2026-11-10', after: [] },
      ];
    });
    const made = of(plan);
    const thaw = made.watch.find(({ code }) => code === 'thaw')!;
    expect(thaw).toMatchObject({ day: '2026-11-08', pour: 'footings' });
    expect(thaw.amount).toBeGreaterThan(0.05);
    // A pour in frost is kept warm.
    expect(
      of(
        two((p) => {
          p.days.weather = days('2026-11-02', 40, -8, 3);
        }),
      ).watch.map(({ code }) => code),
    ).toContain('protect');
    expect(
      of(
        two((p) => {
          p.days.weather = days('2026-11-02', 40, 18, 34);
        }),
      ).watch,
    ).toContainEqual(expect.objectContaining({ code: 'heat', pour: 'footings', amount: 34 }));
  });
});

describe('rain', () => {
  const storm = (mm: number) =>
    two((p) => {
      p.days.start = '2026-11-04';
      p.days.weather = [
        day('2026-11-02', 0),
        day('2026-11-03', 0),
        day('2026-11-04', 0),
        day('2026-11-05', mm / 1000),
        day('2026-11-06', 0),
      ];
    });
  it('takes Thursday: whoever was to work on it works on Friday; a shower takes nothing', () => {
    const [dry, wet] = [of(storm(3)), of(storm(30))];
    expect(dry.days.find((one) => one.day === '2026-11-05')!.lost).toBe(false);
    expect(wet.days.find((one) => one.day === '2026-11-05')!.lost).toBe(true);
    for (const { resource, begins, ends, work, done } of wet.tasks) {
      if (resource === null || work <= 0 || done >= 1) continue;
      expect(begins.slice(0, 10)).not.toBe('2026-11-05');
      expect(ends.slice(0, 10)).not.toBe('2026-11-05');
    }
    expect(wet.last > dry.last).toBe(true);
    const late = wet.tasks.find(({ why }) => why?.code === 'rain' || why?.code === 'flood')!;
    expect(late.late).toBeGreaterThan(0);
    expect(wet.watch[0]).toMatchObject({ code: 'rain', day: '2026-11-05', amount: 0.03 });
  });
  it('stands in what is open by the night’s own balance: nobody works in it until it is dry', () => {
    const made = of(storm(60));
    expect(made.floods.length).toBeGreaterThan(0);
    for (const { element, from, until, still } of made.floods) {
      expect(from < until).toBe(true);
      for (const { kind, element: own, begins, ends, work } of made.tasks)
        if (own === element && work > 0 && (kind === 'trim' || kind === 'bed' || kind === 'forms'))
          expect(ends <= from || begins >= until, `${kind} in water`).toBe(true);
      // Clay lets nothing out, and nobody pumps.
      expect(still).toBe(true);
    }
    expect(made.calls.map(({ what }) => what)).toContain('pump');
  });
  it('on a bottom that would lie bare: it is trimmed when that is over', () => {
    const plan = storm(3);
    plan.days.own = [
      { task: 'pour/footings', rate: null, hours: null, people: null, pin: '2026-11-10', after: [] },
    ];
    expect(of(plan).watch).toContainEqual(
      expect.objectContaining({
        code: 'trimLater',
        day: '2026-11-05',
        elements: ['E1', 'E2'],
        until: '2026-11-06',
      }),
    );
    // Sand takes it.
    const sand = of({
      ...plan,
      ground: { ...plan.ground, soils: plan.ground.soils.map((own) => ({ ...own, kind: 'sand' })) },
    } as Plan);
    expect(sand.watch.map(({ code }) => code)).not.toContain('trimLater');
  });
  it('with a day missing is not guessed', () => {
    const made = of(
      two((p) => {
        p.days.weather = [day('2026-11-02', 0), day('2026-11-04', 0)];
      }),
    );
    expect(made.problems).toMatchObject([{ code: 'weatherGap', path: '/days/weather', value: '2026-11-03' }]);
    expect(gapIn(days('2026-12-30', 4, 0, 1), nextDayOf)).toBeNull();
    const cold = of(
      two((p) => {
        p.days.weather = [day('2026-11-02', 0, 8, 2)];
      }),
    );
    expect(cold.problems).toMatchObject([{ code: 'coldOverWarmDay', path: '/days/weather/0/low' }]);
  });
});

describe('a truck that comes late, and what stopped', () => {
  const truck = (arrived: string) =>
    logged('delivered', {
      day: '2026-11-16',
      of: 'concrete',
      ordered: 6,
      came: 6,
      left: 0,
      due: '09:00',
      arrived,
      ticket: '',
    });
  const ready = (more: Records = []) => {
    const plan = two((p) => {
      for (const e of p.elements) e.method = 'trenchFill' as typeof e.method;
      p.pour.together = [{ id: 'one', name: 'One', elements: ['E1'] }] as unknown as Plan['pour']['together'];
    });
    const look = (element: string, hold: 'bottom' | 'forms') =>
      logged(
        'visit',
        { hold, verdict: 'released', who: 'x', role: 'inspector', what: 'seen by eye', finger: '' },
        { element },
      );
    const done = [
      logged('dug', { machine: plan.dig.machine, when: '2026-11-13', volume: 1000, hours: 8 }),
      ...['E1', 'E2'].flatMap((id) => [look(id, 'bottom'), look(id, 'forms')]),
    ];
    return of(plan, [...done, ...(more ?? [])], '2026-11-16');
  };
  it('moves its pour and the next', () => {
    const pours = (days_: ReturnType<typeof of>) =>
      days_.tasks.filter(({ kind }) => kind === 'pour').map(({ begins }) => begins);
    const [onTime, late] = [pours(ready([truck('09:00')])), pours(ready([truck('14:00')]))];
    expect(onTime.length).toBeGreaterThan(0);
    // 14:00 and 6 m³ at 10 m³ an hour: not before 14:36.
    for (const begins of late) expect(begins >= '2026-11-16T14:36').toBe(true);
    late.forEach((begins, i) => {
      expect(begins > onTime[i]!).toBe(true);
    });
    const why = ready([truck('14:00')]).tasks.find(({ kind, late: days_ }) => kind === 'pour' && days_ > 0);
    expect(why?.why?.code).toBe('truck');
  });
  it('hours that stood are lost to everybody', () => {
    const stood = (hours: number): RecordValue<'stopped'> => ({
      day: '2026-11-16',
      cause: 'waiting',
      hours,
      price: null,
      note: '',
    });
    const [before, after] = [ready(), ready([logged('stopped', stood(3))])];
    const first = (days_: ReturnType<typeof of>) =>
      days_.tasks
        .filter(({ resource, done, work }) => resource === 'crew' && done < 1 && work > 0)
        .map(({ begins }) => begins)
        .toSorted()[0]!;
    expect(first(before).slice(11)).toBe('07:30');
    expect(first(after).slice(11)).toBe('10:30');
  });
});

describe('bays under an old wall', () => {
  /** Only the run: nobody is wanted elsewhere. */
  const porch = () => {
    const plan = demo('chapel-porch');
    plan.elements = plan.elements.filter(({ kind }) => kind === 'underpin');
    plan.ground.obstructions = [];
    return plan;
  };
  const bay = (
    at: string,
    number: number,
    state: RecordValue<'bay'>['state'],
    role: RecordValue<'bay'>['role'] = 'engineer',
  ) =>
    logged(
      'bay',
      { bay: number, state, who: 'E', role, what: state === 'refused' ? 'out to firm ground' : '' },
      { element: 'U1', at: `${at}T10:00:00Z` },
    );
  const cast = (at: string, casts: string[]) =>
    logged('poured', { pour: 'underpinning', casts, volume: null, note: '' }, { at: `${at}T12:00:00Z` });
  const stateOf = (made: ReturnType<typeof of>, number: number) =>
    made.bays.find((one) => one.bay === number && one.element === 'U1')!;
  const all = (state: RecordValue<'bay'>['state'], at: string, numbers = [1, 4, 7]) =>
    numbers.map((number) => bay(at, number, state));

  it('three passes of dig 1, seen 1, pour 1, cure 3, pack 0 are 18 days, and 22 from Monday to Friday', () => {
    const own = (id: string, hours: number) => ({
      task: id,
      rate: null,
      hours,
      people: null,
      pin: null,
      after: [],
    });
    const make = (week: boolean[]) => {
      const plan = porch();
      plan.elements = plan.elements.map((e) => ({ ...e, method: 'trenchFill' as typeof e.method }));
      plan.dig.day = { start: '08:00', hours: 8 };
      plan.days.start = '2026-11-02';
      plan.days.week = week;
      plan.days.notice = 8;
      plan.days.bayCure = 3;
      plan.days.own = [
        own('setout', 0),
        ...[1, 2, 3].flatMap((pass) => [
          own(`dig/U1.${pass}`, 8),
          own(`pack/U1.${pass}`, 0),
          own(`forms/U1.${pass}`, 0),
        ]),
        ...['underpinning', 'underpinning.2', 'underpinning.3'].map((id) => own(`pour/${id}`, 8)),
      ];
      return of(plan);
    };
    const span = (made: ReturnType<typeof of>) =>
      Math.round(
        (Date.parse(`${task(made, 'released/U1.3').ends.slice(0, 10)}T00:00Z`) -
          Date.parse('2026-11-02T00:00Z')) /
          86_400_000,
      ) + 1;
    // Each pass six days by the clock: 2 to 19 November, packed in the morning of the next.
    const seven = make([true, true, true, true, true, true, true]);
    expect(task(seven, 'cure/U1.3').ends.slice(0, 10)).toBe('2026-11-19');
    expect(task(seven, 'cure/U1.1').ends.slice(0, 10)).toBe('2026-11-07');
    expect(span(make([true, true, true, true, true, false, false]))).toBe(22);
  });
  it('no two neighbours are open: bay 2 waits until 1 and 4 are let go by the engineer', () => {
    const plan = porch();
    const shut = of(plan, all('dug', '2026-10-05'), '2026-10-06');
    expect(stateOf(shut, 2)).toMatchObject({ state: 'toCome', next: null, keptBy: [1, 4, 7] });
    const done = [
      ...all('seen', '2026-10-05'),
      cast('2026-10-06', ['U1']),
      ...all('packed', '2026-10-10'),
      ...all('released', '2026-10-10'),
    ];
    expect(stateOf(of(plan, done, '2026-10-12'), 2)).toMatchObject({
      state: 'toCome',
      next: 'dug',
      keptBy: [],
    });
    // Somebody else's word is not his.
    const others = done.map((record) =>
      record.kind === 'bay' && record.value?.state === 'released'
        ? { ...record, value: { ...record.value, role: 'lead' as const } }
        : record,
    );
    expect(stateOf(of(plan, others, '2026-10-12'), 2).next).toBeNull();
    expect(stateOf(of(plan, others, '2026-10-12'), 1).state).toBe('packed');
  });
  it('a refused bay keeps its pass from being cast and moves all after it', () => {
    const plan = porch();
    const first = [...all('seen', '2026-10-05')];
    const good = of(plan, first, '2026-10-06');
    const refused = of(plan, [...first, bay('2026-10-05', 4, 'refused')], '2026-10-06');
    expect(stateOf(good, 1).next).toBe('pour');
    expect(stateOf(refused, 1)).toMatchObject({ next: null, keptBy: [4] });
    expect(stateOf(refused, 4)).toMatchObject({ state: 'refused', next: 'seen', what: 'out to firm ground' });
    expect(stateOf(refused, 3).keptBy).toContain(4);
    for (const id of ['pour/underpinning', 'dig/U1.2', 'released/U1.3'])
      expect(task(refused, id).begins > task(good, id).begins, id).toBe(true);
  });
  it('cures by the clock from when it was cast, and the next pass waits for it', () => {
    const made = of(porch(), [...all('seen', '2026-10-05'), cast('2026-10-06', ['U1'])], '2026-10-07');
    expect(stateOf(made, 1)).toMatchObject({ state: 'poured' });
    expect(task(made, 'cure/U1.1').ends.slice(0, 10)).toBe('2026-10-09');
    expect(task(made, 'dig/U1.2').begins >= task(made, 'released/U1.1').ends).toBe(true);
    expect(
      stateOf(of(porch(), [...all('seen', '2026-10-05'), cast('2026-10-06', ['U1'])], '2026-10-10'), 1).state,
    ).toBe('cured');
  });
  it('what would take the ground from beside it waits for the last pass', () => {
    const plan = demo('chapel-porch');
    const pad = plan.elements.find(({ kind }) => kind === 'pad')!;
    const run = plan.elements.find(({ kind }) => kind === 'underpin')!;
    const [x, y] = 'points' in run ? run.points[0]! : [0, 0];
    Object.assign(pad, { at: [x + 1, y + 0.9], level: 48 });
    const waits = task(of(plan), `dig/${pad.id}`).after;
    expect(waits).toContain('released/U1.3');
    expect(task(of(demo('chapel-porch')), `dig/${pad.id}`).after).not.toContain('released/U1.3');
  });
  it('soil gets out by barrow, belt or bins: trips hold it', () => {
    // 2.4 bank are 3.0 loose: 50 barrows of 0.06; 2 · 15 / 50 + 1.5 = 2.1 min each.
    const barrow = outOf({ by: 'barrow', distance: 15, bin: 1 }, 2.4);
    expect(barrow.trips).toBe(50);
    expect(barrow.hours).toBeCloseTo((50 * 2.1) / 60, 9);
    expect(outOf({ by: 'bins', distance: 15, bin: 0.75 }, 2.4).trips).toBe(4);
    expect(outOf({ by: 'conveyor', distance: 15, bin: 1 }, 2.4).hours).toBeCloseTo(3 / 5, 9);
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 400, noNaN: true }),
        fc.double({ min: 0.05, max: 20, noNaN: true }),
        (bank, bin) => {
          const { loose, trips } = outOf({ by: 'bins', distance: 5, bin }, bank);
          expect(trips * bin).toBeGreaterThanOrEqual(loose - 1e-6);
          expect((trips - 1) * bin).toBeLessThan(loose);
        },
      ),
    );
  });
});

describe('a calendar with times cut out', () => {
  it('is what a walk minute by minute says', () => {
    const base = calendarOf({
      zone: 'UTC',
      week: [true, true, true, true, true, false, false],
      off: [],
      start: '08:00',
      hours: 8,
    });
    const start = momentOf('2026-11-02T08:00', 'UTC')!;
    const minute = 60_000;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 6000 }), fc.integer({ min: 1, max: 2000 })), {
          maxLength: 4,
        }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 1, max: 900 }),
        (cuts, from, work) => {
          const shut = cuts.map(([at, long]) => [start + at * minute, start + (at + long) * minute] as const);
          const own = without(base, shut);
          const works = (at: number) =>
            base.between(at, at + minute) > 0.016 && !shut.some(([p, q]) => at >= p && at < q);
          let left = work;
          let at = start + from * minute;
          while (left > 0) {
            if (works(at)) left--;
            at += minute;
          }
          expect(own.after(start + from * minute, work / 60)).toBeCloseTo(at, -1);
        },
      ),
      { numRuns: 60 },
    );
  });
});
