/**
 * Stepped strips: where the bottom goes down or up in steps so that it is everywhere as deep as
 * the rules ask and nowhere much deeper.
 *
 * Step height ≤ the footing's thickness (or the engineer's figure), whole courses where the wall
 * is coursed; lap ≥ the larger of 2 × step height, the thickness and 0.3 m; no tread shorter than
 * twice the lap unless typed. A corner may fall on any tread.
 */
import { boxOf, clipLine, edges, type Linear, type Polygon } from '../geometry/index.ts';
import type { Frost } from '../ground/design-frost.ts';
import { placesOn } from '../ground/places.ts';
import type { GroundModel } from '../ground/strata.ts';
import type { RunElement } from '../plan/forms.ts';
import type { Plan } from '../plan/schema.ts';
import { floorOf } from '../plan/strings.ts';
import { segmentsOf } from '../setout/index.ts';
import { type Candidate, candidatesAt, courseLevel, type DepthRule, instructionFor } from './depth.ts';
import { floorStacks } from './floors.ts';

/** One level part of a stepped strip; s in m along its own run, from 0 to the run's length. */
export interface Stretch {
  readonly run: number;
  readonly s0: number;
  readonly s1: number;
  readonly underside: number;
  /** Level of the next stretch's underside past s1 in the same run; null at the run's end. */
  readonly nextUnderside: number | null;
}

/** What is asked for along the axis, for the long section. */
export interface Need {
  /** m along the whole axis. */
  readonly s: number;
  readonly ground: number;
  readonly level: number;
  readonly rule: DepthRule;
}

export interface Stepped {
  readonly stretches: readonly Stretch[];
  readonly height: number;
  readonly lap: number;
  readonly tread: number;
  readonly along: readonly Need[];
  /** Lowest and highest underside. */
  readonly low: number;
  readonly high: number;
  readonly count: number;
}

/** Distance between places read along the axis, m; longer strips are read more coarsely. */
const STEP = 0.05;
const MOST_PLACES = 1500;
/** Farther across than any footing, m. */
const WIDEST = [-1000, 1000] as const;
/** Half-planes moved out by a hair: a line along an edge is inside, however rounding has it. */
const slack = (walls: readonly Linear[]): Linear[] => walls.map((wall) => ({ ...wall, c: wall.c - 1e-9 }));
/** Across the footing the ground is read this close where strata vary, m. */
const ACROSS = 0.25;
/** Least lap of a step, m. */
export const LEAST_LAP = 0.3;

/** The larger of twice the step, the footing's thickness and 0.3 m. */
export const leastLap = (height: number, thickness: number): number =>
  Math.max(2 * height, thickness, LEAST_LAP);

/** Lap and step height by rule: lap the larger of 2 × step, thickness and 0.3 m. */
export function stepRule(
  plan: Plan,
  strip: RunElement,
  module: number | null,
): { height: number; lap: number; tread: number } {
  const { steps } = plan.levels;
  const most = steps.height ?? strip.thickness;
  const height = module !== null && module <= most ? Math.floor(most / module + 1e-9) * module : most;
  const lap = steps.lap ?? leastLap(height, strip.thickness);
  return { height, lap, tread: steps.tread ?? 2 * lap };
}

/**
 * What the rules ask along an axis: the lowest candidate over all the footing's plan at each place.
 * The plan runs on past the ends of the axis to the far side of what it meets; what lies there
 * asks at the end.
 * @param pieces of the footing in plan, one a run
 */
