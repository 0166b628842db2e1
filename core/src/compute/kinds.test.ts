/** Elements founded and dug by their own kind: worked examples, each by hand. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stoneFootingLifts } from '../base/index.ts';
import type { SiteRecord } from '../log/index.ts';
import { newUnderpin } from '../plan/blank.ts';
import type { Element, Underpin } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import {
  bedded,
  foundLow,
  logged,
  named,
  pad,
  plainPlan,
  raft,
  soilsDown,
  stone,
  strip,
  unbalanced,
} from '../testing.ts';
import { validatePlan } from '../validation/validate.ts';
import { compute } from './pipeline/compute.ts';
import { digSequence } from './views/dig-sequence.ts';
import { setoutSheet } from './views/setout-sheet.ts';
import { alternatives } from './what-if/alternatives.ts';
import { concreteInstead } from './what-if/concrete-instead.ts';
import { remedyCost, remedyFor } from './what-if/remedies.ts';

const box = (w: number, h: number) =>
  [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ] as const;
const floor = (level: number, layers: Plan['levels']['floors'][number]['layers'] = []) => ({
  id: 'f',
  name: 'F',
  level,
  above: null,
  string: null,
  count: 'down' as const,
  landing: 'deepen' as const,
  layers,
});
const layer = (id: string, material: 'slab' | 'insulation' | 'sand' | 'stone', thickness: number) => ({
  id,
  name: id,
  material,
  thickness,
  joint: null,
});
const job = (change: (p: Plan) => void, records: readonly SiteRecord[] = []) =>
  compute(
    plainPlan((p) => {
      p.dig.slope = 0;
      p.dig.room = 0;
      change(p);
    }),
    records,
  );
const problems = (change: (p: Plan) => void) => {
  const read = validatePlan(JSON.parse(JSON.stringify(plainPlan(change))));
  return read.ok ? [] : read.problems.map(({ code, path }) => `${path} ${code}`);
};

describe('a slab founded by its floor', () => {
  const slab = (p: Plan, more: Partial<Parameters<typeof raft>[1]> = {}) => {
    p.ground.frost.local = 0.95;
    p.levels.floors = [floor(100)];
    soilsDown(p, ['a', 'silt', 0]);
    p.elements = named(raft(box(6, 8), { thickness: 0.15, edge: null, founding: 'floor', ...more }));
    bedded(p, stone(0.3));
  };
  it('of 6 × 8 m on 300 mm of stone digs 0.45 m, not to frost', () => {
    const takeoff = job(slab);
    expect(takeoff.elements[0]!.formation).toBeCloseTo(99.55, 9);
    expect(takeoff.elements[0]!.decision).toMatchObject({ governs: 'floor' });
    expect(takeoff.figures.dig.value).toBeCloseTo(48 * 0.45, 9);
    expect(takeoff.concrete.neat).toBeCloseTo(48 * 0.15, 9);
    const below = job((p) => slab(p, { founding: 'depth' }));
    expect(below.elements[0]!.formation).toBeCloseTo(100 - 0.95 - 0.1 - 0.3, 9);
  });
  it('0.15 thick wants 0.80 of bed where the frost reaches 0.95, and is held until then', () => {
    const takeoff = job(slab);
    expect(takeoff.elements[0]!.slab).toMatchObject({ lifts: true, board: null });
    expect(takeoff.elements[0]!.slab!.bed).toBeCloseTo(0.8, 9);
    expect(takeoff.elements[0]!.slab!.short).toBeCloseTo(0.5, 9);
    const codes = (t: typeof takeoff) => t.cautions.map((c) => c.code);
    expect(codes(takeoff)).toEqual(expect.arrayContaining(['slabFrost', 'slabEngineer']));
    const deep = job((p) => {
      slab(p);
      bedded(p, stone(0.8));
    });
    expect(deep.elements[0]!.slab!.short).toBeCloseTo(0, 9);
    expect(codes(deep)).not.toContain('slabFrost');
    // By name, when and why: nothing less is an engineer's word.
    const said = (when: string, why: string) =>
      job((p) => {
        slab(p);
        p.levels.instructions = [
          { id: 'w', level: null, width: 0.9, who: 'Eng. Sol', when, why, elements: ['E1'] },
        ];
      });
    expect(codes(said('24 Nov', 'Drained bed, frost cannot reach it'))).not.toContain('slabEngineer');
    expect(codes(said('', 'Drained bed'))).toContain('slabEngineer');
    expect(codes(said('24 Nov', ' '))).toContain('slabEngineer');
  });
  it('does not lift where the soil under it holds no ice', () => {
    const takeoff = job((p) => {
      slab(p);
      soilsDown(p, ['a', 'gravel', 0]);
    });
    expect(takeoff.elements[0]!.slab).toMatchObject({ lifts: false });
  });
  it('needs less bed with a board, as the winter goes through it', () => {
    const winter = { index: 700, days: 110, mean: 5, nFactor: 0.8, record: [], shape: [] };
    const bed = (board: number) =>
      job((p) => {
        slab(p);
        p.ground.frost.climate = winter;
        p.levels.floors = [
          floor(100, [layer('s', 'slab', 0.15), ...(board > 0 ? [layer('b', 'insulation', board)] : [])]),
        ];
      }).elements[0]!.slab!.bed;
    expect(bed(0.05)).toBeLessThan(bed(0));
    expect(bed(0.1)).toBeLessThanOrEqual(bed(0.05));
  });
  it('lies in its floor: layers above it are under the level, those below are dug for', () => {
    const takeoff = job((p) => {
      slab(p);
      p.levels.floors = [
        floor(100, [layer('a', 'sand', 0.05), layer('s', 'slab', 0.15), layer('i', 'insulation', 0.1)]),
      ];
    });
    const [own] = takeoff.elements;
    expect(own!.top).toBeCloseTo(99.95, 9);
    expect(own!.underside).toBeCloseTo(99.8, 9);
    expect(own!.formation).toBeCloseTo(99.4, 9);
    // Dug 28.8; in it 300 mm of stone, 100 of board, 150 of concrete: 50 mm of sand lie over it.
    expect(takeoff.spoil.backfill).toBeCloseTo(48 * (0.6 - 0.3 - 0.1 - 0.15), 9);
    expect(takeoff.floors[0]!.layers.map((l) => [l.layer.id, l.volume, l.sheets])).toEqual([
      ['a', expect.closeTo(2.4, 9), null],
      ['i', expect.closeTo(4.8, 9), Math.ceil((48 * 1.05) / 2.88)],
    ]);
  });
  it('half out of the ground leaves only the room beside it to fill', () => {
    const takeoff = job((p) => {
      slab(p, { room: 0.5 });
      p.levels.floors = [floor(100.1)];
    });
    // Dug 7 × 9 × 0.35; the bed's 0.3 fills all of it, the slab's lower 0.05 its own 6 × 8.
    expect(takeoff.figures.dig.value).toBeCloseTo(63 * 0.35, 9);
    expect(takeoff.spoil.backfill).toBeCloseTo(63 * 0.05 - 48 * 0.05, 9);
  });
  it('without a floor is named at its field', () => {
    expect(
      problems((p) => {
        slab(p);
        p.levels.floors = [];
      }),
    ).toEqual(['/elements/0/founding slabNoFloor']);
  });
  it('without a floor is not dug, and the rest of the job is, frost and water as they were said', () => {
    const both = plainPlan((p) => {
      p.ground.water = 99;
      slab(p);
      p.elements = [...p.elements, { ...pad(30, 0, 2, 2), id: 'P', name: 'P' }];
    });
    const alone = compute({ ...both, elements: both.elements.slice(1) });
    const homeless = compute({ ...both, levels: { ...both.levels, floors: [] } });
    expect(homeless.elements.map(({ live }) => live)).toEqual([false, true]);
    expect(homeless.figures.dig.value).toBeCloseTo(alone.figures.dig.value, 9);
    expect(homeless.frost.depth).toBe(alone.frost.depth);
    expect(homeless.water.from).toBe(alone.water.from);
    expect(homeless.problems.map(({ code, path }) => [code, path])).toEqual([
      ['slabNoFloor', '/elements/0/founding'],
    ]);
  });
  it('deeper than the footing beside it is named', () => {
    const takeoff = job((p) => {
      slab(p);
      p.elements = named(
        ...p.elements,
        strip(
          [
            [0, 2],
            [6, 2],
          ],
          { level: 99.8 },
        ),
      );
      p.ground.frost.local = 0.1;
      p.elements[0]!.bed = 'bed-1';
    });
    expect(takeoff.problems.map((problem) => problem.code)).toContain('slabUnderFooting');
  });
});

describe('a floor inside', () => {
  it('of 63 m² stripped 0.20 is 12.6 m³ in the ground and 15.75 loose; 28.8 m² of stone at 0.15 are 4.32 m³', () => {
    const stripped = job((p) => {
      p.levels.floors = [floor(99.95)];
      soilsDown(p, ['a', 'silt', 0]);
      p.ground.soils[0]!.values.swell = 0.25;
      p.elements = named(raft(box(9, 7), { thickness: 0.15, edge: null, founding: 'floor' }));
    });
    expect(stripped.figures.dig.value).toBeCloseTo(12.6, 9);
    expect(stripped.spoil.loose).toBeCloseTo(15.75, 9);
    const laid = job((p) => {
      p.levels.floors = [floor(100)];
      p.elements = named(raft(box(7.2, 4), { thickness: 0.1, edge: null, founding: 'floor' }));
      bedded(p, stone(0.15));
    });
    expect(laid.stone.volume).toBeCloseTo(4.32, 9);
  });
  it('has its whole bed where a deeper pit beside it leaves a slope under it', () => {
    const bed = (beside: boolean) =>
      job((p) => {
        p.dig.slope = 1;
        p.levels.floors = [floor(100)];
        p.ground.frost.local = 0.9;
        p.elements = named(
          raft(box(6, 4), { thickness: 0.1, edge: null, founding: 'floor', room: 0 }),
          ...(beside ? [pad(3, -0.8, 1, 1, { room: 0 })] : []),
        );
        bedded(p, stone(0.2));
        if (beside) p.elements[1]!.bed = null;
      }).elements[0]!.layers[0]!.volume;
    expect(bed(false)).toBeCloseTo(24 * 0.2, 9);
    // The pad's own concrete lies lower: nothing of the slab's bed is lost.
    expect(bed(true)).toBeCloseTo(24 * 0.2, 9);
  });
  it('does not shut the machine in: it drives over the reduced level, not over a trench', () => {
    const ring = strip([...box(8, 6)], { closed: true, width: 0.6, level: 98.6 });
    const plan = plainPlan((p) => {
      p.levels.floors = [floor(100.05)];
      p.site.gates = [{ id: 'g', name: 'G', at: [-20, 0], width: 4 }];
      p.elements = named(
        raft([...box(8, 6)], { founding: 'floor', edge: null, thickness: 0.15, room: 0 }),
        ring,
      );
      bedded(p, stone(0.2));
    });
    const order = digSequence(plan, compute(plan));
    expect(order.ok).toBe(true);
    // Inside the ring it must be dug before the ring is.
    expect(order.ok && order.steps.map((step) => step.id)).toEqual(['E1', 'E2']);
  });
  it('is dug once where a trench crosses it', () => {
    const takeoff = job((p) => {
      p.levels.floors = [floor(100)];
      p.elements = named(
        raft(box(6, 8), { thickness: 0.15, edge: null, founding: 'floor' }),
        strip(
          [
            [0, 4],
            [6, 4],
          ],
          { level: 99.4, thickness: 0.3 },
        ),
      );
      p.ground.frost.local = 0.1;
      p.ground.frost.margin = 0;
      p.dig.buckets = [0.6];
    });
    // The slab's 0.15 everywhere, the trench's other 0.45 in its own 6 × 0.6.
    expect(takeoff.figures.dig.value).toBeCloseTo(48 * 0.15 + 6 * 0.6 * 0.45, 9);
  });
});

describe('a drain founded by its outfall', () => {
  const drain = (more: Partial<Parameters<typeof strip>[1]> = {}) =>
    strip(
      [
        [0, 0],
        [20, 0],
      ],
      {
        use: 'drain',
        width: 0.4,
        thickness: 0.35,
        outfall: { level: 98.25, head: 98.4, silt: 0, where: 'daylight' },
        pipe: { diameter: 0.11, bedding: 0 },
        ...more,
      },
    );
  const laid = (more: Partial<Parameters<typeof strip>[1]> = {}) =>
    job((p) => {
      p.dig.buckets = [0.4];
      p.elements = named(drain(more));
    });
  it('from 98.40 to 98.25 over 20 m falls 0.75 %, and takes 2.61 m³ of stone round a 110 mm pipe', () => {
    const takeoff = laid();
    expect(takeoff.elements[0]!.decision).toMatchObject({ governs: 'outfall' });
    expect(takeoff.elements[0]!.dug).toBeCloseTo(98.25, 9);
    const part = takeoff.solid.parts[0]!.floor;
    expect(-part.a).toBeCloseTo(0.0075, 9);
    expect(takeoff.stone.volume).toBeCloseTo(0.4 * 0.35 * 20 - (Math.PI / 4) * 0.11 ** 2 * 20, 9);
    expect(takeoff.stone.volume).toBeCloseTo(2.61, 2);
    // Trench 0.4 wide from 100 down to 98.325 on the whole.
    expect(takeoff.figures.dig.value).toBeCloseTo(20 * 0.4 * 1.675, 9);
    expect(unbalanced(takeoff)).toEqual([]);
  });
  it('is dug for no bed and no frost, and lies the pipe on its bedding', () => {
    const takeoff = laid({ pipe: { diameter: 0.11, bedding: 0.05 } });
    expect(takeoff.elements[0]!.dug).toBeCloseTo(98.2, 9);
  });
  it('without a fall works by head, and says what must stand', () => {
    const flat = laid({ outfall: { level: 98.25, head: 98.255, silt: 0, where: 'ditch' } });
    expect(flat.cautions.map((c) => c.code)).toContain('drainFlat');
    expect(laid().cautions.map((c) => c.code)).not.toContain('drainFlat');
  });
  it('names what it crosses with the clearance', () => {
    const takeoff = job((p) => {
      p.elements = named(drain(), pad(10, 0, 1, 1, { level: 99, thickness: 0.3 }));
      p.ground.frost.local = 0.1;
    });
    const crossing = takeoff.cautions.find((c) => c.code === 'drainCrosses')!;
    // Halfway the bottom is at 98.325, the stone's top at 98.675, the pad's underside at 99.
    expect(crossing.values!.clear![0]).toBeCloseTo(99 - 98.675, 6);
    expect(crossing.weight).toBe('warn');
  });
  it('that cannot run is named at its field', () => {
    const of = (more: Partial<Parameters<typeof strip>[1]>) =>
      problems((p) => {
        p.elements = named(drain(more));
      });
    expect(of({})).toEqual([]);
    expect(of({ outfall: { level: 98.5, head: 98.4, silt: 0, where: 'sump' } })).toEqual([
      '/elements/0/outfall/level outfallAbove',
    ]);
    expect(of({ outfall: { level: 60, head: null, silt: 0, where: 'sump' } })).toEqual([
      '/elements/0/outfall/level farFromGround',
    ]);
    expect(of({ pipe: { diameter: 0.45, bedding: 0 } })).toEqual(['/elements/0/pipe/diameter pipeLarger']);
    expect(of({ pipe: { diameter: 0.34, bedding: 0.05 } })).toEqual(['/elements/0/pipe/diameter pipeLarger']);
  });
});

describe('a stone footing', () => {
  it('carries on its stone and casts only its beam', () => {
    const takeoff = job((p) => {
      p.dig.buckets = [0.5];
      p.elements = named(
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          { use: 'stone', width: 0.5, thickness: 0.7, beam: { width: 0.3, height: 0.4 } },
        ),
      );
    });
    const [own] = takeoff.elements;
    expect(own!.underside).toBeCloseTo(99, 9);
    expect(own!.top).toBeCloseTo(99 + 0.7 + 0.4, 9);
    expect(takeoff.stone.volume).toBeCloseTo(10 * 0.5 * 0.7, 9);
    expect(takeoff.concrete.neat).toBeCloseTo(10 * 0.3 * 0.4, 9);
    expect(takeoff.lean.volume).toBe(0);
    // 0.70 under a plate that manages 0.20: four of 0.175, spread 0.21.
    const lifts = stoneFootingLifts(0.7);
    expect([lifts.count, lifts.thickness, lifts.loose]).toEqual([
      4,
      expect.closeTo(0.175, 9),
      expect.closeTo(0.21, 9),
    ]);
  });
});

describe('a run under an old wall', () => {
  const run = (p: Plan, more: Partial<Underpin> = {}): Element => ({
    ...newUnderpin(p, [
      [0, 0],
      [9.6, 0],
    ]),
    width: 0.6,
    bay: 1.1,
    level: 98.3,
    old: { underside: 99.4, thickness: 0.6, inside: 99.8, access: 1, gap: 0.075 },
    ...more,
  });
  const under = (more: Partial<Underpin> = {}) =>
    job((p) => {
      p.elements = named(run(p, more));
    });
  it('9.60 long in bays of at most 1.10: 9 of 1.067, passes 1 4 7, 0.704 m³ under the wall each', () => {
    const { bays } = under().elements[0]!;
    expect(bays!.count).toBe(9);
    expect(bays!.length).toBeCloseTo(1.0667, 4);
    expect(bays!.passes[0]).toEqual([1, 4, 7]);
    expect(bays!.each.soil).toBeCloseTo(0.704, 9);
    expect(bays!.each.access).toBeCloseTo(1 * (9.6 / 9) * 1.5, 9);
    expect(bays!.each.concrete).toBeCloseTo(0.6 * (9.6 / 9) * (1.1 - 0.075), 9);
    expect(bays!.each.pack).toBeCloseTo(0.6 * (9.6 / 9) * 0.075, 9);
  });
  it('opens nothing at the surface; its soil is dug, split by stratum, and filled again but for what is cast', () => {
    const takeoff = under();
    expect(takeoff.areas.opening).toBe(0);
    expect(takeoff.elements[0]!.openings).toEqual([]);
    const dug = 9.6 * (0.6 * 1.1 + 1 * 1.5);
    expect(takeoff.figures.dig.value).toBeCloseTo(dug, 9);
    expect(takeoff.spoil.strata.reduce((sum, s) => sum + s.bank, 0)).toBeCloseTo(dug, 9);
    expect(takeoff.concrete.neat).toBeCloseTo(9.6 * 0.6 * 1.025, 9);
    expect(takeoff.spoil.backfill).toBeCloseTo(9.6 * 1.5, 9);
    expect(unbalanced(takeoff)).toEqual([]);
  });
  it('has upright sides where people stand, and says so', () => {
    const takeoff = under({ old: { underside: 99.4, thickness: 0.6, inside: 99.9, access: 1, gap: 0 } });
    expect(takeoff.elements[0]!.depth).toBeCloseTo(1.6, 9);
    expect(takeoff.cautions.map((c) => c.code)).toContain('pitsUnsupported');
    expect(takeoff.cautions.map((c) => c.code)).not.toContain('unsupported');
  });
  it('is not offered to be sloped back, benched or shored: that would change nothing', () => {
    const old = { underside: 99.4, thickness: 0.6, inside: 99.9, access: 1, gap: 0 };
    const alone = plainPlan((p) => {
      p.elements = named(run(p, { old }));
    });
    const takeoff = compute(alone);
    expect(remedyCost(alone, takeoff, 'unsupported')).toBeNull();
    expect(alternatives(alone, takeoff, 0)).toEqual([]);
    // A pad beside it is offered, for itself.
    const both = plainPlan((p) => {
      soilsDown(p, ['a', 'softClay', 0]);
      p.dig.slope = 0;
      p.elements = named(run(p, { old }), pad(30, 0, 2, 2, { level: 97.5 }));
    });
    const mend = remedyFor(both, compute(both), 'unsupported')!;
    expect(mend.ids).toEqual(['E2']);
    expect(remedyCost(both, compute(both), 'unsupported')!.change.of.dig).toBeGreaterThan(0);
  });
  it('is an open trench while nobody knows the wall, and says so', () => {
    const takeoff = under({ old: null });
    expect(takeoff.areas.opening).toBeGreaterThan(5);
    expect(takeoff.cautions.map((c) => c.code)).toContain('underpinOpen');
  });
  it('no deeper than the old wall, or with a bay longer than itself, is named', () => {
    const of = (more: Partial<Underpin>) =>
      problems((p) => {
        p.elements = named(run(p, more));
      });
    expect(of({})).toEqual([]);
    expect(of({ level: 99.5 })).toEqual(['/elements/0/level underOld']);
    expect(of({ old: { underside: 160, thickness: 0.6, inside: 99.8, access: 1, gap: 0 } })).toEqual([
      '/elements/0/old/underside farFromGround',
    ]);
    expect(
      of({
        points: [
          [0, 0],
          [0.9, 0],
        ],
      }),
    ).toEqual(['/elements/0/bay bayLonger']);
    expect(of({ bay: 0 })).toEqual(['/elements/0/bay range']);
  });
  it('is the same wherever it lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -200, max: 200, noNaN: true }),
        (angle, x) => {
          const [c, s] = [Math.cos(angle), Math.sin(angle)];
          const turned = under({
            points: [
              [x, 5],
              [x + 9.6 * c, 5 + 9.6 * s],
            ],
          });
          expect(turned.figures.dig.value).toBeCloseTo(under().figures.dig.value, 6);
        },
      ),
      { numRuns: 10 },
    );
  });
});

describe('dug by hand', () => {
  it('4.0 m³ with a quarter of swell at 0.6 loose m³ an hour are 8.33 hours of one person', () => {
    const takeoff = job((p) => {
      soilsDown(p, ['a', 'silt', 0]);
      p.ground.soils[0]!.values.swell = 0.25;
      p.elements = named(pad(0, 0, 2, 2, { hand: true }), pad(9, 0, 2, 2));
    });
    const [own] = takeoff.work.hand.elements;
    expect(own).toMatchObject({ id: 'E1', staged: false, barrow: null });
    expect(own!.bank).toBeCloseTo(4, 9);
    expect(own!.hours).toBeCloseTo(8.3333, 4);
    // Apart from the other pad, which is 9 m away; its concrete comes with the pads.
    expect(own!.blocks).toEqual([]);
    expect(own!.pours.map((pour) => pour.kind)).toEqual(['pads']);
    // The machine has the other pad only.
    expect(takeoff.work.machines[0]!.strata.reduce((sum, s) => sum + s.volume, 0)).toBeCloseTo(4, 9);
  });
});

describe('dug by hand from a stage', () => {
  /** An upright pit of 2 × 2 m, dug by hand so deep, in silt that swells by a quarter. */
  const hours = (deep: number, slope = 0) => {
    const takeoff = job((p) => {
      soilsDown(p, ['a', 'silt', 0]);
      p.ground.soils[0]!.values.swell = 0.25;
      p.dig.slope = slope;
      p.dig.room = 0;
      p.dig.handRate = 0.6;
      p.elements = named(pad(0, 0, 2, 2, { hand: true, level: 100 - deep }));
    });
    const [own] = takeoff.work.hand.elements;
    expect(own!.staged).toBe(deep > 1.5);
    return own!.hours;
  };
  it('takes longer only for what lies deeper than one throws: no step at 1.5 m', () => {
    // 6 m³ loose 7.5 at 0.6: 12.5 h; a metre more is 4 m³, 5 loose, handed up twice: 5/0.6·1.75 = 14.58 h.
    expect(hours(1.5)).toBeCloseTo(12.5, 6);
    expect(hours(2.5) - hours(1.5)).toBeCloseTo(14.583, 3);
    expect(hours(1.500001) - hours(1.5)).toBeLessThan(0.0001);
  });
  it('never falls as it gets deeper, with any sides, and never jumps', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.1, max: 3, noNaN: true }), fc.constantFrom(0, 0.5, 1), (deep, slope) => {
        const more = hours(deep + 0.01, slope) - hours(deep, slope);
        expect(more).toBeGreaterThan(0);
        expect(more).toBeLessThan(3);
      }),
      { numRuns: 25 },
    );
  });
});

