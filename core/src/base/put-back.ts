/** What goes back where a soft spot was taken out: one layer as deep as the hole, in lifts. */
import { layerValues } from '../plan/beds.ts';
import { newLayer } from '../plan/blank.ts';
import type { BedLayer, SoftSpot } from '../plan/schema.ts';
import { type Lifts, liftsOf } from './lifts.ts';

export interface PutBack {
  readonly layer: BedLayer;
  /** kg in place, and m³ as it is delivered. */
  readonly mass: number;
  readonly loose: number;
  /** Poured, not compacted: ordered with the lean concrete. */
  readonly cast: boolean;
  /** Null: laid or cast. */
  readonly lifts: Lifts | null;
}

/** @param volume compacted or set, m³ */
export function putBackOf({ depth, material, compactor }: SoftSpot, volume: number): PutBack {
  const layer: BedLayer = { ...newLayer(material, [], 'metric'), thickness: depth, compactor };
  const { density, looseFactor, cast } = layerValues(layer);
  return { layer, mass: volume * density, loose: volume * looseFactor, cast, lifts: liftsOf(layer) };
}
