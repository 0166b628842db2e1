/** Which floor an element carries, and which string it is measured from. */
import type { Element } from './elements.ts';
import type { FloorSpec, Plan } from './schema.ts';

/** The floor an element carries: its own, or the job's first. */
export const floorOf = (plan: Plan, element: Element): FloorSpec | null =>
  plan.levels.floors.find((floor) => floor.id === element.floor) ?? plan.levels.floors[0] ?? null;

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
