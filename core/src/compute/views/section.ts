/** A true-scale cut through one element and whatever else of the job the line meets. */

import type { BedMaterialId } from '../../catalogue/index.ts';
import { type ProfilePiece, profile } from '../../dig/solid.ts';
import { area, clipLine, cornerMean, edges, at as levelAt } from '../../geometry/index.ts';
import { type FencePost, fence, type GroundModel, groundModel } from '../../ground/index.ts';
import { belowSlab, slabOnFloor } from '../../levels/slab.ts';
import { bedOf } from '../../plan/beds.ts';
import type { Element, Raft } from '../../plan/elements.ts';
import type { Hazard, Plan } from '../../plan/schema.ts';
import { boardsOf, boxElementOf, edgeOf, floorSlabOf, oldWallOf, padOf } from '../../plan/variants.ts';
import { type FootingPiece, goesToFaces, risingTop } from '../../pour/index.ts';
import { boardReach } from '../../pour/insulation-boards.ts';
import { castOf } from '../../pour/kinds.ts';
import { axisOf, middleOf, roomOf, type segmentsOf, shapeOf, sizesOf } from '../../setout/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

export interface SectionBox {
  readonly element: number;
  readonly what: 'footing' | 'layer' | 'floor' | 'rising';
  /** Of a layer of its bed. */
  readonly material?: BedMaterialId;
  readonly s0: number;
  readonly s1: number;
  readonly z0: number;
  readonly z1: number;
}

export interface Section {
  /** Where the cut stands in plan: its middle, its unit direction (s grows along it), its half-length. */
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly half: number;
  /** The ground, its soils and its water along the cut, from −half to half. */
  readonly posts: readonly FencePost[];
  /** Ground level at the two ends. */
  readonly ground: readonly [number, number];
  readonly dug: readonly ProfilePiece[];
  /** Soft spots under the bottoms, closed: [s, z, …], and what goes back. */
  readonly soft: readonly {
    readonly id: string;
    readonly material: BedMaterialId;
    readonly shape: number[];
  }[];
  readonly boxes: readonly SectionBox[];
  /** Of a run dug in bays: the bay under the wall, and the pit beside it that lets people in. */
  readonly bay: BayCut | null;
}

/** A bay as it is cut; the pit is drawn to one side, the plan does not say to which. */
export interface BayCut {
  /** Faces of the old wall, and the far side of the pit, m along the cut. */
  readonly wall: readonly [number, number];
  readonly pit: number;
  /** Level dug, and the level people work from inside. */
  readonly dug: number;
  readonly inside: number;
  /** What is dug of it, closed: [s, z, …]. */
  readonly outline: readonly number[];
}

function bayCut(element: Element, { bays, dug }: Takeoff['elements'][number]): BayCut | null {
  const old = bays ? oldWallOf(element) : null;
  if (!old) return null;
  const half = old.thickness / 2;
  const { underside, inside, access } = old;
  const pit = half + access;
  const outline = [-half, dug, -half, underside, half, underside, half, inside, pit, inside, pit, dug];
  return { wall: [-half, half], pit, dug, inside, outline };
}

/** The stretch of a piece under a level, closed at the level: [s, z, …], or null. */
export function fillUnder(piece: ProfilePiece, level: number): number[] | null {
  const { s0, s1, z0, z1 } = piece;
  if (z0 >= level && z1 >= level) return null;
  const crossing = z0 === z1 ? s0 : s0 + ((s1 - s0) * (level - z0)) / (z1 - z0);
  const [from, low] = z0 > level ? [crossing, level] : [s0, z0];
  const [to, high] = z1 > level ? [crossing, level] : [s1, z1];
  return [from, low, to, high, to, level, from, level];
}

/** Shares of a run where it may be cut, the middle first. */
const CUTS = [0.5, 0.35, 0.65, 0.25, 0.75, 0.15, 0.85];

/** A wall is drawn up to this far over the ground, m. */
const STEM_OVER = 0.15;

/** Where a cut stands in plan, its unit direction, and how far it goes to either side. */
interface Line {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly half: number;
}

/** Where along a run the largest piece of a soft spot under it lies, as a share; null where there is none. */
function softShare(
  { soft }: Takeoff,
  index: number,
  { from, ux, uy, length }: ReturnType<typeof segmentsOf>[number],
): number | null {
  const along = soft
    .flatMap(({ pieces }) => pieces.filter(({ owner }) => owner === index))
    .map(({ area: piece }) => {
      const [x, y] = cornerMean(piece);
      return { size: area(piece), share: ((x - from[0]) * ux + (y - from[1]) * uy) / length };
    })
    .filter(({ share }) => share > 0 && share < 1);
  if (along.length === 0) return null;
  return along.reduce((best, next) => (next.size > best.size ? next : best)).share;
}

