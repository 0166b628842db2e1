import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute, setoutSheet } from '../compute/index.ts';
import type { RecordValue } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import { honeyHouse, named, plainPlan, strip, tank } from '../testing.ts';
import { boardsInTheWay } from './in-the-way.ts';
import { checkLines, setoutPoints } from './index.ts';
import { shareOuts } from './share.ts';

const wall = (x0: number, y0: number, x1: number, y1: number) =>
  strip([
    [x0, y0],
    [x1, y1],
  ]);
/** A ring of four walls, 12 × 9, with a cross wall at 5. */
const house = () =>
  plainPlan((p) => {
    p.elements = named(
      wall(0, 0, 12, 0),
      wall(12, 0, 12, 9),
      wall(0, 9, 12, 9),
      wall(0, 0, 0, 9),
      wall(5, 0, 5, 9),
    );
  });
const name = (plan: Plan, x: number, y: number) =>
  setoutPoints(plan).find((p) => Math.hypot(p.at[0] - x, p.at[1] - y) < 1e-6)!.name;
/** What was taped, by plan: records stand beside it. */
const lines = new Map<Plan, RecordValue<'taped'>[]>();
const tapedOn = (plan: Plan) => lines.get(plan) ?? [];
const tape = (plan: Plan, from: [number, number], to: [number, number], distance: number) =>
  lines.set(plan, [...tapedOn(plan), { from: name(plan, ...from), to: name(plan, ...to), distance }]);
const loops = (plan: Plan) => shareOuts(checkLines(plan), tapedOn(plan), plan.setout.temperature);

describe('a taped loop brought to close', () => {
  it('closes by nothing when every side is as planned', () => {
    const plan = house();
    tape(plan, [0, 0], [12, 0], 12);
    tape(plan, [12, 0], [12, 9], 9);
    tape(plan, [0, 9], [12, 9], 12);
    tape(plan, [0, 0], [0, 9], 9);
    const [loop, ...more] = loops(plan);
    expect(more).toEqual([]);
    expect(loop!.length).toBe(42);
    expect(loop!.misclosure).toBeCloseTo(0, 12);
    expect(loop!.corners.every((c) => Math.abs(c.east) + Math.abs(c.north) < 1e-12)).toBe(true);
  });

  it('one side 21 mm long: shared out by the length walked, a seventh by the first 6 m', () => {
    const plan = plainPlan((p) => {
      p.elements = named(
        tank([
          [0, 0],
          [6, 0],
          [6, 15],
          [0, 15],
        ]),
      );
    });
    tape(plan, [0, 0], [6, 0], 6.021);
    tape(plan, [6, 0], [6, 15], 15);
    tape(plan, [6, 15], [0, 15], 6);
    tape(plan, [0, 15], [0, 0], 15);
    const [loop] = loops(plan);
    expect(loop!.east).toBeCloseTo(0.021, 9);
    expect(loop!.north).toBeCloseTo(0, 9);
    expect(loop!.misclosure).toBeCloseTo(0.021, 9);
    // −21 mm × the share of 42.021 m walked to each corner.
    const walked = [0, 6.021, 21.021, 27.021];
    const start = loop!.corners.findIndex((c) => c.name === name(plan, 0, 0));
    const from0 = [...loop!.corners.slice(start), ...loop!.corners.slice(0, start)];
    expect(start).toBe(0);
    from0.forEach((corner, i) => {
      expect(corner.east).toBeCloseTo((-0.021 * walked[i]!) / 42.021, 9);
      expect(corner.north).toBeCloseTo(0, 9);
    });
  });

  it('goes round every room when the walls are taped in pieces, and round the house when whole', () => {
    const plan = house();
    for (const [x0, y0, x1, y1] of [
      [0, 0, 5, 0],
      [5, 0, 12, 0],
      [12, 0, 12, 9],
      [5, 9, 12, 9],
      [0, 9, 5, 9],
      [0, 0, 0, 9],
      [5, 0, 5, 9],
    ] as const)
      tape(plan, [x0, y0], [x1, y1], Math.hypot(x1 - x0, y1 - y0));
    // Taped whole as well, one wall counts once.
    tape(plan, [0, 0], [12, 0], 12.5);
    const rooms = loops(plan);
    expect(rooms.map((loop) => loop.length).sort()).toEqual([28, 32]);
    expect(rooms.every((loop) => loop.misclosure < 1e-9)).toBe(true);
    const open = house();
    tape(open, [0, 0], [12, 0], 12);
    tape(open, [12, 0], [12, 9], 9);
    tape(open, [0, 9], [12, 9], 12);
    expect(loops(open)).toEqual([]);
  });

  it('reads the tape at its temperature: 42 m of steel at 40 °C are 10 mm more, and still close', () => {
    const plan = house();
    plan.setout.temperature = 40;
    tape(plan, [0, 0], [12, 0], 12);
    tape(plan, [12, 0], [12, 9], 9);
    tape(plan, [0, 9], [12, 9], 12);
    tape(plan, [0, 0], [0, 9], 9);
    const [loop] = loops(plan);
    expect(loop!.length).toBeCloseTo(42 * (1 + 11.6e-6 * 20), 9);
    expect(loop!.misclosure).toBeCloseTo(0, 9);
  });

  it('whatever is taped, the shares end where the loop began', () => {
    const off = fc.double({ min: -0.05, max: 0.05, noNaN: true });
    fc.assert(
      fc.property(off, off, off, off, (a, b, c, d) => {
        const plan = house();
        tape(plan, [0, 0], [12, 0], 12 + a);
        tape(plan, [12, 0], [12, 9], 9 + b);
        tape(plan, [0, 9], [12, 9], 12 + c);
        tape(plan, [0, 0], [0, 9], 9 + d);
        const [loop] = loops(plan);
        // Anticlockwise: out east, up north, back west, down.
        expect(loop!.east).toBeCloseTo(a - c, 9);
        expect(loop!.north).toBeCloseTo(b - d, 9);
        // No corner is moved by more than the whole misclosure.
        for (const corner of loop!.corners)
          expect(Math.hypot(corner.east, corner.north)).toBeLessThanOrEqual(loop!.misclosure + 1e-12);
      }),
      { numRuns: 60 },
    );
  });
});

