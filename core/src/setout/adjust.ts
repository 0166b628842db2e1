/**
 * Measured against computed: each taped distance, and which corner is off when they do not agree.
 *
 * Least squares on the measured distances: for every corner in turn all others are held where
 * they belong and it alone is moved to where its distances want it (Gauss–Newton); the corner
 * whose move explains the most is the likely culprit. Not covered: several corners off at once,
 * which leaves a large rest and is said so.
 */
import { trueLength } from './points.ts';

type Point = readonly [number, number];

export interface Taped {
  readonly from: string;
  readonly to: string;
  /** As read off the tape, m. */
  readonly distance: number;
}

export interface TapedLine {
  readonly from: string;
  readonly to: string;
  readonly computed: number;
  /** Corrected for temperature. */
  readonly measured: number;
  /** measured − computed, m. */
  readonly off: number;
  readonly ok: boolean;
}

export interface Culprit {
  readonly corner: string;
  /** How far it stands from where it belongs, m east and north. */
  readonly east: number;
  readonly north: number;
  /** Share of the disagreement its move explains, 0…1. */
  readonly explains: number;
  /** Root mean square of what is left, m. */
  readonly rest: number;
}

export interface Adjustment {
  readonly lines: readonly TapedLine[];
  readonly ok: boolean;
  readonly culprit: Culprit | null;
  /** Three corners whose distances make no triangle. */
  readonly impossible: readonly [string, string, string] | null;
}

const ITERATIONS = 30;

/** Moves one corner to fit its distances to the others. */
function fit(start: Point, lines: readonly { readonly other: Point; readonly distance: number }[]): Point {
  let [x, y] = start;
  for (let i = 0; i < ITERATIONS; i++) {
    // Normal equations of the linearised distances; a little damping for corners seen from one side.
    let [xx, xy, yy, xr, yr] = [1e-9, 0, 1e-9, 0, 0];
    for (const { other, distance } of lines) {
      const [dx, dy] = [x - other[0], y - other[1]];
      const now = Math.hypot(dx, dy);
      if (now < 1e-9) continue;
      const [a, b, r] = [dx / now, dy / now, distance - now];
      xx += a * a;
      xy += a * b;
      yy += b * b;
      xr += a * r;
      yr += b * r;
    }
    const det = xx * yy - xy * xy;
    if (Math.abs(det) < 1e-12) break;
    const [sx, sy] = [(xr * yy - yr * xy) / det, (yr * xx - xr * xy) / det];
    x += sx;
    y += sy;
    if (Math.hypot(sx, sy) < 1e-10) break;
  }
  return [x, y];
}

/**
 * Compares taped distances with the corners they lie between.
 * @param corners name and place of each
 * @param tolerance how far a distance may be off, m
 * @param temperature of a steel tape, °C; null for none
 */
export function adjust(
  corners: readonly { readonly name: string; readonly at: Point }[],
  taped: readonly Taped[],
  tolerance: number,
  temperature: number | null,
): Adjustment {
  const place = new Map(corners.map((corner) => [corner.name, corner.at]));
  const lines = taped.flatMap(({ from, to, distance }): TapedLine[] => {
    const [p, q] = [place.get(from), place.get(to)];
    if (!p || !q) return [];
    const computed = Math.hypot(p[0] - q[0], p[1] - q[1]);
    const measured = trueLength(distance, temperature);
    const off = measured - computed;
    return [{ from, to, computed, measured, off, ok: Math.abs(off) <= tolerance + 1e-9 }];
  });
  const ok = lines.every((line) => line.ok);
  const impossible = noTriangle(lines, tolerance);
  return { lines, ok, impossible, culprit: ok || impossible ? null : culpritOf(place, lines) };
}

function culpritOf(place: ReadonlyMap<string, Point>, lines: readonly TapedLine[]): Culprit | null {
  const before = lines.reduce((sum, line) => sum + line.off * line.off, 0);
  let best: Culprit | null = null;
  let least = Infinity;
  for (const corner of new Set(lines.flatMap((line) => [line.from, line.to]))) {
    const at = place.get(corner)!;
    const own = lines.filter((line) => line.from === corner || line.to === corner);
    // One tape cannot tell where a corner went.
    if (own.length < 2) continue;
    const moved = fit(
      at,
      own.map((line) => ({
        other: place.get(line.from === corner ? line.to : line.from)!,
        distance: line.measured,
      })),
    );
    const rest = lines.reduce((sum, line) => {
      if (line.from !== corner && line.to !== corner) return sum + line.off * line.off;
      const other = place.get(line.from === corner ? line.to : line.from)!;
      return sum + (line.measured - Math.hypot(moved[0] - other[0], moved[1] - other[1])) ** 2;
    }, 0);
    if (rest >= least - 1e-15) continue;
    least = rest;
    best = {
      corner,
      east: moved[0] - at[0],
      north: moved[1] - at[1],
      explains: before > 0 ? 1 - rest / before : 0,
      rest: Math.sqrt(rest / lines.length),
    };
  }
  return best;
}

/** Three corners all taped between each other whose longest side is longer than the other two. */
function noTriangle(lines: readonly TapedLine[], tolerance: number): Adjustment['impossible'] {
  const between = (p: string, q: string) =>
    lines.find((l) => (l.from === p && l.to === q) || (l.from === q && l.to === p))?.measured;
  const names = [...new Set(lines.flatMap((line) => [line.from, line.to]))];
  for (const { from, to, measured } of lines)
    for (const third of names) {
      const [a, b] = [between(from, third), between(to, third)];
      if (a !== undefined && b !== undefined && measured > a + b + 3 * tolerance) return [from, to, third];
    }
  return null;
}

/**
 * Multiples of 3-4-5 that fit two sides: what to tape for a right angle without a long tape, m. In whole
 * metres or feet; in halves where a side is too short for one.
 * @param whole a metre or a foot, m
 */
export function threeFourFive(
  one: number,
  other: number,
  whole = 1,
): readonly [number, number, number] | null {
  const [short, long] = [Math.min(one, other), Math.max(one, other)];
  const fits = Math.min(short / 3, long / 4) / whole + 1e-9;
  const times = fits >= 1 ? Math.floor(fits) : Math.floor(fits * 2) / 2;
  const unit = times * whole;
  return unit > 0 ? [3 * unit, 4 * unit, 5 * unit] : null;
}
