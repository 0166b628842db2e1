import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { SiteRecord } from '../log/index.ts';
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { foundLow, named, pad, plainPlan, strip, tilt, unbalanced } from '../testing.ts';

/** Frost 0.9 + 0.1 margin on level ground: every bottom is 1.0 down unless a case says otherwise. */
const dig = (
  elements: Element[],
  change: (p: Plan) => void = () => {},
  records: readonly SiteRecord[] = [],
) =>
  compute(
    plainPlan((p) => {
      p.dig.slope = 0;
      p.dig.room = 0;
      p.elements = named(...elements);
      change(p);
    }),
    records,
  );
const volume = (elements: Element[], change?: (p: Plan) => void) => dig(elements, change).figures.dig.value;
const slope = (m: number) => (p: Plan) => {
  p.dig.slope = m;
};
const wide = { width: 0.6 };

describe('closed forms, vertical sides, 1.0 deep', () => {
  it.each<[string, Element[], number]>([
    [
      'a straight trench',
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          wide,
        ),
      ],
      6,
    ],
    [
      'the same, turned',
      [
        strip(
          [
            [1, 1],
            [7, 9],
          ],
          wide,
        ),
      ],
      6,
    ],
    [
      'an L of one strip',
      [
        strip(
          [
            [0, 0],
            [10, 0],
            [10, 5],
          ],
          wide,
        ),
      ],
      15 * 0.6,
    ],
    [
      'an L of two strips',
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          wide,
        ),
        strip(
          [
            [10, 0],
            [10, 5],
          ],
          wide,
        ),
      ],
      // Its outline: 10.3 × 0.6 and the leg beyond.
      10.3 * 0.6 + 4.7 * 0.6,
    ],
    [
      'a T',
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          wide,
        ),
        strip(
          [
            [4, 0],
            [4, 5],
          ],
          wide,
        ),
      ],
      6 + (5 - 0.3) * 0.6,
    ],
    [
      'an X',
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          wide,
        ),
        strip(
          [
            [5, -4],
            [5, 4],
          ],
          wide,
        ),
      ],
      6 + 4.8 - 0.36,
    ],
    [
      'a skew X at 45°',
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          wide,
        ),
        strip(
          [
            [2, -3],
            [8, 3],
          ],
          wide,
        ),
      ],
      6 + Math.hypot(6, 6) * 0.6 - 0.36 * Math.SQRT2,
    ],
    [
      'two that touch end to end',
      [
        strip(
          [
            [0, 0],
            [5, 0],
          ],
          wide,
        ),
        strip(
          [
            [5, 0],
            [10, 0],
          ],
          wide,
        ),
      ],
      6,
    ],
    ['a pad', [pad(0, 0, 2, 1.5)], 3],
    ['a pad, turned', [pad(3, 3, 2, 1.5, { angle: 33 })], 3],
    [
      'a pad under a trench',
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          wide,
        ),
        pad(5, 0, 2, 2),
      ],
      6 + 4 - 1.2,
    ],
    ['two pads that overlap', [pad(0, 0, 2, 2), pad(1, 1, 2, 2)], 7],
    ['a pad inside a pad', [pad(0, 0, 3, 3), pad(0, 0, 1, 1)], 9],
    [
      'a ring',
      [
        strip(
          [
            [0, 0],
            [8, 0],
            [8, 6],
            [0, 6],
          ],
          { ...wide, closed: true },
        ),
      ],
      28 * 0.6,
    ],
    [
      'a hexagon ring',
      [
        strip(
          Array.from(
            { length: 6 },
            (_, i) => [4 * Math.cos((i * Math.PI) / 3), 4 * Math.sin((i * Math.PI) / 3)] as const,
          ),
          { ...wide, closed: true },
        ),
      ],
      24 * 0.6,
    ],
  ])('%s', (_name, elements, expected) => {
    const takeoff = dig(elements);
    expect(takeoff.figures.dig.value / expected).toBeCloseTo(1, 6);
    expect(unbalanced(takeoff)).toEqual([]);
  });
});

describe('closed forms, sloped sides', () => {
  /** Prismatoid of a rectangle a × b growing m·z on every side. */
  const frustum = (a: number, b: number, h: number, m: number) =>
    (h / 6) * (a * b + 4 * (a + m * h) * (b + m * h) + (a + 2 * m * h) * (b + 2 * m * h));
  it.each([0.5, 0.75, 1, 1.5, 2])('a pad 2 × 1.5 with sides %d:1', (m) => {
    expect(volume([pad(0, 0, 2, 1.5)], slope(m))).toBeCloseTo(frustum(2, 1.5, 1, m), 9);
  });
  it('a trench is the same as a long pad', () => {
    expect(
      volume(
        [
          strip(
            [
              [0, 0],
              [9, 0],
            ],
            { width: 1 },
          ),
        ],
        slope(1),
      ),
    ).toBeCloseTo(volume([pad(4.5, 0, 9, 1)], slope(1)), 9);
  });
  it('a ring with 1:1 sides: outer frustum less the mound left inside', () => {
    // Ring of axes 10 × 8, 1 wide, 1 deep. Outside grows to 13 × 11; inside the mound is 9 × 7 at the foot, 7 × 5 at the top.
    const outer = frustum(11, 9, 1, 1);
    const mound = (1 / 6) * (9 * 7 + 4 * 8 * 6 + 7 * 5);
    expect(
      volume(
        [
          strip(
            [
              [0, 0],
              [10, 0],
              [10, 8],
              [0, 8],
            ],
            { width: 1, closed: true },
          ),
        ],
        slope(1),
      ),
    ).toBeCloseTo(outer - mound, 9);
  });
  it('four strips meeting at the corners are that ring', () => {
    const walls: Element[] = [
      strip(
        [
          [0, 0],
          [10, 0],
        ],
        { width: 1 },
      ),
      strip(
        [
          [0, 8],
          [10, 8],
        ],
        { width: 1 },
      ),
      strip(
        [
          [0, 0],
          [0, 8],
        ],
        { width: 1 },
      ),
      strip(
        [
          [10, 0],
          [10, 8],
        ],
        { width: 1 },
      ),
    ];
    expect(volume(walls, slope(1))).toBeCloseTo(
      volume(
        [
          strip(
            [
              [0, 0],
              [10, 0],
              [10, 8],
              [0, 8],
            ],
            { width: 1, closed: true },
          ),
        ],
        slope(1),
      ),
      9,
    );
  });
  it('rounded corners take π·m²·h³/3 in place of the four corner pyramids', () => {
    const mitred = volume([pad(0, 0, 2, 1.5)], slope(1.5));
    const rounded = volume([pad(0, 0, 2, 1.5)], (p) => {
      p.dig.slope = 1.5;
      p.dig.corners = 'rounded';
    });
    expect(mitred - rounded).toBeCloseTo(((4 - Math.PI) * 1.5 ** 2) / 3, 9);
  });
  it('each element may have sides of its own', () => {
    const own = volume([pad(0, 0, 2, 2, { slope: 1 }), pad(40, 0, 2, 2)]);
    expect(own).toBeCloseTo(frustum(2, 2, 1, 1) + 4, 9);
  });
});