describe('boards in the way of the machine', () => {
  it('one beyond the end it backs over is; the others are not', () => {
    const plan = plainPlan((p) => {
      p.elements = named(wall(0, 0, 10, 0));
    });
    const { boards } = setoutSheet(plan, compute(plan));
    const [line] = boards.lines;
    const [west, east] = line!.boards;
    const backs = { id: 'E1', start: [6, 0], finish: [15, 0] } as const;
    expect(boardsInTheWay(boards, [backs], 2.3)).toEqual([{ board: east.name, line: line!.name, id: 'E1' }]);
    const other = { id: 'E1', start: [4, 0], finish: [-5, 0] } as const;
    expect(boardsInTheWay(boards, [other], 2.3).map((b) => b.board)).toEqual([west.name]);
    // Standing beside the trench it passes the boards' ends by.
    const beside = { id: 'E1', start: [0, 6], finish: [10, 6] } as const;
    expect(boardsInTheWay(boards, [beside], 2.3)).toEqual([]);
    expect(boardsInTheWay(boards, [], 2.3)).toEqual([]);
  });

  it('of the honey house are told with the dig they stand before', () => {
    const plan = honeyHouse();
    const { boards } = setoutSheet(plan, compute(plan));
    const t2 = { id: 'T2', start: [5, 0], finish: [19, 0] } as const;
    const hit = boardsInTheWay(boards, [t2], 2.3);
    expect(hit.length).toBeGreaterThan(0);
    for (const { board } of hit)
      expect(boards.lines.flatMap((l) => l.boards.map((b) => b.name))).toContain(board);
  });
});
