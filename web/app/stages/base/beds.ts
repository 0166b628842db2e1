/** Edits of beds and their layers: recipes on a draft plan. */
import {
  type BedLayer,
  type BedMaterialId,
  type Element,
  layerValues,
  liftsOf,
  newBed,
  newLayer,
  nextName,
  startOf,
  traitsOf,
  type WorkingWay,
  withFittingStone,
  workingLayers,
} from '@cimiento/core';
import { current } from 'immer';
import type { Draft } from '../../state/store.ts';

/** A footing that a bed is laid under without anyone asking: a drain brings its own stone. */
export const bears = (element: Element) => element.kind !== 'ramp' && !traitsOf(element).drains;

/** A bed under one element, or, the job's first, under every footing. */
export function addBed(draft: Draft, element: string | null): void {
  const bed = newBed(draft);
  const first = draft.beds.length === 0;
  draft.beds.push(bed);
  for (const one of draft.elements)
    if (one.id === element || (first && one.bed === null && bears(one))) one.bed = bed.id;
}

export function putOn(draft: Draft, element: string, bed: string | null): void {
  const target = draft.elements.find((one) => one.id === element);
  if (target) target.bed = bed;
}

/** The same bed under every footing of the job. */
export function putAllOn(draft: Draft, bed: string | null): void {
  for (const element of draft.elements) if (bears(element)) element.bed = bed;
}

/**
 * Soft soil under one element taken out and put back: a bed of its own with the fill below its layers, and
 * room for the foot the load spreads to.
 */
export function replaceUnder(
  draft: Draft,
  id: string,
  thickness: number,
  material: BedMaterialId,
  name: string,
): void {
  const element = draft.elements.find((one) => one.id === id);
  if (!element || element.kind === 'ramp' || draft.beds.length >= 20) return;
  const own = draft.beds.find((bed) => bed.id === element.bed);
  const made = newBed(draft);
  const layers = own ? current(own).layers : [];
  const fill = withFittingStone({
    ...newLayer(
      material,
      layers.map((layer) => layer.id),
      draft.system,
    ),
    thickness,
    name,
    purpose: 'replacement',
  });
  draft.beds.push({ ...made, ...(own && { cloth: current(own).cloth }), layers: [fill, ...layers] });
  element.bed = made.id;
  // The load spreads through the bed that was there as through what is put back below it.
  const deep = layers.reduce((sum, layer) => sum + layer.thickness, thickness);
  element.room = Math.max(element.room ?? draft.dig.room, deep / 2);
}

/** One element worked on another way: a bed of its own, or none. */
export function workOn(draft: Draft, id: string, way: WorkingWay): void {
  const element = draft.elements.find((one) => one.id === id);
  if (!element || element.kind === 'ramp') return;
  const before = draft.beds.find((bed) => bed.id === element.bed);
  const own = before ? current(before) : null;
  const layers = workingLayers(own, way, draft.system);
  if (layers.length === 0 || draft.beds.length >= 20) {
    if (layers.length === 0) element.bed = null;
    return;
  }
  const made = newBed(draft);
  draft.beds.push({ ...made, cloth: own?.cloth ?? null, layers });
  element.bed = made.id;
}

/** A soft spot of a metre or a yard square about a place; the id it has. */
export function addSpot(draft: Draft, [x, y]: readonly [number, number]): string {
  const { softSpots } = draft.ground;
  const half = draft.system === 'metric' ? 0.5 : 0.4572;
  const id = nextName(
    'spot-',
    softSpots.map((spot) => spot.id),
  );
  const name = nextName(
    'W',
    softSpots.map((spot) => spot.name),
  );
  softSpots.push({
    id,
    name,
    points: [
      [x - half, y - half],
      [x + half, y - half],
      [x + half, y + half],
      [x - half, y + half],
    ],
    depth: startOf('/ground/softSpots/*/depth', draft.system),
    material: 'crushed',
    compactor: 'rammer',
    cement: null,
  });
  return id;
}

