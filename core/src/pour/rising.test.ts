/** Walls and columns, by hand: how high they are, what is cast of them, what laying them takes, what of them is in the ground. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { mixedJob } from '../compute/testing.ts';
import { area, edges, flat, intersect, offset, type Polygon, tidy } from '../geometry/index.ts';
import { holdsOf, isOpen } from '../holds/index.ts';
import { newRising } from '../plan/blank.ts';
import type { Element, Rising } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { boxElementOf, edgeOf, outlineOf } from '../plan/variants.ts';
import { floatsOf } from '../takeoff/index.ts';
import {
  demo,
  drawnCases,
  logged,
  named,
  pad,
  plainPlan,
  raft,
  seeded,
  stone,
  strip,
  tank,
  tilt,
  unbalanced,
  unworked,
} from '../testing.ts';
import { validatePlan } from '../validation/validate.ts';
import { CELL_CEMENT, castKeyOf, laidOf, makesOf, risesOf } from './index.ts';

const wall = (more: Partial<Rising> = {}): Rising => ({ ...newRising(plainPlan(), 0.3), ...more });
const line = (length: number, more: Parameters<typeof strip>[1] = {}) =>
  strip(
    [
      [0, 0],
      [length, 0],
    ],
    { width: 0.9, thickness: 0.3, ...more },
  );
/** One wall on its footing, 14 m, 1.5 m under ground at 100 and its footing 0.3 thick: it rises from 98.8. */
const job = (rising: Rising | null, change: (p: Plan) => void = () => {}): Plan =>
  plainPlan((p) => {
    p.assumed = [];
    p.elements = named(line(14, { level: 98.5, rising }));
    change(p);
  });
const codes = (plan: Plan) => compute(plan).problems.map(({ code, path }) => `${code} ${path}`);
const refused = (plan: Plan): string[] => {
  const read = validatePlan(plan);
  return read.ok ? [] : read.problems.map(({ code, path }) => `${code} ${path}`);
};