describe('the pace of people who dig', () => {
  const digging = (
    rates: readonly (readonly [volume: number, hours: number])[],
    typed: number | null = null,
    taken: number | null = null,
  ) => {
    const plan = plainPlan((p) => {
      p.dig.slope = 0;
      p.dig.room = 0;
      p.dig.handRate = typed;
      p.dig.learned.byHand = taken === null ? null : { value: taken, days: 3 };
      p.elements = named(pad(0, 0, 2, 2, { hand: true }));
    });
    const records = rates.map(([volume, hours]) => logged('handDug', { volume, hours }, { element: 'E1' }));
    return compute(plan, records).work.hand;
  };
  it('is typical, then what was taken of their own log, then what is typed; days alone change nothing', () => {
    expect(digging([])).toMatchObject({ rate: 0.6, from: 'typical' });
    expect(digging([], 0.8)).toMatchObject({ rate: 0.8, from: 'typed' });
    // 9.0 m³ in 7.5 hours.
    const days = [
      [3, 3],
      [2, 1.5],
      [4, 3],
    ] as const;
    expect(digging(days)).toMatchObject({ rate: 0.6, from: 'typical' });
    const own = digging(days, null, 1.2);
    expect(own).toMatchObject({ rate: 1.2, from: 'measured' });
    expect(own.elements[0]!.hours).toBeCloseTo(own.elements[0]!.loose / 1.2, 9);
    expect(digging(days, 0.8, 1.2)).toMatchObject({ rate: 0.8, from: 'typed' });
  });
  it('keeps the machine off what opens into theirs, and holds up what is cast with it', () => {
    const takeoff = job((p) => {
      p.dig.slope = 0.5;
      p.pour.together = [{ id: 'w', name: 'West wall', elements: ['E1', 'E3'] }];
      p.elements = named(
        pad(0, 0, 1, 1, { hand: true }),
        pad(1.8, 0, 1, 1),
        pad(20, 0, 1, 1),
        pad(-1.8, 0, 1, 1, { hand: true }),
      );
    });
    const [first] = takeoff.work.hand.elements;
    expect(first!.blocks).toEqual(['E2']);
    expect(first!.pours).toEqual([{ id: 'w', name: 'West wall', kind: null, number: null }]);
  });
});

