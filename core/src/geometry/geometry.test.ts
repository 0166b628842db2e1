import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  area,
  clip,
  clipLine,
  constant,
  edges,
  integral,
  intersect,
  type Linear,
  rectangle,
  subtract,
} from './convex.ts';
import { prismVolumes, unionArea } from './prisms.ts';

const coordinate = fc.double({ min: -50, max: 50, noNaN: true });
const size = fc.double({ min: 0.2, max: 30, noNaN: true });
const angle = fc.double({ min: -Math.PI, max: Math.PI, noNaN: true });
const anyRectangle = fc.tuple(coordinate, coordinate, size, size, angle).map((a) => rectangle(...a));

describe('convex polygons', () => {
  it('measure rectangles wherever they lie', () => {
    expect(area(rectangle(1e5, -1e5, 6, 4, 0.7))).toBeCloseTo(24, 6);
  });

  it('integrate a plane as area × value at the centroid', () => {
    const plane: Linear = { a: 0.3, b: -0.2, c: 5 };
    const [x, y] = [12, -7];
    expect(integral(rectangle(x, y, 6, 4, 1.1), plane)).toBeCloseTo(24 * (0.3 * x - 0.2 * y + 5), 9);
  });

  it('are cut by a half-plane into two that make the whole', () => {
    fc.assert(
      fc.property(anyRectangle, coordinate, coordinate, angle, (p, x, y, turn) => {
        const h = { a: Math.cos(turn), b: Math.sin(turn), c: -(x * Math.cos(turn) + y * Math.sin(turn)) };
        const kept = clip(p, h);
        const cut = clip(p, { a: -h.a, b: -h.b, c: -h.c });
        expect(Math.max(0, area(kept)) + Math.max(0, area(cut))).toBeCloseTo(area(p), 6);
      }),
    );
  });

  it('less another, plus what they share, make the whole', () => {
    fc.assert(
      fc.property(anyRectangle, anyRectangle, (p, q) => {
        const left = subtract(p, edges(q)).reduce((sum, piece) => sum + area(piece), 0);
        const shared = intersect(p, edges(q));
        expect(left + (shared.length ? area(shared) : 0)).toBeCloseTo(area(p), 5);
      }),
    );
  });

  it('cut a line to the stretch inside', () => {
    expect(clipLine(0, 0, 1, 0, [-100, 100], edges(rectangle(5, 0, 4, 2, 0)))).toEqual([3, 7]);
    expect(clipLine(0, 5, 1, 0, [-100, 100], edges(rectangle(5, 0, 4, 2, 0)))).toBeNull();
  });
});

describe('prisms', () => {
  it('count shared room once, for the one listed first', () => {
    // Two 4 × 1 × 2 bars crossing: 8 + 8 − 1·1·2.
    const bars = [rectangle(0, 0, 4, 1, 0), rectangle(0, 0, 4, 1, Math.PI / 2)].map((plan) => ({
      plan,
      bottom: 0,
      top: 2,
    }));
    expect(prismVolumes(bars)[0]).toBeCloseTo(8, 9);
    expect(prismVolumes(bars)[1]).toBeCloseTo(6, 9);
  });

  it('keep apart what lies at other levels', () => {
    const plan = rectangle(0, 0, 2, 2, 0);
    expect(
      prismVolumes([
        { plan, bottom: 0, top: 1 },
        { plan, bottom: 1, top: 3 },
        { plan, bottom: 0.5, top: 3.5 },
      ]),
    ).toEqual([4, 8, 2]);
  });

  it('have a union no larger than the sum and no smaller than the largest', () => {
    fc.assert(
      fc.property(fc.array(anyRectangle, { minLength: 1, maxLength: 6 }), (plans) => {
        const union = unionArea(plans);
        const each = plans.map((p) => area(p));
        expect(union).toBeLessThanOrEqual(each.reduce((p, q) => p + q, 0) + 1e-6);
        expect(union).toBeGreaterThanOrEqual(Math.max(...each) - 1e-6);
      }),
    );
  });

  it('give nothing for a prism of no height', () => {
    expect(prismVolumes([{ plan: rectangle(0, 0, 1, 1, 0), bottom: 2, top: 2 }])).toEqual([0]);
    expect(unionArea([])).toBe(0);
    expect(integral([], constant(1))).toBe(0);
  });
});
