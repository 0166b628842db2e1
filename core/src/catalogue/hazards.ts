/** What lies near a dig and can be hurt by it, or hurt those in it: one row a kind. */

interface HazardRow {
  /** Kept off it until the owner or the engineer says otherwise, m: typical. */
  readonly keepOff: number;
  /** Drawn as a line of any length; the others are one point unless more are given. */
  readonly line: boolean;
  /** How deep it lies until somebody has looked, m: typical of a service; null: it is not buried. */
  readonly depth: number | null;
  /** How far a footing stands out past its wall, m: typical; null: it is none. */
  readonly projection: number | null;
}

const row = (keepOff: number, line: boolean, more: Partial<HazardRow> = {}): HazardRow => ({
  keepOff,
  line,
  depth: null,
  projection: null,
  ...more,
});

/** What may be in the way of a dig, or fall into it. */
export const HAZARDS = {
  service: row(1, true, { depth: 0.8 }),
  footing: row(0.5, true, { projection: 0.15 }),
  crest: row(2, true),
  tree: row(2, false),
  rock: row(0.3, false),
  stream: row(3, true),
  overhead: row(4, true),
  well: row(5, false),
} as const satisfies Record<string, HazardRow>;

export type HazardKind = keyof typeof HAZARDS;
export const HAZARD_KINDS = Object.keys(HAZARDS) as readonly HazardKind[];
