import { describe, expect, it } from 'vitest';
import { drawnCases, seeded } from '../testing.ts';
import { berggrenLambda, type Climate, dryLayer, type FrostLayer, frostDepth, frostLayer } from './frost.ts';
import { conductedFrost } from './frost-conduction.ts';

/**
 * The slow twin: heat conduction stepped explicitly, with enthalpy for the change of phase, on
 * cells that end where the layers end. Boards are resistances between cells, without heat of their
 * own. It shares nothing with the implicit solution but the layers' properties.
 * @returns depth of frozen soil below the surface, m; the underside of a board frost has not passed
 */
function conducted(layers: readonly FrostLayer[], climate: Climate, finest = 0.02, deep = 12): number {
  const surface = -(climate.nFactor * climate.index) / climate.days;
  const size: number[] = [];
  const of: FrostLayer[] = [];
  const top: number[] = [];
  /** m²K/W of the boards just above each cell. */
  const over: number[] = [];
  let depth = 0;
  let boards = 0;
  layers.forEach((layer, i) => {
    if (layer.latent === 0) {
      boards += layer.thickness / layer.conductivity;
      depth += layer.thickness;
      return;
    }
    const thickness = i === layers.length - 1 ? Math.max(1, deep - depth) : layer.thickness;
    const wanted = Math.max(finest, depth / 15);
    const count = i === layers.length - 1 ? null : Math.max(1, Math.round(thickness / wanted));
    for (let left = thickness; left > 1e-9; ) {
      const next = count === null ? Math.min(left, Math.max(finest, depth / 15)) : thickness / count;
      size.push(next);
      of.push(layer);
      top.push(depth);
      over.push(boards);
      boards = 0;
      depth += next;
      left -= next;
    }
  });
  const n = size.length;
  const link = size.map((d, i) => {
    const own = d / 2 / of[i]!.conductivity;
    return 1 / (own + over[i]! + (i > 0 ? size[i - 1]! / 2 / of[i - 1]!.conductivity : 0));
  });
  /** Heat above frozen at 0 °C, J/m³. */
  const enthalpy = Float64Array.from(of, (cell) => cell.heat * climate.mean + cell.latent);
  const temperature = new Float64Array(n).fill(climate.mean);
  const heat = Float64Array.from(of, (cell) => cell.heat);
  const latent = Float64Array.from(of, (cell) => cell.latent);
  const seconds = climate.days * 86_400;
  const longest = Math.min(...size.map((d, i) => (0.8 * d * heat[i]!) / (link[i]! + (link[i + 1] ?? 0))));
  const steps = Math.ceil(seconds / longest);
  const dt = seconds / steps;
  for (let step = 0; step < steps; step++) {
    let out = link[0]! * (temperature[0]! - surface);
    for (let i = 0; i < n; i++) {
      const into = i < n - 1 ? link[i + 1]! * (temperature[i + 1]! - temperature[i]!) : 0;
      const h = enthalpy[i]! + (dt / size[i]!) * (into - out);
      enthalpy[i] = h;
      // Both fluxes of this cell are known: no later cell reads its old warmth.
      temperature[i] = h < 0 ? h / heat[i]! : h <= latent[i]! ? 0 : (h - latent[i]!) / heat[i]!;
      out = into;
    }
  }
  let frozen = 0;
  for (let i = 0; i < n; i++) {
    const h = enthalpy[i]!;
    const share = h < 0 ? 1 : Math.max(0, 1 - h / latent[i]!);
    if (share > 0) frozen = top[i]! + size[i]! * share;
    if (share < 1) break;
  }
  return frozen;
}

/** A depth within a board is that of the soil above it: nothing freezes in a board. */
function inSoil(layers: readonly FrostLayer[], depth: number): number {
  let [top, soil] = [0, 0];
  layers.forEach(({ thickness, latent }, i) => {
    const bottom = i === layers.length - 1 ? Infinity : top + thickness;
    if (latent > 0 && depth > top) soil = Math.min(depth, bottom);
    top = bottom;
  });
  return soil;
}

