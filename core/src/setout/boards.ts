/**
 * Boards and strings: a board beyond each end of every axis, clear of what is dug, with its
 * nails; a string between each pair; where strings cross and how far apart in level they must
 * be; how far a string sags and where it wants a prop.
 */
import { contains, type Polygon } from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { stringFor, stringsOf } from '../plan/strings.ts';
import { shapeOf } from './kinds.ts';

type Point = readonly [number, number];

/** Half the dig and half the footing about an axis, m, by element. */
export interface AxisWidth {
  readonly footing: number;
  readonly dug: number;
}

export interface Nail {
  readonly what: 'axis' | 'footing' | 'dug';
  /** m along the board from the axis, left of the string's direction positive. */
  readonly offset: number;
}

export interface Board {
  readonly name: string;
  /** Where the axis crosses it. */
  readonly at: Point;
  /** Its two ends. */
  readonly from: Point;
  readonly to: Point;
  readonly nails: readonly Nail[];
  /** m from the end of the axis. */
  readonly beyond: number;
  /** Something it must keep clear of lies there. */
  readonly blocked: string | null;
}

/** A rail of a board: the string it is of, null for the job's own, and its level, m. */
export interface Rail {
  readonly string: string | null;
  readonly level: number;
}

export interface Line {
  readonly name: string;
  /** Elements whose axis lies on it. */
  readonly elements: readonly string[];
  readonly boards: readonly [Board, Board];
  readonly length: number;
  readonly level: number;
  /** A rail on its boards for every string its elements hang on, the highest first. */
  readonly rails: readonly Rail[];
  /** Mid-span sag without props, m. */
  readonly sag: number;
  /** Props at most this far apart keep it within what matters, m; null when none is needed. */
  readonly props: number | null;
}

export interface Crossing {
  readonly one: string;
  readonly other: string;
  readonly at: Point;
  /** Difference of level there, m. */
  readonly apart: number;
}

export interface Boards {
  readonly lines: readonly Line[];
  readonly crossings: readonly Crossing[];
}

/** Sag that a level read off the string would feel, m. */
export const MOST_SAG = 0.003;
/** Strings cross this far apart in level, m: a line's thickness and a finger. */
export const STRING_STEP = 0.02;
const GRAVITY = 9.80665;
/** A board stands out this much past the outermost nail, m. */
const PAST = 0.3;

/** Mid-span sag of a level string, m: w·g·L²/(8T). */
export const sagOf = (length: number, weight: number, tension: number): number =>
  (weight * GRAVITY * length * length) / (8 * tension);

/** Span whose sag is `sag`, m. */
export const spanFor = (sag: number, weight: number, tension: number): number =>
  Math.sqrt((8 * tension * sag) / (weight * GRAVITY));

interface Axis {
  readonly from: Point;
  readonly to: Point;
  readonly ux: number;
  readonly uy: number;
  readonly elements: string[];
  width: AxisWidth;
}

/** Axes of strips and sides of outlines, those that lie on one straight line taken together. */
function axesOf(elements: readonly Element[], widths: readonly AxisWidth[]): Axis[] {
  const out: Axis[] = [];
  const put = (from: Point, to: Point, id: string, width: AxisWidth) => {
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (length < 0.3) return;
    const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
    for (let i = 0; i < out.length; i++) {
      const axis = out[i]!;
      const off = (p: Point) => Math.abs((p[0] - axis.from[0]) * axis.uy - (p[1] - axis.from[1]) * axis.ux);
      if (off(from) > 0.01 || off(to) > 0.01) continue;
      const along = (p: Point) => (p[0] - axis.from[0]) * axis.ux + (p[1] - axis.from[1]) * axis.uy;
      const ends = [0, along(axis.to), along(from), along(to)];
      const [s0, s1] = [Math.min(...ends), Math.max(...ends)];
      out[i] = {
        ...axis,
        from: [axis.from[0] + axis.ux * s0, axis.from[1] + axis.uy * s0],
        to: [axis.from[0] + axis.ux * s1, axis.from[1] + axis.uy * s1],
        elements: axis.elements.includes(id) ? axis.elements : [...axis.elements, id],
        width: {
          footing: Math.max(axis.width.footing, width.footing),
          dug: Math.max(axis.width.dug, width.dug),
        },
      };
      return;
    }
    out.push({ from, to, ux, uy, elements: [id], width });
  };
  elements.forEach((element, i) => {
    const width = widths[i]!;
    for (const { from, to } of shapeOf(element).strung(element)) put(from, to, element.id, width);
  });
  return out;
}

/** Something boards must not stand in: a spoil heap's place or a track. */
export interface KeepClear {
  readonly name: string;
  readonly polygon: readonly Point[];
}

/**
 * Boards and strings of a job.
 * @param openings what is dug, convex pieces in plan
 * @param clear places boards must not stand in
 */
