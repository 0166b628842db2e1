/** Edits of what is cast together: recipes on a draft plan. */
import { nextName } from '@cimiento/core';
import type { Draft } from '../../state/store.ts';

/** Takes an element out of every named pour; one left empty is one no more. */
function takeOut(draft: Draft, element: string): void {
  for (const pour of draft.pour.together) pour.elements = pour.elements.filter((id) => id !== element);
  draft.pour.together = draft.pour.together.filter((pour) => pour.elements.length > 0);
}

/** @param to id of a named pour; 'new' for one of its own; '' with its like */
export function movePour(draft: Draft, element: string, to: string, name: string): void {
  const target = draft.pour.together.find((pour) => pour.id === to);
  takeOut(draft, element);
  if (to === '') return;
  if (target && draft.pour.together.includes(target)) {
    target.elements.push(element);
    return;
  }
  const id = nextName(
    'pour-',
    draft.pour.together.map((pour) => pour.id),
  );
  draft.pour.together.push({ id, name, elements: [element] });
}

/** The order of casting with one pour changed for the one before it, or after it: ids of elements. */
export function castEarlier(
  pours: readonly { readonly elements: readonly string[] }[],
  at: number,
  by: -1 | 1,
): string[] {
  const order = [...pours];
  const [one, other] = [order[at], order[at + by]];
  if (!one || !other) return order.flatMap(({ elements }) => elements);
  order[at] = other;
  order[at + by] = one;
  return order.flatMap(({ elements }) => elements);
}
