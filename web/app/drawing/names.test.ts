import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Named, namesShown } from './names.ts';

const overlap = (p: Named, q: Named) =>
  Math.abs(p.x - q.x) < (p.width + q.width) / 2 && Math.abs(p.y - q.y) < (p.height + q.height) / 2;

describe('names on a drawing', () => {
  const drawn = fc
    .array(
      fc.record({
        x: fc.double({ min: 0, max: 800, noNaN: true }),
        y: fc.double({ min: 0, max: 400, noNaN: true }),
        width: fc.double({ min: 20, max: 90, noNaN: true }),
        height: fc.constant(20),
        length: fc.double({ min: 0, max: 300, noNaN: true }),
      }),
      { maxLength: 120 },
    )
    .map((list) => list.map((one, i): Named => ({ id: `e${i}`, ...one })));

  it('never cover each other; what is picked is always named; none is left out that would fit', () => {
    fc.assert(
      fc.property(drawn, fc.nat(119), (names, pick) => {
        const picked = names[pick]?.id ?? null;
        const shown = namesShown(names, picked);
        const seen = names.filter((name) => shown.has(name.id));
        for (const p of seen) for (const q of seen) if (p !== q) expect(overlap(p, q)).toBe(false);
        if (picked) expect(shown.has(picked)).toBe(true);
        for (const name of names)
          if (!shown.has(name.id) && name.width <= name.length)
            expect(seen.some((other) => overlap(name, other))).toBe(true);
      }),
    );
  });
  it('of a trench too short for its tag is left out, of a long one beside it not', () => {
    const at = { y: 10, height: 20, width: 60 };
    const names = [
      { id: 'short', x: 10, length: 5, ...at },
      { id: 'long', x: 200, length: 90, ...at },
    ];
    expect([...namesShown(names, null)]).toEqual(['long']);
    expect([...namesShown(names, 'short')].sort()).toEqual(['long', 'short']);
  });
});
