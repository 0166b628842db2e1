/** Points found on site: by two tapes, round an arc by chords, along a line. */
import { offset, tidy } from '../geometry/index.ts';

type Point = readonly [number, number];

export type TwoTape =
  | { readonly ok: true; readonly left: Point; readonly right: Point }
  | { readonly ok: false; readonly code: 'tapesShort' | 'tapesInside' | 'samePoint'; readonly by: number };

/**
 * Where two tapes meet: both places, to the left and to the right of the line from p to q.
 * @param fromP length of the tape from p, m
 * @returns how much the tapes fall short, or one lies within the other, when they cannot meet
 */
export function twoTape(p: Point, q: Point, fromP: number, fromQ: number): TwoTape {
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const apart = Math.hypot(dx, dy);
  if (apart < 1e-6) return { ok: false, code: 'samePoint', by: 0 };
  if (apart > fromP + fromQ + 1e-9) return { ok: false, code: 'tapesShort', by: apart - fromP - fromQ };
  const within = Math.abs(fromP - fromQ) - apart;
  if (within > 1e-9) return { ok: false, code: 'tapesInside', by: within };
  const along = (fromP * fromP - fromQ * fromQ + apart * apart) / (2 * apart);
  const across = Math.sqrt(Math.max(0, fromP * fromP - along * along));
  const [ux, uy] = [dx / apart, dy / apart];
  const at = (side: number): Point => [
    p[0] + ux * along - uy * across * side,
    p[1] + uy * along + ux * across * side,
  ];
  return { ok: true, left: at(1), right: at(-1) };
}

/** A dug arc by chords leaves this much between chord and arc at most, m. */
export const CHORD_OFF = 0.01;

/** However large an arc, it is drawn by no more chords than this. */
const MOST_CHORDS = 2000;

/**
 * Points on an arc, near enough together that no chord is farther than `off` from it.
 * @param start and sweep in degrees, anticlockwise from east; a sweep of 360 leaves out the last
 * @returns null for no radius or no sweep
 */
export function arcPoints(
  centre: Point,
  radius: number,
  start: number,
  sweep: number,
  off = CHORD_OFF,
): Point[] | null {
  if (!(radius > 1e-3) || !Number.isFinite(radius) || Math.abs(sweep) < 1e-6 || Math.abs(sweep) > 360)
    return null;
  // Height of a segment: r·(1 − cos(θ/2)).
  const widest = 2 * Math.acos(Math.max(-1, 1 - Math.min(off, radius) / radius));
  const whole = Math.abs(sweep) === 360;
  const wanted = Math.ceil((Math.abs(sweep) * Math.PI) / 180 / widest - 1e-9);
  const count = Math.min(MOST_CHORDS, Math.max(whole ? 6 : 2, wanted));
  return Array.from({ length: whole ? count : count + 1 }, (_, i): Point => {
    const angle = ((start + (sweep * i) / count) * Math.PI) / 180;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  });
}

/** Two pads nearer than this along an axis are one, m. */
const AGAIN = 0.01;

/**
 * Points every so often along an axis: where pads notch a trench.
 * @param first m from the start to the first
 */
export function pointsAlong(
  points: readonly Point[],
  closed: boolean,
  spacing: number,
  first: number,
): { at: Point; angle: number }[] {
  if (!(spacing > 0.05)) return [];
  const out: { at: Point; angle: number }[] = [];
  let before = 0;
  let next = first;
  const count = closed ? points.length : points.length - 1;
  const runs = Array.from({ length: count }, (_, i) => {
    const [p, q] = [points[i]!, points[(i + 1) % points.length]!];
    return { p, q, length: Math.hypot(q[0] - p[0], q[1] - p[1]) };
  });
  // Once round, a closed axis is at its first point again: that is there already.
  const round = closed ? first + runs.reduce((sum, { length }) => sum + length, 0) - AGAIN : Infinity;
  for (const { p, q, length } of runs) {
    if (length < 1e-9) continue;
    const [ux, uy] = [(q[0] - p[0]) / length, (q[1] - p[1]) / length];
    while (next <= before + length + 1e-9 && next < round && out.length < 400) {
      const s = next - before;
      out.push({
        at: [p[0] + ux * s, p[1] + uy * s],
        angle: (Math.atan2(uy, ux) * 180) / Math.PI,
      });
      next += spacing;
    }
    before += length;
  }
  return out;
}

