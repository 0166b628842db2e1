/** Ways to hold water, and water on the ground, over whole jobs. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newPump } from '../../plan/blank.ts';
import type { Plan } from '../../plan/schema.ts';
import { surfaceRuns } from '../../takeoff/index.ts';
import { named, pad, plainPlan, soilsDown, strip, tilt } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { dewateringMethods, holds } from './dewatering.ts';
import { nightOf } from './night.ts';

/** A pit in sand with water a hand over its bottom, a neighbour's footing east of it, a well north. */
const job = (change: (plan: Plan) => void = () => {}) => {
  const plan = plainPlan((p) => {
    soilsDown(p, ['s', 'sand', 0, { permeability: 1e-4 }]);
    p.ground.water = 99.4;
    p.dig.slope = 0;
    p.elements = named(pad(0, 0, 4, 3, { level: 98.8 }));
    p.ground.hazards = [
      {
        id: 'n',
        name: 'N',
        kind: 'footing',
        points: [
          [8, -3],
          [8, 3],
        ],
        keepOff: 0.5,
        depth: null,
        level: 99,
        projection: 0.2,
        crossing: null,
      },
      {
        id: 'w',
        name: 'W',
        kind: 'well',
        points: [[0, 20]],
        keepOff: 5,
        depth: null,
        level: null,
        projection: null,
        crossing: null,
      },
    ];
    change(p);
  });
  const takeoff = compute(plan);
  expect(takeoff.problems).toEqual([]);
  return { plan, takeoff, held: dewateringMethods(plan, takeoff) };
};

describe('ways to hold a hole', () => {
  it('count pumps by what each moves at the lift, against the high figure', () => {
    const [hole] = job().held;
    for (const { count, flow } of hole!.pumps)
      if (count !== null) {
        expect(count * flow).toBeGreaterThanOrEqual(hole!.inflow[2] * (1 - 1e-9));
        expect((count - 1) * flow).toBeLessThan(hole!.inflow[2]);
      }
    expect(holds(hole!, 'sump')).toBe(true);
    expect(holds(hole!, 'gravity')).toBe(false);
  });

  it('draw the water down sooner with more pumps, and fall less the farther off', () => {
    const times = [1, 2, 4].map((count) => {
      const { held } = job((p) => {
        p.water.pumps = [{ ...newPump(p, 'petrol80', 'E1'), count }];
      });
      return held[0]!.before!.hours[1]!;
    });
    expect(times[0]).toBeGreaterThan(times[1]!);
    expect(times[1]).toBeGreaterThan(times[2]!);
    const { around } = job().held[0]!;
    expect(around.map(({ hazard }) => hazard)).toEqual(['n', 'w']);
    expect(around[0]!.fall[1]).toBeGreaterThan(around[1]!.fall[1]);
  });

  it('are told nothing of where no water is known', () => {
    expect(
      job((p) => {
        p.ground.water = null;
      }).held,
    ).toEqual([]);
  });

  it('a drain of the hole that falls away low enough holds it; one too high does not', () => {
    const drained = (level: number) =>
      job((p) => {
        p.elements = named(
          pad(0, 0, 4, 3, { level: 98.8 }),
          strip(
            [
              [2, 0],
              [14, 0],
            ],
            {
              use: 'drain',
              width: 0.4,
              level: 98.2,
              outfall: { level, head: null, silt: 0, where: 'ditch' },
            },
          ),
        );
      }).held.find(({ gravity }) => gravity !== null);
    expect(drained(97)!.gravity!.low).toBe(true);
    expect(drained(99)!.gravity!.low).toBe(false);
  });
});

describe('water let go on the ground', () => {
  /** Ground that falls toward an angle, a pit at the middle, water let go at so far uphill and aside. */
  const fallen = (angle: number, up: number, aside: number, ditch = false) => {
    const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
    const place = (along: number, across: number): [number, number] => [
      along * ux - across * uy,
      along * uy + across * ux,
    ];
    const { plan, takeoff } = job((p) => {
      p.ground.hazards = [];
      p.elements = named(pad(0, 0, 3, 3));
      tilt(p, 0.03 * ux, 0.03 * uy);
      p.water.surface = [{ id: 's', name: 'S', kind: 'downpipe', at: place(up, aside), area: 60 }];
      if (ditch) p.water.ditches = [{ id: 'd', name: 'D', points: [place(4, -9), place(4, 9)] }];
    });
    return { plan, takeoff, run: surfaceRuns(plan, takeoff.elements)[0]! };
  };

  it('runs into what lies straight downhill, whichever way that is, and past what lies aside', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: 5, max: 12, noNaN: true }),
        (angle, up) => {
          expect(fallen(angle, up, 0).run.element).toBe('E1');
          expect(fallen(angle, up, 8).run.element).toBeNull();
          expect(fallen(angle, -up, 0).run.element).toBeNull();
          expect(fallen(angle, up, 0, true).run.element).toBeNull();
        },
      ),
      { numRuns: 20 },
    );
  });

  it('adds the roof to what runs in: 60 m² at 0.9 of 30 mm is 1.62 m³', () => {
    const runoff = (up: number) => {
      const { plan, takeoff } = fallen(0.3, up, 0);
      const rainy: Plan = {
        ...plan,
        water: {
          ...plan.water,
          storm: { start: '2026-11-25T20:00', depth: 0.03, hours: 6, pattern: 'even', hourly: [] },
        },
      };
      const answer = nightOf(rainy, takeoff);
      if (!answer.ok) throw new Error(answer.fault);
      return answer.night.holes[0]!.course.budget.runoff;
    };
    expect(runoff(6) - runoff(-6)).toBeCloseTo(1.62, 6);
  });
});