describe('silt on the bottom of a drain', () => {
  it('60 mm on 20 × 0.45 m is 0.54 m³ and 0.9 hours at 0.6 m³ an hour, on top of what is dug by hand', () => {
    const of = (silt: number) =>
      job((p) => {
        p.dig.handTrim = 0;
        p.dig.buckets = [0.45];
        const line = strip(
          [
            [0, 0],
            [20, 0],
          ],
          {
            use: 'drain',
            width: 0.45,
            thickness: 0.3,
            outfall: { level: 99.2, head: 99.3, silt, where: 'ditch' },
          },
        );
        p.elements = named(line);
      });
    const [clean, silted] = [of(0), of(0.06)];
    expect(clean.work.hand.scraped).toEqual([]);
    expect(silted.work.hand.scraped[0]!.volume).toBeCloseTo(0.54, 9);
    expect(silted.work.hand.hours - clean.work.hand.hours).toBeCloseTo(0.9, 9);
    expect(silted.figures.dig.value).toBeCloseTo(clean.figures.dig.value, 12);
  });
});

describe('a stone footing beside a concrete strip', () => {
  it('on its line, as wide: the strip digs its own way and casts what the stone did without', () => {
    const plan = plainPlan((p) => {
      p.dig.slope = 0;
      p.dig.room = 0;
      p.dig.buckets = [0.5];
      p.elements = named(
        strip(
          [
            [0, 0],
            [10, 0],
          ],
          {
            use: 'stone',
            width: 0.5,
            thickness: 0.7,
            beam: { width: 0.3, height: 0.4 },
            method: 'trenchFill',
          },
        ),
        pad(0, 20, 1, 1),
      );
    });
    const takeoff = compute(plan);
    const change = concreteInstead(plan, takeoff, 0)!;
    // Both go to frost at 99.0; the stone was 10 × 0.5 × 0.7 at 1.9–2.1 t/m³, the beam 1.2 m³, the strip 10 × 0.5 × 0.3.
    expect(change.of.stone).toBeCloseTo(-takeoff.stone.mass, 6);
    const strip30 = structuredClone(plan);
    Object.assign(strip30.elements[0]!, { use: 'footing', thickness: 0.3, beam: null, method: 'formed' });
    expect(change.of.concrete).toBeCloseTo(compute(strip30).concrete.ordered - takeoff.concrete.ordered, 9);
    expect(compute(strip30).elements[0]!.concrete).toBeCloseTo(1.5, 9);
    expect(concreteInstead(plan, takeoff, 1)).toBeNull();
  });
});

