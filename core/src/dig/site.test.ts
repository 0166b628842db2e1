import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typicalMachine } from '../catalogue/machines.ts';
import { alternatives, compute, digSequence } from '../compute/index.ts';
import { RATES } from '../rates/index.ts';
import { instruct, named, plainPlan, ramp, strip, tank } from '../testing.ts';
import { chanceOf, loadsFor, normal } from './chance.ts';
import { shoredFaces } from './faces.ts';
import { heapHeight, heapVolume } from './lay-down.ts';
import { outputIn, reachAt, truckMatch } from './machines.ts';
import { cone } from './spoil.ts';

type Points = readonly (readonly [number, number])[];
const square = (x: number, y: number, side: number): [number, number][] => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
];

describe('heaps', () => {
  it('on a square, up to its point, are a pyramid', () => {
    // Side 6 at 45°: the sides meet 3 m up; V = 6²·3/3.
    expect(heapVolume(square(0, 0, 6), 45, 3)).toBeCloseTo(36, 1);
  });
  it('cut off half way: pyramid less its top', () => {
    expect(heapVolume(square(0, 0, 6), 45, 1.5)).toBeCloseTo(36 - 36 / 8, 9);
  });
  it('on a many-sided outline near the cone of the same base', () => {
    const round: Points = Array.from({ length: 64 }, (_, i) => [
      5 * Math.cos((i * Math.PI) / 32),
      5 * Math.sin((i * Math.PI) / 32),
    ]);
    const height = 5 * Math.tan((37 * Math.PI) / 180);
    const volume = heapVolume(round, 37, height);
    expect(Math.abs(cone(volume, 37).height / height - 1)).toBeLessThan(0.01);
  });
  it('the height found holds the volume, and more never stands lower', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), (volume) => {
        const height = heapHeight(square(0, 0, 6), 35, volume, 2.5);
        if (height === null) return expect(heapVolume(square(0, 0, 6), 35, 2.5)).toBeLessThan(volume);
        expect(Math.abs(heapVolume(square(0, 0, 6), 35, height) / volume - 1)).toBeLessThan(0.002);
        expect(heapHeight(square(0, 0, 6), 35, volume + 0.05, 2.5) ?? 9).toBeGreaterThan(height);
      }),
      { numRuns: 20 },
    );
  });
});

const dig = () =>
  plainPlan((p) => {
    instruct(p, 98);
    p.dig.room = 0;
    p.dig.slope = 0;
    p.dig.buckets = [1];
    p.elements = named(
      strip(
        [
          [0, 0],
          [20, 0],
        ],
        { width: 1, room: 0 },
      ),
      strip(
        [
          [0, 10],
          [20, 10],
        ],
        { width: 1, room: 0 },
      ),
    );
  });

describe('lay-down areas', () => {
  it('take what they can hold; the rest has no home', () => {
    const plan = dig();
    const before = compute(plan);
    expect(before.work.layDown).toMatchObject({ areas: [], homeless: 0 });
    plan.site.areas = [{ id: 'a', name: 'East', use: 'spoil', points: square(24, 2, 4) }];
    const { work, spoil } = compute(plan);
    const area = work.layDown.areas[0]!;
    expect(area.area).toBeCloseTo(16, 9);
    expect(area.holds).toBeCloseTo(Math.min(area.capacity, spoil.keptLoose), 9);
    expect(area.holds + work.layDown.homeless - spoil.keptTopsoil * 1.25).toBeCloseTo(spoil.keptLoose, 6);
    expect(area.overlaps).toEqual([]);
    expect(area.edge).toBeCloseTo(Math.hypot(4, 1.5), 6);
    expect(area.rehandled).toBe(0);
  });
  it('over a trench still to dig: what lies there is moved twice, and it is said', () => {
    const plan = dig();
    // Half over the second trench's 1 m: 4 × 1 of 4 × 4.
    plan.site.areas = [{ id: 'a', name: 'Middle', use: 'spoil', points: square(8, 7, 4) }];
    const takeoff = compute(plan);
    const area = takeoff.work.layDown.areas[0]!;
    expect(area.overlaps).toMatchObject([{ what: 'dig', element: 'E2' }]);
    expect(area.overlaps[0]!.area).toBeCloseTo(4, 9);
    expect(area.rehandled).toBeCloseTo(area.holds / 4, 9);
    expect(takeoff.cautions.find((c) => c.code === 'rehandle')).toMatchObject({ elements: ['E2'] });
  });
  it('over a path, outside the plot, too near the edge', () => {
    const plan = dig();
    plan.site.areas = [{ id: 'a', name: 'Near', use: 'spoil', points: square(8, 0.8, 5) }];
    plan.site.paths = [
      {
        id: 'p',
        name: 'Track',
        width: 3,
        points: [
          [0, 5],
          [20, 5],
        ],
      },
    ];
    plan.site.boundary = [
      [-5, -5],
      [12, -5],
      [12, 15],
      [-5, 15],
    ];
    const takeoff = compute(plan);
    const area = takeoff.work.layDown.areas[0]!;
    expect(area.overlaps.map((o) => o.what)).toEqual(['path', 'boundary']);
    expect(area.overlaps[1]!.area).toBeCloseTo(5, 9);
    expect(area.tooNear).toBe(true);
    const codes = takeoff.cautions.map((c) => c.code);
    expect(codes).toEqual(expect.arrayContaining(['spoilNear', 'areaOutside', 'outsidePlot']));
  });
});

