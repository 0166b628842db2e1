import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cbrOf, coneStretches } from './dynamic-cone.ts';

describe('the dynamic cone', () => {
  it('of 20 mm a blow: CBR 10.2', () => {
    // ln: 292/20^1.12 = e^(5.67675 − 1.12·2.99573) = e^2.32153 = 10.19
    expect(cbrOf(20, 'other')).toBeCloseTo(Math.exp(5.676754 - 1.12 * 2.995732), 3);
    expect(cbrOf(20, 'other')).toBeCloseTo(10.2, 1);
  });

  it('in clay has relations of its own: lean below CBR 10, fat everywhere', () => {
    // 40 mm: 1/(0.68076)² = 2.158; usual 4.69. Fat: 1/0.11484 = 8.708.
    expect(cbrOf(40, 'leanClay')).toBeCloseTo(2.158, 3);
    expect(cbrOf(10, 'leanClay')).toBe(cbrOf(10, 'other'));
    expect(cbrOf(40, 'fatClay')).toBeCloseTo(8.708, 3);
  });

  it('is read from one reading to the next, as deep as it went', () => {
    const stretches = coneStretches(
      [
        { blows: 0, depth: 0.02 },
        { blows: 5, depth: 0.12 },
        { blows: 10, depth: 0.32 },
      ],
      'other',
    );
    expect(stretches.map(({ index }) => Math.round(index))).toEqual([20, 40]);
    expect(stretches[1]).toMatchObject({ from: 0.12, to: 0.32 });
  });

  it('the farther a blow drives it, the softer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 120, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.constantFrom('other' as const, 'leanClay' as const, 'fatClay' as const),
        (index, more, soil) => {
          expect(cbrOf(index + more, soil)).toBeLessThan(cbrOf(index, soil));
        },
      ),
    );
  });
});