/** Another corner in the middle of its longest side. */
export function addSpotCorner({ points }: { readonly points: (readonly [number, number])[] }): void {
  if (points.length >= 60) return;
  const side = (i: number) => {
    const [p, q] = [points[i]!, points[(i + 1) % points.length]!];
    return Math.hypot(q[0] - p[0], q[1] - p[1]);
  };
  const at = points.reduce((best, _, i) => (side(i) > side(best) + 1e-9 ? i : best), 0);
  const [p, q] = [points[at]!, points[(at + 1) % points.length]!];
  points.splice(at + 1, 0, [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2]);
}

export function removeBed(draft: Draft, bed: string): void {
  draft.beds = draft.beds.filter((one) => one.id !== bed);
  for (const element of draft.elements) if (element.bed === bed) element.bed = null;
}

const layersOf = (draft: Draft, bed: string) => draft.beds.find((one) => one.id === bed)?.layers;

/** On top of what lies there already. */
export function addLayer(draft: Draft, bed: string, material: BedMaterialId): void {
  const layers = layersOf(draft, bed);
  if (!layers || layers.length >= 20) return;
  layers.push(
    newLayer(
      material,
      layers.map((layer) => layer.id),
      draft.system,
    ),
  );
}

/** Puts a layer one up (1) or down (−1); at the end it stays. */
export function moveLayer(draft: Draft, bed: string, at: number, by: 1 | -1): void {
  const layers = layersOf(draft, bed);
  const layer = layers?.[at];
  if (!layers || !layer || !layers[at + by]) return;
  layers.splice(at, 1);
  layers.splice(at + by, 0, layer);
}

/** Another material with what is typical of it; the place and the thickness stay. */
export function setMaterial(draft: Draft, bed: string, at: number, material: BedMaterialId): void {
  const layers = layersOf(draft, bed);
  const before = layers?.[at];
  if (!layers || !before) return;
  const { id, thickness } = before;
  layers[at] = { ...newLayer(material, [], draft.system), id, thickness };
}

/** A dragged thickness, to 5 mm, never thinner than its stone. */
export function setThickness(draft: Draft, bed: string, at: number, thickness: number): void {
  const layer = layersOf(draft, bed)?.[at];
  if (!layer) return;
  const { cast, topSize } = layerValues(layer);
  const least = cast ? 0.02 : Math.max(0.01, Math.ceil(topSize / 0.005) * 0.005);
  const snapped = Math.round(thickness / 0.005) * 0.005;
  layer.thickness = Math.round(Math.min(5, Math.max(least, snapped)) * 1e6) / 1e6;
}

/** What a trial strip has shown, or that none has been made. */
export function setProven(layer: BedLayer, lift: number | null, trial: string): void {
  layer.proven = lift === null ? null : { lift, trial };
}

/** More of the lowest layer under an element, so that its bed is so much thicker; a bed where there is none. */
export function thicken(draft: Draft, element: string, by: number, name: string): void {
  const target = draft.elements.find((one) => one.id === element);
  if (!target || by <= 0) return;
  const shared = draft.elements.some((one) => one.id !== element && one.bed === target.bed);
  const before = draft.beds.find((bed) => bed.id === target.bed);
  const up = (m: number) => Math.min(5, Math.ceil(m / 0.005 - 1e-6) * 0.005);
  // With stones that fit its lifts; those somebody typed ask for thicker lifts, so for more of it.
  const laid = (layer: BedLayer, thickness: number): BedLayer => {
    const made = withFittingStone({ ...layer, thickness: up(thickness) });
    const lifts = liftsOf(made);
    const least = lifts?.stoneTooLarge ? 4 * layerValues(made).topSize : 0;
    return lifts && least > 0 && least <= lifts.limit + 1e-9
      ? { ...made, thickness: up(lifts.count * least) }
      : made;
  };
  if (!before || shared) {
    if (draft.beds.length >= 20) return;
    // Others stand on it too: they keep theirs.
    const bed = newBed(draft);
    draft.beds.push(
      before
        ? { ...structuredClone(current(before)), id: bed.id, name: `${before.name} +`.slice(0, 80) }
        : { ...bed, name },
    );
    target.bed = bed.id;
    const own = draft.beds.at(-1)!;
    const [layer] = own.layers;
    own.layers[0] = laid(layer!, before ? layer!.thickness + by : by);
    return;
  }
  const layer = current(before).layers[0]!;
  before.layers[0] = laid(layer, layer.thickness + by);
}