describe('sloping ground', () => {
  it('vertical sides: level bottom a fixed depth under the lowest corner', () => {
    // Falls 1:20 east; lowest ground under the pad is at its east edge, 0.05 below the middle.
    const takeoff = dig([pad(0, 0, 2, 1)], (p) => {
      tilt(p, -0.05);
    });
    expect(takeoff.elements[0]!.formation).toBeCloseTo(100 - 0.05 - 1, 9);
    expect(takeoff.figures.dig.value).toBeCloseTo(2 * 1 * 1.05, 9);
  });
  it('splits strata that follow the ground: topsoil is area × its depth wherever it is cut', () => {
    const takeoff = dig([pad(5, 3, 2, 1, { angle: 20 })], (p) => {
      tilt(p, -0.04, 0.03);
    });
    expect(takeoff.spoil.strata[0]!.bank).toBeCloseTo(2 * 0.25, 9);
  });
});

describe('what is shared', () => {
  it('goes to one element only: the sum by element is the whole', () => {
    const takeoff = dig(
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          { width: 1 },
        ),
        strip(
          [
            [5, -4],
            [5, 4],
          ],
          { width: 1 },
        ),
        pad(5, 0, 2, 2),
      ],
      slope(1),
    );
    expect(takeoff.elements.reduce((sum, e) => sum + e.volume, 0)).toBeCloseTo(takeoff.figures.dig.value, 9);
  });
  it('goes to the deeper one', () => {
    const takeoff = dig(
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          { width: 1 },
        ),
        pad(5, 0, 1, 1),
      ],
      () => {},
      foundLow({ E2: 0.5 }),
    );
    expect(takeoff.elements[1]!.volume).toBeCloseTo(1.5, 9);
    expect(takeoff.elements[0]!.volume).toBeCloseTo(9, 9);
  });
});

describe('over-dig by cause', () => {
  it('of a pad: room, sides and low bottom, each by hand', () => {
    const takeoff = dig(
      [pad(0, 0, 2, 1)],
      (p) => {
        p.dig.room = 0.3;
        p.dig.slope = 1;
      },
      foundLow({ E1: 0.2 }),
    );
    const frustum = (h: number) =>
      (h / 6) * (2.6 * 1.6 + 4 * (2.6 + h) * (1.6 + h) + (2.6 + 2 * h) * (1.6 + 2 * h));
    expect(takeoff.overdig.neat).toBeCloseTo(2, 9);
    expect(takeoff.overdig.room).toBeCloseTo(2.6 * 1.6 - 2, 9);
    expect(takeoff.overdig.bucket).toBeCloseTo(0, 9);
    expect(takeoff.overdig.sides).toBeCloseTo(frustum(1) - 2.6 * 1.6, 9);
    // Within the toes of the sides: what lies low does not widen the hole.
    expect(takeoff.overdig.low).toBeCloseTo(2.6 * 1.6 * 0.2, 9);
  });
  it('a bucket wider than a narrow formed trench is over-dig too', () => {
    const takeoff = dig([
      strip(
        [
          [0, 0],
          [10, 0],
        ],
        { width: 0.3, bucket: 0.45 },
      ),
    ]);
    expect(takeoff.overdig.bucket).toBeCloseTo(10 * 0.15, 9);
  });
  it('neat and causes always make the whole, and none is negative', () => {
    const m = fc.constantFrom(0, 0.75, 1.5);
    fc.assert(
      fc.property(
        m,
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.constantFrom('formed', 'trenchFill'),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        (side, room, low, method, width) => {
          const takeoff = dig(
            [
              strip(
                [
                  [0, 0],
                  [6, 0],
                  [6, 4],
                ],
                { width, method },
              ),
              pad(3, 2, 1, 1, { method }),
            ],
            (p) => {
              p.dig.slope = side;
              p.dig.room = room;
            },
            foundLow({ E1: low, E2: low }),
          );
          const { neat, ...causes } = takeoff.overdig;
          const parts = Object.values(causes);
          expect(parts.every((v) => v > -1e-7)).toBe(true);
          expect(neat + parts.reduce((p, q) => p + q, 0)).toBeCloseTo(takeoff.figures.dig.value, 7);
        },
      ),
      { numRuns: 50 },
    );
  });
});
