/**
 * A run under an old wall, dug bay by bay from inside and never open from the surface: what is dug under
 * the wall and in the pit that lets people in, what is cast, what is packed. Quantities only: nothing
 * here designs underpinning.
 */

import type { GroundModel } from '../ground/strata.ts';
import type { Element } from '../plan/elements.ts';
import { underWallOf } from '../plan/variants.ts';
import { type Bays, baysOf, segmentsOf } from '../setout/index.ts';

/** Of one bay, m³. */
export interface BayWork {
  readonly soil: number;
  readonly access: number;
  readonly concrete: number;
  /** Dry pack between new concrete and old wall. */
  readonly pack: number;
}

export interface UnderBays extends Bays {
  readonly each: BayWork;
  /** Under the old wall and in the pits, by soil and in all, bank m³. */
  readonly soils: readonly number[];
  readonly total: number;
  /** Of the bottoms of all bays, m². */
  readonly area: number;
}

/** m³ by soil of an upright column of a unit area between two levels, at a place. */
function between(model: GroundModel, x: number, y: number, low: number, high: number): number[] {
  const tops = model.tops(x, y);
  const top = Math.min(high, tops[0] ?? high);
  return model.soils.map((_, k) =>
    Math.max(0, Math.min(tops[k] ?? -Infinity, top) - Math.max(tops[k + 1] ?? -Infinity, low)),
  );
}

/** The place so far along some runs. */
function placeAlong(runs: ReturnType<typeof segmentsOf>, along: number): readonly [number, number] {
  let left = along;
  for (const run of runs) {
    if (left <= run.length + 1e-9) return [run.from[0] + run.ux * left, run.from[1] + run.uy * left];
    left -= run.length;
  }
  return runs.at(-1)?.to ?? [0, 0];
}

/**
 * @param underside of the new footing, and `dug`, the level under its bed, m
 * @returns null for what is not dug in bays
 */
export function underBays(
  model: GroundModel,
  element: Element,
  underside: number,
  dug: number,
): UnderBays | null {
  const own = underWallOf(element);
  if (!own) return null;
  const { old, width, bay } = own;
  const runs = segmentsOf(own);
  const length = runs.reduce((sum, run) => sum + run.length, 0);
  const bays = baysOf(length, bay);
  const high = Math.max(0, old.underside - dug);
  const down = Math.max(0, old.inside - dug);
  const cast = Math.max(0, old.underside - old.gap - underside);
  // Soils are read at the middle of every bay, on the axis.
  const soils = model.soils.map(() => 0);
  const across = old.thickness;
  for (let i = 0; i < bays.count; i++) {
    const [x, y] = placeAlong(runs, (i + 0.5) * bays.length);
    const add = (low: number, top: number, area: number) =>
      between(model, x, y, low, top).forEach((height, k) => {
        soils[k]! += height * area;
      });
    add(dug, old.underside, across * bays.length);
    add(dug, old.inside, old.access * bays.length);
  }
  return {
    ...bays,
    each: {
      soil: across * bays.length * high,
      access: old.access * bays.length * down,
      concrete: width * bays.length * cast,
      pack: across * bays.length * Math.min(old.gap, Math.max(0, old.underside - underside)),
    },
    soils,
    total: soils.reduce((sum, volume) => sum + volume, 0),
    area: (across + old.access) * length,
  };
}
