/**
 * The takeoff: everything the core says about a plan. Codes and data only; words live with the
 * interface. SI throughout; no NaN, no Infinity.
 */

import type { Lifts } from '../base/index.ts';
import type { Cause, DigWidth, Loads, SideRule, Solid, Spoil } from '../dig/index.ts';
import type { Polygon } from '../geometry/index.ts';
import type { Frost, FrozenNow, GroundModel, Soil } from '../ground/index.ts';
import type { Clash, DepthDecision, DepthRule, FloorStack, Shallow, Stepped } from '../levels/index.ts';
import type { Support } from '../plan/kinds.ts';
import type { Kind } from '../units/index.ts';
import type { Pit } from '../water/index.ts';
import type { SiteWork } from './site-work.ts';

/** How an input of a working came about. */
export type Origin = 'typed' | 'typical' | 'computed';

export interface WorkingInput {
  /** Message key of its name; `label` instead for a name the person gave. */
  readonly name: string;
  readonly label?: string;
  readonly value: number;
  readonly kind: Kind;
  readonly origin: Origin;
  /** Published work or table the value or formula comes from, untranslated. */
  readonly source?: string;
}

/** One line of a working: formula in symbols, what went in, what came out. */
export interface Working {
  readonly step: string;
  readonly label?: string;
  readonly formula: string;
  readonly inputs: readonly WorkingInput[];
  readonly value: number;
  readonly kind: Kind;
  readonly source?: string;
}

export const FIGURE_IDS = ['dig', 'spoil', 'keep', 'haul', 'stone', 'lean', 'concrete', 'water'] as const;
export type FigureId = (typeof FIGURE_IDS)[number];

export interface Figure {
  readonly id: FigureId;
  readonly value: number;
  readonly kind: Kind;
  readonly workings: readonly Working[];
}

export interface Problem {
  readonly code: string;
  /** JSON pointer into the plan. */
  readonly path: string;
  readonly value?: number | string;
  readonly min?: number;
  readonly max?: number;
  readonly kind?: Kind;
  readonly params?: Readonly<Record<string, string | number>>;
}

export type Weight = 'stop' | 'warn' | 'note';
export interface Caution {
  readonly code: string;
  readonly weight: Weight;
  /** Numbers in SI with the kind each prints as. */
  readonly values?: Readonly<Record<string, readonly [number, Kind]>>;
  readonly names?: Readonly<Record<string, string>>;
  /** Elements it concerns; empty means the whole job. */
  readonly elements: readonly string[];
}

export interface Check {
  readonly code: string;
  readonly expected: number;
  readonly found: number;
  readonly ok: boolean;
}

export interface ElementTakeoff {
  readonly id: string;
  readonly group: string;
  readonly decision: DepthDecision | null;
  /** How the bottom steps; null where it lies at one level. Levels below are the lowest tread's. */
  readonly steps: Stepped | null;
  readonly underside: number;
  readonly top: number;
  readonly blindingTop: number;
  readonly stoneTop: number;
  /** Level needed under the whole stack, and level dug. */
  readonly formation: number;
  readonly dug: number;
  readonly groundLow: number;
  readonly groundHigh: number;
  /** Deepest cut, m. */
  readonly depth: number;
  readonly fromString: number;
  readonly width: DigWidth;
  /** A pad's other bottom size, m; null for a strip. */
  readonly bottomLength: number | null;
  /** What keeps the sides up; the slope counts only when it is a slope. */
  readonly support: Support;
  readonly slope: number;
  readonly rule: SideRule;
  /** Bank, stone and concrete volumes of it, m³; shared soil is given to one element. */
  readonly volume: number;
  readonly stone: number;
  readonly concrete: number;
  /** Bank m³ of it by soil, by position in the plan's list. */
  readonly bySoil: readonly number[];
  /** Left of its bottom for hand trim, m, and the bottom that is its own, m². */
  readonly trim: number;
  readonly bottomArea: number;
  /** Axis length of a strip, m; long side of a pad. */
  readonly length: number;
  readonly wet: boolean;
  /** Cuts through water that hangs over a tight layer. */
  readonly perched: boolean;
  /** Water level about it; null when none is known. */
  readonly water: number | null;
  /** Its bottom is in soil that water softens. */
  readonly softBottom: boolean;
  /** m² of its opening outside the plot; 0 when no plot is drawn. */
  readonly outside: number;
  /** Wholly within the survey. */
  readonly surveyed: boolean;
  readonly live: boolean;
}

/** Polygons to draw, by element, flat [x, y, …]. */
export interface Shapes {
  readonly footings: readonly (readonly Polygon[])[];
  /** Underside of each footing piece, aligned with `footings`. */
  readonly undersides: readonly (readonly number[])[];
  readonly tops: readonly (readonly number[])[];
  readonly bottoms: readonly (readonly Polygon[])[];
  readonly openings: readonly (readonly Polygon[])[];
  readonly solid: Solid;
}

export interface Takeoff {
  readonly figures: Readonly<Record<FigureId, Figure>>;
  readonly elements: readonly ElementTakeoff[];
  readonly overdig: { readonly neat: number } & Readonly<Record<Cause, number>>;
  readonly frost: Frost;
  readonly frozen: (FrozenNow & { readonly volume: number }) | null;
  /** Every floor's layers with their levels. */
  readonly stacks: readonly FloorStack[];
  readonly clashes: readonly Clash[];
  readonly shallow: Shallow | null;
  readonly water: { readonly from: GroundModel['waterFrom'] };
  readonly soils: readonly Soil[];
  readonly spoil: Spoil;
  readonly work: SiteWork;
  readonly loads: readonly Loads[];
  readonly mixed: readonly { readonly truck: string; readonly loads: number }[];
  readonly pile: {
    readonly base: number;
    readonly height: number;
    readonly length: number;
    readonly repose: number;
  };
  readonly lifts: Lifts | null;
  readonly stone: { readonly volume: number; readonly mass: number; readonly loose: number };
  readonly lean: { readonly volume: number; readonly order: number; readonly loads: number };
  readonly concrete: { readonly neat: number; readonly order: number; readonly loads: number };
  /** Walls and columns that stand in the backfill, m³ below ground. */
  readonly walls: number;
  /** m³ left of the bottoms for hand trim, and how thick it is on the whole. */
  readonly handTrim: { readonly thickness: number; readonly volume: number };
  readonly pits: readonly Pit[];
  readonly inflow: readonly [number, number, number];
  readonly areas: { readonly bottom: number; readonly opening: number };
  readonly cautions: readonly Caution[];
  readonly problems: readonly Problem[];
  readonly checks: readonly Check[];
  readonly shapes: Shapes;
}

export type { DepthRule };
