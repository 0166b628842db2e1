/**
 * The dug solid: the soil between the ground and the lower envelope of all the parts,
 *   E(x, y) = min over parts i of  f_i + max(0, d_i(x, y))/m_i,
 * so that crossings, junctions and merged slopes count once.
 *
 * Each part is convex, so its face E_i is the largest of a few planes. Where plane (i, e) is
 * the face that governs is therefore a convex zone less the convex zones where another part
 * lies lower. Those differences are cut exactly, and depth over each remaining cell is linear:
 * volumes come out exact to rounding, whatever the position, rotation or split of the parts.
 *
 * Soil dug by two parts belongs to the one whose face is lower there; at equal level to the
 * one listed first.
 *
 * Bottoms may fall: f is then a plane, and a side rises 1/m over it. Benches are parts that stand
 * back and higher. An outline that goes in somewhere is level pieces with upright sides and a
 * flank a side, so that what is dug does not depend on how its inside is cut up.
 *
 * Not covered: curved surfaces (rounded corners are faceted, see `facets`), overhangs.
 */
import QuickLRU from 'quick-lru';
import { boxIndex } from '../geometry/boxes.ts';
import {
  area,
  at,
  boxesMeet,
  boxOf,
  clip,
  clipLine,
  edges,
  integral,
  intersect,
  isEmpty,
  type Linear,
  minus,
  type Polygon,
  SAME_PLANE,
  subtract,
} from '../geometry/convex.ts';
import { type Corners, type Face, faceOf, type Ground, type Part, rectangleOf } from './part.ts';

/** One plane of a dug face and where it governs. */
export interface Cell {
  /** True on the bottom, false on a side slope. */
  readonly flat: boolean;
  readonly area: Polygon;
  /** Level of the dug surface over the cell. */
  readonly level: Linear;
  /** The ground over the cell, and how far it lies above the dug surface, ≥ 0. */
  readonly ground: Linear;
  readonly depth: Linear;
}

/** What is dug under the face of one part, soil that others dig deeper left out. */
export interface Cut {
  readonly cells: readonly Cell[];
  /** Bank m³. */
  readonly volume: number;
  /** Its opening and its bottom in plan, m². */
  readonly openArea: number;
  readonly bottomArea: number;
}

export interface Solid {
  readonly parts: readonly Part[];
  /** By part. */
  readonly cuts: readonly Cut[];
  /** By part: its own opening at ground level in convex pieces (none when wholly above ground). */
  readonly openings: readonly (readonly Polygon[])[];
}

/** Half-planes where face `j` lies below plane `mine` of face `i`; null when it never does. */
function below(j: Face, mine: Linear, first: boolean): Linear[] | null {
  const out: Linear[] = [...j.walls];
  for (const plane of j.planes) {
    const h = minus(plane, mine);
    const same = Math.abs(h.a) < SAME_PLANE && Math.abs(h.b) < SAME_PLANE && Math.abs(h.c) < SAME_PLANE;
    // The same plane twice: the part listed first keeps it.
    if (same) {
      if (first) continue;
      return null;
    }
    if (Math.abs(h.a) < 1e-14 && Math.abs(h.b) < 1e-14) {
      if (h.c > 0) return null;
      continue;
    }
    out.push(h);
  }
  return out;
}

interface Rival {
  readonly face: Face;
  /** Whether it was listed before the part it meets. */
  readonly first: boolean;
}

/** Cuts one face under the ground, less what its rivals dig deeper. */
function cutOf(face: Face, rivals: readonly Rival[]): Cut {
  const cells: Cell[] = [];
  let volume = 0;
  let openArea = 0;
  let bottomArea = 0;
  const lone = face.patches.length === 1 ? face.patches[0]! : null;
  const whole = rectangleOf(face.box);
  face.planes.forEach((plane, e) => {
    const flat = e === 0;
    const put = (piece: Polygon, ground: Linear) => {
      const depth = minus(ground, plane);
      const size = area(piece);
      cells.push({ flat, area: piece, level: plane, ground, depth });
      volume += integral(piece, depth);
      openArea += size;
      if (flat) bottomArea += size;
    };
    let zone = face.bottom;
    if (!flat) {
      const mine = face.sides[e - 1]!;
      const others = face.sides.filter((_, k) => k !== e - 1).map((d) => minus(d, mine));
      zone = intersect(whole, [{ a: -mine.a, b: -mine.b, c: -mine.c }, ...face.walls, ...others]);
    }
    if (lone) zone = clip(zone, minus(plane, lone.ground));
    if (isEmpty(zone)) return;
    const zoneBox = boxOf(zone);
    let pieces: Polygon[] = [zone];
    for (const { face: other, first } of rivals) {
      if (!boxesMeet(zoneBox, other.box)) continue;
      const lower = below(other, plane, first);
      if (!lower) continue;
      pieces = pieces.flatMap((piece) => subtract(piece, lower));
      if (pieces.length === 0) return;
    }
    if (lone) for (const piece of pieces) put(piece, lone.ground);
    else
      for (const piece of pieces) {
        const box = boxOf(piece);
        for (const { box: patchBox, walls, ground } of face.patches) {
          if (!boxesMeet(box, patchBox)) continue;
          const inside = clip(intersect(piece, walls), minus(plane, ground));
          if (!isEmpty(inside)) put(inside, ground);
        }
      }
  });
  return { cells, volume, openArea, bottomArea };
}

