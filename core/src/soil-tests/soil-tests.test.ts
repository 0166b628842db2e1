/** Published compaction tests, worked examples by hand, and slow twins. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compactionOf, dryOf, sandCone, waterToAdd } from './density.ts';
import { densityAt, type Proctor, proctor, zeroAirVoids } from './proctor.ts';
import { trialByDensity, trialBySettlement } from './trial.ts';

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
