import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitnesses, holeAlone, spoilOf } from '../backfill/index.ts';
import { groundModel, soilsOf } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import { plainPlan, soilsDown } from '../testing.ts';
import { sideRule } from './sides.ts';
import { cone, loadsOf, mixedLoads, windrow } from './spoil.ts';
import { digWidth } from './width.ts';

const truck = (id: string, body: number, payload: number) => ({
  id,
  name: id,
  body,
  payload,
  sideHeight: 2.4,
});

describe('piles', () => {
  it('2.4 m³/m at 37° stands 1.345 high on 3.569; 60 m³ is a cone 3.192 high, 8.473 across', () => {
    expect(windrow(2.4, 37).base).toBeCloseTo(3.569, 2);
    expect(windrow(2.4, 37).height).toBeCloseTo(1.345, 3);
    expect(cone(60, 37).height).toBeCloseTo(3.192, 3);
    expect(cone(60, 37).diameter).toBeCloseTo(8.473, 3);
  });

  it('hold the soil they are made of', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        fc.double({ min: 20, max: 45, noNaN: true }),
        (volume, repose) => {
          const w = windrow(volume, repose);
          expect((w.base * w.height) / 2 / volume).toBeCloseTo(1, 9);
          const c = cone(volume, repose);
          expect((Math.PI * c.diameter ** 2 * c.height) / 12 / volume).toBeCloseTo(1, 9);
        },
      ),
    );
  });
});

describe('loads', () => {
  it('go by what fills first', () => {
    expect(loadsOf(truck('a', 10, 17500), 43, 50000)).toMatchObject({ loads: 5, limit: 'volume' });
    expect(loadsOf(truck('a', 10, 9000), 43, 50000)).toMatchObject({ loads: 6, limit: 'mass' });
    expect(loadsOf(truck('a', 10, 17500), 43, 50000).lastFill).toBeCloseTo(0.3, 9);
    expect(loadsOf(truck('a', 10, 17500), 0, 0).loads).toBe(0);
  });

  it('a whole number of loads is not one more', () => {
    expect(loadsOf(truck('a', 0.1, 1e6), 0.3, 1).loads).toBe(3);
  });

  it('of a mixed fleet end with the smallest truck that will do', () => {
    const fleet = [truck('small', 6, 9000), truck('large', 10, 17500)];
    expect(mixedLoads(fleet, 43, 50000).map((m) => [m.truck.id, m.loads])).toEqual([
      ['large', 4],
      ['small', 1],
    ]);
    expect(mixedLoads(fleet, 4, 5000).map((m) => [m.truck.id, m.loads])).toEqual([['small', 1]]);
    expect(mixedLoads(fleet, 0, 0)).toEqual([]);
  });

  it('always carry all of it', () => {
    const positive = fc.double({ min: 0.1, max: 2000, noNaN: true });
    fc.assert(
      fc.property(
        positive,
        fc.double({ min: 500, max: 2500, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (loose, density, b1, b2) => {
          const fleet = [truck('p', b1, b1 * 1500), truck('q', b2, b2 * 1500)];
          const mass = loose * density;
          for (const t of fleet) {
            const { loads } = loadsOf(t, loose, mass);
            expect(loads * t.body).toBeGreaterThanOrEqual(loose - 1e-6);
            expect(loads * t.payload).toBeGreaterThanOrEqual(mass * (1 - 1e-9) - 1e-3);
          }
          const mixed = mixedLoads(fleet, loose, mass);
          expect(mixed.reduce((s, m) => s + m.loads * m.truck.body, 0)).toBeGreaterThanOrEqual(loose - 1e-6);
          const fewest = Math.min(...fleet.map((t) => loadsOf(t, loose, mass).loads));
          expect(mixed.reduce((s, m) => s + m.loads, 0)).toBe(fewest);
        },
      ),
    );
  });
});

describe('spoil', () => {
  it('dug = kept + topsoil + hauled, whatever is wanted back', () => {
    const plan = plainPlan((p) => {
      p.ground.soils.push({ id: 'deep', name: '', kind: 'softClay', values: { swell: 0.3 }, hand: null });
    });
    const soils = soilsOf(plan);
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { minLength: 3, maxLength: 3 }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.boolean(),
        fc.constantFrom('keep', 'haul'),
        (strata, wanted, keep, topsoil) => {
          const p = { ...plan, spoil: { ...plan.spoil, keepForBackfill: keep, topsoil } };
          const spoil = spoilOf(p, fitnesses(p, soils), strata, holeAlone(wanted));
          const dug = strata.reduce((s, v) => s + v, 0);
          expect(spoil.keptBank + spoil.keptTopsoil + spoil.hauledBank).toBeCloseTo(dug, 6);
          expect(spoil.loose).toBeGreaterThanOrEqual(dug - 1e-9);
          expect(spoil.hauledLoose).toBeLessThanOrEqual(spoil.loose + 1e-9);
        },
      ),
    );
  });

  it('keeps the soil that is fit before the one that must dry first', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['soft', 'softClay', 0, { shrink: 0.1 }], ['stiff', 'stiffClay', 1, { shrink: 0.1 }]);
    });
    const spoil = spoilOf(plan, fitnesses(plan, soilsOf(plan)), [100, 50], holeAlone(90));
    // 50 bank of stiff fills 45; the other 45 take 50 bank of soft.
    expect(spoil.strata.map((s) => s.keptBank)).toEqual([50, 50].map((v) => expect.closeTo(v, 9)));
    expect(spoil.shortfall).toBe(0);
  });
});

