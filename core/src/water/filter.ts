/**
 * What keeps a soil out of a drain and lets its water in: stone of the right grain (NRCS National
 * Engineering Handbook, Part 633, chapter 26) or cloth (FHWA NHI-07-092). It says what the criteria say of a
 * soil; which of the two, or neither, is the crew's and the engineer's.
 */
import { curve, type Grading, type GradingPoint, mm } from '../catalogue/filter-stones.ts';
import type { SoilKind } from '../catalogue/soils.ts';

export type { Grading, GradingPoint };

const SAND = mm(4.75);
const FINES = mm(0.075);

/** Where a grading does not rise, or what passes falls: position; null when it is one. */
export function gradingFault(grading: Grading): number | null {
  const at = grading.findIndex(
    (point, i) =>
      i > 0 && (point.size <= grading[i - 1]!.size || point.passing < grading[i - 1]!.passing - 1e-9),
  );
  return at < 0 ? null : at;
}

/** Share finer than a size, straight over the logarithm of the size; as the ends beyond them. */
export function passingAt(grading: Grading, size: number): number {
  const next = grading.findIndex((point) => point.size >= size);
  if (next === 0) return size === grading[0]!.size ? grading[0]!.passing : 0;
  if (next < 0) return grading.at(-1)!.passing;
  const [p, q] = [grading[next - 1]!, grading[next]!];
  return p.passing + ((q.passing - p.passing) * Math.log(size / p.size)) / Math.log(q.size / p.size);
}

/** Size, m, so much of which is finer; null when the curve does not reach so low or so high. */
export function sizeAt(grading: Grading, passing: number): number | null {
  const next = grading.findIndex((point) => point.passing >= passing - 1e-12);
  if (next < 0) return null;
  if (next === 0) return grading[0]!.passing <= passing + 1e-12 ? grading[0]!.size : null;
  const [p, q] = [grading[next - 1]!, grading[next]!];
  const share = q.passing > p.passing ? (passing - p.passing) / (q.passing - p.passing) : 1;
  return p.size * (q.size / p.size) ** share;
}

/**
 * A grading of what is finer than 4.75 mm alone; one that stops below that stays as it is. It is the sand and
 * what is finer that washes out between the stones of a soil: rule and drawing both go by it.
 */
export function regraded(grading: Grading): Grading {
  if (grading.at(-1)!.size < SAND) return grading;
  const below = passingAt(grading, SAND);
  if (below <= 0 || below >= 1 - 1e-9) return grading;
  return [
    ...grading
      .filter(({ size }) => size < SAND)
      .map(({ size, passing }) => ({ size, passing: passing / below })),
    { size: SAND, passing: 1 },
  ];
}

/** What a sieve of 0.075 mm lets through decides: 1 > 85 %, 2 40–85 %, 3 15–39 %, 4 < 15 %. */
export type BaseClass = 1 | 2 | 3 | 4;

export interface StoneLimits {
  readonly base: BaseClass;
  /** Finer than 0.075 mm, of what is finer than 4.75 mm. */
  readonly fines: number;
  /** Size 15 % of the filter is finer than, m: at most so that soil stays, at least so that water comes. */
  readonly most: number;
  readonly least: number;
}

const classOf = (fines: number): BaseClass => (fines > 0.85 ? 1 : fines >= 0.4 ? 2 : fines >= 0.15 ? 3 : 4);

/** Stone that filters a soil; null when its grading says too little: 85 % and 15 % must lie on it, or under it. */
export function stoneLimits(soil: Grading): StoneLimits | null {
  const fine = regraded(soil);
  const [d85, fines] = [sizeAt(fine, 0.85), passingAt(fine, FINES)];
  if (d85 === null) return null;
  const base = classOf(fines);
  const most = {
    1: () => Math.max(9 * d85, mm(0.2)),
    2: () => mm(0.7),
    3: () => mm(0.7) + ((0.4 - fines) / (0.4 - 0.15)) * (Math.max(4 * d85, mm(0.7)) - mm(0.7)),
    4: () => 4 * d85,
  }[base]();
  // Finer than the finest that was measured, it asks for no more than the least.
  const d15 = sizeAt(soil, 0.15) ?? 0;
  return { base, fines, most, least: Math.max(4 * d15, mm(0.1)) };
}

