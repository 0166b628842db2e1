import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute, instructionCost, longSection, ruleCosts } from '../compute/index.ts';
import { designFrost, groundModel } from '../ground/index.ts';
import type { Hazard, Plan } from '../plan/schema.ts';
import { footingPieces } from '../setout/index.ts';
import {
  demo,
  honeyHouse,
  instruct,
  named,
  pad,
  plainPlan,
  seeded,
  strip,
  tilt,
  unbalanced,
} from '../testing.ts';
import { courseFit, floorLevels, floorStacks } from './floors.ts';
import { distanceTo } from './neighbour.ts';
import { stepRule, stepsOf } from './steps.ts';

const floor = (id: string, level: number, more: Partial<Plan['levels']['floors'][number]> = {}) => ({
  id,
  name: id,
  level,
  above: null,
  string: null,
  count: 'down' as const,
  landing: 'deepen' as const,
  layers: [{ id: 'slab', name: 'slab', material: 'slab' as const, thickness: 0.12, joint: null }],
  ...more,
});
const blocks = { id: 'b', name: 'blocks', material: 'block' as const, thickness: 0.19, joint: 0.01 };

describe('floors', () => {
  it('over one another have the sum of their heights, in any order', () => {
    const floors = [floor('c', 2.6, { above: 'b' }), floor('b', 0.9, { above: 'a' }), floor('a', 100.2)];
    expect(Object.fromEntries(floorLevels(floors))).toEqual({
      a: 100.2,
      b: expect.closeTo(101.1, 9),
      c: expect.closeTo(103.7, 9),
    });
  });
  it('measured from themselves are named, whichever way round', () => {
    const problems = (floors: Plan['levels']['floors']) =>
      compute(
        plainPlan((p) => {
          p.levels.floors = floors;
        }),
      ).problems.map((p) => `${p.code} ${p.path}`);
    expect(problems([floor('a', 1, { above: 'b' }), floor('b', 1, { above: 'a' })])).toContain(
      'circular /levels/floors/0/above',
    );
    expect(problems([floor('a', 1, { above: 'x' })])).toContain('unknownFloor /levels/floors/0/above');
    expect(problems([floor('a', 100, { layers: [blocks, floor('f', 0).layers[0]!] })])).toContain(
      'coursesLast /levels/floors/0/layers/0/joint',
    );
  });
  it('stack their layers down from the finished level', () => {
    const plan = plainPlan((p) => {
      p.levels.floors = [
        floor('a', 100.2, {
          layers: [
            { id: '1', name: 'slab', material: 'slab', thickness: 0.12, joint: null },
            { id: '2', name: 'membrane', material: 'membrane', thickness: 0.0003, joint: null },
            blocks,
          ],
        }),
      ];
    });
    const [stack] = floorStacks(plan);
    expect(stack!.underside).toBeCloseTo(100.2 - 0.1203, 9);
    expect(stack!.courses).toMatchObject({ module: expect.closeTo(0.2, 9) });
  });
});

