/**
 * A dam of bags across a stream or round a bank, and the pipe that takes the stream past it meanwhile. A
 * few days' work for low water: what stands longer or higher is an engineer's.
 */

export interface BagDam {
  /** Along its crest, m. */
  readonly length: number;
  /** Depth of the water, and how far the dam stands over it, m. */
  readonly depth: number;
  readonly freeboard: number;
  /** Width of its crest, m, and its slopes, H:V, to the water and to the dry side. */
  readonly crest: number;
  readonly inner: number;
  readonly outer: number;
  /** A filled bag, m³. */
  readonly bag: number;
}

/** Bags lost, torn and laid crosswise: a tenth more (practice). */
const MORE = 1.1;
/** Filled with sand, kg/m³; filled and laid by a person in an hour: typical, assumed. */
const FILLED = 1600;
const AN_HOUR = 20;
/** Least freeboard, m, and crest, m: two bags wide (practice). */
export const LEAST_FREEBOARD = 0.3;
export const LEAST_CREST = 0.5;
/** Steepest bags stand, H:V, to the water and away from it (practice). */
export const STEEPEST = { inner: 1, outer: 1.5 } as const;

export interface DamTakeoff {
  readonly height: number;
  /** m² across, and m³. */
  readonly section: number;
  readonly volume: number;
  readonly bags: number;
  readonly mass: number;
  /** Of one person. */
  readonly hours: number;
  /** Width on the ground, m. */
  readonly foot: number;
  /** What is less than practice asks. */
  readonly faults: readonly ('freeboard' | 'crest' | 'inner' | 'outer')[];
}

/** What a bag dam takes: crest·h + (m₁ + m₂)/2·h². */
export function bagDam({ length, depth, freeboard, crest, inner, outer, bag }: BagDam): DamTakeoff {
  const height = depth + freeboard;
  const section = crest * height + ((inner + outer) / 2) * height * height;
  const volume = section * length;
  const bags = Math.ceil((volume / bag) * MORE - 1e-9);
  const asked = [
    ['freeboard', freeboard, LEAST_FREEBOARD],
    ['crest', crest, LEAST_CREST],
    ['inner', inner, STEEPEST.inner],
    ['outer', outer, STEEPEST.outer],
  ] as const;
  return {
    height,
    section,
    volume,
    bags,
    mass: volume * FILLED,
    hours: bags / AN_HOUR,
    foot: crest + (inner + outer) * height,
    faults: asked.flatMap(([what, value, least]) => (value < least - 1e-9 ? [what] : [])),
  };
}

/** Roughness of plastic pipe, Manning: typical. */
const SMOOTH = 0.011;
/** Pipes one gets, m across outside the wall taken as inside: typical. */
const PIPES = [0.11, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63, 0.8, 1] as const;

/** A pipe running full, m³/s: A·R^⅔·√S/n, R = d/4. */
export const fullBore = (diameter: number, fall: number, roughness = SMOOTH): number =>
  ((Math.PI / 4) * diameter * diameter * (diameter / 4) ** (2 / 3) * Math.sqrt(Math.max(0, fall))) /
  roughness;

/** The smallest pipe that takes a flow at a fall; null when none does. */
export const bypassFor = (flow: number, fall: number): number | null =>
  PIPES.find((diameter) => fullBore(diameter, fall) >= flow) ?? null;
