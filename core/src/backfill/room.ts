/**
 * The room left in a dig once everything stands in it: of every cell of the dug solid what lies under a
 * level, less what fills it from face to face and less what is built in it. Each of both lies in its own
 * room; where a layer and a prism meet what they share is taken off once. So it is never less than nothing,
 * and rooms under rising levels add up to the whole.
 */
import { type Cell, volumeUnderLevel } from '../dig/solid.ts';
import {
  type Box,
  boxIndex,
  boxOf,
  clip,
  constant,
  edges,
  integral,
  intersect,
  isEmpty,
  type Linear,
  minus,
  type Polygon,
  type PrismPiece,
} from '../geometry/index.ts';
import type { Band } from '../pour/place.ts';

/** What stands in a dig, found by where it stands. */
export interface Built {
  meeting(box: Box): readonly PrismPiece[];
}

export function builtOf(pieces: readonly PrismPiece[]): Built {
  const index = boxIndex(pieces.map(({ plan }) => boxOf(plan)));
  return { meeting: (box) => index.meeting(box).map((i) => pieces[i]!) };
}

/** m³ of a cell under the lowest of some levels; under none all of it. */
function under(cell: Cell, levels: readonly Linear[]): number {
  const [first, second, ...more] = levels;
  if (!first) return Math.max(0, integral(cell.area, cell.depth));
  if (!second) return volumeUnderLevel(cell, first);
  const over = minus(first, second);
  if (over.a === 0 && over.b === 0) return under(cell, [over.c > 0 ? second : first, ...more]);
  const low = clip(cell.area, over);
  const high = clip(cell.area, { a: -over.a, b: -over.b, c: -over.c });
  return (
    (isEmpty(low) ? 0 : under({ ...cell, area: low }, [first, ...more])) +
    (isEmpty(high) ? 0 : under({ ...cell, area: high }, [second, ...more]))
  );
}

/** m³ of a band of a cell under some levels. */
const ofBand = (cell: Cell, { from, to }: Band, levels: readonly Linear[]): number =>
  under(cell, [to, ...levels]) - under(cell, [from, ...levels]);

/** Both level, and apart. */
const apart = ({ from, to }: Band, { from: low, to: high }: Band): boolean =>
  [from, to, low, high].every(({ a, b }) => a === 0 && b === 0) && (to.c <= low.c || from.c >= high.c);

/** A cell of a dig with what stands in it, asked for its room. */
export interface Room {
  readonly cell: Cell;
  /** @param levels m³ under the lowest of these; none: all of it */
  under(levels: readonly Linear[]): number;
  /** The room of a convex piece of it. */
  within(walls: readonly Linear[]): Room | null;
}

interface Standing {
  readonly area: Polygon;
  readonly band: Band;
}

function roomWith(cell: Cell, bands: readonly Band[], standing: readonly Standing[]): Room {
  return {
    cell,
    under(levels) {
      let room = under(cell, levels);
      for (const band of bands) room -= ofBand(cell, band, levels);
      for (const { area, band } of standing) {
        const own = { ...cell, area };
        room -= ofBand(own, band, levels);
        for (const layer of bands)
          if (!apart(band, layer))
            room += ofBand(own, layer, [band.to, ...levels]) - ofBand(own, layer, [band.from, ...levels]);
      }
      return Math.max(0, room);
    },
    within(walls) {
      const area = intersect(cell.area, walls);
      if (isEmpty(area)) return null;
      const inside = standing.flatMap((one) => {
        const left = intersect(one.area, walls);
        return isEmpty(left) ? [] : [{ ...one, area: left }];
      });
      return roomWith({ ...cell, area }, bands, inside);
    },
  };
}

/** The room of one cell. @param bands of the part it is of */
export function roomIn(cell: Cell, bands: readonly Band[], built: Built): Room {
  const walls = edges(cell.area);
  const standing = built.meeting(boxOf(cell.area)).flatMap((piece) => {
    const area = intersect(piece.plan, walls);
    return isEmpty(area)
      ? []
      : piece.spans.map(([from, to]) => ({ area, band: { from: constant(from), to: constant(to) } }));
  });
  return roomWith(cell, bands, standing);
}
