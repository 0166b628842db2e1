/** Edits of trial-pit logs: recipes on a draft plan, so that panel, pit face and plan share them. */
import { newLog, nextName, type SoilEntry, type SoilKind, soilOrder } from '@cimiento/core';
import type { Draft } from '../../state/store.ts';

const round2 = (value: number) => Math.round(value * 100) / 100;

/** Soils in the order the logs have them; left as they are where logs contradict each other. */
function order(draft: Draft): void {
  const ordered = soilOrder(draft.ground.soils, draft.ground.logs);
  if (ordered?.some((soil, i) => soil.id !== draft.ground.soils[i]?.id))
    draft.ground.soils = ordered.map((soil) => ({ ...soil }));
}

/** A log with the top soil of the job, down to where the others end. Returns its id. */
export function addLog(draft: Draft, at: readonly [number, number]): string {
  const { logs, soils } = draft.ground;
  const id = nextName(
    'log-',
    logs.map((log) => log.id),
  );
  const name = nextName(
    'TP',
    logs.map((log) => log.name),
  );
  const bottom = logs[0]?.bottom ?? 2.5;
  logs.push({
    ...newLog(id, name, [round2(at[0]), round2(at[1])], bottom),
    layers: [{ soil: soils[0]!.id, top: 0, note: '' }],
  });
  return id;
}

export function addSoil(draft: Draft, kind: SoilKind, after: string | null): SoilEntry {
  const soil: SoilEntry = {
    id: nextName(
      'soil-',
      draft.ground.soils.map((s) => s.id),
    ),
    name: '',
    kind,
    values: {},
    hand: null,
  };
  draft.ground.soils.splice(draft.ground.soils.findIndex((s) => s.id === after) + 1, 0, soil);
  return soil;
}

/** @param soil id of one of the job's soils, or the kind of a new one */
export function setLayerSoil(
  draft: Draft,
  log: number,
  layer: number,
  soil: { readonly id: string } | { readonly kind: SoilKind },
): void {
  const entry = draft.ground.logs[log];
  const target = entry?.layers[layer];
  if (!entry || !target) return;
  target.soil = 'id' in soil ? soil.id : addSoil(draft, soil.kind, entry.layers[layer - 1]?.soil ?? null).id;
  order(draft);
}

/** The next layer down: the job's next soil, half way to the end of the log. */
export function addLayer(draft: Draft, log: number): void {
  const entry = draft.ground.logs[log];
  const last = entry?.layers[entry.layers.length - 1];
  if (!entry || !last) return;
  const { soils } = draft.ground;
  const at = soils.findIndex((soil) => soil.id === last.soil);
  const next = soils[at + 1] ?? addSoil(draft, 'stiffClay', last.soil);
  const room = entry.bottom - last.top;
  const top = round2(last.top + (room > 0.1 ? room / 2 : 0.3));
  entry.layers.push({ soil: next.id, top, note: '' });
  if (entry.bottom <= top) entry.bottom = round2(top + 0.5);
  draft.ground.knownTo = Math.max(draft.ground.knownTo, entry.bottom);
}

export function removeLayer(draft: Draft, log: number, layer: number): void {
  const entry = draft.ground.logs[log];
  if (!entry || entry.layers.length < 2) return;
  entry.layers.splice(layer, 1);
  // What is now on top reaches the surface.
  entry.layers[0]!.top = 0;
}

/** A boundary dragged or nudged: held between its neighbours, to 10 mm. */
export function moveBoundary(draft: Draft, log: number, layer: number, depth: number): void {
  const entry = draft.ground.logs[log];
  const target = entry?.layers[layer];
  if (!entry || !target || layer === 0) return;
  const above = entry.layers[layer - 1]!.top;
  const below = entry.layers[layer + 1]?.top ?? entry.bottom;
  target.top = round2(Math.min(below - 0.02, Math.max(above + 0.02, depth)));
}

/** Takes a soil out of the job, and its layers out of every log. */
export function removeSoil(draft: Draft, id: string): void {
  const { ground, levels } = draft;
  if (ground.soils.length < 2) return;
  ground.soils = ground.soils.filter((soil) => soil.id !== id);
  for (const log of ground.logs) {
    log.layers = log.layers.filter((layer) => layer.soil !== id);
    if (log.layers.length === 0) log.layers.push({ soil: ground.soils[0]!.id, top: 0, note: '' });
    log.layers[0]!.top = 0;
  }
  if (levels.bearing?.soil === id) levels.bearing = null;
}
