/** Edits of floors and the layers under them: recipes on a draft plan. */
import { type FloorLayer, MATERIALS, type MaterialId, newFloor, nextName } from '@cimiento/core';
import type { Draft } from '../../state/store.ts';

const floorAt = (draft: Draft, floor: string) => draft.levels.floors.find((entry) => entry.id === floor);

/** A floor with a slab, or a storey over the first. Returns its id. */
export function addFloor(draft: Draft, name: string, slab: string): string {
  const floor = newFloor(draft, name, slab);
  draft.levels.floors.push(floor);
  return floor.id;
}

export function removeFloor(draft: Draft, floor: string): void {
  draft.levels.floors = draft.levels.floors.filter((entry) => entry.id !== floor);
  for (const element of draft.elements) if (element.floor === floor) element.floor = null;
}

/** A layer of a material as it really comes; courses go under everything laid once. */
export function addLayer(draft: Draft, floor: string, material: MaterialId, name: string): void {
  const target = floorAt(draft, floor);
  if (!target || target.layers.length >= 20) return;
  const { thicknesses, joint } = MATERIALS[material];
  const layer: FloorLayer = {
    id: nextName(
      'layer-',
      target.layers.map((entry) => entry.id),
    ),
    name,
    material,
    thickness: thicknesses[0]!,
    joint,
  };
  const courses = target.layers.findIndex((entry) => entry.joint !== null);
  if (courses === -1) target.layers.push(layer);
  else if (joint === null) target.layers.splice(courses, 0, layer);
}

/** Puts a layer at another place in the stack; courses stay last. */
export function moveLayer(draft: Draft, floor: string, from: number, to: number): void {
  const target = floorAt(draft, floor);
  const layer = target?.layers[from];
  if (!target || !layer || layer.joint !== null) return;
  const last = target.layers.filter((entry) => entry.joint === null).length - 1;
  const place = Math.max(0, Math.min(last, to));
  if (place === from) return;
  target.layers.splice(from, 1);
  target.layers.splice(place, 0, layer);
}

export function setMaterial(
  draft: Draft,
  floor: string,
  index: number,
  material: MaterialId,
  name: string,
): void {
  const layer = floorAt(draft, floor)?.layers[index];
  if (!layer) return;
  const { thicknesses, joint } = MATERIALS[material];
  layer.material = material;
  layer.name = name;
  layer.thickness = thicknesses[0]!;
  layer.joint = joint;
}

/** A dragged thickness: one the material comes in when near, else to 5 mm. */
export function snapThickness(material: MaterialId, thickness: number): number {
  const near = MATERIALS[material].thicknesses.find((stock) => Math.abs(stock - thickness) < 0.006);
  return near ?? Math.max(0.005, Math.round(thickness / 0.005) * 0.005);
}

export function setThickness(draft: Draft, floor: string, index: number, thickness: number): void {
  const layer = floorAt(draft, floor)?.layers[index];
  if (layer) layer.thickness = Math.min(3, Math.round(snapThickness(layer.material, thickness) * 1e6) / 1e6);
}
