import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/pipeline/compute.ts';
import { setoutSheet } from '../compute/views/setout-sheet.ts';
import { area } from '../geometry/index.ts';
import type { Plan } from '../plan/schema.ts';
import { named, plainPlan, raft, strip } from '../testing.ts';
import { adjust, threeFourFive } from './adjust.ts';
import { boardsOf, MOST_SAG, STRING_STEP, sagOf, spanFor } from './batter-boards.ts';
import { checkLines, setoutPoints } from './corners.ts';
import { arcPoints, beside, bowditch, pointsAlong, trueLength, twoTape } from './points.ts';

describe('an axis beside another', () => {
  it('of one run lies so far to its left; the other way round, to the right', () => {
    const run = [
      [0, 0],
      [3, 4],
    ] as const;
    const left = beside(run, false, 5)!;
    expect(left[0]![0]).toBeCloseTo(-4, 9);
    expect(left[0]![1]).toBeCloseTo(3, 9);
    expect(left[1]![0]).toBeCloseTo(-1, 9);
    expect(left[1]![1]).toBeCloseTo(7, 9);
    expect(beside([...run].reverse(), false, -5)!.reverse()).toEqual(left);
  });

  it('keeps its bends mitred and comes back where it was', () => {
    const bent = [
      [0, 0],
      [10, 0],
      [10, 6],
      [14, 9],
    ] as const;
    const out = beside(bent, false, 1.5)!;
    expect(out[1]![0]).toBeCloseTo(8.5, 9);
    expect(out[1]![1]).toBeCloseTo(1.5, 9);
    const back = beside(out, false, -1.5)!;
    for (const [i, p] of bent.entries()) {
      expect(back[i]![0]).toBeCloseTo(p[0], 9);
      expect(back[i]![1]).toBeCloseTo(p[1], 9);
    }
  });

  it('of a ring goes outwards or inwards, and is none where nothing is left', () => {
    const ring = [
      [0, 0],
      [6, 0],
      [6, 4],
      [0, 4],
    ] as const;
    expect(Math.abs(area(beside(ring, true, 1)!.flat()))).toBeCloseTo(8 * 6, 9);
    expect(Math.abs(area(beside([...ring].reverse(), true, 1)!.flat()))).toBeCloseTo(8 * 6, 9);
    expect(Math.abs(area(beside(ring, true, -1)!.flat()))).toBeCloseTo(4 * 2, 9);
    expect(beside(ring, true, -2.5)).toBeNull();
    expect(beside([[1, 1]], false, 1)).toBeNull();
    expect(
      beside(
        [
          [0, 0],
          [5, 0],
          [5, 1],
          [0, 1],
        ],
        false,
        2,
      ),
    ).toBeNull();
    // Doubling back on itself it has no side.
    expect(
      beside(
        [
          [0, 0],
          [5, 0],
          [2, 0],
        ],
        false,
        1,
      ),
    ).toBeNull();
  });
});

describe('two tapes', () => {
  it('meet on both sides: 3-4-5 over a base of 5', () => {
    const found = twoTape([0, 0], [5, 0], 3, 4);
    if (!found.ok) throw new Error();
    // Foot of the height: 3²/5 = 1.8 along, 3·4/5 = 2.4 across.
    expect(found.left[0]).toBeCloseTo(1.8, 12);
    expect(found.left[1]).toBeCloseTo(2.4, 12);
    expect(found.right[1]).toBeCloseTo(-2.4, 12);
  });
  it('say what is wrong when they cannot meet', () => {
    expect(twoTape([0, 0], [10, 0], 3, 4)).toMatchObject({ code: 'tapesShort', by: 3 });
    expect(twoTape([0, 0], [1, 0], 3, 7)).toMatchObject({ code: 'tapesInside', by: 3 });
    expect(twoTape([2, 2], [2, 2], 3, 3)).toMatchObject({ code: 'samePoint' });
  });
  it('always give points at the taped distances', () => {
    const far = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(far, far, far, far, far, far, (ax, ay, bx, by, cx, cy) => {
        fc.pre(Math.hypot(ax - bx, ay - by) > 0.5);
        const [r, s] = [Math.hypot(cx - ax, cy - ay), Math.hypot(cx - bx, cy - by)];
        const found = twoTape([ax, ay], [bx, by], r, s);
        if (!found.ok) return expect(found.by).toBeLessThan(1e-6);
        for (const p of [found.left, found.right]) {
          expect(Math.hypot(p[0] - ax, p[1] - ay)).toBeCloseTo(r, 5);
          expect(Math.hypot(p[0] - bx, p[1] - by)).toBeCloseTo(s, 5);
        }
      }),
    );
  });
});

