/** What stands and lies in the dig in the end, below the ground: each term by itself, so that they add up to one. */
import type { Placed } from './place.ts';

const add = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** @param soft m³ of soft spots taken out, which are put back before anything stands on them */
export const builtTerms = (
  placed: Placed,
  soft: number,
): readonly (readonly [name: string, volume: number])[] => [
  ['stoneVolume', add(placed.elements.map(({ stone }) => stone))],
  ['softVolume', soft],
  ['makeUpVolume', placed.makeUp],
  ['blindingVolume', placed.blinding],
  ['footingVolume', add(placed.elements.map(({ concrete }) => concrete))],
  ['stemVolume', placed.risings],
  ['voidVolume', placed.voids],
  ['floorVolume', placed.underSlabs],
  ['boardVolume', placed.boards],
  ['packVolume', placed.packs],
  ['pipeVolume', add(placed.elements.map(({ pipe }) => pipe))],
];
