/**
 * The room left in a dig once everything stands in it: of every cell of the dug solid what lies under a
 * level, less what fills it from face to face and less what is built in it. Each of both lies in its own
 * room; where a layer and a prism meet what they share is taken off once. So it is never less than nothing,
 * and rooms under rising levels add up to the whole.
 */
import { type Cell, type Cut, volumeUnderLevel } from '../dig/solid.ts';
import {
  type Box,
  boxesMeet,
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
  unionBox,
} from '../geometry/index.ts';
import type { Band } from '../pour/place.ts';

/** What stands in a dig, found by where it stands. */
export interface Built {
  meeting(box: Box): readonly Boxed[];
}

interface Boxed {
  readonly box: Box;
  readonly piece: PrismPiece;
}

export function builtOf(pieces: readonly PrismPiece[]): Built {
  const all = pieces.map((piece): Boxed => ({ piece, box: boxOf(piece.plan) }));
  const index = boxIndex(all.map(({ box }) => box));
  return { meeting: (box) => index.meeting(box).map((i) => all[i]!) };
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

interface Standing {
  readonly area: Polygon;
  readonly band: Band;
}

const sameLinear = (p: Linear, q: Linear): boolean => p.a === q.a && p.b === q.b && p.c === q.c;
const sameLinears = (p: readonly Linear[], q: readonly Linear[]): boolean =>
  p.length === q.length && p.every((one, i) => sameLinear(one, q[i]!));

/** Answers a room remembers of each kind: of the stages and sides of one plan. */
const MOST_ANSWERS = 6;

/** The same question asked again, by value, is answered by what was found then. */
class Answers<V> {
  #known: { readonly of: readonly Linear[]; readonly answer: V }[] = [];

  of(question: readonly Linear[], find: () => V): V {
    for (const { of, answer } of this.#known) if (sameLinears(of, question)) return answer;
    const answer = find();
    if (this.#known.length === MOST_ANSWERS) this.#known.shift();
    this.#known.push({ of: question, answer });
    return answer;
  }
}

/** A cell of a dig with what stands in it, asked for its room. Nothing of it may be altered. */
export class Room {
  readonly cell: Cell;
  readonly #bands: readonly Band[];
  readonly #standing: readonly Standing[];
  #all: number | null = null;
  readonly #volumes = new Answers<number>();
  readonly #pieces = new Answers<Room | null>();

  constructor(cell: Cell, bands: readonly Band[], standing: readonly Standing[]) {
    this.cell = cell;
    this.#bands = bands;
    this.#standing = standing;
  }

  /** m³ of it under the lowest of some levels. @param levels none: all of it */
  under(levels: readonly Linear[]): number {
    if (levels.length > 0) return this.#volumes.of(levels, () => this.#volumeUnder(levels));
    this.#all ??= this.#volumeUnder(levels);
    return this.#all;
  }

  #volumeUnder(levels: readonly Linear[]): number {
    const { cell } = this;
    let room = under(cell, levels);
    for (const band of this.#bands) room -= ofBand(cell, band, levels);
    for (const { area, band } of this.#standing) {
      const own = { ...cell, area };
      room -= ofBand(own, band, levels);
      for (const layer of this.#bands)
        if (!apart(band, layer))
          room += ofBand(own, layer, [band.to, ...levels]) - ofBand(own, layer, [band.from, ...levels]);
    }
    return Math.max(0, room);
  }

  /** The room of a convex piece of it; null where nothing of it lies there. */
  within(walls: readonly Linear[]): Room | null {
    return this.#pieces.of(walls, () => {
      const area = intersect(this.cell.area, walls);
      if (isEmpty(area)) return null;
      const inside = this.#standing.flatMap((one) => {
        const left = intersect(one.area, walls);
        return isEmpty(left) ? [] : [{ ...one, area: left }];
      });
      return new Room({ ...this.cell, area }, this.#bands, inside);
    });
  }
}

/** The room of one cell. @param pieces that may stand in it */
function roomIn(cell: Cell, bands: readonly Band[], pieces: readonly Boxed[]): Room {
  const box = boxOf(cell.area);
  const walls = edges(cell.area);
  const standing = pieces.flatMap(({ piece, box: own }) => {
    if (!boxesMeet(box, own)) return [];
    const area = intersect(piece.plan, walls);
    return isEmpty(area)
      ? []
      : piece.spans.map(([from, to]) => ({ area, band: { from: constant(from), to: constant(to) } }));
  });
  return new Room(cell, bands, standing);
}

/** The rooms of a cut, and what lay and stood there when they were made. */
interface Kept {
  readonly bands: readonly Band[];
  readonly pieces: readonly Boxed[];
  readonly rooms: readonly Room[];
}

/** By cut, which is itself kept as long as it is cut the same (`dig/solid.ts`): so an edit pays for what it moved. */
const kept = new WeakMap<Cut, Kept>();
const boxes = new WeakMap<Cut, Box>();

function boxOfCut(cut: Cut): Box {
  const known = boxes.get(cut);
  if (known) return known;
  const made = unionBox(cut.cells.map(({ area }) => boxOf(area)));
  boxes.set(cut, made);
  return made;
}

const sameNumbers = (p: readonly number[], q: readonly number[]): boolean =>
  p.length === q.length && p.every((value, i) => value === q[i]);
const samePieces = (p: readonly Boxed[], q: readonly Boxed[]): boolean =>
  p.length === q.length &&
  p.every(({ piece }, i) => {
    const other = q[i]!.piece;
    return (
      sameNumbers(piece.plan, other.plan) &&
      piece.spans.length === other.spans.length &&
      piece.spans.every((span, k) => sameNumbers(span, other.spans[k]!))
    );
  });
const sameBands = (p: readonly Band[], q: readonly Band[]): boolean =>
  p.length === q.length &&
  p.every(({ from, to }, i) => sameLinear(from, q[i]!.from) && sameLinear(to, q[i]!.to));

/** The room of every cell of a cut, as they come. @param bands of the part it is of */
export function roomsIn(cut: Cut, bands: readonly Band[], built: Built): readonly Room[] {
  if (cut.cells.length === 0) return [];
  const pieces = built.meeting(boxOfCut(cut));
  const known = kept.get(cut);
  if (known && sameBands(known.bands, bands) && samePieces(known.pieces, pieces)) return known.rooms;
  const rooms = cut.cells.map((cell) => roomIn(cell, bands, pieces));
  kept.set(cut, { bands, pieces, rooms });
  return rooms;
}
