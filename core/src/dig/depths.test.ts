import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { area, integral } from '../geometry/index.ts';
import { demo, honeyHouse, instruct, named, pad, plainPlan } from '../testing.ts';
import { depthAt, depthBands } from './depths.ts';

describe('the map of cut depth', () => {
  it('covers the opening once, each piece within its band', () => {
    for (const name of ['honey-house', 'cheese-vault', 'drying-barn'] as const) {
      const takeoff = compute(demo(name));
      const { solid } = takeoff;
      const bands = depthBands(solid, 0.25);
      const whole = bands.flatMap((band) => band.pieces).reduce((sum, piece) => sum + area(piece), 0);
      expect(whole / takeoff.areas.opening).toBeCloseTo(1, 6);
      for (const band of bands)
        for (const piece of band.pieces) {
          let [x, y] = [0, 0];
          for (let i = 0; i < piece.length; i += 2) {
            x += piece[i]! / (piece.length / 2);
            y += piece[i + 1]! / (piece.length / 2);
          }
          const { depth } = depthAt(solid, x, y)!;
          expect(depth).toBeGreaterThanOrEqual(band.from - 1e-6);
          expect(depth).toBeLessThanOrEqual(band.to + 1e-6);
        }
    }
  });

  it('of a pit 4 × 4, 1 deep at 1:1 in level ground: a bottom of 16 m² and rings round it', () => {
    const plan = plainPlan((p) => {
      instruct(p, 99);
      p.ground.surface = { kind: 'plane', level: 100, gradeEast: 0, gradeNorth: 0 };
      p.dig.room = 0;
      p.dig.slope = 1;
      p.elements = named(pad(0, 0, 4, 4));
    });
    const takeoff = compute(plan);
    const depth = takeoff.elements[0]!.depth;
    expect(depth).toBeCloseTo(1, 9);
    const { solid } = takeoff;
    const sizes = depthBands(solid, 0.25).map((band) => band.pieces.reduce((sum, p) => sum + area(p), 0));
    const side = (deep: number) => (4 + 2 * (1 - deep)) ** 2;
    // The bottom lies at one metre, where a band begins.
    expect(sizes).toHaveLength(5);
    expect(sizes[0]).toBeCloseTo(side(0) - side(0.25), 9);
    expect(sizes[1]).toBeCloseTo(side(0.25) - side(0.5), 9);
    expect(sizes[3]).toBeCloseTo(side(0.75) - side(1), 9);
    expect(sizes[4]).toBeCloseTo(16, 9);
    expect(depthAt(solid, 0, 0)!.depth).toBeCloseTo(1, 9);
    expect(depthAt(solid, 0, 0)!.level).toBeCloseTo(99, 9);
    expect(depthAt(solid, 2.5, 0)!.depth).toBeCloseTo(0.5, 9);
    expect(depthAt(solid, 2.5, 0)!.level).toBeCloseTo(99.5, 9);
    expect(depthAt(solid, 3.5, 0)).toBeNull();
  });

  it('holds the volume: depth over all its pieces is what is dug', () => {
    const { solid, figures } = compute(honeyHouse());
    let volume = 0;
    for (const { cells } of solid.cuts) for (const cell of cells) volume += integral(cell.area, cell.depth);
    expect(volume).toBeCloseTo(figures.dig.value, 6);
    // A grid read with depthAt agrees within its own coarseness.
    let read = 0;
    const step = 0.4;
    for (let x = -6; x < 30; x += step)
      for (let y = -14; y < 16; y += step) read += (depthAt(solid, x, y)?.depth ?? 0) * step * step;
    expect(read / volume).toBeGreaterThan(0.98);
    expect(read / volume).toBeLessThan(1.02);
  });
});
