/** The order of digging as it stands: asked of the worker once and shared by plan and list. */
import type { DigOrder, Plan } from '@cimiento/core';
import { createContext, useContext } from 'react';
import { useDesk } from '../../desk/store.ts';
import { useDigOrder } from '../../desk/whatif.ts';

const Context = createContext<DigOrder | null>(null);
export const OrderProvider = Context.Provider;
/** Null until it is worked out, and while nobody looks at it. */
export const useOrder = (): DigOrder | null => useContext(Context);

/** The plan's order, worked out only while it is looked at. */
export function useOrderOf(plan: Plan): DigOrder | null {
  const wanted = useDesk(({ stage, view: { lower } }) =>
    stage === 'dig'
      ? lower.dig === 'order' || lower.dig === 'trucks'
      : stage === 'setout' && lower.setout === 'boards',
  );
  return useDigOrder(wanted ? plan : null);
}
