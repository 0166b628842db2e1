import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FIGURE_IDS } from '../../figures/index.ts';
import { newRising } from '../../plan/blank.ts';
import type { Plan } from '../../plan/schema.ts';
import { proofsOf } from '../../proofs/index.ts';
import {
  bedded,
  demo,
  firstStrip,
  foundLow,
  honeyHouse,
  instruct,
  lean,
  named,
  pad,
  plainPlan,
  soilsDown,
  stone,
  strip,
  tilt,
  unbalanced,
} from '../../testing.ts';
import { parseQuantity, type System } from '../../units/index.ts';
import { sectionThrough } from '../views/section.ts';
import { compute } from './compute.ts';
import type { Takeoff } from './takeoff.ts';

/** The check job: ring 14.4 × 8.4 with a cross wall on level ground, bottom 1.2 wide and 1.425 deep. */
const ring = (change: (plan: Plan) => void = () => {}) =>
  plainPlan((p) => {
    p.ground.frost = { ...p.ground.frost, local: 0.95, margin: 0.1 };
    p.dig.slope = 0;
    p.dig.room = 0.3;
    p.elements = named(
      strip(
        [
          [0, 8.4],
          [14.4, 8.4],
        ],
        { group: 'w' },
      ),
      strip(
        [
          [0, 0],
          [14.4, 0],
        ],
        { group: 'w' },
      ),
      strip(
        [
          [14.4, 0],
          [14.4, 8.4],
        ],
        { group: 'w' },
      ),
      strip(
        [
          [0, 0],
          [0, 8.4],
        ],
        { group: 'w' },
      ),
      strip(
        [
          [6, 0],
          [6, 8.4],
        ],
        { group: 'w' },
      ),
    );
    bedded(p, stone(0.3, { topSize: 0.031 }), lean(0.075, 0.075));
    change(p);
  });

const numbersIn = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : value !== null && typeof value === 'object'
      ? Object.values(value).flatMap(numbersIn)
      : [];
/** The soils' last bottom is open; everything else must be finite. */
const finite = (takeoff: Takeoff) =>
  numbersIn({ ...takeoff, soils: [], spoil: { ...takeoff.spoil, strata: [] } }).every(Number.isFinite);

describe('the check ring', () => {
  const takeoff = compute(ring());
  it('digs 63.36 m² by 1.425 m: 90.288 m³', () => {
    expect(takeoff.elements[0]!.formation).toBeCloseTo(98.575, 9);
    expect(takeoff.areas.bottom).toBeCloseTo(63.36, 9);
    expect(takeoff.figures.dig.value).toBeCloseTo(90.288, 9);
  });
  it('has neat 0.6 × axes less shared, and the rest is working space', () => {
    // Footings 0.6 wide: 45.6·0.6 + (8.4 − 0.6)·0.6 = 32.04 m², by 1.425.
    expect(takeoff.overdig.neat).toBeCloseTo(32.04 * 1.425, 9);
    expect(takeoff.overdig.room).toBeCloseTo(90.288 - 32.04 * 1.425, 9);
    expect([takeoff.overdig.bucket, takeoff.overdig.sides, takeoff.overdig.low]).toEqual(
      [0, 0, 0].map((v) => expect.closeTo(v, 9)),
    );
  });
  it('splits it by stratum by depth: topsoil 0.25 of 1.425', () => {
    expect(takeoff.spoil.strata[0]!.bank).toBeCloseTo(63.36 * 0.25, 9);
    expect(takeoff.spoil.strata[1]!.bank).toBeCloseTo(63.36 * 1.175, 9);
  });
  it('takes stone over the bottom, lean concrete past the footing, concrete once at corners', () => {
    expect(takeoff.stone.volume).toBeCloseTo(63.36 * 0.3, 9);
    expect(takeoff.stone.mass).toBeCloseTo(63.36 * 0.3 * 2000, 6);
    // Blinding 0.75 wide: 45.6·0.75 + 7.65·0.75 = 39.9375 m², 75 mm and 20 mm for the uneven stone.
    expect(takeoff.lean.volume).toBeCloseTo(39.9375 * 0.095, 9);
    expect(takeoff.concrete.neat).toBeCloseTo(32.04 * 0.3, 9);
    // 9.612 + 5 % = 10.09, in steps of 0.5: 10.5, in trucks of 6: 2.
    expect(takeoff.concrete).toMatchObject({ ordered: 10.5, loads: 2 });
  });
  it('is ruled by frost with 98.95 under the footing, and says how far the next rule is', () => {
    const { decision } = takeoff.elements[0]!;
    expect(decision).toMatchObject({ governs: 'frost' });
    expect(decision!.underside).toBeCloseTo(98.95, 9);
    expect(takeoff.elements[0]!.fromString).toBeCloseTo(1.925, 9);
  });
  it('balances', () => {
    expect(proofsOf(ring(), takeoff).map((c) => c.code)).toEqual([
      'volume',
      'stratum',
      'stratum',
      'stone',
      'room',
      'stripped',
      'causes',
      'loads',
    ]);
    expect(unbalanced(takeoff)).toEqual([]);
  });
});

