/** One number of a plan by its JSON pointer: read it, write it, and know its range. */
import { RANGES, type RangeKey } from './ranges.ts';
import type { Plan } from './schema.ts';

/** Element fields that share the range of the job-wide setting they override. */
const SHARED: Record<string, RangeKey> = {
  'elements.side': 'dig.side',
  'elements.room': 'dig.room',
  'elements.bucket': 'dig.buckets',
  'elements.points': 'elements.coordinate',
  'elements.at': 'elements.coordinate',
  'elements.outline': 'elements.coordinate',
  'site.boundary': 'elements.coordinate',
  'site.gates.at': 'elements.coordinate',
  'site.areas.points': 'elements.coordinate',
  'site.paths.points': 'elements.coordinate',
  'dig.machines.reach.depth': 'dig.machines.depth',
  'dig.machines.reach.reach': 'dig.machines.reach',
  'dig.machines.logged.volume': 'dig.machines.volume',
  'dig.machines.logged.hours': 'dig.machines.hours',
  'ground.logs.at': 'elements.coordinate',
  'ground.hazards.points': 'elements.coordinate',
  'ground.surface.points': 'elements.coordinate',
  'levels.shallow.board.thickness': 'ground.frost.cover.thickness',
  'levels.shallow.board.conductivity': 'ground.frost.cover.conductivity',
  'levels.shallow.outfall.distance': 'levels.shallow.distance',
  'levels.shallow.outfall.level': 'levels.shallow.level',
};

const keysOf = (pointer: string) => pointer.split('/').slice(1);

/**
 * The range a pointer's number must lie in: its path without list positions.
 * @throws when the pointer is of nothing that has a range: a slip in the caller
 */
export function rangeOf(pointer: string): RangeKey {
  if (/^\/ground\/surface\/points\/\d+\/2$/.test(pointer)) return 'ground.surface.level';
  const path = keysOf(pointer)
    .filter((key) => !/^\d+$/.test(key) && key !== 'values')
    .join('.');
  const key = SHARED[path] ?? path;
  if (key in RANGES) return key as RangeKey;
  throw new Error(`No range is known for ${pointer}.`);
}

type Place = Record<string, unknown>;
const parentOf = (plan: Plan, pointer: string): [Place | undefined, string] => {
  const keys = keysOf(pointer);
  const last = keys.pop() ?? '';
  let place: unknown = plan;
  for (const key of keys)
    place = typeof place === 'object' && place !== null ? (place as Place)[key] : undefined;
  return [typeof place === 'object' && place !== null ? (place as Place) : undefined, last];
};

/** The number at a pointer; null when it is absent or left open. */
export function readNumber(plan: Plan, pointer: string): number | null {
  const [place, key] = parentOf(plan, pointer);
  const value = place?.[key];
  return typeof value === 'number' ? value : null;
}

/**
 * Puts a number at a pointer, in place; null leaves an optional value open. Nothing happens when
 * what it belongs to is gone. Measured values of a soil and
 * what was felt of it are absent, not null, when not given.
 */
export function writeNumber(draft: Plan, pointer: string, value: number | null): void {
  const [place, key] = parentOf(draft, pointer);
  if (!place) return;
  if (value === null && /\/(values|hand)\//.test(pointer)) delete place[key];
  else if (Array.isArray(place)) place.splice(Number(key), 1, value);
  else place[key] = value;
}
