/**
 * What is placed in the dig: stone to the dug faces, lean concrete, footings, and the stems that
 * stand in the backfill. Shared room (crossings, overlapping pads) is counted once.
 */

import type { LaidLayer } from '../base/beds.ts';
import { PRACTICE } from '../catalogue/practice.ts';
import { framePieces } from '../dig/bottoms.ts';
import type { Excavation } from '../dig/excavate.ts';
import type { FoundationLevels } from '../dig/foundation-levels.ts';
import { type Solid, volumeUnder, volumeUnderLevel } from '../dig/solid.ts';
import { splitByStretch } from '../dig/stretches.ts';
import { bottomOf } from '../dig/width.ts';
import {
  boxOf,
  cornerMean,
  intersect,
  type Linear,
  type Polygon,
  type Prism,
  type PrismPiece,
  pieceVolume,
  prismPieces,
} from '../geometry/index.ts';
import type { Surface } from '../ground/surface.ts';
import { belowSlab } from '../levels/slab.ts';
import type { Stepped } from '../levels/steps.ts';
import { bedOf, layerValues } from '../plan/beds.ts';
import type { Element, Pad } from '../plan/elements.ts';
import type { Bed, BedLayer, Plan } from '../plan/schema.ts';
import { floorSlabOf, keyOf, oldWallOf, outlineOf, pipeOf, traitsOf, underWallOf } from '../plan/variants.ts';
import {
  axisLength,
  axisOf,
  footingPieces,
  footprints,
  outlinePieces,
  roomOf,
  sizesOf,
} from '../setout/index.ts';
import { castRanks } from './cast-order.ts';
import { type Crossing, crossingsOf } from './crossings.ts';
import { boardPieces } from './insulation-boards.ts';
import { CAST_STAGES, type CastStage, castOf, NO_WIDTH, type Piece, stagesOf } from './kinds.ts';
import { laidOf, type Rise, risesOf, risingTop } from './rising.ts';

/** What is placed in what one element digs. */
export interface PlacedIn {
  /** Compacted stone, m³: its bed's and its own. */
  readonly stone: number;
  /** Stone of a drain or a stone footing, m³, less the pipe in it; and the pipe. */
  readonly ownStone: number;
  readonly pipe: number;
  /** The layers of its bed, from formation up. */
  readonly layers: readonly LaidLayer[];
  /** Fill of a bottom dug low, m³, in whatever the plan makes it up with. */
  readonly makeUp: number;
  /** Footings, m³. */
  readonly concrete: number;
  /** All that is cast of it, the wall or column on it too, stage by stage from the bottom up. */
  readonly casts: readonly CastIn[];
  /** What rises from it; null: nothing. */
  readonly rising: RisingIn | null;
  /** What it covers in plan, m², each piece by its own thickness; null where part of it is hollow. */
  readonly concreteArea: number | null;
  /** Footings in plan, each with the underside it lies at. */
  readonly footings: readonly FootingPiece[];
}

/** A stage of what is cast of an element. */
export interface CastIn {
  readonly stage: CastStage;
  /** Of passes and rises, from 1; 1 of the others. */
  readonly number: number;
  /** Levels, m: of its lowest and highest piece. */
  readonly bottom: number;
  readonly top: number;
  /** m³, what it shares with others counted once. */
  readonly volume: number;
}

/** A wall or column as it stands. */
export interface RisingIn {
  /** Level of its top, m; null: nobody has said. */
  readonly top: number | null;
  /** Lowest level it rises from, m. */
  readonly bottom: number;
  /** m³ of all of it; null while nobody has said how high it is. */
  readonly volume: number | null;
  /** m³ of it below the ground: what it takes of the backfill. */
  readonly below: number;
}

