/** In what order a pour is placed: what adds up, what is against what, and that no frame of reference moves it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { area } from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import { pad, raft, strip } from '../testing.ts';
import { jointsOf, type Place, placingOrder } from './index.ts';

const cast = (element: string, volume: number, more: object = {}) => ({
  key: element,
  element,
  stage: 'first' as const,
  number: 1,
  bottom: 98.8,
  top: 99.1,
  volume,
  ...more,
});
const ordered = (
  elements: Record<string, Element>,
  casts: ReturnType<typeof cast>[],
  from: readonly [number, number] | null = null,
  layer = 0.5,
) =>
  placingOrder(
    casts,
    (id) => elements[id]!,
    () => [],
    { from, layer, screed: 2.4 },
  );
const sum = (places: readonly Place[]) => places.reduce((all, { volume }) => all + volume, 0);

const RING = {
  N: strip([
    [0, 8],
    [12, 8],
  ]),
  E: strip([
    [12, 8],
    [12, 0],
  ]),
  S: strip([
    [12, 0],
    [0, 0],
  ]),
  W: strip([
    [0, 0],
    [0, 8],
  ]),
};
const four = [cast('N', 3), cast('E', 2), cast('S', 3), cast('W', 2)];

describe('the order of placing', () => {
  it('of four strips round a house, let off before the south side: the north first, the south last', () => {
    const places = ordered(RING, four, [6, -10]);
    const turns = places.map(({ element }) => element).filter((one, i, all) => one !== all[i - 1]);
    expect(turns[0]).toBe('N');
    expect(turns.at(-1)).toBe('S');
    expect(turns).toHaveLength(4);
    // Each but the first is against what is there: nothing begins in the middle of nowhere.
    expect(places.slice(1).every(({ against }) => against.length > 0)).toBe(true);
    expect(sum(places)).toBeCloseTo(10, 9);
  });
  it('of a wall higher than a layer goes round before the next, each on the layer under it', () => {
    const wall = [cast('N', 4, { top: 100.3 })];
    const places = ordered(RING, wall, [0, -10]);
    expect(places[0]!.layers).toBe(3);
    const each = places.length / 3;
    expect(places.map(({ layer }) => layer)).toEqual([1, 2, 3].flatMap((n) => Array(each).fill(n)));
    places.slice(each).forEach((place, i) => {
      const under = places[place.against.at(-1)!]!;
      expect([under.layer, under.plan]).toEqual([place.layer - 1, places[i % each]!.plan]);
    });
  });
  it('of a slab is in strips no wider than the straight-edge, farthest first, beside each other', () => {
    const slab = {
      S: raft([
        [0, 0],
        [10, 0],
        [10, 7],
        [0, 7],
      ]),
    };
    const places = ordered(slab, [cast('S', 7)], [5, -20]);
    expect(places[0]!.plan.filter((_, i) => i % 2 === 1).some((y) => y > 6.99)).toBe(true);
    expect(
      places
        .at(-1)!
        .plan.filter((_, i) => i % 2 === 1)
        .some((y) => y < 0.01),
    ).toBe(true);
    expect(places.reduce((all, { plan }) => all + area(plan), 0)).toBeCloseTo(70, 6);
    for (const { plan } of places) {
      const ys = plan.filter((_, i) => i % 2 === 1);
      expect(Math.max(...ys) - Math.min(...ys)).toBeLessThanOrEqual(2.4 + 1e-9);
    }
  });
  it('adds up to the pour, each after what it is against, wherever the job lies and however it is turned', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: -500, max: 500 }),
        fc.integer({ min: -500, max: 500 }),
        fc.double({ min: 0.2, max: 1.4, noNaN: true }),
        (degrees, dx, dy, height) => {
          const turn = (degrees * Math.PI) / 180;
          const put = ([x, y]: readonly [number, number]): [number, number] => [
            x * Math.cos(turn) - y * Math.sin(turn) + dx,
            x * Math.sin(turn) + y * Math.cos(turn) + dy,
          ];
          const casts = four.map((one) => ({ ...one, top: one.bottom + height }));
          const plain = ordered(RING, casts, [6.3, -10]);
          const moved = ordered(
            Object.fromEntries(
              Object.entries(RING).map(([id, own]) => [id, strip(own.points.map((p) => put([p[0], p[1]])))]),
            ),
            casts,
            put([6.3, -10]),
          );
          expect(moved.map(({ element, layer }) => `${element}${layer}`)).toEqual(
            plain.map(({ element, layer }) => `${element}${layer}`),
          );
          expect(sum(moved)).toBeCloseTo(10, 6);
          moved.forEach(({ against, before }, i) => {
            expect(against.every((j) => j < i)).toBe(true);
            expect(before).toBeCloseTo(sum(moved.slice(0, i)), 6);
          });
        },
      ),
    );
  });
  it('pads are places by themselves: no joint falls between them, however late', () => {
    const pads = { A: pad(0, 0, 1.2, 1.2), B: pad(6, 0, 1.2, 1.2) };
    const places = ordered(pads, [cast('A', 1), cast('B', 1)]);
    expect(places.map(({ against }) => against)).toEqual([[], []]);
    expect(jointsOf(places, [0, 600], [10, 610], 60)).toEqual([]);
  });
  it('a face that stood longer than it stays fresh is a joint, by its worst', () => {
    const places = ordered(RING, four, [6, -10]);
    const begins = places.map((_, i) => (i < 5 ? i * 5 : 100 + i * 5));
    const ends = begins.map((at) => at + 5);
    const joints = jointsOf(places, begins, ends, 60);
    expect(joints.length).toBeGreaterThan(0);
    expect(joints[0]).toMatchObject({ at: 5, against: 4, stood: 100 });
  });
});
