/** Soft spots: what is taken out under a bottom is put back, wherever it lies and whatever crosses it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { Plan, SoftSpot } from '../plan/schema.ts';
import { drawnCases, named, pad, plainPlan, soilsDown, strip, unbalanced } from '../testing.ts';
import { checkPlan } from '../validation/check.ts';

const spot = (points: SoftSpot['points'], more: Partial<SoftSpot> = {}): SoftSpot => ({
  id: `w${points.length}-${points[0]!.join()}-${more.depth ?? 0}`,
  name: 'W1',
  points,
  depth: 0.5,
  material: 'crushed',
  compactor: 'rammer',
  cement: null,
  ...more,
});
const square = (x: number, y: number, side: number): SoftSpot['points'] => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
];
/** A pad of 4 × 3 whose bottom lies 0.9 down, upright, without room; clay from 1.1 down. */
const dug = (spots: readonly SoftSpot[], change: (plan: Plan) => void = () => {}) => {
  const plan = plainPlan((p) => {
    soilsDown(p, ['s', 'sand', 0], ['c', 'softClay', 1.1]);
    p.ground.frost.margin = 0;
    p.dig.slope = 0;
    p.dig.room = 0;
    p.dig.buckets = [0.6];
    p.elements = named(pad(0, 0, 4, 3));
    p.ground.softSpots = [...spots];
    change(p);
  });
  return { plan, takeoff: compute(plan) };
};

describe('a soft spot', () => {
  it('of 1 m² and 0.5 m within the bottom: half a cube out, half a cube back', () => {
    const none = dug([]).takeoff;
    const { takeoff } = dug([spot(square(-0.5, -0.5, 1))]);
    expect(takeoff.figures.dig.value - none.figures.dig.value).toBeCloseTo(0.5, 9);
    expect(takeoff.overdig.soft).toBeCloseTo(0.5, 9);
    // Bottom at 0.9, clay from 1.1: 0.2 of sand and 0.3 of clay.
    const soil = (of: typeof takeoff, k: number) =>
      of.spoil.strata.find((s) => s.soil.index === k)?.bank ?? 0;
    expect(soil(takeoff, 0) - soil(none, 0)).toBeCloseTo(0.2, 9);
    expect(soil(takeoff, 1) - soil(none, 1)).toBeCloseTo(0.3, 9);
    // Crushed stone, 2000 kg/m³, loose 1.2 times: 1 t, 0.6 m³; the rammer lifts 0.2: three of 167 mm.
    const [back] = takeoff.soft;
    expect(back!.mass).toBeCloseTo(1000, 6);
    expect(back!.loose).toBeCloseTo(0.6, 9);
    expect(back!.lifts).toMatchObject({ count: 3 });
    expect(takeoff.stone.volume - none.stone.volume).toBeCloseTo(0.5, 9);
    // What fills the hole again is not soil: half a cube more leaves.
    expect(takeoff.spoil.backfill).toBeCloseTo(none.spoil.backfill, 9);
    expect(takeoff.elements[0]!.lowest).toBeCloseTo(takeoff.elements[0]!.dug - 0.5, 9);
    expect(takeoff.elements[0]!.dug).toBe(none.elements[0]!.dug);
  });

  it('is dug only under the bottom: what reaches past it is told of, what lies elsewhere is refused', () => {
    const half = dug([spot(square(1.5, 0, 1))]).takeoff;
    expect(half.overdig.soft).toBeCloseTo(0.25, 9);
    expect(half.soft[0]!.outside).toBeCloseTo(0.5, 9);
    expect(half.cautions.map((one) => one.code)).toContain('softPast');
    expect(half.problems).toEqual([]);
    const away = dug([spot(square(10, 10, 1))]).takeoff;
    expect(away.overdig.soft).toBe(0);
    expect(away.problems).toMatchObject([{ code: 'softSpotOutside', path: '/ground/softSpots/0/points' }]);
  });

  it('lets nobody in where it makes the trench deep enough to need protection', () => {
    const codes = (depth: number) =>
      dug([spot(square(0, 0, 1), { depth })]).takeoff.cautions.map((one) => one.code);
    const [first] = dug([]).takeoff.elements;
    const left = first!.rule.protectFrom! - first!.depth;
    expect(left).toBeGreaterThan(0.02);
    expect(codes(left - 0.01)).not.toContain('softDeep');
    expect(codes(left + 0.01)).toContain('softDeep');
  });

  it('that crosses another is dug once, as deep as the deeper, in whatever order they stand', () => {
    const [one, two] = [spot(square(-1, -1, 1), { depth: 0.3 }), spot(square(-0.5, -0.5, 1), { depth: 0.8 })];
    // 1 × 0.8 of the deeper; of the other what is left, 0.75 × 0.3.
    for (const spots of [
      [one, two],
      [two, one],
    ])
      expect(dug(spots).takeoff.overdig.soft).toBeCloseTo(0.8 + 0.225, 9);
  });

  it('of lean concrete is ordered with the lean, not with the stone', () => {
    const none = dug([]).takeoff;
    const { takeoff } = dug([spot(square(0, 0, 1), { material: 'lean', compactor: null })]);
    expect(takeoff.lean.volume - none.lean.volume).toBeCloseTo(0.5, 9);
    expect(takeoff.stone.volume).toBeCloseTo(none.stone.volume, 9);
  });

  it('drawn across a crossing, turned anyhow, adds up by other routes and never digs less when deeper', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.3, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.constantFrom(0, 1),
        (turn, depth, side, x, slope) => {
          const at = (u: number, v: number): [number, number] => [
            u * Math.cos(turn) - v * Math.sin(turn) + 30,
            u * Math.sin(turn) + v * Math.cos(turn) - 50,
          ];
          const job = (deep: number) =>
            dug(
              [
                spot(
                  square(x, -side / 2, side).map(([u, v]) => at(u, v)),
                  { depth: deep },
                ),
              ],
              (p) => {
                p.dig.slope = slope;
                p.elements = named(
                  strip([at(-5, 0), at(5, 0)], { width: 0.8 }),
                  strip([at(0, 0), at(0, 6)], { width: 0.6 }),
                  pad(...at(3, 0), 1.5, 1.5, { angle: ((turn * 180) / Math.PI) % 180 }),
                );
              },
            );
          const { plan, takeoff } = job(depth);
          expect(unbalanced(takeoff, plan)).toEqual([]);
          const deeper = job(depth + 0.2).takeoff;
          expect(deeper.figures.dig.value).toBeGreaterThanOrEqual(takeoff.figures.dig.value - 1e-9);
          expect(deeper.soft[0]!.area).toBeCloseTo(takeoff.soft[0]!.area, 9);
        },
      ),
      { numRuns: drawnCases(60) },
    );
  });

  it('whose outline crosses itself, or of an id there already is, is refused at its field', () => {
    const wrong = (...spots: SoftSpot[]) => checkPlan(dug(spots).plan).map((p) => `${p.path} ${p.code}`);
    const bow: SoftSpot['points'] = [
      [0, 0],
      [1, 1],
      [1, 0],
      [0, 1],
    ];
    expect(wrong(spot(bow))).toEqual(['/ground/softSpots/0/points outlineCrosses']);
    const same = spot(square(0, 0, 1));
    expect(wrong(same, same)).toEqual(['/ground/softSpots/1/id duplicateId']);
  });
});
