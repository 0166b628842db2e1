/**
 * A night of rain over the whole dig, hole by hole: what comes in, what stands, what is dry by when. It
 * begins with the rain, every hole dry. Ground water that nobody knows is not counted, and said.
 */
import { PUMPS } from '../catalogue/pumps.ts';
import { type Part, volumeUnderLevel } from '../dig/index.ts';
import type { Polygon } from '../geometry/index.ts';
import { type GroundModel, groundModel } from '../ground/index.ts';
import { layerValues } from '../plan/beds.ts';
import { isDrain } from '../plan/forms.ts';
import type { Plan, SitePump } from '../plan/schema.ts';
import { fallOf, shapeOf } from '../setout/index.ts';
import {
  type Basin,
  type Course,
  courseOf,
  drainingInto,
  FILM,
  fallen,
  fullBore,
  hoursBetween,
  inflowAt,
  levelAt,
  momentOf,
  type PumpAt,
  pumpFlow,
  type Reach,
  reachesOf,
  runoffShare,
  type Standing,
  type Storage,
  storageOf,
  stormHours,
  suctionLimit,
  type Through,
  type Wet,
  wetOver,
} from '../water/index.ts';
import type { Takeoff } from './takeoff.ts';

/** Share of clean stone that holds water: 0.35–0.40, typical. */
const PORES = 0.38;
/** A hose lets go so far over the ground, m: typical. */
const OVER_GROUND = 0.5;
/** Water through clean stone, m/s: typical. */
const STONE_K = 0.2;
/** Falls under this only drain by head. */
const FLAT = 0.001;
/** Watched for so long after the rain, and after it must be dry; and at most, h. */
const AFTER_RAIN = 6;
const AFTER_DRY = 2;
const LONGEST = 96;

export interface NightPump {
  readonly id: string;
  /** m it must lift from the bottom, and the most it can; less than it needs: it moves nothing. */
  readonly lift: number;
  readonly most: number;
  /** L/s of all of them with the water at formation, as m³/s. */
  readonly flow: number;
}

export interface DryBy {
  /** Hours after the rain begins. */
  readonly at: number;
  readonly level: number;
  readonly dry: boolean;
  /** Dry: hours since it last was wet, or since the beginning. Wet: metres of water. */
  readonly margin: number;
}

