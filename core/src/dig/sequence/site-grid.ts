/**
 * The site as a grid a machine drives over: which cells each open trench takes, where one can get
 * to, and how far that is.
 *
 * A cell is free when the machine's slew centre may stand there: half its width from every open
 * trench, inside the plot. Distances run over the eight neighbours (1 and √2 cells). Not covered:
 * turning room, slopes too steep to drive.
 */
import { boxOf, contains, distanceToLine, type Polygon } from '../../geometry/index.ts';

type Point = readonly [number, number];

export interface SiteGrid {
  readonly columns: number;
  readonly rows: number;
  readonly size: number;
  readonly x0: number;
  readonly y0: number;
  /** By trench: the cells it takes when open. */
  readonly taken: readonly (readonly number[])[];
  /** 1 where nobody drives, trench or no trench: outside the plot. */
  readonly fixed: Uint8Array;
  cell(at: Point): number;
}

/** Cells along the longer side; enough to tell a gap of a machine's width on a house plot. */
const MOST_ALONG = 64;
const LEAST_CELL = 0.5;

/** Distance from a point to a convex piece, m; 0 inside. */
function away(piece: Polygon, x: number, y: number): number {
  let inside = true;
  let least = Infinity;
  const n = piece.length;
  for (let i = 0; i < n; i += 2) {
    const p: Point = [piece[i]!, piece[i + 1]!];
    const q: Point = [piece[(i + 2) % n]!, piece[(i + 3) % n]!];
    if ((q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0]) < 0) inside = false;
    least = Math.min(least, distanceToLine(p, q, x, y));
  }
  return inside ? 0 : least;
}

/**
 * @param openings of each trench, convex pieces
 * @param clearance half the machine's width, m
 * @param boundary the plot; empty when it is not drawn
 * @param room left round everything so that one can drive round it, m
 */
export function siteGrid(
  openings: readonly (readonly Polygon[])[],
  clearance: number,
  boundary: readonly Point[],
  places: readonly Point[],
  room: number,
): SiteGrid {
  const boxes = openings.flat().map(boxOf);
  const xs = [...boxes.flatMap((b) => [b.x0, b.x1]), ...places.map((p) => p[0])];
  const ys = [...boxes.flatMap((b) => [b.y0, b.y1]), ...places.map((p) => p[1])];
  const [x0, x1] = [Math.min(...xs) - room, Math.max(...xs) + room];
  const [y0, y1] = [Math.min(...ys) - room, Math.max(...ys) + room];
  const size = Math.max(LEAST_CELL, Math.max(x1 - x0, y1 - y0) / MOST_ALONG);
  const columns = Math.max(1, Math.ceil((x1 - x0) / size));
  const rows = Math.max(1, Math.ceil((y1 - y0) / size));
  const middle = (cell: number): Point => [
    x0 + ((cell % columns) + 0.5) * size,
    y0 + (Math.floor(cell / columns) + 0.5) * size,
  ];
  const fixed = new Uint8Array(columns * rows);
  if (boundary.length > 2)
    for (let c = 0; c < fixed.length; c++) {
      const [x, y] = middle(c);
      if (!contains(boundary, x, y)) fixed[c] = 1;
    }
  const taken = openings.map((pieces) => {
    const cells = new Set<number>();
    for (const piece of pieces) {
      const box = boxOf(piece);
      const [i0, i1] = [
        Math.max(0, Math.floor((box.x0 - clearance - x0) / size)),
        Math.min(columns - 1, Math.floor((box.x1 + clearance - x0) / size)),
      ];
      const [j0, j1] = [
        Math.max(0, Math.floor((box.y0 - clearance - y0) / size)),
        Math.min(rows - 1, Math.floor((box.y1 + clearance - y0) / size)),
      ];
      for (let j = j0; j <= j1; j++)
        for (let i = i0; i <= i1; i++) {
          const c = j * columns + i;
          const [x, y] = middle(c);
          if (away(piece, x, y) < clearance) cells.add(c);
        }
    }
    return [...cells];
  });
  const clamp = (v: number, most: number) => Math.max(0, Math.min(most - 1, v));
  return {
    columns,
    rows,
    size,
    x0,
    y0,
    taken,
    fixed,
    cell: (at) =>
      clamp(Math.floor((at[1] - y0) / size), rows) * columns +
      clamp(Math.floor((at[0] - x0) / size), columns),
  };
}

/** Cells nobody can stand on while these trenches are open: 1 where taken. */
export function blockedBy(grid: SiteGrid, open: Iterable<number>): Uint8Array {
  const blocked = grid.fixed.slice();
  for (const trench of open) for (const cell of grid.taken[trench]!) blocked[cell] = 1;
  return blocked;
}

