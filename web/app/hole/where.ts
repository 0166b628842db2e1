/** Where somebody is in the hole: in the address, so that back goes back. */
import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

const DOINGS = ['holds', 'hold', 'morning', 'change', 'levels', 'papers', 'depth', 'day', 'photo'] as const;
export type Doing = (typeof DOINGS)[number];

export interface Where {
  readonly job: string | null;
  /** Id of the thing looked at. */
  readonly at: string | null;
  readonly doing: Doing | null;
  /** Of a hold: what records name it by. */
  readonly hold: string | null;
}

export function useWhere() {
  const [query, setQuery] = useSearchParams();
  const doing = query.get('do');
  const where: Where = {
    job: query.get('job'),
    at: query.get('at'),
    doing: DOINGS.find((one) => one === doing) ?? null,
    hold: query.get('hold'),
  };
  const go = useCallback(
    (next: Partial<Where>) => {
      setQuery((now) => {
        const out = new URLSearchParams(now);
        out.delete('from');
        for (const [key, name] of [
          ['job', 'job'],
          ['at', 'at'],
          ['doing', 'do'],
          ['hold', 'hold'],
        ] as const)
          if (key in next) {
            const value = next[key];
            if (value === null || value === undefined) out.delete(name);
            else out.set(name, value);
          }
        return out;
      });
    },
    [setQuery],
  );
  return { where, go };
}
