import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { logged, named, pad, plainPlan, soilsDown } from '../testing.ts';
import { equivalentRadius, pitInflow } from './inflow.ts';
import { risingHeadEach, risingHeadRange } from './rising-head.ts';

const test = (readings: { minutes: number; level: number }[]) => ({
  length: 1,
  width: 0.8,
  water: 99,
  readings,
});

describe('a recharge test', () => {
  it('of a pit 1.0 × 0.8 m that rises 0.30 m in 18 min gains 0.222 L/s, and its k lets in as much', () => {
    const [k] = risingHeadEach(
      test([
        { minutes: 0, level: 98 },
        { minutes: 18, level: 98.3 },
      ]),
      96,
    );
    // 0.8·0.30/1080 = 2.222e-4 m³/s at a level of 98.15: H 3.00, h 2.15.
    const flow = pitInflow(k!, 3, 2.15, equivalentRadius(1, 0.8));
    expect(flow * 1000).toBeCloseTo(((0.8 * 0.3) / 1080) * 1000, 6);
    expect(k!).toBeGreaterThan(1e-6);
    expect(k!).toBeLessThan(1e-4);
  });

  it('finds the k its readings were made with, within the spread it tells', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -6.5, max: -3.5, noNaN: true }),
        fc.double({ min: 0.6, max: 2, noNaN: true }),
        (power, width) => {
          const k = 10 ** power;
          const radius = equivalentRadius(1.2, width);
          const readings = [{ minutes: 0, level: 98 }];
          // Filled by small steps of its own formula, read ten times on the way up.
          let [level, time] = [98, 0];
          for (let i = 0; i < 10; i++) {
            const to = 98 + 0.06 * (i + 1);
            while (level < to) {
              const step = 0.0005;
              time += (1.2 * width * step) / pitInflow(k, 3, level - 96, radius);
              level += step;
            }
            readings.push({ minutes: time / 60, level });
          }
          const [low, likely, high] = risingHeadRange({ length: 1.2, width, water: 99, readings }, 96)!;
          expect(likely / k).toBeGreaterThan(0.97);
          expect(likely / k).toBeLessThan(1.03);
          expect(low).toBeLessThanOrEqual(likely / 1.5 + 1e-15);
          expect(high).toBeGreaterThanOrEqual(likely * 1.5 - 1e-15);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('that falls, stands, or is as high as the water says nothing', () => {
    expect(
      risingHeadRange(
        test([
          { minutes: 0, level: 98.3 },
          { minutes: 18, level: 98.2 },
        ]),
        96,
      ),
    ).toBeNull();
    expect(
      risingHeadRange(
        test([
          { minutes: 0, level: 98 },
          { minutes: 0, level: 98.2 },
        ]),
        96,
      ),
    ).toBeNull();
    expect(
      risingHeadRange(
        test([
          { minutes: 0, level: 98.99 },
          { minutes: 5, level: 99 },
        ]),
        96,
      ),
    ).toBeNull();
  });

  it('narrows the range of what must be pumped, in its own hole alone, and is measured', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['s', 'siltySand', 0]);
      p.ground.water = 99.6;
      p.elements = named(pad(0, 0, 2, 2), pad(30, 0, 2, 2));
    });
    const before = compute(plan);
    const value = {
      length: 1,
      width: 0.8,
      water: 99.6,
      readings: [
        { minutes: 0, level: 98.6 },
        { minutes: 10, level: 98.8 },
        { minutes: 25, level: 99 },
      ],
    };
    const after = compute(plan, [logged('risingHead', value, { element: 'E1' })]);
    const spread = (of: typeof before, i: number) => of.holes[i]!.inflow[2] / of.holes[i]!.inflow[0];
    expect(spread(after, 0)).toBeLessThan(spread(before, 0) / 3);
    expect(after.holes[0]!.kOrigin).toBe('measured');
    expect(spread(after, 1)).toBeCloseTo(spread(before, 1), 9);
    // Of the whole job it is for both.
    expect(compute(plan, [logged('risingHead', value)]).holes[1]!.kOrigin).toBe('measured');
  });
});
