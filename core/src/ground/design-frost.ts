/**
 * The frost a job is designed for: the local figure and the one computed from the climate, side by
 * side, the larger governing; how it builds up through the winter; and ground frozen today.
 */

import { type CoverKind, type FrostGroup, SOILS } from '../catalogue/soils.ts';
import type { Facts } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import { type DesignWinter, designWinter } from './climate.ts';
import { type Climate, dryLayer, type FrostLayer, frostDepth, frostLayer, mergedLayers } from './frost.ts';
import { conductedWinter } from './frost-conduction.ts';
import type { GroundModel, Layer } from './strata.ts';

/** Declared conductivity of extruded polystyrene board, W/mK, and its heat, J/m³K (EN ISO 10456). */
export const BOARD = { conductivity: 0.034, heat: 35 * 1450 } as const;

/** Surface conditions and their n-factors (UFC 3-130-06; the snow's is left in the index). */
export const N_FACTORS = { turf: 0.5, bare: 0.7, gravel: 0.9, snow: 1 } as const;
export type SurfaceCondition = keyof typeof N_FACTORS;

const coverLayer = (kind: CoverKind, thickness: number, conductivity: number | null): FrostLayer => {
  if (kind === 'board') return dryLayer(thickness, conductivity ?? BOARD.conductivity, BOARD.heat);
  const { grain, dryDensity, water } = SOILS[kind];
  const made = frostLayer(thickness, grain, dryDensity, water);
  return conductivity === null ? made : { ...made, conductivity };
};

/** Thermal layers of a column of ground under what is laid over it. */
function frostLayersOf(column: readonly Layer[], cover: Plan['ground']['frost']['cover'] = []): FrostLayer[] {
  return [
    ...cover.map(({ kind, thickness, conductivity }) => coverLayer(kind, thickness, conductivity)),
    ...column.map(({ soil, top, bottom }) =>
      frostLayer(bottom - top, soil.typical.grain, soil.dryDensity, soil.moisture),
    ),
  ];
}

export interface FrostMoment {
  /** Days from the first frost. */
  readonly day: number;
  /** Depth below the natural ground, m. */
  readonly depth: number;
}

export interface Frost {
  /** Design frost depth below ground, m; null when neither figure is given. */
  readonly depth: number | null;
  readonly local: number | null;
  readonly computed: number | null;
  readonly governs: 'local' | 'computed' | null;
  /** The climate used, and whether its index was typed or is a design winter of the record. */
  readonly climate: (Climate & { readonly from: 'typed' | 'record' }) | null;
  readonly winter: DesignWinter | null;
  /** Name of the log the computed figure is deepest in. */
  readonly at: string | null;
  /** Worst heave group of the soils the frost reaches. */
  readonly group: FrostGroup | null;
}

/** What is laid over the ground, m. */
const coverThickness = (plan: Plan): number =>
  plan.ground.frost.cover.reduce((sum, layer) => sum + layer.thickness, 0);

/** Cumulative share of a winter that cools and warms as half a sine. */
const SINE_WINTER = Array.from({ length: 25 }, (_, i) => (1 - Math.cos((Math.PI * i) / 24)) / 2);

const GROUPS: readonly FrostGroup[] = ['NFS', 'F1', 'F2', 'F3', 'F4'];

function climateOf(plan: Plan): { climate: Frost['climate']; winter: DesignWinter | null } {
  const { climate } = plan.ground.frost;
  if (!climate) return { climate: null, winter: null };
  const winter = designWinter(climate.record);
  const index = climate.index ?? winter?.index;
  if (index === undefined) return { climate: null, winter };
  return {
    climate: {
      index,
      days: Math.max(1, climate.days ?? winter?.days ?? 100),
      mean: climate.mean,
      nFactor: climate.nFactor,
      from: climate.index === null ? 'record' : 'typed',
    },
    winter,
  };
}

