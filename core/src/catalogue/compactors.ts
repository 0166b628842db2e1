/**
 * Compactors and the compacted lift each usually manages, by working mass. Typical figures: the
 * maker's sheet, the specification and above all a trial strip settle lift and passes.
 */
export const COMPACTOR_IDS = [
  'plateLight',
  'plateMedium',
  'plateReversible',
  'plateHeavy',
  'rammer',
  'trenchRoller',
  'handTamper',
] as const;
export type CompactorId = (typeof COMPACTOR_IDS)[number];

export interface Compactor {
  /** Working mass, kg; null for a tool swung by hand. */
  readonly mass: readonly [number, number] | null;
  /** Typical compacted lift, m, low and high; null where it is unsuited. */
  readonly granular: readonly [number, number];
  readonly cohesive: readonly [number, number] | null;
  /** Passes in granular fill at the typical lift: low, typical, high. */
  readonly passes: readonly [number, number, number];
  /** Kept off a neighbour's footing and concrete of the last day, m: assumed, no rule is published. */
  readonly keepOff: number;
}

export const COMPACTORS: Record<CompactorId, Compactor> = {
  plateLight: { mass: [60, 90], granular: [0.1, 0.15], cohesive: null, passes: [3, 4, 6], keepOff: 0.5 },
  plateMedium: { mass: [90, 150], granular: [0.15, 0.2], cohesive: null, passes: [3, 4, 6], keepOff: 1 },
  plateReversible: {
    mass: [200, 350],
    granular: [0.2, 0.3],
    cohesive: [0.15, 0.15],
    passes: [3, 4, 6],
    keepOff: 1.5,
  },
  plateHeavy: {
    mass: [400, 700],
    granular: [0.3, 0.4],
    cohesive: [0.2, 0.25],
    passes: [3, 4, 6],
    keepOff: 2,
  },
  rammer: { mass: [60, 80], granular: [0.15, 0.2], cohesive: [0.15, 0.2], passes: [3, 4, 5], keepOff: 1 },
  trenchRoller: {
    mass: [1300, 1600],
    granular: [0.2, 0.3],
    cohesive: [0.15, 0.25],
    passes: [4, 5, 8],
    keepOff: 3,
  },
  handTamper: { mass: null, granular: [0.075, 0.1], cohesive: [0.075, 0.1], passes: [4, 6, 8], keepOff: 0 },
};