describe('courses', () => {
  it('come out even, or leave a piece to cut or a bed to thicken', () => {
    const coursing = { layer: blocks, unit: 0.19, joint: 0.01, module: 0.2 };
    expect(courseFit(1, coursing)).toEqual({ count: 5, left: 0, cut: null, bed: null });
    const odd = courseFit(1.13, coursing);
    expect(odd.count).toBe(5);
    expect(odd.left).toBeCloseTo(0.13, 9);
    expect(odd.cut).toBeCloseTo(0.12, 9);
    expect(odd.bed).toBeCloseTo(0.14, 9);
    expect(courseFit(1.02, coursing).cut).toBeNull();
  });
  const coursed = (landing: 'deepen' | 'cut' | 'bed') =>
    compute(
      plainPlan((p) => {
        p.levels.floors = [floor('a', 100.2, { landing, layers: [...floor('a', 0).layers, blocks] })];
        p.elements = named(pad(0, 0, 1, 1, { thickness: 0.3 }));
      }),
    ).elements[0]!;
  it('deepen the dig to a whole course, never raise it', () => {
    // Frost asks 99.0; stack's underside 100.08; (100.08 − 0.3 − 99)/0.2 = 3.9, so 4 courses: 98.98.
    const deep = coursed('deepen');
    expect(deep.decision).toMatchObject({ governs: 'course', next: 'frost' });
    expect(deep.underside).toBeCloseTo(98.98, 9);
    expect(deep.decision!.courses).toMatchObject({ count: 4, left: 0 });
    const cut = coursed('cut');
    expect(cut.underside).toBeCloseTo(99, 9);
    expect(cut.decision!.courses!.left).toBeCloseTo(0.18, 9);
  });
  it('of any depth, joint and unit never dig less than without them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        fc.double({ min: 0, max: 0.02, noNaN: true }),
        (frost, unit, joint) => {
          const dug = (courses: boolean) =>
            compute(
              plainPlan((p) => {
                p.ground.frost.local = frost;
                p.levels.floors = [
                  floor('a', 100.3, {
                    layers: [
                      ...floor('a', 0).layers,
                      ...(courses ? [{ ...blocks, thickness: unit, joint }] : []),
                    ],
                  }),
                ];
                p.elements = named(pad(0, 0, 1, 1));
              }),
            ).elements[0]!;
          const [plain, even] = [dug(false), dug(true)];
          expect(even.underside).toBeLessThanOrEqual(plain.underside + 1e-9);
          expect(plain.underside - even.underside).toBeLessThan(unit + joint + 1e-9);
          expect(even.decision!.courses!.left).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a stack that cannot close', () => {
  it('is named when counted up from a formation that is too high', () => {
    const takeoff = compute(
      plainPlan((p) => {
        p.ground.frost.local = 0.3;
        p.levels.floors = [floor('a', 99.9, { count: 'up' })];
        p.elements = named(pad(0, 0, 1, 1, { thickness: 0.3 }));
      }),
    );
    // Underside 99.6, top 99.9, the slab's underside 99.78: 0.12 into the footing.
    const problem = takeoff.problems.find((p) => p.code === 'stackOpen')!;
    expect(problem.path).toBe('/levels/floors/0/level');
    expect(problem.value).toBeCloseTo(0.12, 9);
  });
});

describe('stepped strips', () => {
  /** A strip along x on ground falling at a grade; frost alone decides. */
  const sloped = (grade: number, change: (p: Plan) => void = () => {}) =>
    plainPlan((p) => {
      tilt(p, -grade);
      p.elements = named(
        strip(
          [
            [0, 0],
            [12, 0],
          ],
          { stepped: true, width: 0.6, thickness: 0.3 },
        ),
      );
      change(p);
    });
  const steps = (plan: Plan) => {
    const model = groundModel(plan);
    const element = plan.elements[0]!;
    if (element.kind !== 'strip') throw new Error('strip');
    const [pieces] = footingPieces(plan.elements);
    return stepsOf(plan, model, designFrost(plan, model), element, pieces!)!;
  };

  it('on 1:10 fall 1.2 m over 12 m: four steps of 0.3, each a tread of 3 m', () => {
    const stepped = steps(sloped(0.1));
    expect(stepped).toMatchObject({ height: 0.3, lap: 0.6, tread: 1.2, count: 3 });
    const levels = stepped.stretches.map((s) => s.underside);
    for (let i = 1; i < levels.length; i++) expect(levels[i - 1]! - levels[i]!).toBeCloseTo(0.3, 9);
    for (const s of stepped.stretches.slice(1, -1)) expect(s.s1 - s.s0).toBeCloseTo(3, 1);
  });

  it('follow the lap rule: the larger of twice the step, the thickness and 0.3 m', () => {
    const rule = (thickness: number, height: number | null) => {
      const plan = plainPlan((p) => {
        p.levels.steps.height = height;
      });
      return stepRule(
        plan,
        {
          ...strip([
            [0, 0],
            [1, 0],
          ]),
          thickness,
        },
        null,
      );
    };
    expect(rule(0.3, null)).toMatchObject({ height: 0.3, lap: 0.6 });
    expect(rule(0.5, 0.1)).toMatchObject({ height: 0.1, lap: 0.5 });
    expect(rule(0.2, 0.1)).toMatchObject({ lap: 0.3 });
    // Whole courses of 0.2 in a step of at most 0.5: two.
    expect(
      stepRule(
        plainPlan(),
        {
          ...strip([
            [0, 0],
            [1, 0],
          ]),
          thickness: 0.5,
        },
        0.2,
      ).height,
    ).toBeCloseTo(0.4, 9);
  });

  it('lie nowhere above what the rules ask, step no higher than the rule, tread no shorter', () => {
    const next = seeded(31);
    for (let n = 0; n < 25; n++) {
      const points = Array.from(
        { length: 40 },
        () => [next() * 26 - 6, next() * 12 - 6, 99 + next() * 1.6] as const,
      );
      const plan = sloped(0, (p) => {
        p.ground.surface = { kind: 'spots', points, breaklines: [] };
      });
      const stepped = steps(plan);
      for (const need of stepped.along) {
        const stretch = stepped.stretches.find((s) => need.s >= s.s0 - 1e-9 && need.s <= s.s1 + 1e-9)!;
        // At a step the lower of the two holds the place.
        const lowest = Math.min(
          ...stepped.stretches
            .filter((s) => need.s >= s.s0 - 1e-9 && need.s <= s.s1 + 1e-9)
            .map((s) => s.underside),
        );
        expect(stretch).toBeDefined();
        expect(lowest).toBeLessThanOrEqual(need.level + 1e-9);
      }
      stepped.stretches.forEach((s, i) => {
        const after = stepped.stretches[i + 1];
        if (after) expect(Math.abs(after.underside - s.underside)).toBeLessThanOrEqual(stepped.height + 1e-9);
        if (i > 0 && after) expect(s.s1 - s.s0).toBeGreaterThanOrEqual(stepped.tread - 0.11);
      });
    }
  });

  it('never dig more than one level for the whole strip, and balance', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.2, noNaN: true }), fc.constantFrom(0, 1), (grade, side) => {
        const dig = (stepped: boolean) =>
          compute(
            sloped(grade, (p) => {
              p.dig.slope = side;
              const [first] = p.elements;
              if (first?.kind === 'strip') first.stepped = stepped;
            }),
          );
        const [one, many] = [dig(false), dig(true)];
        expect(unbalanced(many)).toEqual([]);
        expect(many.figures.dig.value).toBeLessThanOrEqual(one.figures.dig.value + 1e-6);
      }),
      { numRuns: 25 },
    );
  });

  it('of two treads dig what two trenches end to end do, upright between them', () => {
    const plan = sloped(0, (p) => {
      // A bank: level at 100 to x = 6, then 99.7.
      p.ground.surface = {
        kind: 'spots',
        points: [
          [-9, -9, 100],
          [6, -9, 100],
          [6.001, -9, 99.7],
          [21, -9, 99.7],
          [-9, 9, 100],
          [6, 9, 100],
          [6.001, 9, 99.7],
          [21, 9, 99.7],
        ],
        breaklines: [
          [1, 5],
          [2, 6],
        ],
      };
      p.dig.slope = 0;
      p.dig.room = 0;
      p.dig.buckets = [0.6];
    });
    const takeoff = compute(plan);
    const { stretches } = takeoff.elements[0]!.steps!;
    expect(stretches.map((s) => s.underside)).toEqual([99, 98.7].map((v) => expect.closeTo(v, 6)));
    // Each tread is 1.0 under its own ground; the step stands where the lower one must begin.
    const [high, low] = stretches as [(typeof stretches)[0], (typeof stretches)[0]];
    const byHand = 0.6 * (high.s1 * 1 + (6 - low.s0) * 1.3 + (12 - 6) * 1);
    expect(takeoff.figures.dig.value).toBeCloseTo(byHand, 2);
    // Concrete: two strips and the lap between them, worked by hand.
    const { lap } = takeoff.elements[0]!.steps!;
    const concrete = 0.6 * (12 * 0.3 + lap * 0.3);
    expect(takeoff.elements[0]!.concrete).toBeCloseTo(concrete, 6);
  });

  it('of the barn land on whole courses everywhere', () => {
    const plan = demo('drying-barn');
    const takeoff = compute(plan);
    takeoff.elements.forEach((element, i) => {
      if (!element.steps) return;
      const stack = takeoff.stacks.find((s) => s.floor.id === plan.elements[i]!.floor)!;
      for (const { underside } of element.steps.stretches) {
        const height = stack.underside - (underside + plan.elements[i]!.thickness);
        expect(height / stack.courses!.module).toBeCloseTo(Math.round(height / stack.courses!.module), 6);
      }
    });
    expect(takeoff.elements.filter((e) => (e.steps?.count ?? 0) > 0).length).toBeGreaterThanOrEqual(3);
    const section = longSection(plan, takeoff, 1)!;
    expect(section.stretches).toHaveLength(takeoff.elements[1]!.steps!.stretches.length);
    expect(section.length).toBeCloseTo(8, 9);
    expect(longSection(plan, takeoff, 99)).toBeNull();
  });

  it('higher than the footing, or lapped shorter than the rule, are warned of', () => {
    const codes = (change: (p: Plan) => void) => compute(sloped(0.1, change)).cautions.map((c) => c.code);
    expect(codes(() => {})).not.toEqual(expect.arrayContaining(['stepHigh']));
    expect(
      codes((p) => {
        p.levels.steps.height = 0.45;
      }),
    ).toContain('stepHigh');
    expect(
      codes((p) => {
        p.levels.steps.lap = 0.4;
      }),
    ).toContain('lapShort');
    expect(
      codes((p) => {
        p.levels.steps.lap = 0.7;
      }),
    ).not.toContain('lapShort');
  });

  it('give way to an engineer’s one level', () => {
    const takeoff = compute(
      sloped(0.1, (p) => {
        instruct(p, 97.5);
      }),
    );
    expect(takeoff.elements[0]!.steps).toBeNull();
    expect(takeoff.elements[0]!.underside).toBe(97.5);
  });
});

