/** Pipes and cables in what is cast, by hand and by a route of its own. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { newRising } from '../plan/blank.ts';
import type { Hazard, Plan } from '../plan/schema.ts';
import { demo, named, pad, placed, plainPlan, strip, unlike, unworked } from '../testing.ts';
import { validatePlan } from '../validation/validate.ts';
import { sectionBelow } from './index.ts';

type Crossed = NonNullable<Hazard['crossing']>;
const service = (
  points: Hazard['points'],
  more: Partial<Crossed> = {},
  crossing: Crossed | null = {
    how: 'keep',
    level: 98.6,
    size: 0.11,
    opening: 0.2,
    who: 'Water board',
    when: '',
    ...more,
  },
): Hazard => ({
  id: 'h',
  name: 'Main',
  kind: 'service',
  points,
  keepOff: 0,
  depth: 0.8,
  level: null,
  projection: null,
  crossing,
});

/** A strip 10 × 0.6 × 0.3 and a pad 2 × 2 × 0.3 on it, undersides where an order puts them. */
const job = (...hazards: Hazard[]): Plan =>
  plainPlan((p) => {
    p.assumed = [];
    p.ground.frost.local = 1.3;
    const level = 98.5;
    p.elements = named(
      strip(
        [
          [0, 0],
          [10, 0],
        ],
        { width: 0.6, thickness: 0.3, level },
      ),
      pad(8, 0, 2, 2, { thickness: 0.3, level }),
    );
    p.ground.hazards = hazards;
  });
const across = (x: number): Hazard['points'] => [
  [x, -4],
  [x, 4],
];

describe('what a pour leaves out', () => {
  // The strip lies from 98.5 to 98.8.
  const leaves = (more: Partial<Crossed>) => {
    const { crossings } = compute(job(service(across(3), more)));
    return crossings[0]!;
  };
  it('is the pipe, the sleeve or the gap, over the width of the strip', () => {
    expect(compute(job()).elements[0]).toMatchObject({ underside: 98.5, top: 98.8 });
    // π/4·0.11² · 0.6 = 0.005 702; 0.2 round · 0.6 = 0.018 850; 0.2 square but 98.5 cuts nothing off: 0.024.
    expect(leaves({ how: 'keep', level: 98.65 }).leftOut).toBeCloseTo(0.005702, 6);
    expect(leaves({ how: 'sleeve', level: 98.65 }).leftOut).toBeCloseTo(0.01885, 6);
    expect(leaves({ how: 'leaveOut', level: 98.65 }).leftOut).toBeCloseTo(0.024, 9);
    expect(leaves({ how: 'divert', level: 98.65 })).toMatchObject({ leftOut: 0, lies: 'through' });
  });
  it('is what of it lies within: half a sleeve at the top, a gap cut off at the bottom, nothing over or under', () => {
    expect(leaves({ how: 'sleeve', level: 98.8 }).leftOut).toBeCloseTo(0.01885 / 2, 6);
    expect(leaves({ how: 'leaveOut', level: 98.55 }).leftOut).toBeCloseTo(0.2 * 0.15 * 0.6, 9);
    expect(leaves({ level: 99.2 })).toMatchObject({ leftOut: 0, lies: 'over' });
    expect(leaves({ level: 98.4 })).toMatchObject({ leftOut: 0, lies: 'under' });
  });
  it('is not known without its level: nothing is left out, and that is said', () => {
    expect(leaves({ level: null })).toMatchObject({ leftOut: 0, lies: null });
    const codes = (plan: Plan) => compute(plan).cautions.map(({ code }) => code);
    expect(codes(job(service(across(3), { level: null })))).toContain('crossing');
    expect(codes(job(service(across(3), {}, null)))).toContain('crossing');
    expect(codes(job(service(across(3), { who: '' })))).toContain('crossing');
    expect(codes(job(service(across(3))))).not.toContain('crossing');
    expect(codes(job(service(across(30), {}, null)))).not.toContain('crossing');
  });
  it('is once where two share room, and comes off the figure, its working, its element and its pour', () => {
    const [bare, cut] = [compute(job()), compute(job(service(across(8), { how: 'leaveOut', level: 98.65 })))];
    // Through the pad 2 m wide, of which the strip has 0.6: 0.2 · 0.2 · 2 in all.
    const each = cut.crossings.map(({ leftOut }) => leftOut);
    expect(each.reduce((sum, one) => sum + one, 0)).toBeCloseTo(0.08, 9);
    expect(bare.figures.concrete.value - cut.figures.concrete.value).toBeCloseTo(0.08, 9);
    expect(unworked(cut)).toEqual([]);
    const cast = (of: typeof cut) => of.elements.reduce((sum, { concrete }) => sum + concrete, 0);
    expect(cast(cut)).toBeCloseTo(cut.figures.concrete.value, 9);
    expect(cut.pours.reduce((sum, { neat }) => sum + neat, 0)).toBeCloseTo(cut.figures.concrete.value, 9);
    // What lies in the room is no soil that goes back.
    expect(cut.figures.keep.value).toBeCloseTo(bare.figures.keep.value, 9);
  });
  it('a gap that does not let it through is named at its field', () => {
    const bad = validatePlan(
      JSON.parse(JSON.stringify(job(service(across(3), { how: 'sleeve', opening: 0.1 })))),
    );
    expect(bad).toMatchObject({
      ok: false,
      problems: [{ code: 'openingSmall', path: '/ground/hazards/0/crossing/opening', value: 0.1, min: 0.11 }],
    });
  });
});

