import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SOILS } from '../catalogue/soils.ts';
import { plainPlan, seeded, soilsDown } from '../testing.ts';
import { designWinter, looksFahrenheit, type Reading, wintersOf } from './climate.ts';
import { designFrost, frostCurve, frozenAfter } from './design-frost.ts';
import { frostDepth, frostLayer } from './frost.ts';
import { heaveGroup } from './heave.ts';
import { groundModel } from './strata.ts';

/** Monthly means of one year, January first. */
const YEAR = [-5, -3, 1, 6, 11, 15, 17, 16, 12, 7, 1, -2];
const months = (from: number, years: number, shift: (year: number) => number = () => 0): Reading[] =>
  Array.from({ length: years * 12 }, (_, i) => {
    const year = from + Math.floor(i / 12);
    const month = (i % 12) + 1;
    const base = YEAR[month - 1]!;
    return { year, month, day: null, mean: base < 3 ? base + shift(year) : base };
  });

describe('winters of a record', () => {
  it('are degree-days below nought, worked by hand: Dec 2·31, Jan 5·31, Feb 3·28', () => {
    const { winters, mean } = wintersOf(months(2001, 3));
    // Whole winters: 2001–02 and 2002–03; neither is a leap year's February.
    expect(winters.map((w) => w.winter)).toEqual(['2001–02', '2002–03']);
    for (const { index, days } of winters) {
      expect(index).toBeCloseTo(2 * 31 + 5 * 31 + 3 * 28, 9);
      expect(days).toBe(31 + 31 + 28);
    }
    expect(mean).toBeCloseTo(YEAR.reduce((s, v) => s + v, 0) / 12, 9);
  });

  it('from daily means are the same when the days are the month', () => {
    const daily = months(2001, 3).flatMap(({ year, month, mean }) =>
      Array.from({ length: new Date(Date.UTC(year, month, 0)).getUTCDate() }, (_, d) => ({
        year,
        month,
        day: d + 1,
        mean,
      })),
    );
    expect(wintersOf(daily).winters).toEqual(wintersOf(months(2001, 3)).winters);
    // In any order.
    const next = seeded(3);
    const shuffled = [...daily].sort(() => next() - 0.5);
    expect(wintersOf(shuffled).winters).toEqual(wintersOf(daily).winters);
  });

  it('with a month missing are left out and named, with a few days missing kept', () => {
    const holed = months(2001, 4).filter(({ year, month }) => !(year === 2003 && month === 1));
    const { winters, left } = wintersOf(holed);
    expect(winters.map((w) => w.winter)).toEqual(['2001–02', '2003–04']);
    expect(left.find((entry) => entry.winter === '2002–03')!.missing).toBe(31);
  });

  it('south of the line are one year each', () => {
    const south = months(2001, 3).map((r) => ({ ...r, mean: YEAR[(r.month + 5) % 12]! }));
    expect(wintersOf(south).winters.length).toBeGreaterThanOrEqual(2);
    expect(wintersOf(south).winters[1]!.winter).toMatch(/^\d{4}(–\d\d)?$/);
  });

  it('have a shape that climbs from nought to one', () => {
    const { shape } = wintersOf(months(2001, 3));
    expect(shape[0]).toBeCloseTo(0, 9);
    expect(shape.at(-1)).toBeCloseTo(1, 9);
    for (let i = 1; i < shape.length; i++) expect(shape[i]!).toBeGreaterThanOrEqual(shape[i - 1]!);
  });
});

describe('the design winter', () => {
  const record = (count: number) =>
    Array.from({ length: count }, (_, i) => ({
      winter: String(1980 + i),
      index: 100 + ((i * 37) % 100),
      days: 90,
    }));
  it('is the mean of the three coldest of thirty years, the coldest of fewer', () => {
    const thirty = record(30);
    const coldest = thirty.map((w) => w.index).sort((p, q) => q - p);
    expect(designWinter(thirty)).toMatchObject({
      rule: 'threeColdest',
      index: expect.closeTo((coldest[0]! + coldest[1]! + coldest[2]!) / 3, 9),
    });
    expect(designWinter(thirty.slice(0, 12))).toMatchObject({
      rule: 'coldest',
      index: Math.max(...thirty.slice(0, 12).map((w) => w.index)),
    });
    expect(designWinter([])).toBeNull();
  });
});

describe('degrees Fahrenheit', () => {
  it('taken for Celsius are spotted, and Celsius is not', () => {
    const celsius = months(2001, 2);
    expect(looksFahrenheit(celsius)).toBe(false);
    expect(looksFahrenheit(celsius.map((r) => ({ mean: (r.mean * 9) / 5 + 32 })))).toBe(true);
    expect(looksFahrenheit([])).toBe(false);
  });
});

