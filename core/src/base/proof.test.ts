/** Worked examples by hand, published compaction tests, and slow twins. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Polygon } from '../geometry/index.ts';
import { stone } from '../testing.ts';
import { compactorChoices, liftPace, newCompactor } from './compactors.ts';
import { compactionOf, dryOf, sandCone, waterToAdd } from './density.ts';
import { compactingTime, stripsAcross } from './pace.ts';
import { testPlaces } from './places.ts';
import { densityAt, type Proctor, proctor, zeroAirVoids } from './proctor.ts';
import { replacementUnder, spreadStress } from './replace.ts';
import { trialByDensity, trialBySettlement } from './trial.ts';

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

/** lb of moist soil in a mould of 1/30 cubic foot. */
const inMould = (pounds: number, percent: number) => ({
  moisture: percent / 100,
  density: ((pounds * 30) / (1 + percent / 100)) * 16.01846,
});
const fitted = (points: Parameters<typeof proctor>[0], grains = 2.7): Proctor => {
  const found = proctor(points, grains);
  if (!found.ok) throw new Error(found.fault);
  return found;
};

describe('a compaction test of the laboratory', () => {
  it('as published: Das, Fundamentals of Geotechnical Engineering, ch. 4: 106 lb/ft³ at 14.4 %', () => {
    const rows = [
      [3.63, 10],
      [3.86, 12],
      [4.02, 14],
      [3.98, 16],
      [3.88, 18],
      [3.73, 20],
    ] as const;
    const found = fitted(rows.map(([pounds, percent]) => inMould(pounds, percent)));
    expect(Math.abs(found.maximum / 16.01846 - 106)).toBeLessThan(1);
    // By eye there, by least squares here.
    expect(Math.abs(found.optimum - 0.144)).toBeLessThan(0.01);
  });
  it('as published: Das, Principles of Geotechnical Engineering, ch. 6: 109.5 lb/ft³ at 16.3 %', () => {
    const rows = [
      [3.88, 12],
      [4.09, 14],
      [4.23, 16],
      [4.28, 18],
      [4.24, 20],
      [4.19, 22],
    ] as const;
    const found = fitted(rows.map(([pounds, percent]) => inMould(pounds, percent)));
    expect(Math.abs(found.maximum / 16.01846 - 109.5)).toBeLessThan(0.6);
    expect(Math.abs(found.optimum - 0.163)).toBeLessThan(0.007);
  });
  it('as published: Craig, Soil Mechanics, 7th ed., problem 1.6: 1.83 t/m³ at 15 %', () => {
    // g of moist soil in a mould of 1000 cm³.
    const rows = [
      [2010, 12.8],
      [2092, 14.5],
      [2114, 15.6],
      [2100, 16.8],
      [2055, 19.2],
    ] as const;
    const found = fitted(
      rows.map(([grams, percent]) => ({ moisture: percent / 100, density: grams / (1 + percent / 100) })),
      2.67,
    );
    expect(Math.abs(found.maximum / 1000 - 1.83)).toBeLessThan(0.01);
    expect(Math.abs(found.optimum - 0.15)).toBeLessThan(0.005);
    expect(found.above).toEqual([]);
  });
  it('finds the top of a curve it was drawn from, wherever it lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 0.98, noNaN: true }),
        fc.double({ min: 0.07, max: 0.25, noNaN: true }),
        fc.double({ min: 5e3, max: 8e4, noNaN: true }),
        fc.integer({ min: 4, max: 9 }),
        fc.double({ min: 0.25, max: 0.75, noNaN: true }),
        (share, optimum, bend, count, where) => {
          const maximum = share * zeroAirVoids(optimum, 2.7);
          const span = 0.08;
          const points = Array.from({ length: count }, (_, i) => {
            const moisture = optimum + (i / (count - 1) - where) * span;
            return { moisture, density: maximum - bend * (moisture - optimum) ** 2 };
          });
          const found = fitted(points);
          expect(found.maximum).toBeCloseTo(maximum, 3);
          expect(found.optimum).toBeCloseTo(optimum, 5);
          expect(densityAt(found, optimum + 0.01)).toBeCloseTo(maximum - bend * 1e-4, 3);
        },
      ),
      { numRuns: 100, seed: 5 },
    );
  });
  it('of two points, at one moisture, or all on one side is no curve', () => {
    const at = (...rows: readonly (readonly [number, number])[]) =>
      proctor(
        rows.map(([moisture, density]) => ({ moisture, density })),
        2.7,
      );
    expect(at([0.08, 1900], [0.1, 1950])).toEqual({ ok: false, fault: 'tooFew' });
    expect(at([0.08, 1900], [0.08, 1910], [0.1, 1950], [0.12, 1900])).toEqual({
      ok: false,
      fault: 'together',
    });
    expect(at([0.06, 1700], [0.08, 1780], [0.1, 1850], [0.12, 1910])).toEqual({
      ok: false,
      fault: 'oneSided',
    });
  });
  it('whose top has less than no air in it is refused', () => {
    // Solid quartz at 12 % water: 2.65/(1 + 0.12·2.65) = 2.011 t/m³; these come to 2.06.
    const points = [
      { moisture: 0.08, density: 1900 },
      { moisture: 0.1, density: 1990 },
      { moisture: 0.12, density: 2090 },
      { moisture: 0.14, density: 1950 },
    ];
    expect(proctor(points, 2.65)).toEqual({ ok: false, fault: 'overAir' });
    expect(proctor(points, 3).ok).toBe(true);
    fc.assert(
      fc.property(
        fc.double({ min: 1500, max: 2600, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        fc.double({ min: 2.4, max: 3.1, noNaN: true }),
        (maximum, optimum, grains) => {
          const drawn = [-0.03, -0.01, 0.01, 0.03].map((off) => ({
            moisture: optimum + off,
            density: maximum - 4e4 * off * off,
          }));
          // A kilogram of grains takes 1/grains litres and its water as many as it weighs: no more fits.
          const fits = 1000 / (1 / grains + optimum);
          if (Math.abs(maximum / fits - 1) < 2e-3) return;
          expect(proctor(drawn, grains).ok).toBe(maximum < fits);
        },
      ),
    );
  });
  it('is put right for the stones that were sieved out, each taking its own room (ASTM D4718)', () => {
    const points = [0.08, 0.1, 0.12, 0.14].map((moisture) => ({
      moisture,
      density: 1900 - 2e4 * (moisture - 0.11) ** 2,
    }));
    // 30 % stones of 2.65 at 1 % in soil of 1.90 at 11 %: 1/(0.7/1900 + 0.3/2650) = 2076.3 at 8.0 %.
    const found = fitted(points);
    const whole = proctor(points, 2.7, { share: 0.3, grains: 2.65, moisture: 0.01 });
    if (!whole.ok) throw new Error(whole.fault);
    expect(found.maximum).toBeCloseTo(1900, 6);
    expect(whole.maximum).toBeCloseTo(2076.3, 1);
    expect(whole.optimum).toBeCloseTo(0.08, 6);
    expect(whole.mould).toEqual(found.mould);
    // A cubic metre by its parts: mass of stones and soil over the room they take.
    const [soil, stones] = [0.7 * whole.maximum, 0.3 * whole.maximum];
    expect(soil / 1900 + stones / 2650).toBeCloseTo(1, 9);
    // None sieved out changes nothing.
    expect(proctor(points, 2.7, { share: 0, grains: 2.65, moisture: 0 })).toEqual(found);
  });
  it('names a point with less than no air in it', () => {
    // 2.70/(1 + 0.12·2.70) = 2.039 t/m³
    expect(zeroAirVoids(0.12, 2.7)).toBeCloseTo(2039.3, 1);
    const found = fitted([
      { moisture: 0.08, density: 1900 },
      { moisture: 0.1, density: 1980 },
      { moisture: 0.12, density: 2050 },
      { moisture: 0.14, density: 1850 },
    ]);
    // One reading too dense, its curve's top below what is possible.
    expect(found.maximum).toBeLessThan(zeroAirVoids(found.optimum, 2.7));
    expect(found.above).toEqual([2]);
  });
});

