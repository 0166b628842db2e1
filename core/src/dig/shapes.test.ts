import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { Plan } from '../plan/schema.ts';
import { instruct, named, pad, plainPlan, raft, ramp, strip, tank, tilt, unbalanced } from '../testing.ts';

type Points = readonly (readonly [number, number])[];

/** Ground at 100, every underside at 98 unless said otherwise: cuts 2 m deep. */
const cut = (change: (plan: Plan) => void) =>
  compute(
    plainPlan((p) => {
      instruct(p, 98);
      p.dig.slope = 0;
      p.dig.room = 0;
      change(p);
      p.elements = p.elements.map((e) => ({ ...e, room: 0 }));
    }),
  );
/** A plan of just these. */
const holding =
  (...elements: Parameters<typeof named>) =>
  (p: Plan): void => {
    p.elements = named(...elements);
  };
const dug = (change: (plan: Plan) => void) => {
  const takeoff = cut(change);
  expect(takeoff.problems).toEqual([]);
  expect(unbalanced(takeoff)).toEqual([]);
  return takeoff.figures.dig.value;
};

const L: Points = [
  [0, 0],
  [9, 0],
  [9, 3],
  [4, 3],
  [4, 8],
  [0, 8],
];
const T: Points = [
  [0, 0],
  [9, 0],
  [9, 2],
  [6, 2],
  [6, 7],
  [3, 7],
  [3, 2],
  [0, 2],
];
const U: Points = [
  [0, 0],
  [9, 0],
  [9, 6],
  [7, 6],
  [7, 2],
  [2, 2],
  [2, 6],
  [0, 6],
];
const X: Points = [
  [3, 0],
  [6, 0],
  [6, 3],
  [9, 3],
  [9, 6],
  [6, 6],
  [6, 9],
  [3, 9],
  [3, 6],
  [0, 6],
  [0, 3],
  [3, 3],
];
const area = (points: Points) =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [u, v] = points[(i + 1) % points.length]!;
      return sum + x * v - u * y;
    }, 0) / 2,
  );
const round = (points: Points) =>
  points.reduce((sum, [x, y], i) => {
    const [u, v] = points[(i + 1) % points.length]!;
    return sum + Math.hypot(u - x, v - y);
  }, 0);
const turned = (points: Points, angle: number, dx: number, dy: number): Points =>
  points.map(([x, y]) => [
    dx + x * Math.cos(angle) - y * Math.sin(angle),
    dy + x * Math.sin(angle) + y * Math.cos(angle),
  ]);

