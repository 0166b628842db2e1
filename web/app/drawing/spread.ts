/** Labels on a staff: spread so that none overlaps, each as near its own level as can be. */
export interface Placed<T> {
  readonly item: T;
  /** Where it belongs and where it is drawn, px. */
  readonly at: number;
  readonly drawn: number;
}

/**
 * @param gap least distance between labels, px
 * @param low highest and lowest place a label may take, px
 */
export function spread<T>(
  items: readonly { item: T; at: number }[],
  gap: number,
  low: number,
  high: number,
): Placed<T>[] {
  const sorted = [...items].sort((p, q) => p.at - q.at);
  const drawn = sorted.map(({ at }) => Math.min(Math.max(at, low), high));
  // Down the staff, pushing each clear of the one above; then back up from the foot.
  for (let i = 1; i < drawn.length; i++) drawn[i] = Math.max(drawn[i]!, drawn[i - 1]! + gap);
  for (let i = drawn.length - 1; i >= 0; i--)
    drawn[i] = Math.min(drawn[i]!, i === drawn.length - 1 ? high : drawn[i + 1]! - gap);
  return sorted.map(({ item, at }, i) => ({ item, at, drawn: drawn[i]! }));
}
