import { describe, expect, it } from 'vitest';
import { newRising } from '../../plan/blank.ts';
import type { Element } from '../../plan/elements.ts';
import type { Plan } from '../../plan/schema.ts';
import { bedded, lean, named, pad, plainPlan, raft, stone, strip, tilt } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { fillUnder, sectionThrough } from './section.ts';

const cut = (elements: Element[], index = 0, change: (p: Plan) => void = () => {}, least = 0) => {
  const plan = plainPlan((p) => {
    p.dig.slope = 1;
    p.dig.room = 0.3;
    p.elements = named(...elements);
    change(p);
  });
  return sectionThrough(plan, compute(plan), index, least)!;
};

describe('a section', () => {
  it('of a trench shows its two slopes and its bottom, to scale', () => {
    const section = cut([
      strip([
        [0, 0],
        [10, 0],
      ]),
    ]);
    expect(section.dug.map((p) => [p.s0, p.z0, p.s1, p.z1].map((v) => Math.round(v * 1e6) / 1e6))).toEqual([
      [-1.6, 100, -0.6, 99],
      [-0.6, 99, 0.6, 99],
      [0.6, 99, 1.6, 100],
    ]);
    expect(section.boxes).toEqual([
      expect.objectContaining({
        what: 'footing',
        s0: expect.closeTo(-0.3, 9),
        s1: expect.closeTo(0.3, 9),
        z0: 99,
        z1: expect.closeTo(99.3, 9),
      }),
    ]);
    expect(section.half).toBeGreaterThan(1.6);
  });
  it('reads west to east, or south to north, however the run was drawn', () => {
    expect(
      cut([
        strip([
          [0, 0],
          [0, 10],
        ]),
      ]),
    ).toMatchObject({ dx: 1, dy: expect.closeTo(0, 12) });
    expect(
      cut([
        strip([
          [0, 10],
          [0, 0],
        ]),
      ]),
    ).toMatchObject({ dx: 1 });
    expect(
      cut([
        strip([
          [10, 0],
          [0, 0],
        ]),
      ]),
    ).toMatchObject({ dy: 1 });
  });
  it('is taken where other trenches show least', () => {
    const section = cut([
      strip([
        [0, 0],
        [20, 0],
      ]),
      strip([
        [10, 0],
        [10, 8],
      ]),
    ]);
    expect(Math.abs(section.x - 10)).toBeGreaterThan(1.6);
    expect(section.dug.every((p) => p.owner === 0)).toBe(true);
  });
  it('of a pad lies along it, and shows a neighbour the line meets', () => {
    const section = cut([pad(0, 0, 1, 1), pad(3, 0, 1, 1)], 0, () => {}, 4);
    expect(new Set(section.dug.map((p) => p.owner))).toEqual(new Set([0, 1]));
    expect(section.half).toBe(4);
    expect(cut([pad(0, 0, 1, 2, { angle: 90 })])).toMatchObject({ dy: 1 });
  });
  it('follows the ground and carries blinding and wall', () => {
    const section = cut(
      [
        strip(
          [
            [0, 0],
            [0, 10],
          ],
          {
            rising: newRising(
              plainPlan(() => {}),
              0.2,
            ),
          },
        ),
      ],
      0,
      (p) => {
        tilt(p, -0.1);
        bedded(p, lean(0.05, 0.1));
      },
    );
    expect(section.ground[0] - section.ground[1]).toBeCloseTo(0.2 * section.half, 9);
    expect(section.boxes.map((b) => b.what).sort()).toEqual(['footing', 'layer', 'rising']);
  });
  it('of a slab on its floor shows its bed as the sheet it is counted as, and boards where they lie', () => {
    const edge = { depth: 0.2, width: 0.4 };
    const section = cut(
      [
        raft(
          [
            [0, 0],
            [6, 0],
            [6, 6],
            [0, 6],
          ],
          {
            founding: 'floor',
            thickness: 0.15,
            edge,
            room: 0.5,
            boards: { zone: 'apron', thickness: 0.05, width: 0.8 },
          },
        ),
      ],
      0,
      (p) => {
        p.levels.floors = [
          {
            id: 'f',
            name: 'F',
            level: 100.1,
            above: null,
            string: null,
            count: 'down',
            landing: 'deepen',
            layers: [],
          },
        ];
        bedded(p, stone(0.3));
      },
    );
    const of = (what: string) =>
      section.boxes
        .filter((box) => box.what === what)
        .map(({ s0, s1, z0, z1 }) => [s0, s1, z0, z1].map((v) => Math.round(v * 1e6) / 1e6))
        .sort((p, q) => p[0]! - q[0]!);
    // Slab 99.95–100.10, its edge down to 99.75; bed of 0.30 under both, out to the boards' 0.80.
    expect(of('layer')).toEqual([
      [-3.8, -2.6, 99.45, 99.75],
      [-2.6, 2.6, 99.65, 99.95],
      [2.6, 3.8, 99.45, 99.75],
    ]);
    expect(of('floor')).toEqual([
      [-3.8, -3, 99.7, 99.75],
      [3, 3.8, 99.7, 99.75],
    ]);
  });
  it('of what is not dug is none', () => {
    const plan = plainPlan((p) => {
      p.ground.frost.local = null;
      p.elements = named(pad(0, 0, 1, 1));
    });
    expect(sectionThrough(plan, compute(plan), 0)).toBeNull();
    expect(sectionThrough(plan, compute(plan), 7)).toBeNull();
  });
});

describe('fill under a level', () => {
  const piece = { s0: 0, s1: 2, z0: 10, z1: 8, part: 0, owner: 0, flat: false };
  it('is cut where the face crosses it', () => {
    expect(fillUnder(piece, 9)).toEqual([1, 9, 2, 8, 2, 9, 1, 9]);
    expect(fillUnder({ ...piece, z0: 8, z1: 10 }, 9)).toEqual([0, 8, 1, 9, 1, 9, 0, 9]);
  });
  it('is all of it below and none above', () => {
    expect(fillUnder(piece, 11)).toEqual([0, 10, 2, 8, 2, 11, 0, 11]);
    expect(fillUnder(piece, 8)).toBeNull();
    expect(fillUnder({ ...piece, z0: 8, z1: 8 }, 9)).toEqual([0, 8, 2, 8, 2, 9, 0, 9]);
  });
});
