/** Bottom widths: what is needed, what the bucket makes of it. */
import type { Element, Plan } from '../plan/schema.ts';

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

/** Space beside the footing on each side: form and boots for a formed one, none for trench-fill. */
export const roomOf = (plan: Plan, element: Element): number =>
  element.method === 'trenchFill' ? 0 : (element.room ?? plan.dig.room);

export const slopeOf = (plan: Plan, element: Element): number => element.side ?? plan.dig.side;

/** A strip's width, or a pad's two plan sizes with the bucket taken across the narrower. */
export function bottomOf(plan: Plan, element: Element): { width: DigWidth; length: number | null } {
  const room = roomOf(plan, element);
  const size = (footing: number) =>
    digWidth(footing + 2 * room, element.method, element.bucket, plan.dig.buckets);
  if (element.kind === 'strip') return { width: size(element.width), length: null };
  const narrow = Math.min(element.length, element.width);
  const wide = Math.max(element.length, element.width) + 2 * room;
  const width = size(narrow);
  return { width, length: Math.max(wide, width.bucket) };
}
