/**
 * Whether an empty box floats when the ground water comes back: weight over the water it displaces, state
 * by state as it is built. Friction of the backfill on its walls is not counted.
 */

/** Water, N/m³. */
const WATER = 9810;
/** Asked of weight over uplift; under 1 it floats. */
export const FLOAT_SAFE = 1.1;

export interface Floating {
  /** Weight over uplift; null where no water reaches it. */
  readonly safety: number | null;
  /** N more that would make it safe; 0 when it is. */
  readonly ballast: number;
  /** m of water over its underside at which it floats. */
  readonly floatsAt: number;
}

/**
 * @param weight N; @param area in plan, outside, m²
 * @param water over its underside, m; @param height of it that water can stand against, m
 */
export function floating(weight: number, area: number, water: number, height: number): Floating {
  const uplift = WATER * area * Math.max(0, Math.min(water, height));
  return {
    safety: uplift > 0 ? weight / uplift : null,
    ballast: Math.max(0, FLOAT_SAFE * uplift - weight),
    floatsAt: weight / (WATER * area),
  };
}

/** How far a box is built. */
const BOX_STATES = ['base', 'walls', 'roof', 'covered'] as const;
export type BoxState = (typeof BOX_STATES)[number];

export interface BoxSizes {
  /** Outside and inside in plan, m². */
  readonly outer: number;
  readonly inner: number;
  readonly base: number;
  /** Outside height, base and roof included; roof 0 when open, m. */
  readonly height: number;
  readonly roof: number;
  /** Soil on its roof when it is filled again, m. */
  readonly cover: number;
}

/** Concrete and filled soil, N/m³: low typical figures, since they are what holds it down. */
const CONCRETE = 2350 * 9.81;
const SOIL = 1600 * 9.81;

export interface BoxFloat extends Floating {
  readonly state: BoxState;
  readonly weight: number;
}

/** A box through all it is on the way to being done, empty. @param water over its underside, m */
export function boxFloats(box: BoxSizes, water: number): BoxFloat[] {
  const { outer, inner, base, height, roof, cover } = box;
  const slab = outer * base * CONCRETE;
  const walls = (outer - inner) * Math.max(0, height - base - roof) * CONCRETE;
  const lid = outer * roof * CONCRETE;
  const weights: Record<BoxState, number> = {
    base: slab,
    walls: slab + walls,
    roof: slab + walls + lid,
    covered: slab + walls + lid + (roof > 0 ? outer * cover * SOIL : 0),
  };
  const tall: Record<BoxState, number> = {
    base,
    walls: height - roof,
    roof: height,
    covered: height,
  };
  return BOX_STATES.map((state) => ({
    state,
    weight: weights[state],
    ...floating(weights[state], outer, water, tall[state]),
  }));
}
