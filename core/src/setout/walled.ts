/** Floors inside walls. */

import { distanceToLine } from '../geometry/index.ts';
import type { Element, Raft } from '../plan/elements.ts';
import { runOf, slabOf, traitsOf } from '../plan/variants.ts';

/** Walls on footings of their own stand along all sides of a slab: no open ground lies beside it, and its edge is theirs. */
export function walledIn(elements: readonly Element[], { outline }: Raft): boolean {
  const runs = elements.flatMap((element) => (traitsOf(element).drains ? [] : (runOf(element) ?? [])));
  return outline.every(([x, y], i) => {
    const [u, v] = outline[(i + 1) % outline.length]!;
    const [mx, my] = [(x + u) / 2, (y + v) / 2];
    return runs.some(({ points, closed, width }) =>
      points.some((p, k) => {
        const q = points[k + 1] ?? (closed ? points[0] : undefined);
        return q !== undefined && distanceToLine(p, q, mx, my) <= width / 2;
      }),
    );
  });
}

/** What is set out by itself: a floor inside walls is not. */
export const setOut = (elements: readonly Element[]): Element[] =>
  elements.filter((element) => {
    const slab = slabOf(element);
    return !slab || !walledIn(elements, slab);
  });
