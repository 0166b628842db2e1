/**
 * The order of digging: which trench after which, from which end, so that the machine can always
 * drive off the job, never crosses what is open, and tracks and handles soil twice as little as
 * can be.
 *
 * Whether an order exists is decided exactly, backwards: with everything open, a trench can have
 * been the last when the machine could finish it standing where it gets out, and start it from
 * where it gets out with that trench still closed. What one can reach only grows as trenches are
 * closed again, so taking any such trench away never spoils another's turn; if at some point none
 * can go, none of those left can ever be dug last among them: no order exists.
 *
 * The best order: exact over all subsets (Held & Karp 1962) for up to MOST_EXACT trenches;
 * beyond, the backward greedy order improved by moving and reversing runs of it.
 */
import type { Polygon } from '../../geometry/index.ts';
import {
  blockedBy,
  reachable,
  rim,
  type Search,
  type SiteGrid,
  type Start,
  searchOf,
  siteGrid,
  spreadFrom,
} from './site-grid.ts';

type Point = readonly [number, number];

/** One trench, pad or pit as the machine meets it. */
export interface Trench {
  readonly id: string;
  readonly openings: readonly Polygon[];
  /** Ends of its axis; the same point twice for a pad. */
  readonly from: Point;
  readonly to: Point;
  /** Half its opening across the axis, m. */
  readonly half: number;
  /** Loose m³, and lay-down areas it can be put on without driving, by position. */
  readonly loose: number;
  readonly areas: readonly number[];
  /** Dug only once another is: a ramp after its pit. Null for none. */
  readonly after?: number | null;
  /** The machine backs out along it from `from` to `to`, and no other way. */
  readonly outwards?: boolean;
}

export interface OrderInput {
  readonly trenches: readonly Trench[];
  readonly machine: { readonly width: number; readonly reach: number };
  readonly boundary: readonly Point[];
  /** Where the machine leaves; none: anywhere off the job. */
  readonly exits: readonly Point[];
  /** Trenches each lay-down area lies over, by position. */
  readonly overlaps: readonly (readonly number[])[];
}

/** How a trench is dug: where the machine stands first and last. */
export interface Mode {
  /** Backing off along the axis, or standing beside it. */
  readonly how: 'astride' | 'beside';
  readonly start: Point;
  readonly finish: Point;
}

export interface OrderStep {
  readonly trench: number;
  readonly mode: Mode;
  /** m driven to its start. */
  readonly track: number;
  /** Lay-down area it goes on; null when none is in reach. */
  readonly area: number | null;
  /** Loose m³ of it that will be handled twice. */
  readonly rehandled: number;
}

export type OrderClash =
  | { readonly code: 'trapped'; readonly trench: number }
  /** Comes before what it may only come after. */
  | { readonly code: 'early'; readonly trench: number; readonly by: number }
  /** Cannot be got to, for the trench named lies open between. */
  | { readonly code: 'blocked'; readonly trench: number; readonly by: number | null };

export type Ordered =
  | {
      readonly ok: true;
      readonly steps: readonly OrderStep[];
      readonly cost: number;
      readonly track: number;
      readonly rehandled: number;
      /** Every order was weighed. */
      readonly exact: boolean;
    }
  | {
      readonly ok: false;
      /** Trenches none of which can be the last, and those that alone stand in the way. */
      readonly stuck: readonly number[];
      readonly blocking: readonly number[];
    };

export const MOST_EXACT = 12;
/** Driving worth the same as a loose m³ handled twice, m. */
const REHANDLE_WEIGHT = 4;
/** Between the slew centre and the edge of what it has dug, over half its width, m. */
const STAND_OFF = 0.6;

interface Site {
  readonly input: OrderInput;
  readonly grid: SiteGrid;
  readonly modes: readonly (readonly Mode[])[];
  readonly exits: readonly number[];
  readonly search: Search;
}

