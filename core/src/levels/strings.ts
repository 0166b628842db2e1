/** Strings: which one an element is measured from. */
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { floorOf } from './floors.ts';

/** A string with its level; the job's own has no id. */
export interface StringLevel {
  readonly id: string | null;
  readonly name: string | null;
  readonly level: number;
}

/** All of a job's, its own first. */
export const stringsOf = ({ levels }: Plan): StringLevel[] => [
  { id: null, name: null, level: levels.string },
  ...levels.strings,
];

/** The string an element hangs on: its own, its floor's, or the job's. */
export function stringFor(plan: Plan, element: Element): StringLevel {
  const wanted = element.string ?? floorOf(plan, element)?.string ?? null;
  const all = stringsOf(plan);
  return all.find((string) => string.id === wanted) ?? all[0]!;
}
