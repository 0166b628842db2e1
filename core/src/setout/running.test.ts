import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Element } from '../plan/elements.ts';
import { named, pad, raft, strip } from '../testing.ts';
import { pointsOf, withPoints } from './places.ts';
import { type Running, runningDimensions } from './running.ts';

const house = named(
  strip([
    [0, 8.4],
    [14.4, 8.4],
  ]),
  strip([
    [0, 0],
    [14.4, 0],
  ]),
  strip([
    [6, 0],
    [6, 8.4],
  ]),
  pad(18, 2, 1.2, 1.2),
  pad(18, 6.5, 1.2, 1.2),
);

/** The job elsewhere: turned by degrees about the origin, then shifted. */
const moved = (elements: readonly Element[], degrees: number, dx: number, dy: number): Element[] => {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return elements.map((element) => ({
    ...withPoints(
      element,
      pointsOf(element).map(([x, y]) => [x * c - y * s + dx, x * s + y * c + dy] as const),
    ),
    ...('angle' in element && { angle: element.angle + degrees }),
  }));
};
const lengths = (marks: Running['along']) => marks.map(({ at }) => at);

describe('running dimensions', () => {
  it('of a house with pads beside it are what one would tape from its corner', () => {
    const { origin, along, across } = runningDimensions(house)!;
    expect(origin).toEqual([0, 0]);
    expect(along).toEqual([
      { at: 0, names: ['E1', 'E2'] },
      { at: 6, names: ['E3'] },
      { at: 14.4, names: ['E1', 'E2'] },
      { at: 18, names: ['E4', 'E5'] },
    ]);
    expect(lengths(across)).toEqual([0, 2, 6.5, 8.4]);
  });
  it('begin at one thing each, named: an axis before a middle or an end', () => {
    // E1 and E2 end where the tape begins along; across it begins on the axis of E2.
    expect(runningDimensions(house)!.from).toEqual({
      along: { name: 'E1', by: 'end' },
      across: { name: 'E2', by: 'axis' },
    });
    const west = named(
      ...house,
      strip([
        [0, 0],
        [0, 8.4],
      ]),
    );
    expect(runningDimensions(west)!.from.along).toEqual({ name: 'E6', by: 'axis' });
    expect(runningDimensions(named(pad(3, 2, 1, 1)))!.from.across).toEqual({ name: 'E1', by: 'middle' });
    const slab = raft([
      [0, 0],
      [4, 0],
      [4, 3],
      [0, 3],
    ]);
    expect(runningDimensions(named(slab))!.from.along).toEqual({ name: 'E1', by: 'face' });
  });
  it('are the same wherever the job lies and however it is turned', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -44.9, max: 44.9, noNaN: true }),
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        (turn, quarters, dx, dy) => {
          const was = runningDimensions(house)!;
          const is = runningDimensions(moved(house, turn + 90 * quarters, dx, dy))!;
          // A quarter more and what ran along runs across; half way round both run from the other end.
          const [a, b] = quarters % 2 === 0 ? [is.along, is.across] : [is.across, is.along];
          const fromEnd = (marks: number[]) => marks.map((at) => marks.at(-1)! - at).reverse();
          const flip = [
            [false, false],
            [false, true],
            [true, true],
            [true, false],
          ][quarters]!;
          for (const [now, before, turned] of [
            [a, was.along, flip[0]],
            [b, was.across, flip[1]],
          ] as const) {
            const expected = turned ? fromEnd(lengths(before)) : lengths(before);
            expect(lengths(now)).toHaveLength(expected.length);
            for (const [i, at] of lengths(now).entries()) expect(at).toBeCloseTo(expected[i]!, 6);
          }
        },
      ),
    );
  });
  it('lead from the origin to every corner along their two directions', () => {
    fc.assert(
      fc.property(fc.double({ min: -180, max: 180, noNaN: true }), (turn) => {
        const job = moved(house, turn, 7, -3);
        const { origin, ux, uy, along, across } = runningDimensions(job)!;
        for (const [x, y] of job.flatMap((e) => pointsOf(e))) {
          const s = (x - origin[0]) * ux + (y - origin[1]) * uy;
          const t = (y - origin[1]) * ux - (x - origin[0]) * uy;
          expect(Math.min(...along.map(({ at }) => Math.abs(at - s)))).toBeLessThan(1e-6);
          expect(Math.min(...across.map(({ at }) => Math.abs(at - t)))).toBeLessThan(1e-6);
        }
      }),
    );
  });
  it('tell a slab by its faces only where no axis finds them', () => {
    const slab = raft([
      [0.1, 0.1],
      [20, 0.1],
      [20, 8.3],
      [0.1, 8.3],
    ]);
    const job = named(...house, slab);
    const { along, across } = runningDimensions(job)!;
    expect(lengths(along)).toEqual([0, 6, 14.4, 18, 20]);
    expect(lengths(across)).toEqual([0, 2, 6.5, 8.4]);
    // By itself it begins where it begins.
    const alone = runningDimensions(named(slab))!;
    expect(alone.origin).toEqual([0.1, 0.1]);
    expect(lengths(alone.along)[1]).toBeCloseTo(19.9, 9);
  });
  it('of nothing are none', () => {
    expect(runningDimensions([])).toBeNull();
  });
});
