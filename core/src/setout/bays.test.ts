import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { baysOf } from './bays.ts';

describe('underpinning bays', () => {
  it('10 m in bays of at most 1.2 m: nine of 1.111 m, in three passes', () => {
    const bays = baysOf(10, 1.2);
    expect(bays.count).toBe(9);
    expect(bays.length).toBeCloseTo(10 / 9, 12);
    expect(bays.passes).toEqual([
      [1, 4, 7],
      [2, 5, 8],
      [3, 6, 9],
    ]);
  });
  it('every bay once, none too long, open ones never nearer than two whole bays', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (run, longest) => {
          const { count, length, passes } = baysOf(run, longest);
          expect(length).toBeLessThanOrEqual(longest + 1e-6);
          expect(passes.flat().sort((p, q) => p - q)).toEqual(Array.from({ length: count }, (_, i) => i + 1));
          for (const pass of passes)
            for (let i = 1; i < pass.length; i++) expect(pass[i]! - pass[i - 1]!).toBeGreaterThan(2);
        },
      ),
    );
  });
});