describe('how sure the loads are', () => {
  it('the normal distribution at tabled points', () => {
    expect(normal(0)).toBeCloseTo(0.5, 7);
    expect(normal(1.644854)).toBeCloseTo(0.95, 6);
    expect(normal(-1.281552)).toBeCloseTo(0.1, 6);
  });
  const truck = { id: 't', name: 't', body: 10, payload: 1e9, sideHeight: 2.4 };
  it('exactly full on the mean is an even chance', () => {
    expect(chanceOf(10, truck, 100, 0, 0.1)).toBeCloseTo(0.5, 7);
    // One more load is one standard deviation more.
    expect(chanceOf(11, truck, 100, 0, 0.1)).toBeCloseTo(normal(1), 9);
    expect(loadsFor(0.9, truck, 100, 0, 0.1)).toBe(12);
  });
  it('mass is sure: too few by mass never do', () => {
    expect(chanceOf(10, { ...truck, payload: 1000, sideHeight: 2.4 }, 1, 10_500, 0.1)).toBe(0);
    expect(loadsFor(0.5, { ...truck, payload: 1000, sideHeight: 2.4 }, 1, 10_500, 0.1)).toBe(11);
  });
  it('more loads are never less sure', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        (n, loose) => {
          expect(chanceOf(n + 1, truck, loose, 0, 0.15)).toBeGreaterThanOrEqual(
            chanceOf(n, truck, loose, 0, 0.15),
          );
        },
      ),
    );
  });
});

describe('machines', () => {
  const machine = typicalMachine('m', 8);
  it('reach straight between the points given, and none beyond', () => {
    expect(reachAt(machine, 0.75)).toBeCloseTo((6.6 + 6.4) / 2, 9);
    expect(reachAt(machine, 4.1)).toBeCloseTo(3, 9);
    expect(reachAt(machine, 4.2)).toBeNull();
  });
  it('output by hand: 0.28 m³, 105 %, 17 s, 50 min/h, swell 25 %', () => {
    const { rate } = outputIn(machine, 'topsoil', 0.25);
    expect(rate).toBeCloseTo(((3600 / 17) * 0.28 * 1.05 * 50) / 60 / 1.25, 9);
    expect(RATES.hoeWorks.likely).toBeCloseTo(0.8333, 4);
  });
  it('slower frozen, on a crest, in rock; what was taken of the log goes before the typical figure', () => {
    const plain = outputIn(machine, 'softClay', 0.43).rate;
    expect(outputIn(machine, 'softClay', 0.43, null, true).rate).toBeLessThan(plain);
    expect(outputIn(machine, 'softClay', 0.43, null, false, ['crest']).rate).toBeCloseTo(plain / 2, 9);
    // What was taken of the log has the crest in it already; frozen, 0.67 of a bucket comes out where 1.05 did.
    expect(outputIn(machine, 'softClay', 0.43, 14, false, ['crest'])).toMatchObject({
      rate: 14,
      from: 'measured',
    });
    expect(outputIn(machine, 'softClay', 0.43, 14, true).rate).toBeCloseTo((14 * 0.67) / 1.05, 9);
  });
  it('trucks in balance: round trip over loading', () => {
    // 10 m³ in buckets of 0.28 × 1: 36 of 17 s are 10.2 min.
    const match = truckMatch(machine, 1, 10, 30.6, 4, 2.5);
    expect(match.buckets).toBe(36);
    expect(match.loading).toBeCloseTo(10.2, 9);
    expect(match.balance).toBeCloseTo(4, 9);
    expect(match.waits).toBe('nobody');
    expect(truckMatch(machine, 1, 10, 30.6, 3, 2.5)).toMatchObject({ waits: 'machine', lost: 0.25 });
    expect(truckMatch(machine, 1, 10, 30.6, 5, 6)).toMatchObject({ waits: 'trucks', clears: false });
  });
  it('a cut deeper than it reaches, a gate narrower than it: said', () => {
    const plan = dig();
    instruct(plan, 95);
    plan.site.gates = [{ id: 'g', name: 'Yard gate', at: [0, -5], width: 2.4 }];
    const { cautions, work } = compute(plan);
    expect(cautions.find((c) => c.code === 'reach')?.values?.short?.[0]).toBeCloseTo(0.9, 9);
    expect(cautions.find((c) => c.code === 'gate')?.names).toMatchObject({ gate: 'Yard gate' });
    expect(work.machines[0]!.hours).toBeGreaterThan(0);
  });
});

