import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { linesOf, roughWidth, within } from './lines.ts';

const words = fc.array(fc.stringMatching(/^[a-z0-9]{1,12}$/), { minLength: 1, maxLength: 9 });

describe('words in little room', () => {
  it('are broken between words, in order, none lost, no line too wide but a word alone', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 20, max: 300 }), (all, room) => {
        const lines = linesOf(all.join(' '), room, 12);
        expect(lines.join(' ')).toBe(all.join(' '));
        for (const line of lines) expect(roughWidth(line, 12) <= room || !line.includes(' ')).toBe(true);
      }),
    );
    expect(linesOf('Crushed stone 5–31 · 150 mm', 120, 12)).toEqual(['Crushed stone 5–31 ·', '150 mm']);
  });
  it('stand where they are put unless that cuts them', () => {
    expect(within(100, 'West bank', 14, 300)).toBe(100);
    expect(within(4, 'West bank', 14, 300)).toBe(roughWidth('West bank', 14) / 2 + 2);
    expect(within(299, 'West bank', 14, 300)).toBe(300 - roughWidth('West bank', 14) / 2 - 2);
  });
});
