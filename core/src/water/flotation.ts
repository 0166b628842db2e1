/**
 * Whether an empty box floats when the ground water comes back: weight over the water it displaces, state
 * by state as it is built. Friction of the backfill on its walls is not counted, nor soil that stands on a
 * projecting base.
 */

import { saturated } from './uplift.ts';

/** Water, N/m³. */
const WATER = 9810;
/** Asked of weight over uplift; under 1 it floats. */
export const FLOAT_SAFE = 1.1;

export interface Floating {
  /** Weight over uplift; null where no water reaches it. */
  readonly safety: number | null;
  /** N more that would make it safe; 0 when it is. */
  readonly ballast: number;
  /** m of water over its underside at which it floats; null where it does not, however high the water stands. */
  readonly floatsAt: number | null;
  /** m of water over its underside up to which it weighs as much as is asked. */
  readonly safeTo: number;
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
    // Higher than it is the water runs over it and presses no more.
    floatsAt: weight <= WATER * area * height ? weight / (WATER * area) : null,
    safeTo: weight / (FLOAT_SAFE * WATER * area),
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

/** Concrete, and filled soil as it is put back and full of water, N/m³: low typical figures, since they hold it down. */
const CONCRETE = 2350 * 9.81;
const DRY_SOIL = 1600;
const SOIL = DRY_SOIL * 9.81;
const WET_SOIL = saturated(DRY_SOIL) * 9.81;

export interface BoxFloat extends Floating {
  readonly state: BoxState;
  /** Of all that stands on its underside, what is full of water with its water, N. */
  readonly weight: number;
}

/**
 * A box under soil: all that stands on its underside, water in the soil included, over the water pressed
 * against it from below, which reaches as high as the ground water. Where that just balances, so do its own
 * weight with the soil under water and the water the box itself displaces.
 * @param built N of concrete; @param water over its underside, m
 */
function covered(
  built: number,
  { outer, height, cover }: BoxSizes,
  water: number,
): Floating & { weight: number } {
  const standing = Math.max(0, Math.min(water, height + cover));
  const wet = Math.max(0, standing - height);
  const weight = built + outer * ((cover - wet) * SOIL + wet * WET_SOIL);
  const uplift = WATER * outer * standing;
  const balanced = (asked: number) => {
    const [all, water] = [built / outer + cover * SOIL, asked * WATER];
    if (all <= water * height) return all / water;
    // Over its roof every metre of water makes the soil heavier too.
    return height + (all - water * height) / (water - (WET_SOIL - SOIL));
  };
  const at = balanced(1);
  return {
    weight,
    safety: uplift > 0 ? weight / uplift : null,
    ballast: Math.max(0, FLOAT_SAFE * uplift - weight),
    floatsAt: at <= height + cover ? at : null,
    safeTo: balanced(FLOAT_SAFE),
  };
}

/** A box through all it is on the way to being done, empty. @param water over its underside, m */
export function boxFloats(box: BoxSizes, water: number): BoxFloat[] {
  const { outer, inner, base, height, roof } = box;
  const slab = outer * base * CONCRETE;
  const walls = (outer - inner) * Math.max(0, height - base - roof) * CONCRETE;
  const lid = outer * roof * CONCRETE;
  const whole = slab + walls + lid;
  const built = [
    ['base', slab, base],
    ['walls', slab + walls, height - roof],
    ['roof', whole, height],
  ] as const;
  const open = { weight: whole, ...floating(whole, outer, water, height) };
  return [
    ...built.map(
      ([state, weight, tall]): BoxFloat => ({ state, weight, ...floating(weight, outer, water, tall) }),
    ),
    { state: 'covered', ...(roof > 0 ? covered(whole, box, water) : open) },
  ];
}
