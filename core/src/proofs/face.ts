/** The dug face told place by place from the parts alone: no cutting up, no cells. Slow and plain. */
import type { Corners, Part } from '../dig/index.ts';
import { at, type Box, boxOf, edges, type Linear, type Polygon } from '../geometry/index.ts';

/** Farther from its bottom than this times its slope no face is under the ground, m of depth. */
const DEEPEST = 22;

interface Side {
  readonly part: Part;
  readonly sides: readonly Linear[];
  readonly box: Box;
}

/** Distance in plan from a place outside a convex polygon to it, m. */
function outside(bottom: Polygon, x: number, y: number): number {
  let least = Infinity;
  for (let i = 0; i < bottom.length; i += 2) {
    const [ax, ay] = [bottom[i]!, bottom[i + 1]!];
    const j = (i + 2) % bottom.length;
    const [dx, dy] = [bottom[j]! - ax, bottom[j + 1]! - ay];
    const share = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(x - ax - share * dx, y - ay - share * dy));
  }
  return least;
}

/** Level of one part's face at a place; Infinity where it digs nothing. */
function faceOf({ part, sides }: Side, corners: Corners, x: number, y: number): number {
  const floor = at(part.floor, x, y);
  if (part.risers.some((riser) => at(riser, x, y) > 0)) return Infinity;
  if (part.mitre > 0) {
    const out = [sides[0]!, ...part.rounding].map((side) => at(side, x, y));
    return floor + Math.max(0, ...out) / part.slope;
  }
  const out = Math.max(...sides.map((side) => at(side, x, y)));
  if (out <= 0) return floor;
  if (part.slope <= 0) return Infinity;
  const away = corners === 'rounded' && part.risers.length === 0 ? outside(part.bottom, x, y) : out;
  return floor + away / part.slope;
}

export interface Deepest {
  readonly level: number;
  /** Position of the part whose face it is. */
  readonly part: number;
}

/** A reader of the lowest face of all parts at any place; null where nothing is dug by them. */
export function faces(parts: readonly Part[], corners: Corners): (x: number, y: number) => Deepest | null {
  const list = parts.map((part): Side => {
    const { x0, y0, x1, y1 } = boxOf(part.bottom);
    const by = 0.01 + DEEPEST * part.slope;
    return {
      part,
      sides: edges(part.bottom),
      box: { x0: x0 - by, y0: y0 - by, x1: x1 + by, y1: y1 + by },
    };
  });
  return (x, y) => {
    let level = Infinity;
    let owner = -1;
    list.forEach((side, i) => {
      const { x0, y0, x1, y1 } = side.box;
      if (x < x0 || x > x1 || y < y0 || y > y1) return;
      const here = faceOf(side, corners, x, y);
      if (here < level) {
        level = here;
        owner = i;
      }
    });
    return owner < 0 ? null : { level, part: owner };
  };
}
