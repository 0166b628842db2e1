import { describe, expect, it } from 'vitest';
import { between, oneOf, openShare, seeded } from './index.ts';

describe('the one generator', () => {
  it('draws the same from a seed everywhere, and other numbers from another', () => {
    const [a, b, c] = [seeded(7), seeded(7), seeded(8)];
    const ten = (next: () => number) => Array.from({ length: 10 }, next);
    const first = ten(a);
    expect(ten(b)).toEqual(first);
    expect(ten(c)).not.toEqual(first);
    // What was drawn of a seed once is drawn of it for ever: stored answers stand on it.
    expect(first[0]).toBeCloseTo(0.011704753, 8);
  });
  it('spreads evenly: mean a half, variance a twelfth', () => {
    const next = seeded(3);
    const drawn = Array.from({ length: 20_000 }, next);
    const mean = drawn.reduce((sum, x) => sum + x, 0) / drawn.length;
    const variance = drawn.reduce((sum, x) => sum + (x - mean) ** 2, 0) / drawn.length;
    expect(mean).toBeCloseTo(0.5, 2);
    expect(variance).toBeCloseTo(1 / 12, 2);
    expect(drawn.every((x) => x >= 0 && x < 1)).toBe(true);
  });
  it('draws between two, one of a list, and a share with both ends left out', () => {
    const next = seeded(5);
    for (let i = 0; i < 500; i++) {
      const found = between(next, [-3, 2]);
      expect(found).toBeGreaterThanOrEqual(-3);
      expect(found).toBeLessThan(2);
    }
    const counts = new Map<string, number>();
    for (let i = 0; i < 3000; i++) {
      const one = oneOf(next, ['a', 'b', 'c']);
      counts.set(one, (counts.get(one) ?? 0) + 1);
    }
    for (const count of counts.values()) expect(Math.abs(count - 1000)).toBeLessThan(120);
    expect(() => oneOf(next, [])).toThrow(RangeError);
    expect(openShare(() => 0)).toBeGreaterThan(0);
    expect(openShare(() => 1)).toBeLessThan(1);
  });
});
