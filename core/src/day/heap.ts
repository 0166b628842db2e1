/** A heap measured by its foot, its height and the angle it stands at: how much it is. */

/** Foot a by b and height, m; the angle its sides stand at, degrees. */
export interface Heap {
  readonly a: number;
  readonly b: number;
  readonly height: number;
  readonly angle: number;
}

/** What its sides take of a foot, m: both of them, at its height. */
const sidesOf = ({ height, angle }: Heap): number => (2 * height) / Math.tan((angle * Math.PI) / 180);

/** Narrowest foot a heap of that height can stand on, m, where its own is narrower; null where it is not. */
export function heapFault(heap: Heap): number | null {
  const least = sidesOf(heap);
  return Math.min(heap.a, heap.b) < least - 1e-9 ? least : null;
}

/**
 * Loose m³ of a heap with a flat top: the prismoidal rule, h/6·(foot + top + 4·middle), exact for plane sides.
 * @returns null where its foot is too narrow for its height
 */
export function heapVolume(heap: Heap): number | null {
  if (heapFault(heap) !== null) return null;
  const { a, b, height } = heap;
  const off = sidesOf(heap);
  const at = (share: number) => (a - share * off) * (b - share * off);
  return (height / 6) * (at(0) + at(1) + 4 * at(0.5));
}
