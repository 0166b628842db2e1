/** A low bottom and a level to work on, several ways: what each costs, by hand. */
import { describe, expect, it } from 'vitest';
import type { SiteRecord } from '../../log/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { bedded, foundLow, lean, named, pad, plainPlan, stone, strip } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { leanStakes, lowWays, workingWays } from './bottom-ways.ts';

const job = (change: (plan: Plan) => void, records: readonly SiteRecord[] = []) => {
  const plan = plainPlan((p) => {
    p.dig.slope = 0;
    p.dig.room = 0;
    p.dig.buckets = [0.6];
    p.prices = { ...p.prices, currency: 'c', dig: 10, stone: 20, lean: 90, concrete: 150 };
    p.pour = { ...p.pour, waste: 0, step: 0.1 };
    p.elements = named(pad(0, 0, 4, 3));
    change(p);
  });
  return { plan, takeoff: compute(plan, records) };
};

describe('a bottom dug 100 mm low under 4 × 3 m', () => {
  const { plan, takeoff } = job(() => {}, foundLow({ E1: 0.1 }));
  const ways = lowWays(plan, takeoff);

  it('is 1.2 m³ of stone, lean or footing, and says which the pour then swallows', () => {
    const [byStone, byLean, byConcrete] = ways;
    expect(takeoff.madeUp).toBeCloseTo(1.2, 9);
    expect(byConcrete).toMatchObject({ way: 'concrete', here: true, hours: null });
    // 1.2 m³ of concrete at 150 less 2.4 t of stone at 20; then less 1.2 m³ of lean at 90.
    expect(byStone!.change.cost).toBeCloseTo(-1.2 * 150 + 2.4 * 20, 6);
    expect(byLean!.change.cost).toBeCloseTo(-1.2 * 150 + 1.2 * 90, 6);
    expect(byConcrete!.pour.ordered - byStone!.pour.ordered).toBeCloseTo(1.2, 9);
    expect(byStone!.hours).toBeGreaterThan(0);
  });

  it('is nothing to ask where no bottom is low', () => {
    const level = job(() => {});
    expect(lowWays(level.plan, level.takeoff)).toEqual([]);
  });
});

describe('a level to work on', () => {
  it('under 150 of stone and 75 of lean: straight on the ground saves both and 225 of digging', () => {
    const { plan, takeoff } = job((p) => bedded(p, stone(0.15), lean(0.075, 0)));
    const [ground, stakes, on] = workingWays(plan, takeoff, 0);
    expect(on).toMatchObject({ way: 'stone', here: true });
    expect(ground!.change.of.dig).toBeCloseTo(-12 * 0.225, 6);
    expect(ground!.change.of.stone).toBeCloseTo(-12 * 0.15 * 2000, 3);
    expect(stakes!.change.of.dig).toBeCloseTo(-12 * 0.15, 6);
    // What is left of the lean only loses its allowance for rough stone: 20 − 10 mm over 12 m².
    expect(stakes!.change.of.lean).toBeCloseTo(-0.1, 6);
  });

  it('has its stakes at the top of the lean, over footing and projection', () => {
    const { plan, takeoff } = job((p) => {
      p.elements = named(strip([[0, 0] as const, [14.4, 0] as const], { width: 0.9 }));
      bedded(p, lean(0.075, 0.075));
    });
    const found = leanStakes(plan, takeoff.elements[0]!);
    // 14.4 + 2 × 0.075 over 2.2 at most: 7 gaps; 1.05 wide: two rows.
    expect(found).toMatchObject({ along: 8, across: 2 });
    expect(found!.top).toBeCloseTo(takeoff.elements[0]!.underside, 9);
  });

  it('is not asked of a ramp, and bare ground is where one stands without a bed', () => {
    const { plan, takeoff } = job(() => {});
    expect(workingWays(plan, takeoff, 0).find((way) => way.here)?.way).toBe('ground');
    expect(leanStakes(plan, takeoff.elements[0]!)).toBeNull();
  });
});