describe('through a bay under an old wall, and through a wall', () => {
  it('comes off what is cast in the bays', () => {
    const plan = demo('chapel-porch');
    const bare = compute(plan);
    const index = bare.elements.findIndex(({ bays }) => bays !== null);
    const { underside, top, footings } = bare.elements[index]!;
    // Through the middle of its footing, square to its longest side.
    const [piece] = footings;
    const corners = Array.from({ length: piece!.plan.length / 2 }, (_, i) => [
      piece!.plan[2 * i]!,
      piece!.plan[2 * i + 1]!,
    ]) as [number, number][];
    const middle = [0, 1].map((k) => corners.reduce((sum, c) => sum + c[k]!, 0) / corners.length);
    const [a, b] = corners
      .map((c, i) => [c, corners[(i + 1) % corners.length]!] as const)
      .sort(
        ([p, q], [r, s]) => Math.hypot(s[0] - r[0], s[1] - r[1]) - Math.hypot(q[0] - p[0], q[1] - p[1]),
      )[0]!;
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const [nx, ny] = [-(b[1] - a[1]) / long, (b[0] - a[0]) / long];
    plan.ground.hazards.push(
      service(
        [
          [middle[0]! - 5 * nx, middle[1]! - 5 * ny],
          [middle[0]! + 5 * nx, middle[1]! + 5 * ny],
        ],
        { how: 'sleeve', level: (underside + top) / 2, opening: 0.2 },
      ),
    );
    const cut = compute(plan);
    const own = cut.crossings.filter(({ owner }) => owner === index);
    expect(own).toMatchObject([{ part: 'concrete', lies: 'through' }]);
    expect(own[0]!.leftOut).toBeCloseTo((Math.PI / 4) * 0.04 * own[0]!.length, 6);
    expect(bare.elements[index]!.concrete - cut.elements[index]!.concrete).toBeCloseTo(own[0]!.leftOut, 9);
    // Which pass it runs through nobody works out: all of them together are ordered without it.
    expect(bare.concrete.neat - cut.concrete.neat).toBeCloseTo(own[0]!.leftOut, 9);
    const passes = cut.elements[index]!.casts;
    expect(passes).toHaveLength(3);
    expect(passes.reduce((sum, { volume }) => sum + volume, 0)).toBeCloseTo(cut.elements[index]!.concrete, 9);
    expect(unworked(cut)).toEqual([]);
  });
  it('comes off the wall it runs through, and a wall it misses is not told of', () => {
    const through = (level: number) => {
      const plan = job(service(across(3), { level }));
      plan.elements[0]!.rising = newRising(plan, 0.3);
      return compute(plan);
    };
    const [met, missed] = [through(99.3), through(98.4)];
    const wall = met.crossings.find(({ part }) => part === 'rising')!;
    // π/4·0.11² · 0.3.
    expect(wall.leftOut).toBeCloseTo(0.002851, 6);
    expect(missed.crossings.some(({ part }) => part === 'rising')).toBe(false);
    expect(missed.walls - met.walls).toBeCloseTo(wall.leftOut, 9);
  });
});