describe('a wall on its footing', () => {
  it('14 × 2.1 × 0.3 is 8.82 m³ in twelve rises of 175 mm, none over 180', () => {
    const { elements, pours, concrete } = compute(job(wall({ top: 'height', height: 2.1, rise: 0.18 })));
    const rises = elements[0]!.casts.filter(({ stage }) => stage === 'rise');
    expect(rises).toHaveLength(12);
    for (const one of rises) {
      expect(one.volume).toBeCloseTo(8.82 / 12, 9);
      expect(one.top - one.bottom).toBeCloseTo(0.175, 9);
    }
    expect(elements[0]!.rising).toMatchObject({ bottom: 98.8 });
    expect(elements[0]!.rising!.volume).toBeCloseTo(8.82, 9);
    expect(elements[0]!.rising!.top).toBeCloseTo(100.9, 9);
    // 14 × 0.3 × 1.2 of it stand in the ground.
    expect(elements[0]!.rising!.below).toBeCloseTo(5.04, 9);
    // The footing 14 × 0.9 × 0.3 by itself, then a pour a rise.
    expect(pours.map(({ kind, number }) => [kind, number])).toEqual([
      ['footings', null],
      ...rises.map((_, i) => ['walls', i + 1]),
    ]);
    expect(concrete.neat).toBeCloseTo(3.78 + 8.82, 9);
  });
  it('ends at a level, over its floor, over the flood; nobody knows how high one is that only goes to the ground', () => {
    const topOf = (rising: Rising, change: (p: Plan) => void = () => {}) =>
      compute(job(rising, change)).elements[0]!.rising!.top;
    const stream = (p: Plan) => {
      p.ground.hazards = [
        { id: 's', name: 'Stream', kind: 'stream', points: [[0, 20]], level: 100.25 } as never,
      ];
    };
    const floor = (p: Plan) => {
      p.levels.floors = [
        {
          id: 'f',
          name: 'F',
          level: 100.4,
          above: null,
          string: null,
          count: 'up',
          landing: 'cut',
          layers: [],
        },
      ];
    };
    expect(topOf(wall({ top: 'level', level: 100.7 }))).toBe(100.7);
    expect(topOf(wall({ top: 'floor', over: -0.1 }), floor)).toBeCloseTo(100.3, 9);
    // 100.25 and the 0.30 practice keeps.
    expect(topOf(wall({ top: 'flood' }), stream)).toBeCloseTo(100.55, 9);
    expect(topOf(wall({ top: 'flood', over: 0.5 }), stream)).toBeCloseTo(100.75, 9);
    const open = compute(job(wall()));
    expect(open.elements[0]!.rising).toMatchObject({ top: null, volume: null });
    expect(open.elements[0]!.casts.map(({ stage }) => stage)).toEqual(['first']);
    // What it takes of the backfill is known all the same.
    expect(open.walls).toBeCloseTo(14 * 0.3 * 1.2, 9);
  });
  it('is cut against the ground it stands in, wherever the ground lies', () => {
    const slope = job(wall({ top: 'level', level: 100.3 }), (p) => tilt(p, 0.1));
    const { elements } = compute(slope);
    // Ground from 100 at x 0 to 101.4 at 14, the footing level: in steps of a millimetre along it.
    let below = 0;
    for (let x = 0.0005; x < 14; x += 0.001)
      below += 0.3 * 0.001 * Math.max(0, Math.min(100.3, 100 + 0.1 * x) - 98.8);
    expect(elements[0]!.rising!.below).toBeCloseTo(below, 3);
  });
  it('says so where it would end under its footing, under the flood, or in rises thinner than the stone', () => {
    expect(codes(job(wall({ top: 'level', level: 98 })))).toContain('risingLow /elements/0/rising/level');
    expect(codes(job(wall({ top: 'flood' })))).toContain('risingNoFlood /elements/0/rising/top');
    expect(codes(job(wall({ top: 'floor' })))).toContain('risingNoFloor /elements/0/rising/top');
    expect(refused(job(wall({ top: 'height' })))).toContain('risingOpen /elements/0/rising/height');
    expect(refused(job(wall({ top: 'height', height: 1, rise: 0.015 })))).toEqual([
      'riseThin /elements/0/rising/rise',
    ]);
    expect(refused(job(wall({ top: 'height', height: 1, thickness: 1 })))).toEqual([
      'stemWider /elements/0/rising/thickness',
    ]);
    const low = job(wall({ top: 'level', level: 100 }), (p) => {
      p.ground.hazards = [
        { id: 's', name: 'Stream', kind: 'stream', points: [[0, 20]], level: 100.25 } as never,
      ];
    });
    expect(compute(low).cautions.find(({ code }) => code === 'underFlood')).toMatchObject({
      elements: ['E1'],
    });
  });
  it('carries a beam, cast by itself within its height', () => {
    const { elements, pours } = compute(job(wall({ top: 'height', height: 2.1, beam: 0.3 })));
    expect(elements[0]!.casts.map(({ stage, volume }) => [stage, Math.round(volume * 1e6) / 1e6])).toEqual([
      ['first', 3.78],
      ['rise', 14 * 1.8 * 0.3],
      ['beam', 14 * 0.3 * 0.3],
    ]);
    expect(pours.map(({ kind }) => kind)).toEqual(['footings', 'walls', 'beams']);
  });
  it('on a pad runs along its longer side, or is a column', () => {
    const on = (long: number | null) =>
      compute(
        plainPlan((p) => {
          p.elements = named(
            pad(0, 0, 1, 2.4, {
              thickness: 0.3,
              level: 98.5,
              rising: wall({ top: 'height', height: 1, long }),
            }),
          );
        }),
      );
    expect(on(null).elements[0]!.rising!.volume).toBeCloseTo(0.09, 9);
    expect(on(2).elements[0]!.rising!.volume).toBeCloseTo(0.6, 9);
    expect(on(null).pours.map(({ kind }) => kind)).toEqual(['pads', 'columns']);
    expect(on(2).pours.map(({ kind }) => kind)).toEqual(['pads', 'walls']);
  });
});

