/**
 * Boards and strings: a board beyond each end of every axis, clear of what is dug, with its
 * nails; a string between each pair; where strings cross and how far apart in level they must
 * be; how far a string sags and where it needs support.
 */
import { contains, type Polygon } from '../geometry/index.ts';
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { type StringLevel, stringFor, stringsOf } from '../plan/strings.ts';
import { shapeOf } from './kinds.ts';
import { setOut } from './walled.ts';

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

/** A board between the ends of a line, where its string steps from one level to another: a rail for each. */
export interface StepBoard {
  readonly name: string;
  readonly at: Point;
  readonly from: Point;
  readonly to: Point;
  /** m from the line's first board. */
  readonly along: number;
  readonly rails: readonly [Rail, Rail];
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
  /** Where elements along it hang on one string and go on on another, in order from its first board. */
  readonly steps: readonly StepBoard[];
  /** Mid-span sag without props, m: of its longest piece between boards. */
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
/** What lies this near a line lies on it, m. */
const ON_LINE = 0.01;
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
      if (off(from) > ON_LINE || off(to) > ON_LINE) continue;
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
  const own = new Set(setOut(elements));
  elements.forEach((element, i) => {
    if (!own.has(element)) return;
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
 * The board beyond one end of an axis, past every opening its length would meet and those it then comes upon.
 * @param half half its length, m
 * @param sign 1 at the far end, −1 at the near one
 */
function boardBeyond(
  { ux, uy, width }: Axis,
  end: Point,
  sign: 1 | -1,
  half: number,
  offset: number,
  openings: readonly Polygon[],
  clear: readonly KeepClear[],
): Omit<Board, 'name'> {
  const along = (x: number, y: number) => ((x - end[0]) * ux + (y - end[1]) * uy) * sign;
  const across = (x: number, y: number) => -(x - end[0]) * uy + (y - end[1]) * ux;
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
      width[what] > 1e-6
        ? [
            { what, offset: width[what] },
            { what, offset: -width[what] },
          ]
        : [],
    ),
  ];
  return {
    at,
    from: [at[0] - uy * half, at[1] + ux * half],
    to: [at[0] + uy * half, at[1] - ux * half],
    nails,
    beyond,
    blocked: clear.find(({ polygon }) => contains(polygon, at[0], at[1]))?.name ?? null,
  };
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
  const lines = axes.map(
    (axis, index): Omit<Line, 'level' | 'rails' | 'steps'> & { readonly changes: readonly Change[] } => {
      const { ux, uy } = axis;
      const half = Math.max(axis.width.dug, axis.width.footing) + PAST;
      const named = (end: Point, sign: 1 | -1): Board => {
        number++;
        return { name: String(number), ...boardBeyond(axis, end, sign, half, offset, openings, clear) };
      };
      const boards = [named(axis.from, -1), named(axis.to, 1)] as const;
      const length = Math.hypot(boards[1].at[0] - boards[0].at[0], boards[1].at[1] - boards[0].at[1]);
      const changes = changesOf(plan, axis).map(({ s, strings }): Change => {
        const at: Point = [axis.from[0] + ux * s, axis.from[1] + uy * s];
        number++;
        return {
          name: String(number),
          at,
          from: [at[0] - uy * half, at[1] + ux * half],
          to: [at[0] + uy * half, at[1] - ux * half],
          along: s + boards[0].beyond,
          strings,
        };
      });
      const stops = [0, ...changes.map((change) => change.along), length];
      const longest = Math.max(...stops.slice(1).map((stop, i) => stop - stops[i]!));
      const sag = sagOf(longest, weight, tension);
      const span = spanFor(MOST_SAG, weight, tension);
      return {
        name: `S${index + 1}`,
        elements: axis.elements,
        boards,
        length,
        sag,
        changes,
        props: sag > MOST_SAG ? longest / Math.ceil(longest / span - 1e-9) : null,
      };
    },
  );
  const met = meetings(lines);
  const tiers = tiersFor(lines.length, met);
  const rails = lines.map((line, i) => railsOf(plan, line.elements, tiers[i]! * STRING_STEP));
  const levels = rails.map((own) => own[0]!.level);
  return {
    lines: lines.map(({ changes, ...line }, i): Line => {
      const railOf = ({ name, level }: StringLevel): Rail => ({
        string: name,
        level: level + tiers[i]! * STRING_STEP,
      });
      return {
        ...line,
        level: levels[i]!,
        rails: rails[i]!,
        steps: changes.map(({ strings, ...step }) => ({
          ...step,
          rails: [railOf(strings[0]), railOf(strings[1])] as const,
        })),
      };
    }),
    crossings: met.map(({ i, j, at }) => ({
      one: lines[i]!.name,
      other: lines[j]!.name,
      at,
      apart: Math.abs(levels[i]! - levels[j]!),
    })),
  };
}

/** A step of a string before its rails have their tier. */
interface Change extends Omit<StepBoard, 'rails'> {
  readonly strings: readonly [StringLevel, StringLevel];
}

/**
 * Where strings change along an axis, halfway between the elements that hang on them; none where elements
 * on different strings lie side by side: every string then runs the whole way.
 */
function changesOf(plan: Plan, axis: Axis): { s: number; strings: [StringLevel, StringLevel] }[] {
  const { from, ux, uy } = axis;
  const along = ([x, y]: Point) => (x - from[0]) * ux + (y - from[1]) * uy;
  const off = ([x, y]: Point) => Math.abs((x - from[0]) * uy - (y - from[1]) * ux);
  const spans = plan.elements
    .filter((element) => axis.elements.includes(element.id))
    .flatMap((element) =>
      shapeOf(element)
        .strung(element)
        .filter((side) => off(side.from) <= ON_LINE && off(side.to) <= ON_LINE)
        .map((side) => {
          const ends = [along(side.from), along(side.to)];
          return { string: stringFor(plan, element), s0: Math.min(...ends), s1: Math.max(...ends) };
        }),
    )
    .sort((p, q) => p.s0 - q.s0);
  const out: { s: number; strings: [StringLevel, StringLevel] }[] = [];
  for (let i = 1, reach = spans[0]?.s1 ?? 0; i < spans.length; i++) {
    const [before, next] = [spans[i - 1]!, spans[i]!];
    if (before.string.id !== next.string.id) {
      if (next.s0 < reach - ON_LINE) return [];
      out.push({ s: (reach + next.s0) / 2, strings: [before.string, next.string] });
    }
    reach = Math.max(reach, next.s1);
  }
  return out;
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