describe('something in the way', () => {
  const broken = (more: Partial<Plan['ground']['obstructions'][number]> = {}) =>
    job((p) => {
      soilsDown(p, ['a', 'silt', 0]);
      p.elements = named(pad(0, 0, 4, 4));
      p.ground.obstructions = [
        {
          id: 'o',
          name: 'Old slab',
          kind: 'slab',
          volume: 3.1,
          by: 'hammer',
          rate: null,
          density: 2400,
          swell: 0.6,
          element: null,
          ...more,
        },
      ];
    });
  it('of old concrete, 3.1 m³, is 4.96 m³ loose and 7.44 t, its own load, and no backfill', () => {
    const takeoff = broken();
    const [item] = takeoff.broken.items;
    expect(item!.loose).toBeCloseTo(4.96, 9);
    expect(item!.mass).toBeCloseTo(7440, 9);
    expect(takeoff.broken.loads).toBe(1);
    expect(takeoff.figures.dig.value).toBeCloseTo(16, 9);
    expect(takeoff.spoil.strata[0]!.bank).toBeCloseTo(16 - 3.1, 9);
    expect(unbalanced(takeoff)).toEqual([]);
  });
  it('larger than the dig is named with the dig', () => {
    expect(broken({ volume: 20 }).problems).toMatchObject([
      { code: 'obstructionLarger', path: '/ground/obstructions/0/volume', value: 20 },
    ]);
  });
});