describe('a wall that is laid', () => {
  it('of 200 units 390 × 190 in joints of 10 is 16 m² of face', () => {
    const rising = wall({ made: 'laid', thickness: 0.2 });
    Object.assign(rising.units, { length: 0.39, height: 0.19, joint: 0.01, cells: 0.5, fill: 'concrete' });
    const laid = laidOf(rising, 16 * 0.2, 2);
    expect(laid.face).toBeCloseTo(16, 9);
    expect(laid.units).toBeCloseTo(200, 9);
    expect(laid.bought).toBe(210);
    expect(laid.courses).toBeCloseTo(10, 9);
    // Beside the units, joint by joint: 16 × 0.2 less 200 × 0.39 × 0.19 × 0.2, and 15 % dropped.
    expect(laid.mortar).toBeCloseTo((3.2 - 200 * 0.39 * 0.19 * 0.2) * 1.15, 9);
    // Half of every unit is cells.
    expect(laid.cells).toBeCloseTo(200 * 0.39 * 0.19 * 0.2 * 0.5, 9);
    const stoned = laidOf({ ...rising, units: { ...rising.units, fill: 'stoneCement' } }, 3.2, 2);
    expect(CELL_CEMENT).toBeGreaterThanOrEqual(0.1);
    expect(CELL_CEMENT).toBeLessThanOrEqual(0.15);
    expect(stoned.cement).toBeCloseTo(1.482 * CELL_CEMENT * 1440, 6);
  });
  it('casts nothing but the fill of its cells, and takes of the backfill what one cast would', () => {
    const units = { ...wall().units, fill: 'concrete' as const };
    const laid = compute(job(wall({ top: 'height', height: 1.2, made: 'laid', units })));
    const cast = compute(job(wall({ top: 'height', height: 1.2 })));
    expect(laid.pours.map(({ kind }) => kind)).toEqual(['footings', 'cells']);
    expect(laid.pours[1]!.neat).toBeCloseTo(laidOf(wall({ units }), 14 * 1.2 * 0.3, 1.2).cells, 9);
    expect(laid.walls).toBeCloseTo(cast.walls, 12);
    expect(laid.figures.keep.value).toBeCloseTo(cast.figures.keep.value, 9);
    const bare = compute(job(wall({ top: 'height', height: 1.2, made: 'laid' })));
    expect(bare.pours.map(({ kind }) => kind)).toEqual(['footings']);
  });
  it('stands beside the same wall cast or of stone', () => {
    const made = makesOf(wall(), 10, 2);
    expect(made.concrete).toBe(10);
    expect(made.stone + made.stoneMortar / 1.15).toBeCloseTo(10, 9);
  });
});

describe('a box', () => {
  it('7.2 × 3.8 × 2.9 is cast as base, walls and roof: 6.84, 10.39, 5.47, ordered 7.5, 11.0, 6.0', () => {
    const plan = plainPlan((p) => {
      p.assumed = [];
      p.elements = named(
        tank(
          [
            [0, 0],
            [7.2, 0],
            [7.2, 3.8],
            [0, 3.8],
          ],
          { thickness: 0.25, height: 2.9, wall: 0.2, roof: 0.2, level: 97.5 },
        ),
      );
    });
    const { pours } = compute(plan);
    expect(pours.map(({ kind, ordered }) => [kind, ordered])).toEqual([
      ['boxes', 7.5],
      ['boxWalls', 11],
      ['roofs', 6],
    ]);
    expect(pours[0]!.neat).toBeCloseTo(6.84, 9);
    expect(pours[1]!.neat).toBeCloseTo(10.388, 9);
    expect(pours[2]!.neat).toBeCloseTo(5.472, 9);
    // Joined by the lead they share an order: (6.84 + 10.388) · 1.05 = 18.09 → 18.5.
    plan.pour.together = [{ id: 'm', name: 'Monday', elements: ['E1', castKeyOf('E1', 'walls', 1)] }];
    expect(compute(plan).pours.map(({ name, ordered }) => [name, ordered])).toEqual(
      [
        [null, 6],
        ['Monday', 18.5],
      ].reverse(),
    );
    // Mixed on site nothing is rounded and no truck comes.
    plan.pour.orders = [{ id: 'm', mix: '', when: '', where: '', to: '', mixed: true }];
    const mixed = compute(plan);
    expect(mixed.pours[0]).toMatchObject({ mixed: true, loads: 0 });
    expect(mixed.pours[0]!.ordered).toBeCloseTo(17.228 * 1.05, 9);
    expect(unworked(mixed)).toEqual([]);
  });
});