export interface Placed {
  readonly elements: readonly PlacedIn[];
  /** Layers of floors between slabs and their beds, m³; and boards let into beds or laid out past edges. */
  readonly underSlabs: number;
  readonly boards: number;
  /** Dry pack between new concrete and old walls, m³. */
  readonly packs: number;
  /** Fill of bottoms dug low, m³, all of it. */
  readonly makeUp: number;
  /** Lean concrete of beds: plan area m², neat m³, and its allowance for an uneven bed, m³. */
  readonly blindingArea: number;
  readonly blinding: number;
  readonly irregularity: number;
  /** Walls and columns below ground, m³. */
  readonly risings: number;
  /** Services over, through and under what is cast. */
  readonly crossings: readonly Crossing[];
  /** Hollows of boxes below ground, m³; less than nought for concrete that stands above it. */
  readonly voids: number;
  /** Where it lies. */
  readonly taken: Taken;
}

/** What takes room in a dig. */
export interface Taken {
  /** From face to face, by part of the solid. */
  readonly bands: readonly (readonly Band[])[];
  /** Pieces of plan with the heights taken there; they share nothing. */
  readonly pieces: readonly PrismPiece[];
}

export interface FootingPiece {
  readonly plan: Polygon;
  readonly underside: number;
  readonly top: number;
}

const lifted = (floor: Linear, by: number): Linear => ({ a: floor.a, b: floor.b, c: floor.c + by });
/** Width concrete takes: the form's, or for trench-fill what the bucket dug. */
const concreteWidth = (plan: Plan, element: Element): number =>
  castOf(element).across(element) ?? footingWidth(plan, element);
const footingWidth = (plan: Plan, element: Element): number =>
  element.method === 'trenchFill' ? bottomOf(plan, element).width.dug : sizesOf(element).across;

/** From the underside of its slab to the top of what is cast: a box's whole height, else the thickness. */
const heightOf = (element: Element): number => castOf(element).height(element);

/** Level of the top of all that is cast; under an old wall it comes up to the dry pack. */
export function topOver(element: Element, underside: number): number {
  const old = oldWallOf(element);
  if (old) return Math.max(underside, old.underside - old.gap);
  return underside + castOf(element).rise(element) + heightOf(element);
}

const padPlan = (pad: Pad, across: number, along: number): readonly [number, number] =>
  pad.length >= pad.width ? [along, across] : [across, along];

/** Concrete of each strip and pad in plan. */
function concretePieces(plan: Plan): Polygon[][] {
  if (plan.elements.every((e) => e.method === 'formed' && castOf(e).across(e) === null))
    return footingPieces(plan.elements);
  const filled = footprints(
    plan.elements,
    (e) => ({ half: concreteWidth(plan, e) / 2, end: 0 }),
    (pad) =>
      pad.method === 'formed'
        ? [pad.length, pad.width]
        : padPlan(pad, concreteWidth(plan, pad), bottomOf(plan, pad).length ?? pad.length),
  );
  const plain = footingPieces(plan.elements);
  return plan.elements.map((e, i) => (outlineOf(e) ? plain[i]! : filled[i]!));
}

/** A layer of a bed that stops short of the dug faces, by element; null where there is none. */
type Reach = (element: Element) => number | null;

/** A layer in plan: the footing and its projection, never past the dug bottom. */
function layerPieces(plan: Plan, reachOf: Reach): Polygon[][] {
  const narrow = footprints(
    plan.elements,
    (e) => {
      const reach = reachOf(e);
      return reach === null
        ? { half: NO_WIDTH / 2, end: 0 }
        : { half: footingWidth(plan, e) / 2 + reach, end: reach };
    },
    (pad) => {
      const reach = reachOf(pad);
      if (reach === null) return [NO_WIDTH, NO_WIDTH];
      if (pad.method === 'formed') return [pad.length + 2 * reach, pad.width + 2 * reach];
      return padPlan(pad, concreteWidth(plan, pad), bottomOf(plan, pad).length ?? pad.length);
    },
  );
  return plan.elements.map((e, i) => {
    const reach = reachOf(e);
    if (reach === null) return [];
    const outline = outlineOf(e);
    return outline ? outlinePieces(outline, reach) : narrow[i]!;
  });
}

function risingPieces(plan: Plan): Polygon[][] {
  const thick = ({ rising }: Element) => rising?.thickness ?? NO_WIDTH;
  return footprints(
    plan.elements,
    (e) => ({ half: thick(e) / 2, end: 0 }),
    (pad) => padPlan(pad, thick(pad), pad.rising?.long ?? thick(pad)),
  );
}

