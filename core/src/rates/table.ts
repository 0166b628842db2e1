/**
 * Every rate the program works by: what people, machines, trucks and compactors do in an hour, and what slows
 * them. A new one is a row here; a test refuses one that stands elsewhere. Sizes of what is hired (buckets,
 * plates, curves of pumps) are the catalogue's.
 */
import type { CompactorId } from '../catalogue/compactors.ts';
import type { ObstructionKind } from '../catalogue/obstructions.ts';
import type { RecordKindId } from '../log/index.ts';

export interface Rate {
  /** What of, an hour or as said. */
  readonly unit: string;
  readonly low: number;
  readonly likely: number;
  readonly high: number;
  readonly origin: 'typical' | 'assumed';
  /** Published work, or practice. */
  readonly source: string;
  /** The kind of record that teaches it; null: none does yet. */
  readonly taught: RecordKindId | null;
}

const HOE = 'US Army FM 5-434, chapter 8';
const PRACTICE = 'practice';

const typical = (
  unit: string,
  [low, likely, high]: readonly [number, number, number],
  source = PRACTICE,
  taught: RecordKindId | null = null,
): Rate => ({ unit, low, likely, high, origin: 'typical', source, taught });
/** A figure nobody gives a range of: as far either way as one crew is from another, a third (assumed). */
const about = (unit: string, likely: number, source = PRACTICE, taught: RecordKindId | null = null): Rate =>
  typical(unit, [likely / 1.33, likely, likely * 1.33], source, taught);

export const RATES = {
  /** By hand, and thrown beside the trench. */
  digByHand: typical('m³ loose a person and hour', [0.4, 0.6, 1], PRACTICE, 'handDug'),
  /** Time from a stage over time from a shovel, where one throws no farther. */
  fromStage: typical('times the hours', [1.5, 1.75, 2]),
  barrowWalk: typical('m a minute', [40, 50, 60]),
  /** To load a barrow and tip it. */
  barrowTurn: typical('minutes', [1, 1.5, 2.5]),
  /** Filled, carried and laid. */
  bagsLaid: typical('bags a person and hour', [15, 20, 30]),
  /** Minutes worked in an hour, over 60. */
  hoeWorks: typical('share of an hour', [45 / 60, 50 / 60, 55 / 60], HOE),
  compactorWorks: typical('share of an hour', [0.65, 0.75, 0.85]),
  /** Bucket fill factors of hoes. */
  'fill.earth': typical('of the bucket', [1, 1.05, 1.1], HOE),
  'fill.sand': typical('of the bucket', [0.95, 1.02, 1.1], HOE),
  'fill.toughClay': typical('of the bucket', [0.8, 0.85, 0.9], HOE),
  'fill.rock': typical('of the bucket', [0.6, 0.67, 0.75], HOE),
  /** A cycle by bucket, up to 0.1, 0.4, 0.8 m³ and over: small machines swing quicker. */
  'cycle.smallest': about('seconds', 15, HOE),
  'cycle.small': about('seconds', 17, HOE),
  'cycle.middle': about('seconds', 20, HOE),
  'cycle.large': about('seconds', 24, HOE),
  /** What slows a cycle: short of its reach between walls and trees; across the fall of a crest; a boulder or root; deep. */
  'slow.cramped': typical('times the cycle', [1.1, 1.25, 1.5], PRACTICE, 'dug'),
  'slow.crest': typical('times the cycle', [1.5, 2, 2.5], PRACTICE, 'dug'),
  'slow.obstacle': typical('times the cycle', [1.1, 1.2, 1.4], PRACTICE, 'dug'),
  'slow.deep': typical('times the cycle', [1.1, 1.3, 1.5], PRACTICE, 'dug'),
  /** Corners and boards set and checked. */
  setOut: typical('points an hour', [4, 6, 10]),
  /** Topsoil pushed or bucketed off, and ground taken down beside the holes. */
  stripped: typical('m³ bank an hour', [15, 30, 60]),
  /** Stone brought in, spread and levelled; tamping is the compactor's. */
  stoneLaid: typical('m³ an hour', [3, 6, 10], PRACTICE, 'delivered'),
  leanLaid: typical('m³ a person and hour', [0.5, 1, 1.5]),
  /** Forms made up, set and braced; and taken off. */
  formed: typical('m² a person and hour', [0.5, 0.8, 1.2]),
  formsOff: typical('m² a person and hour', [3, 5, 8]),
  steelFixed: typical('kg a person and hour', [10, 18, 30]),
  poured: typical('m³ an hour', [6, 10, 20], PRACTICE, 'poured'),
  /** As it comes off a truck's chute, a line pump, a crane's skip. */
  placedChute: typical('m³ an hour', [15, 20, 25]),
  placedPump: typical('m³ an hour', [10, 15, 20]),
  placedSkip: typical('m³ an hour', [6, 8, 10]),
  proofed: typical('m² a person and hour', [2, 4, 8]),
  /** Rammed between new concrete and an old wall. */
  dryPacked: typical('m³ a person and hour', [0.03, 0.05, 0.08]),
  /** Carried out on a belt. */
  conveyed: typical('m³ loose an hour', [3, 5, 10]),
  /** A barrow out of a basement, struck off. */
  barrowHolds: typical('m³ loose', [0.05, 0.06, 0.08]),
  /** Rain of a day from which a dig is not worked. */
  rainStops: typical('m a day', [0.005, 0.01, 0.02]),
  /** Brought back, spread and tamped in lifts. */
  filledBack: typical('m³ tamped an hour', [2, 4, 7], PRACTICE, 'laid'),
} as const satisfies Record<string, Rate>;
export type RateId = keyof typeof RATES;

/** What stands in the way, m³ in place an hour: by hand, and by a hammer on a machine. */
const breaking = (hand: number, hammer: number) => ({
  hand: about('m³ in place an hour', hand),
  hammer: about('m³ in place an hour', hammer),
});
export const BREAKING: Readonly<Record<ObstructionKind, { readonly hand: Rate; readonly hammer: Rate }>> = {
  boulder: breaking(0.15, 1),
  footing: breaking(0.3, 2),
  slab: breaking(0.4, 2.5),
  paving: breaking(0.5, 3),
  rock: breaking(0.1, 1),
};

/** How fast a compactor is walked over its strip; a tamper is set down, not walked. */
export const COMPACTOR_SPEED: Readonly<Record<CompactorId, Rate>> = {
  plateLight: about('m a minute', 20),
  plateMedium: about('m a minute', 22),
  plateReversible: about('m a minute', 22),
  plateHeavy: about('m a minute', 24),
  rammer: about('m a minute', 12),
  trenchRoller: about('m a minute', 20),
  handTamper: about('m a minute', 3),
};
