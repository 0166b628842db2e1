/** Steel by hand: bars by spacing with edges, laps, stock, mesh, supports; what is set in. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newRising } from '../../plan/blank.ts';
import type { Element } from '../../plan/elements.ts';
import type { Fitting, Plan, Steel } from '../../plan/schema.ts';
import { named, pad, plainPlan, raft, strip, tank } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { barMass, barsOver, cutFrom, sheetsOver, steelOf, supportsOver } from './steel.ts';

const mark = (more: Partial<Steel> = {}): Steel => ({
  id: 'S1',
  name: 'S1',
  element: 'E1',
  kind: 'along',
  where: 'base',
  diameter: 0.012,
  spacing: 0.2,
  count: null,
  rows: 1,
  cover: 0.05,
  bends: 0,
  length: null,
  lap: null,
  stock: 6,
  sheet: null,
  supports: null,
  ...more,
});
const fitting = (more: Partial<Fitting> = {}): Fitting => ({
  id: 'f1',
  element: 'E1',
  kind: 'weep',
  size: '50',
  place: '',
  count: null,
  spacing: null,
  level: null,
  ...more,
});
const slab = () =>
  raft(
    [
      [0, 0],
      [10, 0],
      [10, 6],
      [0, 6],
    ],
    { level: 99, thickness: 0.2 },
  );
const wall = strip(
  [
    [0, 0],
    [14, 0],
  ],
  {
    width: 0.9,
    thickness: 0.3,
    level: 98.5,
    rising: { ...newRising(plainPlan(), 0.3), top: 'height', height: 2.1 },
  },
);
function counted(
  element: Element,
  steel: readonly Partial<Steel>[],
  fittings: readonly Partial<Fitting>[] = [],
) {
  const plan: Plan = plainPlan((p) => {
    p.assumed = [];
    p.elements = named(element);
    p.pour.steel = steel.map((one, i) => mark({ id: `S${i}`, ...one }));
    p.pour.fittings = fittings.map((one, i) => fitting({ id: `f${i}`, ...one }));
  });
  return steelOf(plan, compute(plan));
}

describe('bars', () => {
  it('weigh d²/162 a metre: 12 mm 0.889 kg, as steel of 7850 kg/m³ does', () => {
    expect(barMass(0.012)).toBeCloseTo(0.8889, 4);
    expect(barMass(0.012)).toBeCloseTo((Math.PI / 4) * 0.012 ** 2 * 7850, 2);
  });
  it('one every so far have one at each edge', () => {
    // 0.9 less twice 0.05 is 0.8: four spaces of 0.2, five bars.
    expect(barsOver(0.9, 0.05, 0.2)).toBe(5);
    expect(barsOver(0.91, 0.05, 0.2)).toBe(6);
  });
  it('along a footing of 14 m lap three times out of stock of 6 m, one lap 0.6', () => {
    const [one] = counted(wall, [{ lap: 0.6 }]).steel;
    // 13.9 long: (13.9 − 0.6)/(6 − 0.6) = 2.46: three parts, two laps; 13.9 + 1.2 = 15.1 m each.
    expect(one).toMatchObject({ bars: 5, laps: 2 });
    expect(one!.each).toBeCloseTo(15.1, 9);
    // Two whole bars each, and a rest of 3.1 m: one to a stock bar.
    expect(one!.pieces).toBe(5 * 2 + 5);
    expect(one!.mass).toBeCloseTo(5 * 15.1 * 0.888889, 3);
    expect(one!.bought).toBeCloseTo(15 * 6 * 0.888889, 3);
  });
  it('across it are 0.8 long, seven to a stock bar', () => {
    const [one] = counted(wall, [{ kind: 'across' }]).steel;
    // 13.9/0.2 = 69.5: seventy spaces, seventy-one bars; ⌊6/0.8⌋ = 7; ⌈71/7⌉ = 11.
    expect(one).toMatchObject({ bars: 71, pieces: 11, laps: 0 });
  });
  it('round a ring go on, and start a wall as long as they were typed', () => {
    const ring = strip(
      [
        [0, 0],
        [10, 0],
        [10, 5],
        [0, 5],
      ],
      { closed: true, width: 0.6, level: 98.5 },
    );
    const [along, starters] = counted(ring, [
      { lap: 0.5, count: 4 },
      { kind: 'starters', length: 0.9, spacing: 0.3, rows: 2 },
    ]).steel;
    // 30 m round, no cover at an end there is not; (30 − 0.5)/5.5 = 5.36: six parts.
    expect(along).toMatchObject({ bars: 4, laps: 5 });
    expect(along!.each).toBeCloseTo(32.5, 9);
    // 30/0.3 = 100 each face.
    expect(starters).toMatchObject({ bars: 200, pieces: Math.ceil(200 / 6) });
  });
  it('in a wall go as high as it is, in a box round it, in a pad both ways', () => {
    const [across, along] = counted(wall, [
      { where: 'wall', kind: 'across', rows: 2 },
      { where: 'wall', kind: 'along', lap: 0.6 },
    ]).steel;
    expect(across!.bars).toBe(142);
    expect(across!.each).toBeCloseTo(2.0, 9);
    // 2.0/0.2 = 10 spaces.
    expect(along!.bars).toBe(11);
    const box = tank(
      [
        [0, 0],
        [4, 0],
        [4, 3],
        [0, 3],
      ],
      { level: 97, thickness: 0.25, height: 2.45, roof: 0.2 },
    );
    const [round] = counted(box, [{ where: 'wall', kind: 'across' }]).steel;
    expect(round!.bars).toBe(70);
    expect(round!.each).toBeCloseTo(1.9, 9);
    const [x, y] = counted(pad(0, 0, 2, 1, { level: 98.5 }), [{ kind: 'along' }, { kind: 'across' }]).steel;
    expect([x!.bars, y!.bars]).toEqual([barsOver(1, 0.05, 0.2), barsOver(2, 0.05, 0.2)]);
    expect(x!.each).toBeCloseTo(1.9, 9);
  });
  it('out of stock: every bar is whole, nothing is bought that no bar needs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.double({ min: 4, max: 12, noNaN: true }),
        fc.double({ min: 0.3, max: 1.2, noNaN: true }),
        (count, length, stock, lap) => {
          const { each, laps, pieces } = cutFrom(count, length, stock, lap)!;
          expect(each).toBeCloseTo(length + laps * lap, 6);
          expect(pieces * stock).toBeGreaterThanOrEqual(count * each - 1e-6);
          // Another lap less would not reach.
          if (laps > 0) expect(laps * stock - (laps - 1) * lap).toBeLessThan(length + 1e-6);
          expect(pieces).toBeLessThanOrEqual(count * (laps + 1));
        },
      ),
    );
  });
});

describe('mesh and supports', () => {
  it('sheets of 4.8 × 2.4 lapped 0.3 over 10 × 6: three a row, three rows', () => {
    // (9.9 − 0.3)/4.5 = 2.13, (5.9 − 0.3)/2.1 = 2.67.
    expect(sheetsOver(9.9, 5.9, { length: 4.8, width: 2.4 }, 0.3)).toBe(9);
    const [one] = counted(slab(), [
      { kind: 'mesh', stock: 4.8, lap: 0.3, sheet: { width: 2.4, mass: 3.95 }, supports: 1.2 },
    ]).steel;
    expect(one).toMatchObject({ pieces: 9, bars: null });
    expect(one!.mass).toBeCloseTo(9.9 * 5.9 * 3.95, 6);
    expect(one!.bought).toBeCloseTo(9 * 4.8 * 2.4 * 3.95, 6);
    // Ten along and six across, edges too; by area alone they would be 42.
    expect(one!.supports).toBe(60);
    expect(Math.ceil((10 * 6) / 1.2 ** 2)).toBe(42);
  });
  it('never leave a support farther from the next than was typed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        (length, width, spacing) => {
          const both = supportsOver(length, width, spacing);
          const [along, across] = [length, width].map((one) => Math.ceil(one / spacing - 1e-9) + 1);
          expect(both).toBe(along! * across!);
          expect(length / (along! - 1)).toBeLessThanOrEqual(spacing + 1e-6);
        },
      ),
    );
  });
});

describe('what is set in', () => {
  it('weep holes one every 2 m of 14 are eight, a waterstop runs all along, a count is a count', () => {
    const { fittings } = counted(
      wall,
      [],
      [{ spacing: 2 }, { kind: 'waterstop' }, { kind: 'anchor', count: 12 }, { kind: 'sleeve' }],
    );
    expect(fittings.map(({ count, metres }) => [count, metres])).toEqual([
      [8, null],
      [null, 14],
      [12, null],
      [null, null],
    ]);
  });
});

it('says what it cannot count, by the mark’s name, and counts the others', () => {
  const { steel, problems } = counted({ ...wall, width: 0.5 }, [
    { name: 'A' },
    { name: 'B', spacing: null, lap: 0.5 },
    { name: 'C', kind: 'starters' },
    { name: 'D', kind: 'mesh', lap: 0.3 },
    { name: 'E', cover: 0.26 },
    { name: 'F', lap: 0.6 },
  ]);
  expect(problems.map(({ code, path, params }) => [code, path, params?.name])).toEqual([
    ['steelNoLap', '/pour/steel/0/lap', 'A'],
    ['steelHowMany', '/pour/steel/1/spacing', 'B'],
    ['steelNoLength', '/pour/steel/2/length', 'C'],
    ['steelNoSheet', '/pour/steel/3/sheet', 'D'],
    ['steelCover', '/pour/steel/4/cover', 'E'],
  ]);
  expect(problems[0]).toMatchObject({ max: 6 });
  expect(steel.map(({ id }) => id)).toEqual(['S5']);
});
