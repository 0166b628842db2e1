/** Every rate stands in one table, with its range and source, and what teaches it; none stands elsewhere. */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';
import { RECORD_KIND_IDS } from '../log/index.ts';
import { BREAKING, COMPACTOR_SPEED, RATES, type Rate, rateOf, taught } from './index.ts';

const all: [string, Rate][] = [
  ...Object.entries(RATES),
  ...Object.entries(BREAKING).flatMap(([kind, by]): [string, Rate][] => [
    [`${kind} by hand`, by.hand],
    [`${kind} by hammer`, by.hammer],
  ]),
  ...Object.entries(COMPACTOR_SPEED),
];

const CORE = join(import.meta.dirname, '..');
function sources(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return sources(path);
    return /\.ts$/.test(name) && !/\.test\.ts$|testing\.ts$/.test(name) ? [path] : [];
  });
}

describe('the table of rates', () => {
  it.each(all)('%s: low to high about what is likely, with where it comes from', (_, rate) => {
    expect(rate.low).toBeGreaterThan(0);
    expect(rate.low).toBeLessThanOrEqual(rate.likely);
    expect(rate.likely).toBeLessThanOrEqual(rate.high);
    expect(rate.source).not.toBe('');
    expect(rate.unit).not.toBe('');
    if (rate.taught !== null) expect(RECORD_KIND_IDS).toContain(rate.taught);
  });
  it('is the only place a rate stands in', () => {
    const elsewhere = sources(CORE).flatMap((file) => {
      if (file.includes('/rates/')) return [];
      const text = readFileSync(file, 'utf8');
      return [
        ...text.matchAll(
          /^(?:export )?const (\w*(?:RATE|SPEED|EFFICIENCY|CYCLE|AN_HOUR|A_DAY|PER_HOUR|STAGED)\w*)\b/gm,
        ),
      ].map(([, name]) => `${relative(CORE, file)}: ${name}`);
    });
    expect(elsewhere).toEqual([]);
  });
});

describe('what logged days teach', () => {
  it('is all of it over all hours, between the slowest and the quickest day', () => {
    // 62 in 7.5 h and 41 in 8 h: 8.27 and 5.13 a day, 103/15.5 = 6.645 on the whole.
    // Two entries of one day are one day.
    const told = taught([
      { day: '1', amount: 40, per: 4 },
      { day: '1', amount: 22, per: 3.5 },
      { day: '2', amount: 41, per: 8 },
    ])!;
    expect(told.days).toBe(2);
    expect(told.value).toBeCloseTo(6.645, 3);
    expect(told.low).toBeCloseTo(5.125, 12);
    expect(told.high).toBeCloseTo(8.2667, 4);
    expect(taught([])).toBeNull();
  });
});

describe('the rate that counts', () => {
  it('is what is typed, before what was taken of the log, before the table', () => {
    expect(rateOf('digByHand', 0.9, 0.7)).toEqual({ rate: 0.7, from: 'typed' });
    expect(rateOf('digByHand', 0.9, null)).toEqual({ rate: 0.9, from: 'measured' });
    expect(rateOf('digByHand', null, null)).toEqual({ rate: 0.6, from: 'typical' });
  });
});
