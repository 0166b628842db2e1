/** Trucks, forms, boards, hand mixes, leaks: values worked by hand, with their steps. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allowedDrop,
  arrivals,
  barrowed,
  boardsAlong,
  byHand,
  cutList,
  leakOf,
  openTime,
  pressureOf,
  riseIn,
  spacingOf,
  whenPlaced,
} from './index.ts';

const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;

describe('trucks of a pour', () => {
  it('of 7 m³ at 16 m³/h are wanted every 26 minutes: 7/16 · 60 = 26.25', () => {
    expect(spacingOf(7, 16)).toBeCloseTo(26.25, 9);
  });
  it('barrows of 0.06 m³ over 25 m at 50 m/min, 1.5 min to load and tip: 2.5 min a trip, 3 of them 4.32 m³/h', () => {
    expect(barrowed(3, 25)).toBeCloseTo(3 * 0.06 * (60 / 2.5), 9);
  });
  it('one that is 40 minutes late moves itself and those that then wait, by the clock', () => {
    // 4 trucks of 6 m³ at 12 m³/h: 30 minutes each, from 07:30; 20 minutes on the road. The second is 40 minutes late.
    const list = arrivals([6, 6, 6, 6], 12, 450, 20, [{ truck: 2, minutes: 40, plant: false }]);
    expect(list.map(({ due }) => clock(due))).toEqual(['07:30', '08:00', '08:30', '09:00']);
    expect(list.map(({ left }) => clock(left!))).toEqual(['07:10', '08:20', '08:10', '08:40']);
    expect(list.map(({ arrives }) => clock(arrives))).toEqual(['07:30', '08:40', '08:30', '09:00']);
    expect(list.map(({ begins }) => clock(begins))).toEqual(['07:30', '08:40', '09:10', '09:40']);
    expect(list.map(({ ends }) => clock(ends))).toEqual(['08:00', '09:10', '09:40', '10:10']);
    expect(list.map(({ gap }) => gap)).toEqual([0, 40, 0, 0]);
    expect(list.map(({ waits }) => waits)).toEqual([0, 0, 40, 40]);
    expect(list.map(({ age }) => age)).toEqual([50, 50, 90, 90]);
  });
  it('a plant that stops moves all that come after; one that comes early waits', () => {
    const stopped = arrivals([6, 6, 6], 12, 450, null, [{ truck: 2, minutes: 40, plant: true }]);
    expect(stopped.map(({ begins }) => clock(begins))).toEqual(['07:30', '08:40', '09:10']);
    expect(stopped.map(({ waits, left }) => [waits, left])).toEqual([
      [0, null],
      [0, null],
      [0, null],
    ]);
    const early = arrivals([6, 6], 12, 450, null, [{ truck: 2, minutes: -25, plant: false }]);
    expect(early[1]).toMatchObject({ arrives: 455, begins: 480, waits: 25, gap: 0 });
  });
  it('no two let off at once, none before it came, and as long as the rate says, whatever comes late', () => {
    const delay = fc.record({
      truck: fc.integer({ min: 1, max: 8 }),
      minutes: fc.integer({ min: -60, max: 200 }),
      plant: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 9, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.array(delay, { maxLength: 4 }),
        (loads, rate, delays) => {
          const list = arrivals(loads, rate, 450, 30, delays);
          list.forEach((one, i) => {
            expect(one.begins).toBeGreaterThanOrEqual(one.arrives);
            expect(one.begins).toBeGreaterThanOrEqual(list[i - 1]?.ends ?? -Infinity);
            expect(one.ends - one.begins).toBeCloseTo((one.volume / rate) * 60, 6);
            expect(Math.min(one.waits, one.gap)).toBeCloseTo(0, 9);
          });
          const all = loads.reduce((sum, load) => sum + load, 0);
          expect(whenPlaced(list, 0)).toBeCloseTo(list[0]!.begins, 6);
          expect(whenPlaced(list, all)).toBeCloseTo(list.at(-1)!.ends, 6);
        },
      ),
    );
  });
  it('a face stays open half as long at 31 °C, twice as long at 9', () => {
    expect([openTime(2, 20), openTime(2, 31), openTime(2, 9)]).toEqual([2, 1, 4]);
  });
});

describe('fresh concrete in a form', () => {
  const wall = { height: 3, temperature: 15, chemistry: 1, slump: 0.1, vibrated: 0.6 };
  it('rises 1.5 m/h at 15 °C, 3 m high: 7.2 + 785 · 1.5 / 32.8 = 43.1 kPa, by its chemistry', () => {
    expect(pressureOf(1.5, wall).pressure / 1000).toBeCloseTo(43.1, 1);
    expect(pressureOf(1.5, { ...wall, chemistry: 1.4 }).pressure / 1000).toBeCloseTo(60.34, 1);
  });
  it('is never less than 30 kPa nor more than its height as a liquid; faster, runnier, deeper it is that', () => {
    expect(pressureOf(0.2, wall)).toEqual({ pressure: 30_000, liquid: false });
    expect(pressureOf(0.2, { ...wall, height: 1 })).toEqual({ pressure: 24_000, liquid: true });
    for (const [rate, more] of [
      [4.6, {}],
      [1, { slump: 0.18 }],
      [1, { vibrated: 1.3 }],
    ] as const)
      expect(pressureOf(rate, { ...wall, ...more })).toEqual({ pressure: 72_000, liquid: true });
    // 7.2 + 1156/32.8 + 244 · 3 / 32.8 = 64.8
    expect(pressureOf(3, wall).pressure / 1000).toBeCloseTo(64.76, 1);
    // Over 4.2 m the other formula, slow or not: 7.2 + 1156/32.8 + 244 · 1.5 / 32.8 = 53.6
    expect(pressureOf(1.5, { ...wall, height: 5 }).pressure / 1000).toBeCloseTo(53.6, 1);
  });
  it('in a form for 25 kPa no rate keeps it, only height: 25 / 24 = 1.04 m', () => {
    expect(riseIn(25_000, wall)).toEqual({ keeps: 'height', height: 25 / 24 });
    expect(riseIn(25_000, { ...wall, height: 1 })).toEqual({ keeps: 'any' });
    expect(riseIn(40_000, { ...wall, slump: 0.2 })).toMatchObject({ keeps: 'height' });
  });
  it('the rate that is told keeps to what the form was built for, and a little more does not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30_000, max: 90_000, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 2, max: 35, noNaN: true }),
        fc.double({ min: 1, max: 1.4, noNaN: true }),
        (permitted, height, temperature, chemistry) => {
          const cast = { height, temperature, chemistry, slump: null, vibrated: 0.5 };
          const kept = riseIn(permitted, cast);
          if (kept.keeps === 'any') expect(24_000 * height).toBeLessThanOrEqual(permitted * 1.000001);
          else if (kept.keeps === 'height') {
            expect(24_000 * kept.height).toBeCloseTo(permitted, 3);
            expect(pressureOf(0.001, cast).pressure).toBeGreaterThan(permitted - 1);
          } else {
            expect(pressureOf(kept.rate, cast).pressure).toBeLessThanOrEqual(permitted + 1);
            if (kept.rate < 4.49 && Math.abs(kept.rate - 2.1) > 1e-6)
              expect(pressureOf(kept.rate * 1.001, cast).pressure).toBeGreaterThan(permitted);
          }
        },
      ),
    );
  });
});

describe('mixed by hand', () => {
  const mix = { parts: [1, 3, 6] as const, bag: 25, water: 0.6, batch: 0.1, hours: 7 };
  it('0.9 m³ at 1:3:6: 0.9 · 1.54 / 10 · 1440 = 199.6 kg, 8 bags of 25', () => {
    const made = byHand(0.9, mix, 3, 8);
    expect(made.cement).toBeCloseTo(199.58, 2);
    expect(made.bags).toBe(8);
    expect([made.sand, made.stone]).toEqual([expect.closeTo(0.4158, 4), expect.closeTo(0.8316, 4)]);
    expect(made.water).toBeCloseTo(119.75, 2);
    expect([made.batches, made.barrows]).toEqual([9, 15]);
    // 3 people, 8 h: 24 h of work, 0.7 h a batch: 34 rounds a day.
    expect([made.rounds, made.days, made.hours]).toEqual([34, 1, expect.closeTo(6.3, 9)]);
  });
  it('parts add up to what is mixed, and bags hold it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 40, noNaN: true }),
        fc.tuple(
          fc.integer({ min: 1, max: 3 }),
          fc.integer({ min: 0, max: 8 }),
          fc.integer({ min: 0, max: 9 }),
        ),
        fc.constantFrom(25, 40, 42.5, 50),
        (volume, parts, bag) => {
          const made = byHand(volume, { ...mix, parts, bag }, 2, 9);
          expect(made.cement / 1440 + made.sand + made.stone).toBeCloseTo(volume * 1.54, 6);
          expect(made.bags * bag).toBeGreaterThanOrEqual(made.cement - 1e-6);
          expect(made.rounds * made.days).toBeGreaterThanOrEqual(made.batches);
          expect(made.batches * 0.1).toBeGreaterThanOrEqual(volume - 1e-9);
        },
      ),
    );
  });
});

const ring = (length: number, width: number): readonly (readonly [number, number])[] => [
  [-length / 2, -width / 2],
  [length / 2, -width / 2],
  [length / 2, width / 2],
  [-length / 2, width / 2],
];
const lengths = (
  points: readonly (readonly [number, number])[],
  corner: 'mitred' | 'lapped',
  closed = true,
) => boardsAlong(points, closed, 0.025, corner).map(({ length }) => Number(length.toFixed(4)));

describe('boards of a form', () => {
  it('of a ring 14.4 × 8.4, 600 wide, boards of 25', () => {
    expect(lengths(ring(15, 9), 'mitred')).toEqual([15.05, 9.05, 15.05, 9.05]);
    expect(lengths(ring(15, 9), 'lapped')).toEqual([15.05, 9, 15.05, 9]);
    const inner = ring(13.8, 7.8).toReversed();
    expect(lengths(inner, 'mitred').toSorted()).toEqual([13.8, 13.8, 7.8, 7.8]);
    expect(lengths(inner, 'lapped').toSorted()).toEqual([13.8, 13.8, 7.75, 7.75]);
  });
  it('of a bend of 45°: 25 · tan 22.5° = 10.4 mm mitred, outside; nothing inside', () => {
    const bend = (side: 1 | -1): [number, number][] => [
      [0, 0],
      [4, 0],
      [4 + 3 * Math.SQRT1_2, side * 3 * Math.SQRT1_2],
    ];
    expect(lengths(bend(1), 'mitred', false)).toEqual([4.0104, 3.0104]);
    expect(lengths(bend(-1), 'mitred', false)).toEqual([4, 3]);
    // Lapped the longer runs past by 25 · sin 45°; inside the other is let in by 25 · (1 + 0) / sin 45°.
    expect(lengths(bend(1), 'lapped', false)).toEqual([4.0177, 3]);
    expect(lengths(bend(-1), 'lapped', false)).toEqual([4, 2.9646]);
  });
  it('of any ring of right corners: mitred outside less inside is 2t a corner and what the corners are apart', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.double({ min: 2, max: 30, noNaN: true }),
        (length, width) => {
          const faces = boardsAlong(ring(length, width), true, 0.03, 'mitred');
          const sum = faces.reduce((all, one) => all + one.length - one.face, 0);
          expect(sum).toBeCloseTo(8 * 0.03, 9);
          const lapped = boardsAlong(ring(length, width), true, 0.03, 'lapped');
          expect(lapped.reduce((all, one) => all + one.length - one.face, 0)).toBeCloseTo(4 * 0.03, 9);
        },
      ),
    );
  });
});

/** Fewest bins by trying every piece in every bin. */
function fewest(pieces: readonly number[], stock: number): number {
  let best = pieces.length;
  const left: number[] = [];
  const place = (k: number): void => {
    if (left.length >= best) return;
    if (k === pieces.length) {
      best = left.length;
      return;
    }
    for (let i = 0; i < left.length; i++)
      if (left[i]! >= pieces[k]! - 1e-9) {
        left[i]! -= pieces[k]!;
        place(k + 1);
        left[i]! += pieces[k]!;
      }
    left.push(stock - pieces[k]!);
    place(k + 1);
    left.pop();
  };
  place(0);
  return best;
}

