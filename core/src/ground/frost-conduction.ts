/**
 * Frost through layers by heat conduction with change of phase, for every stack that is not one
 * soil: boards, fills and soils of any contrast.
 *
 * Enthalpy on cells that end where the layers end, fine at the surface and coarser below; stepped
 * implicitly with Newton's method (Voller & Cross 1981 for the enthalpy form; Patankar 1980 for
 * resistances in series between cells). Steps are even in √t, as the front moves.
 *
 * Not covered: heat from the sides, moving water, a surface that warms and cools within the winter.
 */
import { DAY_S } from '../time/index.ts';
import type { Climate, FrostLayer } from './winter.ts';

/** Size of the cell at a depth, m: a few millimetres under the surface, a thirtieth of the depth below. */
const cellAt = (depth: number) => 0.0035 + depth / 30;
/** Warmth is taken as even below this, m: a winter's chill does not come so far. */
const BOTTOM = 12;
const STEPS = 80;
/** A step is settled when no cell is off by more than this, J/m³: a ten-thousandth of wet soil's ice. */
const SETTLED = 1e3;
const MOST_ROUNDS = 14;
const MOST_PARTS = 256;
/** Steps within each spell of a winter followed. */
const WITHIN = 4;

interface Cells {
  readonly size: Float64Array;
  readonly heat: Float64Array;
  readonly latent: Float64Array;
  /** W/m²K between cell i and the one above; of the first to the surface. */
  readonly link: Float64Array;
  /** m²K/W from a cell's middle to its face. */
  readonly half: readonly number[];
}

function cellsOf(layers: readonly FrostLayer[]): Cells {
  const size: number[] = [];
  const of: FrostLayer[] = [];
  let depth = 0;
  layers.forEach((layer, i) => {
    let left = i === layers.length - 1 ? Math.max(1, BOTTOM - depth) : layer.thickness;
    while (left > 1e-12) {
      // What is left is shared out evenly once it is a few cells: no sliver at a layer's end.
      const few = Math.ceil(left / cellAt(depth) - 1e-9);
      const next = few <= 3 ? left / few : cellAt(depth);
      size.push(next);
      of.push(layer);
      depth += next;
      left -= next;
      if (few <= 1) break;
    }
  });
  const half = size.map((d, i) => d / 2 / of[i]!.conductivity);
  return {
    size: Float64Array.from(size),
    heat: Float64Array.from(of, (layer) => layer.heat),
    latent: Float64Array.from(of, (layer) => layer.latent),
    half,
    link: Float64Array.from(half, (own, i) => 1 / (own + (half[i - 1] ?? 0))),
  };
}

/** A length of time with one temperature at the surface. */
interface Spell {
  /** s. */
  readonly dt: number;
  /** °C. */
  readonly surface: number;
}

/**
 * Depth of frost after each spell, m: whole frozen cells, and the frozen share of the one the front
 * stands in; in a dry layer, where nothing freezes, to where it is 0 °C.
 */
