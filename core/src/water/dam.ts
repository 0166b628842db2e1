/**
 * A dam of bags across a stream or round a bank, and the pipe that takes the stream past it meanwhile. A
 * few days' work for low water: what stands longer or higher is an engineer's.
 */

import { RATES } from '../rates/index.ts';

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
/** Filled with sand, kg/m³: typical. */
const FILLED = 1600;
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
    hours: bags / RATES.bagsLaid.likely,
    foot: crest + (inner + outer) * height,
    faults: asked.flatMap(([what, value, least]) => (value < least - 1e-9 ? [what] : [])),
  };
}

/** A kind of pipe one gets: typical. */
interface PipeKind {
  /** Manning's n (FHWA HDS-5, table B.1). */
  readonly roughness: number;
  /** Bore of what it goes by: plastic sewer pipe goes by its outside, its wall a 34th of that. */
  readonly inside: number;
  /** What it goes by, m across. */
  readonly sizes: readonly number[];
}
const PIPES = {
  smooth: { roughness: 0.011, inside: 1 - 2 / 34, sizes: [0.11, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63] },
  corrugated: { roughness: 0.02, inside: 1, sizes: [0.1, 0.15, 0.2, 0.25, 0.3, 0.375, 0.45, 0.6, 0.75, 0.9] },
  concrete: { roughness: 0.013, inside: 1, sizes: [0.3, 0.375, 0.45, 0.6, 0.75, 0.9, 1.2] },
} as const satisfies Record<string, PipeKind>;
export type BypassKind = keyof typeof PIPES;
const BYPASS_KINDS = Object.keys(PIPES) as readonly BypassKind[];

const area = (bore: number) => (Math.PI / 4) * bore * bore;

/** A pipe running full, m³/s: A·R^⅔·√S/n, R = d/4. @param bore m across inside */
export const fullBore = (bore: number, fall: number, roughness: number = PIPES.smooth.roughness): number =>
  (area(bore) * (bore / 4) ** (2 / 3) * Math.sqrt(Math.max(0, fall))) / roughness;

/** Share of an opening's flow that goes through a square-edged mouth. */
const MOUTH = 0.6;
const GRAVITY = 9.81;

/**
 * Water over the invert that pushes a flow into a pipe's mouth, m: an orifice, h = d/2 + (Q/(0.6·A))²/2g.
 * However steep the pipe lies behind it, no more goes in.
 */
export const headAtMouth = (flow: number, bore: number): number =>
  bore / 2 + (flow / (MOUTH * area(bore))) ** 2 / (2 * GRAVITY);

export interface BypassPipe {
  readonly kind: BypassKind;
  /** What it goes by, and its bore, m. */
  readonly size: number;
  readonly bore: number;
  /** It runs full at, m³/s; and water over its invert that it needs for the flow, m. */
  readonly full: number;
  readonly needs: number;
}

/**
 * The smallest pipe of every kind that takes a flow: at its fall, and through its mouth with the water that
 * stands before the dam.
 * @param depth of that water over the pipe's invert, m
 */
export const bypassFor = (flow: number, fall: number, depth: number): BypassPipe[] =>
  BYPASS_KINDS.flatMap((kind) => {
    const { roughness, inside, sizes }: PipeKind = PIPES[kind];
    const all = sizes.map((size): BypassPipe => {
      const bore = size * inside;
      return { kind, size, bore, full: fullBore(bore, fall, roughness), needs: headAtMouth(flow, bore) };
    });
    return all.find(({ full, needs }) => full >= flow && needs <= depth + 1e-9) ?? [];
  });
