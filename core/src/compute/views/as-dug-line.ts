/** The bottom as it was shot, along a cut. */
import { lowAt } from '../../as-dug/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import type { Section } from './section.ts';

/** Places along the cut it is read at. */
const READ = 60;

/** @returns where it is and its level, [s, z], along the cut; null where nothing was shot, or the cut misses it */
export function asDugLine(
  { elements, asDug }: Pick<Takeoff, 'elements' | 'asDug'>,
  { x, y, dx, dy, dug }: Pick<Section, 'x' | 'y' | 'dx' | 'dy' | 'dug'>,
  index: number,
): readonly (readonly [number, number])[] | null {
  const found = asDug.get(elements[index]?.id ?? '');
  const own = dug.filter(({ owner }) => owner === index);
  if (!found || own.length === 0) return null;
  const [from, to] = [Math.min(...own.map(({ s0 }) => s0)), Math.max(...own.map(({ s1 }) => s1))];
  const wanted = (px: number, py: number) =>
    found.shots.reduce(
      (best, shot) => {
        const far = shot.place ? Math.hypot(shot.place[0] - px, shot.place[1] - py) : Infinity;
        return far < best.far ? { far, level: shot.wanted } : best;
      },
      { far: Infinity, level: found.shots[0]!.wanted },
    ).level;
  const line = Array.from({ length: READ + 1 }, (_, i) => from + ((to - from) * i) / READ).flatMap(
    (s): (readonly [number, number])[] => {
      const [px, py] = [x + dx * s, y + dy * s];
      const low = lowAt(found.pieces, px, py);
      return low === null ? [] : [[s, wanted(px, py) - low]];
    },
  );
  return line.length > 1 ? line : null;
}
