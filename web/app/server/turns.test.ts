import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TooMany, Turns } from './turns.server.ts';

/** Work that ends when it is told to, in the order it was begun. */
function bench(turns: Turns) {
  const begun: string[] = [];
  const open: (() => void)[] = [];
  const ask = (crew: string) =>
    turns.run(crew, () => {
      begun.push(crew);
      return new Promise<void>((done) => open.push(done));
    });
  const rest = () => new Promise((done) => setImmediate(done));
  const end = async () => {
    open.shift()?.();
    await rest();
  };
  return { begun, ask, end, rest, running: () => open.length };
}

describe('work in turns', () => {
  it('lets another crew by after what is under way, not after a dozen of the first', async () => {
    const { begun, ask, end, rest } = bench(new Turns({ atOnce: 1, each: 20 }));
    for (let i = 0; i < 12; i++) void ask('large');
    await rest();
    void ask('small');
    await rest();
    expect(begun).toEqual(['large']);
    await end();
    expect(begun).toEqual(['large', 'small']);
    await end();
    expect(begun).toEqual(['large', 'small', 'large']);
  });
  it('leaves a place free of the first crew where there are two', async () => {
    const { begun, ask, rest } = bench(new Turns({ atOnce: 2, each: 20 }));
    for (let i = 0; i < 12; i++) void ask('large');
    await rest();
    expect(begun).toEqual(['large']);
    void ask('small');
    await rest();
    expect(begun).toEqual(['large', 'small']);
  });
  it('tells a crew that asks for more than its share to come again, and no other', async () => {
    const { ask, rest } = bench(new Turns({ atOnce: 1, each: 3 }));
    for (let i = 0; i < 4; i++) void ask('large');
    await rest();
    await expect(ask('large')).rejects.toBeInstanceOf(TooMany);
    void ask('small');
    await rest();
  });
  it('goes on after work that failed', async () => {
    const turns = new Turns({ atOnce: 1, each: 5 });
    const failed = turns.run('a', () => Promise.reject(new Error('no')));
    const next = turns.run('a', () => Promise.resolve(7));
    await expect(failed).rejects.toThrow('no');
    await expect(next).resolves.toBe(7);
  });
  it('in whatever order it is asked: all is done, none twice at once for a crew, and nobody is passed over twice', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 1, max: 3 }),
        async (asked, atOnce) => {
          const { begun, ask, end, rest, running } = bench(new Turns({ atOnce, each: 99 }));
          const all = asked.map(ask);
          await rest();
          while (running() > 0) {
            expect(running()).toBeLessThanOrEqual(atOnce);
            await end();
          }
          await Promise.all(all);
          expect([...begun].sort()).toEqual([...asked].sort());
          // All were asked before the first ended: between two of one crew, every crew still waiting has one.
          if (atOnce === 1)
            begun.forEach((crew, i) => {
              const next = begun.indexOf(crew, i + 1);
              if (next < 0) return;
              for (const other of new Set(begun.slice(next)))
                if (other !== crew) expect(begun.slice(i, next)).toContain(other);
            });
        },
      ),
      { numRuns: 60 },
    );
  });
});