function needsAlong(
  plan: Plan,
  model: GroundModel,
  frost: Frost,
  strip: RunElement,
  pieces: readonly Polygon[],
): Need[] {
  const runs = segmentsOf(strip);
  const total = runs.reduce((sum, run) => sum + run.length, 0);
  const spacing = Math.max(STEP, total / MOST_PLACES);
  const stack = floorStacks(plan).find((s) => s.floor.id === floorOf(plan, strip)?.id) ?? null;
  const out: Need[] = [];
  let before = 0;
  runs.forEach((run, r) => {
    const count = Math.max(1, Math.round(run.length / spacing));
    const step = run.length / count;
    /** Places of the plan by the place along the axis they are asked for at. */
    const asked: [number, number][][] = Array.from({ length: count + 1 }, () => []);
    const ask = (x: number, y: number) => {
      const s = (x - run.from[0]) * run.ux + (y - run.from[1]) * run.uy;
      const place = Math.min(count, Math.max(0, s / step));
      const nearest = Math.round(place);
      if (Math.abs(place - nearest) < 1e-6) asked[nearest]!.push([x, y]);
      // Between two places it is asked for at both: either may be the end of a tread.
      else for (const i of [Math.floor(place), Math.ceil(place)]) asked[i]!.push([x, y]);
    };
    const piece = pieces[r] ?? [];
    for (const [x, y] of placesOn(model, [piece])) ask(x, y);
    const walls = slack(edges(piece));
    const along = piece.map((_, i) =>
      i % 2 === 0 ? (piece[i]! - run.from[0]) * run.ux + (piece[i + 1]! - run.from[1]) * run.uy : 0,
    );
    const first = Math.floor(Math.min(0, ...along) / step + 1e-6);
    const last = Math.ceil(Math.max(run.length, ...along) / step - 1e-6);
    for (let i = first; i <= last; i++) {
      const [x, y] = [run.from[0] + i * step * run.ux, run.from[1] + i * step * run.uy];
      const across = clipLine(x, y, -run.uy, run.ux, WIDEST, walls);
      if (!across) continue;
      const [from, to] = across;
      const put = (d: number) => ask(x - d * run.uy, y + d * run.ux);
      const reads = model.varies ? Math.ceil((to - from) / ACROSS) : 1;
      for (let k = 0; k <= reads; k++) put(from + ((to - from) * k) / reads);
      if (!model.surface.hull) continue;
      // Where the line crosses from one piece of the ground to the next.
      const ends = [x - from * run.uy, y + from * run.ux, x - to * run.uy, y + to * run.ux];
      for (const patch of model.surface.patches(boxOf(ends))) {
        const within = clipLine(x, y, -run.uy, run.ux, across, slack(patch.walls));
        for (const d of within ?? []) if (d > from && d < to) put(d);
      }
    }
    asked.forEach((places, i) => {
      const s = i * step;
      const [x, y] = [run.from[0] + s * run.ux, run.from[1] + s * run.uy];
      const lowest = candidatesAt(
        plan,
        model,
        frost,
        stack,
        strip.thickness,
        places.length > 0 ? places : [[x, y]],
      ).reduce<Candidate | null>(
        (best, next) => (best === null || next.level < best.level ? next : best),
        null,
      );
      if (lowest) out.push({ s: before + s, ground: model.level(x, y), ...lowest });
    });
    before += run.length;
  });
  return out;
}

/** Least (or largest) of the values within a window either side, by position; wraps when closed. */
function windowed(
  values: readonly number[],
  s: readonly number[],
  reach: number,
  pick: (p: number, q: number) => number,
  around: number | null,
): number[] {
  const n = values.length;
  return values.map((value, i) => {
    let best = value;
    for (const step of [1, -1])
      for (let j = i + step; ; j += step) {
        const inside = j >= 0 && j < n;
        if (!inside && around === null) break;
        const k = ((j % n) + n) % n;
        const turns = around === null ? 0 : Math.floor(j / n) * around;
        if (Math.abs(s[k]! + turns - s[i]!) > reach + 1e-9 || Math.abs(j - i) >= n) break;
        best = pick(best, values[k]!);
      }
    return best;
  });
}

/**
 * Steps of a strip.
 * @param pieces of its footing in plan, one a run
 * @returns null when nothing decides a depth, or an engineer has given one level for it
 */
