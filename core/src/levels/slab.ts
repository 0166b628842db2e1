/**
 * A slab on the ground founded by its floor: its level comes down from the floor's build-up, and the
 * bed under it keeps the frost out of soil it would lift. Frost is checked, not imposed. It sizes the
 * bed for frost only: bearing, uplift and reinforcement are an engineer's.
 */

import { SOILS } from '../catalogue/soils.ts';
import { BOARD, type Frost } from '../ground/design-frost.ts';
import { type Climate, dryLayer, type FrostLayer, frostDepth, frostLayer } from '../ground/frost.ts';
import type { Layer } from '../ground/strata.ts';
import { bedOf, thicknessOf } from '../plan/beds.ts';
import type { Element, Raft } from '../plan/elements.ts';
import type { Bed, FloorLayer, Plan } from '../plan/schema.ts';
import { floorOf } from '../plan/strings.ts';
import { apronOf, floorSlabOf } from '../plan/variants.ts';
import { roomOf } from '../setout/room.ts';
import { walledIn } from '../setout/walled.ts';
import { floorStacks } from './floors.ts';

/** Concrete, W/mK and J/m³K: EN ISO 10456, reinforced with 1 % steel. */
const CONCRETE = { conductivity: 2.3, heat: 2300 * 1000 } as const;
/** A floor over the ground, against splash and melt water, m: practice. */
export const SPLASH = 0.15;
/** Thinnest bed worth compacting, m. */
export const LEAST_BED = 0.15;

export interface SlabLevels {
  /** Of its middle, where it falls. */
  readonly top: number;
  /** Of the concrete, under its turned-down edge when it has one. */
  readonly underside: number;
  /** Layers of the floor that lie between the slab and the bed, and their thickness, m. */
  readonly under: readonly FloorLayer[];
  readonly below: number;
}

/** Boards under all of a slab, as a layer of its floor. */
const boardLayer = ({ boards }: Raft): FloorLayer[] =>
  boards?.zone === 'whole'
    ? [{ id: 'boards', name: '', material: 'insulation', thickness: boards.thickness, joint: null }]
    : [];

/**
 * How far the top of a slab falls from its high edge to its low one, m: over all its outline spans the
 * way it falls. It is dug and counted at its mean level, which of a plane is exact.
 */
export function crossfallDrop({ outline, crossfall }: Raft): number {
  if (!crossfall) return 0;
  const toward = (crossfall.toward * Math.PI) / 180;
  const along = outline.map(([x, y]) => x * Math.cos(toward) + y * Math.sin(toward));
  return crossfall.grade * (Math.max(...along) - Math.min(...along));
}

/**
 * Levels of a slab in its floor: layers above the one named a slab lie on it, those below under it;
 * all of them lie on it when none is. Null without a floor.
 */
export function slabOnFloor(plan: Plan, element: Raft): SlabLevels | null {
  const floor = floorOf(plan, element);
  const stack = floorStacks(plan).find((one) => one.floor.id === floor?.id);
  if (!stack) return null;
  const slab = stack.layers.findIndex(({ layer }) => layer.material === 'slab');
  const own = stack.layers[slab];
  const under = [
    ...boardLayer(element),
    ...(own ? stack.layers.slice(slab + 1).map(({ layer }) => layer) : []),
  ];
  const top = (own ? own.top : stack.underside) - crossfallDrop(element) / 2;
  return {
    top,
    underside: top - element.thickness - (element.edge?.depth ?? 0),
    under,
    below: under.reduce((sum, layer) => sum + layer.thickness, 0),
  };
}

/** Floor layers between an element's concrete and its bed, m; 0 for all but slabs on a floor. */
export function belowSlab(plan: Plan, element: Element): number {
  const slab = floorSlabOf(element);
  return slab ? (slabOnFloor(plan, slab)?.below ?? 0) : 0;
}

export interface SlabFrost {
  /** How deep the frost comes below the top of the slab through slab and bed, m: where it governs. */
  readonly reach: number;
  /** From the top of the slab to formation, m, there. */
  readonly cover: number;
  /** Bed that keeps the frost out of the soil under it, m. */
  readonly bed: number;
  /** What the bed there is lacks, m. */
  readonly short: number;
  /** The frost reaches soil that it lifts. */
  readonly lifts: boolean;
  /** It is the edge that governs, not the middle. */
  readonly atEdge: boolean;
  /** Board under all of it, over the bed as it is, that would do as well, m; null when none is needed or none does. */
  readonly board: number | null;
  /** Frost that comes in round the edge; null where no soil there is lifted. */
  readonly side: SideFrost | null;
}

/**
 * Frost that comes in under a slab from open ground beside it. The shortest way round bed and boards is
 * held against the depth frost reaches in open ground: a rule of thumb, assumed.
 */
export interface SideFrost {
  /** m. */
  readonly way: number;
  readonly frost: number;
  /** How far boards would have to lie out past the edge, m; 0 where the way is long enough. */
  readonly width: number;
}

/** Thickest board looked for, m, and the step boards come in. */
const THICKEST_BOARD = 0.3;
const BOARD_STEP = 0.01;

const grained = (thickness: number, kind: 'sand' | 'gravel') => {
  const { grain, dryDensity, water } = SOILS[kind];
  return frostLayer(thickness, grain, dryDensity, water);
};

/**
 * How deep a winter comes below the top of a slab on a bed that goes on for ever, m.
 * @param between what lies between slab and bed, from the top down
 */
