/** The pour that is looked at as it is placed, worked out once for all that shows it. */
import { type Plan, type PouredBy, placingOf, type Takeoff } from '@cimiento/core';
import { useDesk } from '../../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../../state/takeoff.ts';

interface Known {
  readonly plan: Plan;
  readonly pour: string;
  readonly made: PouredBy | null;
}
const known = new WeakMap<Takeoff, Known>();

/** The pour chosen, else the first that is not cast, else the first; null: there is none. */
export function useChosenPour(): Takeoff['pours'][number] | null {
  const { pours } = useTakeoff();
  const chosen = useDesk((desk) => desk.view.pour);
  return pours.find(({ id }) => id === chosen) ?? pours.find(({ cast }) => !cast) ?? pours[0] ?? null;
}

export function usePlacing(): PouredBy | null {
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const pour = useChosenPour()?.id ?? null;
  if (pour === null) return null;
  const before = known.get(takeoff);
  if (before?.plan === plan && before.pour === pour) return before.made;
  const made = placingOf(plan, takeoff, pour);
  known.set(takeoff, { plan, pour, made });
  return made;
}