/** Level of the highest ground over a convex piece of plan; null off the ground. */
function highestOver(surface: Surface, piece: Polygon): number | null {
  let high: number | null = null;
  for (const { walls, ground } of surface.patches(boxOf(piece))) {
    const over = intersect(piece, walls);
    for (let i = 0; i < over.length; i += 2)
      high = Math.max(high ?? -Infinity, ground.a * over[i]! + ground.b * over[i + 1]! + ground.c);
  }
  return high;
}

/** m³ between a level and the ground below it over a convex piece of plan. */
function standingOut(surface: Surface, piece: Polygon, level: number): number {
  let sum = 0;
  for (const { walls, ground } of surface.patches(boxOf(piece)))
    sum += volumeUnder(intersect(piece, walls), ground, { a: 0, b: 0, c: level });
  return sum;
}

/** What a higher tread lays over the lower one before it or after it: its plan and the lower underside. */
function laps(element: Element, pieces: readonly Polygon[], steps: Stepped) {
  const runs = axisOf(element);
  return steps.stretches.flatMap((stretch, i) => {
    const next = steps.stretches[i + 1];
    if (!next || next.run !== stretch.run) return [];
    const run = runs[stretch.run]!;
    const up = next.underside > stretch.underside;
    const [from, to] = up ? [stretch.s1 - steps.lap, stretch.s1] : [stretch.s1, stretch.s1 + steps.lap];
    const along = (s: number): Linear => ({
      a: run.ux,
      b: run.uy,
      c: -(run.ux * run.from[0] + run.uy * run.from[1]) - s,
    });
    const start = along(from);
    const plan = intersect(pieces[stretch.run]!, [{ a: -start.a, b: -start.b, c: -start.c }, along(to)]);
    if (plan.length === 0) return [];
    const [low, high] = up ? [stretch, next] : [next, stretch];
    return [{ plan, bottom: low.underside, top: high.underside + element.thickness }];
  });
}

/** What was cut, and for which elements: what things are placed on. */
interface Ground {
  readonly plan: Plan;
  readonly surface: Surface;
  readonly solid: Solid;
  readonly founded: readonly FoundationLevels[];
}

/**
 * A layer fills the dig from face to face. Under a slab on its floor it lies as a sheet, as far past the
 * slab as its room: also over deeper trenches beside it, which are filled again first.
 */
export const goesToFaces = (element: Element, { projection }: BedLayer): boolean =>
  projection === null && !traitsOf(element).byFloor;

interface Filled {
  /** m³ of every layer that goes to the dug faces, by element. */
  readonly layers: readonly number[][];
  readonly ownStone: readonly number[];
  readonly pipes: readonly number[];
  /** What makes up the bottoms dug low, by element. */
  readonly makeUps: readonly number[];
}

/** What lies in the dig from face to face, between two levels over the bottom it follows. */
export interface Band {
  readonly from: Linear;
  readonly to: Linear;
}

interface OwnBand extends Band {
  readonly what: 'makeUp' | 'stone' | 'layer';
  /** Of a layer: which of the bed's. */
  readonly layer: number;
}

/** What fills the dig from face to face over each part of its bottom, from the lowest up. */
function bandsOf({ plan, solid, founded }: Ground): OwnBand[][] {
  const beds = founded.map(({ element }) => bedOf(plan, element));
  // Stone and make-up follow the bottom they lie on: benches read it off the part below them.
  const floors = new Map<number, Linear>();
  for (const part of solid.parts) if (!floors.has(part.of)) floors.set(part.of, part.floor);
  return solid.parts.map((part): OwnBand[] => {
    const { element, low } = founded[part.owner]!;
    if (!part.fills && part.mitre === 0) return [];
    const floor = floors.get(part.of)!;
    const needed = lifted(floor, low);
    const out: OwnBand[] = low > 0 ? [{ from: floor, to: needed, what: 'makeUp', layer: 0 }] : [];
    let height = 0;
    const put = (what: OwnBand['what'], thickness: number, layer: number, faces: boolean) => {
      const band = { from: lifted(needed, height), to: lifted(needed, height + thickness), what, layer };
      if (faces) out.push(band);
      height += thickness;
    };
    // A drain's own stone takes the room of its bed; a stone footing stands on it.
    if (castOf(element).carries(element))
      beds[part.owner]?.layers.forEach((layer, j) => {
        put('layer', layer.thickness, j, goesToFaces(element, layer));
      });
    const own = castOf(element).stone(element);
    if (own !== null && own > 0) put('stone', own, 0, true);
    return out;
  });
}