describe('hazards', () => {
  const hazard = (more: Partial<Hazard>): Hazard => ({
    id: 'h',
    name: 'h',
    kind: 'service',
    points: [
      [-5, 2],
      [5, 2],
    ],
    keepOff: 1,
    depth: null,
    level: null,
    projection: null,
    crossing: null,
    ...more,
  });
  const clashes = (h: Hazard, change: (p: Plan) => void = () => {}) =>
    compute(
      plainPlan((p) => {
        p.dig.slope = 0;
        p.dig.room = 0;
        p.dig.buckets = [1];
        p.ground.hazards = [h];
        p.elements = named(pad(0, 0, 1, 1));
        change(p);
      }),
    ).clashes;

  it('keep their distance from the opening, measured by hand', () => {
    // The pad's edge is at 0.5; the pipe at 2: 1.5 away.
    expect(clashes(hazard({ keepOff: 1.4 }))).toEqual([]);
    const [clash] = clashes(hazard({ keepOff: 1.8 }));
    expect(clash).toMatchObject({ what: 'keepOff', element: 'E1' });
    expect(clash!.distance).toBeCloseTo(1.5, 9);
    expect(clash!.by).toBeCloseTo(0.3, 9);
    // Battered back 1:1 the opening is 1.0 nearer.
    expect(
      clashes(hazard({ keepOff: 1.4 }), (p) => {
        p.dig.slope = 1;
      })[0]!.distance,
    ).toBeCloseTo(0.5, 9);
  });
  it('a service well under the cut is not in its way', () => {
    expect(clashes(hazard({ keepOff: 1.8, depth: 3.5 }))).toEqual([]);
    expect(clashes(hazard({ keepOff: 1.8, depth: 2.5 }))).toHaveLength(1);
  });
  it('a neighbour’s footing bounds the dig by its line of influence', () => {
    // Underside 99.5, 1.5 away, 45°: no lower than 98.0 there; the dig goes to 99.0.
    const footing = hazard({ kind: 'footing', level: 99.5 });
    expect(clashes(footing)).toEqual([]);
    const deep = clashes(footing, (p) => instruct(p, 97.6))[0]!;
    expect(deep).toMatchObject({ what: 'influence' });
    expect(deep.limit).toBeCloseTo(98, 9);
    expect(deep.by).toBeCloseTo(0.4, 9);
    // 1 in 2: no lower than 98.75.
    const flat = clashes(footing, (p) => {
      p.levels.influence = 0.5;
      instruct(p, 98.6);
    })[0]!;
    expect(flat.limit).toBeCloseTo(98.75, 9);
  });
  it('old concrete that stands into the trench is cut back to what the trench leaves', () => {
    const near = hazard({
      kind: 'footing',
      points: [
        [-5, 0.7],
        [5, 0.7],
      ],
      level: 98,
      projection: 0.3,
    });
    const cut = clashes(near).find((c) => c.what === 'cutBack')!;
    expect(cut.limit).toBeCloseTo(0.2, 9);
    expect(cut.by).toBeCloseTo(0.1, 9);
  });
  it('a stream whose flood level is above the ground is named', () => {
    const flood = clashes(hazard({ kind: 'stream', keepOff: 0.2, level: 100.4 }))[0]!;
    expect(flood.what).toBe('flood');
    expect(flood.by).toBeCloseTo(0.4, 9);
  });
  it('are nought away where line and polygon meet', () => {
    const square = [0, 0, 2, 0, 2, 2, 0, 2];
    expect(distanceTo([[1, 1]], square)).toBe(0);
    expect(
      distanceTo(
        [
          [-1, 1],
          [3, 1],
        ],
        square,
      ),
    ).toBe(0);
    expect(distanceTo([[3, 3]], square)).toBeCloseTo(Math.SQRT2, 9);
    expect(
      distanceTo(
        [
          [-1, 5],
          [5, 5],
        ],
        square,
      ),
    ).toBeCloseTo(3, 9);
  });
});

