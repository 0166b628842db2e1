import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { at, constant, edges, type Linear, rectangle } from '../geometry/index.ts';
import { planeSurface } from '../ground/surface.ts';
import { seeded } from '../testing.ts';
import type { Corners, Part } from './part.ts';
import { profile, solveSolid, volumeDeeperThan, volumeOf, volumeUnderLevel } from './solid.ts';

const part = (
  x: number,
  y: number,
  l: number,
  w: number,
  angle: number,
  floor: number,
  slope: number,
  owner = 0,
): Part => ({
  owner,
  bottom: rectangle(x, y, l, w, angle),
  floor: constant(floor),
  slope,
  stretch: 0,
  risers: [],
  of: owner,
  fills: true,
  mitre: 0,
  rounding: [],
});
const volume = (parts: readonly Part[], ground: Linear, corners: Corners = 'mitred') =>
  volumeOf(solveSolid(parts, planeSurface(ground), corners));

/** The slow twin: the envelope sampled on a grid, straight from its definition. */
function sampled(parts: readonly Part[], ground: Linear, window: number, step: number): number {
  const sides = parts.map((p) => edges(p.bottom));
  let sum = 0;
  for (let x = -window + step / 2; x < window; x += step)
    for (let y = -window + step / 2; y < window; y += step) {
      let face = Infinity;
      parts.forEach((p, i) => {
        const out = Math.max(...sides[i]!.map((side) => at(side, x, y)));
        if (p.slope <= 0 ? out <= 0 : true)
          face = Math.min(face, p.floor.c + (p.slope > 0 ? Math.max(0, out) / p.slope : 0));
      });
      sum += Math.max(0, at(ground, x, y) - face) * step * step;
    }
  return sum;
}

