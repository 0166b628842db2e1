/**
 * The holes of a dig as a night finds them: what each holds up to a level, what runs and seeps into it, what
 * its pumps and drains take. Ground water that nobody knows is not counted, and said.
 */

import { PUMPS } from '../../catalogue/pumps.ts';
import { type Cell, type Part, volumeUnderLevel } from '../../dig/index.ts';
import type { Polygon } from '../../geometry/index.ts';
import { type GroundModel, groundModel } from '../../ground/index.ts';
import { layerValues } from '../../plan/beds.ts';
import type { Plan, SitePump } from '../../plan/schema.ts';
import { drainOf } from '../../plan/variants.ts';
import { fallOf, shapeOf } from '../../setout/index.ts';
import { surfaceRuns } from '../../takeoff/index.ts';
import { hoursBetween } from '../../time/index.ts';
import {
  type Basin,
  byHead,
  curveOf,
  drainingInto,
  FLAT,
  flowFrom,
  fullBore,
  inflowAt,
  OVER_GROUND,
  type PumpAt,
  type Reach,
  reachesOf,
  runoffShare,
  type Standing,
  type Storage,
  storageOf,
  suctionLimit,
} from '../../water/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** Share of clean stone that holds water: 0.35–0.40, typical. */
const PORES = 0.38;
export interface NightPump {
  readonly id: string;
  /** m it must lift from the bottom, and the most it can; less than it needs: it moves nothing. */
  readonly lift: number;
  readonly most: number;
  /** L/s of all of them with the water at formation, as m³/s. */
  readonly flow: number;
}

/** What is told of a hole, whatever rains on it. */
export interface HoleSaid {
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
  /** m² of roofs and yards whose water runs into it. */
  readonly piped: number;
  readonly drainsFrom: 'typed' | 'surface' | 'unknown';
  /** m² whose water was still on its way when it was given up following: some of it may drain in, too. */
  readonly cutOff: number;
  /** Squares of ground that drain in, by their middles, and the side of one, m; none where it is typed. */
  readonly ground: { readonly places: readonly (readonly [number, number])[]; readonly step: number };
  readonly pumps: readonly NightPump[];
}

/** What of one hole a night needs: the same for every storm and every means. */
interface Dug {
  readonly reach: Reach;
  readonly ids: readonly string[];
  readonly elements: readonly Takeoff['elements'][number][];
  readonly cells: readonly Cell[];
  readonly openings: readonly Polygon[];
  /** m² open to the rain, and of its bottom. */
  readonly open: number;
  readonly bottom: number;
  /** Levels, m: its lowest bottom, soft spots aside since they are filled again the same day, and its rim. */
  readonly floor: number;
  readonly rim: number;
  /** As if a drain were cut from its bottom to daylight. */
  readonly away: boolean;
}

/** What of the ground and the dig a night needs. */
export interface Ground {
  readonly plan: Plan;
  readonly takeoff: Takeoff;
  readonly model: GroundModel;
  readonly holes: readonly Dug[];
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
  const holes = reachesOf(plan, solid, standing, open, takeoff.facts.risingHead).map((reach): Dug => {
    const mine = solid.parts.flatMap(({ owner }, i) => (reach.elements.includes(owner) ? [i] : []));
    const cuts = mine.map((i) => solid.cuts[i]!);
    const openings = mine.flatMap((i) => solid.openings[i]!);
    const own = reach.elements.map((i) => elements[i]!);
    return {
      reach,
      ids: own.map(({ id }) => id),
      elements: own,
      cells: cuts.flatMap(({ cells }) => cells),
      openings,
      open: cuts.reduce((sum, cut) => sum + cut.openArea, 0),
      bottom: cuts.reduce((sum, cut) => sum + cut.bottomArea, 0),
      floor: Math.min(...own.map(({ dug }) => dug)),
      rim: rimOf(model, openings, reach.floor),
      away: false,
    };
  });
  return { plan, takeoff, model, holes };
}

