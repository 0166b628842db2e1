/** Beds of a plan: which an element stands on, and how thick it is. */

import { BED_MATERIALS } from '../catalogue/bed-materials.ts';
import type { Element } from './elements.ts';
import type { Bed, BedLayer, Plan } from './schema.ts';
import { servesOf } from './variants.ts';

/** The bed an element names; a ramp comes down to the formation of what it serves. */
export function bedOf(plan: Plan, element: Element): Bed | null {
  const serves = servesOf(element);
  const named = serves === null ? element : plan.elements.find((other) => other.id === serves);
  return plan.beds.find((bed) => bed.id === (named?.bed ?? null)) ?? null;
}

/** From formation to underside, m. */
export const thicknessOf = (bed: Bed | null): number =>
  bed?.layers.reduce((sum, layer) => sum + layer.thickness, 0) ?? 0;

/** What a layer is of: typed, or typical of its material. */
export function layerValues({ material, density, looseFactor, topSize }: BedLayer): {
  readonly density: number;
  readonly looseFactor: number;
  readonly topSize: number;
  readonly cast: boolean;
} {
  const typical = BED_MATERIALS[material];
  return {
    density: density ?? typical.density,
    looseFactor: looseFactor ?? typical.looseFactor,
    topSize: topSize ?? typical.topSize,
    cast: typical.cast,
  };
}
