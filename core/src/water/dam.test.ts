import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BagDam, bagDam, bypassFor, fullBore, headAtMouth } from './dam.ts';

const dam = (more: Partial<BagDam> = {}): BagDam => ({
  length: 6,
  depth: 0.6,
  freeboard: 0.3,
  crest: 0.5,
  inner: 1,
  outer: 1.5,
  bag: 0.02,
  ...more,
});

describe('a dam of bags', () => {
  it('0.90 high, crest 0.50, 1:1 and 1.5:1, 6 m long: 8.775 m³, 483 bags of 20 L with a tenth more', () => {
    // 0.5·0.9 + 2.5/2·0.81 = 1.4625 m²; ×6 = 8.775; /0.02·1.1 = 482.6.
    const found = bagDam(dam());
    expect(found.section).toBeCloseTo(1.4625, 9);
    expect(found.volume).toBeCloseTo(8.775, 9);
    expect(found.bags).toBe(483);
    expect(found.mass).toBeCloseTo(14_040, 6);
    expect(found.foot).toBeCloseTo(2.75, 9);
    expect(found.faults).toEqual([]);
  });
  it('says what of it is less than practice asks', () => {
    expect(bagDam(dam({ freeboard: 0.1, crest: 0.3, outer: 1 })).faults).toEqual([
      'freeboard',
      'crest',
      'outer',
    ]);
  });
  it('holds its volume by slices across it, and takes no fewer bags when higher', () => {
    const m = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        m(0.1, 1.5),
        m(0, 0.6),
        m(0.2, 1.5),
        m(0.5, 3),
        m(0.5, 3),
        (depth, freeboard, crest, inner, outer) => {
          const own = dam({ depth, freeboard, crest, inner, outer });
          const found = bagDam(own);
          let sum = 0;
          const n = 2000;
          for (let i = 0; i < n; i++) {
            const up = ((i + 0.5) / n) * found.height;
            sum += ((crest + (inner + outer) * (found.height - up)) * found.height) / n;
          }
          expect(found.section).toBeCloseTo(sum, 6);
          expect(bagDam({ ...own, depth: depth + 0.1 }).bags).toBeGreaterThanOrEqual(found.bags);
        },
      ),
    );
  });
});

describe('a bypass', () => {
  it('of 315 mm at 1 % runs full at 130 L/s, by table and by formula', () => {
    // A 0.07793 m², R 0.07875 m, R^⅔ 0.1837, √S 0.1, 1/n 90.91.
    expect(fullBore(0.315, 0.01)).toBeCloseTo(0.07793 * 0.18373 * 0.1 * 90.909, 4);
    expect(fullBore(0.315, 0.01) * 1000).toBeCloseTo(130.2, 0);
  });
  it('of 0.2 m bore takes 0.12 m³/s with 2.2 m over its invert, as an orifice of 0.6', () => {
    // 0.12/(0.6·0.031416) = 6.366 m/s, squared over 19.62: 2.066; and 0.1 to its middle.
    expect(headAtMouth(0.12, 0.2)).toBeCloseTo(2.166, 3);
    expect(headAtMouth(0, 0.2)).toBe(0.1);
  });
  it('is of every kind the smallest that takes the stream at its fall and through its mouth', () => {
    const sizes = (flow: number, fall: number, depth: number) =>
      Object.fromEntries(bypassFor(flow, fall, depth).map(({ kind, size }) => [kind, size]));
    // A plastic pipe of 315 is 296 inside and runs full at 111 L/s.
    expect(sizes(0.12, 0.01, 0.5)).toEqual({ smooth: 0.4, corrugated: 0.45, concrete: 0.375 });
    // Steep, the bore would do; the mouth rules: 315 needs 0.58 m, 250 1.2.
    expect(sizes(0.12, 0.2, 0.5)).toMatchObject({ smooth: 0.4 });
    expect(sizes(0.12, 0.2, 0.6)).toMatchObject({ smooth: 0.315 });
    expect(bypassFor(50, 0.01, 3)).toEqual([]);
    expect(bypassFor(0.01, 0, 1)).toEqual([]);
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.5, noNaN: true }),
        fc.double({ min: 0.0005, max: 0.3, noNaN: true }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        (flow, fall, depth) => {
          for (const { kind, bore, size, full, needs } of bypassFor(flow, fall, depth)) {
            expect(bore).toBeLessThanOrEqual(size);
            expect(full).toBeGreaterThanOrEqual(flow);
            // What the water there pushes through the mouth is no less than the flow.
            const through = 0.6 * (Math.PI / 4) * bore ** 2 * Math.sqrt(2 * 9.81 * (depth - bore / 2));
            expect(through).toBeGreaterThanOrEqual(flow * (1 - 1e-6));
            expect(needs).toBeLessThanOrEqual(depth + 1e-9);
            // Deeper water and more fall never ask for a larger one.
            for (const [f, d] of [
              [fall, depth + 0.5],
              [fall * 2, depth],
            ] as const)
              expect(bypassFor(flow, f, d).find((pipe) => pipe.kind === kind)!.size).toBeLessThanOrEqual(
                size,
              );
          }
        },
      ),
    );
  });
});
