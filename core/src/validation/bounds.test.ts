/** A slip of a digit is named at its field; nobody waits for what cannot be worked out. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { blankPlan } from '../plan/blank.ts';
import { isWholeText, wholeText, wholeValue } from '../plan/text.ts';
import {
  bedded,
  demo,
  honeyHouse,
  named,
  pad,
  plainPlan,
  raft,
  ramp,
  soilsDown,
  stone,
  strip,
  tank,
} from '../testing.ts';
import { checkPlan, workProblems } from './check.ts';
import { validatePlan } from './validate.ts';

const told = (plan: ReturnType<typeof demo>) => compute(plan).problems.map((p) => `${p.code} ${p.path}`);

describe('a level or a place with a slipped digit', () => {
  it.each<[string, (plan: ReturnType<typeof demo>) => void, string]>([
    ['a drawn level', (p) => (p.elements[0]!.level = 6.75), 'farFromGround /elements/0/level'],
    [
      'a drawn level below the earth',
      (p) => (p.elements[0]!.level = -300),
      'farFromGround /elements/0/level',
    ],
    ['a floor', (p) => (p.levels.floors[0]!.level = 9), 'farFromGround /levels/floors/0/level'],
    ['the string', (p) => (p.levels.string = 10), 'farFromGround /levels/string'],
    ['standing water', (p) => (p.ground.water = 9.8), 'farFromGround /ground/water'],
    ['the year’s high water', (p) => (p.ground.waterHigh = 980), 'farFromGround /ground/waterHigh'],
  ])('%s is named, and nothing is dug', (_, change, expected) => {
    const plan = honeyHouse();
    change(plan);
    const start = performance.now();
    const takeoff = compute(plan);
    expect(takeoff.problems.map((p) => `${p.code} ${p.path}`)).toContain(expected);
    expect(takeoff.figures.dig.value).toBe(0);
    expect(performance.now() - start).toBeLessThan(2000);
    // The door refuses it too, with the limits.
    const read = validatePlan(JSON.parse(JSON.stringify(plan)));
    expect(read.ok ? null : read.problems[0]).toMatchObject({
      min: expect.any(Number),
      max: expect.any(Number),
    });
  });

  it('of a corner two kilometres off is named at its coordinate', () => {
    const plan = honeyHouse();
    const [first] = plan.elements;
    if (first?.kind !== 'strip') throw new Error('a strip is first');
    first.points = [first.points[0]!, [-2000, 0], ...first.points.slice(2)];
    expect(told(plan)).toContain('farFromJob /elements/0/points/1/0');
  });

  it('of one spot among many is named at the spot', () => {
    const plan = demo('drying-barn');
    const { surface } = plan.ground;
    if (surface.kind !== 'spots') throw new Error('the barn is surveyed');
    const [x, y, z] = surface.points[3]!;
    surface.points[3] = [x, y, z - 90];
    expect(told(plan)).toContain('spotOff /ground/surface/points/3/2');
  });

  it('of a soil fifty metres down that decides the depth is named at the element, quickly', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['a', 'sand', 0], ['b', 'gravel', 55]);
      p.ground.knownTo = 70;
      p.ground.logs[0]!.bottom = 60;
      p.levels.bearing = { soil: 'b', embedment: 0.1 };
      p.elements = named(pad(0, 0, 2, 2));
    });
    expect(told(plan)).toEqual(['tooDeep /elements/0']);
  });

  it('does not fall on sound jobs: the demos and small shifts of their levels', () => {
    for (const name of ['honey-house', 'bell-frame', 'drying-barn', 'cheese-vault'] as const)
      expect(checkPlan(demo(name))).toEqual([]);
    fc.assert(
      fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (by) => {
        const plan = honeyHouse();
        plan.levels.string += by;
        return !checkPlan(plan).some((p) => p.code === 'farFromGround');
      }),
    );
  });
});

describe('the cost of a plan', () => {
  it('is bounded by what it draws, before anything is computed', () => {
    const many = plainPlan((p) => {
      const points = Array.from({ length: 200 }, (_, i) => [i / 10, i % 2] as [number, number]);
      p.elements = named(...Array.from({ length: 40 }, () => strip(points)));
    });
    expect(workProblems(many).map((p) => p.code)).toContain('tooManyRuns');
    const long = plainPlan((p) => {
      p.elements = named(
        ...Array.from({ length: 8 }, (_, i) =>
          strip([
            [-400, i],
            [400, i],
          ]),
        ),
      );
    });
    expect(workProblems(long).map((p) => p.code)).toEqual(['trenchesTooLong']);
    const wide = plainPlan((p) => {
      p.elements = named(
        raft([
          [0, 0],
          [400, 0],
          [400, 400],
          [0, 400],
        ]),
      );
    });
    expect(workProblems(wide).map((p) => p.code)).toEqual(['slabsTooWide']);
    const start = performance.now();
    for (const plan of [many, long, wide]) expect(compute(plan).figures.dig.value).toBe(0);
    expect(performance.now() - start).toBeLessThan(3000);
  });
});

describe('text', () => {
  it('is whole after cleaning, whatever it was, and no longer than asked, in characters a person sees', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'binary', maxLength: 60 }),
        fc.integer({ min: 0, max: 40 }),
        (text, most) => {
          // Lone halves too, which no generator of whole characters makes.
          const broken = `${text}\ud83d${text}\udc00\u0000`;
          const clean = wholeText(broken, most);
          return isWholeText(clean) && [...clean].length <= most && wholeText(clean, most) === clean;
        },
      ),
    );
    expect(wholeText('👩‍🚒👩‍🚒', 4)).toBe('👩‍🚒');
    expect(wholeText('👩‍🚒', 2)).toBe('');
    expect(wholeText('a\tb\nc')).toBe('a\tb\nc');
  });
  it('of whole values is left as it is, the same object', () => {
    const plan = blankPlan('Shed', 'metric');
    expect(wholeValue(plan)).toBe(plan);
    expect(wholeValue({ ...plan, note: 'x\u0000' }).note).toBe('x');
  });
  it('that is broken is refused at its field', () => {
    for (const name of ['a\ud83d', 'a\u0000', '\u001b[31m']) {
      const read = validatePlan({ ...blankPlan('x', 'metric'), name });
      expect(read.ok ? [] : read.problems.map((p) => `${p.code} ${p.path}`)).toEqual(['text /name']);
    }
  });
});

describe('what nobody has said', () => {
  const codes = (change: Parameters<typeof plainPlan>[0] = () => {}) =>
    compute(
      plainPlan((p) => {
        p.elements = named(pad(0, 0, 1, 1));
        change(p);
      }),
    ).cautions.map((c) => `${c.weight} ${c.code}`);
  it('is asked for: frost is a hold, water and soil a warning', () => {
    expect(
      codes((p) => {
        p.ground.frost.local = null;
        p.levels.cover = 0.45;
      }),
    ).toEqual(
      expect.arrayContaining([
        'stop frostUnknown',
        'warn waterUnknown',
        'warn soilAssumed',
        'note coverAssumed',
      ]),
    );
  });
  it('is not asked for once it is said, nought included', () => {
    const said = codes((p) => {
      p.ground.frost.local = 0;
      p.levels.cover = 0.5;
      p.ground.water = 90;
      p.assumed = [];
    });
    for (const code of ['stop frostUnknown', 'warn waterUnknown', 'warn soilAssumed', 'note coverAssumed'])
      expect(said).not.toContain(code);
  });
});

describe('what counted wrong', () => {
  const L = [
    [0, 0],
    [6, 0],
    [6, 3],
    [3, 3],
    [3, 6],
    [0, 6],
  ] as const;
  it('a rounded slab with a turned-down edge has its whole bottom at an inward corner', () => {
    for (const corners of ['mitred', 'rounded'] as const) {
      const takeoff = compute(
        plainPlan((p) => {
          p.dig.corners = corners;
          p.elements = named(raft(L, { room: 0.3, edge: { depth: 0.25, width: 0.4 } }));
        }),
      );
      // The outline grown by 0.3 each way: 6.6² less the notch of 3².
      expect(takeoff.areas.bottom).toBeCloseTo(6.6 * 6.6 - 9, 9);
    }
  });
  it('stone thicker than a bench is high lies on the bench too, of a box as of a pad', () => {
    const laid = (box: boolean) =>
      compute(
        plainPlan((p) => {
          p.dig.support = 'bench';
          p.dig.bench = { height: 0.5, width: 0.5 };
          p.dig.room = 0;
          p.dig.buckets = [0.5];
          p.ground.frost.local = 1.4;
          p.elements = named(
            box
              ? tank(
                  [
                    [0, 0],
                    [4, 0],
                    [4, 4],
                    [0, 4],
                  ],
                  { room: 0 },
                )
              : pad(2, 2, 4, 4, { room: 0 }),
          );
          bedded(p, stone(0.8));
        }),
      ).elements[0]!.stone;
    // Half a metre within 4 × 4, then 0.3 m within the bench's 5 × 5.
    expect(laid(true)).toBeCloseTo(0.5 * 16 + 0.3 * 25, 9);
    expect(laid(false)).toBeCloseTo(0.5 * 16 + 0.3 * 25, 9);
  });
  it('a ramp’s floor is not trimmed by hand', () => {
    const boxed = (withRamp: boolean) =>
      compute(
        plainPlan((p) => {
          const box = {
            ...tank([
              [0, 0],
              [5, 0],
              [5, 4],
              [0, 4],
            ]),
            id: 'box',
            name: 'box',
          };
          p.elements = withRamp ? [box, { ...ramp('box', [5, 2], 0), id: 'way', name: 'way' }] : [box];
        }),
      );
    expect(boxed(true).figures.dig.value).toBeGreaterThan(boxed(false).figures.dig.value);
    // The ramp takes a strip of the box's bottom with it at the most; it never adds trim.
    expect(boxed(true).handTrim.volume).toBeLessThanOrEqual(boxed(false).handTrim.volume + 1e-9);
  });
  it('a lone bank is no higher than a hoe heaps, and holds the same', () => {
    const takeoff = compute(
      plainPlan((p) => {
        p.ground.frost.local = 4;
        p.elements = named(pad(0, 0, 6, 6));
      }),
    );
    const { height, base, length, repose } = takeoff.pile;
    expect(height).toBeLessThanOrEqual(2.5);
    const top = base - (2 * height) / Math.tan((repose * Math.PI) / 180);
    expect(((base + top) / 2) * height * length).toBeCloseTo(takeoff.spoil.keptLoose, 6);
  });
});