describe('several strings', () => {
  const strings = (p: Plan) => {
    p.levels.string = 100.3;
    p.levels.strings = [
      { id: 's1', name: 'Low', level: 99.85 },
      { id: 's2', name: 'Lowest', level: 99.55 },
    ];
    p.levels.floors = [
      floor(100),
      { ...floor(99.55), id: 'g', string: 's1' },
      { ...floor(99.25), id: 'h', string: 's2' },
    ];
    p.elements = named(
      pad(0, 0, 1, 1, { floor: 'f', level: 98 }),
      pad(4, 0, 1, 1, { floor: 'g', level: 98 }),
      pad(8, 0, 1, 1, { floor: 'h', level: 98 }),
      pad(12, 0, 1, 1, { floor: 'h', string: 's1', level: 98 }),
    );
  };
  it('300 mm over floors at 0, −450 and −750: each depth from its own', () => {
    const takeoff = job(strings);
    expect(takeoff.elements.map((e) => e.string.id)).toEqual([null, 's1', 's2', 's1']);
    takeoff.elements.forEach((e) => {
      expect(e.fromString).toBeCloseTo(e.string.level - e.dug, 12);
    });
    expect(takeoff.elements[2]!.fromString).toBeCloseTo(99.55 - takeoff.elements[2]!.dug, 9);
  });
  it('give the boards of a line that passes all three a rail each', () => {
    const plan = plainPlan(strings);
    const { lines } = setoutSheet(plan, compute(plan)).boards;
    const rails = lines.map((line) => line.rails.map((rail) => Math.round(rail.level * 1000) / 1000));
    const long = rails.find((own) => own.length === 3)!;
    expect([long[0]! - long[1]!, long[1]! - long[2]!]).toEqual([
      expect.closeTo(0.45, 9),
      expect.closeTo(0.3, 9),
    ]);
  });
  it('step where the elements along a line change over: a board halfway carries both rails, wherever it lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -300, max: 300, noNaN: true }),
        fc.double({ min: -300, max: 300, noNaN: true }),
        (heading, east, north) => {
          const turn = (heading * Math.PI) / 180;
          const at = (s: number) => [east + s * Math.cos(turn), north + s * Math.sin(turn)] as const;
          const plan = plainPlan((p) => {
            strings(p);
            p.elements = named(
              strip([at(0), at(6)], { floor: 'f', level: 98 }),
              strip([at(7), at(12)], { floor: 'g', level: 98 }),
              strip([at(12), at(20)], { floor: 'g', level: 98 }),
              strip([at(20), at(26)], { floor: 'h', level: 98 }),
            );
          });
          const { lines } = setoutSheet(plan, compute(plan)).boards;
          expect(lines).toHaveLength(1);
          const [{ steps, boards, sag, length }] = lines as [(typeof lines)[number]];
          expect(steps.map((step) => step.along - boards[0].beyond)).toEqual([
            expect.closeTo(6.5, 6),
            expect.closeTo(20, 6),
          ]);
          expect(steps.map(({ rails: [one, two] }) => one.level - two.level)).toEqual([
            expect.closeTo(0.45, 9),
            expect.closeTo(0.3, 9),
          ]);
          // Its longest piece hangs between the two steps.
          const { tension, weight } = plan.setout;
          const longest = Math.max(13.5, 6.5 + boards[0].beyond, length - 20 - boards[0].beyond);
          expect(sag).toBeCloseTo((weight * 9.80665 * longest ** 2) / (8 * tension), 9);
        },
      ),
      { numRuns: 30, seed: 4 },
    );
  });
  it('run the whole way where elements on different strings lie side by side', () => {
    const plan = plainPlan((p) => {
      strings(p);
      p.elements = named(
        strip([
          [0, 0],
          [9, 0],
        ]),
        strip(
          [
            [4, 0],
            [12, 0],
          ],
          { floor: 'g' },
        ),
      );
    });
    const [line] = setoutSheet(plan, compute(plan)).boards.lines;
    expect(line!.steps).toEqual([]);
    expect(line!.rails).toHaveLength(2);
  });
  it('that are not there, or lie in the ground, are named', () => {
    expect(
      problems((p) => {
        strings(p);
        p.elements[0]!.string = 'gone';
      }),
    ).toEqual(['/elements/0/string unknownString']);
    const low = job((p) => {
      strings(p);
      p.levels.strings[0]!.level = 97;
    });
    expect(low.problems.map((problem) => `${problem.path} ${problem.code}`)).toContain(
      '/levels/strings/0/level stringUnderGround',
    );
  });
});

