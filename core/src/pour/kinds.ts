/** What is cast on every kind of element: one row for each it is for. Levels in m over the element's underside. */
import type { BedMaterialId } from '../catalogue/index.ts';
import { framePieces } from '../dig/bottoms.ts';
import type { Polygon } from '../geometry/index.ts';
import type { Element, Raft, Strip } from '../plan/elements.ts';
import { type Variant, type VariantElements, variantOf } from '../plan/variants.ts';
import { outlinePieces } from '../setout/index.ts';

/** A piece of plan between two levels over the underside. */
export interface Piece {
  readonly plan: Polygon;
  readonly from: number;
  readonly to: number;
}

/** What is cast with its like when nobody says otherwise, in the order it is cast. */
export const POUR_KINDS = [
  'footings',
  'pads',
  'underpinning',
  'boxes',
  'boxWalls',
  'roofs',
  'walls',
  'columns',
  'cells',
  'beams',
  'slabs',
  'aprons',
] as const;
export type PourKind = (typeof POUR_KINDS)[number];

/**
 * What of an element is cast at once: its footing, base or slab; a box's walls and roof; a pass of bays under an old
 * wall; a rise of the wall or column on it, the fill of a laid one's cells, the beam along its top.
 */
export const CAST_STAGES = ['first', 'pass', 'walls', 'roof', 'rise', 'cells', 'beam'] as const;
export type CastStage = (typeof CAST_STAGES)[number];

/** A stage of what is cast of an element, between two levels over its underside. */
export interface Staged {
  readonly stage: CastStage;
  readonly from: number;
  readonly to: number;
}

/** What stands lowest in it, as a crew calls it. */
export type BuiltAs = 'footing' | 'slab' | 'base' | 'stone';

interface Cast<E extends Element> {
  readonly built: BuiltAs;
  /** With what it is cast when nobody says otherwise, and with what the wall or column on it is. */
  readonly pours: PourKind;
  readonly rises: PourKind;
  /** What is cast of it over its footprint, from the bottom up, where that is not all at once. */
  readonly stages?: (element: E) => readonly Staged[];
  /** A footing is cast on it. Drains and ramps carry nothing. */
  readonly carries: (element: E) => boolean;
  /** From the underside of its slab to the top of what is cast: a box's whole height. */
  readonly height: (element: E) => number;
  /** Thickness of its slab. */
  readonly slab: (element: E) => number;
  /** How far its slab lies over the underside: an edge is turned down under it. */
  readonly rise: (element: E) => number;
  /** Stone laid on its bottom instead of the bed, m; null: the bed's. */
  readonly stone: (element: E) => number | null;
  /** What that stone is of where no bed says. */
  readonly stoneOf: (element: E) => BedMaterialId;
  /** How wide its concrete is where it is not the footing's width, m; null: it is. */
  readonly across: (element: E) => number | null;
  /** What is left hollow in what is cast. */
  readonly hollows: (element: E) => readonly Piece[];
  /** What is cast beside the slab. */
  readonly more: (element: E) => readonly Piece[];
}

/** Width of what takes no room where others do, m. */
export const NO_WIDTH = 1e-6;

const plain = <E extends Element>(pours: PourKind, built: BuiltAs = 'footing'): Cast<E> => ({
  built,
  pours,
  rises: pours === 'pads' ? 'columns' : 'walls',
  carries: () => true,
  height: (e) => e.thickness,
  slab: (e) => e.thickness,
  rise: () => 0,
  stone: () => null,
  stoneOf: () => 'crushed',
  across: () => null,
  hollows: () => [],
  more: () => [],
});

const strip = plain<Strip>('footings');
/** Stone it lies in is its own; a footing's is its bed's. */
const inStone: Cast<Strip> = { ...strip, built: 'stone', stone: (e) => e.thickness };
const slab: Cast<Raft> = {
  ...plain('slabs', 'slab'),
  rise: (e) => e.edge?.depth ?? 0,
  more: ({ outline, edge }) =>
    edge ? framePieces(outline, 0, edge.width).map(({ plan }) => ({ plan, from: 0, to: edge.depth })) : [],
};

const CASTS: { readonly [V in Variant]: Cast<VariantElements[V]> } = {
  footing: strip,
  drain: { ...inStone, carries: () => false, stoneOf: () => 'clear' },
  // A stone footing's concrete is the beam on its stone.
  stoneFooting: {
    ...inStone,
    height: (e) => e.beam?.height ?? 0,
    slab: (e) => e.beam?.height ?? 0,
    rise: (e) => e.thickness,
    across: (e) => e.beam?.width ?? NO_WIDTH,
  },
  underpin: plain('underpinning'),
  underWall: plain('underpinning'),
  pad: plain('pads'),
  ramp: { ...plain('footings'), carries: () => false },
  slab,
  floorSlab: slab,
  apron: { ...slab, pours: 'aprons' },
  kerb: { ...strip, pours: 'aprons' },
  box: {
    ...plain('boxes', 'base'),
    height: (e) => e.height,
    stages: ({ thickness, height, roof }) => [
      { stage: 'first', from: 0, to: thickness },
      { stage: 'walls', from: thickness, to: height - roof },
      ...(roof > 0 ? [{ stage: 'roof', from: height - roof, to: height } as const] : []),
    ],
    hollows: (e) =>
      outlinePieces(e.outline, -e.wall).map((plan) => ({ plan, from: e.thickness, to: e.height - e.roof })),
  },
};

/** With what a stage of an element is cast when nobody says otherwise. */
export function pourKindOf(element: Element, stage: CastStage): PourKind {
  const { pours, rises } = castOf(element);
  switch (stage) {
    case 'walls':
      return 'boxWalls';
    case 'roof':
      return 'roofs';
    case 'rise':
      // A wall on a pad is a wall.
      return element.rising?.long != null ? 'walls' : rises;
    case 'cells':
      return 'cells';
    case 'beam':
      return 'beams';
    default:
      return pours;
  }
}

/** What is cast of an element over its footprint, from the bottom up. */
export function stagesOf(element: Element): readonly Staged[] {
  const { stages, rise, height } = castOf(element);
  const from = rise(element);
  return stages?.(element) ?? [{ stage: 'first', from, to: from + height(element) }];
}

/** The row of what an element is for. */
export const castOf = <E extends Element>(element: E): Cast<E> =>
  // A row takes elements of its own variant only; which one that is the compiler cannot follow.
  CASTS[variantOf(element)] as unknown as Cast<E>;
