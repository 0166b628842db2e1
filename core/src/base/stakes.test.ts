import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stakeSpacing, stakesFor } from './stakes.ts';

describe('levelled stakes', () => {
  it('of a strip 14.4 × 0.6 under a 2.4 m screed: eight in a row, 2.06 m apart', () => {
    // 2.4 − 0.2 = 2.2 at most; 14.4 / 2.2 = 6.5 → 7 gaps.
    expect(stakesFor(14.4, 0.6, 2.4)).toEqual({ along: 8, across: 1, spacing: 14.4 / 7 });
  });

  it('of a pad 5 × 3: as many rows as keep the screed on two', () => {
    expect(stakesFor(5, 3, 2.4)).toMatchObject({ along: 4, across: 3 });
  });

  it('never stand farther apart than the screed bears, and one fewer would', () => {
    const size = fc.double({ min: 0.2, max: 40, noNaN: true });
    fc.assert(
      fc.property(size, size, fc.double({ min: 0.5, max: 8, noNaN: true }), (length, width, screed) => {
        const { along, across, spacing } = stakesFor(length, width, screed);
        expect(spacing).toBeLessThanOrEqual(stakeSpacing(screed) + 1e-6);
        if (along > 2) expect(length / (along - 2)).toBeGreaterThan(stakeSpacing(screed) - 1e-6);
        if (across > 1) expect(width / (across - 1)).toBeLessThanOrEqual(stakeSpacing(screed) + 1e-6);
      }),
    );
  });
});