describe('what decides the depth', () => {
  const rule = (change: (p: Plan) => void) => compute(ring(change)).elements[0]!.decision!;
  it('is the lowest of frost, bearing, floor build-up and cover', () => {
    expect(
      rule((p) => {
        p.levels.bearing = { soil: 'subsoil', embedment: 1 };
      }),
    ).toMatchObject({ governs: 'bearing', underside: 98.75, next: 'frost' });
    expect(
      rule((p) => {
        p.levels.cover = 1.5;
      }),
    ).toMatchObject({ governs: 'cover', underside: 98.5 });
    const stack = rule((p) => {
      p.levels.floors = [
        {
          id: 'f',
          name: 'Floor',
          level: 99.2,
          above: null,
          string: null,
          count: 'down',
          landing: 'deepen',
          layers: [
            { id: 'a', name: 'slab', material: 'slab', thickness: 0.12, joint: null },
            { id: 'b', name: 'membrane', material: 'membrane', thickness: 0.0003, joint: null },
          ],
        },
      ];
    });
    // 99.2 − 0.1203 is the underside of the floor; the footing 0.3 thick must stay under it.
    expect(stack.governs).toBe('stack');
    expect(stack.underside).toBeCloseTo(98.7797, 9);
  });
  it("is the engineer's word when given, deeper or not, and a footing above frost is named", () => {
    const takeoff = compute(
      ring((p) => {
        instruct(p, 99.3, 'Eng. R. Sol');
      }),
    );
    expect(takeoff.elements[0]!.decision).toMatchObject({
      governs: 'instruction',
      underside: 99.3,
      next: 'frost',
    });
    expect(takeoff.elements[0]!.decision!.margin).toBeCloseTo(-0.35, 9);
    expect(takeoff.cautions.map((c) => c.code)).toEqual(
      expect.arrayContaining(['aboveFrost', 'instruction']),
    );
  });
  it('holds a group to the lowest level any of it needs', () => {
    const plan = ring((p) => {
      tilt(p, -0.02);
    });
    const grouped = compute(plan).elements.map((e) => e.formation);
    expect(new Set(grouped.map((f) => f.toFixed(6))).size).toBe(1);
    const apart = compute({
      ...plan,
      elements: plan.elements.map((e) => ({ ...e, group: '' })),
    }).elements.map((e) => e.formation);
    expect(Math.min(...apart)).toBeCloseTo(grouped[0]!, 9);
    expect(Math.max(...apart)).toBeGreaterThan(grouped[0]! + 0.1);
  });
});

describe('a bottom dug low', () => {
  it('is made up with what the plan says, and only that changes', () => {
    const low = (makeUp: Plan['pour']['makeUp']) =>
      compute(
        ring((p) => {
          p.pour.makeUp = makeUp;
        }),
        foundLow(Object.fromEntries(ring().elements.map(({ id }) => [id, 0.15]))),
      );
    const straight = compute(ring());
    const extra = 63.36 * 0.15;
    expect(low('stone').overdig.low).toBeCloseTo(extra, 9);
    expect(low('stone').stone.volume - straight.stone.volume).toBeCloseTo(extra, 9);
    expect(low('lean').lean.volume - straight.lean.volume).toBeCloseTo(extra, 9);
    // The footing ordered at one thickness swallows half as much again and more.
    expect(low('concrete').concrete.neat - straight.concrete.neat).toBeCloseTo(extra, 9);
    expect(low('concrete').stone.volume).toBeCloseTo(straight.stone.volume, 9);
  });
});

describe('trench-fill', () => {
  it("fills the bucket's width with concrete, and the step is over-dig", () => {
    const takeoff = compute(
      plainPlan((p) => {
        p.dig.slope = 0;
        p.elements = named(
          strip(
            [
              [0, 0],
              [10, 0],
            ],
            { method: 'trenchFill', width: 0.5, thickness: 0.6 },
          ),
        );
      }),
    );
    expect(takeoff.elements[0]!.width).toMatchObject({ needed: 0.5, dug: 0.6, passes: 1 });
    expect(takeoff.overdig.bucket).toBeCloseTo(10 * 0.1 * 1, 9);
    expect(takeoff.concrete.neat).toBeCloseTo(10 * 0.6 * 0.6, 9);
  });
});

