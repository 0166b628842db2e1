/** A job in the hole: off the phone at once, from the server where there is one, worked out in a worker. */
import { type HoleView, PLAN_VERSION, type Plan, type SiteRecord } from '@cimiento/core';
import { useEffect, useState } from 'react';
import type { Sender } from '../outbox/sender.ts';
import { Asker } from '../state/ask/asker.ts';
import { useAutosave } from '../state/autosave.ts';
import { keepOnPhone, sentOf } from '../state/keepOnPhone.ts';
import { dropJob, keepJob, keptJob } from '../state/phone.ts';
import { useRecords } from '../state/records.ts';
import { type DeskStore, makeDesk } from '../state/store.ts';
import { useTakeUp } from '../state/takeUp.ts';

/** An answer that takes longer is as good as none, ms. */
const LONGEST_ANSWER = 10_000;
/** What takes longer is called off, ms. */
const LONGEST_TAKEOFF = 30_000;

export interface Opened {
  readonly store: DeskStore;
  readonly last: number;
  /** What was worked out of it last, by this program. */
  readonly view: HoleView | null;
}
export type Opening =
  | { readonly state: 'reading' | 'gone' | 'signedOut' }
  | { readonly state: 'open'; readonly job: Opened };

interface Whole {
  readonly id: string;
  readonly plan: Plan;
  readonly revision: number;
  readonly records: readonly SiteRecord[];
  readonly last: number;
}

/** The job as the server has it; else how it answered. */
async function ask(id: string): Promise<Whole | number> {
  const answer = await fetch(`/jobs/${id}/whole`, { signal: AbortSignal.timeout(LONGEST_ANSWER) }).catch(
    () => null,
  );
  if (!answer?.ok) return answer?.status ?? 0;
  const whole = (await answer.json().catch(() => null)) as Whole | null;
  return whole && whole.plan.version <= PLAN_VERSION ? whole : 0;
}

/** Opens a job: what lies on the phone is shown, and follows the server from there. */
export function useOpening(person: string, id: string, program: string): Opening {
  const [opening, setOpening] = useState<Opening>({ state: 'reading' });
  useEffect(() => {
    let gone = false;
    const put = (next: Opening) => !gone && setOpening(next);
    const open = async () => {
      const kept = await keptJob(person, id);
      if (kept) {
        const store = makeDesk(kept.plan, kept.revision, kept.records);
        store.setState({ asOf: kept.asOf });
        const view = kept.view?.program === program ? kept.view.view : null;
        return put({ state: 'open', job: { store, last: kept.last, view } });
      }
      const whole = await ask(id);
      if (typeof whole !== 'number')
        return put({
          state: 'open',
          job: { store: makeDesk(whole.plan, whole.revision, whole.records), last: whole.last, view: null },
        });
      if (whole === 404) await dropJob(person, id);
      put({ state: whole === 401 ? 'signedOut' : 'gone' });
    };
    setOpening({ state: 'reading' });
    void open();
    return () => {
      gone = true;
    };
  }, [person, id, program]);
  return opening;
}

/** Keeps an open job going both ways, and says what is worked out of it. */
export function useHole(
  { store, last, view: kept }: Opened,
  id: string,
  person: string,
  program: string,
  sender: Sender,
) {
  const [view, setView] = useState<HoleView | null>(kept);
  const [asker] = useState(() => new Asker({ endStale: true }));
  useTakeUp(store, id, person);
  useRecords(store, id, sender, last);
  useAutosave(store, id, person);
  useEffect(() => keepOnPhone(store, id, person, last), [store, id, person, last]);
  useEffect(() => {
    const work = async () => {
      const { plan, records, base, heard, asOf } = store.getState();
      const made = await asker.ask({ plan, records }, 'hole', [], { topic: 'hole', limit: LONGEST_TAKEOFF });
      if (made === null) return;
      setView(made);
      // What is shown before it is worked out anew the next time.
      if (plan === base.plan)
        void keepJob(person, {
          id,
          plan,
          revision: base.revision,
          records: sentOf(store, records),
          last: heard ?? last,
          asOf: asOf ?? Date.now(),
          view: { program, view: made },
        });
    };
    void work();
    const stop = store.subscribe((now, before) => {
      if (now.plan !== before.plan || now.records !== before.records) void work();
    });
    return () => {
      stop();
      asker.stop();
    };
  }, [store, asker, id, person, program, last]);
  return { view, asker };
}
