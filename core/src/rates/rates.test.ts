/** Every rate stands in one table, with its range and source, and what teaches it; none stands elsewhere. */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';
import { RECORD_KIND_IDS } from '../log/index.ts';
import { BREAKING, COMPACTOR_SPEED, loggedRate, RATES, type Rate, rateOf } from './index.ts';

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

describe('the rate that counts', () => {
  const day = (volume: number, hours: number) => ({ volume, hours });
  it('is the crew’s own from three days on: all they dug over all their hours', () => {
    expect(loggedRate([day(4, 8), day(6, 8)])).toBeNull();
    expect(loggedRate([day(4, 8), day(6, 8), day(5, 4)])).toBeCloseTo(15 / 20, 12);
  });
  it('goes before what is typed, which goes before the table', () => {
    expect(rateOf('digByHand', 0.9, 0.7)).toEqual({ rate: 0.9, from: 'measured' });
    expect(rateOf('digByHand', null, 0.7)).toEqual({ rate: 0.7, from: 'typed' });
    expect(rateOf('digByHand', null, null)).toEqual({ rate: 0.6, from: 'typical' });
  });
});
