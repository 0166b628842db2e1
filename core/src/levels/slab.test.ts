import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { Raft } from '../plan/elements.ts';
import type { FloorLayer, Plan } from '../plan/schema.ts';
import { boardArea } from '../pour/insulation-boards.ts';
import { bedded, lean, named, plainPlan, raft, soilsDown, stone, strip } from '../testing.ts';
import { crossfallDrop, reachUnder, SPLASH } from './slab.ts';

const WINTER = { index: 500, days: 120, mean: 6, nFactor: 0.8, record: [], shape: [] };
const SIDES = [
  [0, 0],
  [8, 0],
  [8, 6],
  [0, 6],
] as const;

/** A slab of 8 × 6 m with its top 0.20 over the ground, on 0.30 of stone over silt. */
function job(more: Partial<Raft> = {}, layers: FloorLayer[] = [], bed = 0.3): Plan {
  return plainPlan((plan) => {
    soilsDown(plan, ['silt', 'silt', 0]);
    plan.ground.frost = { ...plan.ground.frost, local: null, climate: WINTER };
    plan.levels.floors = [
      {
        id: 'f',
        name: 'F',
        level: 100.2,
        above: null,
        string: null,
        count: 'down',
        landing: 'deepen',
        layers,
      },
    ];
    const slab = raft([...SIDES], { founding: 'floor', thickness: 0.15, room: 0.5, edge: null, ...more });
    plan.elements = named(slab);
    if (bed > 0) bedded(plan, stone(bed));
  });
}
const slabOf = (plan: Plan) => compute(plan).elements[0]!;
const has = (plan: Plan, code: string) => compute(plan).cautions.some((caution) => caution.code === code);

describe('boards under a slab', () => {
  it('under all of it lower what is under them by their thickness, and keep frost as a board of the floor does', () => {
    const without = slabOf(job());
    const own = slabOf(job({ boards: { zone: 'whole', thickness: 0.05, width: 0.6 } }));
    const floors = slabOf(
      job({}, [
        { id: 's', name: 'Slab', material: 'slab', thickness: 0.15, joint: null },
        { id: 'b', name: 'Board', material: 'insulation', thickness: 0.05, joint: null },
      ]),
    );
    expect(own.formation).toBeCloseTo(without.formation - 0.05, 9);
    expect(own.slab!.reach).toBeLessThan(without.slab!.reach);
    expect(own.slab!.reach).toBeCloseTo(floors.slab!.reach, 9);
    expect(own.formation).toBeCloseTo(floors.formation, 9);
    expect(own.volume).toBeCloseTo(floors.volume, 6);
  });

  it('cover what they lie over: all, a strip inside the edge, a strip outside it', () => {
    const area = (zone: 'whole' | 'edge' | 'apron') =>
      boardArea(raft([...SIDES], { boards: { zone, thickness: 0.05, width: 0.6 } }));
    expect(area('whole')).toBeCloseTo(48, 9);
    expect(area('edge')).toBeCloseTo(48 - 6.8 * 4.8, 9);
    expect(area('apron')).toBeCloseTo(9.2 * 7.2 - 48, 9);
  });

  it('under the edge are let into the bed: nothing is dug for them, and so much less stone is laid', () => {
    const [without, own] = [job(), job({ boards: { zone: 'edge', thickness: 0.05, width: 0.6 } })].map(
      (plan) => compute(plan),
    );
    expect(own!.figures.dig.value).toBeCloseTo(without!.figures.dig.value, 9);
    const ring = 48 - 6.8 * 4.8;
    expect(without!.stone.volume - own!.stone.volume).toBeCloseTo(ring * 0.05, 6);
    expect(own!.floors[0]!.layers.at(-1)).toMatchObject({
      zone: 'edge',
      sheets: Math.ceil((ring * 1.05) / 2.88),
    });
  });

  it('out past the edge widen the dig to lie on, and lengthen the way frost has to go', () => {
    const near = slabOf(job({ room: 0.2 }));
    const out = slabOf(job({ room: 0.2, boards: { zone: 'apron', thickness: 0.05, width: 1 } }));
    expect(out.width.dug - near.width.dug).toBeCloseTo(1.6, 9);
    // Formation 100.2 − 0.15 − 0.30 = 99.75, 0.25 under the ground; the board lies over it: its own level is not dug.
    expect(near.slab!.side!.way).toBeCloseTo(Math.hypot(0.2, 0.25), 6);
    expect(out.slab!.side!.way).toBeCloseTo(Math.hypot(1, 0.25), 6);
  });
});

