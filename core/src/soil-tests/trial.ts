/** A trial strip: how many passes do it, by the density after each, or by how far the lift still settles. */

export interface TrialPass {
  readonly passes: number;
  /** Dry, kg/m³; or settlement since the first, m. */
  readonly value: number;
}

export interface Trial {
  /** Passes after which another gains too little; null while it still gains. */
  readonly dies: number | null;
  /** Passes at which the share of the maximum is reached; null when it is not, or by settlement. */
  readonly meets: number | null;
  /** Passes after which it loosened again: rolled over. */
  readonly rolled: number | null;
  /** What a trial proves: the fewest passes that do; null when it proves nothing. */
  readonly proven: number | null;
}

/** A pass that gains less of the maximum density is one too many. */
const LEAST_GAIN = 0.005;
/** By settlement: less than this share of all it settled (assumed). */
const LEAST_SETTLEMENT = 0.05;
/** A fall of less than this share is reading error. */
const STEADY = 0.002;

const inOrder = (readings: readonly TrialPass[]) => [...readings].sort((p, q) => p.passes - q.passes);

/** What a pass gains between readings, each with the passes before it. */
const gainsOf = (rows: readonly TrialPass[]) =>
  rows.slice(1).map((now, i) => {
    const before = rows[i]!;
    return { after: before.passes, gain: (now.value - before.value) / (now.passes - before.passes) };
  });

/** Passes after which a pass more gains less than `least`; null while none does. */
const diesAt = (rows: readonly TrialPass[], least: number): number | null =>
  gainsOf(rows).find(({ gain }) => gain < least)?.after ?? null;

/** Passes after which it falls by more than a reading is off; null while it does not. */
const rolledAt = (rows: readonly TrialPass[], whole: number): number | null =>
  rows.find((now, i) => rows[i + 1] && rows[i + 1]!.value < now.value - STEADY * whole)?.passes ?? null;

/**
 * A trial by density.
 * @param maximum laboratory maximum dry density, kg/m³
 * @param share of it the specification asks
 */
export function trialByDensity(readings: readonly TrialPass[], maximum: number, share: number): Trial {
  const rows = inOrder(readings);
  const dies = diesAt(rows, LEAST_GAIN * maximum);
  const meets = rows.find((row) => row.value >= share * maximum - 1e-9)?.passes ?? null;
  const rolled = rolledAt(rows, maximum);
  // What loosens under the roller was never tight, or is broken up: it proves nothing.
  return { dies, meets, rolled, proven: rolled === null ? meets : null };
}

/** A trial by settlement: proven where no pass after it counts any more. */
export function trialBySettlement(readings: readonly TrialPass[]): Trial {
  const rows = inOrder(readings);
  const whole = Math.max(0, ...rows.map((row) => row.value));
  const least = LEAST_SETTLEMENT * whole;
  const dies = whole > 0 ? diesAt(rows, least) : null;
  const rolled = rolledAt(rows, whole);
  // One that pauses and goes on has not come to rest.
  const still = dies !== null && gainsOf(rows).every(({ after, gain }) => after < dies || gain < least);
  return { dies, meets: null, rolled, proven: rolled === null && still ? dies : null };
}
