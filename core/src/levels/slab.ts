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
import { floorStacks } from './floors.ts';

/** Concrete, W/mK and J/m³K: EN ISO 10456, reinforced with 1 % steel. */
const CONCRETE = { conductivity: 2.3, heat: 2300 * 1000 } as const;
/** Thinnest bed worth compacting, m. */
export const LEAST_BED = 0.15;

/** A slab whose floor, not the rules for footings, says how deep it goes. */
export const isFloorSlab = (element: Element): element is Raft =>
  element.kind === 'raft' && element.founding === 'floor';

export interface SlabLevels {
  readonly top: number;
  /** Of the concrete, under its turned-down edge when it has one. */
  readonly underside: number;
  /** Layers of the floor that lie between the slab and the bed, and their thickness, m. */
  readonly under: readonly FloorLayer[];
  readonly below: number;
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
  const under = own ? stack.layers.slice(slab + 1).map(({ layer }) => layer) : [];
  const top = own ? own.top : stack.underside;
  return {
    top,
    underside: top - element.thickness - (element.edge?.depth ?? 0),
    under,
    below: under.reduce((sum, layer) => sum + layer.thickness, 0),
  };
}

/** Floor layers between an element's concrete and its bed, m; 0 for all but slabs on a floor. */
export const belowSlab = (plan: Plan, element: Element): number =>
  isFloorSlab(element) ? (slabOnFloor(plan, element)?.below ?? 0) : 0;

export interface SlabFrost {
  /** How deep the frost comes below the top of the slab through slab and bed, m. */
  readonly reach: number;
  /** From the top of the slab to formation, m. */
  readonly cover: number;
  /** Bed that keeps the frost out of the soil under it, m. */
  readonly bed: number;
  /** What the bed there is lacks, m. */
  readonly short: number;
  /** The frost reaches soil that it lifts. */
  readonly lifts: boolean;
  /** Board over the bed as it is that would do as well, m; null when none is needed or none does. */
  readonly board: number | null;
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

const floorLayer = ({ material, thickness }: FloorLayer): FrostLayer[] => {
  if (material === 'insulation') return [dryLayer(thickness, BOARD.conductivity, BOARD.heat)];
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

/**
 * Frost under a slab on its floor. With a winter known it goes down through slab, boards and bed; with
 * only a local figure, as deep under the top of the slab as that.
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
  const reachWith = (board: number): number =>
    climate
      ? reachUnder(
          element.thickness,
          [...(board > 0 ? [dryLayer(board, BOARD.conductivity, BOARD.heat)] : []), ...own],
          bedKind(bed),
          climate,
        )
      : frost.depth!;
  const reach = reachWith(0);
  const over = element.thickness + slab.below;
  const cover = over + thicknessOf(bed);
  const needed = Math.max(LEAST_BED, reach - over);
  const short = Math.max(0, needed - thicknessOf(bed));
  // Between formation and the frost line, in depth below the ground.
  const [from, to] = [ground - (slab.top - cover), ground - (slab.top - reach)];
  const lifts =
    to > from + 1e-9 &&
    column.some(({ soil, top, bottom }) => soil.frostGroup !== 'NFS' && bottom > from && top < to);
  let board: number | null = null;
  if (lifts && climate)
    for (let d = BOARD_STEP; d <= THICKEST_BOARD + 1e-9 && board === null; d += BOARD_STEP)
      if (reachWith(d) <= cover + d) board = Math.round(d * 1000) / 1000;
  return { reach, cover, bed: needed, short, lifts, board };
}
