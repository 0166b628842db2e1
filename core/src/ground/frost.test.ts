import { describe, expect, it } from 'vitest';
import { honeyHouse, plainPlan } from '../testing.ts';
import { designFrost } from './design-frost.ts';
import { berggrenLambda, frostDepth, frostLayer, KERSTEN_FROM, kersten } from './frost.ts';
import { groundModel } from './strata.ts';

describe('modified Berggren', () => {
  it('has λ of the Neumann solution', () => {
    expect(berggrenLambda(0.1, 0)).toBeCloseTo(0.98394, 5);
    expect(berggrenLambda(0.1, 1)).toBeCloseTo(0.84583, 5);
    expect(berggrenLambda(1, 0)).toBeCloseTo(0.8769, 5);
  });

  it('tends to Stefan (λ = 1) as heat capacity goes to nothing', () => {
    expect(berggrenLambda(1e-6, 0)).toBeCloseTo(1, 5);
    expect(berggrenLambda(0, 0)).toBe(1);
  });

  it('takes conductivities by Kersten: fine, ρd 1.6, w 18 %', () => {
    const k = kersten('fine', 1600, 0.18);
    expect(k.frozen).toBeCloseTo(1.6162, 4);
    expect(k.thawed).toBeCloseTo(1.3372, 4);

    // Drier than it was fitted to it stays at its driest.
    expect(kersten('fine', 1600, 0.03)).toEqual(kersten('fine', 1600, KERSTEN_FROM.fine));
  });

  it('for one layer equals the closed form X = λ·√(2k·nF·86400/L)', () => {
    const layer = frostLayer(9, 'fine', 1600, 0.18);
    const climate = { index: 700, days: 120, mean: 5, nFactor: 0.9 };
    const surface = 630;
    const vs = surface / 120;
    const lambda = berggrenLambda((layer.heat * vs) / layer.latent, 5 / vs);
    const closed = lambda * Math.sqrt((2 * layer.conductivity * surface * 86400) / layer.latent);
    expect(frostDepth([layer], climate)).toBeCloseTo(closed, 9);
  });

  it('does not care how one soil is split into layers', () => {
    const climate = { index: 900, days: 130, mean: 4, nFactor: 0.7 };
    const whole = frostDepth([frostLayer(9, 'coarse', 1800, 0.08)], climate);
    const split = frostDepth(
      [0.1, 0.2, 0.35, 9].map((d) => frostLayer(d, 'coarse', 1800, 0.08)),
      climate,
    );
    expect(split).toBeCloseTo(whole, 9);
  });

  it('goes deeper for a colder winter and shallower under turf', () => {
    const layers = [frostLayer(0.25, 'fine', 1300, 0.22), frostLayer(9, 'fine', 1600, 0.2)];
    const at = (index: number, nFactor: number) => frostDepth(layers, { index, days: 110, mean: 6, nFactor });
    expect(at(800, 0.7)).toBeGreaterThan(at(400, 0.7));
    expect(at(400, 0.9)).toBeGreaterThan(at(400, 0.5));
    expect(at(0, 0.7)).toBe(0);
    expect(frostDepth([], { index: 500, days: 100, mean: 5, nFactor: 1 })).toBe(0);
  });
});

describe('the design frost depth', () => {
  it('is the larger of the local and the computed', () => {
    const plan = honeyHouse();
    const frost = designFrost(plan, groundModel(plan));
    expect(frost.governs).toBe('local');
    expect(frost.depth).toBe(0.95);
    expect(frost.computed).toBeGreaterThan(0.3);
    plan.ground.frost.local = 0.2;
    const colder = designFrost(plan, groundModel(plan));
    expect(colder.governs).toBe('computed');
    expect(colder.depth).toBe(colder.computed);
  });

  it('is open when neither is given', () => {
    const plan = plainPlan((p) => {
      p.ground.frost.local = null;
    });
    expect(designFrost(plan, groundModel(plan)).depth).toBeNull();
  });
});