describe('the engineer’s word', () => {
  it('on a width changes the footing and says so', () => {
    const plan = honeyHouse();
    const before = compute(plan);
    plan.levels.instructions = [
      { id: 'w', level: null, width: 0.9, who: 'Eng. Sol', when: '', why: 'soft', elements: ['T1'] },
    ];
    const after = compute(plan);
    expect(after.elements[0]!.concrete).toBeGreaterThan(before.elements[0]!.concrete * 1.3);
    expect(after.elements[3]!.width.needed).toBe(before.elements[3]!.width.needed);
    expect(after.cautions.find((c) => c.code === 'instructionWidth')!.elements).toEqual(['T1']);
  });
  it('given later overrides what was said before', () => {
    const plan = honeyHouse();
    instruct(plan, 98.9);
    plan.levels.instructions.push({
      ...plan.levels.instructions[0]!,
      id: 'w2',
      level: 98.4,
      elements: ['P1'],
    });
    const takeoff = compute(plan);
    expect(takeoff.elements[0]!.underside).toBe(98.9);
    // Pads of one group go together.
    expect(takeoff.elements[5]!.underside).toBe(98.4);
  });
  it('costs what the plan with it costs more than without it', () => {
    const plan = honeyHouse();
    const without = compute(plan);
    instruct(plan, 98.3);
    const takeoff = compute(plan);
    const change = instructionCost(plan, takeoff, 'w')!;
    expect(change.of.dig).toBeCloseTo(takeoff.figures.dig.value - without.figures.dig.value, 9);
    expect(change.cost).not.toBeNull();
    expect(instructionCost(plan, takeoff, 'nobody')).toBeNull();
  });
});