/** What fills the dig from face to face. */
function filled({ plan, solid, founded }: Ground, bands: readonly OwnBand[][]): Filled {
  const beds = founded.map(({ element }) => bedOf(plan, element));
  const layers = beds.map((bed) => (bed?.layers ?? []).map(() => 0));
  const ownStone = founded.map(() => 0);
  const makeUps = founded.map(() => 0);
  solid.cuts.forEach(({ cells }, i) => {
    const { owner } = solid.parts[i]!;
    const under = (level: Linear) => cells.reduce((sum, cell) => sum + volumeUnderLevel(cell, level), 0);
    for (const { from, to, what, layer } of bands[i]!) {
      const volume = under(to) - (what === 'makeUp' ? 0 : under(from));
      if (what === 'layer') layers[owner]![layer]! += volume;
      else if (what === 'stone') ownStone[owner]! += volume;
      else makeUps[owner]! += volume;
    }
  });
  // Under an old wall every layer is as wide as the footing that stands on it, and no wider than its bays.
  founded.forEach(({ element, live }, i) => {
    const under = live ? underWallOf(element) : null;
    if (!under) return;
    const { old, width } = under;
    beds[i]?.layers.forEach((layer, j) => {
      const wide = width + 2 * (layer.projection ?? 0);
      layers[i]![j]! += Math.min(wide, old.thickness + old.access) * axisLength(under) * layer.thickness;
    });
  });
  // A pipe takes its room from the stone round it; never more than there is.
  const pipes = founded.map(({ element, live }, i) => {
    const pipe = live ? pipeOf(element) : null;
    return pipe ? Math.min(ownStone[i]!, (Math.PI / 4) * pipe.diameter ** 2 * sizesOf(element).along) : 0;
  });
  return { layers, ownStone: ownStone.map((volume, i) => volume - pipes[i]!), pipes, makeUps };
}

interface Placing extends Prism {
  readonly owner: number;
  readonly what: 'concrete' | 'layer' | 'floor' | 'board' | 'rising' | 'void';
  /** Of what is cast: when, and which pass or rise. */
  readonly stage?: CastStage;
  readonly number?: number;
  /** Of a layer: which of the bed's. */
  readonly layer?: number;
}

type Split = readonly (readonly { readonly plan: Polygon; readonly stretch: number }[])[];

/** What is cast of each element beside its slab, and what stays hollow in it. */
function besides({ plan, founded }: Ground): Placing[] {
  return founded.flatMap(({ element, index: owner, live, undersides, formations, steps }): Placing[] => {
    if (!live) return [];
    const cast = castOf(element);
    const at = (pieces: readonly Piece[], what: Placing['what']) =>
      pieces.map(({ plan: piece, from, to }): Placing => {
        const underside = undersides[0]!;
        const cast = what === 'concrete' ? { stage: 'first' as const } : {};
        return { plan: piece, bottom: underside + from, top: underside + to, owner, what, ...cast };
      });
    // What is hollow keeps its room from the concrete round it.
    const out = [...at(cast.hollows(element), 'void'), ...at(cast.more(element), 'concrete')];
    const key = keyOf(element);
    if (!key) return out;
    const pieces = footprints(
      plan.elements,
      (e) => ({ half: e === element ? key.width / 2 : NO_WIDTH / 2, end: 0 }),
      () => [NO_WIDTH, NO_WIDTH],
    )[owner]!;
    for (const piece of splitByStretch(element, pieces, steps))
      out.push({
        plan: piece.plan,
        bottom: formations[piece.stretch]! - key.depth,
        top: undersides[piece.stretch]!,
        owner,
        what: 'concrete',
        stage: 'first',
      });
    return out;
  });
}

/** A piece of a layer in plan, and how far it lies over its place under a turned-down edge, m. */
interface Sheet {
  readonly plan: Polygon;
  readonly stretch: number;
  readonly up?: number;
}

