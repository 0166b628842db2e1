/**
 * What floors and beds are built up of, with the thicknesses they really come in, m. Membranes
 * count by their real thickness. Thicknesses are what merchants commonly stock: typical, to be
 * replaced by the job's own.
 */
export const MATERIAL_IDS = [
  'finish',
  'screed',
  'slab',
  'insulation',
  'membrane',
  'sand',
  'stone',
  'lean',
  'brick',
  'block',
  'other',
] as const;
export type MaterialId = (typeof MATERIAL_IDS)[number];

export interface Material {
  /** Offered thicknesses, m; the first is what a new layer starts with. */
  readonly thicknesses: readonly number[];
  /** Bed joint of courses, m; null for what is laid in one layer. */
  readonly joint: number | null;
}

export const MATERIALS: Record<MaterialId, Material> = {
  finish: { thicknesses: [0.015, 0.01, 0.02], joint: null },
  screed: { thicknesses: [0.065, 0.05, 0.075], joint: null },
  slab: { thicknesses: [0.12, 0.1, 0.15, 0.2], joint: null },
  insulation: { thicknesses: [0.08, 0.05, 0.1, 0.15], joint: null },
  membrane: { thicknesses: [0.0003, 0.0005, 0.0012], joint: null },
  sand: { thicknesses: [0.05, 0.025], joint: null },
  stone: { thicknesses: [0.15, 0.1, 0.2], joint: null },
  lean: { thicknesses: [0.05, 0.075, 0.1], joint: null },
  brick: { thicknesses: [0.065, 0.057], joint: 0.01 },
  block: { thicknesses: [0.19, 0.215, 0.14], joint: 0.01 },
  other: { thicknesses: [0.05], joint: null },
};
