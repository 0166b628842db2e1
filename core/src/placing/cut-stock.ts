/**
 * What is cut from what: boards out of stock lengths, as few as can be. A board longer than the longest stock is joined,
 * its joints at stakes. Packed by first fit, longest first, then bettered by search while there is time for it; each
 * length of stock is at last taken as short as holds its cuts. Saw cuts take nothing.
 */

export interface ToCut {
  readonly id: string;
  /** m. */
  readonly length: number;
}

export interface StockCut {
  /** m of stock it is cut from, what is cut from it, and what is left. */
  readonly stock: number;
  readonly cuts: readonly ToCut[];
  readonly left: number;
}

export interface CutList {
  readonly stocks: readonly StockCut[];
  /** Joints of boards longer than any stock. */
  readonly joints: number;
  /** m bought, and the share of it that is left over. */
  readonly bought: number;
  readonly waste: number;
}

const CLOSE = 1e-9;
/** Places tried at most. */
const MOST_TRIED = 40_000;

/** A board in pieces no longer than the stock, each joint at a stake. @param stakes m between them */
function joined({ id, length }: ToCut, longest: number, stakes: number): ToCut[] {
  if (length <= longest + CLOSE) return [{ id, length }];
  // As many spans between stakes as the stock reaches over; stakes farther apart than it is long hold no joint in place.
  const spans = Math.floor(longest / stakes + CLOSE);
  const piece = spans > 0 ? spans * stakes : longest;
  const whole = Math.ceil(length / piece - CLOSE) - 1;
  return [
    ...Array.from({ length: whole }, () => ({ id, length: piece })),
    { id, length: length - whole * piece },
  ];
}

/** Bins as few as can be found. */
function packed(pieces: readonly ToCut[], longest: number): ToCut[][] {
  const sorted = pieces.toSorted((p, q) => q.length - p.length || (p.id < q.id ? -1 : p.id > q.id ? 1 : 0));
  const total = sorted.reduce((sum, { length }) => sum + length, 0);
  const least = Math.ceil(total / longest - CLOSE);
  const first: { left: number; cuts: ToCut[] }[] = [];
  for (const piece of sorted) {
    const bin = first.find(({ left }) => left >= piece.length - CLOSE);
    if (bin) {
      bin.left -= piece.length;
      bin.cuts.push(piece);
    } else first.push({ left: longest - piece.length, cuts: [piece] });
  }
  let best = first.map(({ cuts }) => cuts);
  let tried = 0;
  const left: number[] = [];
  const cuts: ToCut[][] = [];
  const place = (k: number): void => {
    if (best.length <= least || tried++ > MOST_TRIED || left.length >= best.length) return;
    const piece = sorted[k];
    if (!piece) {
      best = cuts.map((own) => [...own]);
      return;
    }
    const seen = new Set<number>();
    for (let bin = 0; bin < left.length; bin++) {
      const room = left[bin]!;
      // Two with the same room are the same.
      const key = Math.round(room * 1e6);
      if (room < piece.length - CLOSE || seen.has(key)) continue;
      seen.add(key);
      left[bin] = room - piece.length;
      cuts[bin]!.push(piece);
      place(k + 1);
      cuts[bin]!.pop();
      left[bin] = room;
    }
    if (left.length + 1 >= best.length) return;
    left.push(longest - piece.length);
    cuts.push([piece]);
    place(k + 1);
    left.pop();
    cuts.pop();
  };
  place(0);
  return best;
}

/**
 * @param boards each longer than 0
 * @param stocks lengths that can be bought, m; at least one, each longer than 0
 * @param stakes m between stakes
 */
export function cutList(boards: readonly ToCut[], stocks: readonly number[], stakes: number): CutList {
  const longest = Math.max(...stocks);
  const pieces = boards.map((board) => joined(board, longest, stakes));
  const bins = packed(pieces.flat(), longest);
  const sorted = stocks.toSorted((p, q) => p - q);
  const cut = bins.map((cuts): StockCut => {
    const used = cuts.reduce((sum, { length }) => sum + length, 0);
    const stock = sorted.find((one) => one >= used - CLOSE) ?? longest;
    return { stock, cuts, left: Math.max(0, stock - used) };
  });
  const bought = cut.reduce((sum, { stock }) => sum + stock, 0);
  const left = cut.reduce((sum, one) => sum + one.left, 0);
  return {
    stocks: cut.toSorted((p, q) => q.stock - p.stock || p.left - q.left),
    joints: pieces.reduce((sum, own) => sum + own.length - 1, 0),
    bought,
    waste: bought > 0 ? left / bought : 0,
  };
}
