/** Boxes of a job against the ground water, as it stands and as high as it comes in the year. */

import { area, flat, offset, tidy } from '../geometry/index.ts';
import type { Plan } from '../plan/schema.ts';
import { boxElementOf } from '../plan/variants.ts';
import { type BoxFloat, boxFloats } from '../water/index.ts';
import type { ElementTakeoff } from './element.ts';

/** Water a box is held against: the highest anybody knows of; null when nobody knows any. */
const highestWater = ({ ground }: Plan, { water }: Pick<ElementTakeoff, 'water'>): number | null => {
  const known = [water, ground.waterHigh].filter((level) => level !== null);
  return known.length > 0 ? Math.max(...known) : null;
};

export interface BoxWater {
  /** Level it is held against, m; null: nobody knows. */
  readonly water: number | null;
  /** Of the box's underside, m. */
  readonly underside: number;
  readonly states: readonly BoxFloat[];
}

/** A box through its states; null of what is none. */
export function floatsOf(plan: Plan, info: ElementTakeoff): BoxWater | null {
  const { element, live, underside, groundLow } = info;
  const box = live ? boxElementOf(element) : null;
  if (!box) return null;
  const outline = tidy(box.outline);
  const inside = offset(outline, -box.wall);
  const water = highestWater(plan, info);
  return {
    water,
    underside,
    states: boxFloats(
      {
        outer: Math.abs(area(flat(outline))),
        inner: inside ? Math.abs(area(flat(inside))) : 0,
        base: box.thickness,
        height: box.height,
        roof: box.roof,
        cover: Math.max(0, groundLow - (underside + box.height)),
      },
      water === null ? 0 : water - underside,
    ),
  };
}