/** Under a slab whose edge is turned down its bed rises inside the edge; null for what has none. */
function sheetPieces(element: Element, reach: number): Sheet[] | null {
  const slab = floorSlabOf(element);
  if (!slab?.edge) return null;
  const { outline, edge } = slab;
  return [
    ...framePieces(outline, reach, edge.width).map(({ plan }) => ({ plan, stretch: 0 })),
    ...outlinePieces(outline, -edge.width).map((plan) => ({ plan, stretch: 0, up: edge.depth })),
  ];
}

/** Layers that stop short of the dug faces, the uppermost first. */
function layerPrisms({ plan, founded }: Ground): Placing[] {
  const beds = founded.map(({ element, live }) =>
    live && castOf(element).carries(element) && !traitsOf(element).inBays ? bedOf(plan, element) : null,
  );
  const most = Math.max(0, ...beds.map((bed) => bed?.layers.length ?? 0));
  return Array.from({ length: most }, (_, i) => most - 1 - i).flatMap((j) => {
    const reaches = new Map(
      founded.map(({ element }, i) => {
        const layer = beds[i]?.layers[j];
        if (!layer || goesToFaces(element, layer)) return [element, null];
        return [element, Math.min(layer.projection ?? Infinity, roomOf(plan, element))];
      }),
    );
    if ([...reaches.values()].every((reach) => reach === null)) return [];
    const pieces = split(
      founded,
      layerPieces(plan, (element) => reaches.get(element) ?? null),
    );
    return founded.flatMap(({ element, index: owner, formations }): Placing[] => {
      if ((reaches.get(element) ?? null) === null) return [];
      const { layers } = beds[owner]!;
      const from = layers.slice(0, j).reduce((sum, layer) => sum + layer.thickness, 0);
      const sheets: readonly Sheet[] = sheetPieces(element, reaches.get(element) ?? 0) ?? pieces[owner]!;
      return sheets.map(({ plan: piece, stretch, up = 0 }) => {
        const bottom = formations[stretch]! + from + up;
        return { plan: piece, bottom, top: bottom + layers[j]!.thickness, owner, what: 'layer', layer: j };
      });
    });
  });
}

/** Boards under a slab's edge, let into its bed, or out past it. */
function boardPrisms({ founded }: Ground): Placing[] {
  return founded.flatMap(({ element, index: owner, live, undersides }): Placing[] => {
    const slab = live ? floorSlabOf(element) : null;
    if (!slab?.boards || slab.boards.zone === 'whole') return [];
    const { thickness } = slab.boards;
    const top = undersides[0]!;
    return boardPieces(slab).map((piece) => ({
      plan: piece,
      bottom: top - thickness,
      top,
      owner,
      what: 'board',
    }));
  });
}

/** Everything that is cast or stands in the dig, as prisms. */
function prismsOf(ground: Ground, wholeFootings: readonly Polygon[][], footings: Split): Placing[] {
  const { plan, founded } = ground;
  const placed = (
    pieces: Split,
    each: (element: Element, underside: number, piece: Polygon) => readonly Omit<Placing, 'plan' | 'owner'>[],
  ): Placing[] =>
    pieces.flatMap((list, owner) => {
      const { element, live, undersides } = founded[owner]!;
      if (!live || traitsOf(element).inBays || !castOf(element).carries(element)) return [];
      return list.flatMap(({ plan: piece, stretch }) =>
        each(element, undersides[stretch]!, piece).map((one) => ({ plan: piece, owner, ...one })),
      );
    });
  const more = besides(ground);
  const rank = castRanks(plan);
  const cast = [
    ...placed(footings, (element, underside) =>
      stagesOf(element).map(({ stage, from, to }) => ({
        bottom: underside + from,
        top: underside + to,
        what: 'concrete',
        stage,
      })),
    ),
    ...more.filter(({ what }) => what !== 'void'),
    ...founded.flatMap(({ element, index: owner, steps, live }): Placing[] =>
      steps && live
        ? laps(element, wholeFootings[owner]!, steps).map((lap) => ({
            ...lap,
            owner,
            what: 'concrete',
            stage: 'first',
          }))
        : [],
    ),
  ];
  // Who is cast first owns what they share.
  const inOrder = (prisms: Placing[]) =>
    plan.pour.order.length > 0 ? prisms.sort((p, q) => rank[p.owner]! - rank[q.owner]!) : prisms;
  return [
    ...more.filter(({ what }) => what === 'void'),
    ...inOrder(cast),
    ...boardPrisms(ground),
    ...layerPrisms(ground),
    ...footings.flatMap((list, owner): Placing[] => {
      const { element, live, undersides } = founded[owner]!;
      const below = live ? belowSlab(plan, element) : 0;
      if (below === 0) return [];
      const top = undersides[0]! + castOf(element).rise(element);
      return list.map(({ plan: piece }) => ({ plan: piece, bottom: top - below, top, owner, what: 'floor' }));
    }),
    ...inOrder(
      placed(split(founded, risingPieces(plan)), (element, underside, piece) =>
        risingPrisms(ground, element, topOver(element, underside), piece),
      ),
    ),
  ];
}

