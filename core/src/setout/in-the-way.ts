/** Boards the machine would drive over while it digs. */
import { contains } from '../geometry/index.ts';
import type { Boards } from './boards.ts';

type Point = readonly [number, number];

/** A way the machine takes along a trench, from where it first stands to where it stands last. */
export interface Stand {
  readonly id: string;
  readonly start: Point;
  readonly finish: Point;
}

export interface InTheWay {
  /** The board, and the string it holds. */
  readonly board: string;
  readonly line: string;
  /** The dig whose machine it stands before. */
  readonly id: string;
}

/** Left between a board and the tracks, m. */
const TRACK_ROOM = 0.2;
/** Boards are looked at every so far along, m. */
const STEP = 0.1;

/** Outline of the ground the tracks take on a way: as wide as the machine, half of it past either end. */
function tracks({ start, finish }: Stand, width: number): Point[] {
  const length = Math.hypot(finish[0] - start[0], finish[1] - start[1]);
  const [ux, uy] =
    length > 1e-6 ? [(finish[0] - start[0]) / length, (finish[1] - start[1]) / length] : [1, 0];
  const half = width / 2 + TRACK_ROOM;
  const at = ([x, y]: Point, along: number, across: number): Point => [
    x + ux * along - uy * across,
    y + uy * along + ux * across,
  ];
  return [at(start, -half, -half), at(finish, half, -half), at(finish, half, half), at(start, -half, half)];
}

/**
 * Boards on the ground the tracks take. They are put up after, or taken down and put back from the
 * nails' marks.
 * @param stands in the order of digging
 * @param width of the machine over its tracks, m
 */
export function boardsInTheWay(boards: Boards, stands: readonly Stand[], width: number): InTheWay[] {
  return stands.flatMap((stand) => {
    const outline = tracks(stand, width);
    return boards.lines.flatMap((line) =>
      line.boards.flatMap((board): InTheWay[] => {
        const [dx, dy] = [board.to[0] - board.from[0], board.to[1] - board.from[1]];
        const count = Math.max(1, Math.ceil(Math.hypot(dx, dy) / STEP));
        const hit = Array.from({ length: count + 1 }, (_, k) => k / count).some((s) =>
          contains(outline, board.from[0] + dx * s, board.from[1] + dy * s),
        );
        return hit ? [{ board: board.name, line: line.name, id: stand.id }] : [];
      }),
    );
  });
}
