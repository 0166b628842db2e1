/**
 * A hole through a night: rain on it, what runs in, what seeps in or away, what pumps and drains take, step
 * by step. What comes in less what goes out is what stands in it, exactly, whatever the step.
 *
 * Not covered: time the ground water itself takes to rise and fall, waves, ice.
 */
import { Along, brimful, type Storage } from './storage.ts';

export interface PumpAt {
  /** m³/s at a water level. */
  readonly flow: (level: number) => number;
  /** Levels its float starts and stops it at, m. */
  readonly start: number;
  readonly stop: number;
  /** Hours after the beginning it is there from and until. */
  readonly from: number;
  readonly until: number;
}

export interface Basin {
  readonly storage: Storage;
  /** m² rain falls into directly, and m² that drain in, each by the share that runs off. */
  readonly open: number;
  readonly runoff: number;
  /** m³/s that seep in at a level; less than nought seep away. */
  readonly seepage: (level: number) => number;
  /** m³/s a drain discharges at a level. */
  readonly outlet: (level: number) => number;
  readonly pumps: readonly PumpAt[];
  /** Lowest bottom, m: under it water moves in a sump alone, and is followed less closely. */
  readonly bottom?: number;
}

/** m³ over the whole night. */
export interface Budget {
  readonly rain: number;
  readonly runoff: number;
  readonly seeped: number;
  readonly soaked: number;
  readonly pumped: number;
  readonly drained: number;
  readonly spilt: number;
  /** Standing in it at first and at last. */
  readonly before: number;
  readonly after: number;
}

export interface Sample {
  /** Hours after the beginning. */
  readonly at: number;
  /** Water level, m; the lowest of the hole when it is dry. */
  readonly level: number;
  /** m³/s pumped. */
  readonly pumped: number;
}

export interface Course {
  readonly samples: readonly Sample[];
  /** Highest level, m, and when, h: of every step, not of the samples alone. */
  readonly peak: { readonly level: number; readonly at: number };
  readonly budget: Budget;
  /** Hours pumps ran, all together. */
  readonly pumpHours: number;
}

/** Longest step, and least, s; a step moves the level by no more than this, m. */
const LONGEST = 300;
const SHORTEST = 1;
const MOVE = 0.02;
/** In a sump between its floats, which are met to the second all the same. */
const MOVE_IN_SUMP = 0.1;

export interface Through {
  /** m of rain fallen since the beginning, at so many hours. */
  readonly rain: (hours: number) => number;
  /** Hours at which rain begins, ends or changes at once: no step goes over them, or it would miss a peak. */
  readonly turns?: readonly number[];
  /** Hours at which it begins; 0 when nobody says. Less than nought: before the hour all others are counted from. */
  readonly from?: number;
  /** Hours at which it ends. */
  readonly hours: number;
  /** m³ in it at first. */
  readonly before?: number;
  /** Hours between samples. */
  readonly every?: number;
  /** Longest step, s: for tests. */
  readonly longest?: number;
}

/** So many steps are taken at the least from one turn to the next. */
const LEAST_STEPS = 12;

/** Moments at which something changes, gone through once as time goes on. */
class Turns {
  readonly #edges: Float64Array;
  readonly #end: number;
  /** Of the first edge that is still to come, and of the first that is not reached yet. */
  #ahead = 0;
  #passed = 0;
  /** The next moment at which something changes, s. */
  next = -Infinity;
  /** The longest step until then, s: what is short is followed in short steps, as a shower has its peak in minutes. */
  finest = Infinity;

  /** @param edges s, in any order; @param end s: no step goes over it */
  constructor(edges: readonly number[], end: number) {
    this.#edges = Float64Array.from(edges).sort();
    this.#end = end;
  }

