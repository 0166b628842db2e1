/** The days of whole jobs: what the plan makes of itself, what was logged, what cannot be. */
import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/schema.ts';
import { DEMOS, demo, logged, twoTrenches } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { programmeOf } from './programme.ts';

const two = (change: (p: Plan) => void = () => {}) => twoTrenches('sand', change);
const of = (plan: Plan, records: Parameters<typeof compute>[1] = [], today: string | null = null) =>
  programmeOf(plan, compute(plan, records), { today, records });
const task = (days: ReturnType<typeof of>, id: string) => days.tasks.find((one) => one.id === id)!;

describe('the days of a job', () => {
  it.each(DEMOS)(
    'of %s: each after what it needs, machine and crew at one thing at a time, the same twice',
    (name) => {
      const plan = demo(name);
      const days = of(plan, [], '2026-12-01');
      expect(days.problems).toEqual([]);
      expect(days.tasks.length).toBeGreaterThan(3);
      const byId = new Map(days.tasks.map((one) => [one.id, one]));
      for (const one of days.tasks) {
        for (const id of one.after)
          expect(one.begins >= byId.get(id)!.ends, `${one.id} after ${id}`).toBe(true);
        expect(one.rate === null || one.rate > 0).toBe(true);
      }
      for (const resource of ['machine', 'crew']) {
        const own = days.tasks
          .filter((one) => one.resource === resource && one.work > 0.05)
          .toSorted((p, q) => (p.begins < q.begins ? -1 : 1));
        own.slice(1).forEach((one, i) => {
          expect(one.begins >= own[i]!.ends, `${one.id} and ${own[i]!.id}`).toBe(true);
        });
      }
      expect(days.last >= days.bound).toBe(true);
      expect(of(plan, [], '2026-12-01')).toEqual(days);
    },
  );
  it('from its own start, Monday to Friday; concrete is called the working day before', () => {
    const days = of(two());
    expect(days.first).toBe('2026-11-02');
    expect(
      days.days
        .filter(({ worked }) => worked)
        .every(({ day }) => ![0, 6].includes(new Date(day).getUTCDay())),
    ).toBe(true);
    const pour = task(days, 'pour/footings');
    const call = days.calls.find((one) => one.task === pour.id)!;
    expect(call).toMatchObject({ what: 'concrete', day: pour.begins.slice(0, 10) });
    expect(call.by < call.day).toBe(true);
  });
  it('a rate typed moves its task; a pin holds it; what is typed to come first does', () => {
    const slow = of(
      two((p) => {
        p.days.own = [
          { task: 'forms/E1', rate: 0.1, hours: null, people: 2, pin: '2026-11-11', after: ['forms/E2'] },
        ];
      }),
    );
    const own = task(slow, 'forms/E1');
    // 0.1 m² a person and hour by two.
    expect(own.work).toBeCloseTo(own.quantity! / 0.2, 9);
    expect(own.from).toBe('typed');
    expect(own.begins >= '2026-11-11').toBe(true);
    expect(own.begins >= task(slow, 'forms/E2').ends).toBe(true);
  });
  it('two days logged move what is left; what comes before what was begun is done', () => {
    const plan = two();
    const whole = compute(plan).figures.dig.value;
    const dug = (volume: number) =>
      logged('dug', { machine: 'machine-1', when: '2026-11-02', volume, hours: 4 });
    const days = of(plan, [dug(whole * 0.5), dug(whole * 0.25)], '2026-11-04');
    expect(task(days, 'dig/E1').done).toBeCloseTo(1, 9);
    expect(task(days, 'dig/E2').done).toBeCloseTo(0.5, 9);
    expect(task(days, 'setout').done).toBe(1);
    expect(days.first).toBe('2026-11-04');
  });
  it('late is told in working days against the plan as it stood', () => {
    const plan = two();
    const days = of(plan, [], '2026-11-09');
    // A week later with nothing done: five working days.
    expect(task(days, 'fill/E2').late).toBe(5);
  });
});

describe('what cannot be', () => {
  const codes = (change: (p: Plan) => void, today: string | null = null) =>
    of(two(change), [], today).problems.map(({ code, path }) => [code, path]);
  it('a week without a working day; tasks in a circle; a pin before today; a day that is none', () => {
    expect(codes((p) => void p.days.week.fill(false))).toEqual([['noWorkday', '/days/week']]);
    const own = (name: string, after: string[], pin: string | null = null) => ({
      task: name,
      rate: null,
      hours: null,
      people: null,
      pin,
      after,
    });
    expect(
      codes((p) => {
        p.days.own = [own('setout', ['pour/footings'])];
      }),
    ).toEqual([['taskCircle', '/days/own/0/after']]);
    expect(
      codes((p) => {
        p.days.own = [own('forms/E1', [], '2026-11-03')];
      }, '2026-11-10'),
    ).toEqual([['pinPast', '/days/own/0/pin']]);
    expect(
      codes((p) => {
        p.days.off = ['2026-02-30'];
      }),
    ).toEqual([['noSuchDay', '/days/off/0']]);
  });
});
