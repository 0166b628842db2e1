/** Worked examples by hand and slow twins. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Polygon } from '../geometry/index.ts';
import { stone } from '../testing.ts';
import { compactorChoices, liftPace, newCompactor } from './compactors.ts';
import { compactingTime, stripsAcross } from './pace.ts';
import { testPlaces } from './places.ts';
import { replacementUnder, spreadStress } from './replace.ts';

const kPa = 1000;

describe('soft soil put back better', () => {
  it('90 kPa on a strip of 0.80 over 50 allowed: 0.80·(90/50 − 1) = 0.64 m, 1.44 m wide at its foot', () => {
    const found = replacementUnder({ load: 90 * kPa, allowable: 50 * kPa, width: 0.8, length: null })!;
    expect(found.thickness).toBeCloseTo(0.64, 12);
    expect(found.width).toBeCloseTo(1.44, 12);
    expect(found.stress).toBeCloseTo(50 * kPa, 6);
  });
  it('a pad spreads both ways: 200 kPa on 1.0 × 1.5 m over 60', () => {
    // (1 + z)(1.5 + z) = 1.5·200/60 = 5: z² + 2.5z − 3.5 = 0, z = (−2.5 + √20.25)/2 = 1.0.
    const found = replacementUnder({ load: 200 * kPa, allowable: 60 * kPa, width: 1, length: 1.5 })!;
    expect(found.thickness).toBeCloseTo(1, 9);
    expect([found.width, found.length]).toEqual([expect.closeTo(2, 9), expect.closeTo(2.5, 9)]);
  });
  it('is nothing where the soil carries the load, and none at all where its own weight is too much', () => {
    expect(replacementUnder({ load: 40, allowable: 50, width: 1, length: null })!.thickness).toBe(0);
    expect(
      replacementUnder({ load: 90 * kPa, allowable: 30 * kPa, width: 2, length: null, heavier: 9 * kPa }),
    ).toBeNull();
  });
  it('counts the extra weight of what is put back, and is where the stress first falls to what is allowed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 300, noNaN: true }),
        fc.double({ min: 0.3, max: 0.95, noNaN: true }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.option(fc.double({ min: 1, max: 4, noNaN: true })),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (load, share, width, times, heavier) => {
          const length = times === null ? null : width * times;
          const spread = { load: load * kPa, allowable: load * share * kPa, width, length };
          const bare = replacementUnder(spread)!;
          expect(spreadStress(spread, bare.thickness)).toBeCloseTo(spread.allowable, 3);
          const heavy = replacementUnder({ ...spread, heavier: heavier * kPa });
          if (!heavy) return;
          expect(heavy.thickness).toBeGreaterThanOrEqual(bare.thickness - 1e-6);
          // Twin: in steps of a millimetre.
          let z = 0;
          while (spreadStress({ ...spread, heavier: heavier * kPa }, z) > spread.allowable) z += 0.001;
          expect(Math.abs(heavy.thickness - z)).toBeLessThan(0.0011);
        },
      ),
      { numRuns: 100, seed: 3 },
    );
  });
});

describe('time to compact', () => {
  it('14.4 × 1.2 m, plate 0.50 overlapping a tenth, 4 passes, 2 lifts at 20 m/min and 0.75: 3 strips, 23.0 min', () => {
    const c = {
      length: 14.4,
      width: 1.2,
      plate: 0.5,
      overlap: 0.1,
      passes: 4,
      lifts: 2,
      speed: 20,
      efficiency: 0.75,
    };
    expect(stripsAcross(1.2, 0.5, 0.1)).toBe(3);
    expect(compactingTime(c)).toBeCloseTo(23.04, 9);
  });
  it('goes by the crew’s own plate where there is one: half as wide and half as fast takes four times as long', () => {
    const layer = stone(0.2);
    const hours = (crew: Parameters<typeof compactorChoices>[3]) =>
      compactorChoices(layer, 20, 8, crew).find((choice) => choice.compactor === 'plateMedium')!.hours;
    const typical = newCompactor('plateMedium', 'ours');
    expect(hours([typical])).toBeCloseTo(hours([]), 9);
    const slow = { ...typical, width: typical.width / 2, speed: typical.speed / 2 };
    expect(hours([slow]) / hours([])).toBeGreaterThan(3.8);
    expect(hours([slow]) / hours([])).toBeLessThan(4.2);
  });
  it('of one lift is its share of the layer’s, in as many strips as its plate asks', () => {
    const pace = liftPace(stone(0.4), 14.4 * 1.2, 1.2, [])!;
    // Plate 0.50, a tenth over: (1.2 − 0.05)/0.45 → 3; two lifts of 0.2.
    expect(pace.strips).toBe(3);
    const whole = compactorChoices(stone(0.4), 14.4, 1.2).find((one) => one.compactor === 'plateMedium')!;
    expect(pace.minutes).toBeCloseTo((whole.hours * 60) / 2, 9);
    expect(liftPace(stone(0.4, { compactor: null }), 10, 1, [])).toBeNull();
  });
  it('takes one strip where the plate is as wide, and two a hair beyond', () => {
    expect(stripsAcross(0.5, 0.5, 0.1)).toBe(1);
    expect(stripsAcross(0.51, 0.5, 0.1)).toBe(2);
    expect(stripsAcross(0.3, 0.5, 0.1)).toBe(1);
  });
});

describe('places to test', () => {
  const L: Polygon[] = [
    [0, 0, 10, 0, 10, 1, 0, 1],
    [0, 1, 1, 1, 1, 8, 0, 8],
  ];
  const inside = (p: Polygon, x: number, y: number) => x > p[0]! && x < p[2]! && y > p[1]! && y < p[5]!;
  it('lie within what the lift covers, apart from each other, and elsewhere on the next lift', () => {
    for (const count of [1, 2, 3, 5, 8]) {
      const places = testPlaces(L, count, 1);
      expect(places).toHaveLength(count);
      for (const [x, y] of places) expect(L.some((piece) => inside(piece, x, y))).toBe(true);
      const nearest = Math.min(
        ...places.flatMap(([x, y], i) => places.slice(i + 1).map(([u, v]) => Math.hypot(x - u, y - v))),
      );
      // Sixteen metres of trench shared out: never nearer than half an even share.
      expect(nearest).toBeGreaterThan(16 / count / 2);
      const [first] = places;
      const [above] = testPlaces(L, count, 2);
      expect(Math.hypot(first![0] - above![0], first![1] - above![1])).toBeGreaterThan(1);
    }
  });
  it('are none where nothing is laid or nothing asked', () => {
    expect(testPlaces([], 3, 1)).toEqual([]);
    expect(testPlaces(L, 0, 1)).toEqual([]);
  });
});
