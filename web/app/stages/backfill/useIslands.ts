/** What cannot stand between the openings of a job, worked out once for list and plan. */
import { type BulkPit, bulkPit, type Island, islandsOf, type Takeoff } from '@cimiento/core';
import { useGround, useShownPlan, useTakeoff } from '../../state/takeoff.ts';

interface Found {
  readonly islands: readonly Island[];
  readonly pit: BulkPit | null;
}
const known = new WeakMap<Takeoff, Found>();

export function useIslands(): Found {
  const plan = useShownPlan();
  const model = useGround();
  const takeoff = useTakeoff();
  const before = known.get(takeoff);
  if (before) return before;
  const islands = islandsOf(plan, model, takeoff);
  const found = { islands, pit: islands.length > 0 ? bulkPit(plan, model, takeoff, islands) : null };
  known.set(takeoff, found);
  return found;
}
