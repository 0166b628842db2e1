/**
 * What lies under the surface: strata between logs, as levels over plan.
 *
 * A boundary between logs is interpolated by inverse distance (power 2) on its level; the base of
 * topsoil on its depth, since topsoil follows the ground. A layer absent from a log has no
 * thickness there; a log that stops short says only that what it did not reach lies deeper. With
 * one log every boundary is parallel to the surface.
 *
 * For volumes the boundaries are taken linear over a grid finer than the spacing of the logs
 * (`addVolumes`); at a point (`column`) they are exact.
 */

import QuickLRU from 'quick-lru';
import type { GroundLog, Plan } from '../plan/schema.ts';
import { type Soil, soilsOf } from './soil.ts';
import {
  type AddVolumes,
  type Boundary,
  griddedVolumes,
  idw,
  type Knot,
  parallelVolumes,
} from './strata-grid.ts';
import { type Surface, surfaceOf } from './surface.ts';

/** One soil of a column: depths below the ground there; the last runs on down (Infinity). */
export interface Layer {
  readonly soil: Soil;
  readonly top: number;
  readonly bottom: number;
}

export interface GroundModel {
  readonly surface: Surface;
  readonly soils: readonly Soil[];
  level(x: number, y: number): number;
  /** Level of every soil's top at a point, by position. */
  tops(x: number, y: number): number[];
  /** The soils of some thickness at a point, from the surface down. */
  column(x: number, y: number): Layer[];
  /** The columns at the logs themselves. */
  readonly logColumns: readonly (readonly Layer[])[];
  readonly addVolumes: AddVolumes;
  /** False when every boundary is parallel to the surface. */
  readonly varies: boolean;
  /** Water level at a point; null when none is known. */
  water(x: number, y: number): number | null;
  /** Whether the water level comes from logs, is typed, or is the year's high. */
  readonly waterFrom: 'logs' | 'typed' | 'high' | null;
}

/** Layers thinner than this (m) are not there. */
const NO_LAYER = 1e-6;
/**
 * Depth of every soil's top in a log, by position in the list; null where the log did not reach.
 * A soil absent between two others has the top of the next one below.
 */
export function depthsIn(log: GroundLog, soils: readonly { readonly id: string }[]): (number | null)[] {
  const out: (number | null)[] = soils.map(() => null);
  for (let k = soils.length - 1; k >= 0; k--) {
    const layer = log.layers.find((l) => l.soil === soils[k]!.id);
    out[k] = layer ? layer.top : (out[k + 1] ?? null);
  }
  return out;
}

function boundaryOf(
  k: number,
  plan: Plan,
  surface: Surface,
  depths: readonly (readonly (number | null)[])[],
): Boundary {
  const { soils, logs } = plan.ground;
  const by =
    logs.length === 1 || soils.slice(0, k).every((soil) => soil.kind === 'topsoil') ? 'depth' : 'level';
  const ground = logs.map((log) => surface.level(log.at[0], log.at[1]));
  const valueAt = (j: number, depth: number) => (by === 'depth' ? depth : ground[j]! - depth);
  const knot = (j: number, value: number): Knot => ({ x: logs[j]!.at[0], y: logs[j]!.at[1], value });
  const reached = logs.flatMap((_, j) => {
    const depth = depths[j]![k];
    return depth === null || depth === undefined ? [] : [knot(j, valueAt(j, depth))];
  });
  const short = logs.flatMap((log, j) => {
    if (depths[j]![k] !== null) return [];
    const least = valueAt(j, log.bottom);
    if (reached.length === 0) return [knot(j, least)];
    const guess = idw(reached, log.at[0], log.at[1]);
    return [knot(j, by === 'depth' ? Math.max(guess, least) : Math.min(guess, least))];
  });
  return { by, knots: [...reached, ...short] };
}

