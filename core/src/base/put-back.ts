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
  /** kg of cement mixed into the soil that came out, which goes back itself; null: the material is bought. */
  readonly cement: number | null;
  /** Null: laid or cast. */
  readonly lifts: Lifts | null;
}

/** The soil of a spot goes back itself, with cement. */
export const mixedWithCement = ({ material, cement }: SoftSpot): boolean =>
  material === 'soilCement' && cement !== null;

/** @param volume compacted or set, m³ */
export function putBackOf(spot: SoftSpot, volume: number): PutBack {
  const { depth, material, compactor, cement } = spot;
  const layer: BedLayer = { ...newLayer(material, [], 'metric'), thickness: depth, compactor };
  const { density, looseFactor, cast } = layerValues(layer);
  return {
    layer,
    mass: volume * density,
    loose: volume * looseFactor,
    cast,
    cement: mixedWithCement(spot) ? (cement ?? 0) * density * volume : null,
    lifts: liftsOf(layer),
  };
}
