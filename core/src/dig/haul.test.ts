import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute, truckTimes } from '../compute/index.ts';
import { demo, named, pad, plainPlan, soilsDown, strip } from '../testing.ts';
import { handDug } from './hand.ts';
import { type Fleet, type Hauled, haulage } from './haul.ts';

/** Trucks that stand as long as it takes. */
const fleet = (trucks: number, trip: number, day = 8, more: Partial<Fleet> = {}): Fleet => ({
  trucks,
  trip,
  day,
  loading: 0.1,
  stands: Infinity,
  ...more,
});
const dig = (id: string, hours: number, loads: number): Hauled => ({ id, hours, loads });

describe('trucks by the hour', () => {
  it('one dig of two hours and four loads with trucks enough: one every half hour', () => {
    const { loads, machineWaits, ends } = haulage([dig('a', 2, 4)], fleet(4, 1));
    expect(loads.map((load) => load.from)).toEqual([0, 0.5, 1, 1.5]);
    expect(loads.map((load) => load.full)).toEqual([0.5, 1, 1.5, 2]);
    expect(loads.map((load) => load.truck)).toEqual([0, 1, 2, 0]);
    expect(machineWaits).toBe(0);
    expect(ends).toBe(2);
  });

  it('one truck alone is waited for: half an hour to fill, an hour away', () => {
    const { loads, machineWaits, trucksWait, ends } = haulage([dig('a', 2, 4)], fleet(1, 1));
    expect(loads.map((load) => load.from)).toEqual([0, 1.5, 3, 4.5]);
    expect(machineWaits).toBe(3);
    expect(trucksWait).toBe(0);
    expect(ends).toBe(5);
  });

  it('a load begun in one dig is filled in the next, and the last is part of one', () => {
    const { loads, digs } = haulage([dig('a', 1, 0.6), dig('b', 3, 0), dig('c', 1, 0.9)], fleet(2, 0.5));
    expect(loads.map((load) => load.ids)).toEqual([['a', 'c'], ['c']]);
    expect(loads[1]!.fill).toBeCloseTo(0.5, 9);
    expect(loads[0]!.full).toBeCloseTo(1 + 3 + 0.4 / 0.9, 9);
    expect(digs.map((d) => d.to)).toEqual([1, 4, 5]);
  });

  it('what comes in dribs is heaped, and a truck is wanted when there is a load of it', () => {
    const digs = [dig('a', 1, 0.6), dig('b', 3, 0), dig('c', 1, 0.9)];
    const { loads, loading, ends, machineWaits } = haulage(digs, fleet(1, 0.5, 8, { stands: 1 }));
    expect(loads[0]!.heaped).toBe(true);
    expect(loads[0]!.wanted).toBeCloseTo(1 + 3 + 0.4 / 0.9, 9);
    expect(loads[0]!.full - loads[0]!.from).toBeCloseTo(0.1, 9);
    // The half load that is left comes within the hour and goes straight in.
    expect(loads[1]!.heaped).toBe(false);
    expect(loading).toBeCloseTo(0.1, 9);
    expect(machineWaits).toBeCloseTo(0.5, 9);
    expect(ends).toBeCloseTo(5 + 0.1 + 0.5, 9);
  });

  it('away at night is back in the morning', () => {
    // Full at 7.9 h of an 8 h day, two hours away: there at 8 h, which is next morning.
    const { loads, machineWaits } = haulage([dig('a', 7.9, 1), dig('b', 1, 1)], fleet(1, 2));
    expect(loads[1]!.wanted).toBeCloseTo(7.9, 9);
    expect(loads[1]!.from).toBe(8);
    expect(machineWaits).toBeCloseTo(0.1, 9);
  });

  it('takes away what leaves, no truck twice at once, and more trucks never take longer', () => {
    const digs = fc.array(
      fc.record({
        hours: fc.double({ min: 0.05, max: 6, noNaN: true }),
        loads: fc.double({ min: 0, max: 7, noNaN: true }),
      }),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(
        digs,
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.double({ min: 4, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (some, trucks, trip, day, stands) => {
          const given = some.map((d, i) => dig(`${i}`, d.hours, d.loads));
          const made = haulage(given, fleet(trucks, trip, day, { stands }));
          const whole = given.reduce((sum, d) => sum + d.loads, 0);
          expect(made.loads.reduce((sum, load) => sum + load.fill, 0)).toBeCloseTo(whole, 6);
          const hours = given.reduce((sum, d) => sum + d.hours, 0);
          expect(made.ends).toBeCloseTo(hours + made.machineWaits + made.loading, 6);
          for (const load of made.loads) {
            expect(load.from).toBeGreaterThanOrEqual(load.wanted - 1e-9);
            expect(load.full).toBeGreaterThanOrEqual(load.from);
            expect(load.truck).toBeLessThan(trucks);
          }
          for (let truck = 0; truck < trucks; truck++) {
            const own = made.loads.filter((load) => load.truck === truck);
            for (const [i, load] of own.slice(1).entries())
              expect(load.from).toBeGreaterThanOrEqual(own[i]!.full - 1e-9);
          }
          expect(haulage(given, fleet(trucks + 1, trip, day, { stands })).ends).toBeLessThanOrEqual(
            made.ends + 1e-6,
          );
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('the trucks of a plan', () => {
  const order = (plan: ReturnType<typeof demo>) => plan.elements.map((e) => e.id);

  it('are as many as its loads, and take as long as its machine and its waiting', () => {
    for (const name of ['honey-house', 'cheese-vault', 'drying-barn', 'bell-frame'] as const) {
      const plan = demo(name);
      const takeoff = compute(plan);
      const times = truckTimes(plan, takeoff, order(plan));
      const loads = takeoff.mixed.reduce((sum, entry) => sum + entry.loads, 0);
      expect(times.loads).toHaveLength(loads);
      expect(times.trucks).toHaveLength(loads);
      const { hours } = takeoff.work.machines.find((m) => m.machine === plan.dig.machine)!;
      expect(times.ends).toBeCloseTo(hours + times.machineWaits + times.loading, 6);
    }
  });

  it('soil that is unfit leaves as it comes; of what is kept the heap has the first', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['top', 'topsoil', 0], ['fill', 'madeGround', 0.3]);
      p.elements = named(pad(0, 0, 4, 4), pad(20, 0, 4, 4));
      p.spoil.trucks[0]!.body = 6;
    });
    const takeoff = compute(plan);
    const times = truckTimes(plan, takeoff, ['E2', 'E1']);
    // Made ground all leaves: half the loads from each.
    const from = (id: string) =>
      times.loads.filter((load) => load.ids.includes(id)).reduce((sum, load) => sum + load.fill, 0);
    expect(times.digs.map((d) => d.id)).toEqual(['E2', 'E1']);
    expect(from('E2')).toBeGreaterThan(1);
    expect(times.loads[0]!.ids).toEqual(['E2']);
    expect(times.loads.at(-1)!.ids).toEqual(['E1']);
    const good = plainPlan((p) => {
      soilsDown(p, ['sand', 'sand', 0]);
      p.elements = named(pad(0, 0, 4, 4), pad(20, 0, 4, 4));
      // Something is built, so that not all goes back.
      for (const e of p.elements) e.thickness = 0.8;
      p.spoil.trucks[0]!.body = 1;
    });
    const sand = compute(good);
    const late = truckTimes(good, sand, ['E1', 'E2']);
    expect(sand.spoil.keptLoose).toBeGreaterThan(0);
    // The heap is filled first: the first truck is not wanted at the start.
    expect(late.loads[0]!.ids).not.toContain(late.digs[0]!.id);
  });
});

describe('what is left to hands', () => {
  const crossed = (keepOff: number, more: (plan: ReturnType<typeof plainPlan>) => void = () => {}) =>
    plainPlan((p) => {
      soilsDown(p, ['clay', 'stiffClay', 0]);
      p.dig.slope = 0;
      p.dig.room = 0;
      p.elements = named(
        strip(
          [
            [-5, 0],
            [5, 0],
          ],
          { width: 0.6, method: 'trenchFill', bucket: 0.6 },
        ),
      );
      p.ground.hazards = [
        {
          id: 'h',
          name: 'Pipe',
          kind: 'service',
          points: [
            [0, -8],
            [0, 8],
          ],
          keepOff,
          depth: 0.6,
          level: null,
          projection: null,
          crossing: null,
        },
      ];
      more(p);
    });

  it('a pipe square across a trench: its width by twice the distance kept off, by the depth', () => {
    const takeoff = compute(crossed(0.5));
    const { width, depth } = { width: takeoff.elements[0]!.width.dug, depth: takeoff.elements[0]!.depth };
    expect(takeoff.work.hand.services).toBeCloseTo(width * 1 * depth, 9);
    expect(compute(crossed(0)).work.hand.services).toBe(0);
    // The machine has that much less to do.
    const whole = compute(crossed(0)).work.machines[0]!.hours;
    const share = takeoff.work.hand.services / takeoff.figures.dig.value;
    expect(takeoff.work.machines[0]!.hours).toBeCloseTo(whole * (1 - share), 9);
  });

  it('two pipes in one ditch are kept off once', () => {
    const once = crossed(0.5);
    const twice = crossed(0.5, (p) => {
      p.ground.hazards.push({ ...p.ground.hazards[0]!, id: 'i', name: 'Cable' });
    });
    expect(compute(twice).work.hand.services).toBeCloseTo(compute(once).work.hand.services, 9);
    const near = crossed(0.5, (p) => {
      p.ground.hazards.push({
        ...p.ground.hazards[0]!,
        id: 'i',
        points: [
          [0.4, -8],
          [0.4, 8],
        ],
      });
    });
    expect(compute(near).work.hand.services / compute(once).work.hand.services).toBeCloseTo(1.4, 9);
    expect(handDug(compute(once).solid, [])).toBe(0);
  });

  it('every element is trimmed by its own word, the job’s, or its own soil', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['top', 'topsoil', 0], ['sand', 'sand', 0.2]);
      p.elements = named(pad(0, 0, 2, 2), pad(10, 0, 2, 2, { trim: 0.2 }));
    });
    const [own, said] = compute(plan).elements;
    expect(own!.trim).toBe(0.05);
    expect(said!.trim).toBe(0.2);
    const { handTrim } = compute(plan);
    expect(handTrim.volume).toBeCloseTo(0.05 * own!.bottomArea + 0.2 * said!.bottomArea, 9);
    expect(handTrim.thickness).toBeCloseTo(0.125, 9);
    plan.dig.handTrim = 0.1;
    expect(compute(plan).elements.map((e) => e.trim)).toEqual([0.1, 0.2]);
    // Loose, at six tenths of a cubic metre an hour.
    const { hand } = compute(plan).work;
    expect(hand.hours).toBeCloseTo((hand.trim * 1.25) / 0.6, 9);
  });

  it('a cramped machine is slower by a quarter', () => {
    const free = compute(crossed(0.5)).work.machines[0]!;
    const cramped = compute(
      crossed(0.5, (p) => {
        p.dig.cramped = true;
      }),
    ).work.machines[0]!;
    expect(cramped.slowed).toContain('cramped');
    expect(cramped.hours / free.hours).toBeCloseTo(1.25, 9);
  });
});
