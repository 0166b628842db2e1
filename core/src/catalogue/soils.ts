/**
 * Kinds of soil with typical values. Every one is "typical, replace by the job's own figures"
 * and carries its source. SI: kg/m³, fractions, degrees, m/s.
 */
export const SOIL_KINDS = [
  'topsoil',
  'madeGround',
  'softClay',
  'stiffClay',
  'gravellyClay',
  'silt',
  'sandySilt',
  'siltySand',
  'sand',
  'gravel',
  'rock',
] as const;
export type SoilKind = (typeof SOIL_KINDS)[number];

/** 29 CFR 1926 Subpart P, Appendix A. */
export const SLOPE_CLASSES = ['rock', 'A', 'B', 'C'] as const;
export type SlopeClass = (typeof SLOPE_CLASSES)[number];

/** What may lie over the ground before the winter: fill of a soil, or an insulation board. */
export const COVER_KINDS = ['board', 'gravel', 'sand', 'topsoil'] as const;
export type CoverKind = (typeof COVER_KINDS)[number];

/** What can be seen and felt of a soil in the hand, from best to worst where there is an order. */
export const HAND = {
  /** Most of it by eye: stones, sand one can see or feel, silt like flour, clay like putty, roots. */
  grain: ['gravel', 'sand', 'silt', 'clay', 'organic'],
  /** Rolled to 3 mm: not at all, crumbles soon, holds, holds and is tough. */
  thread: ['none', 'weak', 'medium', 'tough'],
  /** Squeezed out between thumb and finger before it breaks: < 25, 25–50, > 50 mm. */
  ribbon: ['none', 'short', 'medium', 'long'],
  /** Shaken in the palm and squeezed: water shows and goes fast, slowly, not at all. */
  shine: ['fast', 'slow', 'none'],
  /** The thumb: nail marks it with effort, thumb dents it with effort, pushes in easily, goes right in. */
  thumb: ['hard', 'firm', 'soft', 'verySoft'],
  seep: ['dry', 'damp', 'seeps'],
} as const;

export type FrostGroup = 'NFS' | 'F1' | 'F2' | 'F3' | 'F4';
export type BackfillUse = 'yes' | 'afterDrying' | 'no' | 'topsoil';

export interface SoilTypical {
  readonly uscs: string;
  /** Bulk density in the bank, kg/m³. */
  readonly density: number;
  /** Dry density, kg/m³, and water content by dry mass: for frost. */
  readonly dryDensity: number;
  readonly water: number;
  readonly swell: number;
  readonly shrink: number;
  /** Angle of repose of the heap, degrees. */
  readonly repose: number;
  /** Permeability range, m/s. */
  readonly k: readonly [number, number];
  readonly grain: 'fine' | 'coarse';
  /** Frost heave group, UFC 3-130-06. */
  readonly frostGroup: FrostGroup;
  readonly slopeClass: SlopeClass;
  /** Loses its strength when wet and worked: the last cut is trimmed by hand. */
  readonly softens: boolean;
  /** Runs or caves early, so protection is called for sooner. */
  readonly loose: boolean;
  readonly backfill: BackfillUse;
}

/** Where the typical values come from, by property. Names of published works stay untranslated. */
export const SOIL_SOURCES = {
  density: 'Terzaghi, Peck & Mesri (1996), Table 6.3',
  swell: 'US Army FM 5-434, Table 1-1',
  repose: 'Nunnally, Construction Methods and Management, angles of repose',
  k: 'Freeze & Cherry (1979), Table 2.2',
  slopeClass: '29 CFR 1926 Subpart P, App. A',
  frostGroup: 'UFC 3-130-06',
} as const;

const clay = { swell: 0.43, shrink: 0.1, repose: 35 };
/** Common earth, US Army FM 5-434, Table 1-1: for soil whose kind does not matter. */
export const COMMON_SWELL = 0.25;
const loam = { swell: COMMON_SWELL, shrink: 0.1, repose: 37 };
const sandy = { swell: 0.11, shrink: 0.05, repose: 37 };

