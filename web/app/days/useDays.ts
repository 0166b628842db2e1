/** The days of a job as they are edited: worked out anew with every edit, in a worker, and saved as the desk saves. */
import type { Days, Plan, Takeoff } from '@cimiento/core';
import { useEffect, useState } from 'react';
import type { Sender } from '../outbox/sender.ts';
import { Asker } from '../state/ask/asker.ts';
import { useAutosave } from '../state/autosave.ts';
import { useRecords } from '../state/records.ts';
import type { DeskStore } from '../state/store.ts';
import { useTakeUp } from '../state/takeUp.ts';

const LONGEST = 20_000;

export interface DaysShown {
  readonly days: Days;
  /** What they are of. */
  readonly plan: Plan;
  /** What is dug and cast in bays, by element; null: not worked out yet. */
  readonly bays: ReadonlyMap<string, NonNullable<Takeoff['elements'][number]['bays']>> | null;
}

export function useDays(
  store: DeskStore,
  {
    jobId,
    person,
    sender,
    last,
    order,
    day,
    first,
  }: {
    readonly jobId: string;
    readonly person: string;
    readonly sender: Sender;
    readonly last: number;
    /** The order things are dug in, as it was found. */
    readonly order: readonly string[];
    /** The day they are looked at from. */
    readonly day: string;
    readonly first: DaysShown;
  },
): DaysShown {
  const [shown, setShown] = useState(first);
  useTakeUp(store, jobId, person);
  useRecords(store, jobId, sender, last);
  useAutosave(store, jobId, person);
  useEffect(() => {
    const asker = new Asker({ endStale: true });
    const work = async () => {
      const { plan, records } = store.getState();
      const known = records.filter((record) => record.at.slice(0, 10) <= day);
      const made = await asker.ask({ plan, records: known }, 'days', [order, day], {
        topic: 'days',
        limit: LONGEST,
      });
      if (made) setShown(made);
    };
    // What the page came with is worked out already; a worker that stands answers the first edit at once.
    void work();
    const stop = store.subscribe((now, before) => {
      if (now.plan !== before.plan || now.records !== before.records) void work();
    });
    return () => {
      stop();
      asker.stop();
    };
  }, [store, order, day]);
  return shown;
}
