/**
 * Sides of what stands in the fill: of a wall along a run left and right of it, of a box the four it faces;
 * round a column and beside what has no wall fill lies as one.
 */
import { type Linear, type Polygon, tidy } from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import type { Side } from '../plan/kinds.ts';
import { boxElementOf, runOf } from '../plan/variants.ts';
import { axisOf } from '../setout/index.ts';

/** A side with the half-planes it lies in. */
export interface Facing {
  readonly side: Side;
  readonly walls: readonly Linear[];
  /** Which way it looks, a unit vector; null: all round, or along a bent run. */
  readonly toward: readonly [number, number] | null;
}

const ALL: readonly Facing[] = [{ side: 'all', walls: [], toward: null }];

/** A box by the diagonals of the rectangle about it, which lies along its longest face. */
function boxFacings(outline: readonly (readonly [number, number])[]): readonly Facing[] {
  const corners = tidy(outline);
  const longest = corners.reduce(
    (best, [x, y], i) => {
      const [u, v] = corners[(i + 1) % corners.length]!;
      const length = Math.hypot(u - x, v - y);
      return length > best.length + 1e-9 ? { length, ux: (u - x) / length, uy: (v - y) / length } : best;
    },
    { length: 0, ux: 1, uy: 0 },
  );
  const { ux, uy } = longest;
  const along = corners.map(([x, y]) => x * ux + y * uy);
  const across = corners.map(([x, y]) => y * ux - x * uy);
  const span = (of: readonly number[]) => [Math.min(...of), Math.max(...of)] as const;
  const [[s0, s1], [t0, t1]] = [span(along), span(across)];
  const at = (s: number, t: number) => [s * ux - t * uy, s * uy + t * ux] as const;
  const middle = at((s0 + s1) / 2, (t0 + t1) / 2);
  const rim = [at(s0, t0), at(s1, t0), at(s1, t1), at(s0, t1)] as const;
  return (['a', 'b', 'c', 'd'] as const).map((side, i): Facing => {
    const [p, q] = [rim[i]!, rim[(i + 1) % 4]!];
    const [dx, dy] = [
      (q[0] - p[0]) / Math.hypot(q[0] - p[0], q[1] - p[1]) || 0,
      (q[1] - p[1]) / Math.hypot(q[0] - p[0], q[1] - p[1]) || 0,
    ];
    return { side, walls: [leftOf(middle, p), leftOf(q, middle)], toward: [dy, -dx] };
  });
}

/** The half-plane to the left of a line from one place to another. */
function leftOf(from: readonly [number, number], to: readonly [number, number]): Linear {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  return { a: dy, b: -dx, c: dx * from[1] - dy * from[0] };
}

/** Whether a wall stands in the fill of an element. */
export const standsIn = (element: Element): boolean =>
  element.rising !== null || boxElementOf(element) !== null;

/** Sides of an element in general: those its fill is told by. */
export function sidesOf(element: Element): readonly Side[] {
  if (boxElementOf(element)) return ['a', 'b', 'c', 'd'];
  return element.rising !== null && runOf(element) ? ['left', 'right'] : ['all'];
}

/** What of a piece of plan lies on which side: by the nearest run of a bent one. */
export function facingsOf(element: Element): (piece: Polygon) => readonly Facing[] {
  const box = boxElementOf(element);
  if (box) {
    const facings = boxFacings(box.outline);
    return () => facings;
  }
  if (element.rising === null || !runOf(element)) return () => ALL;
  const runs = axisOf(element).map((run) => ({
    run,
    facings: [
      { side: 'left', walls: [leftOf(run.from, run.to)], toward: [-run.uy, run.ux] },
      { side: 'right', walls: [leftOf(run.to, run.from)], toward: [run.uy, -run.ux] },
    ] as const satisfies readonly Facing[],
  }));
  return (piece) => {
    const [x, y] = [mean(piece, 0), mean(piece, 1)];
    const nearest = runs.reduce<{ far: number; own: readonly Facing[] }>(
      (best, { run, facings }) => {
        const along = Math.max(
          0,
          Math.min(run.length, (x - run.from[0]) * run.ux + (y - run.from[1]) * run.uy),
        );
        const far = Math.hypot(x - run.from[0] - along * run.ux, y - run.from[1] - along * run.uy);
        return far < best.far - 1e-9 ? { far, own: facings } : best;
      },
      { far: Infinity, own: ALL },
    );
    return nearest.own;
  };
}

/** The side of an element that looks a way, at a place: what a cut through it meets there. */
export function sideFacing(
  element: Element,
  at: readonly [number, number],
  [dx, dy]: readonly [number, number],
): Side {
  const looks = ({ toward }: Facing) => (toward ? toward[0] * dx + toward[1] * dy : 0);
  return facingsOf(element)([...at]).reduce((best, one) => (looks(one) > looks(best) ? one : best)).side;
}

/** Which way a side of an element looks on the whole; null: all round, or round its bends. */
export function towardOf(element: Element, side: Side): readonly [number, number] | null {
  const runs = axisOf(element);
  if (runs.length > 1 || side === 'all') return null;
  const run = runs[0];
  const at = run
    ? ([(run.from[0] + run.to[0]) / 2, (run.from[1] + run.to[1]) / 2] as const)
    : ([0, 0] as const);
  return facingsOf(element)([...at]).find((one) => one.side === side)?.toward ?? null;
}

function mean(piece: Polygon, from: 0 | 1): number {
  let sum = 0;
  for (let i = from; i < piece.length; i += 2) sum += piece[i]!;
  return (2 * sum) / piece.length;
}