/** What rises over a piece of plan from a footing's top: in rises where it is cast, the beam on it by itself. */
function risingPrisms({ plan, surface }: Ground, element: Element, from: number, piece: Polygon) {
  const { rising } = element;
  if (!rising) return [];
  const said = risingTop(plan, element, from);
  // Nobody knows how high: it stands in the backfill to the ground all the same.
  const top = said ?? highestOver(surface, piece) ?? surface.level(...cornerMean(piece));
  const beamFrom = rising.beam === null || said === null ? top : Math.max(from, top - rising.beam);
  const of = ({ bottom, top }: Rise, cast: Pick<Placing, 'stage' | 'number'>) => ({
    bottom,
    top,
    what: 'rising' as const,
    ...cast,
  });
  const beam = top > beamFrom ? [of({ bottom: beamFrom, top }, { stage: 'beam' })] : [];
  if (said === null || rising.made === 'laid') return [of({ bottom: from, top: beamFrom }, {}), ...beam];
  return [
    ...risesOf(from, beamFrom, rising.rise).map((rise, i) => of(rise, { stage: 'rise', number: i + 1 })),
    ...beam,
  ];
}

const split = (founded: readonly FoundationLevels[], pieces: readonly Polygon[][]): Split =>
  pieces.map((list, owner) => splitByStretch(founded[owner]!.element, list, founded[owner]!.steps));

/** The layers of a bed with what is laid of each, m³. */
const laidLayers = (plan: Plan, bed: Bed | null, volumes: readonly number[]): LaidLayer[] =>
  (bed?.layers ?? []).map((layer, j) => {
    const below = bed!.layers[j - 1];
    const rough = below && !layerValues(below).cast ? PRACTICE.unevenStone : PRACTICE.unevenSoil;
    return {
      layer,
      volume: volumes[j]!,
      area: volumes[j]! / layer.thickness,
      unevenness: layerValues(layer).cast ? (plan.pour.irregularity ?? rough.value) : 0,
    };
  });

type Sum = { -readonly [K in keyof CastIn]: CastIn[K] };
const nothing = (stage: CastStage, number: number): Sum => ({
  stage,
  number,
  bottom: Infinity,
  top: -Infinity,
  volume: 0,
});

/** What is added up of a stage. */
function sumOf(sums: Map<string, Sum>, stage: CastStage, number: number): Sum {
  const key = `${stage}/${number}`;
  const known = sums.get(key) ?? nothing(stage, number);
  sums.set(key, known);
  return known;
}

function addTo(sum: Sum, { bottom, top }: { readonly bottom: number; readonly top: number }, volume: number) {
  if (!(top > bottom)) return;
  sum.bottom = Math.min(sum.bottom, bottom);
  sum.top = Math.max(sum.top, top);
  sum.volume += volume;
}

/** m³ of pieces that stand over the ground. */
const piecesOut = (surface: Surface, pieces: readonly PrismPiece[]): number =>
  pieces.reduce(
    (sum, { plan, spans }) =>
      spans.reduce(
        (out, [from, to]) => out + standingOut(surface, plan, to) - standingOut(surface, plan, from),
        sum,
      ),
    0,
  );

