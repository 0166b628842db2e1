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
import Flatbush from 'flatbush';
import {
  at,
  type Box,
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
  mitreOf,
  type Polygon,
  SAME_PLANE,
  subtract,
  unionBox,
} from '../geometry/convex.ts';
import type { Surface, SurfacePatch } from '../ground/surface.ts';

export type Corners = 'mitred' | 'rounded';

/** One convex piece of a dug bottom. */
export interface Part {
  /** Index of the element this piece belongs to. */
  readonly owner: number;
  /** The bottom in plan, convex and counter-clockwise; two points for a flank. */
  readonly bottom: Polygon;
  /** Level of the bottom over plan, m. */
  readonly floor: Linear;
  /** Side slope, run over rise; 0 is a vertical face. */
  readonly slope: number;
  /** Which stretch of a stepped strip it is; 0 otherwise. */
  readonly stretch: number;
  /** Faces cut upright whatever the slope: the risers of steps. */
  readonly risers: readonly Linear[];
  /** Which of the element's bottoms it belongs to, by position; benches belong to the one below. */
  readonly of: number;
  /** Stone is laid on it. */
  readonly fills: boolean;
  /** How much farther a flank's sharpest mitre runs out than its side; 0 to read it off the bottom. */
  readonly mitre: number;
}

/** One plane of the dug surface and where it governs. */
export interface Cell {
  readonly part: number;
  readonly owner: number;
  /** True on the flat bottom, false on a side slope. */
  readonly flat: boolean;
  readonly area: Polygon;
  /** Level of the dug surface over the cell. */
  readonly level: Linear;
  /** Ground less dug surface over the cell, ≥ 0. */
  readonly depth: Linear;
}

export interface Solid {
  readonly parts: readonly Part[];
  readonly cells: readonly Cell[];
  /** By part: its own opening at ground level in convex pieces (none when wholly above ground). */
  readonly openings: readonly (readonly Polygon[])[];
}

/** The ground a dig is cut under. */
type Ground = Pick<Surface, 'patches' | 'highest'>;

/** Facets each quarter turn of a rounded corner is cut into; see `facets`. */
const FACETS_PER_QUARTER = 12;

interface Face {
  readonly part: Part;
  /** Planes whose largest is the face: the floor first, then one a side facet. */
  readonly planes: readonly Linear[];
  /** Upright faces, as half-planes: all of them for vertical sides, else the risers. */
  readonly walls: readonly Linear[];
  /** Distance functions of the side facets, aligned with planes[1..]. */
  readonly sides: readonly Linear[];
  readonly patches: readonly SurfacePatch[];
  readonly openings: readonly Polygon[];
  readonly box: Box;
}

/**
 * Distance functions of the sides of a part. Mitred: one an edge. Rounded: each corner gets N−1
 * facets between its two edges, set back by a factor c so that their plan area equals the
 * circular sector's: with δ = turn/N,  2·t₁/2 + c·(1−c·cosδ)/sinδ + (N−2)·c²·tan(δ/2) = N·δ/2,
 * t₁ = (c − cosδ)/sinδ, a quadratic in c. A lone rounded pit is then exact.
 */
function facets(bottom: Polygon, corners: Corners): Linear[] {
  const sides = edges(bottom);
  if (corners === 'mitred') return sides;
  const out = [...sides];
  const n = sides.length;
  for (let i = 0; i < n; i++) {
    const from = sides[i]!;
    const to = sides[(i + 1) % n]!;
    const turn = Math.atan2(from.a * to.b - from.b * to.a, from.a * to.a + from.b * to.b);
    if (turn < 1e-6) continue;
    const count = Math.max(2, Math.ceil((turn / (Math.PI / 2)) * FACETS_PER_QUARTER));
    const step = turn / count;
    const setBack = cornerFactor(count, step);
    // The corner itself: where both edges are at distance nought.
    const det = from.a * to.b - from.b * to.a;
    const vx = (-from.c * to.b + to.c * from.b) / det;
    const vy = (-from.a * to.c + to.a * from.c) / det;
    for (let k = 1; k < count; k++) {
      const cos = Math.cos(k * step);
      const sin = Math.sin(k * step);
      const a = (from.a * cos - from.b * sin) / setBack;
      const b = (from.a * sin + from.b * cos) / setBack;
      out.push({ a, b, c: -(a * vx + b * vy) });
    }
  }
  return out;
}