/** The design frost of a job. */
export function designFrost(plan: Plan, model: Pick<GroundModel, 'logColumns'>): Frost {
  const { local, cover } = plan.ground.frost;
  const { climate, winter } = climateOf(plan);
  const over = coverThickness(plan);
  let computed: number | null = null;
  let at: number | null = null;
  if (climate)
    model.logColumns.forEach((column, j) => {
      const depth = Math.max(0, frostDepth(frostLayersOf(column, cover), climate) - over);
      if (computed !== null && depth <= computed) return;
      computed = depth;
      at = j;
    });
  const depth = local === null && computed === null ? null : Math.max(local ?? 0, computed ?? 0);
  const reached = model.logColumns.flatMap((column) =>
    column.filter((layer) => depth !== null && layer.top < depth).map((layer) => layer.soil.frostGroup),
  );
  return {
    depth,
    local,
    computed,
    governs: depth === null ? null : (computed ?? -1) > (local ?? -1) ? 'computed' : 'local',
    climate,
    winter,
    at: at === null ? null : plan.ground.logs[at]!.name,
    group:
      reached.length === 0 ? null : reached.reduce((p, q) => (GROUPS.indexOf(q) > GROUPS.indexOf(p) ? q : p)),
  };
}

/** How the frost goes down through the design winter, where it goes deepest; empty without a climate. */
export function frostCurve(plan: Plan, model: Pick<GroundModel, 'logColumns'>, frost: Frost): FrostMoment[] {
  const { climate, computed } = frost;
  const column = model.logColumns[plan.ground.logs.findIndex((log) => log.name === frost.at)];
  if (!climate || computed === null || !column) return [];
  const layers = mergedLayers(frostLayersOf(column, plan.ground.frost.cover));
  const over = coverThickness(plan);
  const shape = plan.ground.frost.climate?.shape ?? [];
  const shares = shape.length > 1 ? shape : SINE_WINTER;
  const reached = conductedWinter(layers, climate, shares);
  const last = reached[reached.length - 1] ?? 0;
  // The design depth takes the winter's mean cold; the course of it is scaled to end there.
  const scale = last > 0 ? (computed + over) / last : 0;
  let most = 0;
  return shares.map((_, i) => {
    // Milder last weeks slow the frost; they do not lift it again within the winter.
    most = Math.min(computed, Math.max(most, reached[i]! * scale - over));
    return { day: (climate.days * i) / (shares.length - 1), depth: most };
  });
}

export interface FrozenNow {
  readonly depth: number;
}

/** Ground frozen on the day of the dig; null when it is not. */
export function frozenNow({ frozen }: Facts): FrozenNow | null {
  return frozen && frozen.depth > 0 ? { depth: frozen.depth } : null;
}

export interface FrozenToday {
  /** m, below the natural ground. */
  readonly depth: number;
  /** The frost is giving: milder days have spent part of the index. */
  readonly thawing: boolean;
  /** Air freezing index still in the ground, °C·days. */
  readonly index: number;
}

/**
 * How deep the ground is frozen after a run of days: the index of the frost still in the ground,
 * milder days taken off it, through the same layers as the design frost.
 * @param means daily mean temperatures from before the first frost to today, °C
 */
export function frozenAfter(
  plan: Plan,
  model: Pick<GroundModel, 'logColumns'>,
  means: readonly number[],
): FrozenToday {
  let index = 0;
  let most = 0;
  let days = 0;
  for (const mean of means) {
    index = Math.max(0, index - mean);
    most = index === 0 ? 0 : Math.max(most, index);
    days = index === 0 ? 0 : days + 1;
  }
  if (index === 0) return { depth: 0, thawing: false, index };
  const { climate, cover } = plan.ground.frost;
  const winter = { index, days, mean: climate?.mean ?? 8, nFactor: climate?.nFactor ?? N_FACTORS.bare };
  const over = coverThickness(plan);
  const depth = Math.max(
    0,
    ...model.logColumns.map((column) => frostDepth(frostLayersOf(column, cover), winter) - over),
  );
  return { depth: Math.max(0, depth), thawing: index < most, index };
}
