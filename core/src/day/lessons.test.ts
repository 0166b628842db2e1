/** What the log teaches, worked by hand. */
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { honeyHouse, logged } from '../testing.ts';
import { validatePlan } from '../validation/validate.ts';
import { leaveLesson, type Proposal, proposalsOf, takeLesson } from './index.ts';

const plan = () => structuredClone(honeyHouse());
const machine = honeyHouse().dig.machine;
const truck = honeyHouse().spoil.trucks[0]!.id;
const dug = (day: string, volume: number, hours: number, soil: 'sand' | 'softClay' | null = null) =>
  logged('dug', { machine, when: day, volume, hours, soil });
const hauled = (day: string, loads: number, volume: number, more: { trip?: number; all?: boolean } = {}) =>
  logged('hauled', { day, truck, loads, volume, ticket: '', ...more });
const of = <P extends Proposal['of']>(told: readonly Proposal[], what: P) =>
  told.filter((one): one is Extract<Proposal, { of: P }> => one.of === what);

describe('what the log teaches', () => {
  it('is nothing where nothing was logged', () => {
    expect(proposalsOf(plan(), [], 'UTC')).toEqual([]);
  });
  it('is a machine’s output by soil, entries of a day together', () => {
    // Sand: 30 and 20 in 2 and 2 h on the 2nd, 48 in 4 h on the 3rd: 98/8 = 12.25; days 12.5 and 12.
    const told = of(
      proposalsOf(
        plan(),
        [
          dug('2026-11-02', 30, 2, 'sand'),
          dug('2026-11-02', 20, 2, 'sand'),
          dug('2026-11-03', 48, 4, 'sand'),
          dug('2026-11-03', 10, 4),
        ],
        'UTC',
      ),
      'output',
    );
    expect(told).toHaveLength(2);
    expect(told[0]).toMatchObject({
      machine,
      soil: 'sand',
      days: 2,
      value: 12.25,
      low: 12,
      high: 12.5,
      now: null,
    });
    expect(told[1]).toMatchObject({ soil: null, days: 1, value: 2.5 });
  });
  it('is a trip by its loads, and the swell of days on which all of one soil left', () => {
    const records = [
      dug('2026-11-02', 50, 5, 'sand'),
      hauled('2026-11-02', 4, 32, { trip: 40, all: true }),
      hauled('2026-11-02', 3, 24, { trip: 54, all: true }),
      // Part stayed: it tells nothing of how it swells.
      dug('2026-11-03', 50, 5, 'sand'),
      hauled('2026-11-03', 3, 24, { all: false }),
      // Two soils in one: neither is told.
      dug('2026-11-04', 10, 5, 'sand'),
      dug('2026-11-04', 10, 5, 'softClay'),
      hauled('2026-11-04', 3, 24, { all: true }),
    ];
    const told = proposalsOf(plan(), records, 'UTC');
    // (4·40 + 3·54)/7 = 46; 56/50 = 1.12.
    expect(of(told, 'trip')).toMatchObject([{ days: 1, value: 46, now: plan().spoil.trip }]);
    const [swell, ...more] = of(told, 'swell');
    expect(more).toEqual([]);
    expect(swell).toMatchObject({ soil: 'sand', days: 1 });
    expect(swell!.value).toBeCloseTo(0.12, 12);
  });
  it('counts once it is taken, for what it is of alone; left, all is as before', () => {
    const soil = honeyHouse().ground.soils[0]!.kind;
    const records = [
      logged('handDug', { volume: 9, hours: 10 }),
      logged('dug', { machine, when: '2026-11-02', volume: 50, hours: 5, soil }),
      hauled('2026-11-02', 9, 70, { trip: 61, all: true }),
    ];
    const before = compute(plan(), records);
    for (const lesson of proposalsOf(plan(), records, 'UTC')) {
      const taken = plan();
      takeLesson(taken, lesson);
      expect(validatePlan(JSON.parse(JSON.stringify(taken))).ok, lesson.of).toBe(true);
      const now = proposalsOf(taken, records, 'UTC').find(
        (one) =>
          one.of === lesson.of &&
          ('soil' in one ? one.soil : null) === ('soil' in lesson ? lesson.soil : null),
      )!;
      expect(now.now, lesson.of).toBe(lesson.value);
      const after = compute(taken, records);
      if (lesson.of === 'byHand') expect(after.work.hand).toMatchObject({ rate: 0.9, from: 'measured' });
      if (lesson.of === 'output') {
        const strata = after.work.machines[0]!.strata;
        for (const { soil: own, output } of strata)
          expect(output.from).toBe(own.layer.kind === soil ? 'measured' : 'typical');
      }
      if (lesson.of === 'swell') {
        const own = after.soils.find(({ layer }) => layer.kind === soil)!;
        expect(own).toMatchObject({ swellFrom: 'measured' });
        expect(own.swell).toBeCloseTo(0.4, 12);
        expect(after.figures.spoil.value).not.toBe(before.figures.spoil.value);
      }
      leaveLesson(taken, lesson);
      if (lesson.of !== 'trip') expect(compute(taken, records).figures).toEqual(before.figures);
      else expect(taken.spoil.trip).toBe(61);
    }
  });
});
