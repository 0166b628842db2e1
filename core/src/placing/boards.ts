/**
 * Boards of a form by calculation: how long each is along both faces of what is cast, at every bend, end and step. A board lies
 * behind the face it forms, so at a bend away from it (an outside corner) it has to be longer than the face, and at one
 * toward it (an inside corner) boards meet in front of each other: mitred they are cut to the bisector, lapped one runs
 * through and the other is let in, or runs past. Lengths are of the longer edge of a board.
 */

import type { BoardCorner } from '../plan/kinds.ts';

type Point = readonly [number, number];

export interface FormBoard {
  /** m, of the face it forms, and of the board as it is cut. */
  readonly face: number;
  readonly length: number;
  /** Where the face runs. */
  readonly from: Point;
  readonly to: Point;
}

/** Bends less than this are none, rad. */
const STRAIGHT = 1e-6;

interface Edge {
  readonly from: Point;
  readonly to: Point;
  readonly length: number;
  readonly angle: number;
}

const edgesOf = (points: readonly Point[], closed: boolean): Edge[] => {
  const count = closed ? points.length : points.length - 1;
  const out: Edge[] = [];
  for (let i = 0; i < count; i++) {
    const [from, to] = [points[i]!, points[(i + 1) % points.length]!];
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (length > 1e-9) out.push({ from, to, length, angle: Math.atan2(to[1] - from[1], to[0] - from[0]) });
  }
  return out;
};

/** −π…π, anticlockwise positive. */
const turned = (from: Edge, to: Edge): number => {
  const turn = to.angle - from.angle;
  return turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
};

/** What a mitred board is longer than its face at an outside corner. */
const mitre = (bend: number, t: number): number => t * Math.tan(bend / 2);
/** What the board that runs past another at an outside corner is longer. */
const past = (bend: number, t: number): number => (bend < Math.PI / 2 ? t * Math.sin(bend) : t);
/** What a board let in at an inside corner is shorter, cut square. */
const letIn = (bend: number, t: number): number => {
  const inside = Math.PI - bend;
  return (t * (1 + Math.max(0, Math.cos(inside)))) / Math.sin(inside);
};

/**
 * Boards along one face.
 * @param face points of the face, concrete on its left; closed: the last runs to the first
 * @param thickness of the boards, m
 * @param corner how they meet
 */
export function boardsAlong(
  face: readonly Point[],
  closed: boolean,
  thickness: number,
  corner: BoardCorner,
): FormBoard[] {
  const edges = edgesOf(face, closed);
  /** What is added to an edge at the corner with another. Concrete lies left, so a bend to the left is an outside corner. */
  const added = (edge: Edge, other: Edge | undefined, turn: number, isFirst: boolean): number => {
    const bend = Math.abs(turn);
    if (!other || bend < STRAIGHT) return 0;
    if (corner === 'mitred') return turn > 0 ? mitre(bend, thickness) : 0;
    const through =
      edge.length > other.length + 1e-9 || (Math.abs(edge.length - other.length) <= 1e-9 && isFirst);
    if (turn > 0) return through ? past(bend, thickness) : 0;
    return through ? 0 : -letIn(bend, thickness);
  };
  return edges.map((edge, i): FormBoard => {
    const before = edges[i - 1] ?? (closed ? edges.at(-1) : undefined);
    const after = edges[i + 1] ?? (closed ? edges[0] : undefined);
    const start = before ? added(edge, before, turned(before, edge), false) : 0;
    const end = after ? added(edge, after, turned(edge, after), true) : 0;
    return {
      face: edge.length,
      length: Math.max(0, edge.length + start + end),
      from: edge.from,
      to: edge.to,
    };
  });
}