describe('drawn services', () => {
  // Off the faces of what is cast: along one it lies in it or not, as one likes.
  const place = fc
    .tuple(fc.integer({ min: -300, max: 1200 }), fc.integer({ min: -400, max: 400 }))
    .map(([x, y]) => [x / 100 + 0.0037, y / 100 + 0.0019] as const);
  const drawn = fc.record({
    points: fc.array(place, { minLength: 2, maxLength: 4 }),
    how: fc.constantFrom('keep' as const, 'sleeve' as const, 'leaveOut' as const),
    level: fc.double({ min: 98.3, max: 99, noNaN: true }),
    opening: fc.double({ min: 0.12, max: 0.5, noNaN: true }),
  });
  it('leave out what stepping along them finds', () => {
    fc.assert(
      fc.property(drawn, ({ points, ...more }) => {
        const plan = job(service(points as Hazard['points'], more));
        const { crossings } = compute(plan);
        const inside = (x: number, y: number) =>
          (x >= 0 && x <= 10 && Math.abs(y) <= 0.3) || (x >= 7 && x <= 9 && Math.abs(y) <= 1);
        const wide = more.how === 'keep' ? 0.11 : more.opening;
        // The section within 98.5 and 98.8, in slices.
        let section = 0;
        const slices = 2000;
        for (let i = 0; i < slices; i++) {
          const z = 98.5 + (0.3 * (i + 0.5)) / slices;
          const h = z - more.level;
          const chord =
            more.how === 'leaveOut'
              ? Math.abs(h) < wide / 2
                ? wide
                : 0
              : 2 * Math.sqrt(Math.max(0, (wide / 2) ** 2 - h * h));
          section += (chord * 0.3) / slices;
        }
        let [along, step] = [0, 0];
        points.slice(1).forEach(([x1, y1], i) => {
          const [x0, y0] = points[i]!;
          const steps = 4000;
          const long = Math.hypot(x1 - x0, y1 - y0);
          step += long / steps;
          for (let k = 0; k < steps; k++) {
            const t = (k + 0.5) / steps;
            if (inside(x0 + t * (x1 - x0), y0 + t * (y1 - y0))) along += long / steps;
          }
        });
        const left = crossings.reduce((sum, { leftOut }) => sum + leftOut, 0);
        // Off by a step at each of up to six faces, and by the slices.
        expect(Math.abs(left - section * along)).toBeLessThan(6 * step * section + 2e-3 * left + 1e-9);
      }),
      { numRuns: 60, seed: 29 },
    );
  });
  it('leave out the same however the job lies', () => {
    const plan = job(
      service(
        [
          [1, -3],
          [8.5, 2],
        ],
        { how: 'sleeve', level: 98.7 },
      ),
    );
    const out = (p: Plan) => ({
      leftOut: compute(p).crossings.reduce((sum, { leftOut }) => sum + leftOut, 0),
      concrete: compute(p).figures.concrete.value,
    });
    for (const turn of [0.3, 2.1]) {
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      const moved = placed(plan, ([x, y]) => [40 + cos * x - sin * y, -12 + sin * x + cos * y], turn, false);
      expect(unlike(out(plan), out(moved))).toEqual([]);
    }
  });
  it('a section below a level goes from nothing to all of it, half at the middle', () => {
    expect(sectionBelow(true, 0.2, 1, 0)).toBeCloseTo(0, 12);
    expect(sectionBelow(true, 0.2, 1, 1)).toBeCloseTo((Math.PI / 8) * 0.04, 12);
    expect(sectionBelow(true, 0.2, 1, 2)).toBeCloseTo((Math.PI / 4) * 0.04, 12);
    expect(sectionBelow(false, 0.2, 1, 1.05)).toBeCloseTo(0.03, 12);
  });
});
