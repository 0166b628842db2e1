/**
 * What a bed under a footing is laid of. Densities compacted, loose over compacted volume and the
 * largest grain are typical of what quarries deliver; the supplier's sheet beats them.
 */
export const BED_MATERIAL_IDS = [
  'crushed',
  'clear',
  'pitGravel',
  'sand',
  'fine',
  'hardcore',
  'soilCement',
  'lean',
  'own',
] as const;
export type BedMaterialId = (typeof BED_MATERIAL_IDS)[number];

/** What a layer of a bed is there for. */
export const LAYER_PURPOSES = [
  'bearing',
  'drainage',
  'damp',
  'frost',
  'level',
  'platform',
  'replacement',
] as const;
export type LayerPurpose = (typeof LAYER_PURPOSES)[number];

export interface BedMaterial {
  /** kg/m³, compacted or set. */
  readonly density: number;
  /** Loose over compacted volume. */
  readonly looseFactor: number;
  /** Largest grain, m. */
  readonly topSize: number;
  /** Poured, not compacted: ordered with the concrete. */
  readonly cast: boolean;
  /** What a new layer of it starts with: m, and what it is for. */
  readonly thickness: number;
  readonly purpose: LayerPurpose;
}

const stone = (
  density: number,
  looseFactor: number,
  topSize: number,
  thickness: number,
  purpose: LayerPurpose,
): BedMaterial => ({ density, looseFactor, topSize, cast: false, thickness, purpose });

export const BED_MATERIALS: Record<BedMaterialId, BedMaterial> = {
  crushed: stone(2000, 1.2, 0.031, 0.15, 'bearing'),
  clear: stone(1600, 1.1, 0.022, 0.15, 'drainage'),
  pitGravel: stone(1900, 1.2, 0.05, 0.2, 'frost'),
  sand: stone(1700, 1.15, 0.004, 0.1, 'damp'),
  fine: stone(1850, 1.2, 0.006, 0.05, 'level'),
  hardcore: stone(1900, 1.3, 0.09, 0.3, 'platform'),
  // The dug soil with 3–8 % cement by mass, compacted within two hours of mixing.
  soilCement: stone(1900, 1.25, 0.02, 0.2, 'bearing'),
  lean: { density: 2300, looseFactor: 1, topSize: 0.02, cast: true, thickness: 0.075, purpose: 'level' },
  own: stone(1900, 1.2, 0.031, 0.15, 'bearing'),
};