const fine = (thickness: number, dry: number, water: number) => frostLayer(thickness, 'fine', dry, water);
const board = (thickness: number) => dryLayer(thickness, 0.034, 35 * 1450);

/** Two to four layers, boards among them, and a winter; the last layer is always soil. */
function drawn(next: () => number): { layers: FrostLayer[]; climate: Climate } {
  const count = 2 + Math.floor(next() * 3);
  const layers = Array.from({ length: count }, (_, i) => {
    if (i < count - 1 && next() < 0.3) return board(0.02 + 0.06 * next());
    return next() < 0.6
      ? fine(0.1 + 0.6 * next(), 1200 + 700 * next(), 0.1 + 0.35 * next())
      : frostLayer(0.1 + 0.6 * next(), 'coarse', 1500 + 500 * next(), 0.03 + 0.15 * next());
  });
  return {
    layers,
    climate: {
      index: 200 + 1200 * next(),
      days: 60 + 100 * next(),
      mean: 9 * next(),
      nFactor: 0.5 + 0.5 * next(),
    },
  };
}

const STACKS = drawnCases(300);

describe('frost through layers, against conduction with phase change', () => {
  it('is within 5 % on three hundred drawn stacks, with and without boards', () => {
    const next = seeded(15);
    const off: { error: number; case: number; slow: number; fast: number }[] = [];
    let boarded = 0;
    for (let i = 0; i < STACKS; i++) {
      const { layers, climate } = drawn(next);
      const slow = conducted(layers, climate);
      const fast = inSoil(layers, frostDepth(layers, climate));
      if (layers.some((layer) => layer.latent === 0)) boarded++;
      // Frost that does not get through a board on top has no depth in soil to compare.
      if (slow > 0) off.push({ error: fast / slow - 1, case: i, slow, fast });
    }
    expect(boarded).toBeGreaterThan(0.25 * STACKS);
    expect(off.length).toBeGreaterThan(0.8 * STACKS);
    off.sort((p, q) => Math.abs(q.error) - Math.abs(p.error));
    expect(Math.abs(off[0]!.error), JSON.stringify(off.slice(0, 4))).toBeLessThan(0.05);
  }, 300_000);

  it('agrees with the closed form in one soil, and so does the twin', () => {
    const next = seeded(3);
    for (let i = 0; i < 12; i++) {
      const { layers, climate } = drawn(next);
      const soil = layers.at(-1)!;
      const vs = (climate.nFactor * climate.index) / climate.days;
      const lambda = berggrenLambda((soil.heat * vs) / soil.latent, climate.mean / vs);
      const closed =
        lambda * Math.sqrt((2 * soil.conductivity * climate.nFactor * climate.index * 86_400) / soil.latent);
      expect(frostDepth([soil], climate)).toBeCloseTo(closed, 9);
      expect(Math.abs(conductedFrost([soil], climate) / closed - 1), `case ${i}`).toBeLessThan(0.015);
    }
  });

  it('does not jump where the closed form hands over: a second layer all but like the first', () => {
    const climate = { index: 700, days: 120, mean: 5, nFactor: 0.9 };
    const whole = frostDepth([fine(9, 1600, 0.18)], climate);
    const split = frostDepth([fine(0.4, 1600, 0.18), fine(9, 1600, 0.1801)], climate);
    expect(Math.abs(split / whole - 1)).toBeLessThan(0.01);
  });

  it('goes less deep under a thicker board, and never deeper under a milder winter', () => {
    const depth = (thickness: number, index: number) =>
      frostDepth([board(thickness), fine(9, 1600, 0.2)], { index, days: 120, mean: 5, nFactor: 0.9 }) -
      thickness;
    for (let t = 0.02; t < 0.1; t += 0.02) expect(depth(t + 0.02, 900)).toBeLessThan(depth(t, 900) + 1e-9);
    for (let i = 200; i < 1200; i += 200) expect(depth(0.04, i + 200)).toBeGreaterThan(depth(0.04, i) - 1e-9);
  });
});