describe('what each rule would cost', () => {
  it('is nothing for the one that decides, less for a shallower one, more for deeper', () => {
    const plan = honeyHouse();
    const takeoff = compute(plan);
    const costs = ruleCosts(plan, takeoff, 0, 0.2);
    expect(costs.map((c) => c.rule)).toEqual(['deeper', 'frost', 'bearing', 'cover', 'stack']);
    const [deeper, frost, bearing, cover] = costs;
    expect(frost!.change.of.dig).toBeCloseTo(0, 9);
    expect(frost!.change.cost).toBeCloseTo(0, 6);
    expect(bearing!.change.of.dig).toBeLessThan(0);
    expect(cover!.change.of.dig).toBeLessThan(bearing!.change.of.dig);
    expect(deeper!.change.of.dig).toBeGreaterThan(0);
    // Prices of the demo: 9 a m³ dug, 70 a load, 31 a tonne, 98 and 128 a m³.
    const byHand =
      9 * deeper!.change.of.dig +
      70 * deeper!.change.of.loads +
      31 * (deeper!.change.of.stone / 1000) +
      98 * deeper!.change.of.lean +
      128 * deeper!.change.of.concrete;
    expect(deeper!.change.cost).toBeCloseTo(byHand, 6);
    plan.prices = {
      currency: '',
      dig: null,
      load: null,
      stone: null,
      lean: null,
      concrete: null,
      fill: null,
      shoring: null,
      machineHour: null,
    };
    expect(ruleCosts(plan, takeoff, 0, 0.2)[0]!.change.cost).toBeNull();
  });
});

