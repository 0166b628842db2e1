import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BagDam, bagDam, bypassFor, fullBore } from './dam.ts';

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
  it('is the smallest that takes the stream, none where none does', () => {
    expect(bypassFor(0.12, 0.01)).toBe(0.315);
    expect(bypassFor(0.131, 0.01)).toBe(0.4);
    expect(bypassFor(0, 0.01)).toBe(0.11);
    expect(bypassFor(50, 0.01)).toBeNull();
    expect(bypassFor(0.01, 0)).toBeNull();
  });
});
