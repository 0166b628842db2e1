/**
 * Saves the plan by itself as revisions. While the server or its database is away, or the person
 * is signed out, the edit stays in the browser's own storage and saving is tried again.
 */
import { currentPlan, type Plan, sameValue } from '@cimiento/core';
import { useEffect } from 'react';
import type { DeskStore } from './store.ts';

/** Quiet time after the last edit before it is saved, ms. */
const QUIET = 700;
const RETRY = [2000, 4000, 8000, 15_000] as const;
const SIGNED_OUT = 5000;

const keepKey = (jobId: string) => `cimiento:unsaved:${jobId}`;

export interface Kept {
  readonly revision: number;
  readonly base: Plan;
  readonly plan: Plan;
}

/** An earlier page's edit that turned out to be saved, or is no longer wanted. */
export const forgetKept = (jobId: string): void => keep(jobId, null);

function keep(jobId: string, kept: Kept | null): void {
  try {
    if (kept) localStorage.setItem(keepKey(jobId), JSON.stringify(kept));
    else localStorage.removeItem(keepKey(jobId));
  } catch {
    // Storage full or forbidden: the edit still lives in this page.
  }
}

/** An edit an earlier page could not save, if there is one for this job. */
export function keptEdit(jobId: string): Kept | null {
  try {
    const text = localStorage.getItem(keepKey(jobId));
    if (!text) return null;
    const kept: unknown = JSON.parse(text);
    if (typeof kept !== 'object' || kept === null || !('plan' in kept) || !('base' in kept)) return null;
    // It may have been kept by an earlier version of this program.
    const plan = currentPlan(kept.plan);
    const base = currentPlan(kept.base);
    return plan && base ? { ...(kept as Kept), plan, base } : null;
  } catch {
    return null;
  }
}

/** What saving needs of its surroundings: handed in, so that tests can stand in for them. */
export interface Surroundings {
  post(path: string, body: string): Promise<Response>;
  /** Runs a task later; returns how to call it off. */
  later(task: () => void, delay: number): () => void;
}

const browser: Surroundings = {
  post: (path, body) =>
    fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body }),
  later: (task, delay) => {
    const timer = setTimeout(task, delay);
    return () => clearTimeout(timer);
  },
};

export interface Autosave {
  /** Saves now, without waiting for quiet. */
  flush(): Promise<void>;
  stop(): void;
}

/** Watches a desk and saves what changes. */
export function autosave(store: DeskStore, jobId: string, around: Surroundings = browser): Autosave {
  let callOff = () => {};
  let busy = false;

  const wait = (delay: number) => {
    callOff();
    callOff = around.later(() => void save(), delay);
  };

  const failed = () => {
    const { saving } = store.getState();
    const tries = saving.state === 'waiting' ? saving.tries + 1 : 1;
    store.setState({ saving: { state: 'waiting', tries } });
    wait(RETRY[Math.min(tries, RETRY.length) - 1] ?? RETRY[0]);
  };

  function settle(plan: Plan, status: number, answer: Record<string, unknown>): void {
    if (status === 200 && typeof answer.revision === 'number') {
      const newer = store.getState().plan !== plan;
      store.setState({
        base: { revision: answer.revision, plan },
        saving: { state: newer ? 'unsaved' : 'saved' },
      });
      if (newer) wait(QUIET);
      else keep(jobId, null);
    } else if (status === 409 && sameValue(answer.plan, plan)) {
      // Saved all right the time before; only the answer was lost on the way.
      store.setState({ base: { revision: Number(answer.revision), plan }, saving: { state: 'saved' } });
      keep(jobId, null);
    } else if (status === 401) {
      store.setState({ saving: { state: 'signedOut' } });
      // Signing in again in another tab is enough.
      wait(SIGNED_OUT);
    } else if (status === 404) store.setState({ saving: { state: 'gone' } });
    else if (status === 409 && typeof answer.plan === 'object') {
      const by = typeof answer.by === 'string' ? answer.by : null;
      const conflict = { revision: Number(answer.revision), plan: answer.plan as Plan, by };
      store.setState({ saving: { state: 'conflict', conflict } });
    } else if (status === 422) {
      const problems = (answer.problems ?? []) as { code: string; path: string }[];
      store.setState({ saving: { state: 'refused', problems } });
    } else failed();
  }

  async function save(): Promise<void> {
    const { plan, base, saving } = store.getState();
    if (plan === base.plan || busy || saving.state === 'conflict' || saving.state === 'gone') return;
    // Undone back to what is saved: nothing to keep.
    if (sameValue(plan, base.plan)) {
      keep(jobId, null);
      return store.setState({ base: { ...base, plan }, saving: { state: 'saved' } });
    }
    busy = true;
    keep(jobId, { revision: base.revision, base: base.plan, plan });
    if (saving.state !== 'waiting') store.setState({ saving: { state: 'saving' } });
    try {
      const response = await around.post(
        `/jobs/${jobId}/revisions?base=${base.revision}`,
        JSON.stringify(plan),
      );
      const body: unknown = await response.json().catch(() => null);
      settle(
        plan,
        response.status,
        (typeof body === 'object' && body !== null ? body : {}) as Record<string, unknown>,
      );
    } catch {
      failed();
    } finally {
      busy = false;
    }
  }

  const unsubscribe = store.subscribe((now, before) => {
    if (now.plan === before.plan && now.base === before.base) return;
    if (now.plan === now.base.plan) return;
    const { state } = now.saving;
    if (state === 'saved' || state === 'refused') store.setState({ saving: { state: 'unsaved' } });
    if (state !== 'waiting' && state !== 'conflict') wait(QUIET);
  });
  return {
    flush: save,
    stop() {
      unsubscribe();
      callOff();
    },
  };
}

export function useAutosave(store: DeskStore, jobId: string): void {
  useEffect(() => {
    const saver = autosave(store, jobId);
    // Leaving within the quiet time must not lose the last edit.
    const flush = () => void saver.flush();
    addEventListener('pagehide', flush);
    addEventListener('online', flush);
    return () => {
      flush();
      saver.stop();
      removeEventListener('pagehide', flush);
      removeEventListener('online', flush);
    };
  }, [store, jobId]);
}
