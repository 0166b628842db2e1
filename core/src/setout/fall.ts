/** How the bottom of a drain falls to its outfall. */
import type { Strip } from '../plan/elements.ts';
import { axisLength } from './footprint.ts';

/** m a metre, from its first point on; negative rises. The head, when typed, beats the fall. */
export function fallOf(drain: Strip): number {
  const head = drain.outfall?.head ?? null;
  const length = axisLength(drain);
  if (head === null || length <= 0) return drain.fall;
  return (head - drain.outfall!.level) / length;
}

/** Level of a drain's bottom at its low end: under the pipe and its bedding. Null without an outfall. */
export const outfallBottom = ({ outfall, pipe }: Strip): number | null =>
  outfall && outfall.level - (pipe?.bedding ?? 0);