describe('outlined pits', () => {
  it.each([
    ['L', L],
    ['T', T],
    ['U', U],
    ['X', X],
  ] as const)('%s upright: area × depth', (_, outline) => {
    expect(dug(holding(tank(outline)))).toBeCloseTo(area(outline) * 2, 9);
  });

  // Square corners: the outline moved out by d has A + P·d + 4·d²; summed over the depth,
  // V = A·D + P·m·D²/2 + 4·m²·D³/3. Holds while no notch closes: m·D < half the narrowest.
  it.each([
    ['L', L],
    ['T', T],
    ['X', X],
  ] as const)('%s sloped: the outline grown with height', (_, outline) => {
    const m = 0.5;
    const value = dug((p) => {
      p.dig.slope = m;
      p.elements = named(tank(outline));
    });
    expect(value).toBeCloseTo(area(outline) * 2 + (round(outline) * m * 4) / 2 + (4 * m * m * 8) / 3, 8);
  });
  it('U whose notch closes on the way up: the notch counted once', () => {
    // Notch 5 wide and 4 deep in plan; sides 1.5:1 over 2 m close it at 5/(2·1.5) = 1.667 m.
    // By height h < 1.667 the notch left is (5 − 3h)·(4): its open end moves out with the front,
    // its floor rises by 1.5h from below and the front by 1.5h above: 4 − 1.5h + 1.5h = 4 long.
    const m = 1.5;
    const value = dug((p) => {
      p.dig.slope = m;
      p.elements = named(tank(U));
    });
    const outer = (h: number) => (9 + 2 * m * h) * (6 + 2 * m * h);
    const notch = (h: number) => Math.max(0, 5 - 2 * m * h) * 4;
    // Simpson over each smooth part is exact for these quadratics.
    const simpson = (f: (h: number) => number, a: number, b: number) =>
      ((b - a) / 6) * (f(a) + 4 * f((a + b) / 2) + f(b));
    const closes = 5 / (2 * m);
    const exact = simpson(outer, 0, 2) - simpson(notch, 0, closes);
    expect(value).toBeCloseTo(exact, 8);
  });
  it('rounded corners: πd² in place of 4d² at the outer corners', () => {
    const m = 0.5;
    const value = dug((p) => {
      p.dig.slope = m;
      p.dig.corners = 'rounded';
      p.elements = named(
        tank([
          [0, 0],
          [6, 0],
          [6, 4],
          [0, 4],
        ]),
      );
    });
    expect(value).toBeCloseTo(24 * 2 + (20 * m * 4) / 2 + (Math.PI * m * m * 8) / 3, 6);
  });
  it('the same wherever it lies, however it is turned, from whichever corner it is drawn', () => {
    const value = (outline: Points) =>
      dug((p) => {
        p.dig.slope = 0.75;
        p.elements = named(tank(outline));
      });
    const plain = value(L);
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.integer({ min: 0, max: 5 }),
        fc.boolean(),
        (angle, start, back) => {
          const shifted = [...L.slice(start), ...L.slice(0, start)];
          const outline = turned(back ? shifted.reverse() : shifted, angle, 3, -7);
          expect(Math.abs(value(outline) / plain - 1)).toBeLessThan(1e-9);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('an L is the same as the two trenches it is made of', () => {
    const two = dug((p) => {
      p.dig.slope = 0.5;
      p.elements = named(
        tank([
          [0, 0],
          [9, 0],
          [9, 3],
          [0, 3],
        ]),
        tank([
          [0, 0],
          [4, 0],
          [4, 8],
          [0, 8],
        ]),
      );
    });
    const one = dug((p) => {
      p.dig.slope = 0.5;
      p.elements = named(tank(L));
    });
    expect(two).toBeCloseTo(one, 8);
  });
  it('on sloping ground, upright: area × depth at the centroid', () => {
    // Centroid of L: two rectangles 9×3 at (4.5, 1.5) and 4×5 at (2, 5.5).
    const cx = (27 * 4.5 + 20 * 2) / 47;
    const cy = (27 * 1.5 + 20 * 5.5) / 47;
    const value = dug((p) => {
      tilt(p, 0.04, -0.02);
      p.elements = named(tank(L));
    });
    expect(value).toBeCloseTo(47 * (2 + 0.04 * cx - 0.02 * cy), 9);
  });
  it('working space is the outline moved out', () => {
    const plan = plainPlan((p) => {
      instruct(p, 98);
      p.dig.slope = 0;
      p.elements = named(
        tank(
          [
            [0, 0],
            [7.2, 0],
            [7.2, 3.8],
            [0, 3.8],
          ],
          { room: 0.8 },
        ),
      );
    });
    const takeoff = compute(plan);
    expect(takeoff.figures.dig.value).toBeCloseTo(8.8 * 5.4 * 2, 9);
    expect(takeoff.overdig.room).toBeCloseTo((8.8 * 5.4 - 7.2 * 3.8) * 2, 9);
  });
  it('a box: concrete is what is not hollow, and fills its own room in the ground', () => {
    const takeoff = cut((p) => {
      instruct(p, 97);
      p.elements = named(
        tank(
          [
            [0, 0],
            [7.2, 0],
            [7.2, 3.8],
            [0, 3.8],
          ],
          { thickness: 0.3, wall: 0.2, height: 2.9, roof: 0.2 },
        ),
      );
    });
    const outer = 7.2 * 3.8 * 2.9;
    const hollow = 6.8 * 3.4 * 2.4;
    expect(takeoff.concrete.neat).toBeCloseTo(outer - hollow, 9);
    // Back over it goes the 0.1 m over its roof.
    expect(takeoff.spoil.backfill).toBeCloseTo(7.2 * 3.8 * 0.1, 9);
  });
  it('a box that stands out of the ground takes only its buried part from the backfill', () => {
    const takeoff = cut((p) => {
      p.elements = named(
        tank(
          [
            [0, 0],
            [5, 0],
            [5, 4],
            [0, 4],
          ],
          { height: 2.6 },
        ),
      );
    });
    expect(takeoff.spoil.backfill).toBeCloseTo(0, 9);
  });
});

describe('supports', () => {
  it('benched: each bench an upright pit that stands back', () => {
    const value = dug((p) => {
      p.dig.support = 'bench';
      p.dig.bench = { height: 0.8, width: 1 };
      p.elements = named(
        tank([
          [0, 0],
          [6, 0],
          [6, 4],
          [0, 4],
        ]),
      );
    });
    expect(value).toBeCloseTo(24 * 0.8 + 8 * 6 * 0.8 + 10 * 8 * 0.4, 9);
  });
  it('benched strips that meet: the benches of both counted once', () => {
    const ring = dug((p) => {
      p.dig.support = 'bench';
      p.dig.bench = { height: 1, width: 0.5 };
      p.elements = named(
        strip(
          [
            [0, 0],
            [12, 0],
            [12, 9],
            [0, 9],
          ],
          { closed: true, width: 1 },
        ),
      );
    });
    // Frames: bottom 1 wide, bench 2 wide, both on the centre line 12 × 9.
    const frame = (w: number) => (12 + w) * (9 + w) - (12 - w) * (9 - w);
    expect(ring).toBeCloseTo(frame(1) * 1 + frame(2) * 1, 9);
  });
  it('shored: upright, and wider by the sheets', () => {
    const value = dug((p) => {
      p.dig.support = 'shore';
      p.dig.shore = 0.15;
      p.elements = named(
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          { width: 1, method: 'trenchFill', bucket: 1 },
        ),
      );
    });
    expect(value).toBeCloseTo(10.3 * 1.3 * 2, 9);
  });
  it('a shored box is its outline moved out by the sheets, notches and all', () => {
    const value = dug((p) => {
      p.dig.support = 'shore';
      p.dig.shore = 0.2;
      p.elements = named(tank(L));
    });
    expect(value).toBeCloseTo((47 + 34 * 0.2 + 4 * 0.04) * 2, 9);
  });
  it('one element may differ from the job', () => {
    const both = dug((p) => {
      p.dig.slope = 1;
      p.elements = named(
        tank(
          [
            [0, 0],
            [4, 0],
            [4, 3],
            [0, 3],
          ],
          { support: 'shore' },
        ),
        tank([
          [40, 0],
          [44, 0],
          [44, 3],
          [40, 3],
        ]),
      );
      p.dig.shore = 0;
    });
    expect(both).toBeCloseTo(12 * 2 + (12 * 2 + (14 * 4) / 2 + (4 * 8) / 3), 8);
  });
});

describe('ramps', () => {
  const box: Points = [
    [0, 0],
    [6, 0],
    [6, 4],
    [0, 4],
  ];
  it('upright: a wedge as wide as it is, depth² over twice the grade', () => {
    const takeoff = cut((p) => {
      p.elements = named(tank(box), ramp('E1', [6, 2], 0, { width: 3, grade: 0.2 }));
    });
    expect(takeoff.figures.dig.value).toBeCloseTo(24 * 2 + (3 * 4) / (2 * 0.2), 9);
    expect(takeoff.overdig.access).toBeCloseTo(30, 9);
    expect(takeoff.problems).toEqual([]);
  });
  it('sides sloped m:1 add two wedges of m·D³/(6·grade)·2', () => {
    const m = 0.5;
    const takeoff = cut((p) => {
      p.elements = named(tank(box), ramp('E1', [6, 2], 0, { width: 3, grade: 0.25, slope: m }));
    });
    // Each side: ∫ m·h(x)²/2 dx over a length D/g with h falling evenly: m·D³/(6g).
    const sides = 2 * ((m * 8) / (6 * 0.25));
    expect(takeoff.overdig.access).toBeCloseTo((3 * 4) / (2 * 0.25) + sides, 2);
  });
  it('on rising ground it runs on until it comes out', () => {
    const takeoff = cut((p) => {
      tilt(p, 0.05);
      p.elements = named(tank(box), ramp('E1', [6, 2], 0, { width: 3, grade: 0.2 }));
    });
    // Height over the foot: 2.3 at x = 6; ground gains 0.05, ramp 0.2: out after 2.3/0.15.
    expect(takeoff.overdig.access).toBeCloseTo((3 * 2.3 * 2.3) / (2 * 0.15), 8);
  });
  it('to nothing is named', () => {
    const takeoff = cut((p) => {
      p.elements = named(tank(box), ramp('nowhere', [6, 2], 0));
    });
    expect(takeoff.problems[0]).toMatchObject({ code: 'unknownElement', path: '/elements/1/serves' });
  });
});

describe('falling and keyed bottoms', () => {
  it('a drain trench falls to its low end', () => {
    const value = dug((p) => {
      p.elements = named(
        strip(
          [
            [0, 0],
            [20, 0],
          ],
          { width: 0.6, bucket: 0.6, use: 'drain', fall: 0.01 },
        ),
      );
    });
    // 2 m at the low end, 1.8 m at the high one.
    expect(value).toBeCloseTo(20 * 0.6 * 1.9, 9);
  });
  it('round a bend the fall runs on', () => {
    const value = dug((p) => {
      p.elements = named(
        strip(
          [
            [0, 0],
            [10, 0],
            [10, 10],
          ],
          { width: 0.6, bucket: 0.6, use: 'drain', fall: -0.02 },
        ),
      );
    });
    // Rises 20 mm a metre: by hand over two rectangles, the corner square by the lower of both.
    const rough = 20 * 0.6 * (2 - 0.2);
    expect(Math.abs(value / rough - 1)).toBeLessThan(0.01);
  });
  it('stone surrounds the pipe; no concrete', () => {
    const takeoff = cut((p) => {
      p.elements = named(
        strip(
          [
            [0, 0],
            [20, 0],
          ],
          { width: 0.6, bucket: 0.6, use: 'drain', fall: 0.01, thickness: 0.4 },
        ),
      );
    });
    expect(takeoff.stone.volume).toBeCloseTo(20 * 0.6 * 0.4, 9);
    expect(takeoff.concrete.neat).toBe(0);
  });
  it('a keyway is dug under the base and filled with it', () => {
    const takeoff = cut((p) => {
      p.elements = named(
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          { width: 1, bucket: 0.9, thickness: 0.3, key: { width: 0.4, depth: 0.25 } },
        ),
      );
    });
    expect(takeoff.figures.dig.value).toBeCloseTo(10 * 1 * 2 + 10 * 0.4 * 0.25, 9);
    expect(takeoff.concrete.neat).toBeCloseTo(10 * 1 * 0.3 + 10 * 0.4 * 0.25, 9);
  });
});

describe('slabs with their edge turned down', () => {
  it('field and edge each to their own level', () => {
    const takeoff = cut((p) => {
      p.elements = named(
        raft(
          [
            [0, 0],
            [10, 0],
            [10, 6],
            [0, 6],
          ],
          { thickness: 0.2, edge: { depth: 0.3, width: 0.5 } },
        ),
      );
    });
    const frame = 10 * 6 - 9 * 5;
    expect(takeoff.figures.dig.value).toBeCloseTo(60 * 1.7 + frame * 0.3, 9);
    expect(takeoff.concrete.neat).toBeCloseTo(60 * 0.2 + frame * 0.3, 9);
  });
  it('sides rise from the edge, not from the field', () => {
    const m = 1;
    const takeoff = cut((p) => {
      p.dig.slope = m;
      p.elements = named(
        raft(
          [
            [0, 0],
            [10, 0],
            [10, 6],
            [0, 6],
          ],
          { edge: { depth: 0.3, width: 0.5 } },
        ),
      );
    });
    const whole = 60 * 2 + (32 * 4) / 2 + (4 * 8) / 3;
    expect(takeoff.figures.dig.value).toBeCloseTo(whole - 9 * 5 * 0.3, 8);
  });
  it('L-shaped: the frame goes round the notch', () => {
    const takeoff = cut((p) => {
      p.elements = named(raft(L, { thickness: 0.2, edge: { depth: 0.3, width: 0.5 } }));
    });
    const field = 47 - 34 * 0.5 + 4 * 0.25;
    expect(takeoff.figures.dig.value).toBeCloseTo(47 * 2 - field * 0.3, 9);
  });
  it('without an edge it is flat', () => {
    expect(dug(holding(raft(L, { edge: null })))).toBeCloseTo(47 * 2, 9);
  });
});

describe('pads under strips', () => {
  it('notch the trench: shared soil once', () => {
    const value = dug((p) => {
      p.elements = named(
        strip(
          [
            [0, 0],
            [12, 0],
          ],
          { width: 0.6, bucket: 0.6 },
        ),
        pad(3, 0, 1.5, 1.5),
        pad(9, 0, 1.5, 1.5),
      );
      p.dig.buckets = [0.6];
    });
    expect(value).toBeCloseTo((12 * 0.6 + 2 * (1.5 * 1.5 - 1.5 * 0.6)) * 2, 9);
  });
});

describe('what cannot be', () => {
  it.each([
    [
      'crosses itself',
      [
        [0, 0],
        [4, 4],
        [4, 0],
        [0, 4],
      ],
      'outlineCrosses',
    ],
    [
      'has no area',
      [
        [0, 0],
        [4, 0],
        [8, 0],
      ],
      'outlineFlat',
    ],
  ] as const)('an outline that %s is named', (_, outline, code) => {
    const takeoff = cut(holding(tank(outline.map(([x, y]) => [x, y] as const))));
    expect(takeoff.problems[0]).toMatchObject({ code, path: '/elements/0/outline' });
  });
  it('walls that leave no hollow, and slabs as high as the box', () => {
    const thick = cut(
      holding(
        tank(
          [
            [0, 0],
            [2, 0],
            [2, 2],
            [0, 2],
          ],
          { wall: 1.2 },
        ),
      ),
    );
    expect(thick.problems[0]).toMatchObject({ code: 'wallFills' });
    const low = cut(
      holding(
        tank(
          [
            [0, 0],
            [5, 0],
            [5, 5],
            [0, 5],
          ],
          { height: 0.4, thickness: 0.3, roof: 0.2 },
        ),
      ),
    );
    expect(low.problems[0]).toMatchObject({ code: 'boxLow' });
  });
  it('the same trench twice is dug once, and said', () => {
    const points = [
      [0, 0],
      [10, 0],
    ] as [number, number][];
    const once = cut(holding(strip(points)));
    const twice = cut(holding(strip(points), strip(points)));
    expect(twice.figures.dig.value).toBeCloseTo(once.figures.dig.value, 9);
    expect(once.cautions.some((c) => c.code === 'doubled')).toBe(false);
    expect(twice.cautions.find((c) => c.code === 'doubled')).toMatchObject({ elements: ['E2'] });
  });
});
