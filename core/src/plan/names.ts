/** Names and ids: given out one after the other, and looked up. */
import type { Plan } from './schema.ts';

/** The next free id or name of the form T1, T2, … */
export function nextName(prefix: string, taken: readonly string[]): string {
  let n = 1;
  while (taken.includes(`${prefix}${n}`)) n++;
  return `${prefix}${n}`;
}

/** What an element is called; its id when the plan has it no longer. */
export const elementName = ({ elements }: Pick<Plan, 'elements'>, id: string): string =>
  elements.find((element) => element.id === id)?.name ?? id;
