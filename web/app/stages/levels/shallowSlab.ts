/** The shallow school taken at its word: what it computed beside the plan becomes a slab of it. */
import {
  newBed,
  newLayer,
  newRaft,
  nextName,
  pointsOf,
  type Takeoff,
  withFittingStone,
} from '@cimiento/core';
import type { Draft } from '../../state/store.ts';
import { addFloor } from './floors.ts';

type Shallow = NonNullable<Takeoff['shallow']>;

/** Turned-down edges smaller than this are none, m. */
const LEAST_EDGE = 0.05;
const tidy = (m: number) => Math.round(m * 1e6) / 1e6;

/**
 * Adds the slab where the job lies, on its floor, with its bed and its board. Returns its id.
 * @param words for a floor that has to be made
 */
export function shallowToSlab(
  draft: Draft,
  found: Shallow,
  words: { readonly floor: string; readonly slab: string; readonly board: string },
): string | null {
  const { shallow } = draft.levels;
  if (!shallow) return null;
  if (draft.levels.floors.length === 0) {
    addFloor(draft, words.floor, words.slab);
    draft.levels.floors[0]!.level = tidy(found.slabTop);
  }
  const floor = draft.levels.floors[0]!;
  const slabAt = floor.layers.findIndex((layer) => layer.material === 'slab');
  const boarded = floor.layers.some((layer) => layer.material === 'insulation');
  if (shallow.board && !boarded && slabAt >= 0)
    floor.layers.splice(slabAt + 1, 0, {
      id: nextName(
        'layer-',
        floor.layers.map((layer) => layer.id),
      ),
      name: words.board,
      material: 'insulation',
      thickness: shallow.board.thickness,
      joint: null,
    });
  const bed = newBed(draft);
  const material = shallow.bed === 'sand' ? 'sand' : 'pitGravel';
  draft.beds.push({
    ...bed,
    layers: [
      withFittingStone({
        ...newLayer(material, [], draft.system),
        thickness: Math.ceil(found.bed / 0.01 - 1e-6) / 100,
        purpose: 'frost',
      }),
    ],
  });
  const points = draft.elements.flatMap((element) => [...pointsOf(element)]);
  const middle = (axis: 0 | 1) =>
    points.length === 0
      ? 0
      : (Math.min(...points.map((p) => p[axis])) + Math.max(...points.map((p) => p[axis]))) / 2;
  const [x, y, w, h] = [middle(0), middle(1), shallow.length / 2, shallow.width / 2];
  const raft = newRaft(draft, [
    [tidy(x - w), tidy(y - h)],
    [tidy(x + w), tidy(y - h)],
    [tidy(x + w), tidy(y + h)],
    [tidy(x - w), tidy(y + h)],
  ]);
  const down = shallow.edge - shallow.slab;
  draft.elements.push({
    ...raft,
    thickness: shallow.slab,
    founding: 'floor',
    floor: floor.id,
    bed: bed.id,
    edge: down >= LEAST_EDGE ? { depth: tidy(down), width: shallow.edgeWidth } : null,
  });
  draft.levels.shallow = null;
  return raft.id;
}
