/**
 * What is worked out of a job before anything is said about it. Codes and data only; words live with
 * the interface. SI throughout; no NaN, no Infinity.
 */
import type { AsDug } from '../as-dug/index.ts';
import type { Spoil } from '../backfill/spoil.ts';
import type { Strips } from '../backfill/stripped.ts';
import type { BedTakeoff, PutBack } from '../base/index.ts';
import type { Cause, Excavation, Loads, SoftDig, Solid } from '../dig/index.ts';
import type { Frost, FrozenNow, GroundModel, Soil } from '../ground/index.ts';
import type { Clash, FloorStack, Shallow } from '../levels/index.ts';
import type { Facts } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import type { Crossing, FloorTakeoff, Placed, Pour, Taken } from '../pour/index.ts';
import type { Problem } from '../results/index.ts';
import type { Hole } from '../water/index.ts';
import type { ElementTakeoff } from './element.ts';
import type { BrokenOut } from './hand.ts';
import type { SiteWork } from './site-work.ts';

/** A soft spot: what comes out, and what goes back. */
export type SoftTakeoff = Omit<SoftDig, 'soils' | 'byElement'> & PutBack;

/** Everything worked out of a job; figures, cautions and checks are made from it. */
export interface Job {
  readonly plan: Plan;
  /** What the crew logged, as it was known. */
  readonly facts: Facts;
  readonly elements: readonly ElementTakeoff[];
  readonly overdig: { readonly neat: number } & Readonly<Record<Cause, number>>;
  readonly frost: Frost;
  /** The crust: how deep, bank m³ dug within it, and the machine's output there over that in the same soil unfrozen. */
  readonly frozen: (FrozenNow & { readonly volume: number; readonly rate: number }) | null;
  /** Every floor's layers with their levels. */
  readonly stacks: readonly FloorStack[];
  readonly clashes: readonly Clash[];
  readonly shallow: Shallow | null;
  readonly water: { readonly from: GroundModel['waterFrom'] };
  readonly soils: readonly Soil[];
  readonly spoil: Spoil;
  /** What is taken off beside the holes. */
  readonly strips: Strips;
  /** What takes room in the holes, and m³ under old walls that are filled again, by element. */
  readonly hole: { readonly taken: Taken; readonly bays: readonly number[] };
  readonly work: SiteWork;
  readonly loads: readonly Loads[];
  /** What is broken out of the dig: soil it stands in the place of, by position; its own loads. */
  readonly broken: {
    readonly items: readonly BrokenOut[];
    readonly displaced: readonly number[];
    readonly loads: number;
  };
  /** Of the floors that carry a slab: what is laid of each layer. */
  readonly floors: readonly FloorTakeoff[];
  /** What is cast together. */
  readonly pours: readonly Pour[];
  readonly mixed: readonly { readonly truck: string; readonly loads: number }[];
  readonly pile: {
    readonly base: number;
    readonly height: number;
    readonly length: number;
    readonly repose: number;
  };
  readonly beds: readonly BedTakeoff[];
  readonly soft: readonly SoftTakeoff[];
  /** Everything compacted: layers of beds, drains, low bottoms made up with stone. */
  readonly stone: {
    readonly volume: number;
    readonly mass: number;
    readonly loose: number;
    /** What of it is no bed's, m³ and kg/m³: an element's own; what makes up low bottoms; at the foot of what is filled. */
    readonly besides: readonly {
      readonly of: 'element' | 'makeUp' | 'foot';
      /** Null: of no element alone. */
      readonly element: string | null;
      readonly volume: number;
      readonly density: number;
    }[];
  };
  readonly lean: { readonly volume: number; readonly ordered: number; readonly loads: number };
  readonly concrete: { readonly neat: number; readonly ordered: number; readonly loads: number };
  /** Fill of bottoms dug low, m³. */
  readonly madeUp: number;
  /** Truckloads of the job's own trucks: stone in, spoil out, and how many of both go on one trip. */
  readonly trips: { readonly stone: number; readonly spoil: number; readonly matched: number };
  /** Walls and columns that stand in the backfill, m³ below ground. */
  readonly walls: number;
  /** m³ left of the bottoms for hand trim, over how much of them, and how thick it is on the whole. */
  readonly handTrim: { readonly thickness: number; readonly area: number; readonly volume: number };
  readonly holes: readonly Hole[];
  readonly inflow: readonly [number, number, number];
  /** Services over, through and under what is cast. */
  readonly crossings: readonly Crossing[];
  readonly areas: { readonly bottom: number; readonly opening: number };
  readonly placed: Placed;
  /** Bank m³ of the whole dig and of its parts. */
  readonly dig: Excavation;
  readonly solid: Solid;
  /** What was shot of bottoms, by id of element. */
  readonly asDug: ReadonlyMap<string, AsDug>;
  readonly problems: readonly Problem[];
}