/** The wall or column on an element, and all that is cast of both. */
function risingIn(
  plan: Plan,
  element: Element,
  { bottom, top, volume, below }: Sum & { readonly below: number },
  sums: ReadonlyMap<string, Sum>,
): Pick<PlacedIn, 'casts' | 'rising'> {
  const { rising } = element;
  const casts = [...sums.values()].filter((one) => one.volume > 0);
  if (rising === null || volume <= 0) return { casts: inTurn(casts), rising: null };
  const known = risingTop(plan, element, bottom) !== null;
  const beam = casts.find(({ stage }) => stage === 'beam')?.volume ?? 0;
  if (known && rising.made === 'laid' && rising.units.fill === 'concrete') {
    const { cells } = laidOf(rising, volume - beam, top - bottom - (rising.beam ?? 0));
    casts.push({ ...nothing('cells', 1), bottom, top: top - (rising.beam ?? 0), volume: cells });
  }
  return {
    casts: inTurn(casts),
    rising: { top: known ? top : null, bottom, volume: known ? volume : null, below },
  };
}

/** In the order they are cast. */
const inTurn = (casts: readonly CastIn[]): CastIn[] =>
  casts.toSorted(
    (p, q) => CAST_STAGES.indexOf(p.stage) - CAST_STAGES.indexOf(q.stage) || p.number - q.number,
  );

/** m³ of boxes and of slabs on their floors that stand over the ground: only what is below it fills the hole. */
function overGround({ plan, surface, founded }: Ground, footings: Split, prisms: readonly Placing[]): number {
  let out = 0;
  const add = (piece: Polygon, top: number, bottom: number | null = null) => {
    out += standingOut(surface, piece, top) - (bottom === null ? 0 : standingOut(surface, piece, bottom));
  };
  founded.forEach(({ element, live, undersides }, i) => {
    if (!live) return;
    const top = topOver(element, undersides[0]!);
    if (castOf(element).hollows(element).length > 0) for (const { plan } of footings[i]!) add(plan, top);
    if (!traitsOf(element).byFloor) return;
    const base = top - heightOf(element) - belowSlab(plan, element);
    for (const piece of footings[i]!) add(piece.plan, top, base);
    for (const prism of prisms)
      if (prism.owner === i && (prism.what === 'layer' || prism.what === 'board'))
        add(prism.plan, prism.top, prism.bottom);
  });
  return out;
}