/** Ways to dig one trench. */
function modesOf(trench: Trench, machine: OrderInput['machine']): Mode[] {
  const { from, to, half } = trench;
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [ux, uy] = length > 1e-6 ? [(to[0] - from[0]) / length, (to[1] - from[1]) / length] : [1, 0];
  const [vx, vy] = [-uy, ux];
  const off = half + machine.width / 2 + STAND_OFF;
  const at = (s: number, across: number): Point => [
    from[0] + ux * s + vx * across,
    from[1] + uy * s + vy * across,
  ];
  const past = machine.width / 2 + STAND_OFF + half;
  const out: Mode[] = [];
  // Backing off along its line it starts over ground still whole, a reach from the far end.
  const back = Math.min(length, machine.reach * 0.7);
  // Out of a pit it stands where the ramp comes up, and goes on backing away.
  if (trench.outwards) return [{ how: 'astride', start: at(length, 0), finish: at(length + past, 0) }];
  out.push({ how: 'astride', start: at(back, 0), finish: at(length + past, 0) });
  out.push({ how: 'astride', start: at(length - back, 0), finish: at(-past, 0) });
  if (off <= machine.reach)
    for (const side of [1, -1]) {
      out.push({ how: 'beside', start: at(0, side * off), finish: at(length, side * off) });
      out.push({ how: 'beside', start: at(length, side * off), finish: at(0, side * off) });
    }
  return out;
}

function siteOf(input: OrderInput): Site {
  const grid = siteGrid(
    input.trenches.map((trench) => trench.openings),
    input.machine.width / 2,
    input.boundary,
    input.exits,
    // Room to drive round the outermost trench.
    2 * input.machine.width + 2 * STAND_OFF + 1,
  );
  return {
    input,
    grid,
    modes: input.trenches.map((trench) => modesOf(trench, input.machine)),
    exits: input.exits.length > 0 ? input.exits.map((at) => grid.cell(at)) : rim(grid),
    search: searchOf(grid),
  };
}

const atTheExits = ({ exits }: Site): Start[] => exits.map((cell) => ({ cell, far: 0 }));

/** Where the machine stands after each of some ways, and what they have cost; before any, at the exits. */
function standing(site: Site, states: readonly Walked[]): { starts: Start[]; states: readonly Walked[] } {
  const [first] = states;
  if (first?.mode === null) {
    const starts = atTheExits(site);
    return { starts, states: starts.map(() => first) };
  }
  return {
    states,
    starts: states.map(({ mode, cost }) => ({ cell: site.grid.cell(mode!.finish), far: cost })),
  };
}

/** Where the machine gets out from while these are open: distance to the way out, by cell. */
const wayOut = (site: Site, open: Iterable<number>): Float64Array =>
  spreadFrom(site.grid, blockedBy(site.grid, open), atTheExits(site), site.search);

/** Where one gets out from while these are open: 1 for each such cell. */
const getsOut = (site: Site, open: Iterable<number>): Uint8Array =>
  reachable(blockedBy(site.grid, open), site.exits, site.search);

/** Modes of a trench that leave the machine where it gets out, once these are open. */
const finishing = (site: Site, open: Iterable<number>, trench: number): Mode[] =>
  endingIn(site, getsOut(site, open), trench);

/** Modes of a trench that end on one of some cells. */
const endingIn = (site: Site, cells: Uint8Array, trench: number): Mode[] =>
  site.modes[trench]!.filter((mode) => cells[site.grid.cell(mode.finish)]);

/** Modes by which a trench can be dug last among `open` (which holds it). */
function lastModes(site: Site, open: readonly number[], trench: number): Mode[] {
  // What may only come after it is still open.
  if (open.some((other) => site.input.trenches[other]!.after === trench)) return [];
  const modes = finishing(site, open, trench);
  if (modes.length === 0) return [];
  const before = getsOut(
    site,
    open.filter((other) => other !== trench),
  );
  return modes.filter((mode) => before[site.grid.cell(mode.start)]);
}

/**
 * Takes trenches away from the last; what is left when none can go, and the order so far. Of those
 * that can go the one nearest to where the machine stands goes first, so that it ends up working
 * from the far end towards the way out.
 */