export interface NightHole {
  readonly elements: readonly string[];
  /** Levels, m: what must be dry (its bottom, or the top of the bed laid on it), its bottom, its rim. */
  readonly surface: number;
  readonly floor: number;
  readonly rim: number;
  /** Ground water outside; null when nobody knows. */
  readonly water: number | null;
  /** m² open to the rain; m² that drain in, the share of it that runs off, and where from. */
  readonly open: number;
  readonly drains: number;
  readonly share: number;
  readonly drainsFrom: 'typed' | 'surface' | 'unknown';
  /** Squares of ground that drain in, by their middles, and the side of one, m; none where it is typed. */
  readonly ground: { readonly places: readonly (readonly [number, number])[]; readonly step: number };
  readonly pumps: readonly NightPump[];
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

/** What of the ground and the dig a night needs: the same for every storm and every means. */
export interface Ground {
  readonly plan: Plan;
  readonly takeoff: Takeoff;
  readonly model: GroundModel;
  readonly reaches: readonly Reach[];
  /** By hole: m² open, its bottom m², its rim, and the openings. */
  readonly open: readonly number[];
  readonly bottom: readonly number[];
  readonly rims: readonly number[];
  readonly openings: readonly (readonly Polygon[])[];
}

/** Level at which a hole runs over: the lowest ground along its edge. */
function rimOf(model: GroundModel, openings: readonly Polygon[], floor: number): number {
  let least = Infinity;
  for (const piece of openings)
    for (let i = 0; i < piece.length; i += 2) least = Math.min(least, model.level(piece[i]!, piece[i + 1]!));
  return Math.max(floor + 0.05, least);
}

export function nightGround(plan: Plan, takeoff: Takeoff): Ground {
  const model = groundModel(plan);
  const { solid, elements } = takeoff;
  const standing = elements.map(
    ({ lowest, groundLow, water, places }): Standing => ({
      dug: lowest,
      groundLow,
      water,
      columns: places.map(([x, y]) => model.column(x, y)),
    }),
  );
  const open = (i: number) =>
    elements[i]!.live && shapeOf(elements[i]!.element).founded && !elements[i]!.bays;
  const reaches = reachesOf(plan, solid, standing, open, takeoff.facts.recharge);
  const cuts = (reach: Reach) => solid.cuts.filter((_, i) => reach.elements.includes(solid.parts[i]!.owner));
  const openings = reaches.map((reach) =>
    solid.openings.flatMap((pieces, i) => (reach.elements.includes(solid.parts[i]!.owner) ? pieces : [])),
  );
  return {
    plan,
    takeoff,
    model,
    reaches,
    open: reaches.map((reach) => cuts(reach).reduce((sum, cut) => sum + cut.openArea, 0)),
    bottom: reaches.map((reach) => cuts(reach).reduce((sum, cut) => sum + cut.bottomArea, 0)),
    rims: openings.map((pieces, i) => rimOf(model, pieces, reaches[i]!.floor)),
    openings,
  };
}

/** What drains in is the same while the ground, the dig and the ditches are. */
const drained = new WeakMap<readonly Part[], Map<string, ReturnType<typeof drainingInto>>>();

function draining({ plan, takeoff, model, openings }: Ground): ReturnType<typeof drainingInto> | null {
  const { boundary } = plan.site;
  if (boundary.length < 3) return null;
  const key = JSON.stringify([boundary, plan.water.ditches.map(({ points }) => points)]);
  const known = drained.get(takeoff.solid.parts) ?? new Map<string, ReturnType<typeof drainingInto>>();
  drained.set(takeoff.solid.parts, known);
  const before = known.get(key);
  if (before) return before;
  const ditches = plan.water.ditches.map(({ points }) => points);
  const made = drainingInto(model.level, boundary, openings, ditches);
  known.set(key, made);
  return made;
}

/** How much of its room what is laid in it takes, m³ up to a level. */
function builtUnder({ takeoff }: Ground, reach: Reach): (level: number) => number {
  const laid = reach.elements.flatMap((i) => {
    const { layers, stone, dug, element } = takeoff.elements[i]!;
    const own = stone - layers.reduce((sum, l) => sum + (layerValues(l.layer).cast ? 0 : l.volume), 0);
    return [
      ...layers.map(({ layer, volume, bottom, top }) => ({
        bottom,
        top,
        volume: volume * (layerValues(layer).cast ? 1 : 1 - PORES),
      })),
      { bottom: dug, top: dug + element.thickness, volume: Math.max(0, own) * (1 - PORES) },
    ];
  });
  return (level) =>
    laid.reduce(
      (sum, { bottom, top, volume }) =>
        sum + volume * Math.min(1, Math.max(0, (level - bottom) / Math.max(1e-6, top - bottom))),
      0,
    );
}

/** Lowest dug bottom of a hole, soft spots aside: they are filled again the same day. */
const bottomOf = ({ takeoff }: Ground, reach: Reach): number =>
  Math.min(...reach.elements.map((i) => takeoff.elements[i]!.dug));

const pumpsIn = ({ plan }: Ground, reach: Reach): SitePump[] =>
  plan.water.pumps.filter((pump) => reach.elements.some((i) => plan.elements[i]!.id === pump.element));

function storageFor(ground: Ground, at: number): Storage {
  const { plan, takeoff, reaches, rims } = ground;
  const reach = reaches[at]!;
  const floor = bottomOf(ground, reach);
  const cells = takeoff.solid.cuts.flatMap(({ cells: own }, i) =>
    reach.elements.includes(takeoff.solid.parts[i]!.owner) ? own : [],
  );
  const sumps = pumpsIn(ground, reach).map(({ sump }) => sump);
  const built = plan.water.bedLaid ? builtUnder(ground, reach) : () => 0;
  const under = (level: number) => {
    const plane = { a: 0, b: 0, c: level };
    const dug = cells.reduce((sum, cell) => sum + volumeUnderLevel(cell, plane), 0);
    const sunk = sumps.reduce(
      (sum, { depth, area }) => sum + area * Math.min(depth, Math.max(0, level - (floor - depth))),
      0,
    );
    return Math.max(0, dug - built(level)) + sunk;
  };
  const base = floor - Math.max(0, ...sumps.filter(({ area }) => area > 0).map(({ depth }) => depth));
  return storageOf(under, base, rims[at]!);
}

/** m³/s the drains of a hole let go by gravity at a level. */
function outletOf({ takeoff }: Ground, reach: Reach): (level: number) => number {
  const drains = reach.elements.flatMap((i) => {
    const { element, length, stone } = takeoff.elements[i]!;
    if (!isDrain(element) || !element.outfall || element.outfall.where === 'sump') return [];
    const fall = Math.abs(fallOf(element));
    const { pipe, outfall } = element;
    const invert = outfall.level + fall * length;
    if (pipe && fall >= FLAT) {
      const full = fullBore(pipe.diameter, fall);
      return [(level: number) => full * Math.min(1, Math.max(0, (level - invert) / pipe.diameter))];
    }
    const through = (STONE_K * stone) / Math.max(1, length) / Math.max(1, length);
    return [(level: number) => through * Math.max(0, level - outfall.level)];
  });
  return (level) => drains.reduce((sum, drain) => sum + drain(level), 0);
}

/** Levels a pump's flow is worked out at; straight between. */
const KNOTS = 24;

function pumpAt(ground: Ground, at: number, pump: SitePump): PumpAt & { readonly said: NightPump } {
  const { plan, takeoff, reaches, rims } = ground;
  const reach = reaches[at]!;
  const floor = bottomOf(ground, reach);
  const { curve: typical, sucks } = PUMPS[pump.kind];
  const curve = pump.curve.length > 1 ? pump.curve : typical;
  const over = takeoff.elements.find((e) => e.id === pump.element);
  const outlet = pump.outlet ?? (over?.groundHigh ?? rims[at]!) + OVER_GROUND;
  const limit = sucks ? suctionLimit(plan.water.altitude ?? 0) : Infinity;
  const flowAt = (level: number) =>
    rims[at]! - level > limit ? 0 : pump.count * pumpFlow(curve, outlet - level, pump.hose);
  const [low, high] = [floor - pump.sump.depth, rims[at]!];
  const flows = Array.from({ length: KNOTS + 1 }, (_, i) => flowAt(low + ((high - low) * i) / KNOTS));
  const start = plan.water.storm?.start ?? '';
  const hour = (local: string | null, none: number) =>
    local === null ? none : (hoursBetween(start, local, plan.water.zone) ?? none);
  return {
    flow: (level) => {
      const x = ((level - low) / (high - low)) * KNOTS;
      const i = Math.min(KNOTS - 1, Math.max(0, Math.floor(x)));
      return flows[i]! + (flows[i + 1]! - flows[i]!) * Math.min(1, Math.max(0, x - i));
    },
    start: floor + pump.start,
    stop: floor + pump.stop,
    from: hour(pump.from, -Infinity),
    until: hour(pump.until, Infinity),
    said: {
      id: pump.id,
      lift: outlet - floor,
      most: Math.min(curve[0]!.head, limit === Infinity ? Infinity : limit + outlet - rims[at]!),
      flow: flowAt(floor),
    },
  };
}

/** What a hole is, whatever rains on it. */
export interface Readied {
  readonly basin: Basin;
  readonly hole: Pick<
    NightHole,
    | 'elements'
    | 'surface'
    | 'floor'
    | 'rim'
    | 'water'
    | 'open'
    | 'drains'
    | 'share'
    | 'drainsFrom'
    | 'ground'
    | 'pumps'
  >;
}

/**
 * m³/s that seep in at a level, or away.
 * @param k which figure of the ground's permeability: 0 low, 1 likely, 2 high
 */
function seepageOf({ reaches, bottom }: Ground, at: number, k: 0 | 1 | 2): (level: number) => number {
  const reach = reaches[at]!;
  const { water } = reach;
  if (water === null) return () => 0;
  return (level) =>
    level < water
      ? inflowAt(reach, reach.k[k], level)
      : -reach.k[k] * bottom[at]! * Math.min(1, level - water);
}

export function readied(ground: Ground, at: number): Readied {
  const { plan, takeoff, reaches, open, rims } = ground;
  const reach = reaches[at]!;
  const ids = reach.elements.map((i) => plan.elements[i]!.id);
  const floor = bottomOf(ground, reach);
  const typed = plan.water.drained.filter(({ element }) => ids.includes(element));
  const found = typed.length > 0 ? null : draining(ground);
  const drains = typed.length > 0 ? typed.reduce((sum, one) => sum + one.area, 0) : (found?.areas[at] ?? 0);
  const own = takeoff.elements[reach.elements[0]!]!;
  const [x, y] = own.places[0] ?? [0, 0];
  const soil = ground.model.column(x, y)[0]?.soil.layer.kind ?? 'topsoil';
  const share = plan.water.runoff ?? runoffShare(soil, found?.slopes[at] ?? 0, plan.water.full);
  const bed = reach.elements.map((i) => takeoff.elements[i]!.layers.at(-1)?.top ?? Infinity);
  const laid = Math.min(...bed);
  const pumps = pumpsIn(ground, reach).map((pump) => pumpAt(ground, at, pump));
  return {
    basin: {
      storage: storageFor(ground, at),
      open: plan.water.cover ? 0 : open[at]!,
      runoff: drains * share,
      seepage: seepageOf(ground, at, 1),
      outlet: outletOf(ground, reach),
      pumps,
    },
    hole: {
      elements: ids,
      surface: plan.water.bedLaid && Number.isFinite(laid) ? laid : floor,
      floor,
      rim: rims[at]!,
      water: reach.water,
      open: open[at]!,
      drains,
      share,
      ground: { places: found?.places[at] ?? [], step: found?.step ?? 0 },
      drainsFrom: typed.length > 0 ? 'typed' : found ? 'surface' : 'unknown',
      pumps: pumps.map(({ said }) => said),
    },
  };
}

/** Dry at an hour, and by how much. */
export function dryAt(course: Course, surface: number, at: number): DryBy {
  const level = levelAt(course.samples, at);
  const dry = level <= surface + FILM;
  const wet = course.samples.filter((sample) => sample.at <= at && sample.level > surface + FILM).at(-1);
  return { at, level, dry, margin: dry ? at - (wet?.at ?? 0) : level - surface };
}

/** When a night is watched until, h after the rain begins; or what is wrong with its times. */
function watched({ water }: Plan): { readonly hours: number; readonly dryBy: number | null } | NightFault {
  const { storm, dryBy, zone } = water;
  if (!storm || stormHours(storm) <= 0) return 'noStorm';
  if (momentOf(storm.start, zone) === null) return 'noSuchHour';
  const by = dryBy === null ? null : hoursBetween(storm.start, dryBy, zone);
  if (dryBy !== null && by === null) return 'noSuchHour';
  if (by !== null && by < 0) return 'dryBefore';
  const most = Math.max(stormHours(storm) + AFTER_RAIN, (by ?? 0) + AFTER_DRY);
  return { hours: Math.min(LONGEST, most), dryBy: by === null ? null : Math.min(LONGEST, by) };
}

/** The night a plan expects. @param ground of the same plan but for its water, when the caller has it */
export function nightOf(plan: Plan, takeoff: Takeoff, known: Ground | null = null): NightAnswer {
  const ground = known ? { ...known, plan } : nightGround(plan, takeoff);
  const times = watched(plan);
  if (typeof times === 'string') return { ok: false, fault: times };
  if (ground.reaches.length === 0) return { ok: false, fault: 'nothingDug' };
  const storm = plan.water.storm!;
  const { hours, dryBy } = times;
  const through: Through = { rain: (at) => fallen(storm, at), hours };
  const holes = ground.reaches.map((reach, at): NightHole => {
    const { basin, hole } = readied(ground, at);
    const course = courseOf(basin, through);
    const dry = (k: 0 | 2) => {
      if (dryBy === null) return null;
      const other =
        reach.water === null
          ? course
          : courseOf({ ...basin, seepage: seepageOf(ground, at, k) }, { ...through, hours: dryBy });
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
  });
  const whole = Math.ceil(stormHours(storm));
  return {
    ok: true,
    night: {
      start: storm.start,
      hours,
      rain: Array.from({ length: whole }, (_, i) => fallen(storm, i + 1) - fallen(storm, i)),
      holes,
    },
  };
}