describe('cuts from stock', () => {
  it('a ring’s boards from 4.2: 15.05 in four, three of 4.2 and 2.45 over', () => {
    const cut = cutList([{ id: 'a', length: 15.05 }], [4.2], 0.6);
    expect(cut.joints).toBe(3);
    expect(cut.stocks.map(({ cuts }) => cuts.map(({ length }) => Number(length.toFixed(3))))).toEqual([
      [4.2],
      [4.2],
      [4.2],
      [2.45],
    ]);
    expect(cut.bought).toBeCloseTo(16.8, 9);
    expect(cut.waste).toBeCloseTo(1.75 / 16.8, 9);
  });
  it('takes the shortest stock that holds each, and joins only at stakes', () => {
    const cut = cutList(
      [
        { id: 'a', length: 5 },
        { id: 'b', length: 1.5 },
      ],
      [3, 4.2],
      0.9,
    );
    // 4.2 reaches over four spans of 0.9: 3.6 and 1.4; 1.5 with 1.4 goes into a 3.
    expect(
      cut.stocks.map(({ stock, cuts }) => [stock, cuts.map(({ length }) => Number(length.toFixed(3)))]),
    ).toEqual([
      [4.2, [3.6]],
      [3, [1.5, 1.4]],
    ]);
  });
  it('is as few as can be of small lists, by trying all; nothing is lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 420 }), { minLength: 1, maxLength: 8 }),
        (hundredths) => {
          const boards = hundredths.map((length, i) => ({ id: String(i), length: length / 100 }));
          const cut = cutList(boards, [4.2], 0.6);
          expect(cut.stocks.length).toBe(
            fewest(
              boards.map(({ length }) => length),
              4.2,
            ),
          );
          const all = cut.stocks.flatMap(({ cuts }) => cuts.map(({ length }) => length));
          expect(all.toSorted()).toEqual(boards.map(({ length }) => length).toSorted());
          for (const { stock, cuts, left } of cut.stocks)
            expect(cuts.reduce((sum, { length }) => sum + length, left)).toBeCloseTo(stock, 9);
        },
      ),
    );
  });
});