describe('passes under an old wall', () => {
  it('of the porch are three pours of 1.968 each, 2.5 ordered each', () => {
    const { pours } = compute(demo('chapel-porch'));
    const passes = pours.filter(({ kind }) => kind === 'underpinning');
    expect(passes.map(({ number, ordered }) => [number, ordered])).toEqual([
      [1, 2.5],
      [2, 2.5],
      [3, 2.5],
    ]);
    for (const { neat } of passes) expect(neat).toBeCloseTo(1.968, 3);
  });
});

it('rises fill the wall, equal, none over the most', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 10, noNaN: true }),
      fc.double({ min: 0.02, max: 4, noNaN: true }),
      (high, most) => {
        const rises = risesOf(100, 100 + high, most);
        expect(rises[0]!.bottom).toBe(100);
        expect(rises.at(-1)!.top).toBe(100 + high);
        rises.forEach(({ bottom, top }, i) => {
          expect(top - bottom).toBeLessThanOrEqual(most + 1e-6);
          if (i > 0) expect(bottom).toBeCloseTo(rises[i - 1]!.top, 9);
        });
      },
    ),
  );
  expect(risesOf(100, 99, 0.5)).toEqual([]);
});

/** What is cast, as upright prisms, in the order it is cast. */
interface Standing {
  readonly plan: Polygon;
  readonly bottom: number;
  readonly top: number;
  /** What of its plan it leaves free. */
  readonly hole?: Polygon;
}

/**
 * m³ of prisms together by another route: slabs between all levels, and in each the area of what stands there by
 * sweeping from west to east. Between two places where a corner lies or two sides cross, the length covered is
 * linear: its middle says it.
 */
function together(all: readonly Standing[], hollow: readonly Standing[] = []): number {
  const levels = [...new Set([...all, ...hollow].flatMap(({ bottom, top }) => [bottom, top]))].sort(
    (p, q) => p - q,
  );
  return levels.slice(1).reduce((sum, top, i) => {
    const mid = (levels[i]! + top) / 2;
    const here = (of: readonly Standing[]) => of.filter((one) => one.bottom < mid && one.top > mid);
    return sum + (top - levels[i]!) * swept(here(all), here(hollow));
  }, 0);
}
type Side = readonly [number, number, number, number];
const sidesOf = (plan: Polygon): Side[] =>
  Array.from({ length: plan.length / 2 }, (_, i) => {
    const j = (i + 1) % (plan.length / 2);
    return [plan[2 * i]!, plan[2 * i + 1]!, plan[2 * j]!, plan[2 * j + 1]!];
  });
