/** A night over whole jobs: what a plan says, hole by hole, with other means, after it, and by chance. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withTold } from '../../as-dug/index.ts';
import { newPump } from '../../plan/blank.ts';
import type { Plan } from '../../plan/schema.ts';
import { bedded, honeyHouse, lean, named, pad, placed, plainPlan, soilsDown, stone } from '../../testing.ts';
import { compute, computeWith } from '../pipeline/compute.ts';
import { afterNight, chanceDry, gumbelRain, nightMeans, retrimmed, withMeans } from './means.ts';
import { type Night, nightOf } from './night.ts';

/** A pit of 4 × 3 m, 0.9 deep, upright, in clay without ground water; 40 mm of rain from eight in the evening. */
const job = (change: (plan: Plan) => void = () => {}) => {
  const plan = plainPlan((p) => {
    soilsDown(p, ['c', 'stiffClay', 0]);
    p.ground.water = 90;
    p.ground.frost.margin = 0;
    p.dig.slope = 0;
    p.dig.room = 0;
    p.dig.buckets = [0.6];
    p.elements = named(pad(0, 0, 4, 3));
    p.water.storm = { start: '2026-11-25T20:00', depth: 0.04, hours: 6, pattern: 'even', hourly: [] };
    p.water.dryBy = '2026-11-26T07:00';
    change(p);
  });
  return { plan, takeoff: compute(plan) };
};
const night = (change: (plan: Plan) => void = () => {}): Night => {
  const { plan, takeoff } = job(change);
  const answer = nightOf(plan, takeoff);
  if (!answer.ok) throw new Error(answer.fault);
  return answer.night;
};
const pump = (p: Plan, more: Partial<Plan['water']['pumps'][number]> = {}) => {
  p.water.pumps = [{ ...newPump(p, 'electric50', 'E1'), ...more }];
};