/** What drains in is the same while the ground, the dig and the ditches are. */
const drained = new WeakMap<readonly Part[], Map<string, ReturnType<typeof drainingInto>>>();

function draining({ plan, takeoff, model, holes }: Ground): ReturnType<typeof drainingInto> | null {
  const { boundary } = plan.site;
  if (boundary.length < 3) return null;
  const ditches = plan.water.ditches.map(({ points }) => points);
  const key = JSON.stringify([boundary, ditches]);
  const known = drained.get(takeoff.solid.parts) ?? new Map<string, ReturnType<typeof drainingInto>>();
  drained.set(takeoff.solid.parts, known);
  const before = known.get(key);
  if (before) return before;
  const openings = holes.map((hole) => hole.openings);
  const made = drainingInto(model.level, boundary, openings, ditches);
  known.set(key, made);
  return made;
}

/** How much of its room what is laid in it takes, m³ up to a level. */
function builtUnder({ elements }: Dug): (level: number) => number {
  const laid = elements.flatMap(({ layers, stone, dug, element }) => {
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

const pumpsIn = ({ water }: Plan, { ids }: Dug): SitePump[] =>
  water.pumps.filter((pump) => ids.includes(pump.element));

function storageFor(plan: Plan, hole: Dug): Storage {
  const { cells, floor, rim } = hole;
  const sumps = pumpsIn(plan, hole).map(({ sump }) => sump);
  const built = plan.water.bedLaid ? builtUnder(hole) : () => 0;
  const under = (level: number) => {
    const plane = { a: 0, b: 0, c: level };
    const dug = cells.reduce((sum, cell) => sum + volumeUnderLevel(cell, plane), 0);
    const sunk = sumps.reduce(
      (sum, { depth, area, filled }) =>
        sum + area * (filled === 'stone' ? PORES : 1) * Math.min(depth, Math.max(0, level - (floor - depth))),
      0,
    );
    return Math.max(0, dug - built(level)) + sunk;
  };
  const base = floor - Math.max(0, ...sumps.filter(({ area }) => area > 0).map(({ depth }) => depth));
  return storageOf(under, base, rim);
}

/** A drain cut from a hole's bottom to daylight, as one asks what it would do: typical. */
const AWAY = { diameter: 0.1, fall: 0.01 } as const;

/** m³/s a pipe that falls away takes at a level over its invert: full once it is covered. */
function fallsFrom(invert: number, { diameter, fall }: { diameter: number; fall: number }) {
  const full = fullBore(diameter, fall);
  return (level: number) => full * Math.min(1, Math.max(0, (level - invert) / diameter));
}

/** m³/s the drains of a hole discharge by gravity at a level. */
function outletOf({ elements, away, floor }: Dug): (level: number) => number {
  const led = away ? [fallsFrom(floor, AWAY)] : [];
  const drains = elements.flatMap(({ element, length, stone }) => {
    const drain = drainOf(element);
    if (!drain?.outfall || drain.outfall.where === 'sump') return [];
    const fall = Math.abs(fallOf(drain));
    const { pipe, outfall } = drain;
    const invert = outfall.level + fall * length;
    if (pipe && fall >= FLAT) return [fallsFrom(invert, { diameter: pipe.diameter, fall })];
    const through = byHead(stone / Math.max(1, length), length);
    return [(level: number) => through * Math.max(0, level - outfall.level)];
  });
  return (level) => [...drains, ...led].reduce((sum, drain) => sum + drain(level), 0);
}

function pumpAt(
  { water }: Plan,
  { elements, floor, rim }: Dug,
  pump: SitePump,
): PumpAt & { said: NightPump } {
  const over = elements.find((e) => e.id === pump.element);
  const outlet = pump.outlet ?? (over?.groundHigh ?? rim) + OVER_GROUND;
  const altitude = water.altitude ?? 0;
  const set = { kind: pump.kind, curve: pump.curve, hose: pump.hose, edge: rim, outlet, altitude };
  const limit = PUMPS[pump.kind].sucks ? suctionLimit(altitude) : Infinity;
  const flow = (level: number) => pump.count * flowFrom(set, level);
  const start = water.storm?.start ?? '';
  const hour = (local: string | null, none: number) =>
    local === null ? none : (hoursBetween(start, local, water.zone) ?? none);
  return {
    flow,
    start: floor + pump.start,
    stop: floor + pump.stop,
    from: hour(pump.from, -Infinity),
    until: hour(pump.until, Infinity),
    said: {
      id: pump.id,
      lift: outlet - floor,
      most: Math.min(curveOf(set)[0]!.head, limit + outlet - rim),
      flow: flow(floor),
    },
  };
}

/** What a hole is, whatever rains on it. */
export interface Readied {
  readonly basin: Basin;
  readonly hole: HoleSaid;
}

/**
 * m³/s that seep in at a level, or away.
 * @param k which figure of the ground's permeability: 0 low, 1 likely, 2 high
 */
export function seepageOf({ reach, bottom }: Dug, k: 0 | 1 | 2): (level: number) => number {
  const { water } = reach;
  if (water === null) return () => 0;
  return (level) =>
    level < water ? inflowAt(reach, reach.k[k], level) : -reach.k[k] * bottom * Math.min(1, level - water);
}

/** Share that runs off roofs and paving (rational coefficients, ASCE Manual of Practice 37: 0.75–0.95). */
const OFF_ROOFS = 0.9;

/** m² of roofs and yards whose water comes to a hole over the ground. */
function pipedInto({ plan, takeoff }: Ground, ids: readonly string[]): number {
  const runs = surfaceRuns(plan, takeoff.elements);
  return plan.water.surface.reduce((sum, { id, kind, area }) => {
    const into = runs.find((run) => run.id === id)?.element;
    return kind !== 'washOut' && into && ids.includes(into) ? sum + area : sum;
  }, 0);
}

/** @param at position of the hole */
export function readied(ground: Ground, at: number): Readied {
  const { plan, model } = ground;
  const dug = ground.holes[at]!;
  const { reach, ids, elements, floor, rim, open } = dug;
  const typed = plan.water.drained.filter(({ element }) => ids.includes(element));
  const found = typed.length > 0 ? null : draining(ground);
  const drains = typed.length > 0 ? typed.reduce((sum, one) => sum + one.area, 0) : (found?.areas[at] ?? 0);
  const [x, y] = elements[0]?.places[0] ?? [0, 0];
  const soil = model.column(x, y)[0]?.soil.layer.kind ?? 'topsoil';
  const piped = pipedInto(ground, ids);
  const share = plan.water.runoff ?? runoffShare(soil, found?.slopes[at] ?? 0, plan.water.full);
  const laid = Math.min(...elements.map(({ layers }) => layers.at(-1)?.top ?? Infinity));
  const pumps = pumpsIn(plan, dug).map((pump) => pumpAt(plan, dug, pump));
  return {
    basin: {
      storage: storageFor(plan, dug),
      open: plan.water.cover ? 0 : open,
      runoff: drains * share + piped * OFF_ROOFS,
      seepage: seepageOf(dug, 1),
      outlet: outletOf(dug),
      pumps,
      bottom: floor,
    },
    hole: {
      elements: ids,
      surface: plan.water.bedLaid && Number.isFinite(laid) ? laid : floor,
      floor,
      rim,
      water: reach.water,
      open,
      drains,
      share,
      piped,
      cutOff: found?.cutOff ?? 0,
      ground: { places: found?.places[at] ?? [], step: found?.step ?? 0 },
      drainsFrom: typed.length > 0 ? 'typed' : found ? 'surface' : 'unknown',
      pumps: pumps.map(({ said }) => said),
    },
  };
}

/** The hole an element lies in, by position; −1 when it lies in none. */
export const holeAt = ({ holes }: Ground, element: string): number =>
  holes.findIndex(({ ids }) => ids.includes(element));
