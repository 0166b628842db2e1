/** A survey made into a plan's surface: moved to the job's origin, cleaned, thinned when very large. */

import { flatPlan, SAME_SPOT, triangulate } from '../geometry/index.ts';
import { FIELDS, outOfRange } from '../plan/fields.ts';
import type { SurfaceSpec } from '../plan/schema.ts';
import type { Problem, ProblemCode } from '../results/index.ts';
import { spotSurface } from './surface.ts';
import { type SurveySpot, thinSurvey } from './thin.ts';

/** Spots a plan is given at the most; more are thinned to those that make the shape. */
const SPOTS_KEPT = 8000;
/** How far a spot left out may lie from the surface kept, m. */
const THIN_TOLERANCE = 0.01;
/** Two spots in one place whose levels differ by less are one measured twice, m. */
const SAME_LEVEL = 0.002;
/** Farther from the origin than this the job gets an origin of its own, m. */
const NEAR = 1500;

export interface TakenSurvey {
  readonly surface: Extract<SurfaceSpec, { kind: 'spots' }>;
  /** The job's origin in the survey's coordinates, m. */
  readonly origin: readonly [number, number];
  readonly read: number;
  readonly kept: number;
  /** Spots dropped because another stood in the same place at the same level. */
  readonly doubled: number;
  /** Largest distance in level of a spot left out, m. */
  readonly off: number;
  readonly triangles: number;
  readonly low: number;
  readonly high: number;
}

export type TakeSurvey =
  | { readonly ok: true; readonly taken: TakenSurvey }
  | { readonly ok: false; readonly problem: Problem };

const tidy = (value: number) => Math.round(value * 1e4) / 1e4;

/** Drops spots measured twice; names two levels in one place. */
function single(points: readonly SurveySpot[]): { keep: number[] } | { at: number; other: number } {
  const cells = new Map<string, number[]>();
  const keep: number[] = [];
  for (const [i, [x, y, z]] of points.entries()) {
    const cx = Math.round(x / SAME_SPOT / 4);
    const cy = Math.round(y / SAME_SPOT / 4);
    let twin = -1;
    for (let dx = -1; dx <= 1 && twin < 0; dx++)
      for (let dy = -1; dy <= 1 && twin < 0; dy++)
        twin =
          cells
            .get(`${cx + dx} ${cy + dy}`)
            ?.find((j) => Math.hypot(points[j]![0] - x, points[j]![1] - y) <= 1.5 * SAME_SPOT) ?? -1;
    if (twin >= 0) {
      if (Math.abs(points[twin]![2] - z) > SAME_LEVEL) return { at: i, other: twin };
      continue;
    }
    keep.push(i);
    const cell = cells.get(`${cx} ${cy}`);
    if (cell) cell.push(i);
    else cells.set(`${cx} ${cy}`, [i]);
  }
  return { keep };
}

/**
 * @param survey points in m, in the survey's coordinates; breaklines as positions in them
 * @param origin the job's present origin in those coordinates
 * @param progress told the share done, 0…1
 */
export function takeSurvey(
  survey: { readonly points: readonly SurveySpot[]; readonly breaklines: readonly (readonly number[])[] },
  origin: readonly [number, number],
  progress: (share: number) => void = () => {},
): TakeSurvey {
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): TakeSurvey => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  const { points } = survey;
  if (points.length < 3) return refuse('collinear');
  let [ox, oy] = origin;
  const middle = points.reduce(
    ([sx, sy], [x, y]) => [sx + x / points.length, sy + y / points.length] as const,
    [0, 0] as readonly [number, number],
  );
  if (Math.hypot(middle[0] - ox, middle[1] - oy) > NEAR) {
    ox = Math.floor(middle[0] / 100) * 100;
    oy = Math.floor(middle[1] / 100) * 100;
  }
  const moved = points.map(([x, y, z]) => [tidy(x - ox), tidy(y - oy), tidy(z)] as const);
  const far = moved.findIndex(
    ([x, y, z]) =>
      outOfRange(FIELDS['/ground/surface/points/*/0'], x) !== null ||
      outOfRange(FIELDS['/ground/surface/points/*/1'], y) !== null ||
      outOfRange(FIELDS['/ground/surface/points/*/2'], z) !== null,
  );
  if (far >= 0) return refuse('spotFar', { params: { at: far + 1 } });
  const once = single(moved);
  if ('at' in once) return refuse('spotsDiffer', { params: { at: once.at + 1, other: once.other + 1 } });
  progress(0.2);

  const unique = once.keep.map((i) => moved[i]!);
  const place = new Map(once.keep.map((i, k) => [i, k]));
  // A line through a spot that was dropped goes on without it.
  const lines = survey.breaklines.map((line) => line.flatMap((i) => place.get(i) ?? []));
  const whole = triangulate(flatPlan(unique), []);
  if (!whole.ok) return refuse(whole.fault.code);
  progress(0.4);
  const thinned =
    unique.length > SPOTS_KEPT
      ? thinSurvey(unique, THIN_TOLERANCE, SPOTS_KEPT, lines.flat(), (share) => progress(0.4 + 0.5 * share))
      : { kept: unique.map((_, i) => i), off: 0 };
  const position = new Map(thinned.kept.map((i, k) => [i, k]));
  const surface = {
    kind: 'spots' as const,
    points: thinned.kept.map((i) => unique[i]!),
    breaklines: lines
      .map((line) => line.flatMap((i) => position.get(i) ?? []).filter((i, k, all) => i !== all[k - 1]))
      .filter((line) => line.length > 1),
  };
  const made = spotSurface(surface.points, surface.breaklines);
  if (!made.ok) {
    const { fault } = made;
    return refuse(fault.code, 'line' in fault ? { params: { line: fault.line + 1 } } : {});
  }
  progress(1);
  return {
    ok: true,
    taken: {
      surface,
      origin: [ox, oy],
      read: points.length,
      kept: surface.points.length,
      doubled: points.length - unique.length,
      off: thinned.off,
      triangles: made.surface.triangles.length,
      low: surface.points.reduce((low, point) => Math.min(low, point[2]), Infinity),
      high: made.surface.highest,
    },
  };
}
