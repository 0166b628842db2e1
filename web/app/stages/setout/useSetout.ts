/** Setting out of the plan as it stands, worked out once for every part that shows it. */
import { type SetoutSheet, setoutSheet } from '@cimiento/core';
import { useMemo } from 'react';
import { useDesk } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';

export function useSetout(): SetoutSheet {
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  return useMemo(() => setoutSheet(plan, takeoff), [plan, takeoff]);
}
