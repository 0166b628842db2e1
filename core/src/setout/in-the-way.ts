/** Boards the machine would drive over while it digs. */
import { alongside, clipLine, edges } from '../geometry/index.ts';
import type { Boards } from './batter-boards.ts';

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
/**
 * Boards on the ground the tracks take. They are put up after, or taken down and put back from the
 * nails' marks.
 * @param stands in the order of digging
 * @param width of the machine over its tracks, m
 */
export function boardsInTheWay(boards: Boards, stands: readonly Stand[], width: number): InTheWay[] {
  return stands.flatMap((stand) => {
    const half = width / 2 + TRACK_ROOM;
    // As wide as the machine, half of it past either end.
    const tracks = edges(alongside(stand.start, stand.finish, half, half));
    return boards.lines.flatMap((line) =>
      line.boards.flatMap((board): InTheWay[] => {
        const [x, y] = board.from;
        const [dx, dy] = [board.to[0] - x, board.to[1] - y];
        const length = Math.hypot(dx, dy);
        const hit = clipLine(x, y, dx / length, dy / length, [0, length], tracks) !== null;
        return hit ? [{ board: board.name, line: line.name, id: stand.id }] : [];
      }),
    );
  });
}
