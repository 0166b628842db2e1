import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { newRising, newUnderpin } from '../plan/blank.ts';
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { bedded, lean, named, pad, plainPlan, stone, strip } from '../testing.ts';
import { deliveryOf } from './place.ts';

const job = (elements: Element[], change: (p: Plan) => void = () => {}) =>
  compute(
    plainPlan((p) => {
      p.dig.slope = 0;
      p.dig.room = 0.3;
      p.elements = named(...elements);
      change(p);
    }),
  );
const base = stone(0.2, { looseFactor: 1.25 });

describe('concrete', () => {
  it('of a pad is its box, of crossing strips shared room once', () => {
    expect(job([pad(0, 0, 1.2, 1, { thickness: 0.4 })]).concrete.neat).toBeCloseTo(0.48, 9);
    expect(
      job([
        strip([
          [0, 0],
          [10, 0],
        ]),
        strip([
          [5, -5],
          [5, 5],
        ]),
      ]).concrete.neat,
    ).toBeCloseTo((20 * 0.6 - 0.36) * 0.3, 9);
  });
  it('of footings of two thicknesses that overlap keeps the thicker outside the thinner', () => {
    // A pad 1 × 1 × 0.5 on a strip 0.6 × 0.3 at one underside: the pad adds 1·0.5 less 0.6·0.3 shared.
    const takeoff = job([
      strip(
        [
          [0, 0],
          [10, 0],
        ],
        { group: 'g' },
      ),
      pad(5, 0, 1, 1, { thickness: 0.5, group: 'g' }),
    ]);
    expect(takeoff.concrete.neat).toBeCloseTo(10 * 0.6 * 0.3 + 0.5 - 0.6 * 0.3, 9);
  });
  it("of trench-fill pads fills the bucket's width across the narrow side", () => {
    const takeoff = job([pad(0, 0, 2, 0.5, { method: 'trenchFill', thickness: 0.7 })]);
    expect(takeoff.concrete.neat).toBeCloseTo(2 * 0.6 * 0.7, 9);
  });
});

describe('what lies under a new footing below an old wall', () => {
  it('is as wide as that footing, lean concrete with its projection, and no wider than its bay', () => {
    const plan = plainPlan((p) => {
      const old = { underside: 99.4, thickness: 0.4, inside: 99.9, access: 0.6, gap: 0 };
      p.elements = named({
        ...newUnderpin(p, [
          [0, 0],
          [8, 0],
        ]),
        width: 0.7,
        bay: 1,
        level: 98.5,
        old,
      });
    });
    const laid = (...layers: Parameters<typeof bedded>[1][]) => {
      bedded(plan, ...layers);
      return compute(plan);
    };
    expect(laid(lean(0.06, 0)).lean.volume).toBeCloseTo(0.7 * 8 * (0.06 + 0.01), 9);
    expect(laid(lean(0.06, 0.1)).lean.volume).toBeCloseTo(0.9 * 8 * (0.06 + 0.01), 9);
    expect(laid(lean(0.06, 0.5)).lean.volume).toBeCloseTo(1 * 8 * (0.06 + 0.01), 9);
    expect(laid(stone(0.2)).stone.volume).toBeCloseTo(0.7 * 8 * 0.2, 9);
    // What it fills is not filled again.
    const [bare, bedding] = [laid(), laid(stone(0.2))];
    expect(bedding.figures.dig.value - bare.figures.dig.value).toBeCloseTo(8 * (0.4 + 0.6) * 0.2, 9);
    expect(bedding.spoil.backfill - bare.spoil.backfill).toBeCloseTo(8 * (1 - 0.7) * 0.2, 9);
  });
});

describe('blinding', () => {
  const blinding = (p: Plan) => {
    bedded(p, lean(0.05, 0.1));
  };
  it('reaches past the footing on every side, with 10 mm for uneven soil', () => {
    const { lean } = job([pad(0, 0, 1, 1)], blinding);
    expect(lean.volume).toBeCloseTo(1.2 * 1.2 * 0.06, 9);
  });
  it('takes 20 mm over stone, or what is typed', () => {
    expect(
      job([pad(0, 0, 1, 1)], (p) => {
        bedded(p, base, lean(0.05, 0.1));
      }).lean.volume,
    ).toBeCloseTo(1.44 * 0.07, 9);
    expect(
      job([pad(0, 0, 1, 1)], (p) => {
        blinding(p);
        p.pour.irregularity = 0;
      }).lean.volume,
    ).toBeCloseTo(1.44 * 0.05, 9);
  });
  it('never runs past the dug bottom', () => {
    expect(
      job([pad(0, 0, 1, 1)], (p) => {
        blinding(p);
        p.dig.room = 0.04;
      }).lean.volume,
    ).toBeCloseTo(1.08 * 1.08 * 0.06, 9);
  });
  it('lowers formation by its thickness', () => {
    expect(job([pad(0, 0, 1, 1)], blinding).elements[0]!.formation).toBeCloseTo(100 - 1 - 0.05, 9);
  });
});

describe('stone', () => {
  it('fills the dug bottom between the faces, in a sloped dig the wedges too', () => {
    expect(
      job([pad(0, 0, 1, 1)], (p) => {
        bedded(p, base);
      }).stone.volume,
    ).toBeCloseTo(1.6 * 1.6 * 0.2, 9);
    const sloped = job([pad(0, 0, 1, 1)], (p) => {
      bedded(p, base);
      p.dig.slope = 1;
    });
    expect(sloped.stone.volume).toBeCloseTo((0.2 / 6) * (1.6 ** 2 + 4 * 1.8 ** 2 + 2 ** 2), 9);
    expect(sloped.stone.mass).toBeCloseTo(sloped.stone.volume * 2000, 6);
    expect(sloped.stone.loose).toBeCloseTo(sloped.stone.volume * 1.25, 9);
  });
});

describe('backfill', () => {
  it('is the hole less all that is built in it, walls up to the ground', () => {
    const takeoff = job(
      [
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          {
            rising: newRising(
              plainPlan(() => {}),
              0.2,
            ),
          },
        ),
      ],
      (p) => {
        bedded(p, base, lean(0.05, 0.05));
      },
    );
    const hole = 10.6 * 1.2 * 1.25;
    const built = 10.6 * 1.2 * 0.2 + 10.1 * 0.7 * 0.05 + 10 * 0.6 * 0.3 + 10 * 0.2 * 0.7;
    expect(takeoff.figures.dig.value).toBeCloseTo(hole, 9);
    expect(takeoff.spoil.backfill).toBeCloseTo(hole - built, 9);
  });
});

describe('an order', () => {
  it.each([
    [9.612, 0.05, 0.5, 6, 10.5, 2],
    [1, 0, 0.5, 6, 1, 1],
    [0, 0.05, 0.5, 6, 0, 0],
    [0.01, 0, 0.25, 6, 0.25, 1],
    [12, 0, 0.1, 6, 12, 2],
  ])(
    'of %d m³, %d waste, steps of %d, trucks of %d is %d in %d',
    (neat, waste, step, truck, order, loads) => {
      const made = deliveryOf(neat, waste, step, truck);
      expect(made.ordered).toBeCloseTo(order, 9);
      expect(made.loads).toBe(loads);
    },
  );
});