/** A face that is remembered, by a number of its own. */
interface Numbered {
  readonly id: number;
  readonly face: Face;
}

/**
 * What was cut last under a ground. A part met by the same rivals is cut the same, so that moving
 * one trench cuts that trench and its neighbours anew and nothing else.
 */
interface Memory {
  next: number;
  /** Remembered in all, cells and cuts. */
  cells: number;
  readonly faces: QuickLRU<string, Numbered>;
  readonly cuts: QuickLRU<string, Cut>;
}

/** Faces, and cells, remembered under one ground at most: some four hundred trenches' worth. */
const MOST_FACES = 4000;
const MOST_CELLS = 250_000;

const memories = new WeakMap<Ground, Map<Corners, Memory>>();

const sizeOf = (cut: Cut) => 1 + cut.cells.length;

function newMemory(): Memory {
  const memory: Memory = {
    next: 1,
    cells: 0,
    faces: new QuickLRU({ maxSize: MOST_FACES }),
    cuts: new QuickLRU({
      maxSize: MOST_FACES,
      onEviction: (_, cut) => {
        memory.cells -= sizeOf(cut);
      },
    }),
  };
  return memory;
}

/** Remembers a cut; when there are too many cells in all, a quarter of the cuts is forgotten, the oldest. */
function rememberCut(memory: Memory, key: string, make: () => Cut): Cut {
  const known = memory.cuts.get(key);
  if (known) return known;
  const made = make();
  memory.cuts.set(key, made);
  memory.cells += sizeOf(made);
  while (memory.cells > MOST_CELLS && memory.cuts.size > 1)
    memory.cuts.evict(Math.ceil(memory.cuts.size / 4));
  return made;
}

function memoryOf(ground: Ground, corners: Corners): Memory {
  const known = memories.get(ground) ?? new Map<Corners, Memory>();
  memories.set(ground, known);
  const memory = known.get(corners) ?? newMemory();
  known.set(corners, memory);
  return memory;
}

function remembered<V extends object>(cache: QuickLRU<string, V>, key: string, make: () => V): V {
  const known = cache.get(key);
  if (known) return known;
  const made = make();
  cache.set(key, made);
  return made;
}

const written = (planes: readonly Linear[]) => planes.map(({ a, b, c }) => `${a},${b},${c}`).join();
const keyOf = ({ bottom, floor, slope, risers, mitre, rounding }: Part): string =>
  `${bottom.join()};${written([floor])};${slope};${mitre};${written(risers)};${written(rounding)}`;

/** Cuts the lower envelope of the parts under the ground: the cut of each, and their faces. */
function cutAll(parts: readonly Part[], ground: Ground, corners: Corners) {
  const memory = memoryOf(ground, corners);
  const faces = parts.map((part) =>
    remembered(memory.faces, keyOf(part), () => ({ id: memory.next++, face: faceOf(part, ground, corners) })),
  );
  if (faces.length === 0) return { faces, cuts: [] };
  // What opens nothing meets nothing.
  const index = boxIndex(faces.map(({ face }) => face.box));
  const cuts = faces.map(({ id, face }, i): Cut => {
    if (face.box.x0 > face.box.x1) return NO_CUT;
    // In the order they were listed: it settles who owns soil at equal level.
    const rivals = index.meeting(face.box).filter((j) => j !== i);
    const key = `${id}:${rivals.map((j) => (j < i ? -faces[j]!.id : faces[j]!.id)).join()}`;
    return rememberCut(memory, key, () =>
      cutOf(
        face,
        rivals.map((j) => ({ face: faces[j]!.face, first: j < i })),
      ),
    );
  });
  return { faces, cuts };
}

const NO_CUT: Cut = { cells: [], volume: 0, openArea: 0, bottomArea: 0 };

/**
 * Cuts the lower envelope of the parts under the ground into cells.
 * @param parts convex pieces; order settles who owns soil at equal level
 * @param ground must not be altered after: what was cut under it is remembered with it
 */