function peel(site: Site, all: readonly number[]): { order: number[]; stuck: number[] } {
  let open = [...all];
  const order: number[] = [];
  let [x, y] = site.input.exits[0] ?? [Number.NaN, Number.NaN];
  while (open.length > 0) {
    const near = (trench: number): number => {
      const { from, to } = site.input.trenches[trench]!;
      const away = Math.hypot((from[0] + to[0]) / 2 - x, (from[1] + to[1]) / 2 - y);
      return Number.isNaN(away) ? 0 : away;
    };
    const byNearness = [...open].sort((p, q) => near(p) - near(q));
    const next = byNearness.find((trench) => lastModes(site, open, trench).length > 0);
    if (next === undefined) return { order, stuck: open };
    const { from, to } = site.input.trenches[next]!;
    [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
    order.unshift(next);
    open = open.filter((other) => other !== next);
  }
  return { order, stuck: [] };
}

const all = (input: OrderInput) => input.trenches.map((_, i) => i);

/** Which area a trench goes on, and what of it is handled twice, while some are still to be dug. */
function spoilOf(site: Site, trench: number, closed: (other: number) => boolean) {
  const { areas, loose } = site.input.trenches[trench]!;
  // One clear of everything still to dig first; else the first in reach, moved again later.
  const clear = areas.find((area) => !site.input.overlaps[area]!.some((other) => closed(other)));
  if (clear !== undefined) return { area: clear, rehandled: 0 };
  const [first] = areas;
  return first === undefined ? { area: null, rehandled: 0 } : { area: first, rehandled: loose };
}

/** Whether a trench would be dug before what it may only come after. */
function tooEarly(site: Site, trench: number, open: readonly number[]): boolean {
  const after = site.input.trenches[trench]!.after ?? null;
  return after !== null && !open.includes(after);
}

/** A way to have dug a run of trenches: the mode it ended in and what it cost. */
interface Walked {
  readonly mode: Mode | null;
  readonly cost: number;
  readonly step: OrderStep | null;
  readonly from: Walked | null;
}
const START: readonly Walked[] = [{ mode: null, cost: 0, step: null, from: null }];

/**
 * Cheapest way through a fixed order of trenches: modes chosen by a pass over them.
 * @param known states after each of the first trenches, when they were walked before; grows
 * @param beam most states kept after each trench; all of them makes the pass exact
 * @param limit dearer than this is not worth finishing
 */
function walk(
  site: Site,
  order: readonly number[],
  known: (readonly Walked[])[] = [],
  beam = Infinity,
  limit = Infinity,
): Extract<Ordered, { ok: true }> | null {
  const { grid } = site;
  let states = known.at(-1) ?? START;
  const open = order.slice(0, known.length);
  for (const trench of order.slice(known.length)) {
    if (tooEarly(site, trench, open)) return null;
    const before = blockedBy(grid, open);
    const usable = finishing(site, [...open, trench], trench);
    const targets = usable.map((mode) => grid.cell(mode.start));
    const undug = new Set(order.slice(open.length + 1));
    const spoil = spoilOf(site, trench, (other) => undug.has(other));
    const from = standing(site, states);
    const reach = spreadFrom(grid, before, from.starts, site.search, targets);
    const next = usable.flatMap((mode, i): Walked[] => {
      const far = reach[targets[i]!]!;
      if (!Number.isFinite(far)) return [];
      const state = from.states[site.search.origin[targets[i]!]!]!;
      const step = { trench, mode, track: far - state.cost, ...spoil };
      return [{ mode, cost: far + spoil.rehandled * REHANDLE_WEIGHT, step, from: state }];
    });
    if (next.length === 0) return null;
    states = next.length > beam ? next.sort((p, q) => p.cost - q.cost).slice(0, beam) : next;
    if (Math.min(...states.map((state) => state.cost)) >= limit) return null;
    known.push(states);
    open.push(trench);
  }
  const out = wayOut(site, open);
  let best: Walked | null = null;
  let cost = Infinity;
  for (const state of states) {
    const whole = state.cost + (state.mode ? out[grid.cell(state.mode.finish)]! : 0);
    if (whole < cost) [best, cost] = [state, whole];
  }
  return best && Number.isFinite(cost) ? resultOf(stepsOf(best), cost, false) : null;
}

/** The steps that led to a state, first to last. */
function stepsOf(state: Walked): OrderStep[] {
  const steps: OrderStep[] = [];
  for (let now: Walked | null = state; now; now = now.from) if (now.step) steps.unshift(now.step);
  return steps;
}

const resultOf = (
  steps: readonly OrderStep[],
  cost: number,
  exact: boolean,
): Extract<Ordered, { ok: true }> => {
  const rehandled = steps.reduce((sum, step) => sum + step.rehandled, 0);
  return { ok: true, steps, cost, rehandled, track: cost - rehandled * REHANDLE_WEIGHT, exact };
};

/** Every order weighed: the best way to have dug each set, by the mode it ended in. */
function exactOrder(site: Site): Extract<Ordered, { ok: true }> | null {
  const { grid, input } = site;
  const n = input.trenches.length;
  const best = new Map<number, Map<Mode | null, Walked>>([[0, new Map([[null, START[0]!]])]]);
  const members = (set: number) => all(input).filter((i) => set & (1 << i));
  // Every set is come to from each of its trenches: where one then gets out is found once.
  const outOf = new Map<number, Uint8Array>();
  const getsOutWith = (set: number): Uint8Array => {
    let cells = outOf.get(set);
    if (!cells) {
      cells = getsOut(site, members(set)).slice();
      outOf.set(set, cells);
    }
    return cells;
  };
  for (let set = 0; set < (1 << n) - 1; set++) {
    // Asked only on the way to it.
    outOf.delete(set);
    const states = best.get(set);
    if (!states) continue;
    const before = blockedBy(grid, members(set));
    const usable: { trench: number; mode: Mode; into: number }[] = [];
    for (let trench = 0; trench < n; trench++) {
      if (set & (1 << trench)) continue;
      const { after } = input.trenches[trench]!;
      if (after != null && !(set & (1 << after))) continue;
      const into = set | (1 << trench);
      for (const mode of endingIn(site, getsOutWith(into), trench)) usable.push({ trench, mode, into });
    }
    // Every way to have dug the set sets out at once: each trench is come to from whichever is cheapest.
    const from = standing(site, [...states.values()]);
    const targets = usable.map(({ mode }) => grid.cell(mode.start));
    const reach = spreadFrom(grid, before, from.starts, site.search, targets);
    usable.forEach(({ trench, mode, into }, i) => {
      const far = reach[targets[i]!]!;
      if (!Number.isFinite(far)) return;
      const state = from.states[site.search.origin[targets[i]!]!]!;
      const spoil = spoilOf(site, trench, (other) => other !== trench && !(set & (1 << other)));
      const cost = far + spoil.rehandled * REHANDLE_WEIGHT;
      const there = best.get(into) ?? new Map<Mode | null, Walked>();
      best.set(into, there);
      const known = there.get(mode);
      if (known && cost >= known.cost - 1e-12) return;
      const step = { trench, mode, track: far - state.cost, ...spoil };
      there.set(mode, { cost, mode, step, from: state });
    });
    // What led here has done its work.
    best.delete(set);
  }
  const ended = best.get((1 << n) - 1);
  if (!ended) return null;
  const out = wayOut(site, all(input));
  let winner: Walked | null = null;
  let least = Infinity;
  for (const state of ended.values()) {
    const cost = state.cost + out[grid.cell(state.mode!.finish)]!;
    if (cost < least) [winner, least] = [state, cost];
  }
  return winner ? resultOf(stepsOf(winner), least, true) : null;
}

/** Orders walked in full before the search stops looking for better. */
const MOST_TRIES = 2000;
/** States kept after each trench while searching. */
const BEAM = 2;
/** Longest run of trenches moved at once. */
const MOST_MOVED = 3;

/**
 * How long an order is by straight lines from trench to trench, in and out: what a walk can hardly be shorter than.
 * Ways between two are measured once: a search asks for them a hundred thousand times.
 */
function asTheCrowFlies({ input: { trenches, exits } }: Site): (order: readonly number[]) => number {
  const middles = trenches.map(({ from, to }): Point => [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]);
  const between = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]);
  const ways = middles.map((p) => middles.map((q) => between(p, q)));
  const doors = middles.map((p) =>
    exits.length === 0 ? 0 : Math.min(...exits.map((exit) => between(p, exit))),
  );
  return (order) => {
    let sum = doors[order.at(-1)!]! + doors[order[0]!]!;
    for (let i = 1; i < order.length; i++) sum += ways[order[i - 1]!]![order[i]!]!;
    return sum;
  };
}

