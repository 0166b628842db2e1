/** Water near formation: the flow grows from nothing, and a hole is sized by its own shape. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { smallestRectangle } from '../geometry/index.ts';
import { named, pad, plainPlan, soilsDown, strip } from '../testing.ts';
import { HOLD_BELOW } from './holes.ts';

/** A pad dug to 99.0 in sand, water at a level. */
const wet = (water: number) =>
  compute(
    plainPlan((p) => {
      soilsDown(p, ['s', 'sand', 0]);
      p.ground.water = water;
      p.elements = named(pad(0, 0, 4, 3));
    }),
  );

describe('water near formation', () => {
  const floor = wet(90).elements[0]!.dug;

  it('lets in more the higher it stands, without a jump anywhere', () => {
    let before = 0;
    for (let up = -HOLD_BELOW - 0.05; up < 0.3; up += 0.001) {
      const [, likely] = wet(floor + up).inflow;
      expect(likely).toBeGreaterThanOrEqual(before - 1e-12);
      // A millimetre of water never brings more than a fiftieth of what 300 mm bring.
      expect(likely - before).toBeLessThan(wet(floor + 0.3).inflow[1] / 50);
      before = likely;
    }
  });

  it('is nothing at the level held and below it, and is told of from there on', () => {
    const codes = (water: number) => wet(water).cautions.map((caution) => caution.code);
    expect(wet(floor - HOLD_BELOW).inflow).toEqual([0, 0, 0]);
    expect(codes(floor - HOLD_BELOW - 0.01)).not.toEqual(expect.arrayContaining(['waterNear']));
    expect(codes(floor - 0.1)).toContain('waterNear');
    expect(codes(floor - 0.1)).not.toContain('water');
    expect(codes(floor + 0.01)).toContain('water');
  });
});

describe('a hole', () => {
  it('is as large as the smallest rectangle round it, whichever way it lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.3, noNaN: true }),
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        (turn, a, share) => {
          const b = a * share;
          const corners = [
            [0, 0],
            [a, 0],
            [a, b],
            [0, b],
            [a / 3, b / 2],
          ].map(
            ([u, v]) =>
              [
                1000 + u! * Math.cos(turn) - v! * Math.sin(turn),
                u! * Math.sin(turn) + v! * Math.cos(turn),
              ] as const,
          );
          const [long, short] = smallestRectangle(corners);
          expect(long).toBeCloseTo(a, 6);
          expect(short).toBeCloseTo(b, 6);
        },
      ),
    );
  });

  it('is two where two do not touch, though the boxes about them do', () => {
    const holes = (gap: number) => {
      const turn = Math.PI / 4;
      const at = (u: number, v: number): [number, number] => [
        u * Math.cos(turn) - v * Math.sin(turn),
        u * Math.sin(turn) + v * Math.cos(turn),
      ];
      return compute(
        plainPlan((p) => {
          soilsDown(p, ['s', 'sand', 0]);
          p.ground.water = 99.6;
          p.dig.slope = 0;
          p.dig.room = 0;
          p.dig.buckets = [0.6];
          p.elements = named(
            strip([at(0, 0), at(8, 0)], { width: 0.6 }),
            strip([at(0, 0.6 + gap), at(8, 0.6 + gap)], { width: 0.6 }),
          );
        }),
      ).holes.length;
    };
    expect(holes(1)).toBe(2);
    expect(holes(0.01)).toBe(1);
  });
});
