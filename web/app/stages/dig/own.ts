/** What the fields of one kind of element are given, and how they change it. */
import { type Element, FORMS } from '@cimiento/core';
import { useDeskStore } from '../../state/store.ts';

export interface Own<E extends Element> {
  readonly element: E;
  readonly index: number;
}
export const pathOf = ({ index }: { readonly index: number }) => `/elements/${index}`;

/** Changes an element that is still of its kind. Edits of one key are one to undo. */
export function usePut<E extends Element>({ element, index }: Own<E>) {
  const store = useDeskStore();
  return (change: (e: E) => void, key?: string) =>
    store.getState().edit((d) => {
      const target = d.elements[index];
      if (target?.kind === element.kind) change(target as E);
    }, key);
}

/** Narrow enough for a bucket to be chosen, and for a wall or column to stand on. */
export const isNarrow = ({ kind }: Element, inBays: boolean) =>
  (FORMS[kind] === 'run' || FORMS[kind] === 'pad') && !inBays;
