/** What is remembered between digs must never show: a plan edited step by step is dug as if seen first. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute, type Takeoff } from '../compute/index.ts';
import { groundModel, type Surface, spotSurface } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import { firstStrip, named, pad, plainPlan, seeded, soilsDown, strip } from '../testing.ts';
import type { Part } from './part.ts';
import { type Solid, sizeDug, solveSolid, volumeOf } from './solid.ts';

/** Rough ground of 49 spots; the same seed gives the same ground, as another object. */
function rough(seed: number): Surface {
  const next = seeded(seed);
  const spots = Array.from(
    { length: 49 },
    (_, i) =>
      [
        (i % 7) * 4 - 4 + next() * 0.8,
        Math.floor(i / 7) * 4 - 4 + next() * 0.8,
        100 + 0.5 * (next() - 0.5),
      ] as const,
  );
  const made = spotSurface(spots, []);
  if (!made.ok) throw new Error(made.fault.code);
  return made.surface;
}

const box = (owner: number, x: number, y: number, w: number, h: number, slope: number): Part => ({
  owner,
  of: owner,
  stretch: 0,
  bottom: [x, y, x + w, y, x + w, y + h, x, y + h],
  floor: { a: 0, b: 0, c: 98.8 - 0.05 * (owner % 3) },
  slope,
  risers: [],
  fills: true,
  mitre: 0,
  rounding: [],
});

const figures = ({ cuts, openings }: Solid) => ({
  volumes: cuts.map((cut) => cut.volume),
  cells: cuts.map((cut) => cut.cells.length),
  areas: cuts.map((cut) => [cut.openArea, cut.bottomArea]),
  openings: openings.map((pieces) => pieces.length),
});

const aPart = fc.record({
  x: fc.double({ min: 0, max: 12, noNaN: true }),
  y: fc.double({ min: 0, max: 12, noNaN: true }),
  w: fc.double({ min: 0.5, max: 5, noNaN: true }),
  h: fc.double({ min: 0.5, max: 3, noNaN: true }),
  slope: fc.constantFrom(0, 0.75, 1.5),
});
const anEdit = fc.oneof(
  fc.record({
    kind: fc.constant('move' as const),
    at: fc.nat(20),
    by: fc.double({ min: -2, max: 2, noNaN: true }),
  }),
  fc.record({ kind: fc.constant('drop' as const), at: fc.nat(20) }),
  fc.record({ kind: fc.constant('first' as const), at: fc.nat(20) }),
  fc.record({ kind: fc.constant('add' as const), part: aPart }),
);

describe('what the solid remembers', () => {
  it('gives after any edits what ground never seen before gives', () => {
    fc.assert(
      fc.property(
        fc.array(aPart, { minLength: 1, maxLength: 6 }),
        fc.array(anEdit, { maxLength: 6 }),
        (start, edits) => {
          const kept = rough(4);
          let parts = start.map((p, i) => box(i, p.x, p.y, p.w, p.h, p.slope));
          for (const edit of [null, ...edits]) {
            const at = edit && 'at' in edit && parts.length > 0 ? edit.at % parts.length : 0;
            if (edit?.kind === 'add') {
              const { x, y, w, h, slope } = edit.part;
              parts = [...parts, box(parts.length, x, y, w, h, slope)];
            } else if (edit?.kind === 'drop') parts = parts.filter((_, i) => i !== at);
            else if (edit?.kind === 'first') parts = [...parts.slice(at), ...parts.slice(0, at)];
            else if (edit?.kind === 'move')
              parts = parts.map((part, i) =>
                i === at
                  ? { ...part, bottom: part.bottom.map((v, k) => (k % 2 === 0 ? v + edit.by : v)) }
                  : part,
              );
            for (const corners of ['mitred', 'rounded'] as const) {
              expect(figures(solveSolid(parts, kept, corners))).toEqual(
                figures(solveSolid(parts, rough(4), corners)),
              );
              expect(sizeDug(parts, kept, corners).volume).toBeCloseTo(
                volumeOf(solveSolid(parts, rough(4), corners)),
                9,
              );
            }
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  it('is not asked for again where nothing changed: far cuts are the same things', () => {
    const ground = rough(9);
    const far = box(0, 0, 0, 1, 1, 0.75);
    const near = box(1, 9, 9, 1, 1, 0.75);
    const before = solveSolid([far, near], ground, 'mitred');
    const after = solveSolid([far, { ...near, bottom: near.bottom.map((v) => v + 0.1) }], ground, 'mitred');
    expect(after.cuts[0]).toBe(before.cuts[0]);
    expect(after.cuts[1]).not.toBe(before.cuts[1]);
  });

  it('at equal level leaves soil with whoever is listed first, whichever came first in time', () => {
    const ground = rough(2);
    const [p, q] = [box(0, 1, 1, 3, 2, 0), { ...box(1, 3, 1, 3, 2, 0), floor: { a: 0, b: 0, c: 98.8 } }];
    const one = solveSolid([p, q], ground, 'mitred').cuts.map((cut) => cut.bottomArea);
    const other = solveSolid([q, p], ground, 'mitred').cuts.map((cut) => cut.bottomArea);
    expect(one[0]).toBeCloseTo(6, 9);
    expect(one[1]).toBeCloseTo(4, 9);
    expect(other[0]).toBeCloseTo(6, 9);
    expect(other[1]).toBeCloseTo(4, 9);
  });
});

describe('a plan altered where it lies', () => {
  const two = (): Plan =>
    plainPlan((p) => {
      soilsDown(p, ['top', 'topsoil', 0], ['sand', 'sand', 0.3]);
      p.ground.surface = {
        kind: 'spots',
        points: [
          [-20, -20, 100],
          [20, -20, 100.4],
          [20, 20, 100.1],
          [-20, 20, 99.8],
          [1, 2, 100.2],
        ],
        breaklines: [],
      };
      p.elements = named(
        strip([
          [0, 0],
          [8, 0],
        ]),
        pad(4, 3, 1.5, 1.5),
      );
    });
  const told = (takeoff: Takeoff) => [
    ...takeoff.spoil.strata.map((s) => s.bank),
    ...takeoff.elements.map((e) => e.volume),
    takeoff.spoil.keptLoose,
  ];
  const altered: Record<string, (plan: Plan) => void> = {
    'a spot': (p) => {
      if (p.ground.surface.kind === 'spots') p.ground.surface.points[4] = [1, 2, 100.5];
    },
    'a soil': (p) => {
      p.ground.soils[1]!.values.swell = 0.4;
    },
    'a layer': (p) => {
      p.ground.logs[0]!.layers[1]!.top = 0.6;
    },
    'a trench': (p) => {
      firstStrip(p).width += 0.1;
    },
  };
  it.each(Object.keys(altered))('%s: is dug as it is now', (what) => {
    const plan = two();
    const before = told(compute(plan));
    altered[what]!(plan);
    const after = told(compute(plan));
    expect(after).not.toEqual(before);
    const fresh = two();
    altered[what]!(fresh);
    expect(after).toEqual(told(compute(fresh)));
    // And back again.
    expect(told(compute(two()))).toEqual(before);
  });

  it('keeps one model for copies of one ground', () => {
    const plan = two();
    expect(groundModel(structuredClone(plan))).toBe(groundModel(plan));
    expect(groundModel({ ...plan, ground: { ...plan.ground, water: 99 } })).not.toBe(groundModel(plan));
  });
});