/** From where to where a convex plan is cut by the line of one easting; null where it is not. */
function cutAt(plan: Polygon, x: number): readonly [number, number] | null {
  const ys = sidesOf(plan).flatMap(([ax, ay, bx, by]) =>
    ax < x !== bx < x ? [ay + ((x - ax) / (bx - ax)) * (by - ay)] : [],
  );
  return ys.length >= 2 ? [Math.min(...ys), Math.max(...ys)] : null;
}
function swept(here: readonly Standing[], hollow: readonly Standing[]): number {
  const plans = [...here, ...hollow].flatMap(({ plan, hole }) => (hole ? [plan, hole] : [plan]));
  const sides = plans.flatMap(sidesOf);
  const xs = sides.map(([x]) => x);
  sides.forEach(([ax, ay, bx, by], i) => {
    for (const [cx, cy, dx, dy] of sides.slice(i + 1)) {
      const det = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx);
      if (Math.abs(det) < 1e-12) continue;
      const t = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / det;
      const u = ((cx - ax) * (by - ay) - (cy - ay) * (bx - ax)) / det;
      if (t > 0 && t < 1 && u > 0 && u < 1) xs.push(ax + t * (bx - ax));
    }
  });
  const cuts = [...new Set(xs)].sort((p, q) => p - q);
  return cuts.slice(1).reduce((sum, x1, i) => {
    const x = (cuts[i]! + x1) / 2;
    // Places where something begins or ends: between two of them all is full or all is free.
    const full = here.flatMap(({ plan, hole }) => {
      const span = cutAt(plan, x);
      const gap = hole ? cutAt(hole, x) : null;
      if (!span) return [];
      return gap ? [[span[0], gap[0]] as const, [gap[1], span[1]] as const] : [span];
    });
    const free = hollow.flatMap(({ plan }) => cutAt(plan, x) ?? []);
    const gaps = Array.from({ length: free.length / 2 }, (_, k) => [free[2 * k]!, free[2 * k + 1]!] as const);
    const ys = [...new Set([...full.flat(), ...free])].sort((p, q) => p - q);
    const within = (spans: readonly (readonly [number, number])[], y: number) =>
      spans.some(([y0, y1]) => y0 < y && y1 > y);
    const covered = ys.slice(1).reduce((length, y1, k) => {
      const y = (ys[k]! + y1) / 2;
      return within(full, y) && !within(gaps, y) ? length + y1 - ys[k]! : length;
    }, 0);
    return sum + (x1 - cuts[i]!) * covered;
  }, 0);
}