/** Orders a step away: a run of a few trenches put elsewhere, or a stretch gone through backwards. */
function* neighbours(order: readonly number[]): Generator<number[]> {
  const n = order.length;
  for (let i = 0; i < n; i++) {
    for (let length = 1; length <= MOST_MOVED && i + length <= n; length++) {
      const run = order.slice(i, i + length);
      const rest = [...order.slice(0, i), ...order.slice(i + length)];
      for (let j = 0; j <= rest.length; j++)
        if (j !== i) yield [...rest.slice(0, j), ...run, ...rest.slice(j)];
    }
    for (let j = i + 2; j < n; j++)
      yield [...order.slice(0, i), ...order.slice(i, j + 1).reverse(), ...order.slice(j + 1)];
  }
}

/**
 * Improves an order step by step. Only orders that are shorter as the crow flies, or put less
 * spoil in the way, are walked in full.
 */
function improved(
  site: Site,
  order: readonly number[],
  tries: number,
  budget: () => boolean,
): Extract<Ordered, { ok: true }> | null {
  let now = [...order];
  let known: (readonly Walked[])[] = [];
  let cost = walk(site, now, known, BEAM)?.cost ?? Infinity;
  const straightOf = asTheCrowFlies(site);
  let crow = straightOf(now);
  let left = tries;
  const spoils = site.input.overlaps.some((list) => list.length > 0);
  for (let better = true; better; ) {
    better = false;
    for (const tried of neighbours(now)) {
      const straight = straightOf(tried);
      if (straight >= crow - 1e-6 && !(spoils && straight < crow * 1.05)) continue;
      if (left-- <= 0 || !budget()) return walk(site, now);
      // What comes before the first difference was walked already.
      const same = tried.findIndex((trench, i) => trench !== now[i]);
      const states = known.slice(0, same);
      const made = walk(site, tried, states, BEAM, cost);
      if (!made || made.cost >= cost - 1e-9) continue;
      [now, known, cost, crow, better] = [tried, states, made.cost, straight, true];
      break;
    }
  }
  return walk(site, now);
}

