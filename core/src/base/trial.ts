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

/** Where a pass more gains less than `least`, by what a pass gains between readings. */
function diesAt(rows: readonly TrialPass[], least: number): number | null {
  for (let i = 1; i < rows.length; i++) {
    const [before, now] = [rows[i - 1]!, rows[i]!];
    if ((now.value - before.value) / (now.passes - before.passes) < least) return before.passes;
  }
  return null;
}

/** Whether a pass after those gains as much as `least` again. */
const goesOn = (rows: readonly TrialPass[], after: number, least: number): boolean =>
  rows.some((now, i) => {
    const before = rows[i - 1];
    if (!before || before.passes < after) return false;
    return (now.value - before.value) / (now.passes - before.passes) >= least;
  });

/**
 * A trial by density.
 * @param maximum laboratory maximum dry density, kg/m³
 * @param share of it the specification asks
 */
export function trialByDensity(readings: readonly TrialPass[], maximum: number, share: number): Trial {
  const rows = [...readings].sort((p, q) => p.passes - q.passes);
  const dies = diesAt(rows, LEAST_GAIN * maximum);
  const meets = rows.find((row) => row.value >= share * maximum - 1e-9)?.passes ?? null;
  const fell = rows.findIndex((row, i) => i > 0 && row.value < rows[i - 1]!.value - STEADY * maximum);
  const rolled = fell > 0 ? rows[fell - 1]!.passes : null;
  // What loosens under the roller was never tight, or is broken up: it proves nothing.
  return { dies, meets, rolled, proven: rolled === null ? meets : null };
}

/** A trial by settlement: proven where no pass after it counts any more. */
export function trialBySettlement(readings: readonly TrialPass[]): Trial {
  const rows = [...readings].sort((p, q) => p.passes - q.passes);
  const whole = Math.max(0, ...rows.map((row) => row.value));
  const dies = whole > 0 ? diesAt(rows, LEAST_SETTLEMENT * whole) : null;
  const fell = rows.findIndex((row, i) => i > 0 && row.value < rows[i - 1]!.value - STEADY * whole);
  const rolled = fell > 0 ? rows[fell - 1]!.passes : null;
  // One that pauses and goes on has not come to rest.
  const still = dies !== null && !goesOn(rows, dies, LEAST_SETTLEMENT * whole);
  return { dies, meets: null, rolled, proven: rolled === null && still ? dies : null };
}
