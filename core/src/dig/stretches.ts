/** Cuts the plan pieces of a stepped strip where its bottom steps. */

import { intersect, type Linear, type Polygon } from '../geometry/index.ts';
import type { Stepped } from '../levels/steps.ts';
import type { Element } from '../plan/elements.ts';
import { axisOf } from '../setout/index.ts';

export interface StretchPiece {
  readonly plan: Polygon;
  readonly stretch: number;
  /** The face towards a higher neighbour, cut upright. */
  readonly risers: readonly Linear[];
}

/**
 * @param pieces one a run, in order, as `footprints` gives them
 * @param steps null: the whole element is stretch 0
 */
export function splitByStretch(
  element: Element,
  pieces: readonly Polygon[],
  steps: Stepped | null,
): StretchPiece[] {
  const runs = axisOf(element);
  if (!steps || runs.length === 0) return pieces.map((plan) => ({ plan, stretch: 0, risers: [] }));
  return steps.stretches.flatMap((stretch, i): StretchPiece[] => {
    const piece = pieces[stretch.run];
    const run = runs[stretch.run];
    if (!piece || !run) return [];
    const [x, y] = run.from;
    /** Past s along the run. */
    const past = (s: number): Linear => ({ a: run.ux, b: run.uy, c: -(run.ux * x + run.uy * y) - s });
    const before = (s: number): Linear => {
      const { a, b, c } = past(s);
      return { a: -a, b: -b, c: -c };
    };
    const previous = steps.stretches[i - 1];
    // The first and the last of a run take in what closes its corners.
    const start = previous?.run === stretch.run ? [before(stretch.s0)] : [];
    const end = stretch.nextUnderside !== null ? [past(stretch.s1)] : [];
    const plan = intersect(piece, [...start, ...end]);
    if (plan.length === 0) return [];
    const upBefore = previous?.run === stretch.run && previous.underside > stretch.underside;
    const upAfter = stretch.nextUnderside !== null && stretch.nextUnderside > stretch.underside;
    return [{ plan, stretch: i, risers: [...(upBefore ? start : []), ...(upAfter ? end : [])] }];
  });
}