/** Water by logs: standing levels that are not perched, each below the ground at its log. */
function waterModel(plan: Plan, surface: Surface): Pick<GroundModel, 'water' | 'waterFrom'> {
  const { logs, water, waterHigh } = plan.ground;
  const knots = logs.flatMap((log): Knot[] =>
    log.standing === null || log.perched
      ? []
      : [{ x: log.at[0], y: log.at[1], value: surface.level(log.at[0], log.at[1]) - log.standing }],
  );
  const found = (x: number, y: number) => (knots.length > 0 ? idw(knots, x, y) : water);
  const top = knots.length > 0 ? Math.max(...knots.map((knot) => knot.value)) : water;
  if (waterHigh === null)
    return { water: found, waterFrom: knots.length > 0 ? 'logs' : water === null ? null : 'typed' };
  return {
    water: (x, y) => Math.max(found(x, y) ?? waterHigh, waterHigh),
    waterFrom: top === null || waterHigh >= top ? 'high' : knots.length > 0 ? 'logs' : 'typed',
  };
}

/** Models kept under one surface: the ground as it is, and the what-ifs beside it. */
const MOST_KEPT = 8;
const models = new WeakMap<Surface, QuickLRU<string, GroundModel>>();

/**
 * The ground of a plan. The last few are kept, told by what they were made from.
 * @param plan one whose surface can be made; a surface that cannot stands in as level ground at
 *   the datum, and `checkPlan` names what is wrong with it
 */
export function groundModel(plan: Plan): GroundModel {
  const made = surfaceOf(plan.ground.surface);
  const atDatum = { kind: 'plane', level: plan.datum.level, gradeEast: 0, gradeNorth: 0 } as const;
  const level = made.ok ? made : surfaceOf(atDatum);
  if (!level.ok) throw new Error('a plane is always a surface');
  const { surface } = level;
  const { soils, swells, logs, water, waterHigh } = plan.ground;
  const key = JSON.stringify({ soils, swells, logs, water, waterHigh });
  const known = models.get(surface) ?? new QuickLRU<string, GroundModel>({ maxSize: MOST_KEPT });
  models.set(surface, known);
  const before = known.get(key);
  if (before) return before;
  // From a copy of its own: the plan may be altered after.
  const model = modelOf(
    { ...plan, ground: { ...plan.ground, ...structuredClone({ soils, logs }) } },
    surface,
  );
  known.set(key, model);
  return model;
}

function modelOf(plan: Plan, surface: Surface): GroundModel {
  const soils = soilsOf(plan);
  const { logs } = plan.ground;
  const depths = logs.map((log) => depthsIn(log, plan.ground.soils));
  const boundaries = soils.map((_, k) => boundaryOf(k, plan, surface, depths));

  const tops = (x: number, y: number): number[] => {
    const ground = surface.level(x, y);
    let above = ground;
    return boundaries.map(({ by, knots }, k) => {
      if (k === 0) return ground;
      const value = idw(knots, x, y);
      above = Math.min(above, by === 'depth' ? ground - value : value);
      return above;
    });
  };
  const column = (x: number, y: number): Layer[] => {
    const levels = tops(x, y);
    const ground = levels[0] ?? 0;
    return soils.flatMap((soil, k) => {
      const top = ground - levels[k]!;
      const below = levels[k + 1];
      const bottom = below === undefined ? Infinity : ground - below;
      return bottom - top > NO_LAYER ? [{ soil, top, bottom }] : [];
    });
  };

  const parallel = boundaries.every(
    ({ by, knots }) => by === 'depth' && knots.every((knot) => knot.value === knots[0]!.value),
  );
  let deepest = 0;
  const addVolumes = parallel
    ? parallelVolumes(
        boundaries.map(({ knots }, k) => {
          deepest = k === 0 ? 0 : Math.max(deepest, knots[0]!.value);
          return deepest;
        }),
      )
    : griddedVolumes(boundaries, logs);

  return {
    surface,
    soils,
    level: surface.level,
    tops,
    column,
    logColumns: logs.map((log) => column(log.at[0], log.at[1])),
    addVolumes,
    varies: !parallel,
    ...waterModel(plan, surface),
  };
}