describe('frost under a slab', () => {
  it('is held against its edge too, where concrete carries it further down', () => {
    const { slab } = slabOf(job({ edge: { depth: 0.3, width: 0.4 } }));
    const edge = reachUnder(0.45, [], 'gravel', WINTER);
    const middle = reachUnder(0.15, [], 'gravel', WINTER);
    // More bed is wanted where more frost comes out below the concrete.
    const governs = edge - 0.45 > middle - 0.15 ? edge : middle;
    expect(slab!.reach).toBeCloseTo(governs, 9);
    expect(slab!.short).toBeCloseTo(Math.max(0, Math.max(edge - 0.45, middle - 0.15) - 0.3), 9);
  });

  it('cannot come in from the side where walls on footings stand all round', () => {
    const open = job();
    expect(has(open, 'slabSide')).toBe(true);
    const walled = job();
    walled.elements.push({
      ...strip([...SIDES], { closed: true, width: 0.6 }),
      id: 'W',
      name: 'W',
      bed: null,
    });
    expect(slabOf(walled).slab!.side).toBeNull();
    const threeSides = job();
    threeSides.elements.push({ ...strip([...SIDES], { width: 0.6 }), id: 'W', name: 'W', bed: null });
    expect(has(threeSides, 'slabSide')).toBe(true);
  });

  it('from the side is stopped by boards as wide as it says', () => {
    const { side } = slabOf(job()).slab!;
    expect(side!.width).toBeGreaterThan(0);
    const wide = { zone: 'apron', thickness: 0.05, width: side!.width + 1e-6 } as const;
    expect(has(job({ boards: wide }), 'slabSide')).toBe(false);
    expect(has(job({ boards: { ...wide, width: side!.width - 0.05 } }), 'slabSide')).toBe(true);
  });

  it('comes no deeper for a board anywhere, and the way round is never shorter for one', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('whole' as const, 'edge' as const, 'apron' as const),
        fc.double({ min: 0.02, max: 0.15, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.option(fc.double({ min: 0.1, max: 0.5, noNaN: true })),
        (zone, thickness, width, bed, depth) => {
          const edge = depth === null ? null : { depth, width: 0.4 };
          const bare = slabOf(job({ edge, room: 0.3 }, [], bed)).slab!;
          const own = slabOf(job({ edge, room: 0.3, boards: { zone, thickness, width } }, [], bed)).slab!;
          expect(own.short).toBeLessThanOrEqual(bare.short + 1e-9);
          if (bare.side && own.side) expect(own.side.way).toBeGreaterThanOrEqual(bare.side.way - 1e-9);
        },
      ),
      { numRuns: 40, seed: 11 },
    );
  });
});

describe('a slab that falls', () => {
  it('is dug and cast at its mean: half the fall under its high edge, which way ever it lies', () => {
    const fall = (toward: number): Partial<Raft> => ({ crossfall: { grade: 0.02, toward } });
    // Over 6 m to the south 0.12 m; over 8 m to the east 0.16 m; across both 0.02·(8 + 6)/√2.
    expect(crossfallDrop(raft([...SIDES], fall(270)))).toBeCloseTo(0.12, 9);
    expect(crossfallDrop(raft([...SIDES], fall(0)))).toBeCloseTo(0.16, 9);
    expect(crossfallDrop(raft([...SIDES], fall(45)))).toBeCloseTo((0.02 * 14) / Math.SQRT2, 9);
    const [flat, falling] = [compute(job()), compute(job(fall(270)))];
    expect(falling.elements[0]!.top).toBeCloseTo(flat.elements[0]!.top - 0.06, 9);
    expect(falling.concrete.neat).toBeCloseTo(flat.concrete.neat, 9);
    expect(falling.stone.volume).toBeCloseTo(flat.stone.volume, 6);
    expect(falling.figures.dig.value).toBeGreaterThan(flat.figures.dig.value);
  });

  it('is no floor that must stand over splash; one that does not stand high enough is named', () => {
    const low = job();
    low.levels.floors[0]!.level = 100 + SPLASH - 0.02;
    expect(has(low, 'slabLow')).toBe(true);
    expect(has(job(), 'slabLow')).toBe(false);
    low.levels.splash = 0.1;
    expect(has(low, 'slabLow')).toBe(false);
    low.levels.splash = null;
    Object.assign(low.elements[0]!, { crossfall: { grade: 0.02, toward: 270 } });
    expect(has(low, 'slabLow')).toBe(false);
  });
});

it('lean concrete under a slab leaves room for boards at its edge as stone does', () => {
  const plan = job({ boards: { zone: 'edge', thickness: 0.04, width: 0.5 } }, [], 0);
  bedded(plan, stone(0.3), lean(0.06, 0.1));
  const without = structuredClone(plan);
  Object.assign(without.elements[0]!, { boards: null });
  const ring = 48 - 7 * 5;
  const leanOf = (of: Plan) => compute(of).beds[0]!.layers[1]!.volume;
  expect(leanOf(without) - leanOf(plan)).toBeCloseTo(ring * 0.04, 6);
});