describe('shares of what is cast', () => {
  /** Strips, pads and boxes that run over one another at levels that differ, walls on some. */
  function drawn(seed: number): Plan {
    const next = seeded(seed);
    const some = <T>(...values: readonly T[]): T => values[Math.floor(next() * values.length)]!;
    return plainPlan((p) => {
      p.assumed = [];
      const at = () => 6 * next();
      const kinds: (() => Element)[] = [
        () => {
          const [x, y, turn] = [at(), at(), 6.28 * next()];
          return strip(
            [
              [x, y],
              [x + 5 * Math.cos(turn), y + 5 * Math.sin(turn)],
            ],
            { width: 0.5 + 0.4 * next(), thickness: 0.25 + 0.1 * next() },
          );
        },
        () => pad(at(), at(), 1 + next(), 1 + next(), { angle: 180 * next() }),
      ];
      p.elements = named(...Array.from({ length: 3 + Math.floor(next() * 4) }, () => some(...kinds)()));
      for (const element of p.elements) {
        element.level = 98.4 + some(0, 0.1, 0.2);
        element.group = '';
      }
      p.pour.order = p.elements.map(({ id }) => id).sort(() => next() - 0.5);
    });
  }
  it('are those of the order of casting, by another route, and add up to what is ordered', () => {
    for (let seed = 1; seed <= drawnCases(300); seed++) {
      const plan = drawn(seed);
      const takeoff = compute(plan);
      const { elements, pours, concrete } = takeoff;
      let before = 0;
      const cast: Standing[] = [];
      for (const id of plan.pour.order) {
        const own = elements.find((one) => one.id === id)!;
        for (const { plan: piece, underside, top } of own.footings)
          cast.push({ plan: piece, bottom: underside, top });
        const now = together(cast);
        expect(own.concrete, `seed ${seed}, ${id}`).toBeCloseTo(now - before, 6);
        before = now;
      }
      const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
      expect(concrete.neat).toBeCloseTo(before, 6);
      expect(sum(pours.flatMap((pour) => pour.casts.map(({ volume }) => volume)))).toBeCloseTo(before, 9);
      expect(sum(pours.map(({ ordered }) => ordered))).toBeCloseTo(concrete.ordered, 9);
      if (seed % 20 !== 0) continue;
      expect(unbalanced(takeoff, plan)).toEqual([]);
      expect(unworked(takeoff)).toEqual([]);
    }
  }, 300_000);
  it('of every kind are those of the order of casting by that route too, hollows of boxes left free', () => {
    for (let seed = 1; seed <= drawnCases(300); seed++) {
      const plan = mixedJob(seed);
      const next = seeded(seed);
      plan.pour.order = plan.elements.map(({ id }) => id).sort(() => next() - 0.5);
      const { elements } = compute(plan);
      const shape = ({ element, footings, underside, live }: (typeof elements)[number]) => {
        const own: Standing[] = footings.map(({ plan: piece, underside: bottom, top }) => ({
          plan: piece,
          bottom,
          top,
        }));
        const hollow: Standing[] = [];
        const outline = outlineOf(element);
        if (!live || !outline) return { own, hollow };
        const within = (by: number) => flat(offset(tidy(outline), -by)!);
        const whole = flat(tidy(outline));
        const edge = edgeOf(element);
        if (edge)
          own.push({ plan: whole, hole: within(edge.width), bottom: underside, top: underside + edge.depth });
        const box = boxElementOf(element);
        if (box) {
          const [from, to, top] = [box.thickness, box.height - box.roof, box.height].map(
            (z) => underside + z,
          );
          own.push({ plan: whole, hole: within(box.wall), bottom: from!, top: to! });
          own.push({ plan: whole, bottom: to!, top: top! });
          hollow.push({ plan: within(box.wall), bottom: from!, top: to! });
        }
        return { own, hollow };
      };
      const free = elements.flatMap((one) => shape(one).hollow);
      const cast: Standing[] = [];
      let before = 0;
      for (const id of plan.pour.order) {
        const info = elements.find((one) => one.id === id)!;
        // What is cast in bays under an old wall shares its room with nothing.
        if (info.bays) continue;
        cast.push(...shape(info).own);
        const now = together(cast, free);
        expect(info.concrete, `seed ${seed}, ${id} (${info.element.kind})`).toBeCloseTo(now - before, 6);
        before = now;
      }
    }
  }, 600_000);
  it('of every kind add up to the same whatever the order of casting, and stay the elements’ own', () => {
    for (let seed = 1; seed <= drawnCases(300); seed++) {
      const plan = mixedJob(seed);
      const ids = plan.elements.map(({ id }) => id);
      const cast = (order: readonly string[]) =>
        compute({ ...plan, pour: { ...plan.pour, order: [...order] } });
      const [drawn, turned] = [cast(ids), cast(ids.toReversed())];
      // A wall that is laid where another is cast takes its room from what is cast: what both stand in is one.
      const footings = ({ elements }: typeof drawn) =>
        elements.reduce((sum, { concrete }) => sum + concrete, 0);
      expect(footings(turned), `seed ${seed}`).toBeCloseTo(footings(drawn), 6);
      expect(turned.walls, `seed ${seed}`).toBeCloseTo(drawn.walls, 6);
      for (const job of [drawn, turned]) {
        expect(
          job.pours.reduce((sum, { neat }) => sum + neat, 0),
          `seed ${seed}`,
        ).toBeCloseTo(job.concrete.neat, 9);
        expect(new Set(job.pours.flatMap(({ casts }) => casts.map(({ key }) => key))).size).toBe(
          job.pours.flatMap(({ casts }) => casts).length,
        );
      }
    }
  }, 300_000);
  it('the other route itself: two squares that share a quarter', () => {
    const square = (x: number, y: number): Polygon => [x, y, x + 2, y, x + 2, y + 2, x, y + 2];
    expect(area(intersect(square(0, 0), edges(square(1, 1))))).toBeCloseTo(1, 9);
    expect(
      together([
        { plan: square(0, 0), bottom: 0, top: 1 },
        { plan: square(1, 1), bottom: 0.5, top: 2 },
      ]),
    ).toBeCloseTo(4 + 6 - 0.5, 9);
  });
});

