import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CAUSES, profile, volumeOf } from '../../dig/index.ts';
import { area, unionArea } from '../../geometry/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { foundLow, named, pad, plainPlan, ramp, strip } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { overdigShape } from './overdig-shape.ts';

const job = ({
  room,
  slope,
  turn,
  ramped,
}: Record<'room' | 'slope' | 'turn', number> & { ramped: boolean }): Plan =>
  plainPlan((plan) => {
    plan.dig.room = room;
    plan.dig.slope = slope;
    const [c, s] = [Math.cos(turn) * 4, Math.sin(turn) * 4];
    plan.elements = named(
      strip([
        [-c, -s],
        [c, s],
      ]),
      pad(2, 7, 1.4, 1.4),
      ...(ramped ? [ramp('E1', [0, 9], 90)] : []),
    );
  });

const drawn = fc.record({
  room: fc.double({ min: 0, max: 0.6, noNaN: true }),
  slope: fc.double({ min: 0, max: 1.5, noNaN: true }),
  low: fc.double({ min: 0, max: 0.3, noNaN: true }),
  turn: fc.double({ min: 0, max: Math.PI, noNaN: true }),
  ramped: fc.boolean(),
});

describe('where the soil of a cause lies', () => {
  it('between the dig with it and the dig without it: as much as the takeoff says, and never outside', () => {
    fc.assert(
      fc.property(drawn, (values) => {
        const plan = job(values);
        const takeoff = compute(plan, foundLow({ E1: values.low }));
        for (const cause of CAUSES) {
          if (cause === 'soft') continue;
          const { before, after } = overdigShape(plan, takeoff, cause);
          expect(volumeOf(after) - volumeOf(before!)).toBeCloseTo(takeoff.overdig[cause], 6);
          // Seen from above the dig without it opens nothing that the dig with it does not.
          const [open, less] = [after.openings.flat(), before!.openings.flat()];
          expect(unionArea([...open, ...less])).toBeCloseTo(unionArea(open), 6);
        }
      }),
      { numRuns: 25 },
    );
  });
  it('of what is neat is the footings’ own plan', () => {
    const plan = job({ room: 0.3, slope: 1, turn: 0, ramped: false });
    const takeoff = compute(plan, []);
    const { before, after } = overdigShape(plan, takeoff, 'neat');
    expect(before).toBeNull();
    expect(volumeOf(after)).toBeCloseTo(takeoff.overdig.neat, 9);
    expect(after.openings.flat().reduce((sum, piece) => sum + area(piece), 0)).toBeGreaterThan(0);
  });
  it('of sides is what a cut shows on either side of the upright trench', () => {
    const plan = job({ room: 0, slope: 1, turn: 0, ramped: false });
    const takeoff = compute(plan, []);
    const { before, after } = overdigShape(plan, takeoff, 'sides');
    const cross = (solid: typeof after) =>
      profile(solid, 0, 0, 0, -1, [-6, 6]).reduce(
        (sum, { s0, s1, z0, z1 }) => sum + (s1 - s0) * (100 - (z0 + z1) / 2),
        0,
      );
    const depth = 100 - takeoff.elements[0]!.dug;
    // Two triangles as wide as deep.
    expect(cross(after) - cross(before!)).toBeCloseTo(depth * depth, 6);
  });
});
