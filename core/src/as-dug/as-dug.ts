/** Elements as they were dug, by their shots: each against what is wanted there, and what all of them come to. */
import { at } from '../geometry/index.ts';
import type { Plan } from '../plan/schema.ts';
import { type Band, bandOf } from './band.ts';
import { type LowPiece, lowPieces, volumesOf } from './field.ts';
import type { Shot } from './levelling.ts';
import { limitsOf, type Verdict, verdictOf } from './verdict.ts';
import { type WantedPiece, wantedAt } from './wanted.ts';

/** A shot of a bottom with what is wanted at its place. */
export interface BottomShot extends Shot {
  readonly wanted: number;
  /** m below what is wanted; high negative. */
  readonly below: number;
  /** Null of what was told, not measured. */
  readonly verdict: Verdict | null;
}

export interface AsDug {
  /** Newest of each place, in the order of time. */
  readonly shots: readonly BottomShot[];
  /** m³ below what is wanted, and still above it, apart; of how many m². */
  readonly low: number;
  readonly high: number;
  readonly area: number;
  /** m low, on the mean and at the worst place. */
  readonly mean: number;
  readonly worst: number;
  /** Null of fewer than two shots. */
  readonly band: Band | null;
  /** How low everywhere: for the map. */
  readonly pieces: readonly LowPiece[];
  /** Of four corners or more on one level the one that is off by most; null: none is. */
  readonly oddOne: BottomShot | null;
}

/** Shots nearer to each other than this are of one place: the later counts, m. Assumed: a boot's length. */
const ONE_PLACE = 0.3;

const apart = (p: readonly [number, number], q: readonly [number, number]) =>
  Math.hypot(p[0] - q[0], p[1] - q[1]);

/** The newest of each place. One that was only told is of the bottom as a whole: nothing before it counts. */
function newest(shots: readonly Shot[]): Shot[] {
  const told = shots.findLastIndex(({ level }) => level === null);
  const measured = shots.slice(told + 1);
  if (measured.length === 0) return shots.slice(-1);
  const out: Shot[] = [];
  for (const shot of measured) {
    const { place } = shot;
    const same = out.findIndex((one) =>
      one.place && place ? apart(one.place, place) < ONE_PLACE : one.place === place,
    );
    if (same >= 0) out.splice(same, 1);
    out.push(shot);
  }
  return out;
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((p, q) => p - q);
  const half = sorted.length / 2;
  return Number.isInteger(half) ? (sorted[half - 1]! + sorted[half]!) / 2 : sorted[Math.floor(half)]!;
};

/** Which of shots that should lie on one level is off, against the middle of all; null when all agree. */
export function oddOneOf(shots: readonly BottomShot[], within: number): BottomShot | null {
  if (shots.length < 3) return null;
  const middle = median(shots.map(({ below }) => below));
  const off = (shot: BottomShot) => Math.abs(shot.below - middle);
  const worst = shots.reduce((p, q) => (off(q) > off(p) + 1e-9 ? q : p));
  return off(worst) > within + 1e-9 ? worst : null;
}

/**
 * @param shots of one element's bottom, in the order of time
 * @param pieces its bottom, pieces that do not overlap
 * @param trim high spots up to this are taken off by hand, m
 * @returns null where nothing was shot
 */
export function asDugOf(
  plan: Plan,
  shots: readonly Shot[],
  pieces: readonly WantedPiece[],
  trim: number,
): AsDug | null {
  const limits = limitsOf(plan, 'formation');
  const kept = newest(shots).flatMap((shot): BottomShot[] => {
    // One of no place is of the bottom as a whole: where it is lowest.
    const wanted = shot.place
      ? wantedAt(pieces, shot.place)?.level
      : Math.min(...pieces.map((piece) => lowestLevel(piece)));
    if (wanted === undefined || !Number.isFinite(wanted)) return [];
    const verdict = shot.level === null ? null : verdictOf(shot.level, wanted, limits, trim);
    return [{ ...shot, wanted, verdict, below: shot.level === null ? shot.low! : wanted - shot.level }];
  });
  if (kept.length === 0 || pieces.length === 0) return null;
  const placed = kept.flatMap(({ place, below }) => (place ? [[...place, below] as const] : []));
  // What nobody placed counts only where nothing is placed.
  const points = placed.length > 0 ? placed : [[0, 0, kept.at(-1)!.below] as const];
  const field = lowPieces(
    points,
    pieces.map((piece) => piece.plan),
  );
  const { low, high, area } = volumesOf(field);
  const lows = (placed.length > 0 ? kept.filter(({ place }) => place) : kept.slice(-1)).map(
    ({ below }) => below,
  );
  return {
    shots: kept,
    low,
    high,
    area,
    mean: area > 0 ? low / area : 0,
    worst: Math.max(0, ...lows),
    band: placed.length > 0 ? bandOf(lows, area) : null,
    pieces: field,
    oddOne: oddOneOf(
      kept.filter(({ place }) => place),
      limits.over + limits.under,
    ),
  };
}

const lowestLevel = ({ plan, level }: WantedPiece): number => {
  let least = Infinity;
  for (let i = 0; i < plan.length; i += 2) least = Math.min(least, at(level, plan[i]!, plan[i + 1]!));
  return least;
};
