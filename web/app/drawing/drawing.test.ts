import { describe, expect, it } from 'vitest';
import { closedPath, dugPath, groundBetween, groundPath, soilPaths, waterPath } from './strata.ts';
import { niceStep } from './view.ts';

const post = (s: number, ground: number, tops: number[], water: number | null) => ({
  s,
  ground,
  tops: [ground, ...tops],
  water,
  measured: true,
});
const scale = { x: (s: number) => s * 10, y: (level: number) => (10 - level) * 10 };

describe('steps on rulers and axes', () => {
  it('are 1, 2 or 5 in metres, feet halved and quartered in feet', () => {
    expect(niceStep(0.13, 'metric')).toBeCloseTo(0.2, 9);
    expect(niceStep(0.2, 'metric')).toBeCloseTo(0.2, 9);
    expect(niceStep(3, 'metric')).toBeCloseTo(5, 9);
    expect(niceStep(7, 'metric')).toBeCloseTo(10, 9);
    expect(niceStep(0.05, 'imperial')).toBeCloseTo(0.25 * 0.3048, 9);
    expect(niceStep(0.12, 'imperial')).toBeCloseTo(0.5 * 0.3048, 9);
    expect(niceStep(0.3048, 'imperial')).toBeCloseTo(0.3048, 9);
    for (const metres of [0.01, 0.07, 0.4, 1.3, 8])
      expect(niceStep(metres, 'metric')).toBeGreaterThanOrEqual(metres - 1e-9);
  });
});

describe('the ground along a line as paths', () => {
  const posts = [post(0, 9, [8.5, 8.5], 8), post(1, 9.2, [8.6, 8.6], null), post(2, 9.4, [8.9, 8.9], 8.1)];
  it('leaves out a soil that is nowhere', () => {
    const [top, middle, last] = soilPaths(posts, scale, 60);
    expect(top).toMatch(/^M0\.0 10\.0L10\.0 8\.0L20\.0 6\.0L20\.0 11\.0/);
    expect(middle).toBe('');
    expect(last).toContain('60.0');
    expect(soilPaths([], scale, 60)).toEqual([]);
  });
  it('breaks the water line where no level is known', () => {
    expect(waterPath(posts, scale)).toBe('M0.0 20.0M20.0 19.0');
    expect(groundPath([], scale)).toBe('');
    expect(groundPath(posts, scale)).toBe('M0.0 10.0L10.0 8.0L20.0 6.0');
  });
  it('follows the ground’s breaks between two places', () => {
    expect(groundBetween(posts, 0.5, 1.5)).toEqual([
      0.5,
      expect.closeTo(9.1, 9),
      1,
      9.2,
      1.5,
      expect.closeTo(9.3, 9),
    ]);
    expect(closedPath([0, 9, 1, 9], scale)).toBe('M0.0 10.0L10.0 10.0Z');
  });
  it('draws one dug line a run of touching pieces, from ground to ground', () => {
    const piece = (s0: number, s1: number, z0: number, z1: number) => ({
      s0,
      s1,
      z0,
      z1,
      part: 0,
      owner: 0,
      flat: true,
    });
    const line = dugPath([piece(0.5, 1, 8, 8), piece(1, 1.5, 7.5, 7.5)], posts, scale);
    expect(line).toBe('M5.0 9.0L5.0 20.0L10.0 20.0L10.0 25.0L15.0 25.0L15.0 7.0');
    expect(dugPath([piece(0, 0.2, 8, 8), piece(1.8, 2, 8, 8)], posts, scale).match(/M/g)).toHaveLength(2);
    expect(dugPath([], posts, scale)).toBe('');
  });
});
