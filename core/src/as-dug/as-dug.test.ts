/** Shots, their words, what a bottom is low by: worked by hand, and by a slow route. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asDugLine, compute, formationAtCut, sectionThrough } from '../compute/index.ts';
import { factsOf, type SiteRecord } from '../log/index.ts';
import { bedded, drawnCases, logged, named, pad, plainPlan, stone, strip } from '../testing.ts';
import { bandOf, student } from './band.ts';
import { type LowAt, lowAt, lowPieces, volumesOf } from './field.ts';
import { levelling } from './levelling.ts';
import { shotPlaces } from './pattern.ts';
import { TYPICAL_LIMITS, verdictOf } from './verdict.ts';

const tape = (string: number, reading: number, place: readonly [number, number] | null = null) =>
  logged('shot', { on: 'formation', from: { by: 'tape', string, reading } }, { element: 'E1', place });
const rod = (setup: string, reading: number, offset = 0) =>
  logged('shot', { on: 'formation', from: { by: 'rod', setup, reading, offset } }, { element: 'E1' });
const book = (...records: SiteRecord[]) => levelling(factsOf(records).levels);

describe('what a tape says', () => {
  const formation = TYPICAL_LIMITS.formation;
  it.each([
    ['string 50.600, wanted 49.150, tape 1.415: 35 still to dig', 50.6 - 1.415, 49.15, 'dig', 0.035],
    ['string 32.400, wanted 30.985, tape 1.372: 43 still to dig', 32.4 - 1.372, 30.985, 'dig', 0.043],
    ['3 high is trimmed', 49.153, 49.15, 'trim', 0.003],
    ['25 high is the most a shovel scrapes', 49.175, 49.15, 'trim', 0.025],
    ['26 high is dug', 49.176, 49.15, 'dig', 0.026],
    ['as wanted is good', 49.15, 49.15, 'good', 0],
    ['25 low is good', 49.125, 49.15, 'good', -0.025],
    ['26 low is made up', 49.124, 49.15, 'makeUp', -0.026],
  ])('%s', (_what, level, wanted, word, off) => {
    expect(verdictOf(level, wanted, formation, 0.025)).toEqual({ word, off });
  });
  it('up to a typed hand trim is trimmed, over it dug', () => {
    expect(verdictOf(49.2, 49.15, formation, 0.05).word).toBe('trim');
    expect(verdictOf(49.201, 49.15, formation, 0.05).word).toBe('dig');
  });
});

describe('a level book', () => {
  it('gives levels by height of instrument: the worked page', () => {
    const first = logged('setup', { mark: 'M', level: 100, backsight: 1.42 });
    const shot = rod(first.id, 1.865);
    const turn = rod(first.id, 0.985);
    const second = logged('setup', { mark: 'TP', level: 100.435, backsight: 1.21 });
    const { setUps, shots } = book(first, shot, turn, second, rod(second.id, 2.06));
    expect(setUps.map(({ height }) => height)).toEqual([101.42, 101.645]);
    expect(shots.map(({ level }) => level!.toFixed(3))).toEqual(['99.555', '100.435', '99.585']);
    // ΣBS − ΣFS is last less first.
    expect(1.42 + 1.21 - (0.985 + 2.06)).toBeCloseTo(shots.at(-1)!.level! - 100, 9);
  });
  it('takes a rod made longer', () => {
    const setup = logged('setup', { mark: 'M', level: 100, backsight: 1.42 });
    expect(book(setup, rod(setup.id, 1.865, 0.5)).shots[0]!.level).toBeCloseTo(99.055, 9);
  });
  it('doubts every shot since the last good check, and none before it or of another set-up', () => {
    const [one, two] = [1, 2].map((n) => logged('setup', { mark: `M${n}`, level: 100, backsight: 1.4 }));
    const check = (reading: number) => logged('checkShot', { setup: one!.id, reading });
    const before = [rod(one!.id, 2), check(1.403)];
    const shots = [rod(one!.id, 2.1), rod(two!.id, 2.2), rod(one!.id, 2.3)];
    const after = [check(1.409), rod(one!.id, 2.4)];
    const { shots: read, setUps } = book(one!, two!, ...before, ...shots, ...after);
    expect(read.map(({ doubted }) => doubted)).toEqual([false, true, false, true, false]);
    expect(setUps[0]).toMatchObject({ doubted: [shots[0]!.id, shots[2]!.id] });
    expect(setUps[0]!.off).toBeCloseTo(0.009, 9);
  });
  it('leaves out a shot of a set-up nobody knows', () => {
    expect(book(rod('nowhere', 2)).shots).toEqual([]);
  });
});

const box = (x: number, y: number, w: number, h: number) => [x, y, x + w, y, x + w, y + h, x, y + h];
const trench = [box(0, 0, 12, 0.6)];
const of = (points: readonly LowAt[], bottoms = trench) => volumesOf(lowPieces(points, bottoms));

describe('how low a bottom lies', () => {
  it('12 × 0.6 averaging 40 low is 0.288 m³; a plane from 0 to 60 is 0.216', () => {
    expect(of([[6, 0.3, 0.04]]).low).toBeCloseTo(0.288, 9);
    const tilted: LowAt[] = [
      [0, 0, 0],
      [12, 0, 0.06],
      [0, 0.6, 0],
      [12, 0.6, 0.06],
    ];
    expect(of(tilted).low).toBeCloseTo(0.216, 9);
    // On one line along the middle it is the same.
    expect(
      of([
        [0, 0.3, 0],
        [12, 0.3, 0.06],
      ]).low,
    ).toBeCloseTo(0.216, 9);
  });
  it('9.5 × 0.7 averaging 28 low is 0.186 m³', () => {
    expect(of([[1, 0.2, 0.028]], [box(0, 0, 9.5, 0.7)]).low).toBeCloseTo(0.186, 3);
  });
  it('keeps low and high apart: half of each is not nothing', () => {
    const both = of([
      [0, 0.3, -0.05],
      [12, 0.3, 0.05],
    ]);
    expect(both.low).toBeCloseTo((6 * 0.6 * 0.05) / 2, 9);
    expect(both.high).toBeCloseTo((6 * 0.6 * 0.05) / 2, 9);
  });
  it('counts the last shot of a place', () => {
    expect(
      of([
        [6, 0.3, -0.04],
        [6, 0.3, 0.01],
      ]),
    ).toMatchObject({ high: 0 });
  });
  it('covers the whole bottom once, and is what a net of points says, wherever it was shot', () => {
    const place = fc.record({
      x: fc.double({ min: -1, max: 5, noNaN: true }),
      y: fc.double({ min: -1, max: 4, noNaN: true }),
      low: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 9 }), (list) => {
        const points = list.map(({ x, y, low }): LowAt => [x, y, low]);
        const pieces = lowPieces(points, [box(0, 0, 4, 3)]);
        const { low, high, area } = volumesOf(pieces);
        expect(area).toBeCloseTo(12, 6);
        let sum = 0;
        const n = 60;
        for (let i = 0; i < n; i++)
          for (let j = 0; j < n; j++)
            sum += Math.max(0, lowAt(pieces, ((i + 0.5) / n) * 4, ((j + 0.5) / n) * 3) ?? 0) * (12 / n / n);
        expect(Math.abs(sum - low)).toBeLessThan(0.02);
        // No more than the worst of its shots all over.
        expect(low).toBeLessThanOrEqual(12 * Math.max(0, ...points.map((p) => p[2])) + 1e-9);
        expect(high).toBeLessThanOrEqual(12 * Math.max(0, ...points.map((p) => -p[2])) + 1e-9);
      }),
      { numRuns: drawnCases(200) },
    );
  });
  it('is the same turned, shifted and mirrored', () => {
    const place = fc.tuple(
      fc.integer({ min: 0, max: 12 }),
      fc.integer({ min: 0, max: 6 }),
      fc.integer({ min: -9, max: 9 }),
    );
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 1, maxLength: 8 }),
        fc.double({ min: 0, max: 6.3, noNaN: true }),
        fc.boolean(),
        (list, turn, mirrored) => {
          const [c, s] = [Math.cos(turn), Math.sin(turn)];
          const moved = ([x, y]: readonly [number, number]): [number, number] => {
            const m = mirrored ? -y : y;
            return [300 + c * x - s * m, -70 + s * x + c * m];
          };
          const plain = list.map(([x, y, low]): LowAt => [x / 2, y / 4, low / 100]);
          const bottom = box(0, 0, 6, 1.5);
          const corners = [0, 1, 2, 3].map((i) => moved([bottom[2 * i]!, bottom[2 * i + 1]!]));
          const other = (mirrored ? corners.toReversed() : corners).flat();
          const here = of(plain, [bottom]);
          const there = of(
            plain.map(([x, y, low]): LowAt => [...moved([x, y]), low]),
            [other],
          );
          expect(there.low).toBeCloseTo(here.low, 7);
          expect(there.high).toBeCloseTo(here.high, 7);
        },
      ),
      { numRuns: drawnCases(200) },
    );
  });
});

describe('how sure that is', () => {
  it('five shots 8 mm apart over 7.2 m²: σ 0.026, ± 0.072 m³', () => {
    // Five values whose scatter is 8 mm: −a, −a, 0, a, a with a = s.
    const band = bandOf([0.012, 0.012, 0.02, 0.028, 0.028], 7.2)!;
    expect(band.scatter).toBeCloseTo(0.008, 9);
    expect(band.sigma).toBeCloseTo(0.026, 3);
    expect(band.half).toBeCloseTo(0.072, 3);
  });
  it('one shot says nothing; many come to the normal distribution', () => {
    expect(bandOf([0.02], 7.2)).toBeNull();
    expect(student(30)).toBeGreaterThan(student(31));
    expect(student(31)).toBeCloseTo(2.0395, 3);
    expect(student(1000)).toBeCloseTo(1.9623, 3);
  });
});

/** Two trenches that cross, on a level bottom a metre down; the string a metre over the ground. */
const crossed = () =>
  plainPlan((p) => {
    p.dig.slope = 0;
    p.dig.room = 0;
    p.dig.buckets = [0.6];
    p.elements = named(
      strip(
        [
          [0, 0],
          [12, 0],
        ],
        { width: 0.6 },
      ),
      strip(
        [
          [6, -4],
          [6, 4],
        ],
        { width: 0.6 },
      ),
      pad(20, 0, 2, 2),
    );
  });