describe('density in place', () => {
  it('6.000 kg before, 3.216 after, cone 1.600, sand 1.48: a hole of 0.800 L; 1.680 kg at 9 %: 2.100 wet, 1.927 dry', () => {
    const found = sandCone({ before: 6, after: 3.216, cone: 1.6, sand: 1480, soil: 1.68, moisture: 0.09 })!;
    expect(found.hole * 1000).toBeCloseTo(0.8, 9);
    expect(found.wet).toBeCloseTo(2100, 6);
    expect(found.dry).toBeCloseTo(1926.6, 1);
    expect(dryOf(2100, 0.09)).toBeCloseTo(1926.6, 1);
  });
  it('with weighings that leave no hole is none', () => {
    expect(sandCone({ before: 6, after: 4.5, cone: 1.6, sand: 1480, soil: 1.68, moisture: 0.09 })).toBeNull();
  });
  it('1.89 of 1.96 is 96.4 %, 1.84 is 93.9 %', () => {
    expect(compactionOf(1890, 1960)).toBeCloseTo(0.9643, 4);
    expect(compactionOf(1840, 1960)).toBeCloseTo(0.9388, 4);
  });
  it('7 % to 11 % on 2.6 m³ at 1.9 t/m³ takes 198 kg of water; too wet, it must lose some', () => {
    expect(waterToAdd(2.6, 1900, 0.07, 0.11)).toBeCloseTo(197.6, 6);
    expect(waterToAdd(2.6, 1900, 0.13, 0.11)).toBeCloseTo(-98.8, 6);
  });
});