export const reachUnder = (
  slab: number,
  between: readonly FrostLayer[],
  bed: 'sand' | 'gravel',
  climate: Climate,
): number =>
  frostDepth(
    [dryLayer(slab, CONCRETE.conductivity, CONCRETE.heat), ...between, grained(Number.MAX_VALUE, bed)],
    climate,
  );

const board = (thickness: number): FrostLayer[] =>
  thickness > 0 ? [dryLayer(thickness, BOARD.conductivity, BOARD.heat)] : [];

const floorLayer = ({ material, thickness }: FloorLayer): FrostLayer[] => {
  if (material === 'insulation') return board(thickness);
  if (material === 'membrane') return [];
  if (material === 'sand') return [grained(thickness, 'sand')];
  if (material === 'stone') return [grained(thickness, 'gravel')];
  return [dryLayer(thickness, CONCRETE.conductivity, CONCRETE.heat)];
};

/** What a bed is mostly of, as frost sees it; gravel where there is none yet. */
const bedKind = (bed: Bed | null): 'sand' | 'gravel' => {
  const sand = bed?.layers.filter((layer) => layer.material === 'sand') ?? [];
  const thickness = sand.reduce((sum, layer) => sum + layer.thickness, 0);
  return bed && thickness > thicknessOf(bed) / 2 ? 'sand' : 'gravel';
};

/** The way frost has to go from the open ground to the soil under a slab's edge. */
function sideFrost(
  plan: Plan,
  element: Raft,
  { underside, below }: SlabLevels,
  frost: number,
  column: readonly Layer[],
  ground: number,
): SideFrost | null {
  const bed = bedOf(plan, element);
  const deep = ground - (underside - below - thicknessOf(bed));
  const lifted = column.some(
    ({ soil, top, bottom }) => soil.frostGroup !== 'NFS' && bottom > deep && top < frost,
  );
  if (!lifted || deep <= 0 || walledIn(plan.elements, element)) return null;
  const apron = apronOf(element);
  const lowest = bed?.layers[0];
  const margin = lowest ? Math.min(lowest.projection ?? Infinity, roomOf(plan, element)) : 0;
  // Down to the boards beside them, then in under them: without boards, down and in past the bed.
  const down = apron > 0 ? Math.min(deep, Math.max(0, ground - underside)) : 0;
  const way = down + Math.hypot(apron > 0 ? apron : margin, deep - down);
  const at = Math.min(deep, Math.max(0, ground - underside));
  const width = way < frost ? Math.sqrt(Math.max(0, (frost - at) ** 2 - (deep - at) ** 2)) : 0;
  return { way, frost, width };
}

/** A place of a slab: concrete there and boards let into the bed. */
interface Place {
  readonly concrete: number;
  readonly letIn: number;
}

/** The middle of a slab, and its edge where it is another: turned down, or on boards of its own. */
function placesOf({ thickness, edge, boards }: Raft): Place[] {
  const own = boards?.zone === 'edge' ? boards.thickness : 0;
  const middle = { concrete: thickness, letIn: 0 };
  return edge || own > 0 ? [middle, { concrete: thickness + (edge?.depth ?? 0), letIn: own }] : [middle];
}

/**
 * Frost under a slab on its floor, in its middle, under its edge and in from the side. With a winter
 * known it goes down through slab, boards and bed; with only a local figure, as deep under the top of
 * the slab as that.
 * @param column soils below the ground there, by depth
 * @param ground level there, m
 * @returns null where nothing is known of the frost, or the slab has no floor
 */
export function slabFrost(
  plan: Plan,
  element: Raft,
  frost: Frost,
  column: readonly Layer[],
  ground: number,
): SlabFrost | null {
  const slab = slabOnFloor(plan, element);
  if (!slab || frost.depth === null) return null;
  const { climate } = frost;
  const bed = bedOf(plan, element);
  const own = slab.under.flatMap(floorLayer);
  const places = placesOf(element).map((place) => {
    const reachWith = (more: number): number =>
      climate
        ? reachUnder(place.concrete, [...board(more), ...own, ...board(place.letIn)], bedKind(bed), climate)
        : frost.depth!;
    const reach = reachWith(0);
    const over = place.concrete + slab.below;
    const cover = over + thicknessOf(bed);
    const needed = Math.max(LEAST_BED, reach - over);
    // Between formation and the frost line, in depth below the ground.
    const [from, to] = [ground - (slab.top - cover), ground - (slab.top - reach)];
    const lifts =
      to > from + 1e-9 &&
      column.some(({ soil, top, bottom }) => soil.frostGroup !== 'NFS' && bottom > from && top < to);
    return { reach, cover, bed: needed, short: Math.max(0, needed - thicknessOf(bed)), lifts, reachWith };
  });
  const governs = places.reduce((worst, next) => (next.short > worst.short + 1e-9 ? next : worst));
  const lifts = places.some((place) => place.lifts);
  let wanted: number | null = null;
  if (lifts && climate)
    for (let d = BOARD_STEP; d <= THICKEST_BOARD + 1e-9 && wanted === null; d += BOARD_STEP)
      if (places.every(({ reachWith, cover }) => reachWith(d) <= cover + d))
        wanted = Math.round(d * 1000) / 1000;
  const { reach, cover, bed: needed, short } = governs;
  return {
    reach,
    cover,
    bed: needed,
    short,
    lifts,
    atEdge: places.indexOf(governs) > 0,
    board: wanted,
    side: sideFrost(plan, element, slab, frost.depth, column, ground),
  };
}