describe('a job that was shot', () => {
  const plan = crossed();
  const string = 101;
  const wanted = compute(plan).elements[0]!.formation;
  const shots = (id: string, low: number, places: readonly (readonly [number, number])[]) =>
    places.map((place) =>
      logged(
        'shot',
        { on: 'formation', from: { by: 'tape', string, reading: string - wanted + low } },
        { element: id, place },
      ),
    );
  it('is low by what its shots say, and the make-up, the dig and the pour with it', () => {
    const straight = compute(plan);
    const takeoff = compute(
      plan,
      shots('E1', 0.03, [
        [1, 0],
        [6, 0],
        [11, 0],
      ]),
    );
    const own = takeoff.asDug.get('E1')!;
    expect(own.mean).toBeCloseTo(0.03, 9);
    expect(own.low).toBeCloseTo(0.03 * own.area, 9);
    expect(takeoff.madeUp).toBeCloseTo(own.low, 6);
    expect(takeoff.overdig.low).toBeCloseTo(own.low, 6);
    expect(takeoff.concrete.neat - straight.concrete.neat).toBeCloseTo(own.low, 6);
    expect(takeoff.elements[0]!.depth).toBeCloseTo(straight.elements[0]!.depth + 0.03, 9);
  });
  it('leaves what the crew digs by as it was asked: the depth from the string, on screen and on paper', () => {
    const [before, after] = [compute(plan), compute(plan, shots('E1', 0.08, [[6, 0]]))];
    expect(after.elements[0]!.fromString).toBeCloseTo(before.elements[0]!.fromString, 9);
    const at = (of: typeof before) => formationAtCut(sectionThrough(plan, of, 0)!, of, 0);
    expect(at(after)).toBeCloseTo(at(before), 9);
    const line = asDugLine(after, sectionThrough(plan, after, 0)!, 0)!;
    for (const [, level] of line) expect(level).toBeCloseTo(before.elements[0]!.formation - 0.08, 9);
  });
  it('counts what two trenches share once', () => {
    const both = compute(plan, [
      ...shots('E1', 0.03, [
        [1, 0],
        [11, 0],
      ]),
      ...shots('E2', 0.03, [
        [6, -3],
        [6, 3],
      ]),
    ]);
    const [one, two] = [both.asDug.get('E1')!, both.asDug.get('E2')!];
    expect(one.area + two.area).toBeCloseTo(12 * 0.6 + 8 * 0.6 - 0.36, 1);
    expect(both.madeUp).toBeCloseTo(one.low + two.low, 6);
  });
  it('gives what two share to the one that was dug lower, whichever was drawn first', () => {
    const mm = fc.integer({ min: 0, max: 80 });
    fc.assert(
      fc.property(mm, mm, mm, (a, b, c) => {
        const both = compute(plan, [
          ...shots('E1', a / 1000, [[1, 0]]),
          ...shots('E1', b / 1000, [[11, 0]]),
          ...shots('E2', c / 1000, [
            [6, -3],
            [6, 3],
          ]),
        ]);
        const lows = [...both.asDug.values()].reduce((sum, { low }) => sum + low, 0);
        expect(both.madeUp).toBeCloseTo(lows, 6);
        expect(both.overdig.low).toBeCloseTo(lows, 6);
      }),
      { numRuns: drawnCases(60) },
    );
  });
  it('is protected and climbed for its deepest place, not for the mean', () => {
    const takeoff = compute(plan, [...shots('E1', 0, [[1, 0]]), ...shots('E1', 0.2, [[11, 0]])]);
    expect(takeoff.elements[0]!.depth).toBeCloseTo(compute(plan).elements[0]!.depth + 0.2, 9);
  });
  it('never digs less where a shot is lower, and high places are no gain', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -40, max: 60 }), { minLength: 2, maxLength: 5 }),
        fc.nat(4),
        (mm, which) => {
          const at = (lows: readonly number[]) =>
            compute(
              plan,
              lows.flatMap((low, i) => shots('E1', low / 1000, [[1 + 2.4 * i, 0]])),
            );
          const lower = mm.map((low, i) => (i === which % mm.length ? low + 15 : low));
          const [before, after] = [at(mm), at(lower)];
          expect(after.figures.dig.value).toBeGreaterThanOrEqual(before.figures.dig.value - 1e-9);
          expect(before.figures.dig.value).toBeGreaterThanOrEqual(compute(plan).figures.dig.value - 1e-9);
        },
      ),
      { numRuns: drawnCases(40) },
    );
  });
  it('lets a bottom told of as a whole stand until it is shot, and again when told later', () => {
    const told = logged('shot', { on: 'formation', from: { by: 'said', low: 0.1 } }, { element: 'E1' });
    const measured = shots('E1', 0.02, [[6, 0]]);
    const mean = (...records: SiteRecord[]) => compute(plan, records).asDug.get('E1')!.mean;
    expect(mean(told)).toBeCloseTo(0.1, 9);
    expect(mean(told, ...measured)).toBeCloseTo(0.02, 9);
    expect(mean(...measured, logged('shot', told.value as never, { element: 'E1' }))).toBeCloseTo(0.1, 9);
  });
  it('names the far corner that is off', () => {
    const corners: [number, number][] = [
      [19.2, -0.8],
      [20.8, -0.8],
      [20.8, 0.8],
      [19.2, 0.8],
    ];
    const records = corners.flatMap((place, i) => shots('E3', i === 2 ? 0.06 : 0.005, [place]));
    const { oddOne } = compute(plan, records).asDug.get('E3')!;
    expect(oddOne?.place).toEqual([20.8, 0.8]);
    const even = corners.flatMap((place) => shots('E3', 0.06, [place]));
    expect(compute(plan, even).asDug.get('E3')!.oddOne).toBeNull();
  });
  it('is shot against its steps and its soft spots', () => {
    const soft = crossed();
    soft.ground.softSpots = [
      {
        id: 's',
        name: 'S',
        points: [
          [0, -2],
          [3, -2],
          [3, 2],
          [0, 2],
        ],
        depth: 0.3,
        material: 'crushed',
        compactor: null,
        cement: null,
      },
    ];
    const own = compute(soft, shots('E1', 0.3, [[1, 0]])).asDug.get('E1')!;
    expect(own.shots[0]!.below).toBeCloseTo(0, 9);
  });
  it('lays no less stone under a bed for being low', () => {
    const stony = crossed();
    bedded(stony, stone(0.1));
    stony.pour.makeUp = 'stone';
    const level = compute(stony);
    const deep = string - level.elements[0]!.formation;
    const takeoff = compute(stony, [tape(string, deep + 0.04, [6, 0])]);
    const own = takeoff.asDug.get('E1')!;
    expect(takeoff.stone.volume - level.stone.volume).toBeCloseTo(own.low, 6);
  });
});

describe('where to shoot next', () => {
  const plan = crossed();
  const { elements } = compute(plan);
  it('is never farther on than three metres along a trench, and every place lies in it', () => {
    const places = shotPlaces(elements[0]!.element, 0.6, elements[0]!.bottoms);
    expect(places.length).toBeGreaterThanOrEqual(5);
    places.slice(1).forEach(([x], i) => {
      expect(x - places[i]![0]).toBeLessThanOrEqual(3 + 1e-9);
    });
    for (const [x, y] of places) {
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThan(12);
      expect(Math.abs(y)).toBeLessThan(0.3);
    }
  });
  it('is the four corners of a pad, a little in', () => {
    const places = shotPlaces(elements[2]!.element, 2, elements[2]!.bottoms);
    expect(places).toHaveLength(4);
    for (const [x, y] of places) {
      expect(Math.abs(x - 20)).toBeLessThan(1);
      expect(Math.abs(x - 20)).toBeGreaterThan(0.7);
      expect(Math.abs(y)).toBeGreaterThan(0.7);
    }
  });
});
