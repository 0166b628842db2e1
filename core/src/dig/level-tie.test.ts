/** A level against the ground over a dig: what is filled up to there, also where both are one. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { nightOf } from '../compute/night/night.ts';
import { at } from '../geometry/index.ts';
import { named, pad, plainPlan, soilsDown, strip, tilt } from '../testing.ts';
import { volumeUnderLevel } from './solid.ts';

const axis: (readonly [number, number])[] = [
  [0, 0],
  [5, 0],
];
/** An upright stone footing one metre wide, so thick and so deep. */
const footing = (thickness: number, cover: number) =>
  compute(
    plainPlan((p) => {
      soilsDown(p, ['c', 'stiffClay', 0]);
      p.ground.water = 90;
      p.dig.slope = 0;
      p.dig.room = 0;
      p.dig.buckets = [1];
      p.levels.cover = cover;
      p.ground.frost = { ...p.ground.frost, local: cover, margin: 0 };
      p.elements = named(strip(axis, { use: 'stone', thickness, width: 1 }));
    }),
  );

describe('stone up to the ground', () => {
  it('0.6 deep and 0.6 thick is as much as was dug, not twice', () => {
    const takeoff = footing(0.6, 0.6);
    expect(takeoff.elements[0]!.volume).toBeCloseTo(3, 6);
    expect(takeoff.elements[0]!.stone).toBeCloseTo(3, 6);
  });
  it('is never more than was dug, and grows evenly to it and no further', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.integer({ min: -3, max: 3 }), (tenths, off) => {
        const deep = tenths / 10;
        const thickness = Math.max(0.1, deep + off / 10);
        const { stone, volume } = footing(thickness, deep).elements[0]!;
        expect(stone).toBeCloseTo(Math.min(5 * thickness, volume), 6);
      }),
    );
  });
});

describe('room under a level', () => {
  it('is what a column by column count finds, on any slope, at any level, the ground’s own too', () => {
    const grade = fc.integer({ min: -8, max: 8 }).map((n) => n / 100);
    fc.assert(
      fc.property(
        grade,
        grade,
        fc.constantFrom<'ground' | number>('ground', 98.2, 99, 99.7, 100, 100.4),
        (east, north, to) => {
          const { solid } = compute(
            plainPlan((p) => {
              soilsDown(p, ['c', 'stiffClay', 0]);
              p.ground.water = 90;
              tilt(p, east, north);
              p.dig.slope = 1;
              p.elements = named(pad(0, 0, 3, 2, { level: 98 }));
            }),
          );
          const plane = to === 'ground' ? { a: east, b: north, c: 100 } : { a: 0, b: 0, c: to };
          const cells = solid.cuts.flatMap((cut) => cut.cells);
          const found = cells.reduce((sum, cell) => sum + volumeUnderLevel(cell, plane), 0);
          // Slow: the middle of every 50 mm square, in whichever cell it lies.
          const step = 0.05;
          let slow = 0;
          for (let x = -6; x < 6; x += step)
            for (let y = -6; y < 6; y += step) {
              const [px, py] = [x + step / 2, y + step / 2];
              const cell = cells.find(({ area }) => {
                for (let i = 0; i < area.length; i += 2) {
                  const j = (i + 2) % area.length;
                  const [ax, ay, bx, by] = [area[i]!, area[i + 1]!, area[j]!, area[j + 1]!];
                  if ((bx - ax) * (py - ay) - (by - ay) * (px - ax) < 0) return false;
                }
                return true;
              });
              if (cell)
                slow +=
                  Math.max(0, Math.min(at(plane, px, py) - at(cell.level, px, py), at(cell.depth, px, py))) *
                  step ** 2;
            }
          expect(found).toBeGreaterThan(0.98 * slow - 0.05);
          expect(found).toBeLessThan(1.02 * slow + 0.05);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('up to its brim a hole holds at night what was dug, on flat ground', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['c', 'stiffClay', 0, { permeability: 1e-12 }]);
      p.ground.water = 90;
      p.dig.slope = 0;
      p.dig.room = 0;
      p.elements = named(pad(0, 0, 8, 6, { level: 99 }));
      p.water.storm = { start: '2026-11-25T20:00', depth: 0.3, hours: 6, pattern: 'even', hourly: [] };
      p.water.runoff = 1;
      p.water.drained = [{ element: 'E1', area: 400, points: [] }];
    });
    const takeoff = compute(plan);
    const dug = takeoff.elements[0]!.volume;
    const answer = nightOf(plan, takeoff);
    if (!answer.ok) throw new Error(answer.fault);
    const { budget } = answer.night.holes[0]!.course;
    // More rain than it holds: what stays is its room, the rest ran over.
    expect(budget.after).toBeCloseTo(dug, 6);
    expect(budget.spilt).toBeGreaterThan(0.5 * dug);
  });
});