describe('points on arcs and along axes', () => {
  it('an arc by chords stays within 10 mm of the arc', () => {
    const points = arcPoints([2, 1], 6, 30, 120)!;
    for (let i = 1; i < points.length; i++) {
      const [p, q] = [points[i - 1]!, points[i]!];
      const middle = Math.hypot((p[0] + q[0]) / 2 - 2, (p[1] + q[1]) / 2 - 1);
      expect(6 - middle).toBeLessThan(0.01 + 1e-9);
      expect(6 - middle).toBeGreaterThan(0.001);
    }
    expect(points.at(-1)![0]).toBeCloseTo(2 + 6 * Math.cos((150 * Math.PI) / 180), 9);
  });
  it('of no radius there is none', () => {
    expect(arcPoints([0, 0], 0, 0, 90)).toBeNull();
    expect(arcPoints([0, 0], Number.NaN, 0, 90)).toBeNull();
    expect(arcPoints([0, 0], 3, 0, 0)).toBeNull();
  });
  it('a whole circle does not repeat its first point', () => {
    const points = arcPoints([0, 0], 3, 0, 360)!;
    expect(Math.hypot(points[0]![0] - points.at(-1)![0], points[0]![1] - points.at(-1)![1])).toBeGreaterThan(
      0.1,
    );
  });
  it('pads every 2 m along a bent trench', () => {
    const found = pointsAlong(
      [
        [0, 0],
        [5, 0],
        [5, 4],
      ],
      false,
      2,
      1,
    );
    expect(found.map(({ at }) => at.map((v) => Math.round(v * 1e6) / 1e6))).toEqual([
      [1, 0],
      [3, 0],
      [5, 0],
      [5, 2],
      [5, 4],
    ]);
    expect(found[3]!.angle).toBeCloseTo(90, 9);
  });
});