describe('what lies in the ground', () => {
  it('an apron and a kerb are as deep as they are thick, whatever frost asks, on no bed but their own', () => {
    const plan = plainPlan((p) => {
      p.assumed = [];
      p.ground.frost.local = 1.2;
      p.beds = [{ id: 'b', name: 'B', layers: [stone(0.2)], onOldBase: false, cloth: null }];
      const square = raft(
        [
          [0, 0],
          [4, 0],
          [4, 1],
          [0, 1],
        ],
        { founding: 'ground', thickness: 0.12, edge: null, bed: null },
      );
      const kerb = strip(
        [
          [0, 5],
          [10, 5],
        ],
        { use: 'kerb', width: 0.15, thickness: 0.3, bed: null },
      );
      p.elements = named(square, kerb, line(14, { use: 'footing' }));
    });
    const { elements, pours } = compute(plan);
    expect(elements.map(({ underside }) => underside)).toEqual([
      expect.closeTo(99.88, 9),
      expect.closeTo(99.7, 9),
      expect.closeTo(98.7, 9),
    ]);
    expect(elements.map(({ decision }) => decision!.governs)).toEqual(['surface', 'surface', 'frost']);
    // 4 × 1 × 0.12 and 10 × 0.15 × 0.3, after the footing.
    expect(pours.map(({ kind, neat }) => [kind, Math.round(neat * 1e9) / 1e9])).toEqual([
      ['footings', 14 * 0.9 * 0.3],
      ['aprons', 0.93],
    ]);
    expect(unworked(compute(plan))).toEqual([]);
    expect(compute(plan).cautions.map(({ code }) => code)).not.toContain('depthUnknown');
  });
});

describe('what was cast by the log', () => {
  const vault = () => demo('cheese-vault');
  const poured = (casts: readonly string[], volume: number | null = null) =>
    logged('poured', { pour: 'boxes', casts: [...casts], volume, note: '' });
  it('is cast, took what was measured, and lets what stands on it come', () => {
    const before = compute(vault()).pours;
    expect(before.map(({ cast, waits }) => [cast, waits])).toEqual([
      [false, []],
      [false, ['B1']],
      [false, ['B1']],
    ]);
    const { pours } = compute(vault(), [poured(['B1'], 7.1)]);
    expect(pours.map(({ cast, used, waits }) => [cast, used, waits])).toEqual([
      [true, 7.1, []],
      [false, null, []],
      [false, null, ['B1']],
    ]);
  });
  it('keeps the pump on until what stands weighs 1.1 times the highest water, and the engineer has said so', () => {
    const pump = (records: Parameters<typeof compute>[1] = []) => {
      const plan = vault();
      const job = { ...compute(plan, records), plan };
      return holdsOf(job).filter(({ kind }) => kind === 'pump');
    };
    const states = floatsOf(vault(), compute(vault()).elements[0]!)!.states;
    const safe = states.filter(({ safety }) => safety === null || safety >= 1.1).map(({ state }) => state);
    expect(states.some(({ safety }) => safety !== null && safety < 1.1)).toBe(true);
    expect(pump()).toHaveLength(1);
    expect(pump()[0]).toMatchObject({ role: 'engineer', strict: true, before: 'pumpOff' });
    const met = (...casts: string[]) =>
      pump([poured(casts)])[0]!.needs.find(({ code }) => code === 'heldDown')!.met;
    expect(met('B1')).toBe(safe.includes('base'));
    expect(met('B1', 'B1.walls')).toBe(safe.includes('walls'));
    expect(met('B1', 'B1.walls', 'B1.roof')).toBe(safe.includes('roof'));
    const looked = (role: 'lead' | 'engineer') =>
      logged(
        'visit',
        { hold: 'pump', verdict: 'released', who: 'Eva Roca', role, what: 'weighed', finger: '' },
        { element: 'B1' },
      );
    expect(isOpen(pump([looked('lead')])[0]!)).toBe(true);
    expect(isOpen(pump([looked('engineer')])[0]!)).toBe(false);
  });
});