/** Runs nearer to one line than this (sine of the bend) are one. */
const STRAIGHT = 1e-9;

/**
 * An axis beside another: every run moved by so much, bends mitred. Of an open axis to the left of
 * the way it runs, to the right when negative; of a closed one outwards, inwards when negative.
 * @returns null where no such axis is: runs would vanish, or a bend doubles back
 */
export function beside(points: readonly Point[], closed: boolean, by: number): Point[] | null {
  if (closed) {
    const corners = tidy(points);
    return corners.length < 3 ? null : offset(corners, by);
  }
  const runs = points.slice(1).flatMap((q, i) => {
    const p = points[i]!;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    return length < 1e-6 ? [] : [{ p, q, ux: (q[0] - p[0]) / length, uy: (q[1] - p[1]) / length }];
  });
  const [first] = runs;
  const last = runs.at(-1);
  if (!first || !last) return null;
  const moved = ([x, y]: Point, { ux, uy }: { ux: number; uy: number }): Point => [x - uy * by, y + ux * by];
  const out: Point[] = [moved(first.p, first)];
  for (const [i, run] of runs.entries()) {
    const next = runs[i + 1];
    if (!next) continue;
    const turn = run.ux * next.uy - run.uy * next.ux;
    const on = run.ux * next.ux + run.uy * next.uy;
    if (Math.abs(turn) < STRAIGHT) {
      if (on < 0) return null;
      out.push(moved(run.q, run));
      continue;
    }
    // Along the run by the tangent of half the bend.
    const along = (-by * (1 - on)) / turn;
    const [x, y] = moved(run.q, run);
    out.push([x + run.ux * along, y + run.uy * along]);
  }
  out.push(moved(last.q, last));
  const kept = runs.every(({ ux, uy }, i) => {
    const [p, q] = [out[i]!, out[i + 1]!];
    return (q[0] - p[0]) * ux + (q[1] - p[1]) * uy > 1e-6;
  });
  return kept ? out : null;
}

/** Steel: strain a kelvin, and the temperature tapes are marked at, °C. */
const STEEL = 11.6e-6;
export const TAPE_AT = 20;

/** True length of what a steel tape reads at a temperature, m: L·(1 + 11.6e-6·(T − 20)). */
export const trueLength = (reading: number, temperature: number | null): number =>
  temperature === null ? reading : reading * (1 + STEEL * (temperature - TAPE_AT));

export interface Traverse {
  readonly points: readonly Point[];
  /** Misclosure, m, its share of the whole length, and the two parts of it. */
  readonly misclosure: number;
  readonly ratio: number;
  readonly east: number;
  readonly north: number;
}

/**
 * A walked traverse brought to close: the misclosure shared out by the length of the legs
 * (Bowditch 1808, the compass rule).
 * @param legs steps east and north, m
 * @param end where the last leg should come out; the start for a loop
 */
export function bowditch(start: Point, legs: readonly Point[], end: Point = start): Traverse {
  const lengths = legs.map(([x, y]) => Math.hypot(x, y));
  const whole = lengths.reduce((sum, length) => sum + length, 0);
  const east = legs.reduce((sum, leg) => sum + leg[0], start[0]) - end[0];
  const north = legs.reduce((sum, leg) => sum + leg[1], start[1]) - end[1];
  let [x, y] = start;
  let walked = 0;
  const points: Point[] = [start];
  legs.forEach((leg, i) => {
    x += leg[0];
    y += leg[1];
    walked += lengths[i]!;
    const share = whole > 0 ? walked / whole : 0;
    points.push([x - east * share, y - north * share]);
  });
  const misclosure = Math.hypot(east, north);
  return { points, misclosure, ratio: whole > 0 ? misclosure / whole : 0, east, north };
}
