/** A mended caution is gone, nothing else got worse, and it costs what the plan so mended costs. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Plan } from '../plan/schema.ts';
import { instruct, named, pad, plainPlan, soilsDown, strip } from '../testing.ts';
import { compute } from './compute.ts';
import { MENDED, mendCost, mendOf } from './mends.ts';

const steep = (slope: number, level: number, soil: 'sand' | 'softClay' | 'stiffClay') =>
  plainPlan((p) => {
    soilsDown(p, ['s', soil, 0]);
    p.ground.water = 80;
    p.dig.slope = slope;
    instruct(p, level);
    p.elements = named(
      strip([
        [0, 0],
        [9, 0],
      ]),
      pad(4, 6, 2, 2),
    );
  });
const codes = (plan: Plan) => new Set<string>(compute(plan).cautions.map(({ code }) => code));

describe('what mends a caution', () => {
  it('of sides too steep slopes them back to what the rule asks, and costs the dig of it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 95.5, max: 98, noNaN: true }),
        fc.constantFrom('sand' as const, 'softClay' as const, 'stiffClay' as const),
        (slope, level, soil) => {
          const plan = steep(slope, level, soil);
          const takeoff = compute(plan);
          expect(takeoff.cautions.some(({ code }) => code === 'unsupported')).toBe(true);
          const mend = mendOf(plan, takeoff, 'unsupported')!;
          expect(codes(mend.plan).has('unsupported')).toBe(false);
          const { change, to } = mendCost(plan, takeoff, 'unsupported')!;
          expect(to[0]).toBe(Math.max(...takeoff.elements.map((e) => e.rule.steepest)));
          expect(change.dig).toBeCloseTo(compute(mend.plan).figures.dig.value - takeoff.figures.dig.value, 9);
          expect(change.dig).toBeGreaterThan(0);
        },
      ),
      { numRuns: 15 },
    );
  });

  it('of a floor under the flood raises it as far as is asked', () => {
    const plan = plainPlan((p) => {
      p.levels.floors = [
        {
          id: 'f',
          name: 'F',
          level: 99.2,
          above: null,
          string: null,
          count: 'up',
          landing: 'deepen',
          layers: [],
        },
      ];
      p.ground.hazards = [
        {
          id: 'h',
          name: 'H',
          kind: 'stream',
          points: [
            [30, 0],
            [30, 9],
          ],
          keepOff: 1,
          depth: null,
          level: 99,
          projection: null,
        },
      ];
      p.elements = named(pad(0, 0, 2, 2));
    });
    const takeoff = compute(plan);
    const mend = mendOf(plan, takeoff, 'underFlood')!;
    expect(mend.to).toEqual([99.3, 'level']);
    expect(codes(mend.plan).has('underFlood')).toBe(false);
  });

  it('is nothing where nothing is wrong', () => {
    const plan = steep(2, 99.2, 'stiffClay');
    const takeoff = compute(plan);
    expect(MENDED.map((code) => mendOf(plan, takeoff, code))).toEqual([null, null]);
  });
});