describe('the dug solid', () => {
  it('of a pit 6 × 4, 2.5 deep, 0.75:1: 118.59375 m³ mitred, 116.07888 rounded', () => {
    // Mitred is the prismatoid h/6·(A0 + 4Am + A1) = 2.5/6·(24 + 4·7.875·5.875 + 9.75·7.75).
    const prismatoid = (2.5 / 6) * (24 + 4 * 7.875 * 5.875 + 9.75 * 7.75);
    expect(prismatoid).toBeCloseTo(118.59375, 9);
    expect(volume([part(3, -8, 6, 4, 0.4, 0, 0.75)], constant(2.5))).toBeCloseTo(prismatoid, 9);
    // Rounded: A·h + P·m·h²/2 + π·m²·h³/3.
    const rounded = 24 * 2.5 + (20 * 0.75 * 2.5 ** 2) / 2 + (Math.PI * 0.75 ** 2 * 2.5 ** 3) / 3;
    expect(rounded).toBeCloseTo(116.07888, 4);
    expect(volume([part(3, -8, 6, 4, 0.4, 0, 0.75)], constant(2.5), 'rounded')).toBeCloseTo(rounded, 9);
  });

  it('on sloping ground with vertical sides is area × depth at the centroid', () => {
    const ground = { a: 0.07, b: -0.04, c: 3 };
    expect(volume([part(5, 2, 6, 4, 0.6, 0, 0)], ground)).toBeCloseTo(24 * at(ground, 5, 2), 9);
  });

  it('counts crossings once: two 10 × 1 trenches crossing are 19 m²', () => {
    expect(
      volume([part(0, 0, 10, 1, 0.2, 0, 0), part(0, 0, 10, 1, 0.2 + Math.PI / 2, 0, 0)], constant(1)),
    ).toBeCloseTo(19, 9);
  });

  it('does not mind the same trench twice, or a pit cut in pieces', () => {
    const one = part(1, 1, 6, 4, 0.3, 0, 0.75);
    expect(volume([one, { ...one, owner: 1 }], constant(2.5))).toBeCloseTo(118.59375, 9);
    const split = [part(-1.5, 0, 3, 4, 0, 0, 0), part(1.5, 0, 3, 4, 0, 0, 0)];
    expect(volume(split, constant(2.5))).toBeCloseTo(60, 9);
  });

  it('merges side slopes of neighbours: a ridge left between two trenches', () => {
    // Two long trenches 1 wide, 2 deep, 1:1, centres 4 apart: a ridge 0.5 under ground... worked in section:
    // bottoms end at ±1.5; slopes meet midway, 1.5 out, so 1.5 up. Between them 2·(2·1.5 − 1.5²/2) per metre.
    const long = 1000;
    const parts = [part(0, -2, long, 1, 0, 0, 1), part(0, 2, long, 1, 0, 0, 1)];
    const perMetre = 2 * (1 * 2 + 0.5 * 2 * 2 + (2 * 1.5 - 1.5 ** 2 / 2));
    expect(volume(parts, constant(2)) / long).toBeCloseTo(perMetre, 1);
    const middle = profile(solveSolid(parts, planeSurface(constant(2)), 'mitred'), 0, 0, 0, 1, [-0.01, 0.01]);
    expect(middle[0]!.z1).toBeCloseTo(1.5, 2);
  });

  it('of a deeper pit inside a trench keeps the deeper floor', () => {
    const parts = [part(0, 0, 10, 2, 0, 1, 0), part(0, 0, 1, 1, 0, 0, 0, 1)];
    expect(volume(parts, constant(3))).toBeCloseTo(20 * 2 + 1, 9);
    const solid = solveSolid(parts, planeSurface(constant(3)), 'mitred');
    const own = solid.cuts[1]!.cells.reduce((s, c) => s + volumeDeeperThan(c, 0), 0);
    expect(own).toBeCloseTo(solid.cuts[1]!.volume, 9);
    expect(own).toBeCloseTo(3, 9);
  });

  it('has nothing where the floor is above the ground', () => {
    expect(volume([part(0, 0, 4, 4, 0, 5, 1)], constant(2))).toBe(0);
    // Ground rising through the floor: only the buried half is dug, a wedge 4 × 2 × 2 / 2 … × 4 wide.
    expect(volume([part(0, 0, 4, 4, 0, 0, 0)], { a: 1, b: 0, c: 0 })).toBeCloseTo((4 * 2 * 2) / 2, 9);
  });

  it('agrees with its slow twin on seeded random jobs within 0.3 %', () => {
    const next = seeded(20261124);
    for (let n = 0; n < 8; n++) {
      const ground = { a: (next() - 0.5) * 0.1, b: (next() - 0.5) * 0.1, c: 2 };
      const parts = Array.from({ length: 2 + Math.floor(next() * 4) }, (_, i) =>
        part(
          (next() - 0.5) * 5,
          (next() - 0.5) * 5,
          1.5 + next() * 4,
          1 + next(),
          next() * 3,
          next() * 0.8,
          [0.5, 1, 1.5][Math.floor(next() * 3)]!,
          i,
        ),
      );
      const slow = sampled(parts, ground, 9, 0.05);
      expect(Math.abs(volume(parts, ground) - slow) / slow).toBeLessThan(0.003);
    }
  }, 30_000);

  it('does not change when the job is moved or turned, or its parts are listed otherwise', () => {
    const next = seeded(7);
    for (let n = 0; n < 10; n++) {
      const raw = Array.from(
        { length: 5 },
        () =>
          [
            (next() - 0.5) * 12,
            (next() - 0.5) * 12,
            1 + next() * 8,
            0.5 + next(),
            next() * 3,
            next() * 0.6,
            next() < 0.3 ? 0 : 1,
          ] as const,
      );
      const build = (dx: number, dy: number, turn: number) =>
        raw.map(([x, y, l, w, a, f, m], i) =>
          part(
            dx + x * Math.cos(turn) - y * Math.sin(turn),
            dy + x * Math.sin(turn) + y * Math.cos(turn),
            l,
            w,
            a + turn,
            f,
            m,
            i,
          ),
        );
      const here = volume(build(0, 0, 0), constant(2));
      expect(volume(build(310, -250, 1.234), constant(2)) / here).toBeCloseTo(1, 7);
      expect(volume(build(0, 0, 0).reverse(), constant(2)) / here).toBeCloseTo(1, 7);
    }
  });

  it('never digs less for more depth or for another trench', () => {
    const shape = fc.tuple(
      fc.double({ min: -6, max: 6, noNaN: true }),
      fc.double({ min: -6, max: 6, noNaN: true }),
      fc.double({ min: 0.5, max: 8, noNaN: true }),
      fc.double({ min: 0, max: 3, noNaN: true }),
    );
    fc.assert(
      fc.property(
        fc.array(shape, { minLength: 1, maxLength: 4 }),
        fc.constantFrom(0, 0.75, 1.5),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (shapes, slope, deeper) => {
          const parts = shapes.map(([x, y, l, a], i) => part(x, y, l, 0.8, a, 0.5, slope, i));
          const before = volume(parts, constant(2));
          expect(
            volume(
              parts.map((p) => ({ ...p, floor: constant(p.floor.c - deeper) })),
              constant(2),
            ),
          ).toBeGreaterThan(before);
          expect(volume([...parts, part(0, 0, 2, 1, 0, 0.5, slope, 9)], constant(2))).toBeGreaterThanOrEqual(
            before - 1e-7,
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  it('fills to a level: a bed 0.3 thick in a 1:1 trench takes the wedges too', () => {
    const solid = solveSolid([part(0, 0, 10, 1, 0, 0, 1)], planeSurface(constant(2)), 'mitred');
    const filled = solid.cuts[0]!.cells.reduce((sum, cell) => sum + volumeUnderLevel(cell, constant(0.3)), 0);
    // Frustum with mitred corners: h/6·(A0 + 4Am + A1).
    expect(filled).toBeCloseTo((0.3 / 6) * (10 + 4 * 10.3 * 1.3 + 10.6 * 1.6), 9);
    const all = solid.cuts[0]!.cells.reduce((sum, cell) => sum + volumeUnderLevel(cell, constant(50)), 0);
    expect(all).toBeCloseTo(volumeOf(solid), 9);
  });
});
