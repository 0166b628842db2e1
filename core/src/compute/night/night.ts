/**
 * A night of rain over the whole dig, hole by hole: what comes in, what stands, what is dry by when. It
 * begins with the rain, every hole dry.
 */
import type { Plan } from '../../plan/schema.ts';
import { hoursBetween, momentOf } from '../../time/index.ts';
import {
  type Course,
  courseOf,
  FILM,
  fallen,
  levelAt,
  showerOf,
  stormHours,
  type Through,
  type Wet,
  wetOver,
} from '../../water/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type Ground, type HoleSaid, holeAt, nightGround, readied, seepageOf } from './basin.ts';

/** Watched for so long after the rain, and after it must be dry; and at most, h. */
const AFTER_RAIN = 6;
const AFTER_DRY = 2;
const LONGEST = 96;

export interface DryBy {
  /** Hours after the rain begins. */
  readonly at: number;
  readonly level: number;
  readonly dry: boolean;
  /** Dry: hours since it last was wet, or since the beginning. Wet: metres of water. */
  readonly margin: number;
}

export interface NightHole extends HoleSaid {
  readonly course: Course;
  readonly wet: Wet;
  /** At the time it must be dry; with the low and the high figure of the ground's permeability. */
  readonly dryBy: DryBy | null;
  readonly dryLow: boolean | null;
  readonly dryHigh: boolean | null;
}

export interface Night {
  /** Local time the rain begins; hours watched. */
  readonly start: string;
  readonly hours: number;
  /** m of rain of every hour. */
  readonly rain: readonly number[];
  readonly holes: readonly NightHole[];
}

export type NightFault = 'noStorm' | 'noSuchHour' | 'dryBefore' | 'nothingDug';
export type NightAnswer =
  | { readonly ok: true; readonly night: Night }
  | { readonly ok: false; readonly fault: NightFault };

/** Dry at an hour, and by how much. */
export function dryAt(course: Course, surface: number, at: number): DryBy {
  const level = levelAt(course.samples, at);
  const dry = level <= surface + FILM;
  const wet = course.samples.filter((sample) => sample.at <= at && sample.level > surface + FILM).at(-1);
  return { at, level, dry, margin: dry ? at - (wet?.at ?? 0) : level - surface };
}

interface Watched {
  readonly storm: NonNullable<Plan['water']['storm']>;
  readonly hours: number;
  readonly dryBy: number | null;
}

/** The storm, and when a night is watched until, h after the rain begins; or what is wrong with its times. */
function watched({ water }: Plan): Watched | NightFault {
  const { storm, dryBy, zone } = water;
  if (!storm || stormHours(storm) <= 0) return 'noStorm';
  if (momentOf(storm.start, zone) === null) return 'noSuchHour';
  const by = dryBy === null ? null : hoursBetween(storm.start, dryBy, zone);
  if (dryBy !== null && by === null) return 'noSuchHour';
  if (by !== null && by < 0) return 'dryBefore';
  const most = Math.max(stormHours(storm) + AFTER_RAIN, (by ?? 0) + AFTER_DRY);
  return { storm, hours: Math.min(LONGEST, most), dryBy: by === null ? null : Math.min(LONGEST, by) };
}

/** The night in one hole. @param at its position */
function nightIn(ground: Ground, at: number, { storm, hours, dryBy }: Watched): NightHole {
  const dug = ground.holes[at]!;
  const { basin, hole } = readied(ground, at);
  const through: Through = { ...showerOf(storm), hours };
  const course = courseOf(basin, through);
  const dry = (k: 0 | 2) => {
    if (dryBy === null) return null;
    const other =
      dug.reach.water === null
        ? course
        : courseOf({ ...basin, seepage: seepageOf(dug, k) }, { ...through, hours: dryBy });
    return dryAt(other, hole.surface, dryBy).dry;
  };
  return {
    ...hole,
    course,
    wet: wetOver(course, hole.surface),
    dryBy: dryBy === null ? null : dryAt(course, hole.surface, dryBy),
    dryLow: dry(0),
    dryHigh: dry(2),
  };
}

/** The night a plan expects in the hole of one element; null where there is none. @param ground but for the plan's water */
export function nightAt(plan: Plan, ground: Ground, element: string): NightHole | null {
  const times = watched(plan);
  const at = holeAt(ground, element);
  return typeof times === 'string' || at < 0 ? null : nightIn({ ...ground, plan }, at, times);
}

/** How wet a hole is under a storm and after it, so many hours in all; null where there is none. @param ground but for the plan's water */
export function wetUnder(
  ground: Ground,
  element: string,
  storm: NonNullable<Plan['water']['storm']>,
  hours: number,
): (HoleSaid & { readonly wet: Wet; readonly dry: boolean }) | null {
  const at = holeAt(ground, element);
  if (at < 0) return null;
  const plan = { ...ground.plan, water: { ...ground.plan.water, storm } };
  const { basin, hole } = readied({ ...ground, plan }, at);
  const course = courseOf(basin, { ...showerOf(storm), hours });
  return { ...hole, wet: wetOver(course, hole.surface), dry: dryAt(course, hole.surface, hours).dry };
}

/** The night a plan expects. */
export function nightOf(plan: Plan, takeoff: Takeoff): NightAnswer {
  const times = watched(plan);
  if (typeof times === 'string') return { ok: false, fault: times };
  const ground = nightGround(plan, takeoff);
  if (ground.holes.length === 0) return { ok: false, fault: 'nothingDug' };
  const { storm, hours } = times;
  const whole = Math.ceil(stormHours(storm));
  return {
    ok: true,
    night: {
      start: storm.start,
      hours,
      rain: Array.from({ length: whole }, (_, i) => fallen(storm, i + 1) - fallen(storm, i)),
      holes: ground.holes.map((_, at) => nightIn(ground, at, times)),
    },
  };
}