describe('points along a ring', () => {
  it('are at no place twice: 22.4 × 16.8 at 2.8 are 28, the corners among them once', () => {
    const ring: (readonly [number, number])[] = [
      [0, 0],
      [22.4, 0],
      [22.4, 16.8],
      [0, 16.8],
    ];
    const found = pointsAlong(ring, true, 2.8, 0);
    expect(found).toHaveLength(28);
    for (const corner of ring)
      expect(found.filter(({ at }) => Math.hypot(at[0] - corner[0], at[1] - corner[1]) < 0.001)).toHaveLength(
        1,
      );
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 3, max: 30 }),
        fc.integer({ min: 3, max: 30 }),
        (spacing, first, long, wide) => {
          const box: (readonly [number, number])[] = [
            [0, 0],
            [long, 0],
            [long, wide],
            [0, wide],
          ];
          const places = pointsAlong(box, true, spacing / 100, first / 100);
          let least = Infinity;
          for (const [i, p] of places.entries())
            for (const q of places.slice(i + 1))
              least = Math.min(least, Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]));
          expect(least).toBeGreaterThan(0.005);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('tapes and traverses', () => {
  it('a steel tape at 35 °C reads 30 m short by 5.2 mm', () => {
    expect(trueLength(30, 35) - 30).toBeCloseTo(0.00522, 5);
    expect(trueLength(30, null)).toBe(30);
  });
  it('shares a misclosure by length: worked by hand', () => {
    // Square of 10 m walked with 40 mm too much east on the first leg: misclosure 40 mm in 40.04 m.
    const walked = bowditch(
      [0, 0],
      [
        [10.04, 0],
        [0, 10],
        [-10, 0],
        [0, -10],
      ],
    );
    expect(walked.misclosure).toBeCloseTo(0.04, 12);
    expect(walked.points[1]![0]).toBeCloseTo(10.04 - (0.04 * 10.04) / 40.04, 12);
    expect(walked.points[4]![0]).toBeCloseTo(0, 12);
    expect(walked.points[4]![1]).toBeCloseTo(0, 12);
  });
  it('3-4-5 that fits 14.4 by 8.4', () => {
    expect(threeFourFive(14.4, 8.4)).toEqual([6, 8, 10]);
    expect(threeFourFive(2.9, 2.1)).toEqual([1.5, 2, 2.5]);
    expect(threeFourFive(1, 1)).toBeNull();
    // 48 × 28 ft: 27, 36 and 45 ft.
    const feet = threeFourFive(48 * 0.3048, 28 * 0.3048, 0.3048)!.map((m) => m / 0.3048);
    expect(feet.map((ft) => Math.round(ft * 1e6) / 1e6)).toEqual([27, 36, 45]);
  });
});

const house = () =>
  plainPlan((p) => {
    p.elements = named(
      strip([
        [0, 8.4],
        [14.4, 8.4],
      ]),
      strip([
        [0, 0],
        [14.4, 0],
      ]),
      strip([
        [0, 0],
        [0, 8.4],
      ]),
      strip([
        [14.4, 0],
        [14.4, 8.4],
      ]),
    );
  });

describe('check sheet', () => {
  it('names the corners and goes over every side and diagonal', () => {
    const lines = checkLines(house());
    expect(setoutPoints(house()).map((p) => p.name)).toEqual(['A', 'B', 'C', 'D']);
    expect(lines.filter((l) => l.kind === 'side')).toHaveLength(4);
    const diagonals = lines.filter((l) => l.kind === 'diagonal');
    expect(diagonals).toHaveLength(2);
    for (const diagonal of diagonals)
      expect(diagonal.distance).toBeCloseTo(Math.sqrt(14.4 ** 2 + 8.4 ** 2), 9);
  });

  it('goes crosswise over a ring of separate trenches however many corners the job has besides', () => {
    const busy = house();
    busy.elements.push(
      ...[20, 30, 40, 50].map((x, i) => ({
        ...strip([
          [x, 0],
          [x, 5],
        ]),
        id: `X${i}`,
        name: `X${i}`,
      })),
    );
    const crossed = checkLines(busy).filter((line) => line.kind === 'diagonal');
    expect(crossed.map((line) => [line.from.name, line.to.name].sort().join(''))).toEqual(
      checkLines(house())
        .filter((line) => line.kind === 'diagonal')
        .map((line) => [line.from.name, line.to.name].sort().join('')),
    );
  });

  it('and boards leave out a floor inside the walls: its edge is theirs', () => {
    const floored = house();
    const floor = raft([
      [0.1, 0.1],
      [14.3, 0.1],
      [14.3, 8.3],
      [0.1, 8.3],
    ]);
    floored.elements.push({ ...floor, id: 'F', name: 'F' });
    expect(setoutPoints(floored)).toEqual(setoutPoints(house()));
    expect(checkLines(floored)).toEqual(checkLines(house()));
    const lines = (plan: Plan) => setoutSheet(plan, compute(plan)).boards.lines.map((line) => line.elements);
    expect(lines(floored)).toEqual(lines(house()));
    // A metre away from them it is set out by itself.
    const outside = structuredClone(floored);
    Object.assign(outside.elements.at(-1)!, { outline: floor.outline.map(([x, y]) => [x + 20, y]) });
    expect(setoutPoints(outside)).toHaveLength(8);
    expect(lines(outside).length).toBe(lines(house()).length + 4);
  });

  const places = new Map(setoutPoints(house()).map((p) => [p.name, p.at]));
  const taped = (moved: string, dx: number, dy: number) =>
    checkLines(house()).map(({ from, to }) => {
      const at = (name: string) => {
        const [x, y] = places.get(name)!;
        return name === moved ? [x + dx, y + dy] : [x, y];
      };
      const [p, q] = [at(from.name), at(to.name)];
      return { from: from.name, to: to.name, distance: Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!) };
    });

  it('finds the corner that was set wrong, and where it stands', () => {
    for (const corner of ['A', 'B', 'C', 'D']) {
      const found = adjust(setoutPoints(house()), taped(corner, 0.03, -0.02), 0.005, null);
      expect(found.ok).toBe(false);
      expect(found.culprit).toMatchObject({ corner });
      expect(found.culprit!.east).toBeCloseTo(0.03, 6);
      expect(found.culprit!.north).toBeCloseTo(-0.02, 6);
      expect(found.culprit!.explains).toBeCloseTo(1, 6);
    }
  });
  it('is content within the tolerance', () => {
    expect(adjust(setoutPoints(house()), taped('A', 0.002, 0.001), 0.005, null)).toMatchObject({
      ok: true,
      culprit: null,
    });
  });
  it('says when three distances make no triangle', () => {
    const lines = taped('A', 0, 0);
    const long = lines.map((l) => (l.from === 'A' && l.to === 'B' ? { ...l, distance: 40 } : l));
    expect(adjust(setoutPoints(house()), long, 0.005, null).impossible?.slice(0, 2)).toEqual(['A', 'B']);
  });
});

