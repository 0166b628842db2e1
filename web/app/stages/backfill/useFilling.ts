/** What is filled, worked out once for all that shows it. */
import { type ElementFill, type Filling, fillingOf, type Plan, type Takeoff } from '@cimiento/core';
import { useDesk } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { today } from '../../ui/today.ts';

interface Known {
  readonly plan: Plan;
  readonly day: string;
  readonly filling: Filling;
}
const known = new WeakMap<Takeoff, Known>();

export function useFilling(): Filling {
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const day = today(plan.water.zone);
  const before = known.get(takeoff);
  if (before?.plan === plan && before.day === day) return before.filling;
  const filling = fillingOf(plan, takeoff, day);
  known.set(takeoff, { plan, day, filling });
  return filling;
}

/** The fill of what is picked; null: nothing is picked, or nothing filled there. */
export function usePickedFill(): ElementFill | null {
  const picked = useDesk((desk) => desk.picked);
  return useFilling().elements.find(({ info }) => info.id === picked) ?? null;
}