export function stepsOf(
  plan: Plan,
  model: GroundModel,
  frost: Frost,
  strip: RunElement,
  pieces: readonly Polygon[],
): Stepped | null {
  if (instructionFor(plan, strip)) return null;
  const along = needsAlong(plan, model, frost, strip, pieces);
  if (along.length === 0) return null;
  const stack = floorStacks(plan).find((s) => s.floor.id === floorOf(plan, strip)?.id) ?? null;
  const coursed = stack?.courses && stack.floor.landing === 'deepen' ? stack.courses.module : null;
  const { height, lap, tread } = stepRule(plan, strip, coursed);
  const s = along.map((need) => need.s);
  const total = s[s.length - 1]!;
  const around = strip.closed ? total : null;
  const needed = Math.min(...along.map((need) => need.level));
  const low = courseLevel(stack, strip.thickness, needed) ?? needed;
  // How many steps above the lowest each place may stand, then only as fast as the treads allow.
  const allowed = along.map((need) => Math.floor((need.level - low) / height + 1e-9));
  // A high tread shorter than the rule's is taken down to its neighbours, a low one drawn out.
  const settled = (values: readonly number[]) => {
    const low = windowed(limited(values, s, tread, around), s, tread / 2, Math.min, around);
    return windowed(low, s, tread / 2, Math.max, around);
  };
  const once = settled(allowed);
  const steps = around === null ? settled(drawnOut(once, s, tread)) : once;

  const stretches: Stretch[] = [];
  const runs = segmentsOf(strip);
  let before = 0;
  let i = 0;
  runs.forEach((run, r) => {
    const own: { s0: number; steps: number }[] = [];
    for (; i < along.length && s[i]! <= before + run.length + 1e-9; i++) {
      const here = s[i]! - before;
      const last = own[own.length - 1];
      if (!last) own.push({ s0: 0, steps: steps[i]! });
      // The lower of two places holds the ground between them.
      else if (last.steps !== steps[i]!)
        own.push({ s0: steps[i]! > last.steps ? here : s[i - 1]! - before, steps: steps[i]! });
      if (here >= run.length - 1e-9) {
        i++;
        break;
      }
    }
    own.forEach(({ s0, steps: n }, k) => {
      const after = own[k + 1];
      stretches.push({
        run: r,
        s0,
        s1: after?.s0 ?? run.length,
        underside: low + n * height,
        nextUnderside: after ? low + after.steps * height : null,
      });
    });
    before += run.length;
  });
  const levels = stretches.map((stretch) => stretch.underside);
  const high = Math.max(...levels);
  return {
    stretches,
    height,
    lap,
    tread,
    along,
    low: Math.min(...levels),
    high,
    count: stretches.filter((stretch) => stretch.nextUnderside !== null).length,
  };
}

/** Draws low treads shorter than the rule's out to its length, into the higher ground beside them. */
function drawnOut(steps: readonly number[], s: readonly number[], tread: number): number[] {
  const out = [...steps];
  const end = steps.length - 1;
  for (let i = 0; i <= end; ) {
    let j = i;
    while (j < end && steps[j + 1] === steps[i]) j++;
    const own = steps[i]!;
    const higherBefore = i > 0 && steps[i - 1]! > own;
    const higherAfter = j < end && steps[j + 1]! > own;
    const short = tread - (s[j]! - s[i]!);
    const low = (i === 0 || higherBefore) && (j === end || higherAfter);
    if (low && short > 0 && (higherBefore || higherAfter)) {
      const share = higherBefore && higherAfter ? short / 2 : short;
      const from = higherBefore ? s[i]! - share : s[i]!;
      const to = higherAfter ? s[j]! + share : s[j]!;
      s.forEach((at, k) => {
        if (at >= from - 1e-9 && at <= to + 1e-9) out[k] = Math.min(out[k]!, own);
      });
    }
    i = j + 1;
  }
  return out;
}

/** n(s) = min over s′ of allowed(s′) + ⌈|s − s′|/tread⌉: one step up a tread, two passes. */
function limited(
  allowed: readonly number[],
  s: readonly number[],
  tread: number,
  around: number | null,
): number[] {
  return allowed.map((own, i) => {
    let best = own;
    allowed.forEach((other, j) => {
      if (other >= best) return;
      const straight = Math.abs(s[j]! - s[i]!);
      const apart = around === null ? straight : Math.min(straight, around - straight);
      best = Math.min(best, other + Math.ceil(apart / tread - 1e-9));
    });
    return best;
  });
}