describe('soft clay 0.4 m lower', () => {
  it('at any one log makes bearing decide instead of frost', () => {
    for (const log of [0, 1, 2]) {
      const plan = honeyHouse();
      expect(compute(plan).elements.some((e) => e.decision?.governs === 'bearing')).toBe(false);
      const layer = plan.ground.logs[log]!.layers.find((l) => l.soil === 'soft-clay')!;
      layer.top += 0.4;
      const governed = compute(plan).elements.filter((e) => e.decision?.governs === 'bearing');
      expect(governed.length).toBeGreaterThan(0);
      expect(governed[0]!.decision!.next).toBe('frost');
    }
  });
});

describe('the shallow school', () => {
  const shallow = (change: (s: NonNullable<Plan['levels']['shallow']>) => void = () => {}) => {
    const plan = honeyHouse();
    plan.levels.shallow = {
      length: 8,
      width: 6,
      slab: 0.15,
      edge: 0.4,
      edgeWidth: 0.4,
      bed: 'gravel',
      board: null,
      outfall: { distance: 20, level: 98 },
      fall: 0.01,
    };
    change(plan.levels.shallow);
    return compute(plan);
  };
  it('keeps the frost line in the bed, and always asks for an engineer', () => {
    const takeoff = shallow();
    const found = takeoff.shallow!;
    expect(0.15 + found.bed).toBeGreaterThanOrEqual(found.frost - 1e-9);
    expect(takeoff.cautions.find((c) => c.code === 'shallowSchool')!.weight).toBe('stop');
    // Slab and ring by hand: 8·6·0.15 + (48 − 7.2·5.2)·0.25.
    expect(found.concrete).toBeCloseTo(48 * 0.15 + (48 - 7.2 * 5.2) * 0.25, 9);
  });
  it('needs less bed on insulation', () => {
    const board = shallow((s) => {
      s.board = { thickness: 0.06, conductivity: 0.034 };
    }).shallow!;
    expect(board.bed).toBeLessThan(shallow().shallow!.bed);
  });
  it('drains when the outfall lies low enough', () => {
    const { drain, formation } = shallow().shallow!;
    expect(drain!.arrives).toBeCloseTo(drain!.leaves - 20 * 0.01, 9);
    expect(drain!.leaves).toBeLessThanOrEqual(formation);
    expect(drain!.spare).toBeGreaterThan(0);
    expect(
      shallow((s) => {
        s.outfall = { distance: 20, level: 101 };
      }).shallow!.drain!.spare,
    ).toBeLessThan(0);
    expect(
      shallow((s) => {
        s.outfall = null;
      }).shallow!.drain,
    ).toBeNull();
  });
});