/** Work arrays of a search, sized once for a grid. */
export interface Search {
  readonly distance: Float64Array;
  /** Which of the starts each cell was come to from, by position. */
  readonly origin: Int32Array;
  /** Cells still to look from, by how many cell widths off they lie, three widths in turn. */
  readonly rings: readonly [Int32Array, Int32Array, Int32Array];
  readonly wanted: Uint8Array;
  /** Of `reachable`: which cells were got to, and those still to look from. */
  readonly seen: Uint8Array;
  readonly queue: Int32Array;
  /** By cell and direction: the cell east, north, west and south of it, itself where the grid ends. */
  readonly beside: Int32Array;
}
export const searchOf = ({ columns, rows }: SiteGrid): Search => {
  const cells = columns * rows;
  // Every cell is come to from eight others at most.
  const ring = () => new Int32Array(9 * cells);
  const beside = new Int32Array(4 * cells);
  for (let cell = 0; cell < cells; cell++) {
    const [i, j] = [cell % columns, Math.floor(cell / columns)];
    beside[4 * cell] = i < columns - 1 ? cell + 1 : cell;
    beside[4 * cell + 1] = j < rows - 1 ? cell + columns : cell;
    beside[4 * cell + 2] = i > 0 ? cell - 1 : cell;
    beside[4 * cell + 3] = j > 0 ? cell - columns : cell;
  }
  return {
    distance: new Float64Array(cells),
    origin: new Int32Array(cells),
    rings: [ring(), ring(), ring()],
    wanted: new Uint8Array(cells),
    seen: new Uint8Array(cells),
    queue: new Int32Array(cells),
    beside,
  };
};

/** A cell a machine may set out from, and what getting there has cost already, in m. */
export interface Start {
  readonly cell: number;
  readonly far: number;
}

/**
 * Distance to every cell from the nearest of some starts, m; Infinity where one cannot get. Which
 * start that was stands in `search.origin`. Cells are looked from ring by ring, a cell width each
 * (Denardo & Fox 1979): no step is shorter, so within a ring none is nearer by way of another. The
 * result lives in `search` until the next call.
 * @param targets cells that matter: once they are all reached the rest is left at Infinity or above
 */
export function spreadFrom(
  grid: SiteGrid,
  blocked: Uint8Array,
  starts: readonly Start[],
  search: Search,
  targets: readonly number[] | null = null,
): Float64Array {
  const { size } = grid;
  const { distance, origin, rings, wanted, beside } = search;
  distance.fill(Infinity);
  const counts = [0, 0, 0];
  const put = (cell: number, far: number) => {
    distance[cell] = far;
    const ring = Math.floor(far / size) % 3;
    rings[ring]![counts[ring]!++] = cell;
  };
  const waiting = starts.map((_, i) => i).sort((p, q) => starts[q]!.far - starts[p]!.far);
  let missing = 0;
  if (targets) {
    wanted.fill(0);
    for (const target of targets)
      if (!blocked[target] && !wanted[target]) {
        wanted[target] = 1;
        missing++;
      }
    if (missing === 0) return distance;
  }
  const diagonal = size * Math.SQRT2;
  const step = (to: number, far: number, by: number) => {
    if (far >= distance[to]! - 1e-12) return;
    origin[to] = by;
    put(to, far);
  };
  for (let width = 0; ; width++) {
    if (counts[0]! + counts[1]! + counts[2]! === 0) {
      const nearest = waiting.at(-1);
      if (nearest === undefined) break;
      width = Math.floor(starts[nearest]!.far / size);
    }
    while (waiting.length > 0) {
      const i = waiting.at(-1)!;
      const { cell, far } = starts[i]!;
      if (Math.floor(far / size) > width) break;
      waiting.pop();
      if (!blocked[cell]) step(cell, far, i);
    }
    const ring = width % 3;
    const cells = rings[ring]!;
    while (counts[ring]! > 0) {
      const cell = cells[--counts[ring]!]!;
      const far = distance[cell]!;
      const by = origin[cell]!;
      // It was come to on a shorter way meanwhile.
      if (far < width * size - 1e-9) continue;
      if (targets && wanted[cell]) {
        wanted[cell] = 0;
        if (--missing === 0) return distance;
      }
      for (let way = 0; way < 4; way++) {
        const next = beside[4 * cell + way]!;
        if (next === cell || blocked[next]) continue;
        step(next, far + size, by);
        // Diagonally only where neither corner is taken: no squeezing between two.
        const aside = beside[4 * cell + ((way + 1) & 3)]!;
        if (aside === cell || blocked[aside]) continue;
        const corner = beside[4 * next + ((way + 1) & 3)]!;
        if (!blocked[corner]) step(corner, far + diagonal, by);
      }
    }
  }
  return distance;
}

/**
 * Which cells can be got to from some, 1 for each: the same neighbours as `spreadFrom`, without
 * distances. The result lives in `search` until the next call.
 */
export function reachable(
  blocked: Uint8Array,
  starts: Iterable<number>,
  { seen, queue, beside }: Search,
): Uint8Array {
  seen.fill(0);
  let head = 0;
  let tail = 0;
  for (const start of starts)
    if (!blocked[start] && !seen[start]) {
      seen[start] = 1;
      queue[tail++] = start;
    }
  // A diagonal is open only where both its neighbours are, and then they lead there too.
  while (head < tail) {
    const cell = 4 * queue[head++]!;
    for (let way = cell; way < cell + 4; way++) {
      const next = beside[way]!;
      if (blocked[next] || seen[next]) continue;
      seen[next] = 1;
      queue[tail++] = next;
    }
  }
  return seen;
}

/** Cells of the grid's rim: off the job when no gate is drawn. */
export function rim(grid: SiteGrid): number[] {
  const out: number[] = [];
  for (let i = 0; i < grid.columns; i++) out.push(i, (grid.rows - 1) * grid.columns + i);
  for (let j = 0; j < grid.rows; j++) out.push(j * grid.columns, j * grid.columns + grid.columns - 1);
  return out;
}