describe('boards and strings', () => {
  const boards = (change: (plan: ReturnType<typeof house>) => void = () => {}) => {
    const plan = house();
    change(plan);
    const widths = plan.elements.map(() => ({ footing: 0.3, dug: 0.6 }));
    const openings = [
      [-2, -2, 16.4, -2, 16.4, 2, -2, 2],
      [-2, 6.4, 16.4, 6.4, 16.4, 10.4, -2, 10.4],
      [-2, -2, 2, -2, 2, 10.4, -2, 10.4],
      [12.4, -2, 16.4, -2, 16.4, 10.4, 12.4, 10.4],
    ];
    return { plan, made: boardsOf(plan, widths, openings, []), openings };
  };

  it('stand the offset beyond the dug edge', () => {
    const { made } = boards();
    expect(made.lines).toHaveLength(4);
    const first = made.lines[0]!;
    expect(first.boards[0].at).toEqual([-3, 8.4]);
    expect(first.boards[1].at).toEqual([17.4, 8.4]);
    expect(first.boards[0].nails.map((n) => n.offset)).toEqual([0, 0.3, -0.3, 0.6, -0.6]);
  });
  it('stand clear of every opening, wherever it is', () => {
    const { made, openings } = boards((p) => {
      p.setout.offset = 0.4;
    });
    for (const line of made.lines)
      for (const board of line.boards)
        for (const opening of openings) {
          const xs = opening.filter((_, i) => i % 2 === 0);
          const ys = opening.filter((_, i) => i % 2 === 1);
          const inside =
            board.at[0] > Math.min(...xs) &&
            board.at[0] < Math.max(...xs) &&
            board.at[1] > Math.min(...ys) &&
            board.at[1] < Math.max(...ys);
          expect(inside).toBe(false);
        }
  });
  it('strings that cross are never on one level; two directions take two', () => {
    const { made, plan } = boards();
    expect(made.crossings).toHaveLength(4);
    for (const crossing of made.crossings) expect(crossing.apart).toBeCloseTo(STRING_STEP, 12);
    expect(new Set(made.lines.map((line) => line.level)).size).toBe(2);
    expect(Math.min(...made.lines.map((line) => line.level))).toBe(plan.levels.string);
  });
  it('axes on one line share a string', () => {
    const plan = plainPlan((p) => {
      p.elements = named(
        strip([
          [0, 0],
          [4, 0],
        ]),
        strip([
          [6, 0],
          [9, 0],
        ]),
      );
    });
    const made = boardsOf(
      plan,
      [
        { footing: 0.3, dug: 0.5 },
        { footing: 0.3, dug: 0.6 },
      ],
      [],
      [],
    );
    expect(made.lines).toHaveLength(1);
    expect(made.lines[0]).toMatchObject({ elements: ['E1', 'E2'], length: 11 });
  });
  it('sag: 2 g/m pulled with 100 N over 20 m hangs 9.8 mm, and wants props', () => {
    expect(sagOf(20, 0.002, 100)).toBeCloseTo(0.00980665, 8);
    expect(sagOf(spanFor(MOST_SAG, 0.002, 100), 0.002, 100)).toBeCloseTo(MOST_SAG, 12);
    const line = boards().made.lines[0]!;
    expect(line.props).not.toBeNull();
    expect(sagOf(line.props!, 0.002, 100)).toBeLessThanOrEqual(MOST_SAG + 1e-12);
  });
  it('a board in a heap’s place is named', () => {
    const plan = house();
    const widths = plan.elements.map(() => ({ footing: 0.3, dug: 0.6 }));
    const heap = {
      name: 'West',
      polygon: [
        [-4, 7],
        [-1.2, 7],
        [-1.2, 10],
        [-4, 10],
      ] as const,
    };
    const made = boardsOf(plan, widths, [], [{ name: heap.name, polygon: [...heap.polygon] }]);
    expect(made.lines[0]!.boards[0].blocked).toBeNull();
    plan.setout.offset = 2;
    expect(
      boardsOf(plan, widths, [], [{ ...heap, polygon: [...heap.polygon] }]).lines[0]!.boards[0].blocked,
    ).toBe('West');
  });
});
