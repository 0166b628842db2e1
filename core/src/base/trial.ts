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
  return { dies, meets, rolled, proven: meets };
}

/** A trial by settlement: proven where another pass no longer counts. */
export function trialBySettlement(readings: readonly TrialPass[]): Trial {
  const rows = [...readings].sort((p, q) => p.passes - q.passes);
  const whole = Math.max(0, ...rows.map((row) => row.value));
  const dies = whole > 0 ? diesAt(rows, LEAST_SETTLEMENT * whole) : null;
  const fell = rows.findIndex((row, i) => i > 0 && row.value < rows[i - 1]!.value - STEADY * whole);
  return { dies, meets: null, rolled: fell > 0 ? rows[fell - 1]!.passes : null, proven: dies };
}