/** The line an element is cut along: square to its longest run, or along its long side. */
function lineThrough(plan: Plan, takeoff: Takeoff, index: number, least: number): Line {
  const element = plan.elements[index]!;
  const info = takeoff.elements[index]!;
  const runs = axisOf(element);
  const sizes = sizesOf(element);
  const across = runs.length > 0 ? sizes.across : sizes.along;
  const back = info.support === 'bench' ? plan.dig.bench.width / plan.dig.bench.height : info.slope;
  const opening = Math.max(across, info.width.dug) / 2 + info.depth * back;
  const half = Math.max(least, opening * 1.12 + 0.6);
  if (runs.length === 0) {
    const [x, y] = middleOf(element);
    const angle = shapeOf(element).heading(element);
    return { x, y, dx: Math.cos(angle), dy: Math.sin(angle), half };
  }
  const run = runs.reduce((p, q) => (q.length > p.length ? q : p));
  let [dx, dy] = [run.uy, -run.ux];
  // Read west to east, or south to north: the way a plan is read.
  if (dx < -1e-9 || (Math.abs(dx) <= 1e-9 && dy < 0)) [dx, dy] = [-dx, -dy];
  const at = (share: number) =>
    [
      run.from[0] + (run.to[0] - run.from[0]) * share,
      run.from[1] + (run.to[1] - run.from[1]) * share,
    ] as const;
  // Where along the run other trenches show least, so that the cut reads as this one.
  const crowd = (share: number) => {
    const [x, y] = at(share);
    return profile(takeoff.solid, x, y, dx, dy, [-half, half])
      .filter((piece) => piece.owner !== index)
      .reduce((sum, piece) => sum + piece.s1 - piece.s0, 0);
  };
  const clearest = () => CUTS.reduce((best, next) => (crowd(next) < crowd(best) - 0.01 ? next : best));
  // Where soft ground is taken out under it, the cut goes through the middle of that.
  const [x, y] = at(softShare(takeoff, index, run) ?? clearest());
  return { x, y, dx, dy, half };
}

/** A slab's turned-down edges, and the layers of its floor between it and its bed. */
function slabBoxes(plan: Plan, element: number, { s0, s1, z0 }: SectionBox): SectionBox[] {
  const own = plan.elements[element]!;
  const edge = edgeOf(own);
  const slab = floorSlabOf(own);
  const edges = edge
    ? [[s0, Math.min(s1, s0 + edge.width)] as const, [Math.max(s0, s1 - edge.width), s1] as const].map(
        ([from, to]): SectionBox => ({
          element,
          what: 'footing',
          s0: from,
          s1: to,
          z0: z0 - edge.depth,
          z1: z0,
        }),
      )
    : [];
  let top = z0;
  const [from, to] = edge ? [s0 + edge.width, s1 - edge.width] : [s0, s1];
  const floors = slab ? (slabOnFloor(plan, slab)?.under ?? []) : [];
  const under = floors.flatMap(({ thickness }): SectionBox[] => {
    const z1 = top;
    top -= thickness;
    return to > from ? [{ element, what: 'floor', s0: from, s1: to, z0: top, z1 }] : [];
  });
  return [...edges, ...under, ...boardBoxes(boardsOf(own), element, [s0, s1], z0 - (edge?.depth ?? 0))];
}

/** Boards under its edge, or out past it. @param z1 level of their top */
function boardBoxes(
  boards: Raft['boards'],
  element: number,
  [s0, s1]: readonly [number, number],
  z1: number,
): SectionBox[] {
  if (!boards || boards.zone === 'whole') return [];
  const { thickness } = boards;
  const [out, in_] = boardReach(boards);
  const inward = Math.min(in_, (s1 - s0) / 2);
  const across = [[s0 - out, s0 + inward] as const, [s1 - inward, s1 + out] as const];
  return across.map(([from, to]) => ({ element, what: 'floor', s0: from, s1: to, z0: z1 - thickness, z1 }));
}

/** A layer that stops short of the dug faces, across: from, to, and how far it lies down under a slab's edge. */
function sheetAcross(element: Element, s0: number, s1: number, reach: number): [number, number, number][] {
  const edge = floorSlabOf(element)?.edge ?? null;
  if (!edge || s1 - s0 <= 2 * edge.width) return [[s0 - reach, s1 + reach, edge?.depth ?? 0]];
  return [
    [s0 - reach, s0 + edge.width, edge.depth],
    [s0 + edge.width, s1 - edge.width, 0],
    [s1 - edge.width, s1 + reach, edge.depth],
  ];
}

