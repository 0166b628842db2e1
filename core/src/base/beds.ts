/** What is laid of every bed: volumes, masses, lifts and cloth, layer by layer. */
import { layerValues } from '../plan/beds.ts';
import type { Bed, BedLayer } from '../plan/schema.ts';
import { type Lifts, liftsOf } from './lifts.ts';

/** A layer of an element's bed as it is laid. */
export interface LaidLayer {
  readonly layer: BedLayer;
  /** Compacted, or cast, m³, and its area in plan, m². */
  readonly volume: number;
  readonly area: number;
  /** Lost to an uneven surface under it, m: of lean concrete only. */
  readonly unevenness: number;
}

/** An element on a bed: what is laid under it, and the bottom cloth has to cover. */
export interface OnBed {
  readonly id: string;
  readonly bed: Bed | null;
  readonly layers: readonly LaidLayer[];
  /** Of its dug bottom, m² and m. */
  readonly area: number;
  readonly perimeter: number;
}

/** A layer of a bed over all elements that stand on it. */
export interface LayerTakeoff extends LaidLayer {
  /** kg in place, and m³ as it is delivered. */
  readonly mass: number;
  readonly loose: number;
  /** Null: laid or cast, not compacted. */
  readonly lifts: Lifts | null;
}

export interface BedTakeoff {
  readonly bed: Bed;
  readonly elements: readonly string[];
  readonly layers: readonly LayerTakeoff[];
  /** m² of cloth to buy; 0 when there is none. */
  readonly cloth: number;
}

/**
 * Cloth under a bed, turned up round it by one lap; round a bed also up its sides to the top of what
 * is not cast. Laps and waste as typed.
 */
function clothFor({ cloth, layers }: Bed, area: number, perimeter: number): number {
  if (!cloth) return 0;
  const wrapped = layers.filter((layer) => !layerValues(layer).cast);
  const height = cloth.around ? wrapped.reduce((sum, layer) => sum + layer.thickness, 0) : 0;
  return (area + perimeter * (height + cloth.lap)) * (1 + cloth.waste);
}

const sum = <T>(of: readonly T[], value: (one: T) => number) =>
  of.reduce((total, one) => total + value(one), 0);

/** Every bed of a plan with what is laid of it; one nobody stands on has nothing. */
export function bedTakeoffs(beds: readonly Bed[], elements: readonly OnBed[]): BedTakeoff[] {
  return beds.map((bed): BedTakeoff => {
    const on = elements.filter((element) => element.bed?.id === bed.id);
    return {
      bed,
      elements: on.map((element) => element.id),
      layers: bed.layers.map((layer, j): LayerTakeoff => {
        const laid = on.flatMap((element) => element.layers[j] ?? []);
        const { density, looseFactor } = layerValues(layer);
        const volume = sum(laid, (one) => one.volume);
        return {
          layer,
          volume,
          area: sum(laid, (one) => one.area),
          unevenness: laid[0]?.unevenness ?? 0,
          mass: volume * density,
          loose: volume * looseFactor,
          lifts: liftsOf(layer),
        };
      }),
      cloth: sum(on, ({ area, perimeter }) => clothFor(bed, area, perimeter)),
    };
  });
}