function cornerFactor(count: number, step: number): number {
  const sin = Math.sin(step);
  const cos = Math.cos(step);
  // p·c² + q·c + r = 0 gathered from the area balance above.
  const p = -cos / sin + (count - 2) * Math.tan(step / 2);
  const q = 2 / sin;
  const r = -cos / sin - (count * step) / 2;
  const root = Math.sqrt(q * q - 4 * p * r);
  const one = (-q + root) / (2 * p);
  const other = (-q - root) / (2 * p);
  return Math.abs(one - 1) < Math.abs(other - 1) ? one : other;
}

/** How far the sharpest mitred corner of a polygon runs out, against how far its sides do. */
function mitreReach(bottom: Polygon): number {
  const sides = edges(bottom);
  return sides.reduce((most, side, i) => Math.max(most, mitreOf(side, sides[(i + 1) % sides.length]!)), 1);
}

/**
 * Where the opening of a sloped part may lie. Under one plane that falls faster than the sides
 * rise the opening would run on without end; it is held to twenty times the depth and size.
 */
function windowOf(part: Part, surface: Ground): Box {
  const base = boxOf(part.bottom);
  let reach: number;
  const falls = part.floor.a !== 0 || part.floor.b !== 0;
  if (Number.isFinite(surface.highest) && !falls)
    reach =
      1.1 *
      Math.max(0, surface.highest - part.floor.c) *
      part.slope *
      (part.mitre || mitreReach(part.bottom));
  else {
    let deepest = 0;
    for (const { ground } of surface.patches(base))
      for (let i = 0; i < part.bottom.length; i += 2)
        deepest = Math.max(deepest, at(minus(ground, part.floor), part.bottom[i]!, part.bottom[i + 1]!));
    reach = 20 * deepest * part.slope * Math.max(1, part.mitre);
  }
  reach += 0.02;
  return { x0: base.x0 - reach, y0: base.y0 - reach, x1: base.x1 + reach, y1: base.y1 + reach };
}

const rectangleOf = ({ x0, y0, x1, y1 }: Box): Polygon => [x0, y0, x1, y0, x1, y1, x0, y1];

function faceOf(part: Part, surface: Ground, corners: Corners): Face {
  const { floor } = part;
  const made = (
    planes: readonly Linear[],
    walls: readonly Linear[],
    sides: readonly Linear[],
    patches: readonly SurfacePatch[],
    openings: readonly Polygon[],
  ): Face => ({
    part,
    planes,
    walls,
    sides,
    patches,
    openings,
    box: openings.length > 0 ? unionBox(openings.map(boxOf)) : NOWHERE,
  });
  if (part.slope <= 0) {
    const patches = surface.patches(boxOf(part.bottom));
    const openings = patches
      .map(({ walls, ground }) => intersect(part.bottom, [minus(floor, ground), ...walls, ...part.risers]))
      .filter((piece) => piece.length > 0);
    return made([floor], edges(part.bottom), [], patches, openings);
  }
  const sides = part.mitre > 0 ? edges(part.bottom).slice(0, 1) : facets(part.bottom, corners);
  const planes = [
    floor,
    ...sides.map((d) => ({
      a: d.a / part.slope + floor.a,
      b: d.b / part.slope + floor.b,
      c: d.c / part.slope + floor.c,
    })),
  ];
  const window = windowOf(part, surface);
  const patches = surface.patches(window);
  const openings = patches
    .map(({ walls, ground }) =>
      intersect(rectangleOf(window), [
        ...part.risers,
        ...walls,
        ...planes.map((plane) => minus(plane, ground)),
      ]),
    )
    .filter((piece) => piece.length > 0);
  return made(planes, part.risers, sides, patches, openings);
}

/** Farther than any dig, m. */
const FAR_OFF = 1e9;
const NOWHERE: Box = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };

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

