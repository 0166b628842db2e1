import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { along, beside, edge, ledTo, type Patch, placeNames, slanted, type Wish } from './names.ts';

const WINDOW = { width: 800, height: 400 };
const covers = (p: Patch, q: Patch) =>
  Math.abs(p.x - q.x) < (p.width + q.width) / 2 - 1e-9 &&
  Math.abs(p.y - q.y) < (p.height + q.height) / 2 - 1e-9;

/** Does a line from a to b run through a patch? Looked at in a thousand places. */
const crosses = (a: readonly [number, number], b: readonly [number, number], patch: Patch) => {
  for (let i = 0; i <= 1000; i++) {
    const at = { x: a[0] + ((b[0] - a[0]) * i) / 1000, y: a[1] + ((b[1] - a[1]) * i) / 1000 };
    if (covers({ ...at, width: 0, height: 0 }, patch)) return true;
  }
  return false;
};

const px = (max: number) => fc.double({ min: 0, max, noNaN: true });
const mark = fc
  .record({ x: px(WINDOW.width), y: px(WINDOW.height), width: px(30), height: px(30) })
  .map((patch) => ({ ...patch, width: patch.width + 4, height: patch.height + 4 }));
const marked = fc
  .array(fc.record({ mark, width: fc.integer({ min: 20, max: 90 }), rank: fc.nat(5) }), { maxLength: 70 })
  .map((list) =>
    list.map(
      ({ mark: at, width, rank }, i): Wish => ({
        id: `e${i}`,
        width,
        height: 18,
        rank,
        marks: [at],
        spots: [...beside(at, width, 18), ...ledTo(at, width, 18)],
      }),
    ),
  );

describe('names on a drawing', () => {
  it('cover no other name, no mark and no line to a name, and stay in the window', () => {
    fc.assert(
      fc.property(marked, fc.array(mark, { maxLength: 6 }), (wishes, fixed) => {
        const stands = placeNames(wishes, fixed, WINDOW);
        const tags = wishes.flatMap((wish) => {
          const at = stands.get(wish.id);
          return at ? [{ ...at, id: wish.id, width: wish.width, height: wish.height }] : [];
        });
        for (const tag of tags) {
          expect(tag.x - tag.width / 2).toBeGreaterThanOrEqual(0);
          expect(tag.x + tag.width / 2).toBeLessThanOrEqual(WINDOW.width);
          expect(tag.y + tag.height / 2).toBeLessThanOrEqual(WINDOW.height);
          for (const patch of fixed) expect(covers(tag, patch)).toBe(false);
          for (const wish of wishes)
            if (wish.id !== tag.id) for (const patch of wish.marks!) expect(covers(tag, patch)).toBe(false);
          for (const other of tags) {
            if (other === tag) continue;
            expect(covers(tag, other)).toBe(false);
            if (tag.to) expect(crosses(edge(tag, tag.to), tag.to, other)).toBe(false);
          }
        }
      }),
    );
  });
  it('are not left out where one of their spots is free of all that is drawn', () => {
    fc.assert(
      fc.property(marked, (wishes) => {
        const stands = placeNames(wishes, [], WINDOW);
        const drawn = wishes.flatMap((wish) => {
          const at = stands.get(wish.id);
          return [...(wish.marks ?? []), ...(at ? [{ ...at, width: wish.width, height: wish.height }] : [])];
        });
        const lines = [...stands].flatMap(([id, at]) => {
          const wish = wishes.find((one) => one.id === id)!;
          return at.to ? [[edge({ ...wish, ...at }, at.to), at.to] as const] : [];
        });
        for (const wish of wishes) {
          if (stands.has(wish.id)) continue;
          for (const spot of wish.spots.filter(({ to }) => !to)) {
            // A little larger, since names keep some air round them.
            const tag = { ...spot, width: wish.width + 10, height: wish.height + 10 };
            const outside =
              spot.x - wish.width / 2 < 0 ||
              spot.x + wish.width / 2 > WINDOW.width ||
              spot.y - wish.height / 2 < 0 ||
              spot.y + wish.height / 2 > WINDOW.height;
            expect(
              outside ||
                drawn.some((other) => covers(tag, other)) ||
                lines.some(([from, to]) => crosses(from, to, tag)),
            ).toBe(true);
          }
        }
      }),
      { numRuns: 40 },
    );
  });
  it('of what is picked is always there, at its best place, whatever is drawn', () => {
    fc.assert(
      fc.property(marked, fc.nat(69), (wishes, pick) => {
        const picked = wishes[pick];
        if (!picked) return;
        const crowd = Array.from({ length: 40 }, (_, i) => ({
          x: (i % 8) * 100 + 50,
          y: Math.floor(i / 8) * 80 + 40,
          width: 100,
          height: 80,
        }));
        expect(placeNames(wishes, crowd, WINDOW).size).toBe(0);
        expect([...placeNames(wishes, crowd, WINDOW, picked.id).keys()]).toEqual([picked.id]);
      }),
    );
  });
  it('do not depend on the order they are asked in', () => {
    fc.assert(
      fc.property(marked, (wishes) => {
        const one = placeNames(wishes, [], WINDOW);
        const other = placeNames([...wishes].reverse(), [], WINDOW);
        expect(new Map([...one].sort())).toEqual(new Map([...other].sort()));
      }),
    );
  });
  it('stand on a line or at the asked distance from it', () => {
    const line = [
      [10, 10],
      [110, 60],
      [300, 60],
    ] as const;
    const far = ({ x, y }: { x: number; y: number }) =>
      Math.min(
        ...line.slice(1).map((to, i) => {
          const [from, [dx, dy]] = [line[i]!, [to[0] - line[i]![0], to[1] - line[i]![1]]];
          const s = Math.max(
            0,
            Math.min(1, ((x - from[0]) * dx! + (y - from[1]) * dy!) / (dx! ** 2 + dy! ** 2)),
          );
          return Math.hypot(x - from[0] - s * dx!, y - from[1] - s * dy!);
        }),
      );
    for (const spot of along(line)) expect(far(spot)).toBeCloseTo(0, 9);
    // Beside it, no corner of the name touches the line.
    const size = { width: 40, height: 14 };
    for (const { x, y } of along(line, size).slice(0, 36)) {
      const tag = { x, y, ...size };
      const own = y > 60 - 1 && x > 110 ? [line[1], line[2]] : null;
      if (own) expect(crosses(own[0]!, own[1]!, tag)).toBe(false);
    }
    // The longest piece is named first.
    expect(along(line)[0]).toMatchObject({ x: 205, y: 60 });
  });
  it('at an angle are covered by their patches', () => {
    fc.assert(
      fc.property(px(200), fc.double({ min: -2, max: 2, noNaN: true }), (long, angle) => {
        const width = long + 20;
        const patches = slanted(400, 200, width, 18, angle);
        for (const [s, o] of [-1, -0.5, 0, 0.5, 1].flatMap((a) => [-1, 0, 1].map((b) => [a, b] as const))) {
          const [u, v] = [(s * width) / 2, o * 9];
          const x = 400 + u * Math.cos(angle) - v * Math.sin(angle);
          const y = 200 + u * Math.sin(angle) + v * Math.cos(angle);
          expect(
            patches.some(
              (p) => Math.abs(p.x - x) <= p.width / 2 + 1e-6 && Math.abs(p.y - y) <= p.height / 2 + 1e-6,
            ),
          ).toBe(true);
        }
      }),
    );
  });
});
