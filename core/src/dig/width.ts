/** Bottom widths: what is needed, what the bucket makes of it. */

import { offset, perimeter, tidy } from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import { FORMS, type Support } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { oldWallOf, outlineOf } from '../plan/variants.ts';
import { shapeOf } from '../setout/index.ts';
import { sizesOf } from '../setout/places.ts';
import { roomOf } from '../setout/room.ts';

export interface DigWidth {
  readonly needed: number;
  readonly dug: number;
  readonly bucket: number;
  readonly passes: number;
}

const WHOLE = 1e-9;

/**
 * Width dug for a needed width. Trench-fill takes a whole number of bucket passes, since concrete
 * fills what was dug; a formed trench is dug to size in overlapping passes, but never narrower
 * than one bucket.
 * @param chosen bucket width the person picked; null picks the one that digs least, then quickest
 */
export function digWidth(
  needed: number,
  method: Element['method'],
  chosen: number | null,
  buckets: readonly number[],
): DigWidth {
  const options = (chosen === null ? buckets : [chosen]).map((bucket) => {
    const passes = Math.max(1, Math.ceil(needed / bucket - WHOLE));
    const dug = method === 'trenchFill' ? passes * bucket : Math.max(needed, bucket);
    return { needed, dug, bucket, passes };
  });
  return options.reduce((best, option) =>
    option.dug < best.dug - WHOLE || (option.dug < best.dug + WHOLE && option.passes < best.passes)
      ? option
      : best,
  );
}

/** Steeper than this, H:V, a side is upright: what its planes divide by would leave nothing. */
const UPRIGHT = 1e-6;

export function slopeOf(plan: Plan, element: Element): number {
  const slope = element.slope ?? plan.dig.slope;
  return slope < UPRIGHT ? 0 : slope;
}
export const supportOf = (plan: Plan, element: Element): Support => element.support ?? plan.dig.support;

/**
 * A strip's width, or two plan sizes of anything else. The bucket is taken across the narrower
 * of a pad; outlined pits and ramps are wider than any bucket and dug to size.
 */
export function bottomOf(plan: Plan, element: Element): { width: DigWidth; length: number | null } {
  const room = roomOf(plan, element);
  const size = (footing: number) =>
    digWidth(footing + 2 * room, element.method, element.bucket, plan.dig.buckets);
  const { across, along } = sizesOf(element);
  switch (FORMS[element.kind]) {
    case 'run': {
      const width = size(across);
      const old = oldWallOf(element);
      // Under an old wall people dig, from the pit that lets them in.
      const under = old && old.thickness + old.access;
      return { width: under === null ? width : { ...width, needed: under, dug: under }, length: null };
    }
    case 'pad': {
      const width = size(across);
      return { width, length: Math.max(along + 2 * room, width.bucket) };
    }
    case 'outline':
    case 'ramp': {
      const { bucket, passes } = size(across);
      const needed = across + 2 * room;
      return {
        width: { needed, dug: needed, bucket, passes },
        length: along > 0 ? along + 2 * room : null,
      };
    }
  }
}

/** Round the dug bottom of an element that stands alone, m: what cloth is turned up along. */
export function bottomPerimeter(plan: Plan, element: Element): number {
  const outline = outlineOf(element);
  if (outline) {
    return perimeter(offset(tidy(outline), roomOf(plan, element)) ?? outline);
  }
  const { width, length } = bottomOf(plan, element);
  const along = length ?? sizesOf(element).along;
  return 2 * along + (shapeOf(element).closed(element) ? 0 : 2 * width.dug);
}
