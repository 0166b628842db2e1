import { instrumentFault } from '@cimiento/core';
import { describe, expect, it } from 'vitest';
import { EVERY, instrumentReadings } from './instruments.ts';
import { rainForecast, weatherFeed } from './weather.ts';

const night = Array.from({ length: 73 }, (_, i) => 98 + 0.3 * Math.sin((Math.PI * i) / 72));

describe('simulated instruments', () => {
  it('say the same of one place whoever asks, and something else of another', () => {
    const asked = { kind: 'level' as const, place: 'a/1', expected: night };
    expect(instrumentReadings(asked)).toEqual(instrumentReadings(asked));
    expect(instrumentReadings(asked)).not.toEqual(instrumentReadings({ ...asked, place: 'a/2' }));
  });
  it('are near what is expected, mostly; some fall silent, some jump, and they are caught', () => {
    const faults = Array.from({ length: 400 }, (_, i) => {
      const readings = instrumentReadings({ kind: 'level', place: `p${i}`, expected: night });
      const fault = instrumentFault(readings, 12, [95, 101], { moves: true })?.fault ?? 'none';
      if (fault === 'none')
        readings.forEach(({ at, value }, k) => {
          expect(at).toBeCloseTo(k * EVERY, 9);
          expect(Math.abs(value - night[k]!)).toBeLessThan(0.3 * 1.25 + 0.003);
        });
      return fault;
    });
    const share = (fault: string) => faults.filter((one) => one === fault).length / faults.length;
    expect(share('silent')).toBeGreaterThan(0.04);
    expect(share('silent')).toBeLessThan(0.18);
    expect(share('jumps') + share('outOfRange')).toBeGreaterThan(0.03);
    expect(share('none')).toBeGreaterThan(0.6);
  });
});

describe('the forecast', () => {
  it('is the same from wherever one begins, and brings what the days bring', () => {
    const hours = rainForecast('2026-10-20T00', 24 * 12);
    expect(rainForecast('2026-10-25T18:30', 10)).toEqual(hours.slice(5 * 24 + 18, 5 * 24 + 28));
    const days = weatherFeed('2026-10-20', 11).reduce((sum, day) => sum + day.rain, 0);
    const fallen = hours.slice(0, 24 * 12).reduce((sum, mm) => sum + mm, 0);
    // The day before spills over, the last may begin; each hour is rounded to a tenth.
    expect(Math.abs(fallen - days)).toBeLessThan(24 + 0.1 * hours.length);
    expect(days).toBeGreaterThan(0);
  });
  it('of no hour is none', () => {
    expect(rainForecast('soon', 5)).toEqual([]);
  });
});