/** What is built of one footing where it is cut: itself, what lies under it, what stands on it. */
function builtAt(
  plan: Plan,
  element: number,
  { underside, top }: FootingPiece,
  [s0, s1]: readonly [number, number],
  /** Where a wall of unknown height ends, as it is drawn; null: it is not drawn. */
  openTop: number | null,
): SectionBox[] {
  const own = plan.elements[element]!;
  const out: SectionBox[] = [{ element, what: 'footing', s0, s1, z0: underside, z1: top }];
  out.push(...slabBoxes(plan, element, out[0]!));
  let z1 = underside - belowSlab(plan, own);
  for (const layer of (bedOf(plan, own)?.layers ?? []).toReversed()) {
    const { material, thickness, projection } = layer;
    const z0 = z1 - thickness;
    if (!goesToFaces(own, layer)) {
      const reach = Math.min(projection ?? Infinity, roomOf(plan, own));
      for (const [from, to, down] of sheetAcross(own, s0, s1, reach))
        out.push({ element, what: 'layer', material, s0: from, s1: to, z0: z0 - down, z1: z1 - down });
    }
    z1 = z0;
  }
  const standing = (from: number, to: number, z0: number, z1: number) =>
    out.push({ element, what: 'rising', s0: from, s1: to, z0, z1 });
  const box = boxElementOf(own);
  if (box) {
    // Walls and roof round the hollow; the base is the footing drawn already.
    const roof = underside + box.height;
    standing(s0, s0 + box.wall, top, roof);
    standing(s1 - box.wall, s1, top, roof);
    if (box.roof > 0) standing(s0 + box.wall, s1 - box.wall, roof - box.roof, roof);
    return out;
  }
  const old = oldWallOf(own);
  if (old) {
    const half = old.thickness / 2;
    const [mid, over] = [(s0 + s1) / 2, openTop ?? old.underside];
    standing(mid - half, mid + half, old.underside, Math.max(old.underside, over));
    return out;
  }
  const middle = (s0 + s1) / 2;
  if (!own.rising) return out;
  // A wall whose height nobody has said goes on over the ground, where it is cut.
  const ends = risingTop(plan, own, top) ?? openTop;
  // A pad is cut along its length: a wall on it is seen from its side where it runs that way.
  const pad = padOf(own);
  const { thickness, long } = own.rising;
  const half = (pad && pad.length >= pad.width ? (long ?? thickness) : thickness) / 2;
  if (ends !== null) standing(middle - half, middle + half, top, Math.max(top, ends));
  return out;
}

/**
 * The cut across an element: near the middle of a strip's longest run, along a pad.
 * @param least least half-length of the cut, m; it is longer when the opening needs it
 * @param model the plan's ground, when the caller has it already
 */
export function sectionThrough(
  plan: Plan,
  takeoff: Takeoff,
  index: number,
  least = 0,
  model: GroundModel = groundModel(plan),
): Section | null {
  if (!plan.elements[index] || !takeoff.elements[index]?.live) return null;
  const line = lineThrough(plan, takeoff, index, least);
  const { x, y, dx, dy, half } = line;
  const window: [number, number] = [-half, half];
  const groundAt = (s: number) => model.level(x + s * dx, y + s * dy);
  const posts = fence(model, [x - half * dx, y - half * dy], [x + half * dx, y + half * dy], half / 24).map(
    (post) => ({ ...post, s: post.s - half }),
  );
  const boxes = takeoff.elements.flatMap(({ footings, live }, i) =>
    (live ? footings : []).flatMap((piece): SectionBox[] => {
      const cut = clipLine(x, y, dx, dy, window, edges(piece.plan));
      if (!cut) return [];
      const openTop = i === index ? groundAt((cut[0] + cut[1]) / 2) + STEM_OVER : null;
      return builtAt(plan, i, piece, [cut[0], cut[1]], openTop);
    }),
  );
  const dug = profile(takeoff.solid, x, y, dx, dy, window);
  const soft = takeoff.soft.flatMap(({ spot, pieces }) =>
    pieces.flatMap(({ area: piece, level }) => {
      const cut = clipLine(x, y, dx, dy, window, edges(piece));
      if (!cut) return [];
      const [s0, s1] = cut;
      const [z0, z1] = [levelAt(level, x + s0 * dx, y + s0 * dy), levelAt(level, x + s1 * dx, y + s1 * dy)];
      return [
        {
          id: spot.id,
          material: spot.material,
          shape: [s0, z0, s0, z0 - spot.depth, s1, z1 - spot.depth, s1, z1],
        },
      ];
    }),
  );
  const bay = bayCut(plan.elements[index]!, takeoff.elements[index]!);
  return { ...line, soft, posts, ground: [groundAt(-half), groundAt(half)], dug, boxes, bay };
}