  /** Goes on to a moment, s: never before the last one. */
  goTo(now: number): void {
    const edges = this.#edges;
    while (this.#ahead < edges.length && edges[this.#ahead]! <= now + 1e-9) this.#ahead++;
    while (this.#passed < edges.length && edges[this.#passed]! <= now + 1e-6) this.#passed++;
    this.next = this.#ahead < edges.length ? Math.min(this.#end, edges[this.#ahead]!) : this.#end;
    this.finest = (this.next - (this.#passed > 0 ? edges[this.#passed - 1]! : -Infinity)) / LEAST_STEPS;
  }
}

/** Share of a step after which the first float is met, 1 when none is. @param rise of the level over the step, m */
function floatAhead(pumps: readonly PumpAt[], on: readonly boolean[], level: number, rise: number): number {
  let first = 1;
  for (let i = 0; i < pumps.length; i++) {
    const { start, stop } = pumps[i]!;
    const way = (on[i] ? stop : start) - level;
    // What it has met already it does not meet again.
    if (way !== 0 && way > 0 === rise > 0 && Math.abs(way) < Math.abs(rise))
      first = Math.min(first, way / rise);
  }
  return first;
}

/** What a basin does at every stage of its storage. */
interface Tables {
  readonly seeps: readonly number[];
  readonly outlets: readonly number[];
  /** By pump. */
  readonly flows: readonly (readonly number[])[];
}

const tabled = new WeakMap<Basin, Tables>();

/** Worked out at every stage, once a basin whatever rains on it: between stages it is as good as straight. */
function tablesOf(basin: Basin): Tables {
  const known = tabled.get(basin);
  if (known) return known;
  const { levels } = basin.storage;
  const made: Tables = {
    seeps: levels.map(basin.seepage),
    outlets: levels.map(basin.outlet),
    flows: basin.pumps.map(({ flow }) => levels.map(flow)),
  };
  tabled.set(basin, made);
  return made;
}

export function courseOf(basin: Basin, through: Through): Course {
  const { storage, open, runoff, pumps, bottom: lowest = -Infinity } = basin;
  const { rain, turns = [], from = 0, hours, before = 0, every = 1 / 6, longest = LONGEST } = through;
  const { levels } = storage;
  const { seeps, outlets, flows } = tablesOf(basin);
  const full = brimful(storage);
  const end = hours * 3600;
  const changes = new Turns(
    [...turns, ...pumps.flatMap(({ from, until }) => [from, until])].map((hour) => hour * 3600),
    end,
  );
  const on = pumps.map(() => false);
  const sums = { rain: 0, runoff: 0, seeped: 0, soaked: 0, pumped: 0, drained: 0, spilt: 0 };
  const samples: Sample[] = [];
  const stage = new Along(storage.volumes);
  const begin = from * 3600;
  let [now, volume, ran, nextSample, fell] = [begin, before, 0, begin, rain(from)];
  let level = stage.to(volume).read(levels);
  let peak = { level, at: from };
  while (now < end - 1e-6) {
    let pumped = 0;
    let running = 0;
    for (let i = 0; i < pumps.length; i++) {
      const pump = pumps[i]!;
      const there = now >= pump.from * 3600 - 1e-6 && now < pump.until * 3600 - 1e-6;
      if (!there || level <= pump.stop) on[i] = false;
      else if (level >= pump.start) on[i] = true;
      if (!on[i]) continue;
      pumped += stage.read(flows[i]!);
      running++;
    }
    if (now >= nextSample - 1e-6) {
      samples.push({ at: now / 3600, level, pumped });
      nextSample += every * 3600;
    }
    const seep = stage.read(seeps);
    const drained = stage.read(outlets);
    changes.goTo(now);
    let step = Math.min(longest, changes.finest, Math.max(1e-6, Math.min(changes.next, nextSample) - now));
    let upTo = rain((now + step) / 3600);
    // m³ for a metre of level here.
    const area = stage.slopeOver(levels);
    const room = (level < lowest - MOVE_IN_SUMP ? MOVE_IN_SUMP : MOVE) * area;
    if (room > 0) {
      // No farther than a hand's breadth, and no farther than the next float.
      const net = (seep - drained - pumped) * step + (upTo - fell) * (open + runoff);
      const share = Math.min(1, room / Math.abs(net || 1e-12), floatAhead(pumps, on, level, net / area));
      if (share < 1) {
        step = Math.max(Math.min(SHORTEST, step), step * share);
        upTo = rain((now + step) / 3600);
      }
    }
    const direct = (upTo - fell) * open;
    const drainsIn = (upTo - fell) * runoff;
    fell = upTo;
    const seeped = Math.max(0, seep) * step;
    const there = volume + direct + drainsIn + seeped;
    const soaked = Math.max(0, -seep) * step;
    const lifted = pumped * step;
    const drainedOff = drained * step;
    const wanted = soaked + lifted + drainedOff;
    // Nothing takes more than there is.
    const share = wanted > there && wanted > 0 ? there / wanted : 1;
    // Rounding may leave it a hair under nothing.
    const left = Math.max(0, there - wanted * share);
    const spilt = Math.max(0, left - full);
    volume = left - spilt;
    level = stage.to(volume).read(levels);
    if (level > peak.level) peak = { level, at: (now + step) / 3600 };
    sums.rain += direct;
    sums.runoff += drainsIn;
    sums.seeped += seeped;
    sums.soaked += soaked * share;
    sums.pumped += lifted * share;
    sums.drained += drainedOff * share;
    sums.spilt += spilt;
    ran += (running * step) / 3600;
    now += step;
  }
  samples.push({ at: hours, level, pumped: 0 });
  return { samples, peak, budget: { ...sums, before, after: volume }, pumpHours: ran };
}

/** When and how deep a bottom stood under water. */
export interface Wet {
  /** Highest level, m, and when, h. */
  readonly peak: number;
  readonly peakAt: number;
  /** First and last hour over the level; null when it never was. */
  readonly first: number | null;
  readonly last: number | null;
  readonly hours: number;
}

/** Less water than this over a bottom is a film, m. */
export const FILM = 0.005;

/** How wet it was over a level. */
export function wetOver({ samples, peak }: Pick<Course, 'samples' | 'peak'>, over: number): Wet {
  let hours = 0;
  let first: number | null = null;
  let last: number | null = null;
  samples.forEach(({ at, level }, i) => {
    if (level <= over + FILM) return;
    first ??= at;
    last = at;
    hours += (samples[i + 1]?.at ?? at) - at;
  });
  return { peak: peak.level, peakAt: peak.at, first, last, hours };
}

/** Level at an hour, straight between samples. */
export function levelAt(samples: readonly Sample[], at: number): number {
  const i = samples.findIndex((sample) => sample.at >= at);
  if (i < 0) return samples.at(-1)!.level;
  if (i === 0) return samples[0]!.level;
  const [p, q] = [samples[i - 1]!, samples[i]!];
  return q.at > p.at ? p.level + ((q.level - p.level) * (at - p.at)) / (q.at - p.at) : q.level;
}
