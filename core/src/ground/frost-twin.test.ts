import { describe, expect, it } from 'vitest';
import { type Climate, dryLayer, type FrostLayer, frostDepth, frostLayer } from './frost.ts';

/**
 * The slow twin: heat conduction in a column of 10 mm cells, stepped explicitly, with enthalpy
 * for the change of phase. It shares nothing with the front balance but the layers' properties.
 */
function conducted(layers: readonly FrostLayer[], climate: Climate, size = 0.01, deep = 4): number {
  const surface = -(climate.nFactor * climate.index) / climate.days;
  const count = Math.round(deep / size);
  const cells = Array.from({ length: count }, (_, i) => {
    let bottom = 0;
    for (const layer of layers) {
      bottom += layer.thickness;
      if ((i + 0.5) * size < bottom) return layer;
    }
    return layers[layers.length - 1]!;
  });
  const k = Float64Array.from(cells, (cell) => cell.conductivity);
  const heat = Float64Array.from(cells, (cell) => cell.heat);
  const latent = Float64Array.from(cells, (cell) => cell.latent);
  /** Heat above frozen at 0 °C, J/m³. */
  const enthalpy = Float64Array.from(cells, (cell) => cell.heat * climate.mean + cell.latent);
  const temperature = new Float64Array(count).fill(climate.mean);
  const link = Float64Array.from(
    cells,
    (cell, i) => 1 / (size / 2 / cell.conductivity + (i > 0 ? size / 2 / k[i - 1]! : 0)),
  );
  const seconds = climate.days * 86_400;
  const steps = Math.ceil(
    seconds / Math.min(...cells.map((c) => (0.4 * size * size * c.heat) / c.conductivity)),
  );
  const dt = seconds / steps;
  for (let step = 0; step < steps; step++) {
    let out = link[0]! * (temperature[0]! - surface);
    for (let i = 0; i < count; i++) {
      const into = i < count - 1 ? link[i + 1]! * (temperature[i + 1]! - temperature[i]!) : 0;
      enthalpy[i]! += (dt / size) * (into - out);
      out = into;
    }
    for (let i = 0; i < count; i++) {
      const h = enthalpy[i]!;
      temperature[i] = h < 0 ? h / heat[i]! : h <= latent[i]! ? 0 : (h - latent[i]!) / heat[i]!;
    }
  }
  let depth = 0;
  for (let i = 0; i < count; i++) {
    const frozen = enthalpy[i]! < 0 ? 1 : latent[i]! > 0 ? Math.max(0, 1 - enthalpy[i]! / latent[i]!) : 0;
    depth += size * frozen;
    if (frozen < 1) break;
  }
  return depth;
}

const fine = (thickness: number, dry: number, water: number) => frostLayer(thickness, 'fine', dry, water);
const coarse = (thickness: number, dry: number, water: number) => frostLayer(thickness, 'coarse', dry, water);
const board = dryLayer(0.05, 0.034, 35 * 1450);
const climate = (index: number, days: number, mean: number, nFactor: number): Climate => ({
  index,
  days,
  mean,
  nFactor,
});

describe('frost through layers, against conduction with phase change', () => {
  it.each<[string, FrostLayer[], Climate]>([
    [
      'topsoil, soft wet clay, gravelly clay',
      [fine(0.25, 1300, 0.22), fine(0.6, 1220, 0.45), fine(9, 2120, 0.09)],
      climate(700, 120, 5, 0.9),
    ],
    [
      'topsoil, silt, sand in a mild winter',
      [fine(0.25, 1300, 0.22), fine(0.4, 1430, 0.32), coarse(9, 1590, 0.15)],
      climate(250, 80, 9, 0.7),
    ],
    [
      'dry gravel, wet clay, dry gravel',
      [coarse(0.4, 1860, 0.03), fine(0.3, 1220, 0.45), coarse(9, 1860, 0.03)],
      climate(700, 100, 4, 0.9),
    ],
    [
      'gravel fill, insulation board, clay',
      [coarse(0.3, 1860, 0.05), board, fine(9, 1600, 0.2)],
      climate(900, 130, 4, 0.9),
    ],
    [
      'insulation board, gravel, clay',
      [board, coarse(0.4, 1860, 0.05), fine(9, 1600, 0.2)],
      climate(900, 130, 4, 0.9),
    ],
  ])(
    '%s: within 5 %%',
    (_name, layers, winter) => {
      const slow = conducted(layers, winter);
      expect(Math.abs(frostDepth(layers, winter) / slow - 1)).toBeLessThan(0.05);
    },
    60_000,
  );
});