export type StoneFault = 'coarse' | 'fine' | 'dirty' | 'unknown';
/** Fines a filter may have itself. */
const DIRTY = 0.05;

/** What is wrong with some stone as the filter of a soil. */
export function stoneFaults(limits: StoneLimits, stone: Grading): StoneFault[] {
  const d15 = sizeAt(stone, 0.15);
  const out: StoneFault[] = [];
  if (d15 === null) out.push('unknown');
  else if (d15 > limits.most * (1 + 1e-9)) out.push('coarse');
  else if (d15 < limits.least * (1 - 1e-9)) out.push('fine');
  if (passingAt(stone, FINES) > DIRTY) out.push('dirty');
  return out;
}

export interface ClothLimits {
  /** Largest opening that keeps the soil back, m, and smallest that does not clog; null: none is asked. */
  readonly most: number;
  readonly least: number | null;
  /** Permeability it must have, m/s: the soil's, ten times in severe use. */
  readonly k: number;
  readonly severe: number;
  readonly uniformity: number | null;
}

/** B of the retention criterion, by uniformity: d60/d10. */
function retention(uniformity: number): number {
  if (uniformity <= 2 || uniformity >= 8) return 1;
  return uniformity <= 4 ? 0.5 * uniformity : 8 / uniformity;
}

/**
 * Cloth that filters a soil, by what of it is finer than 4.75 mm; null when its grading says too little.
 * @param whole its grading, stones and all
 * @param k of the soil, m/s; @param woven else felted
 */
export function clothLimits(whole: Grading, k: number, woven: boolean): ClothLimits | null {
  const soil = regraded(whole);
  const d85 = sizeAt(soil, 0.85);
  if (d85 === null) return null;
  const [d60, d15, d10] = [sizeAt(soil, 0.6), sizeAt(soil, 0.15), sizeAt(soil, 0.1)];
  const uniformity = d60 !== null && d10 !== null ? d60 / d10 : null;
  const silty = passingAt(soil, FINES) > 0.5;
  const most = silty ? Math.min((woven ? 1 : 1.8) * d85, mm(0.3)) : retention(uniformity ?? 8) * d85;
  // Of one size, the largest opening that still keeps it back is taken.
  const least = uniformity !== null && uniformity <= 3 ? null : d15 === null ? null : 3 * d15;
  return { most, least, k, severe: 10 * k, uniformity };
}

/** Cloth blinds in soil that sticks: what is mostly clay. */
export const sticky = (soil: SoilKind): boolean =>
  soil === 'softClay' || soil === 'stiffClay' || soil === 'gravellyClay';

/** Gradings of kinds nobody has sieved: assumed, within what the group's name allows (ASTM D2487). */
const ASSUMED: Record<SoilKind, Grading | null> = {
  topsoil: curve([0.002, 15], [0.01, 32], [0.075, 60], [0.4, 85], [2, 97], [4.75, 100]),
  madeGround: null,
  softClay: curve([0.001, 32], [0.002, 42], [0.01, 68], [0.03, 87], [0.075, 96], [0.4, 100]),
  stiffClay: curve([0.001, 30], [0.002, 40], [0.01, 64], [0.04, 86], [0.075, 92], [0.4, 100]),
  gravellyClay: curve([0.002, 12], [0.01, 20], [0.075, 35], [0.4, 48], [4.75, 65], [19, 88], [37.5, 100]),
  silt: curve([0.002, 8], [0.01, 30], [0.03, 66], [0.05, 85], [0.075, 94], [0.4, 100]),
  sandySilt: curve([0.002, 8], [0.01, 20], [0.03, 42], [0.075, 62], [0.2, 86], [0.4, 95], [2, 100]),
  siltySand: curve(
    [0.01, 6],
    [0.03, 13],
    [0.075, 24],
    [0.15, 42],
    [0.3, 68],
    [0.6, 88],
    [2, 98],
    [4.75, 100],
  ),
  sand: curve([0.075, 3], [0.15, 10], [0.3, 30], [0.6, 58], [1.18, 78], [2.36, 92], [4.75, 100]),
  gravel: curve([0.075, 2], [0.3, 8], [1.18, 18], [4.75, 36], [9.5, 55], [19, 78], [37.5, 100]),
  rock: null,
};

/** A kind's grading as assumed; null of what has none of its own. */
export const assumedGrading = (soil: SoilKind): Grading | null => ASSUMED[soil];