describe('changing one thing', () => {
  it('frost 0.95 to 1.30 on Honey house deepens everything with it', () => {
    const plan = honeyHouse();
    const before = compute(plan);
    plan.ground.frost.local = 1.3;
    const after = compute(plan);
    expect(before.elements[0]!.formation - after.elements[0]!.formation).toBeCloseTo(0.35, 9);
    for (const id of ['dig', 'spoil', 'water', 'keep'] as const)
      expect(after.figures[id].value).toBeGreaterThan(before.figures[id].value);
  });

  it('more frost never means less dig, on either demo', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('honey-house', 'bell-frame'),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (name, frost, more) => {
          const at = (local: number) => {
            const plan = demo(name);
            plan.ground.frost.local = local;
            return compute(plan).figures.dig.value;
          };
          expect(at(frost + more)).toBeGreaterThanOrEqual(at(frost) - 1e-6);
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('any plan', () => {
  const anyPlan = fc.record({
    grade: fc.double({ min: -0.05, max: 0.05, noNaN: true }),
    side: fc.constantFrom(0, 0.75, 1, 1.5),
    corners: fc.constantFrom('mitred', 'rounded'),
    frost: fc.double({ min: 0.2, max: 2, noNaN: true }),
    water: fc.option(fc.double({ min: 97, max: 100, noNaN: true })),
    bed: fc.option(fc.double({ min: 0.05, max: 0.6, noNaN: true })),
    pads: fc.array(
      fc.tuple(
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
      ),
      { maxLength: 4 },
    ),
    runs: fc.array(
      fc.tuple(fc.double({ min: -8, max: 8, noNaN: true }), fc.double({ min: -8, max: 8, noNaN: true })),
      { minLength: 2, maxLength: 4 },
    ),
    method: fc.constantFrom('formed', 'trenchFill'),
    low: fc.constantFrom(0, 0.1),
  });
  it('gives finite figures that balance, whatever is drawn', () => {
    fc.assert(
      fc.property(anyPlan, (a) => {
        const plan = plainPlan((p) => {
          tilt(p, a.grade);
          p.ground.frost.local = a.frost;
          p.ground.water = a.water;
          p.dig.slope = a.side;
          p.dig.corners = a.corners;
          p.elements = named(
            strip(a.runs, { method: a.method }),
            ...a.pads.map(([x, y, size, angle]) => pad(x, y, size, size, { angle })),
          );
          if (a.bed !== null) bedded(p, stone(a.bed));
        });
        const lows = plan.elements.map(({ id }) => [id, a.low] as const);
        const takeoff = compute(plan, a.low > 0 ? foundLow(Object.fromEntries(lows)) : []);
        expect(finite(takeoff)).toBe(true);
        expect(unbalanced(takeoff)).toEqual([]);
        for (const id of FIGURE_IDS) expect(takeoff.figures[id].value).toBeGreaterThanOrEqual(0);
        for (const cause of Object.values(takeoff.overdig)) expect(cause).toBeGreaterThan(-1e-6);
        plan.elements.forEach((_, i) => {
          const section = sectionThrough(plan, takeoff, i);
          if (section) expect(numbersIn(section).every(Number.isFinite)).toBe(true);
        });
      }),
      { numRuns: 60 },
    );
  });

  it('is the same whether it was typed in feet and inches or in millimetres', () => {
    const typed = (system: System, texts: readonly [frost: string, size: string, thickness: string]) => {
      const [frost, size, thickness] = texts.map((text) => {
        const parsed = parseQuantity(text, 'size', system, 'en');
        return parsed.ok ? parsed.value : Number.NaN;
      }) as [number, number, number];
      return compute(
        plainPlan((p) => {
          p.ground.frost.local = frost;
          p.elements = named(pad(0, 0, size, size, { thickness }));
        }),
      );
    };
    const imperial = typed('imperial', [`4'`, `4'-0"`, '16']);
    const metres = typed('metric', ['1219.2', '1219.2', '406.4 mm']);
    for (const id of FIGURE_IDS) expect(metres.figures[id].value).toBeCloseTo(imperial.figures[id].value, 9);
    expect(imperial.figures.dig.value).toBeGreaterThan(0);
    const metric = compute(demo('bell-frame'));
    const other = compute({ ...demo('bell-frame'), system: 'metric' });
    expect(other.figures.dig.value).toBe(metric.figures.dig.value);
  });
});

describe('problems', () => {
  const codes = (change: (p: Plan) => void) =>
    compute(ring(change)).problems.map((p) => `${p.code} ${p.path}`);
  it.each<[string, (p: Plan) => void, string]>([
    [
      'a soil that starts below ground',
      (p) => {
        p.ground.logs[0]!.layers[0]!.top = 0.1;
      },
      'soilsStart /ground/logs/0/layers/0/top',
    ],
    [
      'soils out of order',
      (p) => {
        p.ground.logs[0]!.layers[1]!.top = 0;
      },
      'soilsOrder /ground/logs/0/layers/1/top',
    ],
    [
      'a base above the soils',
      (p) => {
        p.ground.knownTo = 0.2;
      },
      'baseAboveSoils /ground/knownTo',
    ],
    [
      'an unknown soil',
      (p) => {
        p.levels.bearing = { soil: 'nope', embedment: 0.1 };
      },
      'unknownSoil /levels/bearing/soil',
    ],
    [
      'a zero bucket',
      (p) => {
        p.dig.buckets = [0];
      },
      'range /dig/buckets/0',
    ],
    [
      'a negative width',
      (p) => {
        firstStrip(p).width = -1;
      },
      'range /elements/0/width',
    ],
    [
      'NaN',
      (p) => {
        firstStrip(p).width = Number.NaN;
      },
      'notFinite /elements/0/width',
    ],
    [
      'Infinity',
      (p) => {
        p.ground.frost.local = Number.POSITIVE_INFINITY;
      },
      'notFinite /ground/frost/local',
    ],
    [
      'a string on another datum',
      (p) => {
        p.levels.string = 0.5;
      },
      'farFromGround /levels/string',
    ],
    [
      'two elements of one id',
      (p) => {
        p.elements[1]!.id = 'E1';
      },
      'duplicateId /elements/1/id',
    ],
    [
      'a wall wider than its footing',
      (p) => {
        p.elements[0]!.rising = newRising(p, 0.9);
      },
      'stemWider /elements/0/rising/thickness',
    ],
    [
      'formation above ground',
      (p) => {
        instruct(p, 101);
      },
      'formationAboveGround /elements/0',
    ],
    [
      'swapped levels',
      (p) => {
        p.levels.string = 98;
      },
      'stringBelowFormation /levels/string',
    ],
    [
      'a trench of no length',
      (p) => {
        p.elements = named(
          strip([
            [1, 1],
            [1, 1],
          ]),
        );
      },
      'zeroLength /elements/0/points',
    ],
    [
      'nothing that decides',
      (p) => {
        p.ground.frost.local = null;
      },
      'noDepth /levels',
    ],
  ])('%s is named, with its path', (_name, change, expected) => {
    const found = codes(change);
    expect(found).toContain(expected);
    expect(finite(compute(ring(change)))).toBe(true);
  });
});

describe('cautions', () => {
  const codes = (change: (p: Plan) => void = () => {}) => compute(ring(change)).cautions.map((c) => c.code);
  it('always say who decides, dig or no dig', () => {
    expect(
      codes((p) => {
        p.elements = [];
      }),
    ).toEqual(['waterUnknown', 'soilAssumed', 'defer']);
    expect(codes().at(-1)).toBe('defer');
  });
  it('stop at unsupported sides, and only warn when they are laid back enough', () => {
    expect(codes()).toContain('unsupported');
    const back = codes((p) => {
      p.dig.slope = 1.5;
    });
    expect(back).not.toContain('unsupported');
    expect(back).toContain('caveIn');
  });
  it('name water, and what it does to the sides', () => {
    expect(codes()).not.toContain('water');
    const wet = codes((p) => {
      p.ground.water = 99.5;
      soilsDown(p, ['a', 'stiffClay', 0]);
    });
    expect(wet).toEqual(expect.arrayContaining(['water', 'waterClass']));
  });
  it('speak of ladders, gas and rescue from 1.22 m, of engineers past 6.1 m', () => {
    expect(codes()).toEqual(
      expect.arrayContaining(['ladder', 'gas', 'rescue', 'edge', 'services', 'thaw', 'softening']),
    );
    expect(
      codes((p) => {
        p.ground.frost.local = 0.4;
        bedded(p);
      }),
    ).not.toContain('ladder');
    expect(
      codes((p) => {
        instruct(p, 93);
      }),
    ).toContain('engineerDepth');
  });
  it('say when the stone is too big or the specified lift too thick', () => {
    expect(
      codes((p) => {
        p.beds[0]!.layers[0]!.topSize = 0.06;
      }),
    ).toContain('stoneSize');
    expect(
      codes((p) => {
        p.beds[0]!.layers[0]!.maxLift = 0.4;
      }),
    ).toContain('liftOverCompactor');
  });
});
