/** Gradings, and of stone as it is sold to filter with. */

/** Share by mass, 0…1, finer than a size, m. Sizes rise, shares do not fall. */
export interface GradingPoint {
  readonly size: number;
  readonly passing: number;
}
export type Grading = readonly GradingPoint[];

export const mm = (n: number): number => n / 1000;

export const curve = (...points: readonly (readonly [millimetres: number, percent: number])[]): Grading =>
  points.map(([size, percent]) => ({ size: mm(size), passing: percent / 100 }));

/** Clean stone as it is sold, by its sizes: typical. */
export const FILTER_STONES = ['concreteSand', 'pea', 'clean10', 'clean20'] as const;
export type FilterStone = (typeof FILTER_STONES)[number];
export const STONE_GRADINGS: Record<FilterStone, Grading> = {
  concreteSand: curve(
    [0.075, 1],
    [0.15, 5],
    [0.3, 18],
    [0.6, 42],
    [1.18, 68],
    [2.36, 90],
    [4.75, 98],
    [9.5, 100],
  ),
  pea: curve([0.6, 1], [2.36, 8], [4.75, 45], [9.5, 96], [12.5, 100]),
  clean10: curve([2.36, 3], [4.75, 20], [6.3, 45], [10, 92], [14, 100]),
  clean20: curve([4.75, 4], [10, 30], [14, 60], [20, 93], [28, 100]),
};
