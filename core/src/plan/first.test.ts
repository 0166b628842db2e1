/** The first minute: what is said stands in the plan, what is not stays assumed or unknown. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SOIL_KINDS } from '../catalogue/soils.ts';
import { boundsOf, compute, firstJob } from '../compute/index.ts';
import { checkPlan } from '../validation/index.ts';
import { validatePlan } from '../validation/validate.ts';
import { assumedAt } from './assumed.ts';
import { blankPlan, newBed, newRaft } from './blank.ts';
import { FIRST_KINDS, type FirstSaid, NOTHING_SAID } from './first.ts';

const said = (more: Partial<FirstSaid>): FirstSaid => ({ ...NOTHING_SAID, ...more });
const drawn = fc.record({
  kind: fc.constantFrom(null, ...FIRST_KINDS),
  length: fc.option(fc.double({ min: 3, max: 40, noNaN: true })),
  width: fc.option(fc.double({ min: 3, max: 30, noNaN: true })),
  thick: fc.option(fc.double({ min: 0.1, max: 0.6, noNaN: true })),
  footing: fc.record({
    width: fc.option(fc.double({ min: 0.6, max: 1.5, noNaN: true })),
    thickness: fc.option(fc.double({ min: 0.2, max: 0.6, noNaN: true })),
  }),
  apart: fc.option(fc.double({ min: 2, max: 5, noNaN: true })),
  old: fc.option(fc.double({ min: 0.3, max: 1, noNaN: true })),
  down: fc.option(fc.double({ min: 1.5, max: 3, noNaN: true })),
  stream: fc.record({
    away: fc.option(fc.double({ min: 1, max: 9, noNaN: true })),
    deep: fc.option(fc.double({ min: 0.2, max: 1, noNaN: true })),
    flood: fc.option(fc.double({ min: 0, max: 2, noNaN: true })),
  }),
  near: fc.constantFrom(null, true, false),
  call: fc.constantFrom('', 'Foreman 555 0101'),
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
        const plan = firstJob('J', system, answers);
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
    const plan = firstJob(
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
    const unsaid = firstJob('W', 'metric', said({ kind: 'wall', length: 12, frost: 0.8 }));
    expect(unsaid.elements[0]).toMatchObject({ rising: { thickness: 0.25, top: 'ground' }, width: 0.75 });
    expect(unsaid.assumed).toContain('/elements/0');
    const plan = firstJob('W', 'metric', said({ kind: 'wall', length: 12, thick: 0.5, frost: 0.8 }));
    expect(plan.elements[0]).toMatchObject({ rising: { thickness: 0.5 }, width: 1.5 });
    expect(plan.assumed).not.toContain('/elements/0');
    expect(compute(plan).elements[0]!.length).toBe(12);
  });

  it('six pads stand at the corners and middles of the grid', () => {
    const plan = firstJob('P', 'imperial', said({ kind: 'pads', length: 9.144, width: 6.096 }));
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
    const plan = firstJob('S', 'metric', said({ kind: 'slab', length: 17, width: 13.5, frost: 0 }));
    const { figures, elements } = compute(plan);
    expect(elements[0]!.decision?.governs).toBe('floor');
    // By its floor less than half a metre of 17 × 13.5, with the drain round it.
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

  it('a slab comes whole: bed as thick as frost asks, a drain at its foot, its concrete counted once', () => {
    const plan = firstJob(
      'S',
      'metric',
      said({ kind: 'slab', length: 12, width: 9, frost: 0.95, soil: 'stiffClay' }),
    );
    const { cautions, concrete, elements } = compute(plan);
    expect(cautions.map(({ code }) => code)).not.toContain('slabFrost');
    // 0.2 m of slab, and an edge that is turned down 0.25 m at about 0.3 m of width.
    expect(concrete.neat).toBeGreaterThan(12 * 9 * 0.2);
    expect(concrete.neat).toBeLessThan(12 * 9 * 0.2 + 42 * 0.25 * 0.7);
    const [slab, drain] = elements;
    expect(drain!.dug).toBeCloseTo(slab!.dug, 6);
    expect(plan.assumed).toContain('/beds/0/layers/0/thickness');
    expect(plan.assumed).not.toContain('/beds');
  });

  it('pads round 22.4 × 16.8 m at 2.8 m are 28, each corner once, and no ring', () => {
    const plan = firstJob(
      'R',
      'metric',
      said({ kind: 'round', length: 22.4, width: 16.8, apart: 2.8, frost: 0.8 }),
    );
    const places = plan.elements.map((e) => (e.kind === 'pad' ? e.at.join() : e.kind));
    expect(places).toHaveLength(28);
    expect(new Set(places).size).toBe(28);
    for (const corner of ['0,0', '22.4,0', '22.4,16.8', '0,16.8']) expect(places).toContain(corner);
    expect(places).toContain('2.8,0');
  });

  it('an old wall that is known is underpinned in bays, one that is not is an open trench', () => {
    const known = firstJob(
      'U',
      'metric',
      said({ kind: 'underpin', length: 6, thick: 0.5, old: 0.6, down: 2.4 }),
    );
    expect(known.elements[0]).toMatchObject({ kind: 'underpin', width: 0.5, old: { underside: 99.4 } });
    const found = compute(known);
    expect(found.elements[0]!.underside).toBeCloseTo(100 - 2.4, 9);
    expect(found.elements[0]!.bays).not.toBeNull();
    expect(found.cautions.map(({ code }) => code)).not.toContain('underpinOpen');
    const unknown = firstJob('U', 'metric', said({ kind: 'underpin', length: 6, down: 2.4 }));
    expect(compute(unknown).cautions.map(({ code }) => code)).toContain('underpinOpen');
  });

  it('a wall beside a stream has its stream, its flood and a dam as deep as the stream', () => {
    const plan = firstJob(
      'W',
      'metric',
      said({ kind: 'stream', length: 8, thick: 0.4, stream: { away: 2, deep: 0.5, flood: 0.3 } }),
    );
    expect(plan.ground.hazards[0]).toMatchObject({ kind: 'stream', level: 100.3 });
    expect(plan.ground.hazards[0]!.points.map(([, y]) => y)).toEqual([-2, -2]);
    expect(plan.water.dam).toMatchObject({ length: 8, depth: 0.5 });
    expect(compute(plan).cautions.map(({ code }) => code)).toContain('flood');
  });

  it('sizes of a footing nobody said are pencil, those said are not', () => {
    const ring = said({ kind: 'ring', length: 10, width: 8 });
    expect(firstJob('R', 'imperial', ring).assumed).toEqual(
      expect.arrayContaining(['/elements/0/width', '/elements/0/thickness']),
    );
    const sized = firstJob('R', 'metric', { ...ring, footing: { width: 0.7, thickness: 0.25 } });
    expect(sized.elements[0]).toMatchObject({ width: 0.7, thickness: 0.25 });
    expect(sized.assumed.filter((pointer) => pointer.startsWith('/elements'))).toEqual([]);
    expect(firstJob('R', 'metric', { ...ring, near: false }).assumed).not.toContain('/ground/hazards');
    expect(firstJob('R', 'metric', { ...ring, call: 'Mara 555 0101' }).emergencyContact).toBe(
      'Mara 555 0101',
    );
  });

  it('of nothing said is the blank plan', () => {
    expect(firstJob('B', 'metric', NOTHING_SAID)).toEqual(blankPlan('B', 'metric'));
  });
});

describe('how far what nobody said could move a figure', () => {
  const house = firstJob('H', 'metric', said({ kind: 'ring', length: 12, width: 8, frost: 0.8 }));
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
