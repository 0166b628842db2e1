/** A mended caution is gone, nothing else got worse, and it costs what the plan so mended costs. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/schema.ts';
import { bedded, instruct, named, pad, plainPlan, soilsDown, stone, strip } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { REMEDIED } from './remedied.ts';
import { remedyCost, remedyFor } from './remedies.ts';

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
          const mend = remedyFor(plan, takeoff, 'unsupported')!;
          expect(codes(mend.plan).has('unsupported')).toBe(false);
          const { change, to } = remedyCost(plan, takeoff, 'unsupported')!;
          expect(to).toEqual([Math.max(...takeoff.elements.map((e) => e.rule.steepest)), 'slope']);
          expect(change.of.dig).toBeCloseTo(
            compute(mend.plan).figures.dig.value - takeoff.figures.dig.value,
            9,
          );
          expect(change.of.dig).toBeGreaterThan(0);
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
          crossing: null,
        },
      ];
      p.elements = named(pad(0, 0, 2, 2));
    });
    const takeoff = compute(plan);
    const mend = remedyFor(plan, takeoff, 'underFlood')!;
    expect(mend.to).toEqual([99.3, 'level']);
    expect(codes(mend.plan).has('underFlood')).toBe(false);
  });

  it('of a machine that does not reach, or does not get in, is another of the plan that does both', () => {
    const plan = plainPlan((p) => {
      instruct(p, 95.5);
      p.dig.slope = 2;
      const [small] = p.dig.machines;
      const deep = [
        { depth: 0, reach: 9 },
        { depth: 7, reach: 6 },
      ];
      p.dig.machines = [
        { ...small!, id: 'small', name: 'Small', reach: [{ depth: 0, reach: 2 }] },
        { ...small!, id: 'wide', name: 'Wide', reach: deep, width: 4 },
        { ...small!, id: 'fits', name: 'Fits', reach: deep, width: 1.5 },
      ];
      p.dig.machine = 'small';
      p.site.gates = [{ id: 'g', name: 'Gate', at: [0, -6], width: 3 }];
      p.elements = named(pad(0, 0, 2, 2));
    });
    const takeoff = compute(plan);
    const mend = remedyFor(plan, takeoff, 'reach')!;
    expect(mend.to).toEqual({ name: 'Fits' });
    expect(codes(mend.plan).has('reach') || codes(mend.plan).has('gate')).toBe(false);
    // With none that does, nothing is offered.
    const poor = { ...plan, dig: { ...plan.dig, machines: plan.dig.machines.slice(0, 2) } };
    expect(remedyFor(poor, compute(poor), 'reach')).toBeNull();
  });
  it.each([
    [
      'stepHigh',
      (p: Plan) => ({ ...p, levels: { ...p.levels, steps: { height: 0.5, lap: null, tread: null } } }),
    ],
    [
      'lapShort',
      (p: Plan) => ({ ...p, levels: { ...p.levels, steps: { height: null, lap: 0.05, tread: null } } }),
    ],
  ] as const)('of %s is the rule again', (code, wrong) => {
    const plan = wrong(
      plainPlan((p) => {
        p.ground.surface = { kind: 'plane', level: 100, gradeEast: 0.12, gradeNorth: 0 };
        p.elements = named(
          strip(
            [
              [0, 0],
              [14, 0],
            ],
            { stepped: true },
          ),
        );
      }),
    );
    const takeoff = compute(plan);
    expect(codes(plan).has(code)).toBe(true);
    const mend = remedyFor(plan, takeoff, code)!;
    expect(codes(mend.plan).has(code)).toBe(false);
    const [first] = compute(mend.plan).elements;
    const { height, lap } = first!.steps!;
    expect(mend.to).toEqual([code === 'stepHigh' ? height : lap, 'size']);
  });
  it('of a lift too thick for its compactor is what that does, and of a cover assumed that it is so', () => {
    const plan = plainPlan((p) => {
      p.elements = named(pad(0, 0, 2, 2));
      bedded(p, stone(0.6, { maxLift: 0.6, topSize: 0.03, compactor: 'plateLight' }));
      p.levels.cover = 0.5;
      p.assumed = ['/levels/cover'];
    });
    const takeoff = compute(plan);
    const thinner = remedyFor(plan, takeoff, 'liftOverCompactor')!;
    expect(codes(thinner.plan).has('liftOverCompactor')).toBe(false);
    // The compactor held it to that already: what is asked now agrees with what is done.
    const lifts = (p: Plan) => compute(p).beds[0]!.layers[0]!.lifts!;
    expect(thinner.to).toEqual([lifts(plan).limit, 'size']);
    expect(lifts(thinner.plan).thickness).toBe(lifts(plan).thickness);
    const said = remedyFor(plan, takeoff, 'coverAssumed')!;
    expect(said.to).toEqual([0.5, 'size']);
    expect(codes(said.plan).has('coverAssumed')).toBe(false);
    expect(remedyCost(plan, takeoff, 'coverAssumed')!.change.of.dig).toBe(0);
  });

  it('is nothing where nothing is wrong', () => {
    const plan = steep(2, 99.2, 'stiffClay');
    const takeoff = compute(plan);
    expect(REMEDIED.flatMap((code) => remedyFor(plan, takeoff, code) ?? [])).toEqual([]);
  });
});