describe('a trial strip', () => {
  const rows = (...values: readonly number[]) => values.map((value, i) => ({ passes: 2 * i, value }));
  it('dies where a pass gains less than half a percent of the maximum, and says where it meets the share', () => {
    // Of 1960: half a percent is 9.8. Per pass: 60, 30, 10, 4.
    const found = trialByDensity(rows(1680, 1800, 1860, 1880, 1888), 1960, 0.95);
    expect(found).toMatchObject({ dies: 6, meets: 6, proven: 6, rolled: null });
    // 0.95·1960 = 1862: four passes leave it 2 short.
  });
  it('that loosens again is rolled over; one that never gets there proves nothing', () => {
    const found = trialByDensity(rows(1680, 1800, 1840, 1800), 1960, 0.95);
    expect(found).toMatchObject({ rolled: 4, meets: null, proven: null });
    // Dense enough at four passes, looser at six: what was there broke up under the roller.
    expect(trialByDensity(rows(1680, 1800, 1870, 1840), 1960, 0.95)).toMatchObject({
      meets: 4,
      rolled: 4,
      proven: null,
    });
  });
  it('proves nothing, however it is drawn, that loosens again or goes on settling', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 40, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.nat(),
        (gains, where) => {
          let density = 1600;
          const up = gains.map((gain) => (density += gain));
          const at = 1 + (where % (up.length - 1));
          const fallen = up.map((value, i) => (i < at ? value : value - 41 - 0.01 * 1960));
          const share = (up[0]! - 1) / 1960;
          expect(trialByDensity(rows(...up), 1960, share).proven).toBe(0);
          expect(trialByDensity(rows(...fallen), 1960, share).proven).toBeNull();
        },
      ),
    );
    // 10 mm, then a pause, then 4 more: it has not come to rest.
    expect(trialBySettlement(rows(0, 0.01, 0.01, 0.014)).proven).toBeNull();
    expect(trialBySettlement(rows(0, 0.01, 0.0101, 0.0102)).proven).toBe(2);
  });
  it('by settlement ends where another pass settles less than a twentieth of it all', () => {
    // 20 mm in all: a twentieth is 1. Per pass 5, 3, 1.5, 0.5.
    const found = trialBySettlement(rows(0, 0.01, 0.016, 0.019, 0.02));
    expect(found).toMatchObject({ dies: 6, proven: 6, meets: null });
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
