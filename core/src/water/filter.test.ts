import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FILTER_STONES, STONE_GRADINGS } from '../catalogue/filter-stones.ts';
import { SOIL_KINDS } from '../catalogue/soils.ts';
import {
  assumedGrading,
  clothLimits,
  type Grading,
  gradingFault,
  passingAt,
  sizeAt,
  stoneFaults,
  stoneLimits,
} from './filter.ts';

/** Rising sizes, rising shares, the last lets all through. */
const drawn: fc.Arbitrary<Grading> = fc
  .array(fc.tuple(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 1, max: 30 })), {
    minLength: 3,
    maxLength: 10,
  })
  .map((steps) => {
    const whole = steps.reduce((sum, [, share]) => sum + share, 0);
    let [size, passed] = [1e-6, 0];
    return steps.map(([wider, share]) => {
      size *= 1 + wider / 10;
      passed += share;
      return { size, passing: passed / whole };
    });
  });

/** A size so much is finer than, found by halving: another route than the inverse. */
function bySearch(grading: Grading, share: number): number {
  let [low, high] = [grading[0]!.size, grading.at(-1)!.size];
  for (let i = 0; i < 200; i++) {
    const middle = Math.sqrt(low * high);
    if (passingAt(grading, middle) < share) low = middle;
    else high = middle;
  }
  return high;
}

describe('a grading', () => {
  it('gives the size that so much is finer than, and back', () => {
    fc.assert(
      fc.property(drawn, fc.double({ min: 0.02, max: 1, noNaN: true }), (grading, share) => {
        expect(gradingFault(grading)).toBeNull();
        const size = sizeAt(grading, share);
        if (share < grading[0]!.passing - 1e-9) expect(size).toBeNull();
        else {
          expect(passingAt(grading, size!)).toBeCloseTo(share, 9);
          expect(Math.abs(size! / bySearch(grading, share) - 1)).toBeLessThan(1e-6);
        }
      }),
    );
  });
  it('that falls, or stands still in size, is told', () => {
    expect(
      gradingFault([
        { size: 1, passing: 0.5 },
        { size: 2, passing: 0.4 },
      ]),
    ).toBe(1);
    expect(
      gradingFault([
        { size: 1, passing: 0.5 },
        { size: 1, passing: 0.6 },
      ]),
    ).toBe(1);
  });
  it('as assumed and as sold is one', () => {
    for (const kind of SOIL_KINDS) {
      const grading = assumedGrading(kind);
      if (grading) expect([kind, gradingFault(grading)]).toEqual([kind, null]);
    }
    for (const stone of FILTER_STONES) expect(gradingFault(STONE_GRADINGS[stone])).toBeNull();
  });
});

const curve = (...points: readonly (readonly [number, number])[]): Grading =>
  points.map(([mm, percent]) => ({ size: mm / 1000, passing: percent / 100 }));

describe('stone as a filter', () => {
  it('of a fine clay: nine times d85, at least 0.2 mm', () => {
    // 90 % finer than 0.075 mm; 85 % finer than 0.06 mm: 0.54 mm.
    const clay = curve([0.002, 30], [0.06, 85], [0.075, 90], [0.4, 100]);
    expect(stoneLimits(clay)).toMatchObject({ base: 1 });
    expect(stoneLimits(clay)!.most * 1000).toBeCloseTo(0.54, 6);
    const finer = curve([0.001, 40], [0.01, 85], [0.075, 98], [0.4, 100]);
    expect(stoneLimits(finer)!.most * 1000).toBeCloseTo(0.2, 9);
  });
  it('of silt and clay with sand: 0.7 mm whatever the curve', () => {
    const silt = curve([0.002, 8], [0.075, 62], [0.2, 86], [2, 100]);
    expect(stoneLimits(silt)).toMatchObject({ base: 2, most: 0.0007 });
  });
  it('of silty sand: between 0.7 mm and four times d85 by its fines', () => {
    // 27.5 % fines is half the way from 40 to 15; d85 1 mm: 0.7 + (4 − 0.7)/2 = 2.35 mm.
    const sand = curve([0.075, 27.5], [1, 85], [4.75, 100]);
    expect(stoneLimits(sand)!.base).toBe(3);
    expect(stoneLimits(sand)!.most * 1000).toBeCloseTo(2.35, 6);
  });
  it('of clean sand: four times d85, at least four times d15 and 0.1 mm', () => {
    const sand = curve([0.075, 3], [0.2, 15], [1, 85], [4.75, 100]);
    const limits = stoneLimits(sand)!;
    expect(limits.base).toBe(4);
    expect(limits.most * 1000).toBeCloseTo(4, 6);
    expect(limits.least * 1000).toBeCloseTo(0.8, 6);
  });
  it('of gravelly soil looks at what is finer than 4.75 mm alone', () => {
    // Half of it is gravel: of the rest 30 of 50 pass 0.075, so it is no clean sand.
    const gravelly = curve([0.075, 30], [1, 40], [4.75, 50], [37.5, 100]);
    expect(stoneLimits(gravelly)).toMatchObject({ base: 2, fines: 0.6 });
  });
  it('names what is wrong with some stone', () => {
    const silt = stoneLimits(curve([0.002, 8], [0.075, 62], [0.2, 86], [2, 100]))!;
    expect(stoneFaults(silt, STONE_GRADINGS.concreteSand)).toEqual([]);
    expect(stoneFaults(silt, STONE_GRADINGS.clean20)).toEqual(['coarse']);
    expect(stoneFaults(silt, curve([0.075, 14], [0.3, 40], [1, 100]))).toEqual(['fine', 'dirty']);
    expect(stoneFaults(silt, curve([1, 40], [4, 100]))).toEqual(['unknown']);
  });
  it('says nothing where the test stops before 85 %', () => {
    expect(stoneLimits(curve([0.002, 20], [0.075, 60]))).toBeNull();
  });
});

