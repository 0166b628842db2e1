/** One number of a plan by its JSON pointer: read it and write it. */
import type { Plan } from './schema.ts';

const keysOf = (pointer: string) => pointer.split('/').slice(1);

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
