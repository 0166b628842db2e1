/** The order of a job's soils from the top down, as its logs have them. */
import type { GroundLog, SoilEntry } from '../plan/schema.ts';

/**
 * The soils in an order every log keeps to, staying as near the present one as that allows.
 * @returns null when logs contradict each other: one has a soil over another, a second under it
 */
export function soilOrder(soils: readonly SoilEntry[], logs: readonly GroundLog[]): SoilEntry[] | null {
  const above = new Map<string, Set<string>>(soils.map((soil) => [soil.id, new Set()]));
  for (const { layers } of logs)
    layers.forEach((layer, i) => {
      const over = layers[i - 1];
      if (over && over.soil !== layer.soil) above.get(layer.soil)?.add(over.soil);
    });
  const left = [...soils];
  const out: SoilEntry[] = [];
  while (left.length > 0) {
    const next = left.findIndex((soil) =>
      [...above.get(soil.id)!].every((id) => out.some((done) => done.id === id)),
    );
    if (next === -1) return null;
    out.push(...left.splice(next, 1));
  }
  return out;
}
