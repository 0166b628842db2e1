import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reachable, type SiteGrid, type Start, searchOf, spreadFrom } from './site-grid.ts';

const gridOf = (columns: number, rows: number, size: number): SiteGrid => ({
  columns,
  rows,
  size,
  x0: 0,
  y0: 0,
  taken: [],
  fixed: new Uint8Array(columns * rows),
  cell: ([x, y]) => Math.floor(y / size) * columns + Math.floor(x / size),
});

/** The slow twin: every cell looked at again until nothing gets shorter (Bellman 1958). */
function relaxed(grid: SiteGrid, blocked: Uint8Array, starts: readonly Start[]): number[] {
  const { columns, rows, size } = grid;
  const out = Array.from({ length: columns * rows }, () => Infinity);
  for (const { cell, far } of starts) if (!blocked[cell]) out[cell] = Math.min(out[cell]!, far);
  const free = (i: number, j: number) =>
    i >= 0 && j >= 0 && i < columns && j < rows && !blocked[j * columns + i];
  for (let again = true; again; ) {
    again = false;
    for (let j = 0; j < rows; j++)
      for (let i = 0; i < columns; i++)
        for (const [di, dj] of [
          [1, 0],
          [0, 1],
          [1, 1],
          [1, -1],
        ] as const) {
          if (!free(i, j) || !free(i + di, j + dj)) continue;
          if (di !== 0 && dj !== 0 && !(free(i + di, j) && free(i, j + dj))) continue;
          const [p, q] = [j * columns + i, (j + dj) * columns + i + di];
          const step = size * Math.hypot(di, dj);
          for (const [from, to] of [
            [p, q],
            [q, p],
          ] as const)
            if (out[from]! + step < out[to]! - 1e-9) {
              out[to] = out[from]! + step;
              again = true;
            }
        }
  }
  return out;
}

describe('distances over a site', () => {
  const aSite = fc.record({
    columns: fc.integer({ min: 1, max: 12 }),
    rows: fc.integer({ min: 1, max: 12 }),
    size: fc.constantFrom(0.5, 0.73, 1),
    blocks: fc.array(fc.nat(1000), { maxLength: 60 }),
    starts: fc.array(fc.record({ cell: fc.nat(1000), far: fc.double({ min: 0, max: 30, noNaN: true }) }), {
      minLength: 1,
      maxLength: 4,
    }),
  });

  it('from any starts, some with a way behind them, are those of the slow twin', () => {
    fc.assert(
      fc.property(aSite, ({ columns, rows, size, blocks, starts }) => {
        const grid = gridOf(columns, rows, size);
        const cells = columns * rows;
        const blocked = new Uint8Array(cells);
        for (const block of blocks) blocked[block % cells] = 1;
        const from = starts.map(({ cell, far }) => ({ cell: cell % cells, far }));
        const search = searchOf(grid);
        const slow = relaxed(grid, blocked, from);
        const quick = spreadFrom(grid, blocked, from, search);
        for (let c = 0; c < cells; c++) {
          if (!Number.isFinite(slow[c]!)) expect(quick[c]).toBe(Infinity);
          else {
            expect(quick[c]).toBeCloseTo(slow[c]!, 6);
            // The start it is said to come from is no farther than that.
            const own = relaxed(grid, blocked, [from[search.origin[c]!]!])[c]!;
            expect(own).toBeCloseTo(slow[c]!, 6);
          }
        }
        const seen = reachable(
          blocked,
          from.map((start) => start.cell),
          searchOf(grid),
        );
        for (let c = 0; c < cells; c++) expect(Boolean(seen[c])).toBe(Number.isFinite(slow[c]!));
      }),
      { numRuns: 80 },
    );
  });

  it('to targets alone are the same for the targets', () => {
    fc.assert(
      fc.property(aSite, fc.array(fc.nat(1000), { minLength: 1, maxLength: 5 }), (site, wanted) => {
        const grid = gridOf(site.columns, site.rows, site.size);
        const cells = site.columns * site.rows;
        const blocked = new Uint8Array(cells);
        for (const block of site.blocks) blocked[block % cells] = 1;
        const from = site.starts.map(({ cell, far }) => ({ cell: cell % cells, far }));
        const targets = wanted.map((target) => target % cells);
        const whole = spreadFrom(grid, blocked, from, searchOf(grid)).slice();
        const some = spreadFrom(grid, blocked, from, searchOf(grid), targets);
        for (const target of targets) expect(some[target]).toBeCloseTo(whole[target]!, 9);
      }),
      { numRuns: 80 },
    );
  });

  it('do not squeeze between two corners that touch', () => {
    const grid = gridOf(2, 2, 1);
    const blocked = Uint8Array.of(0, 1, 1, 0);
    expect([...spreadFrom(grid, blocked, [{ cell: 0, far: 0 }], searchOf(grid))]).toEqual([
      0,
      Infinity,
      Infinity,
      Infinity,
    ]);
  });
});
