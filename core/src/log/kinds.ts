/**
 * What is logged on a job: one row a kind of record. A record says what someone did or saw; it is
 * never changed or undone, only corrected by a newer one. A new kind is its value here, its schema in
 * schema.ts and its words in the interface; the compiler names what is missing.
 */
import type { Range } from '../plan/fields.ts';

/** Numbers a record holds: what may be typed. */
export const MEASURES = {
  dugVolume: { kind: 'volume', min: 0.1, max: 5000 },
  dugHours: { kind: 'hours', min: 0.1, max: 100 },
  handLoose: { kind: 'volume', min: 0.05, max: 500 },
  handHours: { kind: 'hours', min: 0.1, max: 500 },
  moisture: { kind: 'percent', min: 0, max: 0.6 },
  grains: { kind: 'number', min: 2.3, max: 3.3 },
  coarseShare: { kind: 'percent', min: 0, max: 0.4 },
  dryDensity: { kind: 'density', min: 1000, max: 2800 },
  wetDensity: { kind: 'density', min: 1000, max: 3000 },
  sandDensity: { kind: 'density', min: 1000, max: 2200 },
  weighed: { kind: 'weighing', min: 0, max: 60 },
  passes: { kind: 'count', min: 0, max: 40 },
  settled: { kind: 'size', min: 0, max: 0.3 },
  lift: { kind: 'size', min: 0.05, max: 1 },
  blows: { kind: 'count', min: 0, max: 2000 },
  pitSide: { kind: 'length', min: 0.2, max: 20 },
  pitLevel: { kind: 'level', min: -500, max: 9000 },
  minutes: { kind: 'number', min: 0, max: 10_000 },
  driven: { kind: 'size', min: 0, max: 3 },
  putBack: { kind: 'size', min: 0.05, max: 3 },
  bearing: { kind: 'pressure', min: 1000, max: 5_000_000 },
  taped: { kind: 'taped', min: 0.01, max: 5000 },
  frozenDepth: { kind: 'length', min: 0, max: 5 },
} as const satisfies Record<string, Range>;

/** One lift of a layer of the bed under the record's element, 1 the lowest. */
interface LiftOf {
  bed: string;
  layer: string;
  lift: number;
}

/** What a lift is laid on. */
export const GROUNDS = ['sound', 'mud', 'ice', 'water'] as const;
/** What was done to a lift that failed. */
export const REWORKS = ['rolled', 'wetted', 'dried', 'replaced'] as const;
/** How a bottom feels under thumb, boot and bar; how wet it is. */
export const FEELS = ['firm', 'yields', 'soft'] as const;
/** What a dynamic cone was driven through, as far as its relation to CBR goes. */
export const CONE_SOILS = ['other', 'leanClay', 'fatClay'] as const;
export const WETNESSES = ['dry', 'damp', 'seeping', 'water'] as const;

export interface RecordValues {
  /** A machine's day: bank m³ it dug, by the crew's own count, in so many hours. */
  readonly dug: { machine: string; when: string; volume: number; hours: number };
  /** What people dug: loose m³ as it lies in the heap or went in the barrow, in so many hours of one person. */
  readonly handDug: { volume: number; hours: number };
  /** Laboratory test of what a layer is laid of: moisture by dry mass, dry density, kg/m³; grains' specific gravity. */
  readonly lab: {
    bed: string;
    layer: string;
    grains: number;
    points: { moisture: number; density: number }[];
    /** Stones sieved out for the mould; absent of tests logged before they could be. */
    coarse?: { share: number; grains: number; moisture: number } | null;
  };
  /** Trial strip of a lift so thick: dry density, kg/m³, or settlement, m, after so many passes. */
  readonly trial: {
    bed: string;
    layer: string;
    thickness: number;
    by: 'density' | 'settlement';
    readings: { passes: number; value: number }[];
  };
  /** A bottom as it was found at formation. */
  readonly bottom: {
    feel: (typeof FEELS)[number];
    wet: (typeof WETNESSES)[number];
    frozen: boolean;
    asLogged: boolean;
  };
  /** Dynamic cone driven into a bottom: blows and depth, m, from where it was set down. */
  readonly cone: {
    soil: (typeof CONE_SOILS)[number];
    readings: { blows: number; depth: number }[];
  };
  /** A pit pumped down and left: its sides in plan, level of the water outside, level in it after so many minutes. */
  readonly recharge: {
    length: number;
    width: number;
    water: number;
    readings: { minutes: number; level: number }[];
  };
  /** A lift laid; on what, and why there if it was not sound; moisture as it came, null when nobody measured. */
  readonly laid: LiftOf & { on: (typeof GROUNDS)[number]; reason: string; moisture: number | null };
  /** A field test of a lift: moist density, kg/m³, by gauge, or from the weighings of a sand cone. */
  readonly density: LiftOf & {
    wet: number;
    moisture: number;
    cone: { before: number; after: number; cone: number; sand: number; soil: number } | null;
  };
  readonly rework: LiftOf & { what: (typeof REWORKS)[number] };
  /** A lift let be covered, by whom; a reason when it had not passed. */
  readonly release: LiftOf & { who: string; reason: string };
  /** A distance between two corners, by tape, m. */
  readonly taped: { from: string; to: string; distance: number };
  /** How deep the ground was found frozen, m; 0: thawed. */
  readonly frozen: { depth: number; from: 'typed' | 'feed'; when: string };
  /** A buried service laid bare by hand, or covered again. */
  readonly laidBare: { hazard: string; bare: boolean };
  /** Anything worth telling. */
  readonly note: { text: string };
}

/** Message key of what each kind is. */
export const RECORD_KINDS = {
  dug: { label: 'record.dug' },
  handDug: { label: 'record.handDug' },
  lab: { label: 'record.lab' },
  trial: { label: 'record.trial' },
  bottom: { label: 'record.bottom' },
  cone: { label: 'record.cone' },
  recharge: { label: 'record.recharge' },
  laid: { label: 'record.laid' },
  density: { label: 'record.density' },
  rework: { label: 'record.rework' },
  release: { label: 'record.release' },
  taped: { label: 'record.taped' },
  frozen: { label: 'record.frozen' },
  laidBare: { label: 'record.laidBare' },
  note: { label: 'record.note' },
} as const satisfies Record<keyof RecordValues, { readonly label: string }>;

export type RecordKindId = keyof typeof RECORD_KINDS;
export const RECORD_KIND_IDS = Object.keys(RECORD_KINDS) as readonly RecordKindId[];
export type RecordValue<K extends RecordKindId> = RecordValues[K];

/** Of one job; more is another job, or a mistake. */
export const MOST_RECORDS = 20_000;

/** What every record carries, whatever it is of. */
interface Entry {
  /** Made by the client: sent twice it is kept once. */
  readonly id: string;
  /** When it was seen or done, by the clock of who logged it, ISO 8601. */
  readonly at: string;
  /** Who logged it, by name; empty when it came with an old plan. */
  readonly by: string;
  /** Of which element; null: of the job. */
  readonly element: string | null;
  /** Where, m in plan; null when nobody said. */
  readonly place: readonly [number, number] | null;
  /** Id of the record it corrects. */
  readonly corrects: string | null;
  /** Id of the newest record known where it was made: it comes after that one, whatever the clocks say. */
  readonly after: string | null;
  /** The plan's revision it was seen against; null when nobody said. */
  readonly revision: number | null;
}

/** A record; `value` null withdraws the one it corrects. */
export type SiteRecord = {
  [K in RecordKindId]: Entry & { readonly kind: K; readonly value: RecordValues[K] | null };
}[RecordKindId];