export const SOILS: Record<SoilKind, SoilTypical> = {
  topsoil: {
    uscs: 'OL',
    density: 1580,
    dryDensity: 1300,
    water: 0.22,
    ...loam,
    k: [1e-7, 1e-5],
    grain: 'fine',
    frostGroup: 'F4',
    slopeClass: 'C',
    softens: true,
    loose: false,
    backfill: 'topsoil',
  },
  madeGround: {
    uscs: '–',
    density: 1900,
    dryDensity: 1590,
    water: 0.2,
    ...loam,
    k: [1e-7, 1e-3],
    grain: 'coarse',
    frostGroup: 'F4',
    slopeClass: 'C',
    softens: true,
    loose: true,
    backfill: 'no',
  },
  softClay: {
    uscs: 'CL',
    density: 1770,
    dryDensity: 1220,
    water: 0.45,
    ...clay,
    k: [1e-12, 1e-9],
    grain: 'fine',
    frostGroup: 'F3',
    slopeClass: 'C',
    softens: true,
    loose: false,
    backfill: 'afterDrying',
  },
  stiffClay: {
    uscs: 'CL',
    density: 2070,
    dryDensity: 1700,
    water: 0.22,
    ...clay,
    k: [1e-12, 1e-9],
    grain: 'fine',
    frostGroup: 'F3',
    slopeClass: 'B',
    softens: true,
    loose: false,
    backfill: 'yes',
  },
  gravellyClay: {
    uscs: 'GC',
    density: 2320,
    dryDensity: 2120,
    water: 0.09,
    ...clay,
    k: [1e-12, 1e-6],
    grain: 'fine',
    frostGroup: 'F3',
    slopeClass: 'B',
    softens: true,
    loose: false,
    backfill: 'yes',
  },
  silt: {
    uscs: 'ML',
    density: 1890,
    dryDensity: 1430,
    water: 0.32,
    ...loam,
    k: [1e-9, 1e-5],
    grain: 'fine',
    frostGroup: 'F4',
    slopeClass: 'C',
    softens: true,
    loose: true,
    backfill: 'no',
  },
  sandySilt: {
    uscs: 'ML',
    density: 1990,
    dryDensity: 1590,
    water: 0.25,
    ...loam,
    k: [1e-9, 1e-5],
    grain: 'fine',
    frostGroup: 'F4',
    slopeClass: 'C',
    softens: true,
    loose: true,
    backfill: 'afterDrying',
  },
  siltySand: {
    uscs: 'SM',
    density: 1990,
    dryDensity: 1590,
    water: 0.25,
    ...sandy,
    k: [1e-7, 1e-3],
    grain: 'coarse',
    frostGroup: 'F3',
    slopeClass: 'C',
    softens: false,
    loose: true,
    backfill: 'yes',
  },
  sand: {
    uscs: 'SP',
    density: 1890,
    dryDensity: 1590,
    water: 0.15,
    ...sandy,
    k: [1e-5, 1e-2],
    grain: 'coarse',
    frostGroup: 'NFS',
    slopeClass: 'C',
    softens: false,
    loose: true,
    backfill: 'yes',
  },
  gravel: {
    uscs: 'GW',
    density: 2160,
    dryDensity: 1860,
    water: 0.05,
    ...sandy,
    repose: 35,
    k: [1e-3, 1],
    grain: 'coarse',
    frostGroup: 'NFS',
    slopeClass: 'C',
    softens: false,
    loose: true,
    backfill: 'yes',
  },
  rock: {
    uscs: '–',
    density: 2650,
    dryDensity: 2600,
    water: 0.02,
    swell: 0.5,
    shrink: -0.3,
    repose: 37,
    k: [1e-10, 1e-6],
    grain: 'coarse',
    frostGroup: 'NFS',
    slopeClass: 'rock',
    softens: false,
    loose: false,
    backfill: 'no',
  },
};