/**
 * Cuts the lower envelope of the parts under the ground into cells.
 * @param parts convex pieces; order settles who owns soil at equal level
 */
export function solveSolid(parts: readonly Part[], surface: Ground, corners: Corners): Solid {
  const faces = parts.map((part) => faceOf(part, surface, corners));
  const cells: Cell[] = [];
  if (faces.length === 0) return { parts, cells, openings: [] };
  const tree = new Flatbush(faces.length);
  // What opens nothing meets nothing.
  for (const { box, openings } of faces)
    if (openings.length > 0) tree.add(box.x0, box.y0, box.x1, box.y1);
    else tree.add(FAR_OFF, FAR_OFF, FAR_OFF, FAR_OFF);
  tree.finish();
  faces.forEach((face, i) => {
    if (face.openings.length === 0) return;
    const { x0, y0, x1, y1 } = face.box;
    // In the order they were listed: it settles who owns soil at equal level.
    const rivals = tree
      .search(x0, y0, x1, y1)
      .filter((j) => j !== i && boxesMeet(face.box, faces[j]!.box))
      .sort((p, q) => p - q)
      .map((j) => ({ other: faces[j]!, first: j < i }));
    // Under one plane the opening itself bounds every zone; under many, the box round its pieces.
    const lone = face.patches.length === 1 ? face.patches[0]! : null;
    const whole = lone ? face.openings[0]! : rectangleOf(face.box);
    face.planes.forEach((plane, e) => {
      let zone: Polygon;
      if (e === 0) zone = lone ? clip(face.part.bottom, minus(plane, lone.ground)) : face.part.bottom;
      else {
        const mine = face.sides[e - 1]!;
        const others = face.sides.filter((_, k) => k !== e - 1).map((d) => minus(d, mine));
        zone = intersect(whole, [{ a: -mine.a, b: -mine.b, c: -mine.c }, ...face.walls, ...others]);
      }
      if (isEmpty(zone)) return;
      const zoneBox = boxOf(zone);
      let pieces: Polygon[] = [zone];
      for (const { other, first } of rivals) {
        if (!boxesMeet(zoneBox, other.box)) continue;
        const lower = below(other, plane, first);
        if (!lower) continue;
        pieces = pieces.flatMap((piece) => subtract(piece, lower));
        if (pieces.length === 0) return;
      }
      const put = (area: Polygon, ground: Linear) =>
        cells.push({
          part: i,
          owner: face.part.owner,
          flat: e === 0,
          area,
          level: plane,
          depth: minus(ground, plane),
        });
      if (lone) for (const area of pieces) put(area, lone.ground);
      else
        for (const piece of pieces) {
          const box = boxOf(piece);
          for (const { box: patchBox, walls, ground } of face.patches) {
            if (!boxesMeet(box, patchBox)) continue;
            const area = clip(intersect(piece, walls), minus(plane, ground));
            if (area.length >= 6 && !isEmpty(area)) put(area, ground);
          }
        }
    });
  });
  return { parts, cells, openings: faces.map((face) => face.openings) };
}

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
  // Fill stops at the ground where that is lower than the level.
  const aboveGround = minus(room, cell.depth);
  const under = clip(filled, aboveGround);
  const spilt = clip(filled, { a: -aboveGround.a, b: -aboveGround.b, c: -aboveGround.c });
  return (
    (under.length < 6 ? 0 : integral(under, room)) + (spilt.length < 6 ? 0 : integral(spilt, cell.depth))
  );
}

/** Whole volume, m³. */
export const volumeOf = (solid: Solid): number =>
  solid.cells.reduce((sum, cell) => sum + volumeDeeperThan(cell, 0), 0);

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
  for (const cell of solid.cells) {
    const reach = clipLine(x, y, dx, dy, window, edges(cell.area));
    if (!reach) continue;
    const [s0, s1] = reach;
    const level = (s: number) => at(cell.level, x + s * dx, y + s * dy);
    out.push({ s0, s1, z0: level(s0), z1: level(s1), part: cell.part, owner: cell.owner, flat: cell.flat });
  }
  return out.sort((p, q) => p.s0 - q.s0);
}
