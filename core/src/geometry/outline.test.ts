import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../testing.ts';
import { area, at, edges } from './convex.ts';
import {
  contains,
  convexPieces,
  crossing,
  distanceToLine,
  flanks,
  flat,
  grow,
  isConvex,
  offset,
  outsideOf,
  tidy,
} from './outline.ts';
import { unionOutlines } from './union.ts';

type Points = [number, number][];
const L: Points = [
  [0, 0],
  [6, 0],
  [6, 2],
  [2, 2],
  [2, 5],
  [0, 5],
];
const square: Points = [
  [0, 0],
  [4, 0],
  [4, 4],
  [0, 4],
];

/** A star-shaped outline about the origin: any number of bends, never crossing itself. */
function star(seed: number): Points {
  const next = seeded(seed);
  const n = 5 + Math.floor(next() * 9);
  return Array.from({ length: n }, (_, i) => {
    const angle = ((i + 0.6 * next()) / n) * 2 * Math.PI;
    const r = 2 + 4 * next();
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });
}

describe('outlines', () => {
  it('are turned counter-clockwise and lose corners that are none', () => {
    const messy: Points = [
      [0, 4],
      [2, 4],
      [4, 4],
      [4, 4],
      [4, 0],
      [0, 0],
    ];
    const tidied = tidy(messy);
    expect(tidied).toHaveLength(4);
    expect(area(flat(tidied))).toBeCloseTo(16, 12);
  });
  it('that cross or touch themselves are found, with the two sides', () => {
    expect(crossing(square)).toBeNull();
    expect(crossing(L)).toBeNull();
    expect(
      crossing([
        [0, 0],
        [4, 4],
        [4, 0],
        [0, 4],
      ]),
    ).toEqual([0, 2]);
    // A corner that lies on another side.
    expect(
      crossing([
        [0, 0],
        [4, 0],
        [4, 4],
        [2, 0],
        [0, 4],
      ]),
    ).not.toBeNull();
  });
  it('know whether a place is inside, with some slack at the edge', () => {
    expect(contains(L, 1, 4)).toBe(true);
    expect(contains(L, 4, 4)).toBe(false);
    expect(contains(L, 6.05, 1)).toBe(false);
    expect(contains(L, 6.05, 1, 0.1)).toBe(true);
  });
  it('distance to a side is to its nearest point', () => {
    expect(distanceToLine([0, 0], [4, 0], 2, 3)).toBe(3);
    expect(distanceToLine([0, 0], [4, 0], 7, 4)).toBe(5);
    expect(distanceToLine([1, 1], [1, 1], 4, 5)).toBe(5);
  });
});

describe('convex pieces', () => {
  it('of any outline are convex and add up to it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const outline = tidy(star(seed));
        const pieces = convexPieces(outline);
        const corners = (piece: readonly number[]): Points =>
          Array.from({ length: piece.length / 2 }, (_, i) => [piece[2 * i]!, piece[2 * i + 1]!]);
        expect(pieces.reduce((sum, piece) => sum + area(piece), 0)).toBeCloseTo(area(flat(outline)), 8);
        for (const piece of pieces) {
          expect(area(piece)).toBeGreaterThan(0);
          expect(isConvex(corners(piece)) || corners(piece).length === 3).toBe(true);
        }
      }),
      { numRuns: 80 },
    );
  });
  it('of a convex outline are itself; of an L two', () => {
    expect(convexPieces(square)).toHaveLength(1);
    expect(convexPieces(L)).toHaveLength(2);
  });
});

describe('offsets', () => {
  it('of square corners: area + perimeter·d + 4d²', () => {
    expect(area(flat(offset(L, 0.5)!))).toBeCloseTo(18 + 22 * 0.5 + 4 * 0.25, 9);
    expect(area(flat(offset(L, -0.5)!))).toBeCloseTo(18 - 22 * 0.5 + 4 * 0.25, 9);
  });
  it('there and back again is where it was', () => {
    const back = offset(offset(L, 0.4)!, -0.4)!;
    back.forEach(([x, y], i) => {
      expect(x).toBeCloseTo(L[i]![0], 9);
      expect(y).toBeCloseTo(L[i]![1], 9);
    });
  });
  it('that use a shape up are none', () => {
    expect(offset(square, -2.1)).toBeNull();
    expect(offset(L, -1.1)).toBeNull();
  });
  it('of a convex piece leave the sides along a riser where they are', () => {
    const piece = flat(square);
    const riser = edges(piece)[0]!;
    expect(area(grow(piece, 1, []))).toBeCloseTo(36, 12);
    expect(area(grow(piece, 1, [riser]))).toBeCloseTo(6 * 5, 12);
    expect(grow(piece, 0, [])).toBe(piece);
  });
});

describe('flanks', () => {
  it('share out everything outside a convex outline, each place to its farthest side', () => {
    const sides = flanks(square);
    const next = seeded(4);
    for (let i = 0; i < 400; i++) {
      const [x, y] = [next() * 20 - 8, next() * 20 - 8];
      if (contains(square, x, y)) continue;
      const mine = sides.filter((flank) => flank.walls.every((wall) => at(wall, x, y) <= 1e-9));
      expect(mine.length).toBeGreaterThan(0);
      const farthest = Math.max(...edges(flat(square)).map((side) => at(side, x, y)));
      expect(at(mine[0]!.distance, x, y)).toBeCloseTo(farthest, 9);
    }
  });
  it('in a notch count the nearer side', () => {
    const [x, y] = [2.3, 3];
    const mine = flanks(L).filter((flank) => flank.walls.every((wall) => at(wall, x, y) <= 1e-9));
    expect(Math.min(...mine.map((flank) => at(flank.distance, x, y)))).toBeCloseTo(0.3, 9);
  });
  it('say how far the sharpest mitre runs out: √2 at a square corner', () => {
    for (const flank of flanks(square)) expect(flank.mitre).toBeCloseTo(Math.SQRT2, 9);
  });
});

describe('what lies outside, and unions', () => {
  it('half of a piece that hangs over', () => {
    expect(outsideOf(square, [[2, 1, 6, 1, 6, 3, 2, 3]])).toBeCloseTo(4, 9);
    expect(outsideOf([], [[0, 0, 1, 0, 1, 1]])).toBe(0);
    // Over the notch of an L: only what is over it counts.
    expect(outsideOf(L, [[1, 1, 3, 1, 3, 3, 1, 3]])).toBeCloseTo(1, 9);
  });
  it('pieces that overlap have one outline; a ring has a hole', () => {
    expect(unionOutlines([flat(square), [2, 2, 6, 2, 6, 6, 2, 6]])).toHaveLength(1);
    const frame = [
      [0, 0, 6, 0, 6, 1, 0, 1],
      [0, 5, 6, 5, 6, 6, 0, 6],
      [0, 0, 1, 0, 1, 6, 0, 6],
      [5, 0, 6, 0, 6, 6, 5, 6],
    ];
    const outlines = unionOutlines(frame);
    expect(outlines).toHaveLength(2);
    expect(outlines.reduce((sum, outline) => sum + area(flat(outline)), 0)).toBeCloseTo(20, 6);
    expect(unionOutlines([])).toEqual([]);
  });
});