export function boardsOf(
  plan: Plan,
  widths: readonly AxisWidth[],
  openings: readonly Polygon[],
  clear: readonly KeepClear[],
): Boards {
  const { offset, tension, weight } = plan.setout;
  const axes = axesOf(plan.elements, widths);
  let number = 0;
  const lines = axes.map((axis, index): Omit<Line, 'level' | 'rails'> => {
    const { ux, uy } = axis;
    const half = Math.max(axis.width.dug, axis.width.footing) + PAST;
    const board = (end: Point, sign: 1 | -1): Board => {
      const along = (x: number, y: number) => ((x - end[0]) * ux + (y - end[1]) * uy) * sign;
      const across = (x: number, y: number) => -(x - end[0]) * uy + (y - end[1]) * ux;
      // Past every opening the board's length would meet, and past those it then comes upon.
      let beyond = 0;
      for (const opening of openings) {
        let [near, far, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
        for (let i = 0; i < opening.length; i += 2) {
          const s = along(opening[i]!, opening[i + 1]!);
          const c = across(opening[i]!, opening[i + 1]!);
          near = Math.min(near, s);
          far = Math.max(far, s);
          low = Math.min(low, c);
          high = Math.max(high, c);
        }
        if (high < -half || low > half || near > beyond + offset) continue;
        beyond = Math.max(beyond, far);
      }
      beyond += offset;
      const at: Point = [end[0] + sign * ux * beyond, end[1] + sign * uy * beyond];
      const nails: Nail[] = [
        { what: 'axis', offset: 0 },
        ...(['footing', 'dug'] as const).flatMap((what): Nail[] =>
          axis.width[what] > 1e-6
            ? [
                { what, offset: axis.width[what] },
                { what, offset: -axis.width[what] },
              ]
            : [],
        ),
      ];
      number++;
      return {
        name: String(number),
        at,
        from: [at[0] - uy * half, at[1] + ux * half],
        to: [at[0] + uy * half, at[1] - ux * half],
        nails,
        beyond,
        blocked: clear.find(({ polygon }) => contains(polygon, at[0], at[1]))?.name ?? null,
      };
    };
    const boards = [board(axis.from, -1), board(axis.to, 1)] as const;
    const length = Math.hypot(boards[1].at[0] - boards[0].at[0], boards[1].at[1] - boards[0].at[1]);
    const sag = sagOf(length, weight, tension);
    const span = spanFor(MOST_SAG, weight, tension);
    return {
      name: `S${index + 1}`,
      elements: axis.elements,
      boards,
      length,
      sag,
      props: sag > MOST_SAG ? length / Math.ceil(length / span - 1e-9) : null,
    };
  });
  const met = meetings(lines);
  const tiers = tiersFor(lines.length, met);
  const rails = lines.map((line, i) => railsOf(plan, line.elements, tiers[i]! * STRING_STEP));
  const levels = rails.map((own) => own[0]!.level);
  return {
    lines: lines.map((line, i) => ({ ...line, level: levels[i]!, rails: rails[i]! })),
    crossings: met.map(({ i, j, at }) => ({
      one: lines[i]!.name,
      other: lines[j]!.name,
      at,
      apart: Math.abs(levels[i]! - levels[j]!),
    })),
  };
}

/** Rails of the boards of one line, the highest first: one for every string its elements hang on. */
function railsOf(plan: Plan, ids: readonly string[], lifted: number): Rail[] {
  const own = plan.elements.filter((element) => ids.includes(element.id)).map((e) => stringFor(plan, e));
  const all = own.length > 0 ? own : stringsOf(plan).slice(0, 1);
  return all
    .filter((string, i) => all.findIndex((other) => other.id === string.id) === i)
    .map(({ name, level }) => ({ string: name, level: level + lifted }))
    .sort((p, q) => q.level - p.level);
}

interface Meeting {
  readonly i: number;
  readonly j: number;
  readonly at: Point;
}

/** Where strings cross in plan, boards included. */
function meetings(lines: readonly Pick<Line, 'boards'>[]): Meeting[] {
  const out: Meeting[] = [];
  lines.forEach((one, i) => {
    const [p, q] = [one.boards[0].at, one.boards[1].at];
    lines.slice(i + 1).forEach((other, k) => {
      const [r, s] = [other.boards[0].at, other.boards[1].at];
      const det = (q[0] - p[0]) * (s[1] - r[1]) - (q[1] - p[1]) * (s[0] - r[0]);
      if (Math.abs(det) < 1e-9) return;
      const t = ((r[0] - p[0]) * (s[1] - r[1]) - (r[1] - p[1]) * (s[0] - r[0])) / det;
      const u = ((r[0] - p[0]) * (q[1] - p[1]) - (r[1] - p[1]) * (q[0] - p[0])) / det;
      if (t < 0 || t > 1 || u < 0 || u > 1) return;
      out.push({ i, j: i + 1 + k, at: [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])] });
    });
  });
  return out;
}

/**
 * The fewest tiers of level that keep crossing strings apart, found greedily, the string with
 * most crossings first. Two tiers for any job of two directions.
 */
function tiersFor(count: number, met: readonly Meeting[]): number[] {
  const others = Array.from({ length: count }, () => new Set<number>());
  for (const { i, j } of met) {
    others[i]!.add(j);
    others[j]!.add(i);
  }
  const tiers = Array.from({ length: count }, () => -1);
  // Neighbour by neighbour, so that strings of one direction end up on one tier.
  const visit = (start: number) => {
    const queue = [start];
    while (queue.length > 0) {
      const i = queue.shift()!;
      if (tiers[i]! >= 0) continue;
      const taken = new Set([...others[i]!].map((j) => tiers[j]!));
      let tier = 0;
      while (taken.has(tier)) tier++;
      tiers[i] = tier;
      queue.push(...others[i]!);
    }
  };
  for (let i = 0; i < count; i++) visit(i);
  return tiers;
}
