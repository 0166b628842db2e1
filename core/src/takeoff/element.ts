/**
 * One record an element on its way through the takeoff: each step takes what the step before left and
 * adds its own. Levels and depths in m, volumes in m³, bank unless said.
 */
import type { LaidLayer, LiftCard } from '../base/index.ts';
import type { SoilKind } from '../catalogue/index.ts';
import type { DigWidth, FoundationLevels, SideRule, UnderBays } from '../dig/index.ts';
import type { Polygon } from '../geometry/index.ts';
import type { Layer } from '../ground/index.ts';
import type { SlabFrost } from '../levels/index.ts';
import type { Support } from '../plan/kinds.ts';
import type { Bed } from '../plan/schema.ts';
import type { StringLevel } from '../plan/strings.ts';
import type { BuiltAs, PlacedIn } from '../pour/index.ts';

/** After the dig: what it opens, and what of it is whose. */
export interface Dug extends FoundationLevels {
  /** In plan, convex pieces, flat [x, y, …]: its flat bottom and its opening at the ground. */
  readonly bottoms: readonly Polygon[];
  readonly openings: readonly Polygon[];
  /** Deepest cut, soft spots left out. */
  readonly depth: number;
  /** Level of its lowest place, soft spots under it taken out. */
  readonly lowest: number;
  /** Soil shared with others is given to one of them. */
  readonly volume: number;
  /** Volume by soil, by position in the plan's list. */
  readonly bySoil: readonly number[];
  /** Of a run under an old wall: what is dug and cast in its bays. */
  readonly bays: UnderBays | null;
  /** The bottom that is its own, m². */
  readonly bottomArea: number;
  /** The soils from the surface down at places of it. */
  readonly columns: readonly (readonly Layer[])[];
}

/** After placing: what stands in it. */
export interface Built extends Dug, PlacedIn {
  /** What is cast, m³, without what is left out of it for services that run through. */
  readonly concrete: number;
  readonly leftOut: number;
  /** Cloth round a drain's stone, m². */
  readonly wrap: number;
  /** The bed it stands on. */
  readonly bed: Bed | null;
}

/** After the water: how wet it is. */
export interface Watered extends Built {
  /** Water level about it; null when none is known. */
  readonly water: number | null;
  readonly wet: boolean;
  /** Cuts through water that hangs over a tight layer. */
  readonly perched: boolean;
  /** Its bottom is in soil that water softens. */
  readonly softBottom: boolean;
}

/** All that is said of an element. */
export interface ElementTakeoff
  extends Omit<Watered, 'dug' | 'pieces' | 'columns' | 'reach' | 'problem' | 'layers'> {
  readonly id: string;
  readonly group: string;
  /** What stands lowest in it, as a crew calls it. */
  readonly built: BuiltAs;
  /** Lowest of its stretches. */
  readonly underside: number;
  readonly top: number;
  /** The layers of its bed, from formation up, each with its levels. */
  readonly layers: readonly (LaidLayer & { readonly bottom: number; readonly top: number })[];
  /** Level needed under the whole stack, and level dug. */
  readonly formation: number;
  readonly dug: number;
  /** The string it hangs on, and the level dug under it. */
  readonly string: StringLevel;
  readonly fromString: number;
  readonly width: DigWidth;
  /** A pad's other bottom size; null for a strip. */
  readonly bottomLength: number | null;
  /** What keeps the sides up; the slope counts only when it is a slope. */
  readonly support: Support;
  readonly slope: number;
  readonly rule: SideRule;
  /** Layers of its floor between a slab and its bed, m in all; 0 for the rest. */
  readonly underSlab: number;
  /** Of a slab founded by its floor: how the frost stands to its bed; null where that is not known. */
  readonly slab: SlabFrost | null;
  /** Its lifts, from formation up, with what was laid, tested and released of them. */
  readonly cards: readonly LiftCard[];
  /** Kind of soil its bottom is in. */
  readonly bottomSoil: SoilKind | null;
  /** Left of its bottom for hand trim. */
  readonly trim: number;
  /** Axis length of a strip; long side of a pad. */
  readonly length: number;
  /** m² of its opening outside the plot; 0 when no plot is drawn. */
  readonly outside: number;
  /** Wholly within the survey. */
  readonly surveyed: boolean;
}
