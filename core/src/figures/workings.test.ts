/** Every working gives its figure, line by line; and what its rules say is what they are worked out by hand. */
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { WorkingInput } from '../results/index.ts';
import { DEMOS, demo, honeyHouse, logged, named, pad, plainPlan, soilsDown, unworked } from '../testing.ts';
import { RULES, type RuleId, worked } from './rules.ts';

const inputs = (of: Readonly<Record<string, number>>): WorkingInput[] =>
  Object.entries(of).map(([name, value]) => ({ name, value, kind: 'number', origin: 'typed' }));

/** Rule by rule, worked by hand. */
const BY_HAND: Record<RuleId, readonly [Readonly<Record<string, number>>, number]> = {
  sum: [{ a: 2, b: 3.5, c: -1 }, 4.5],
  rest: [{ dug: 10, stone: 3, void: -1 }, 8],
  area: [{ area: 12.5, thickness: 0.05 }, 0.625],
  mass: [{ volume: 2.4, density: 2000 }, 4800],
  loosened: [{ volume: 4, factor: 1.2 }, 4.8],
  bulk: [{ bank: 20, swell: 0.43 }, 28.6],
  tamped: [{ bank: 10, shrink: 0.1 }, 9],
  asBank: [{ tamped: 9, shrink: 0.1 }, 10],
  // 2.4 m³/m at 37°: √(2.4·0.75355) = 1.345.
  pile: [{ keptLoose: 24, run: 10, repose: 37, highest: 2.5 }, 1.34483],
  // 28.6/10 = 2.86 by volume, 38/13 = 2.92 by mass.
  loads: [{ loose: 28.6, mass: 38_000, body: 10, payload: 13_000 }, 3],
  // 14.04 · 1.05 = 14.742, in half cubic metres 15.
  order: [{ volume: 14.04, waste: 0.05, step: 0.5 }, 15],
  // (14.04 + 0.55) · 1.05 = 15.32 → 15.5.
  // 2.4 and 0.1 in the hopper, 5 % lost: nothing is rounded.
  orderMixed: [{ volume: 2.4, stays: 0.1, waste: 0.05 }, 2.625],
  orderStays: [{ volume: 14.04, stays: 0.55, waste: 0.05, step: 0.5 }, 15.5],
  trucks: [{ ordered: 15, truck: 7 }, 3],
  lifts: [{ bed: 0.52, liftLimit: 0.2 }, 3],
  pit: [{ permeability: 5e-5, head: 4, held: 1.2, radius: 5.528, reaching: 2.8 }, 0.9284e-3],
  // 9 times as long as wide: a pit of the same plan gives 0.3984e-3, a long trench 0.4426e-3; four fifths on.
  trench: [
    { permeability: 1e-4, head: 2, held: 1, radius: 12 / Math.PI, reaching: 1, along: 10.8, width: 1.2 },
    Number.NaN,
  ],
};

describe('a rule of the workings', () => {
  for (const rule of Object.keys(RULES) as RuleId[])
    it(`${rule} is what it comes to by hand`, () => {
      const [of, value] = BY_HAND[rule];
      const found = worked(rule, inputs(of));
      if (!Number.isNaN(value)) return expect(Math.abs(found / value - 1)).toBeLessThan(1e-4);
      // Between the pit and the trench, by their own formulas.
      const [k, H, h] = [1e-4, 2, 1];
      const heads = Math.PI * k * (H * H - h * h);
      const reach = 3000 * Math.sqrt(k);
      const pit = heads / Math.log((reach + 12 / Math.PI) / (12 / Math.PI));
      const trench = heads / Math.log((reach + 0.6) / 0.6) + (k * 10.8 * 3) / (1750 * Math.sqrt(k));
      expect(found).toBeCloseTo(pit + 0.8 * Math.max(0, trench - pit), 12);
    });
  it('leaves out what only stands beside it', () => {
    const [first, other] = inputs({ a: 2, b: 3 });
    expect(worked('sum', [first!, { ...other!, beside: true }])).toBe(2);
  });
});

describe('every working gives its figure', () => {
  it.each(DEMOS)('of the demo %s', (name) => {
    expect(unworked(compute(demo(name)))).toEqual([]);
  });
  it('is told of when a figure and its lines differ', () => {
    const takeoff = compute(honeyHouse());
    const { dig, keep } = takeoff.figures;
    const [first, ...others] = keep.workings;
    const wrong = {
      ...takeoff,
      figures: {
        ...takeoff.figures,
        dig: { ...dig, value: dig.value + 1e-6 },
        keep: { ...keep, workings: [{ ...first!, value: first!.value + 1 }, ...others] },
      },
    };
    // The dig, the line itself, and the one that takes it on.
    expect(unworked(wrong)).toHaveLength(3);
  });
});

describe('a figure is no better than what leads to it', () => {
  const job = () =>
    plainPlan((p) => {
      soilsDown(p, ['a', 'sand', 0]);
      p.assumed = [];
      p.elements = named(pad(0, 0, 3, 3));
    });
  it('typical where a typical swell leads to it, typed once all of it is', () => {
    const plan = job();
    expect(compute(plan).figures.spoil.origin).toBe('typical');
    plan.ground.soils[0]!.values = { swell: 0.2 };
    expect(compute(plan).figures.spoil.origin).toBe('typed');
    plan.assumed = ['/ground/logs/0'];
    expect(compute(plan).figures.spoil.origin).toBe('assumed');
  });
  it('assumed where nobody has said the waste or the truck, and typed once they have', () => {
    const plan = job();
    const line = (step: string) => compute(plan).figures.concrete.workings.find((one) => one.step === step)!;
    const origin = (step: string, name: string) =>
      line(step).inputs.find((input) => input.name === name)!.origin;
    expect(origin('order', 'waste')).toBe('typed');
    plan.assumed = ['/pour/waste', '/spoil/trucks/0/body'];
    expect(origin('order', 'waste')).toBe('assumed');
    // Nobody has to have typed what a plan starts with.
    expect(origin('order', 'step')).toBe('typical');
    plan.pour.step = 0.75;
    expect(origin('order', 'step')).toBe('typed');
    const loads = compute(plan).figures.haul.workings.find((one) => one.step === 'loads')!;
    expect(loads.inputs.find(({ name }) => name === 'body')!.origin).toBe('assumed');
  });
  it('measured where a pit was pumped down', () => {
    const plan = job();
    plan.ground.water = 99.6;
    const record = logged('risingHead', {
      length: 1,
      width: 1,
      water: 99.6,
      readings: [
        { minutes: 0, level: 98.8 },
        { minutes: 10, level: 99.1 },
      ],
    });
    expect(compute(plan).figures.water.origin).toBe('typical');
    expect(compute(plan, [record]).figures.water.origin).toBe('measured');
  });
});
