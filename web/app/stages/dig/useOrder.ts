/** The order of digging as it stands: asked of the worker once and shared by plan and list. */
import type { DigSequence, Plan } from '@cimiento/core';
import { createContext, useContext } from 'react';
import { useDigSequence } from '../../state/ask/whatif.ts';
import { useDesk } from '../../state/store.ts';

interface Searched {
  /** Null until it is worked out, and while nobody looks at it. */
  readonly value: DigSequence | null;
  /** How far the search is, 0…1. */
  readonly share: number;
}
const Context = createContext<Searched>({ value: null, share: 0 });
export const OrderProvider = Context.Provider;
export const useOrder = (): DigSequence | null => useContext(Context).value;
export const useSearched = (): number => useContext(Context).share;

/** The plan's order, worked out only while it is looked at. */
export function useOrderOf(plan: Plan): Searched {
  const wanted = useDesk(({ stage, view: { lower } }) =>
    stage === 'dig'
      ? lower.dig === 'order' || lower.dig === 'trucks'
      : stage === 'setout' && lower.setout === 'boards',
  );
  return useDigSequence(wanted ? plan : null);
}