describe('a night of 40 mm over a pit of 12 m²', () => {
  it('leaves what falls into it, and 50 m² at 0.4 typed add 0.8 m³', () => {
    const [hole] = night().holes;
    expect(hole!.course.budget.rain).toBeCloseTo(0.48, 6);
    expect(hole!.dryBy).toMatchObject({ at: 11, dry: false });
    // 0.48 m³ on 12 m², less what soaks away into stiff clay.
    expect(hole!.dryBy!.margin).toBeGreaterThan(0.035);
    expect(hole!.dryBy!.margin).toBeLessThanOrEqual(0.0401);
    const [more] = night((p) => {
      p.water.runoff = 0.4;
      p.water.drained = [{ element: 'E1', area: 50, points: [] }];
    }).holes;
    expect(more!.course.budget.runoff).toBeCloseTo(0.8, 6);
    expect(more!.drainsFrom).toBe('typed');
  });

  it('is dry by seven with a pump, wet without, and wet again when it fails at two', () => {
    const wet = (p: Plan) => {
      p.ground.water = 99.6;
      soilsDown(p, ['s', 'siltySand', 0, { permeability: 3e-5 }]);
    };
    const { plan, takeoff } = job((p) => {
      wet(p);
      pump(p);
    });
    const means = Object.fromEntries(nightMeans(plan, takeoff, ['E1']).map((one) => [one.mean, one]));
    expect(means.none).toMatchObject({ dry: false, pumped: 0 });
    expect(means.one).toMatchObject({ dry: true });
    expect(means.failing).toMatchObject({ dry: false });
    expect(means.two!.peak).toBeLessThanOrEqual(means.one!.peak + 0.02);
    expect(means.one!.used).toMatchObject({ of: 'power' });
    expect(means.one!.used!.amount).toBeCloseTo(0.75 * means.one!.pumpHours, 9);
    // A pump that is not there is no other means than none, and a cover only once.
    expect(
      withMeans(
        planOf(() => {}),
        ['E1'],
        'failing',
      ),
    ).toBeNull();
  });

  it('is less under sheets and behind a cut-off, and never dry for sure where ground water is not known', () => {
    const { plan, takeoff } = job((p) => {
      p.water.runoff = 0.4;
      p.water.drained = [{ element: 'E1', area: 50, points: [] }];
      p.ground.water = null;
    });
    const means = Object.fromEntries(nightMeans(plan, takeoff, ['E1']).map((one) => [one.mean, one.peak]));
    expect(means.cover).toBeLessThan(means.none!);
    expect(means.cutOff).toBeLessThan(means.none!);
    const answer = nightOf(plan, takeoff);
    expect(answer.ok && answer.night.holes[0]!.water).toBeNull();
  });

  it('holds water in the pores of a bed that is laid, and asks for the top of the bed to be dry', () => {
    const bare = night((p) => bedded(p, stone(0.2), lean(0.05, 0))).holes[0]!;
    const laid = night((p) => {
      bedded(p, stone(0.2), lean(0.05, 0));
      p.water.bedLaid = true;
    }).holes[0]!;
    expect(laid.surface).toBeCloseTo(laid.floor + 0.25, 9);
    // 0.48 m³ over 12 m² of pores at 0.38: 105 mm, under the lean.
    expect(laid.wet.peak - laid.floor).toBeGreaterThan(2.3 * (bare.wet.peak - bare.floor));
    expect(laid.dryBy!.dry).toBe(true);
  });

  it('says which pump cannot lift so high, and which cannot suck at that height over the sea', () => {
    const [hole] = night((p) => pump(p, { outlet: 111 })).holes;
    expect(hole!.pumps[0]).toMatchObject({ flow: 0, most: 11 });
    expect(hole!.pumps[0]!.lift).toBeCloseTo(111 - 99.1, 6);
    const high = night((p) => {
      pump(p, { kind: 'petrol50' });
      p.ground.frost.local = 2.5;
      p.water.altitude = 4900;
    }).holes[0]!;
    expect(high.pumps[0]!.flow).toBe(0);
  });

  it('says what is wrong with its times', () => {
    const fault = (change: (p: Plan) => void) => {
      const { plan, takeoff } = job(change);
      const answer = nightOf(plan, takeoff);
      return answer.ok ? null : answer.fault;
    };
    expect(fault((p) => Object.assign(p.water, { storm: null }))).toBe('noStorm');
    expect(fault((p) => Object.assign(p.water, { dryBy: '2026-11-25T07:00' }))).toBe('dryBefore');
    expect(fault((p) => Object.assign(p, { elements: [] }))).toBe('nothingDug');
    expect(
      fault((p) => {
        p.water.zone = 'Europe/Madrid';
        p.water.storm!.start = '2026-03-29T02:30';
      }),
    ).toBe('noSuchHour');
  });

  it('leaves a clay bottom to be trimmed again and silt to be scraped; taken, the dig and the make-up grow', () => {
    const { plan, takeoff } = job();
    const answer = nightOf(plan, takeoff);
    if (!answer.ok) throw new Error(answer.fault);
    const after = afterNight(plan, takeoff, answer.night.holes[0]!);
    // Ten millimetres of silt over 12 m²; ten and two an hour of softening, sixty at most, in steps of five.
    expect(after.silt).toBeCloseTo(0.12, 9);
    const [own] = after.elements;
    const hours = answer.night.holes[0]!.wet.hours;
    expect(own!.retrim).toBeCloseTo(Math.ceil((0.01 + 0.002 * hours) / 0.005 - 1e-9) * 0.005, 9);
    expect(after.change!.of.dig).toBeCloseTo(12 * own!.retrim, 6);
    const taken = computeWith(plan, withTold(takeoff.facts, retrimmed(takeoff, after.elements)));
    expect(taken.madeUp).toBeCloseTo(12 * own!.retrim, 6);
    // Two people with buckets: a litre a second.
    expect(after.bail).toBeCloseTo(after.standing / 0.001 / 3600, 9);
    expect(after.pumpOut).toBeNull();
  });

  it('leaves sand and a bottom that stayed dry as they were', () => {
    const dry = job((p) => Object.assign(p.water, { cover: true }));
    const answer = nightOf(dry.plan, dry.takeoff);
    if (!answer.ok) throw new Error(answer.fault);
    expect(afterNight(dry.plan, dry.takeoff, answer.night.holes[0]!)).toMatchObject({
      silt: 0,
      change: null,
    });
  });
});

