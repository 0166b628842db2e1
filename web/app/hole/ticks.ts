/** A list that is gone through: what is ticked now beside what was logged. */
import { useState } from 'react';

/**
 * @param logged what was ticked when it was last logged
 * @param list of it, what is shown
 */
export function useTicks(logged: readonly string[], list: readonly string[]) {
  const [done, setDone] = useState<readonly string[]>(logged);
  return {
    done,
    /** Something of it is to be logged. */
    changed: list.some((item) => done.includes(item) !== logged.includes(item)),
    toggle: (item: string) =>
      setDone((now) => (now.includes(item) ? now.filter((one) => one !== item) : [...now, item])),
  };
}
