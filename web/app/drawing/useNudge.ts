/** Keys on something drawn whose drawing may lag behind the plan, as it does while a worker computes. */
import { useRef } from 'react';
import { useDeskStore } from '../state/store.ts';

/** Steps upward a key moves what is drawn by. */
export const KEY_STEPS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
};

/**
 * Moves a drawn value by a step. A key goes on from what the key before it put into the plan, as long as
 * nothing else was edited since: the drawing may still show what was there before both.
 */
export function useNudge(): (name: string, drawn: number, by: number, put: (value: number) => void) => void {
  const store = useDeskStore();
  const last = useRef<{ readonly name: string; readonly plan: object; readonly to: number } | null>(null);
  return (name, drawn, by, put) => {
    const before = store.getState().plan;
    const known = last.current;
    const to = (known?.name === name && known.plan === before ? known.to : drawn) + by;
    put(to);
    const { plan } = store.getState();
    // What was refused is not gone on from.
    last.current = plan === before ? null : { name, plan, to };
  };
}