/** Level asked of the element's own bottom where the cut stands; the lowest where the cut misses it. */
export function formationAtCut(section: Section, takeoff: Takeoff, index: number): number {
  const flats = section.dug.filter((piece) => piece.owner === index && piece.flat);
  const nearest = flats.reduce<ProfilePiece | null>(
    (best, next) =>
      best === null || Math.abs(next.s0 + next.s1) < Math.abs(best.s0 + best.s1) ? next : best,
    null,
  );
  const info = takeoff.elements[index];
  // What was found low lies below what was asked.
  return nearest ? nearest.z0 + (info?.low ?? 0) : (info?.formation ?? 0);
}

/** The bottom of an element as the cut meets it: from where to where, m along it; null where it does not. */
export function bottomAtCut({ dug, bay }: Section, index: number): readonly [number, number] | null {
  if (bay) return [bay.wall[0], bay.pit];
  const flats = dug.filter((piece) => piece.owner === index && piece.flat);
  // The one the middle of the cut stands in, with what goes on from it at whatever level.
  const middle = flats.findIndex(({ s0, s1 }) => s0 <= 1e-9 && s1 >= -1e-9);
  if (middle < 0) return null;
  let [first, last] = [middle, middle];
  const meets = (left: number, right: number) => Math.abs(flats[left]!.s1 - flats[right]!.s0) < 1e-6;
  while (first > 0 && meets(first - 1, first)) first--;
  while (last + 1 < flats.length && meets(last, last + 1)) last++;
  return [flats[first]!.s0, flats[last]!.s1];
}

/** A layer from dug face to dug face, over the bottom it lies on. */
export interface FaceLayer {
  readonly material: BedMaterialId;
  readonly bottom: number;
  readonly top: number;
}

/** The layers that fill a piece of a cut from face to face, from the bottom up: steps have each their own. */
export function layersOver(plan: Plan, takeoff: Takeoff, piece: ProfilePiece): FaceLayer[] {
  const element = plan.elements[piece.owner];
  const part = takeoff.solid.parts[piece.part];
  if (!element || !part?.fills) return [];
  const lowest = takeoff.solid.parts.find(({ of }) => of === part.of) ?? part;
  let top = lowest.floor.c + (takeoff.elements[piece.owner]?.low ?? 0);
  const own = castOf(element).stone(element);
  const bed = castOf(element).carries(element) ? bedOf(plan, element) : null;
  const layers = (bed?.layers ?? []).flatMap((layer): FaceLayer[] => {
    const bottom = top;
    top += layer.thickness;
    return goesToFaces(element, layer) ? [{ material: layer.material, bottom, top }] : [];
  });
  if (own !== null && own > 0)
    layers.push({ material: castOf(element).stoneOf(element), bottom: top, top: top + own });
  return layers;
}

/** What a layer takes up of a piece of a cut, closed: [s, z, …]; null where it does not reach. */
export function layerIn(piece: ProfilePiece, { bottom, top }: FaceLayer): number[] | null {
  const upper = fillUnder(piece, top);
  if (!upper) return null;
  const low = (z: number) => Math.max(z, bottom);
  return upper.map((value, i) => (i % 2 === 0 ? value : low(value)));
}

/** A neighbour's footing where a cut meets its line. */
export interface NeighbourCut {
  readonly hazard: Hazard;
  /** m along the cut. */
  readonly s: number;
  readonly level: number;
  /** Half of its width, m. */
  readonly half: number;
}

/** Width a neighbour's footing is drawn with when nobody knows how far it stands out, m. */
const UNKNOWN_HALF = 0.15;

/** Footings of neighbours along a cut; those without a known underside are left out. */
export function neighboursAlong(hazards: readonly Hazard[], section: Section): NeighbourCut[] {
  const { x, y, dx, dy, half } = section;
  return hazards.flatMap((hazard) => {
    const { level } = hazard;
    if (hazard.kind !== 'footing' || level === null) return [];
    return hazard.points.slice(1).flatMap((q, i) => {
      const p = hazard.points[i]!;
      const across = (at: readonly [number, number]) => (at[0] - x) * dy - (at[1] - y) * dx;
      const [from, to] = [across(p), across(q)];
      if (from > 0 === to > 0) return [];
      const share = from / (from - to);
      const [cx, cy] = [p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])];
      const s = (cx - x) * dx + (cy - y) * dy;
      return Math.abs(s) > half ? [] : [{ hazard, s, level, half: hazard.projection || UNKNOWN_HALF }];
    });
  });
}
