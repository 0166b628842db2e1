/** Boxes found by where they lie, so that what is asked of a place is asked of its neighbours and not of the whole job. */
import Flatbush from 'flatbush';
import { type Box, boxesMeet } from './convex.ts';

export interface BoxIndex {
  /** Positions of the boxes that meet a box (`boxesMeet`), in rising order. */
  meeting(box: Box): number[];
}

const NONE: BoxIndex = { meeting: () => [] };

/** Farther than any job, m. */
const FAR_OFF = 1e9;

/** An index over boxes, m; one that is empty (x0 > x1) meets nothing. It is not told of boxes altered later. */
export function boxIndex(boxes: readonly Box[]): BoxIndex {
  if (boxes.length === 0) return NONE;
  const tree = new Flatbush(boxes.length);
  // What is empty lies nowhere, but a tree wants numbers.
  for (const { x0, y0, x1, y1 } of boxes)
    if (x0 <= x1) tree.add(x0, y0, x1, y1);
    else tree.add(FAR_OFF, FAR_OFF, FAR_OFF, FAR_OFF);
  tree.finish();
  return {
    meeting: (box) =>
      tree
        .search(box.x0, box.y0, box.x1, box.y1)
        .filter((i) => boxesMeet(box, boxes[i]!))
        .sort((p, q) => p - q),
  };
}