describe('a leak test', () => {
  const limits = { share: 1 / 500, most: 0.01, days: 7, soak: 3 };
  it('of 2.4 m may fall 2.4 / 500 = 4.8 mm, of 6 m no more than 10', () => {
    expect(allowedDrop(2.4, limits)).toBeCloseTo(0.0048, 9);
    expect(allowedDrop(6, limits)).toBeCloseTo(0.01, 9);
  });
  it('is read once it has soaked and stood, never before', () => {
    const reading = (day: string, depth: number) => ({ day, depth });
    expect(leakOf([], limits, '2026-10-01').state).toBe('filling');
    const filled = [reading('2026-10-01', 2.42)];
    expect(leakOf(filled, limits, '2026-10-02')).toMatchObject({ state: 'soaking', readOn: '2026-10-11' });
    const begun = [...filled, reading('2026-10-04', 2.4)];
    expect(leakOf([...begun, reading('2026-10-08', 2.399)], limits, '2026-10-20')).toMatchObject({
      state: 'standing',
      stood: 4,
    });
    expect(leakOf([...begun, reading('2026-10-11', 2.3955)], limits, '2026-10-11')).toMatchObject({
      state: 'holds',
      fallen: expect.closeTo(0.0045, 9),
    });
    expect(leakOf([...begun, reading('2026-10-09', 2.395)], limits, '2026-10-09').state).toBe('leaks');
  });
});
