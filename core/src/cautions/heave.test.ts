/** A bottom over water under pressure: what was typed of the soil counts, and only an engineer's whole word lifts the hold. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { SoilEntry } from '../plan/schema.ts';
import { named, pad, plainPlan, soilsDown } from '../testing.ts';

/** A pad at 98 in clay down to the depth given under it; water under the clay that would rise so far over its foot. */
function over(
  values: SoilEntry['values'],
  thick: number,
  head: number,
  word?: { who: string; when: string; why: string },
) {
  const plan = plainPlan((p) => {
    soilsDown(p, ['clay', 'stiffClay', 0, values], ['gravel', 'gravel', 2 + thick]);
    p.ground.water = null;
    p.ground.frost.margin = 0;
    p.ground.knownTo = 12;
    p.ground.logs[0]!.bottom = 12;
    p.elements = named(pad(0, 0, 1, 1, { level: 98 }));
    p.ground.confined = { top: 98 - thick, level: 98 - thick + head };
    if (word) p.levels.instructions = [{ id: 'w', level: null, width: null, elements: ['E1'], ...word }];
  });
  const takeoff = compute(plan);
  expect(takeoff.problems).toEqual([]);
  expect(takeoff.elements[0]!.lowest).toBeCloseTo(98, 9);
  return takeoff.cautions.find(({ code }) => code === 'heave') ?? null;
}
const safety = (found: ReturnType<typeof over>) => found?.values?.safety?.[0];

describe('a bottom over water under pressure', () => {
  it.each([
    [1100, 2.5, 3.4, 0.81],
    [1400, 2.5, 3.2, 1.09],
    [1150, 2.5, 4.0, 0.72],
  ])('in clay typed %d kg/m³, %d m of it over %d m of head: %d', (density, thick, head, wanted) => {
    const found = over({ density }, thick, head);
    expect(safety(found)).toBeCloseTo(wanted, 2);
    expect(found!.weight).toBe('stop');
  });
  it('counts what is typed: as it is in the ground, dry and then full of water, the lower of both', () => {
    fc.assert(
      fc.property(
        fc.option(fc.integer({ min: 1100, max: 2300 })),
        fc.option(fc.integer({ min: 900, max: 2200 })),
        fc.integer({ min: 5, max: 40 }),
        fc.integer({ min: 20, max: 90 }),
        (density, dry, thick10, head10) => {
          const values = { ...(density !== null && { density }), ...(dry !== null && { dryDensity: dry }) };
          const found = over(values, thick10 / 10, head10 / 10);
          // Grains of 2650 and voids full of water: dry + 1000 − dry/2.65.
          const full = dry === null ? [] : [dry + 1000 - dry / 2.65];
          const weights = [...(density === null ? [] : [density]), ...full];
          if (weights.length === 0) return;
          const wanted = (Math.min(...weights) * thick10) / (1000 * head10);
          if (wanted >= 1.2) expect(found).toBeNull();
          else expect(safety(found)).toBeCloseTo(wanted, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('is held until an engineer has said by name, when and why; nothing less will do', () => {
    const word = { who: 'Eng. Sol', when: '24 Nov', why: 'Relief well pumps to 95.5' };
    expect(over({ density: 1400 }, 2.5, 3.2, word)!.weight).toBe('warn');
    for (const part of ['who', 'when', 'why'] as const)
      expect(over({ density: 1400 }, 2.5, 3.2, { ...word, [part]: ' ' })!.weight, part).toBe('stop');
  });
});