function march(layers: readonly FrostLayer[], mean: number, spells: readonly Spell[]): number[] {
  const { size, heat, latent, half, link } = cellsOf(layers);
  const n = size.length;
  /** J/m³ above frozen at 0 °C. */
  const now = Float64Array.from(heat, (c, i) => c * mean + latent[i]!);
  const before = new Float64Array(n);
  const start = new Float64Array(n);
  const warmth = new Float64Array(n);
  /** dT/dH: nothing while ice forms. */
  const slope = new Float64Array(n);
  const off = new Float64Array(n);
  const above = new Float64Array(n);
  const below = new Float64Array(n);
  const diagonal = new Float64Array(n);
  const read = () => {
    for (let i = 0; i < n; i++) {
      const h = now[i]!;
      const [c, l] = [heat[i]!, latent[i]!];
      warmth[i] = h < 0 ? h / c : h <= l ? 0 : (h - l) / c;
      slope[i] = h < 0 || h > l || l === 0 ? 1 / c : 0;
    }
  };
  /** One implicit step from `now`; false when the rounds do not settle. */
  const advance = (dt: number, surface: number): boolean => {
    before.set(now);
    for (let round = 0; round < MOST_ROUNDS; round++) {
      read();
      let most = 0;
      for (let i = 0; i < n; i++) {
        const r = dt / size[i]!;
        const up = link[i]!;
        const down = i < n - 1 ? link[i + 1]! : 0;
        const out = up * (warmth[i]! - (i > 0 ? warmth[i - 1]! : surface));
        const into = i < n - 1 ? down * (warmth[i + 1]! - warmth[i]!) : 0;
        off[i] = before[i]! + r * (into - out) - now[i]!;
        most = Math.max(most, Math.abs(off[i]!));
        diagonal[i] = 1 + r * (up + down) * slope[i]!;
        above[i] = i > 0 ? -r * up * slope[i - 1]! : 0;
        below[i] = i < n - 1 ? -r * down * slope[i + 1]! : 0;
      }
      if (most < SETTLED) return true;
      for (let i = 1; i < n; i++) {
        const share = above[i]! / diagonal[i - 1]!;
        diagonal[i]! -= share * below[i - 1]!;
        off[i]! -= share * off[i - 1]!;
      }
      for (let i = n - 1; i >= 0; i--) {
        off[i] = (off[i]! - (i < n - 1 ? below[i]! * off[i + 1]! : 0)) / diagonal[i]!;
        now[i]! += off[i]!;
      }
    }
    return false;
  };
  const depth = (surface: number): number => {
    read();
    let sum = 0;
    for (let i = 0; i < n; i++) {
      const [h, l] = [now[i]!, latent[i]!];
      if (h < 0) sum += size[i]!;
      else if (l > 0) return sum + size[i]! * Math.max(0, 1 - h / l);
      else {
        // Between the middles of two cells warmth is shared out by resistance.
        const cold = i > 0 ? warmth[i - 1]! : surface;
        const down = cold / (cold - warmth[i]!) / link[i]! - (half[i - 1] ?? 0);
        return sum + (down > 0 ? down / half[i]! : down / half[i - 1]!) * (size[down > 0 ? i : i - 1]! / 2);
      }
    }
    return sum;
  };
  return spells.map(({ dt, surface }) => {
    start.set(now);
    // A step that does not settle is taken in more and smaller ones.
    for (let parts = 1; parts <= MOST_PARTS; parts *= 4) {
      now.set(start);
      let settled = true;
      for (let part = 0; part < parts && settled; part++) settled = advance(dt / parts, surface);
      if (settled) break;
    }
    return depth(surface);
  });
}

/**
 * Depth of frost below the surface at the end of the winter, m.
 * @param layers from the surface down; the last runs on
 */
export function conductedFrost(layers: readonly FrostLayer[], climate: Climate): number {
  const surface = -(climate.nFactor * climate.index) / climate.days;
  if (layers.length === 0 || !(surface < 0)) return 0;
  const whole = climate.days * DAY_S;
  const spells = Array.from({ length: STEPS }, (_, i) => ({
    dt: (whole * (2 * i + 1)) / STEPS ** 2,
    surface,
  }));
  return march(layers, climate.mean, spells)[STEPS - 1]!;
}

/**
 * Depth of frost through a winter whose cold is shared out over time, m, at equal steps of time.
 * @param shares cumulative share of the index spent at each step, from 0 to 1
 */
export function conductedWinter(
  layers: readonly FrostLayer[],
  climate: Climate,
  shares: readonly number[],
): number[] {
  const spell = (climate.days * DAY_S) / Math.max(1, shares.length - 1);
  const spells = shares.slice(1).flatMap((share, i) => {
    const surface = (-(share - shares[i]!) * climate.nFactor * climate.index * DAY_S) / spell;
    return Array.from({ length: WITHIN }, () => ({ dt: spell / WITHIN, surface }));
  });
  const depths = march(layers, climate.mean, spells);
  return shares.map((_, i) => (i === 0 ? 0 : depths[i * WITHIN - 1]!));
}
