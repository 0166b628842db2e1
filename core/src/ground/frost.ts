/**
 * Frost penetration by the modified Berggren method (Aldrich & Paynter 1953; UFC 3-130-06),
 * with λ from the Neumann solution for equal properties rather than off a chart, and Kersten's
 * (1949) conductivities.
 *
 * One soil has that closed form. Every other stack (boards, fills, soils of any contrast) is solved
 * as heat conduction with change of phase (frost-conduction.ts): no balance at the front holds
 * within a few per cent under boards and over strong contrasts.
 *
 * Not covered: snow cover other than by the n-factor, heat from the sides or from a warm building.
 */

import QuickLRU from 'quick-lru';
import { DAY_S } from '../time/index.ts';
import { conductedFrost } from './frost-conduction.ts';
import type { Climate, FrostLayer } from './winter.ts';

export type { Climate, FrostLayer } from './winter.ts';

/** Heat to freeze a kilogram of water, J/kg. */
const LATENT = 334_000;

/** Error function: its own power series, to about 1e-15 for |x| < 3; 1 − erfc beyond. */
function erf(x: number): number {
  if (Math.abs(x) > 3) return Math.sign(x) * (1 - erfc(Math.abs(x)));
  let term = x;
  let sum = x;
  for (let n = 1; n < 120; n++) {
    term *= (-x * x) / n;
    const step = term / (2 * n + 1);
    sum += step;
    if (Math.abs(step) < 1e-17 * Math.abs(sum)) break;
  }
  return (2 / Math.sqrt(Math.PI)) * sum;
}

/** Complementary error function for x ≥ 0: continued fraction once the series would cancel. */
function erfc(x: number): number {
  return x < 2 ? 1 - erf(x) : Math.exp(-x * x) * erfcTail(x);
}

/** e^(x²)·erfc x by its continued fraction, for x ≥ 2. */
function erfcTail(x: number): number {
  let fraction = x;
  for (let k = 60; k >= 1; k--) fraction = x + k / 2 / fraction;
  return 1 / Math.sqrt(Math.PI) / fraction;
}

/** Root of a function that falls through zero on [low, high]. */
function bisect(f: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 200 && b - a > 1e-15 * Math.max(1, b); i++) {
    const middle = (a + b) / 2;
    if (f(middle) > 0) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/**
 * λ of the modified Berggren formula.
 * @param mu fusion parameter μ = C·vs/L, > 0
 * @param alpha thermal ratio α = v0/vs, ≥ 0
 */
export function berggrenLambda(mu: number, alpha: number): number {
  if (mu <= 0) return 1;
  const balance = (chi: number) =>
    ((mu * Math.exp(-chi * chi)) / Math.sqrt(Math.PI)) * (1 / erf(chi) - alpha / erfc(chi)) - chi;
  const chi = bisect(balance, 1e-9, 5);
  return chi * Math.sqrt(2 / mu);
}

/** Water Kersten's formulas were fitted from, fraction of dry mass. */
export const KERSTEN_FROM = { fine: 0.07, coarse: 0.01 } as const;

/**
 * Kersten's (1949) conductivity, mean of frozen and thawed and each apart, W/mK.
 * @param dryDensity kg/m³
 * @param water fraction of dry mass; held to Kersten's stated limits (fine 7 %, coarse 1 %)
 */
export function kersten(
  grain: 'fine' | 'coarse',
  dryDensity: number,
  water: number,
): { frozen: number; thawed: number; mean: number } {
  const rho = dryDensity / 1000;
  const w = 100 * Math.max(KERSTEN_FROM[grain], water);
  const log = Math.log10(w);
  const thawed =
    grain === 'fine'
      ? 0.1442 * (0.9 * log - 0.2) * 10 ** (0.6243 * rho)
      : 0.1442 * (0.7 * log + 0.4) * 10 ** (0.6243 * rho);
  const frozen =
    grain === 'fine'
      ? 0.001442 * 10 ** (1.373 * rho) + 0.01226 * w * 10 ** (0.4994 * rho)
      : 0.01096 * 10 ** (0.8116 * rho) + 0.00461 * w * 10 ** (0.9115 * rho);
  return { frozen, thawed, mean: (frozen + thawed) / 2 };
}

/** Thermal figures of a soil: L = 334 000·w·ρd, C = ρd·(710 + 0.75·4187·w). */
export function frostLayer(
  thickness: number,
  grain: 'fine' | 'coarse',
  dryDensity: number,
  water: number,
): FrostLayer {
  return {
    thickness,
    conductivity: kersten(grain, dryDensity, water).mean,
    heat: dryDensity * (710 + 0.75 * 4187 * water),
    latent: LATENT * water * dryDensity,
  };
}

/** A board or other dry cover: resistance and no water. */
export const dryLayer = (thickness: number, conductivity: number, heat: number): FrostLayer => ({
  thickness,
  conductivity,
  heat,
  latent: 0,
});

/** Modified Berggren: X = λ·√(2·k·nF·86400/L), m. For one soil without end. */
function berggrenDepth({ conductivity, heat, latent }: FrostLayer, climate: Climate): number {
  const frozen = climate.nFactor * climate.index;
  const vs = frozen / climate.days;
  const lambda = berggrenLambda((heat * vs) / latent, climate.mean / vs);
  return lambda * Math.sqrt((2 * conductivity * frozen * DAY_S) / latent);
}

const alike = (p: FrostLayer, q: FrostLayer) =>
  p.conductivity === q.conductivity && p.heat === q.heat && p.latent === q.latent;

/** Layers with neighbours of one make put together. */
export function mergedLayers(layers: readonly FrostLayer[]): FrostLayer[] {
  const out: FrostLayer[] = [];
  for (const layer of layers) {
    const last = out[out.length - 1];
    if (last && alike(last, layer))
      out[out.length - 1] = { ...last, thickness: last.thickness + layer.thickness };
    else if (layer.thickness > 0) out.push(layer);
  }
  return out;
}

/** Stacks solved before: an edit seldom touches the winter or what lies in it. */
const known = new QuickLRU<string, number>({ maxSize: 256 });

/**
 * Depth the frost reaches below the surface, m: the closed form for one soil, conduction with
 * change of phase for every other stack.
 * @param layers from the surface down; the last runs on
 */
export function frostDepth(layers: readonly FrostLayer[], climate: Climate): number {
  const stack = mergedLayers(layers);
  const [only] = stack;
  if (!only || !(climate.nFactor * climate.index > 0)) return 0;
  if (stack.length === 1 && only.latent > 0) return berggrenDepth(only, climate);
  const { index, days, mean, nFactor } = climate;
  const key = JSON.stringify([index, days, mean, nFactor, ...stack.map(Object.values)]);
  const before = known.get(key);
  if (before !== undefined) return before;
  const depth = conductedFrost(stack, climate);
  known.set(key, depth);
  return depth;
}