export function solveSolid(parts: readonly Part[], ground: Ground, corners: Corners): Solid {
  const { faces, cuts } = cutAll(parts, ground, corners);
  return { parts, cuts, openings: faces.map(({ face }) => face.openings()) };
}

/** Bank m³ of the soil between the ground and the lower envelope of some parts, and how much of the ground it opens, m². */
export const sizeDug = (parts: readonly Part[], ground: Ground, corners: Corners) =>
  cutAll(parts, ground, corners).cuts.reduce(
    (sum, cut) => ({ volume: sum.volume + cut.volume, openArea: sum.openArea + cut.openArea }),
    { volume: 0, openArea: 0 },
  );

/** ∬ max(0, top − dug) over a convex piece of plan, m³. */
export function volumeUnder(piece: Polygon, dug: Linear, top: Linear): number {
  const over = minus(dug, top);
  const under = clip(piece, over);
  return under.length < 6 ? 0 : Math.max(0, integral(under, { a: -over.a, b: -over.b, c: -over.c }));
}

/** ∬ max(0, depth − from) over a cell: the soil of it deeper than `from` below ground, m³. */
export function volumeDeeperThan(cell: Cell, from: number): number {
  const over = { a: cell.depth.a, b: cell.depth.b, c: cell.depth.c - from };
  const wet = clip(cell.area, { a: -over.a, b: -over.b, c: -over.c });
  return wet.length < 6 ? 0 : Math.max(0, integral(wet, over));
}

/** Soil dug under a plane over a cell, m³: what fill up to there would take. */
export function volumeUnderLevel(cell: Cell, level: Linear): number {
  const room = minus(level, cell.level);
  const filled = clip(cell.area, { a: -room.a, b: -room.b, c: -room.c });
  if (filled.length < 6) return 0;
  // Fill stops at the ground where that is lower than the level: what would stand over it is taken off. Where
  // both are one there is nothing to take off, and nothing is counted on both sides of a line.
  const over = minus(room, cell.depth);
  const spilt = clip(filled, { a: -over.a, b: -over.b, c: -over.c });
  return integral(filled, room) - (spilt.length < 6 ? 0 : Math.max(0, integral(spilt, over)));
}

/** Whole volume, m³. */
export const volumeOf = (solid: Solid): number => solid.cuts.reduce((sum, cut) => sum + cut.volume, 0);

/** Bottoms in plan as they are dug, in pieces: of one element or of all, less what others dig deeper. */
export const flatsOf = (solid: Solid, element?: number): Polygon[] =>
  solid.cuts.flatMap(({ cells }, part) =>
    element === undefined || solid.parts[part]!.owner === element
      ? cells.filter((cell) => cell.flat).map((cell) => cell.area)
      : [],
  );

/** One straight stretch of the dug surface along a section line; s in m from its start. */
export interface ProfilePiece {
  readonly s0: number;
  readonly s1: number;
  readonly z0: number;
  readonly z1: number;
  /** Index of the part whose face it is. */
  readonly part: number;
  readonly owner: number;
  readonly flat: boolean;
}

/** A line passes by a polygon: all of it lies to one side, or before or after the window. */
function passesBy(
  polygon: Polygon,
  x: number,
  y: number,
  dx: number,
  dy: number,
  [from, to]: readonly [number, number],
): boolean {
  let [left, right, before, after] = [true, true, true, true];
  for (let i = 0; i + 1 < polygon.length; i += 2) {
    const [px, py] = [polygon[i]! - x, polygon[i + 1]! - y];
    const off = px * dy - py * dx;
    const s = px * dx + py * dy;
    left &&= off < 0;
    right &&= off > 0;
    before &&= s < from;
    after &&= s > to;
    if (!left && !right && !before && !after) return false;
  }
  return true;
}

/** The dug surface along a line, in order of s. Gaps between pieces are untouched ground. */
export function profile(
  solid: Solid,
  x: number,
  y: number,
  dx: number,
  dy: number,
  window: readonly [number, number],
): ProfilePiece[] {
  const out: ProfilePiece[] = [];
  solid.cuts.forEach(({ cells }, part) => {
    const { owner } = solid.parts[part]!;
    for (const { area, level, flat } of cells) {
      // A section meets few of a job's cells: the rest are passed by without their edges.
      if (passesBy(area, x, y, dx, dy, window)) continue;
      const reach = clipLine(x, y, dx, dy, window, edges(area));
      if (!reach) continue;
      const [s0, s1] = reach;
      const z = (s: number) => at(level, x + s * dx, y + s * dy);
      out.push({ s0, s1, z0: z(s0), z1: z(s1), part, owner, flat });
    }
  });
  return out.sort((p, q) => p.s0 - q.s0);
}