/** Volumes placed in what was dug. */
export function place(
  plan: Plan,
  surface: Surface,
  { solid, bays }: Pick<Excavation, 'solid' | 'bays'>,
  founded: readonly FoundationLevels[],
): Placed {
  const ground: Ground = { plan, surface, solid, founded };
  const wholeFootings = concretePieces(plan);
  const footings = split(founded, wholeFootings);
  const prisms = prismsOf(ground, wholeFootings, footings);
  const concrete = founded.map(() => 0);
  const covered = founded.map(() => 0);
  const bands = bandsOf(ground);
  const { layers: volumes, ownStone, pipes, makeUps } = filled(ground, bands);
  const casts = founded.map(() => new Map<string, Sum>());
  const rising = founded.map((): Sum & { below: number } => ({ ...nothing('rise', 1), below: 0 }));
  const sums = { void: 0, floor: 0, board: 0 };
  const separate = prismPieces(prisms);
  separate.forEach((pieces, i) => {
    const prism = prisms[i]!;
    const { owner, what, layer, bottom, top, stage, number = 1 } = prism;
    const volume = pieceVolume(pieces);
    if (stage) addTo(sumOf(casts[owner]!, stage, number), prism, volume);
    if (what === 'concrete') {
      concrete[owner]! += volume;
      if (top > bottom) covered[owner]! += volume / (top - bottom);
    } else if (what === 'rising') {
      addTo(rising[owner]!, prism, volume);
      rising[owner]!.below += volume - piecesOut(surface, pieces);
    } else if (what === 'layer') volumes[owner]![layer!]! += volume;
    else sums[what] += volume;
  });
  let packs = 0;
  bays.forEach((own, i) => {
    if (!own) return;
    const { element, undersides } = founded[i]!;
    const cast = own.each.concrete * own.count;
    concrete[i]! += cast;
    covered[i]! += cast / (topOver(element, undersides[0]!) - undersides[0]!);
    packs += own.each.pack * own.count;
    const [bottom, top] = [undersides[0]!, topOver(element, undersides[0]!)];
    own.passes.forEach((pass, k) => {
      addTo(sumOf(casts[i]!, 'pass', k + 1), { bottom, top }, own.each.concrete * pass.length);
    });
  });
  sums.void -= overGround(ground, footings, prisms);
  const layers = founded.map(({ element }, i) => laidLayers(plan, bedOf(plan, element), volumes[i]!));
  const every = layers.flat();
  const lean = every.filter(({ layer }) => layerValues(layer).cast);
  const total = (of: readonly LaidLayer[], value: (laid: LaidLayer) => number) =>
    of.reduce((sum, laid) => sum + value(laid), 0);
  return {
    elements: founded.map((one, i): PlacedIn => {
      const own = layers[i]!;
      return {
        stone: ownStone[i]! + total(own, ({ layer, volume }) => (layerValues(layer).cast ? 0 : volume)),
        ownStone: ownStone[i]!,
        pipe: pipes[i]!,
        layers: own,
        makeUp: makeUps[i]!,
        concrete: concrete[i]!,
        concreteArea: castOf(one.element).hollows(one.element).length > 0 ? null : covered[i]!,
        footings: footingsOf(one, footings[i]!),
        ...risingIn(plan, one.element, rising[i]!, casts[i]!),
      };
    }),
    makeUp: makeUps.reduce((sum, volume) => sum + volume, 0),
    underSlabs: sums.floor,
    boards: sums.board,
    packs,
    blindingArea: total(lean, ({ area }) => area),
    blinding: total(lean, ({ volume }) => volume),
    irregularity: total(lean, ({ area, unevenness }) => area * unevenness),
    risings: rising.reduce((sum, { below }) => sum + below, 0),
    crossings: crossingsOf(plan.ground.hazards, [...prisms, ...inBays(founded, footings)]),
    voids: sums.void,
    taken: { bands, pieces: separate.flat() },
  };
}

/** What is cast in bays under old walls, which is no prism of its own, as prisms. */
const inBays = (founded: readonly FoundationLevels[], footings: Split) =>
  founded.flatMap((one, owner) =>
    one.live && traitsOf(one.element).inBays
      ? footingsOf(one, footings[owner]!).map(({ plan, underside, top }) => ({
          plan,
          bottom: underside,
          top,
          owner,
          what: 'concrete',
          stage: 'pass' as const,
          // Which bay it lies in is not worked out.
          number: null,
        }))
      : [],
  );

/** Footings in plan with their levels. */
function footingsOf(
  { element, undersides }: FoundationLevels,
  pieces: ReturnType<typeof split>[number],
): FootingPiece[] {
  const cast = castOf(element);
  if (!cast.carries(element)) return [];
  const old = oldWallOf(element);
  return pieces.map(({ plan: piece, stretch }) => {
    const underside = undersides[stretch]! + cast.rise(element);
    if (old) return { plan: piece, underside, top: topOver(element, underside) };
    return { plan: piece, underside, top: underside + cast.slab(element) };
  });
}

/** m³ that have to come for so much neat, before they are rounded up: with what stays behind, and waste. */
export const wantedOf = (neat: number, waste: number, stays: number): number =>
  neat > 0 ? (neat + stays) * (1 + waste) : 0;

/**
 * A delivery: neat, what stays behind and waste rounded up to the plant's step, and the trucks that bring it.
 * @param stays m³ that stay in line, hopper and forms; none without anything to cast
 */
export function deliveryOf(
  neat: number,
  waste: number,
  step: number,
  truck: number,
  stays = 0,
): { ordered: number; loads: number } {
  const wanted = wantedOf(neat, waste, stays);
  if (wanted <= 0) return { ordered: 0, loads: 0 };
  const ordered = Math.ceil(wanted / step - 1e-9) * step;
  return { ordered, loads: Math.ceil(ordered / truck - 1e-9) };
}
