/** Setting out of the plan as it stands, worked out once for every part that shows it. */
import { type SetoutSheet, setoutSheet } from '@cimiento/core';
import { useMemo } from 'react';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';

export function useSetout(): SetoutSheet {
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  return useMemo(() => setoutSheet(plan, takeoff), [plan, takeoff]);
}
