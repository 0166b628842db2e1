/** The first minute: what is said stands in the plan, what is not stays assumed or unknown. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SOIL_KINDS } from '../catalogue/soils.ts';
import { boundsOf, compute } from '../compute/index.ts';
import { checkPlan } from '../validation/index.ts';
import { validatePlan } from '../validation/validate.ts';
import { assumedAt } from './assumed.ts';
import { blankPlan, newBed, newRaft } from './blank.ts';
import { FIRST_KINDS, type FirstSaid, firstPlan } from './first.ts';

const NOTHING: FirstSaid = {
  kind: null,
  length: null,
  width: null,
  thick: null,
  cross: 0,
  along: 3,
  across: 2,
  frost: null,
  soil: null,
  water: null,
};
const said = (more: Partial<FirstSaid>): FirstSaid => ({ ...NOTHING, ...more });
const drawn = fc.record({
  kind: fc.constantFrom(null, ...FIRST_KINDS),
  length: fc.option(fc.double({ min: 3, max: 40, noNaN: true })),
  width: fc.option(fc.double({ min: 3, max: 30, noNaN: true })),
  thick: fc.option(fc.double({ min: 0.1, max: 0.6, noNaN: true })),
  cross: fc.integer({ min: 0, max: 4 }),
  along: fc.integer({ min: 1, max: 5 }),
  across: fc.integer({ min: 1, max: 4 }),
  frost: fc.option(fc.double({ min: 0.2, max: 2, noNaN: true })),
  soil: fc.constantFrom(null, ...SOIL_KINDS),
  water: fc.option(fc.double({ min: 0.1, max: 6, noNaN: true })),
});

describe('the first minute', () => {
  it('makes a plan that stands, whatever is said and left out', () => {
    fc.assert(
      fc.property(drawn, fc.constantFrom('metric', 'imperial'), (answers, system) => {
        const plan = firstPlan('J', system, answers);
        expect(validatePlan(JSON.parse(JSON.stringify(plan)))).toMatchObject({ ok: true });
        expect(checkPlan(plan)).toEqual([]);
        const { problems, frost, water } = compute(plan);
        expect(problems).toEqual([]);
        // Unknown stays unknown.
        expect(frost.depth === null).toBe(answers.frost === null);
        expect(water.from === null).toBe(answers.water === null);
        expect(assumedAt(plan, '/ground/logs/0') !== null).toBe(
          answers.soil === null || answers.soil === 'topsoil',
        );
      }),
      { numRuns: 60 },
    );
  });

  it('a house 14.4 × 8.4 with a cross wall: 45.6 m of ring and 8.4 m across, footing under the frost', () => {
    const plan = firstPlan(
      'H',
      'metric',
      said({ kind: 'ring', length: 14.4, width: 8.4, cross: 1, frost: 0.95, soil: 'softClay', water: 1.2 }),
    );
    const { elements, frost, water } = compute(plan);
    expect(elements.map(({ length }) => length)).toEqual([45.6, 8.4]);
    expect(frost.depth).toBe(0.95);
    expect(water.from).toBe('logs');
    for (const e of elements) expect(e.underside).toBeLessThanOrEqual(100 - 0.95 + 1e-9);
  });

  it('a wall by itself stands on a footing thrice as thick, its thickness in pencil until it is said', () => {
    const unsaid = firstPlan('W', 'metric', said({ kind: 'wall', length: 12, frost: 0.8 }));
    expect(unsaid.elements[0]).toMatchObject({ stem: 0.25, width: 0.75 });
    expect(unsaid.assumed).toContain('/elements/0');
    const plan = firstPlan('W', 'metric', said({ kind: 'wall', length: 12, thick: 0.5, frost: 0.8 }));
    expect(plan.elements[0]).toMatchObject({ stem: 0.5, width: 1.5 });
    expect(plan.assumed).not.toContain('/elements/0');
    expect(compute(plan).elements[0]!.length).toBe(12);
  });

  it('six pads stand at the corners and middles of the grid', () => {
    const plan = firstPlan('P', 'imperial', said({ kind: 'pads', length: 9.144, width: 6.096 }));
    expect(plan.elements).toHaveLength(6);
    expect(plan.elements.map((e) => (e.kind === 'pad' ? e.at : null))).toEqual([
      [0, 0],
      [4.572, 0],
      [9.144, 0],
      [0, 6.096],
      [4.572, 6.096],
      [9.144, 6.096],
    ]);
  });

  it('a slab lies by its floor, not under the frost, and takes no bed of the footings', () => {
    const plan = firstPlan('S', 'metric', said({ kind: 'slab', length: 17, width: 13.5, frost: 0.95 }));
    const { figures, elements } = compute(plan);
    expect(elements[0]!.decision?.governs).toBe('floor');
    // Under the frost it would be 328 m³; by its floor less than half a metre of 17 × 13.5.
    expect(figures.dig.value).toBeLessThan(0.5 * 17 * 13.5);
    const bed = newBed(plan);
    const apron = newRaft({ ...plan, elements: [], beds: [bed] }, [
      [0, 0],
      [1, 0],
      [1, 8],
      [0, 8],
    ]);
    expect(apron).toMatchObject({ bed: null, founding: 'floor' });
    const other = newRaft({ ...plan, elements: [{ ...apron, bed: bed.id }] }, apron.outline);
    expect(other.bed).toBe(bed.id);
  });

  it('of nothing said is the blank plan', () => {
    expect(firstPlan('B', 'metric', NOTHING)).toEqual(blankPlan('B', 'metric'));
  });
});

describe('how far what nobody said could move a figure', () => {
  const house = firstPlan('H', 'metric', said({ kind: 'ring', length: 12, width: 8, frost: 0.8 }));
  it('holds the figure itself, and everything any of the ends gives', () => {
    const takeoff = compute(house);
    const bounds = boundsOf(house, takeoff);
    for (const id of ['dig', 'spoil', 'haul'] as const) {
      const { low, high, by } = bounds[id]!;
      expect(low).toBeLessThanOrEqual(takeoff.figures[id].value);
      expect(high).toBeGreaterThanOrEqual(takeoff.figures[id].value);
      expect(high).toBeGreaterThan(low);
      expect(by).toMatch(/^(\/|water|frost)/);
    }
    // Gravel swells less than clay: by the soil alone the loose heap moves.
    const gravel = compute({
      ...house,
      ground: {
        ...house.ground,
        soils: house.ground.soils.map((soil, i) => (i === 0 ? soil : { ...soil, kind: 'gravel' as const })),
      },
    });
    expect(gravel.figures.spoil.value).toBeGreaterThanOrEqual(bounds.spoil!.low - 1e-9);
    expect(gravel.figures.spoil.value).toBeLessThanOrEqual(bounds.spoil!.high + 1e-9);
  });

  it('is nothing once everything is said', () => {
    const known = { ...house, assumed: [], ground: { ...house.ground, water: 90 } };
    expect(boundsOf(known, compute(known))).toEqual({});
  });
});