describe('cloth as a filter', () => {
  it('goes by what of a soil with gravel is finer than 4.75 mm: gravel 3.1 mm for 23.6, gravelly clay 0.30 for 15.9', () => {
    const whole = (kind: 'gravel' | 'gravellyClay') => sizeAt(assumedGrading(kind)!, 0.85)! * 1000;
    expect(whole('gravel')).toBeCloseTo(23.6, 1);
    expect(whole('gravellyClay')).toBeCloseTo(15.9, 1);
    // Of gravel 18 of 36 parts pass 1.18 mm: 85 % lies 0.7 of the way on to 4.75, 3.13 mm; d60/d10 over 8, B is 1.
    expect(clothLimits(assumedGrading('gravel')!, 1e-3, false)!.most * 1000).toBeCloseTo(3.128, 2);
    // Of gravelly clay 35 of 65 parts are silt and clay: 0.3 mm at the most.
    expect(clothLimits(assumedGrading('gravellyClay')!, 1e-8, false)!.most * 1000).toBeCloseTo(0.3, 9);
    // A silty gravel, d85 13.4 mm whole, over half of whose sand and finer is silt.
    const silty = curve([0.075, 22], [0.4, 30], [4.75, 42], [10, 72], [19, 98], [37.5, 100]);
    expect(sizeAt(silty, 0.85)! * 1000).toBeCloseTo(13.8, 1);
    expect(clothLimits(silty, 1e-6, false)!.most * 1000).toBeCloseTo(0.3, 9);
  });
  it('is the same as of the soil sieved through 4.75 mm, whatever is held back on it', () => {
    const share = fc.integer({ min: 3, max: 97 });
    fc.assert(
      fc.property(
        fc.uniqueArray(share, { minLength: 5, maxLength: 5 }),
        fc.integer({ min: 30, max: 99 }),
        (all, below) => {
          const sizes = [0.01, 0.075, 0.3, 1, 2.5];
          const passing = [...all].sort((p, q) => p - q);
          // What passes 4.75 mm, as a sieving of it alone would tell it; and the same with stones among it.
          const fine = curve(...sizes.map((size, i) => [size, passing[i]!] as const), [4.75, 100]);
          const stony = curve(
            ...sizes.map((size, i) => [size, (passing[i]! * below) / 100] as const),
            [4.75, below],
            [40, 100],
          );
          const [p, q] = [clothLimits(fine, 1e-5, false), clothLimits(stony, 1e-5, false)];
          expect(q?.most).toBeCloseTo(p!.most, 9);
          expect(q?.uniformity ?? 0).toBeCloseTo(p?.uniformity ?? 0, 6);
          expect(q?.least ?? 0).toBeCloseTo(p?.least ?? 0, 9);
        },
      ),
    );
  });
  it('keeps silt and clay back with no opening over 0.3 mm', () => {
    const silt = curve([0.002, 8], [0.01, 20], [0.075, 62], [0.2, 85], [2, 100]);
    expect(clothLimits(silt, 1e-6, true)!.most * 1000).toBeCloseTo(0.2, 6);
    expect(clothLimits(silt, 1e-6, false)!.most * 1000).toBeCloseTo(0.3, 6);
    expect(clothLimits(silt, 1e-6, false)).toMatchObject({ k: 1e-6 });
    expect(clothLimits(silt, 1e-6, false)!.severe).toBeCloseTo(1e-5, 12);
  });
  it('of sand goes by its uniformity: B 1, half of it, eight over it, 1', () => {
    // d85 1 mm throughout; d60/d10 set to 1.5, 3, 5 and 10.
    for (const [uniformity, b] of [
      [1.5, 1],
      [3, 1.5],
      [5, 1.6],
      [10, 1],
    ] as const) {
      const d60 = 0.8;
      const sand = curve([d60 / uniformity / 2, 0], [d60 / uniformity, 10], [d60, 60], [1, 85], [2, 100]);
      const limits = clothLimits(sand, 1e-4, false)!;
      expect(limits.uniformity).toBeCloseTo(uniformity, 6);
      expect(limits.most * 1000).toBeCloseTo(b, 6);
      expect(limits.least === null).toBe(uniformity <= 3);
    }
  });
});
