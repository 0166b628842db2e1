import { describe, expect, it } from 'vitest';
import { weatherFeed } from './weather.ts';

describe('the weather feed', () => {
  it('says the same of a day whoever asks, and from wherever they begin', () => {
    const long = weatherFeed('2026-11-01', 60);
    expect(weatherFeed('2026-11-21', 5)).toEqual(long.slice(20, 25));
    expect(long[0]!.date).toBe('2026-11-01');
    expect(weatherFeed('2026-11-01', 60, 2)).not.toEqual(long);
  });
  it('has cold winters, warm summers and no wild days', () => {
    const year = weatherFeed('2025-01-01', 365);
    const mean = (month: string) => {
      const days = year.filter((day) => day.date.slice(5, 7) === month);
      return days.reduce((sum, day) => sum + day.mean, 0) / days.length;
    };
    expect(mean('01')).toBeLessThan(1);
    expect(mean('07')).toBeGreaterThan(12);
    for (const day of year) {
      expect(Math.abs(day.mean)).toBeLessThan(35);
      expect(day.rain).toBeGreaterThanOrEqual(0);
      expect(day.rain).toBeLessThan(25);
    }
  });
  it('of no date is none', () => {
    expect(weatherFeed('soon', 5)).toEqual([]);
    expect(weatherFeed('2026-01-01', 0)).toEqual([]);
  });
});
