/** Pours, by hand: who is cast first owns what they share; what stays behind is ordered too; the band of the shots. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { logged, named, pad, plainPlan, strip, unworked } from '../testing.ts';
import { lineHolds } from './index.ts';

const level = 98.5;
/** A ring 600 × 300 on 22.4 × 16.8, and 28 pads 0.7 × 0.7 × 0.3 every 2.8 m of it, none on a corner. */
function ring(): Plan {
  return plainPlan((p) => {
    p.assumed = [];
    p.ground.frost.local = 1.3;
    const [a, b] = [22.4, 16.8];
    const pads: Element[] = [];
    const along = (from: readonly [number, number], to: readonly [number, number], count: number) => {
      for (let i = 0; i < count; i++) {
        const t = (i + 0.5) / count;
        const [x, y] = [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
        pads.push(pad(x, y, 0.7, 0.7, { thickness: 0.3, level, group: 'A' }));
      }
    };
    along([0, 0], [a, 0], 8);
    along([a, 0], [a, b], 6);
    along([a, b], [0, b], 8);
    along([0, b], [0, 0], 6);
    p.elements = named(
      strip(
        [
          [0, 0],
          [a, 0],
          [a, b],
          [0, b],
        ],
        { closed: true, width: 0.6, thickness: 0.3, level, group: 'A' },
      ),
      ...pads,
    );
  });
}
const shares = (plan: Plan) => {
  const { elements, figures } = compute(plan);
  const own = elements[0]!.concrete;
  const all = elements.reduce((sum, { concrete }) => sum + concrete, 0);
  return { ring: own, pads: all - own, all, figure: figures.concrete.value };
};

describe('who is cast first', () => {
  it('owns what they share: pads first 4.12 and 10.58, ring first 14.11 and 0.59, the same in all', () => {
    const plan = ring();
    const ids = plan.elements.map(({ id }) => id);
    const drawn = shares(plan);
    expect(drawn.ring).toBeCloseTo(14.112, 3);
    expect(drawn.pads).toBeCloseTo(0.588, 3);
    const padsFirst = shares({ ...plan, pour: { ...plan.pour, order: [...ids.slice(1), ids[0]!] } });
    expect(padsFirst.pads).toBeCloseTo(4.116, 3);
    expect(padsFirst.ring).toBeCloseTo(10.584, 3);
    expect(padsFirst.all).toBeCloseTo(drawn.all, 9);
    for (const { all, figure } of [drawn, padsFirst]) expect(figure).toBeCloseTo(all, 9);
  });
  it('orders the pours, each by its own share', () => {
    const plan = ring();
    const ids = plan.elements.map(({ id }) => id);
    expect(compute(plan).pours.map(({ kind }) => kind)).toEqual(['footings', 'pads']);
    plan.pour.order = ids.slice(1);
    const { pours } = compute(plan);
    expect(pours.map(({ kind }) => kind)).toEqual(['pads', 'footings']);
    // 4.116 · 1.05 = 4.32 → 4.5; 10.584 · 1.05 = 11.11 → 11.5.
    expect(pours.map(({ ordered }) => ordered)).toEqual([4.5, 11.5]);
  });
  it('never changes what is cast in all, in whatever order', () => {
    const plan = ring();
    const ids = plan.elements.map(({ id }) => id);
    const { all } = shares(plan);
    fc.assert(
      fc.property(fc.shuffledSubarray(ids), (order) => {
        const now = { ...plan, pour: { ...plan.pour, order } };
        expect(shares(now).all).toBeCloseTo(all, 9);
        expect(unworked(compute(now))).toEqual([]);
      }),
      { numRuns: 12, seed: 30 },
    );
  });
});

describe('what stays behind', () => {
  it('of a line 45 m × 125 mm is 0.55 m³, of 40 × 100 0.31', () => {
    expect(lineHolds({ length: 45, diameter: 0.125 })).toBeCloseTo(0.552, 3);
    expect(lineHolds({ length: 40, diameter: 0.1 })).toBeCloseTo(0.314, 3);
  });
  it('is ordered with each pour, and the working adds up to it', () => {
    const plan = ring();
    plan.pour.line = { length: 45, diameter: 0.125 };
    plan.pour.hopper = 0.1;
    plan.pour.gaps = 0.2;
    const takeoff = compute(plan);
    const [footings, pads] = takeoff.pours;
    // (14.112 + 0.852) · 1.05 = 15.71 → 16.0: the last truck of 6 a third short; (0.588 + 0.852) · 1.05 = 1.51 → 2.0.
    expect(footings).toMatchObject({ ordered: 16, loads: 3 });
    expect(footings!.stays).toBeCloseTo(0.852, 3);
    expect(footings!.lastFill).toBeCloseTo(4 / 6, 9);
    expect(pads!.ordered).toBe(2);
    expect(unworked(takeoff)).toEqual([]);
    // Neat stays what is cast.
    expect(takeoff.figures.concrete.value).toBeCloseTo(compute(ring()).figures.concrete.value, 9);
  });
});

describe('bottoms as they really are', () => {
  /** A strip 12 × 0.6, shot at five places so many mm low (tape from the string). */
  const shotLow = (lows: readonly number[]) => {
    const plan = plainPlan((p) => {
      p.assumed = [];
      p.ground.frost.local = 1.3;
      p.dig.slope = 0;
      p.dig.room = 0;
      p.elements = named(
        strip(
          [
            [0, 0],
            [12, 0],
          ],
          { width: 0.6, thickness: 0.3, level },
        ),
      );
    });
    const bottom = compute(plan).elements[0]!.formation;
    const records = lows.map((low, i) =>
      logged(
        'shot',
        {
          on: 'formation',
          from: { by: 'tape', string: plan.levels.string, reading: plan.levels.string - bottom + low },
        },
        { element: plan.elements[0]!.id, place: [1 + 2.5 * i, 0] },
      ),
    );
    return { plan, takeoff: compute(plan, records) };
  };
  it('take what is low into the pour and say how much, with the band the shots leave', () => {
    // 12, 12, 20, 28, 28 mm over 7.2 m²: 18 to 22 mm on the mean, ± 0.072 m³.
    const { takeoff } = shotLow([0.012, 0.012, 0.02, 0.028, 0.028]);
    const [pour] = takeoff.pours;
    expect(pour!.low).toBeGreaterThan(0.018 * 7.2);
    expect(pour!.low).toBeLessThan(0.022 * 7.2);
    expect(pour!.neat).toBeCloseTo(12 * 0.6 * 0.3 + pour!.low, 6);
    expect(pour!.band).toBeCloseTo(0.0715 * 1.05, 3);
    expect(pour!.unshot).toBe(0);
  });
  it('leave no band where nobody has shot, nor where stone makes up what is low', () => {
    expect(shotLow([]).takeoff.pours[0]).toMatchObject({ band: null, low: 0, unshot: 1 });
    const { plan } = shotLow([]);
    plan.pour.makeUp = 'stone';
    expect(compute(plan).pours[0]).toMatchObject({ band: null, low: 0 });
  });
});