describe('bottom width', () => {
  it('of a formed trench is what is needed, never under one bucket', () => {
    expect(digWidth(1.2, 'formed', null, [0.45, 0.6, 0.9])).toMatchObject({ dug: 1.2 });
    expect(digWidth(1.2, 'formed', 0.6, [0.6])).toMatchObject({ dug: 1.2, passes: 2 });
    expect(digWidth(0.4, 'formed', null, [0.6, 0.9])).toMatchObject({ dug: 0.6, passes: 1 });
  });

  it('of trench-fill is whole passes of the bucket that digs least', () => {
    expect(digWidth(0.5, 'trenchFill', null, [0.45, 0.6, 0.9])).toMatchObject({
      dug: 0.6,
      bucket: 0.6,
      passes: 1,
    });
    expect(digWidth(0.9, 'trenchFill', null, [0.45, 0.6, 0.9])).toMatchObject({
      dug: 0.9,
      bucket: 0.9,
      passes: 1,
    });
    expect(digWidth(0.7, 'trenchFill', 0.45, [0.45])).toMatchObject({ dug: 0.9, passes: 2 });
  });
});

describe('side rules', () => {
  const plan = plainPlan();
  const columnOf = (p: Plan) => [groundModel(p).column(0, 0)];
  const soils = columnOf(plan);
  it('take the weakest soil cut, and water makes it class C', () => {
    expect(sideRule(plan, soils, 0.2, false).slopeClass).toBe('C');
    const stiff = columnOf(
      plainPlan((p) => {
        soilsDown(p, ['a', 'stiffClay', 0]);
      }),
    );
    expect(sideRule(plan, stiff, 1.5, false)).toMatchObject({
      slopeClass: 'B',
      steepest: 1,
      protectFrom: 1.2,
    });
    expect(sideRule(plan, stiff, 1.5, true)).toMatchObject({
      slopeClass: 'C',
      steepest: 1.5,
      protectFrom: 1,
      loweredByWater: true,
    });
    expect(sideRule({ ...plan, ruleSet: 'us' }, stiff, 1.5, false).protectFrom).toBe(1.52);
  });
  it('ask no protection in stable rock', () => {
    const rock = columnOf(
      plainPlan((p) => {
        soilsDown(p, ['r', 'rock', 0]);
      }),
    );
    expect(sideRule(plan, rock, 4, false)).toMatchObject({
      slopeClass: 'rock',
      protectFrom: null,
      steepest: 0,
    });
  });
});