/**
 * The best order there is, or proof that there is none.
 * @param budget asked now and then by the search beyond MOST_EXACT trenches; false ends it
 */
export function orderTrenches(
  input: OrderInput,
  budget: () => boolean = () => true,
  tries = MOST_TRIES,
): Ordered {
  if (input.trenches.length === 0)
    return { ok: true, steps: [], cost: 0, track: 0, rehandled: 0, exact: true };
  const site = siteOf(input);
  const { order, stuck } = peel(site, all(input));
  if (stuck.length > 0) {
    // A trench whose absence lets all others be dug stands in the way by itself.
    const blocking = stuck.filter(
      (trench) =>
        peel(
          site,
          all(input).filter((other) => other !== trench),
        ).stuck.length === 0,
    );
    return { ok: false, stuck, blocking };
  }
  const found = input.trenches.length <= MOST_EXACT ? exactOrder(site) : improved(site, order, tries, budget);
  // Peeling found a way, so one exists; its own order is what is left to say.
  return found ?? { ok: false, stuck: all(input), blocking: [] };
}

/**
 * What is wrong with an order a person made, at its first wrong step; its steps when nothing is.
 */
export function checkOrder(
  input: OrderInput,
  order: readonly number[],
): {
  readonly steps: readonly OrderStep[];
  readonly cost: number | null;
  readonly clashes: readonly OrderClash[];
} {
  const site = siteOf(input);
  const walked = walk(site, order);
  if (walked) return { steps: walked.steps, cost: walked.cost, clashes: [] };
  const clashes: OrderClash[] = [];
  const open: number[] = [];
  for (const trench of order) {
    if (tooEarly(site, trench, open)) {
      clashes.push({ code: 'early', trench, by: input.trenches[trench]!.after! });
      continue;
    }
    const now = [...open, trench];
    if (lastModes(site, now, trench).length === 0) {
      const after = wayOut(site, now);
      const finishes = site.modes[trench]!.some((mode) =>
        Number.isFinite(after[site.grid.cell(mode.finish)]!),
      );
      const by =
        open.find(
          (other) =>
            lastModes(
              site,
              now.filter((t) => t !== other),
              trench,
            ).length > 0,
        ) ?? null;
      clashes.push(finishes || by !== null ? { code: 'blocked', trench, by } : { code: 'trapped', trench });
      // Left out, so that what comes after is judged by itself.
      continue;
    }
    open.push(trench);
  }
  return { steps: [], cost: null, clashes };
}