describe('pours', () => {
  it('are strips, pads and slabs each by themselves, unless somebody says what is cast together', () => {
    const parts = (p: Plan) => {
      p.levels.floors = [floor(100)];
      p.elements = named(
        strip([
          [0, 0],
          [10, 0],
        ]),
        pad(0, 10, 1, 1),
        raft(box(3, 3), { founding: 'floor', edge: null }),
      );
      p.elements = p.elements.map((e) =>
        e.kind === 'raft' ? { ...e, outline: e.outline.map(([x, y]) => [x, y + 20] as const) } : e,
      );
    };
    const alone = job(parts);
    expect(alone.pours.map((pour) => [pour.kind, pour.elements])).toEqual([
      ['footings', ['E1']],
      ['pads', ['E2']],
      ['slabs', ['E3']],
    ]);
    const neat = alone.pours.reduce((sum, pour) => sum + pour.neat, 0);
    expect(neat).toBeCloseTo(alone.concrete.neat, 9);
    // Each is ordered by itself; what is told of the job is all of them, in m³ and in loads.
    const all = (of: typeof alone, what: 'ordered' | 'loads') =>
      of.pours.reduce((sum, pour) => sum + pour[what], 0);
    expect(alone.concrete.ordered).toBeCloseTo(all(alone, 'ordered'), 9);
    expect(alone.concrete.loads).toBe(all(alone, 'loads'));
    expect(alone.concrete.loads).toBeGreaterThanOrEqual(3);
    // What makes up a bottom dug low is cast with what stands on it.
    const low = job(
      (p) => {
        parts(p);
        p.pour.makeUp = 'concrete';
      },
      foundLow({ E1: 0.1 }),
    );
    expect(low.pours[0]!.neat - alone.pours[0]!.neat).toBeCloseTo(low.madeUp, 9);
    expect(low.madeUp).toBeGreaterThan(0.5);
    expect(low.pours.reduce((sum, pour) => sum + pour.neat, 0)).toBeCloseTo(low.concrete.neat, 9);
    const together = job((p) => {
      parts(p);
      p.pour.together = [{ id: 'm', name: 'Monday', elements: ['E1', 'E3', 'E1'] }];
    });
    expect(together.pours.map((pour) => [pour.name, pour.elements])).toEqual([
      ['Monday', ['E1', 'E3']],
      [null, ['E2']],
    ]);
    expect(together.pours.reduce((sum, pour) => sum + pour.neat, 0)).toBeCloseTo(neat, 9);
  });
  it('without parts, or of what is not there, are refused', () => {
    const of = (elements: string[]) =>
      problems((p) => {
        p.elements = named(pad(0, 0, 1, 1));
        p.pour.together = [{ id: 'm', name: 'M', elements }];
      });
    expect(of([])).toEqual(['/pour/together/0/elements tooFew']);
    expect(of(['gone'])).toEqual(['/pour/together/0/elements/0 unknownElement']);
  });
});