describe('shored faces', () => {
  it('of a pit: its walls', () => {
    const plan = plainPlan((p) => {
      instruct(p, 98);
      p.dig.support = 'shore';
      p.dig.shore = 0;
      p.elements = named(tank(square(0, 0, 4), { room: 0 }));
    });
    const { solid } = compute(plan);
    const faces = shoredFaces(solid, { level: () => 100 }, () => true);
    expect(faces.area).toBeCloseTo(32, 6);
    expect(faces.length).toBeCloseTo(16, 6);
  });
  it('where a ramp comes in there is less to hold', () => {
    const plan = plainPlan((p) => {
      instruct(p, 98);
      p.dig.support = 'shore';
      p.dig.shore = 0;
      p.elements = named(
        tank(square(0, 0, 4), { room: 0 }),
        ramp('E1', [4, 2], 0, { width: 2, grade: 0.25 }),
      );
    });
    const { solid } = compute(plan);
    const faces = shoredFaces(solid, { level: () => 100 }, (part) => part.owner === 0);
    expect(faces.area).toBeCloseTo(32 - 2 * 2, 1);
  });
});

describe('three ways to keep a side up', () => {
  it('shoring digs least and is priced by its face; sloping reaches the plot’s edge', () => {
    const plan = dig();
    plan.prices.dig = 10;
    plan.prices.shoring = 20;
    plan.site.boundary = [
      [-1, -2],
      [21, -2],
      [21, 12],
      [-1, 12],
    ];
    const ways = alternatives(plan, compute(plan), 0);
    const by = Object.fromEntries(ways.map((way) => [way.support, way]));
    expect(by.shore!.dig).toBeLessThan(by.slope!.dig);
    expect(by.slope!.outside).toBeGreaterThan(0);
    expect(by.shore!.outside).toBe(0);
    // A trench 20.2 × 1.2 with its sheets, 2 m deep: 42.8 m of face.
    expect(by.shore!.face).toBeCloseTo(2 * (20.2 + 1.2) * 2, 4);
    expect(by.shore!.cost).toBeCloseTo(by.shore!.change.of.dig * 10 + 20 * by.shore!.face, 6);
    expect(by.slope!.slope).toBe(compute(plan).elements[0]!.rule.steepest);
    for (const way of ways) expect(way.people).toBeGreaterThan(0);
  });
  it('without a price for shoring its cost is open', () => {
    const plan = dig();
    expect(alternatives(plan, compute(plan), 0).find((way) => way.support === 'shore')!.cost).toBeNull();
  });
  it('own rules decide how steep is allowed and from where', () => {
    const plan = dig();
    plan.ruleSet = 'own';
    plan.ownRules = { ...plan.ownRules, a: 0.4, b: 0.4, c: 0.4, protectFrom: 2.5 };
    const takeoff = compute(plan);
    expect(takeoff.elements[0]!.rule).toMatchObject({ steepest: 0.4, protectFrom: 2.5 });
    expect(takeoff.cautions.some((c) => c.code === 'unsupported')).toBe(false);
    plan.ownRules.protectFrom = 1.5;
    expect(compute(plan).cautions.some((c) => c.code === 'unsupported')).toBe(true);
    // Held up, nobody stands under an open face.
    plan.dig.support = 'shore';
    expect(compute(plan).cautions.some((c) => c.code === 'unsupported')).toBe(false);
  });
});

describe('the order of a plan', () => {
  it('covers every element that is dug; a typed order is kept and judged', () => {
    const plan = dig();
    const found = digSequence(plan, compute(plan));
    if (!found.ok) throw new Error();
    expect(found.steps.map((step) => step.id).sort()).toEqual(['E1', 'E2']);
    plan.dig.order = ['E2', 'gone'];
    const typed = digSequence(plan, compute(plan));
    expect(typed).toMatchObject({ ok: true, typed: true });
    if (typed.ok) expect(typed.steps.map((step) => step.id)).toEqual(['E2', 'E1']);
  });
});
