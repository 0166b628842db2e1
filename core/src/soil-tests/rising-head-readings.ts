/** A level in a pit, m, so many minutes after it was pumped down. */
export interface LevelReading {
  readonly minutes: number;
  readonly level: number;
}

/** A pit pumped down and left: its sides in plan, the level of the water outside, and its readings, m. */
export interface RisingHeadTest {
  readonly length: number;
  readonly width: number;
  readonly water: number;
  readonly readings: readonly LevelReading[];
}

/**
 * Position of the first reading after which no time has passed, whose level has fallen, or that stands over
 * the water outside; null where all can be.
 * @param water level outside, m; null while nobody has said
 */
export function risingHeadFault(readings: readonly LevelReading[], water: number | null): number | null {
  const at = readings.findIndex(
    ({ minutes, level }, i) =>
      (water !== null && level > water) ||
      (i > 0 && (minutes <= readings[i - 1]!.minutes || level < readings[i - 1]!.level)),
  );
  return at < 0 ? null : at;
}
