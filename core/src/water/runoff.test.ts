import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contains } from '../geometry/index.ts';
import { drainingInto, runsTo } from './runoff.ts';

type Point = readonly [number, number];

const turned = ([x, y]: Point, by: number): [number, number] => [
  x * Math.cos(by) - y * Math.sin(by),
  x * Math.sin(by) + y * Math.cos(by),
];

/** Hundredths, so that nothing drawn lies within rounding of a side. */
const within = (min: number, max: number) =>
  fc.integer({ min: 100 * min, max: 100 * max }).map((hundredths) => hundredths / 100);

/** A rectangle anywhere, at any heading, its corners anticlockwise. */
const rectangle = fc
  .record({
    x: within(-20, 20),
    y: within(-20, 20),
    long: within(0.4, 12),
    wide: within(0.4, 3),
    by: within(0, 6),
  })
  .map(({ x, y, long, wide, by }) =>
    (
      [
        [0, 0],
        [long, 0],
        [long, wide],
        [0, wide],
      ] as const
    ).map((corner) => {
      const [px, py] = turned(corner, by);
      return [x + px, y + py] as const;
    }),
  );

describe('water on the ground', () => {
  it('finds the hole it is in, the first of two, wherever they lie', () => {
    const place = within(-25, 25).map((at) => at + 0.0031);
    fc.assert(
      fc.property(
        fc.array(fc.array(rectangle, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 5 }),
        fc.array(fc.tuple(place, place), { minLength: 20, maxLength: 60 }),
        (holes, places) => {
          for (const [x, y] of places) {
            const slow = holes.findIndex((pieces) => pieces.some((piece) => contains(piece, x, y)));
            const flat = holes.map((pieces) => pieces.map((piece) => piece.flat()));
            expect(runsTo(() => 0, [x, y], flat, []).hole).toBe(slow);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('gathers the strip uphill of a hole on a plane, whichever way that falls', () => {
    const round = 30;
    const plot = Array.from({ length: 90 }, (_, i): Point => turned([round, 0], (i * Math.PI) / 45));
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.3, noNaN: true }),
        fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        fc.double({ min: 10, max: 20, noNaN: true }),
        (way, grade, side) => {
          const half = side / 2;
          const hole: Point[] = [
            [-half, -half],
            [half, -half],
            [half, half],
            [-half, half],
          ];
          const [east, north] = turned([1, 0], way);
          const { areas, slopes, step } = drainingInto(
            (x, y) => -grade * (x * east + y * north),
            plot,
            [[hole.flat()]],
            [],
          );
          // By hand: the strip as wide as the square looks from there, out to the circle, less half the square.
          const wide = (side * (Math.abs(east) + Math.abs(north))) / 2;
          const strip = wide * Math.sqrt(round ** 2 - wide ** 2) + round ** 2 * Math.asin(wide / round);
          // Looked over in squares: a row of them more or less along the strip.
          expect(Math.abs(areas[0]! - (strip - side ** 2 / 2))).toBeLessThan(step * round);
          expect(slopes[0]).toBeCloseTo(grade, 6);
        },
      ),
      { numRuns: 10 },
    );
  });
  it.each([
    [100, 388],
    [180, 708],
    [480, 1908],
  ])('follows it all down a plot 12 m wide and %d m long: %d m²', (long, wanted) => {
    fc.assert(
      fc.property(fc.constantFrom(0, 0.5, 1, 2.2, 3.9), (by) => {
        const place = ([x, y]: Point): Point => turned([x, y], by);
        const [east, north] = turned([1, 0], by);
        const plot = (
          [
            [0, -6],
            [long, -6],
            [long, 6],
            [0, 6],
          ] as const
        ).map(place);
        const hole = (
          [
            [0, -2],
            [3, -2],
            [3, 2],
            [0, 2],
          ] as const
        ).map(place);
        const found = drainingInto((x, y) => 0.03 * (x * east + y * north), plot, [[hole.flat()]], []);
        expect(found.cutOff).toBe(0);
        // In squares: by a row of them along the strip at the most, more or less.
        expect(Math.abs(found.areas[0]! - wanted)).toBeLessThan(found.step * long + 1);
        if (by === 0) expect(Math.abs(found.areas[0]! - wanted) / wanted).toBeLessThan(0.12);
      }),
      { numRuns: 5 },
    );
  });
  const square = (
    [
      [-2, -2],
      [2, -2],
      [2, 2],
      [-2, 2],
    ] as const
  ).flat();
  it('finds where a wash-out runs from however far upslope', () => {
    for (const far of [10, 99, 101, 400, 2500])
      for (const by of [0, 0.7, 2, 4]) {
        const [east, north] = turned([1, 0], by);
        const level = (x: number, y: number) => 0.03 * (x * east + y * north);
        const { hole, cutOff } = runsTo(level, [far * east, far * north], [[square]], []);
        expect([hole, cutOff], `${far} m`).toEqual([0, false]);
      }
  });
  it('that goes to and fro in a hollow stands there, and what leaves the ground that is known is let go', () => {
    const bowl = (x: number, y: number) => 0.01 * ((x - 30) ** 2 + (y - 3) ** 2);
    expect(runsTo(bowl, [40, 9], [[square]], [])).toMatchObject({ hole: -1, cutOff: false });
    const away = runsTo((x) => -0.05 * x, [10, 0], [[square]], []);
    expect(away).toMatchObject({ hole: -1, cutOff: false });
    expect(away.way.at(-1)![0]).toBeLessThan(40);
  });
});
