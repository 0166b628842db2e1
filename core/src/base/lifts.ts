/** Layers of a bed in equal lifts, each thin enough for the compactor, with its passes. */

import { COMPACTORS, type CompactorId } from '../catalogue/compactors.ts';
import { layerValues } from '../plan/beds.ts';
import { newLayer } from '../plan/blank.ts';
import type { BedLayer } from '../plan/schema.ts';

export interface Lifts {
  readonly count: number;
  /** Compacted thickness of each lift, m, and what it is spread at, loose. */
  readonly thickness: number;
  readonly loose: number;
  readonly limit: number;
  readonly limitBy: 'compactor' | 'specification' | 'trial';
  readonly passes: readonly [number, number, number];
  /** Four times the top stone does not go into a lift. */
  readonly stoneTooLarge: boolean;
  /** Thinner than the compactor's typical lift: a lighter one would do, this one may pump it. */
  readonly thin: boolean;
  /** The compactor does nothing for a cohesive layer: its granular lift is only a stopgap. */
  readonly unsuited: boolean;
}

/** Compacted lift a compactor usually manages, m, low and high; what it does to stone where it does nothing for clay. */
export const usualLift = (compactor: CompactorId, cohesive: boolean): readonly [number, number] =>
  (cohesive ? COMPACTORS[compactor].cohesive : null) ?? COMPACTORS[compactor].granular;

/**
 * n = ⌈T/t_max⌉ equal lifts of T/n, t_max the least of the specification's and what the compactor
 * manages: as a trial has shown, else as the catalogue says.
 * @returns null for what is not compacted: cast, or only laid
 */
export function liftsOf(layer: BedLayer): Lifts | null {
  const { looseFactor, topSize, cast } = layerValues(layer);
  if (cast || layer.compactor === null) return null;
  const compactor = COMPACTORS[layer.compactor];
  const unsuited = layer.cohesive && compactor.cohesive === null;
  const [low, high] = usualLift(layer.compactor, layer.cohesive);
  const managed = layer.proven?.lift ?? high;
  const limit = Math.min(managed, layer.maxLift ?? Infinity);
  const count = Math.max(1, Math.ceil(layer.thickness / limit - 1e-9));
  const thickness = layer.thickness / count;
  return {
    count,
    thickness,
    loose: thickness * looseFactor,
    limit,
    limitBy:
      layer.maxLift !== null && layer.maxLift < managed
        ? 'specification'
        : layer.proven
          ? 'trial'
          : 'compactor',
    passes: compactor.passes,
    stoneTooLarge: 4 * topSize > thickness + 1e-9,
    thin: thickness < low / 2,
    unsuited,
  };
}

/** Largest stones sold, m across: typical. */
const SOLD = [0.063, 0.05, 0.04, 0.0315, 0.022, 0.016, 0.011, 0.008, 0.004] as const;

/**
 * A layer nobody typed the stones of, with stones that fit its lifts: the largest sold of which four lie one
 * over the other.
 */
export function withFittingStone(layer: BedLayer): BedLayer {
  const lifts = liftsOf(layer);
  if (!lifts?.stoneTooLarge || layer.topSize !== null) return layer;
  const fits = SOLD.find((size) => 4 * size <= lifts.thickness + 1e-9);
  return fits === undefined ? layer : { ...layer, topSize: fits };
}

/**
 * Lifts of a stone footing's own stone: crushed stone under the plate a new layer starts with, typical.
 * @param thickness compacted, m
 */
export const stoneFootingLifts = (thickness: number): Lifts =>
  liftsOf({ ...newLayer('crushed', [], 'metric'), thickness })!;

export interface LiftLimit {
  readonly by: Lifts['limitBy'] | 'stone';
  /** m, compacted: at most; of the stone at least. */
  readonly limit: number;
  readonly governs: boolean;
  /** How far it is over the one that governs, m. */
  readonly margin: number;
}

/**
 * What limits a layer's lift, the one that governs first, and its margin to each of the others; the
 * stone's, which asks four times the largest, stands last.
 */
export function liftLimits(layer: BedLayer): LiftLimit[] {
  const lifts = liftsOf(layer);
  if (!lifts || layer.compactor === null) return [];
  const [, high] = usualLift(layer.compactor, layer.cohesive);
  const limits = [
    // What a trial has proven beats the catalogue: that is then not asked.
    layer.proven
      ? ({ by: 'trial', limit: layer.proven.lift } as const)
      : ({ by: 'compactor', limit: high } as const),
    ...(layer.maxLift === null ? [] : [{ by: 'specification', limit: layer.maxLift } as const]),
  ].sort((p, q) => p.limit - q.limit || Number(q.by === lifts.limitBy) - Number(p.by === lifts.limitBy));
  const least = limits[0]!.limit;
  return [
    ...limits.map((one, i) => ({ ...one, governs: i === 0, margin: one.limit - least })),
    { by: 'stone', limit: 4 * layerValues(layer).topSize, governs: false, margin: 0 },
  ];
}
