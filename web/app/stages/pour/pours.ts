/** Edits of what is cast together: recipes on a draft plan. */
import { nextName, type Takeoff } from '@cimiento/core';
import type { Draft } from '../../state/store.ts';

type Pour = Takeoff['pours'][number];

/** Takes casts out of every named pour; one left empty is one no more. */
function takeOut(draft: Draft, ...keys: readonly string[]): void {
  for (const pour of draft.pour.together) pour.elements = pour.elements.filter((key) => !keys.includes(key));
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
  addPour(draft, name, [element]);
}

function addPour(draft: Draft, name: string, elements: string[]): void {
  const id = nextName(
    'pour-',
    draft.pour.together.map((pour) => pour.id),
  );
  draft.pour.together.push({ id, name, elements });
}

/** What both name, ordered as one: under the first's name where it has one. */
export function joinPours(
  draft: Draft,
  one: Pick<Pour, 'id' | 'casts'>,
  next: Pick<Pour, 'casts'>,
  name: string,
): void {
  const keys = [...one.casts, ...next.casts].map(({ key }) => key);
  const target = draft.pour.together.find((pour) => pour.id === one.id);
  takeOut(draft, ...keys);
  if (target) {
    target.elements = keys;
    if (!draft.pour.together.includes(target)) draft.pour.together.push(target);
    return;
  }
  addPour(draft, name, keys);
}

/**
 * The order of casting with one pour changed for the one before it, or after it: ids of elements, each where the
 * first of it is cast.
 */
export function castEarlier(
  pours: readonly { readonly elements: readonly string[] }[],
  at: number,
  by: -1 | 1,
): string[] {
  const order = [...pours];
  const [one, other] = [order[at], order[at + by]];
  if (one && other) {
    order[at] = other;
    order[at + by] = one;
  }
  return [...new Set(order.flatMap(({ elements }) => elements))];
}