const planOf = (change: (plan: Plan) => void): Plan => job(change).plan;

describe('the chance of a dry morning', () => {
  it('draws a day’s rain through both figures of the record', () => {
    const record = { two: 0.04, ten: 0.07 };
    expect(gumbelRain(record, 0.5)).toBeCloseTo(0.04, 9);
    expect(gumbelRain(record, 0.9)).toBeCloseTo(0.07, 9);
    expect(gumbelRain(record, 1e-9)).toBe(0);
  });
  it.each([1, 3, 6, 12])(
    'counts rain that fell before the hour expected: %d h on clay, nothing leaving',
    (hours) => {
      const { plan, takeoff } = job((p) => {
        soilsDown(p, ['c', 'stiffClay', 0, { permeability: 1e-12 }]);
        p.water.record = { two: 0.03, ten: 0.04 };
        p.water.storm!.hours = hours;
      });
      const { dry, peaks } = chanceDry(plan, takeoff, ['E1'], 1000)!;
      // There is no worst day of a year without rain in this record.
      expect(dry).toBeLessThan(0.02);
      // What stands in the upright pit is what fell: the record's own depths, whenever they fell.
      const median = peaks[500]!;
      expect(median).toBeGreaterThan(0.025);
      expect(median).toBeLessThan(0.035);
    },
  );
  it('is the same for the same seed, told as it goes, and no less with a pump', () => {
    const record = (p: Plan) => {
      p.water.record = { two: 0.03, ten: 0.06 };
    };
    const bare = job(record);
    const pumped = job((p) => {
      record(p);
      pump(p);
    });
    const shares: number[] = [];
    const once = chanceDry(bare.plan, bare.takeoff, ['E1'], 200, (share) => void shares.push(share))!;
    expect(chanceDry(bare.plan, bare.takeoff, ['E1'], 200)).toEqual(once);
    expect(shares.length).toBeGreaterThan(5);
    expect(once.peaks).toHaveLength(200);
    expect(chanceDry(pumped.plan, pumped.takeoff, ['E1'], 200)!.dry).toBeGreaterThanOrEqual(once.dry);
    expect(chanceDry(job().plan, job().takeoff, ['E1'])).toBeNull();
  });
});

describe('a night over the Honey house', () => {
  const plan = honeyHouse();
  plan.water.storm = { start: '2026-11-25T20:00', depth: 0.03, hours: 6, pattern: 'centre', hourly: [] };
  plan.water.dryBy = '2026-11-26T07:00';
  const takeoff = compute(plan);

  it('closes for every hole, and a centimetre more of rain is never less water', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.1, noNaN: true }), fc.boolean(), (depth, full) => {
        const at = (more: number) => {
          const other = structuredClone(plan);
          other.water.storm!.depth = depth + more;
          other.water.full = full;
          const answer = nightOf(other, takeoff);
          if (!answer.ok) throw new Error(answer.fault);
          return answer.night.holes;
        };
        const [here, wetter] = [at(0), at(0.01)];
        here.forEach(({ course: { budget: b }, wet }, i) => {
          const left = b.before + b.rain + b.runoff + b.seeped - b.soaked - b.pumped - b.drained - b.spilt;
          expect(Math.abs(left - b.after)).toBeLessThan(1e-6);
          expect(wetter[i]!.wet.peak).toBeGreaterThanOrEqual(wet.peak - 0.005);
        });
      }),
      { numRuns: 12 },
    );
  });

  it('is the same night wherever the job lies, turned or shifted', () => {
    const [cos, sin] = [Math.cos(1.1), Math.sin(1.1)];
    const other = placed(plan, ([x, y]) => [x * cos - y * sin + 60, x * sin + y * cos - 20], 1.1, false);
    other.site.boundary = [];
    const bare = { ...plan, site: { ...plan.site, boundary: [] } };
    const peaks = (of: Plan) => {
      const answer = nightOf(of, compute(of));
      if (!answer.ok) throw new Error(answer.fault);
      return answer.night.holes.map(({ wet }) => wet.peak);
    };
    peaks(other).forEach((peak, i) => {
      expect(peak).toBeCloseTo(peaks(bare)[i]!, 3);
    });
  });
});
