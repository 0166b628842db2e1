import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { groundModel } from '../ground/index.ts';
import { demo, honeyHouse, named, pad, plainPlan, soilsDown, strip } from '../testing.ts';
import { layeredK } from './holes.ts';
import { equivalentRadius, holeInflow, influence, pitInflow, trenchInflow } from './inflow.ts';

describe('inflow', () => {
  it('to a 12 × 8 pit, k 5e-5, H 4.0, h 1.2: re 5.528, R0 59.397, Q 0.9284 L/s', () => {
    const radius = equivalentRadius(12, 8);
    expect(radius).toBeCloseTo(5.528, 3);
    expect(influence(2.8, 5e-5)).toBeCloseTo(59.397, 3);
    expect(pitInflow(5e-5, 4, 1.2, radius) * 1000).toBeCloseTo(0.9284, 4);
  });

  it('takes a long pit as (a+b)/π and a compact one as √(A/π)', () => {
    expect(equivalentRadius(20, 4)).toBeCloseTo(24 / Math.PI, 12);
    expect(equivalentRadius(4, 20)).toBeCloseTo(24 / Math.PI, 12);
    expect(equivalentRadius(3, 3)).toBeCloseTo(Math.sqrt(9 / Math.PI), 12);
  });

  it('to a trench is that to its ends and its sides, worked by hand', () => {
    // k 1e-4, H 3, h 1, 30 m by 1.2 m. s 2: R0 = 3000·2·0.01 = 60, R = 60.6; L0 = 1750·2·0.01 = 35.
    // Ends π·1e-4·8/ln(101) = 5.4458e-4; sides 1e-4·30·8/35 = 6.8571e-4; together 1.2303e-3.
    expect(trenchInflow(1e-4, 3, 1, 30, 1.2)).toBeCloseTo(1.2303e-3, 6);
  });

  it('of a pit passes into that of a trench without a jump, and a longer one never lets in less', () => {
    const flow = (k: number, head: number, held: number, width: number, times: number) =>
      holeInflow(k, head, held, {
        radius: equivalentRadius(times * width, width),
        length: times * width,
        width,
      });
    fc.assert(
      fc.property(
        fc.double({ min: -8, max: -1, noNaN: true }),
        fc.double({ min: 0.3, max: 6, noNaN: true }),
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 0.97, noNaN: true }),
        (power, width, head, share) => {
          const [k, held] = [10 ** power, head * share];
          const at = (times: number) => flow(k, head, held, width, times);
          // A centimetre longer, at and about either end of the change.
          for (const times of [5, 10])
            expect(at(times + 1e-6) - at(times - 1e-6)).toBeLessThan(1e-5 * at(times));
          for (let times = 1.6; times < 14; times += 0.2)
            expect(at(times + 0.2)).toBeGreaterThanOrEqual(at(times) * (1 - 1e-12));
          const [pit, trench] = [
            pitInflow(k, head, held, equivalentRadius(20 * width, width)),
            trenchInflow(k, head, held, 20 * width, width),
          ];
          expect(at(20)).toBeCloseTo(Math.max(pit, trench), 12);
          expect(at(5)).toBeCloseTo(pitInflow(k, head, held, equivalentRadius(5 * width, width)), 12);
        },
      ),
    );
  });

  it('is nothing without drawdown', () => {
    expect(pitInflow(1e-4, 1, 1, 3)).toBe(0);
    expect(trenchInflow(1e-4, 1, 2, 10, 1)).toBe(0);
  });

  it('weighs the permeability of layers by their thickness', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['a', 'sand', 0, { permeability: 1e-4 }], ['b', 'sand', 2, { permeability: 3e-4 }]);
    });
    expect(layeredK(groundModel(plan).column(0, 0), 1, 4)[1]).toBeCloseTo((1e-4 * 1 + 3e-4 * 2) / 3, 12);
  });
});

describe('pits', () => {
  it('join where openings touch, and report low ≤ likely ≤ high', () => {
    const { holes, inflow } = compute(honeyHouse());
    expect(holes.map((p) => p.elements.length).sort()).toEqual([1, 9]);
    expect(inflow[0]).toBeGreaterThan(0);
    expect(inflow[1]).toBeGreaterThan(inflow[0]);
    expect(inflow[2]).toBeGreaterThan(inflow[1]);
  });

  it('are none when water is lower or unknown', () => {
    const plan = demo('bell-frame');
    expect(compute(plan).holes).toEqual([]);
    plan.ground.water = null;
    expect(compute(plan).inflow).toEqual([0, 0, 0]);
  });

  it('take a single long strip as a trench, and do not mind how the job is turned', () => {
    const wet = (points: [number, number][]) =>
      compute(
        plainPlan((p) => {
          p.ground.water = 99.6;
          p.dig.slope = 0;
          p.elements = named(strip(points));
        }),
      ).holes[0]!;
    const east = wet([
      [0, 0],
      [30, 0],
    ]);
    const skew = wet([
      [5, 5],
      [5 + 30 * Math.cos(1), 5 + 30 * Math.sin(1)],
    ]);
    expect(east.method).toBe('trench');
    expect(skew.inflow[1]).toBeCloseTo(east.inflow[1], 9);
    const small = compute(
      plainPlan((p) => {
        p.ground.water = 99.6;
        p.elements = named(pad(0, 0, 1, 1));
      }),
    ).holes[0]!;
    expect(small.method).toBe('pit');
  });
});
