/** Whether single keys steer: who speaks to the machine, or leans on a key, has them off. Kept in this browser. */
import { useSyncExternalStore } from 'react';

const NAME = 'cimiento:single-keys';
const listeners = new Set<() => void>();
let on: boolean | null = null;

export function singleKeys(): boolean {
  try {
    on ??= localStorage.getItem(NAME) !== 'off';
  } catch {
    on ??= true;
  }
  return on;
}

export function setSingleKeys(next: boolean): void {
  on = next;
  try {
    localStorage.setItem(NAME, next ? 'on' : 'off');
  } catch {
    // Then it holds for this page.
  }
  for (const tell of listeners) tell();
}

export const useSingleKeys = (): boolean =>
  useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, singleKeys);
