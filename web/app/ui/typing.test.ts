import { parseQuantity, type System } from '@cimiento/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { farFrom } from './typing.ts';

/** What is taken while a text is typed over a value, key by key. */
const taken = (before: number, text: string, system: System = 'metric') =>
  [...text].flatMap((_, end) => {
    const parsed = parseQuantity(text.slice(0, end + 1), 'length', system, 'en');
    return parsed.ok && !farFrom(before, parsed.value) ? [parsed.value] : [];
  });

describe('a value on its way to another', () => {
  it('is held while it is far from what stood there, and taken near it', () => {
    // 1 is far from it, 10 is just under a tenth of it.
    expect(taken(100.25, '101.5')).toEqual([101, 101, 101.5]);
    expect(taken(1010.5, '1012')).toEqual([1012]);
    expect(taken(0.6, '45')).toEqual([4]);
    expect(farFrom(0, 5)).toBe(false);
    expect(farFrom(null, 5)).toBe(false);
    expect(farFrom(5, 0)).toBe(true);
    expect(farFrom(-2, -1.5)).toBe(false);
  });
  it('is never taken a power of ten off, whatever number is typed over one of its own size', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 9999 }),
        fc.integer({ min: 100, max: 9999 }),
        (before, after) => {
          for (const value of taken(before, String(after)))
            expect(Math.abs(Math.log10(value / before))).toBeLessThanOrEqual(1 + 1e-9);
        },
      ),
    );
  });
});