describe('the design frost', () => {
  const plan = (change: Parameters<typeof plainPlan>[0] = () => {}) =>
    plainPlan((p) => {
      soilsDown(p, ['c', 'stiffClay', 0]);
      p.ground.frost.climate = { index: 500, days: 110, mean: 6, nFactor: 0.7, record: [], shape: [] };
      change!(p);
    });
  it('of one soil equals the closed form, and the curve ends there', () => {
    const p = plan();
    const frost = designFrost(p, groundModel(p));
    const { dryDensity, water } = SOILS.stiffClay;
    const closed = frostDepth([frostLayer(9, 'fine', dryDensity, water)], {
      index: 500,
      days: 110,
      mean: 6,
      nFactor: 0.7,
    });
    expect(frost.computed).toBeCloseTo(closed, 9);
    const curve = frostCurve(p, groundModel(p), frost);
    expect(curve.at(-1)!.depth).toBeCloseTo(closed, 9);
    for (let i = 1; i < curve.length; i++)
      expect(curve[i]!.depth).toBeGreaterThanOrEqual(curve[i - 1]!.depth - 1e-9);
  });
  it('is shallower under insulation and fill, by more for a thicker board', () => {
    const under = (cover: ReturnType<typeof plan>['ground']['frost']['cover']) => {
      const p = plan((q) => {
        q.ground.frost.cover = cover;
      });
      return designFrost(p, groundModel(p)).computed!;
    };
    const board = (thickness: number) => ({ id: 'b', kind: 'board' as const, thickness, conductivity: null });
    const bare = under([]);
    expect(under([board(0.03)])).toBeLessThan(bare);
    expect(under([board(0.08)])).toBeLessThan(under([board(0.03)]));
    expect(under([{ id: 'g', kind: 'gravel', thickness: 0.3, conductivity: null }])).toBeLessThan(bare);
    // A better board does more.
    expect(under([{ ...board(0.03), conductivity: 0.02 }])).toBeLessThan(under([board(0.03)]));
  });
  it('never gets shallower as winters get colder or longer in index', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 2000, noNaN: true }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (index, more, mean) => {
          const at = (value: number) => {
            const p = plan((q) => {
              q.ground.frost.climate!.index = value;
              q.ground.frost.climate!.mean = mean;
              soilsDown(q, ['t', 'topsoil', 0], ['s', 'sand', 0.3], ['c', 'softClay', 0.7]);
            });
            return designFrost(p, groundModel(p)).computed!;
          };
          expect(at(index + more)).toBeGreaterThanOrEqual(at(index) - 1e-6);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('takes the log where frost goes deepest, and the worst heave group it reaches', () => {
    const p = plan((q) => {
      soilsDown(q, ['g', 'gravel', 0], ['f', 'silt', 0.2]);
      q.ground.logs.push({
        ...q.ground.logs[0]!,
        id: 'l2',
        name: 'TP2',
        at: [30, 0],
        layers: [{ soil: 'g', top: 0, note: '' }],
      });
    });
    const frost = designFrost(p, groundModel(p));
    expect(frost.at).toBe('TP2');
    expect(frost.group).toBe('F4');
  });
});

describe('ground frozen today', () => {
  const p = plainPlan((q) => {
    soilsDown(q, ['c', 'softClay', 0]);
  });
  const model = groundModel(p);
  it('is none after a mild autumn, and grows with the frost', () => {
    expect(frozenAfter(p, model, [8, 5, 3, 1])).toEqual({ depth: 0, thawing: false, index: 0 });
    const week = frozenAfter(p, model, [4, ...Array.from({ length: 7 }, () => -6)]);
    const month = frozenAfter(p, model, [4, ...Array.from({ length: 30 }, () => -6)]);
    expect(week.index).toBe(42);
    expect(month.depth).toBeGreaterThan(week.depth);
    expect(month.thawing).toBe(false);
  });
  it('gives with milder days, and says it is thawing', () => {
    const cold = Array.from({ length: 30 }, () => -6);
    expect(frozenAfter(p, model, [...cold, 3, 4])).toMatchObject({ thawing: true, index: 173 });
    expect(frozenAfter(p, model, [...cold, ...Array.from({ length: 30 }, () => 10)]).depth).toBe(0);
  });
});

describe('heave groups', () => {
  it.each([
    ['gravel', 0.01, undefined, 'NFS'],
    ['gravel', 0.05, undefined, 'F1'],
    ['gravel', 0.15, undefined, 'F2'],
    ['gravel', 0.25, undefined, 'F3'],
    ['sand', 0.02, undefined, 'NFS'],
    ['sand', 0.1, undefined, 'F2'],
    ['sand', 0.2, undefined, 'F3'],
    ['siltySand', 0.2, undefined, 'F4'],
    ['stiffClay', undefined, 20, 'F3'],
    ['stiffClay', undefined, 8, 'F4'],
    ['silt', 0.01, 2, 'F4'],
    ['sand', undefined, undefined, 'NFS'],
  ] as const)('%s with %s finer and PI %s is %s', (kind, finer, plasticity, group) => {
    expect(heaveGroup(SOILS[kind], finer, plasticity)).toBe(group);
  });
});
