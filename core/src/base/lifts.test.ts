import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BED_MATERIAL_IDS } from '../catalogue/bed-materials.ts';
import { COMPACTOR_IDS } from '../catalogue/compactors.ts';
import { newLayer } from '../plan/blank.ts';
import type { BedLayer } from '../plan/schema.ts';
import { lean, stone } from '../testing.ts';
import { liftLimits, liftsOf, withFittingStone } from './lifts.ts';

const bed = (more: Partial<BedLayer> = {}) => liftsOf(stone(0.3, { topSize: 0.031, ...more }))!;

describe('lifts', () => {
  it('are equal and no thicker than the compactor manages: 300 mm under a 90–150 kg plate is 2 × 150', () => {
    expect(bed()).toMatchObject({ count: 2, limit: 0.2, limitBy: 'compactor' });
    expect(bed().thickness).toBeCloseTo(0.15, 12);
    expect(bed().loose).toBeCloseTo(0.18, 12);
  });
  it('follow the specification when it asks for thinner', () => {
    expect(bed({ maxLift: 0.1 })).toMatchObject({ count: 3, limitBy: 'specification' });
    expect(bed({ maxLift: 0.5 })).toMatchObject({ count: 2, limitBy: 'compactor' });
  });
  it('take stones that fit when nobody typed any: 520 mm of pit gravel goes down in 173, with 40 mm', () => {
    const layer = { ...newLayer('pitGravel', [], 'metric'), thickness: 0.52 };
    expect(liftsOf(layer)).toMatchObject({ count: 3, stoneTooLarge: true });
    expect(withFittingStone(layer).topSize).toBe(0.04);
    expect(withFittingStone({ ...layer, topSize: 0.05 }).topSize).toBe(0.05);
    fc.assert(
      fc.property(
        fc.constantFrom(...BED_MATERIAL_IDS),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        (material, thickness) => {
          const made = withFittingStone({ ...newLayer(material, [], 'metric'), thickness });
          expect(liftsOf(made)?.stoneTooLarge ?? false).toBe(false);
        },
      ),
    );
  });
  it('do not gain one from rounding: 600 mm in lifts of 200', () => {
    expect(bed({ thickness: 0.6 }).count).toBe(3);
  });
  it('proven by a trial beat the catalogue, and bow to the specification', () => {
    const proven = { lift: 0.3, trial: 'Strip 2' };
    expect(bed({ proven })).toMatchObject({ count: 1, limit: 0.3, limitBy: 'trial' });
    expect(bed({ proven, maxLift: 0.25 })).toMatchObject({ count: 2, limitBy: 'specification' });
    expect(bed({ proven: { ...proven, lift: 0.1 } })).toMatchObject({ count: 3, limitBy: 'trial' });
  });
  it('of clay follow what the compactor does to clay, and say when it does nothing', () => {
    expect(bed({ cohesive: true, compactor: 'plateReversible' })).toMatchObject({
      limit: 0.15,
      unsuited: false,
    });
    expect(bed({ cohesive: true })).toMatchObject({ unsuited: true });
  });
  it('are none of what is cast or only laid', () => {
    expect(liftsOf(lean(0.05, 0.1))).toBeNull();
    expect(liftsOf(stone(0.3, { compactor: null }))).toBeNull();
  });
  it('name stone too large for them', () => {
    expect(bed({ topSize: 0.04 }).stoneTooLarge).toBe(true);
    expect(bed().stoneTooLarge).toBe(false);
  });
  it('add up to the bed for every compactor', () => {
    for (const compactor of COMPACTOR_IDS)
      for (const thickness of [0.05, 0.15, 0.33, 0.9]) {
        const lifts = bed({ compactor, thickness });
        expect(lifts.count * lifts.thickness).toBeCloseTo(thickness, 12);
        expect(lifts.thickness).toBeLessThanOrEqual(lifts.limit + 1e-9);
      }
  });

  it('are limited by several things, ranked, with the margin to each', () => {
    const by = (more: Partial<BedLayer>) =>
      liftLimits(stone(0.8, { topSize: 0.03, ...more })).map(
        ({ by, limit, governs, margin }) =>
          `${by} ${Math.round(limit * 1000)}${governs ? ' governs' : ` +${Math.round(margin * 1000)}`}`,
      );
    expect(by({ maxLift: 0.3 })).toEqual(['compactor 200 governs', 'specification 300 +100', 'stone 120 +0']);
    expect(by({ maxLift: 0.15 })).toEqual(['specification 150 governs', 'compactor 200 +50', 'stone 120 +0']);
    expect(by({ maxLift: 0.3, proven: { lift: 0.28, trial: 'x' } })).toEqual([
      'trial 280 governs',
      'specification 300 +20',
      'stone 120 +0',
    ]);
    expect(by({ compactor: null })).toEqual([]);
  });
});
