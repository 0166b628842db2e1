/** How far the bays under old walls are, on the desk's drawings. */
import { type BayState, baysNow } from '@cimiento/core';
import { useMemo } from 'react';
import { useDesk } from './store.ts';
import { useTakeoff } from './takeoff.ts';

/** By number of the bay, of one run. */
export function useBays(element: string): ReadonlyMap<number, BayState> {
  const takeoff = useTakeoff();
  const plan = useDesk((desk) => desk.plan);
  return useMemo(
    () =>
      new Map(
        baysNow({ ...takeoff, plan }, Date.now()).flatMap((bay) =>
          bay.element === element ? [[bay.bay, bay.state] as const] : [],
        ),
      ),
    [takeoff, plan, element],
  );
}
