/**
 * Saves the plan by itself as revisions. While the server or its database is away, or the person
 * is signed out, the edit stays in the browser's own storage and saving is tried again.
 */
import type { Plan } from '@cimiento/core';
import { useEffect } from 'react';
import type { DeskStore } from './store.ts';

/** Quiet time after the last edit before it is saved, ms. */
const QUIET = 700;
const RETRY = [2000, 4000, 8000, 15_000] as const;

const keepKey = (jobId: string) => `cimiento:unsaved:${jobId}`;

export interface Kept {
  readonly revision: number;
  readonly base: Plan;
  readonly plan: Plan;
}

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
    return typeof kept === 'object' && kept !== null && 'plan' in kept && 'base' in kept
      ? (kept as Kept)
      : null;
  } catch {
    return null;
  }
}

export function useAutosave(store: DeskStore, jobId: string): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let busy = false;

    const wait = (delay: number) => {
      clearTimeout(timer);
      timer = setTimeout(save, delay);
    };

    const failed = () => {
      const { saving } = store.getState();
      const tries = saving.state === 'waiting' ? saving.tries + 1 : 1;
      store.setState({ saving: { state: 'waiting', tries } });
      wait(RETRY[Math.min(tries, RETRY.length) - 1] ?? RETRY[0]);
    };

    async function save() {
      const { plan, base, saving } = store.getState();
      if (plan === base.plan || busy || saving.state === 'conflict' || saving.state === 'gone') return;
      busy = true;
      keep(jobId, { revision: base.revision, base: base.plan, plan });
      if (saving.state !== 'waiting') store.setState({ saving: { state: 'saving' } });
      try {
        const response = await fetch(`/jobs/${jobId}/revisions?base=${base.revision}`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(plan),
        });
        const body: unknown = await response.json().catch(() => null);
        const answer = (typeof body === 'object' && body !== null ? body : {}) as Record<string, unknown>;
        if (response.ok && typeof answer.revision === 'number') {
          const newer = store.getState().plan !== plan;
          store.setState({
            base: { revision: answer.revision, plan },
            saving: { state: newer ? 'unsaved' : 'saved' },
          });
          if (newer) wait(QUIET);
          else keep(jobId, null);
        } else if (response.status === 401) {
          store.setState({ saving: { state: 'signedOut' } });
          // Signing in again in another tab is enough.
          wait(5000);
        } else if (response.status === 404) store.setState({ saving: { state: 'gone' } });
        else if (response.status === 409 && typeof answer.plan === 'object')
          store.setState({
            saving: {
              state: 'conflict',
              conflict: {
                revision: Number(answer.revision),
                plan: answer.plan as Plan,
                by: typeof answer.by === 'string' ? answer.by : null,
              },
            },
          });
        else if (response.status === 422)
          store.setState({
            saving: {
              state: 'refused',
              problems: (answer.problems ?? []) as { code: string; path: string }[],
            },
          });
        else failed();
      } catch {
        failed();
      } finally {
        busy = false;
      }
    }

    const unsubscribe = store.subscribe((now, before) => {
      if (now.plan === before.plan && now.base === before.base) return;
      if (now.plan === now.base.plan) return;
      if (now.saving.state === 'saved' || now.saving.state === 'refused')
        store.setState({ saving: { state: 'unsaved' } });
      if (now.saving.state !== 'waiting' && now.saving.state !== 'conflict') wait(QUIET);
    });
    // Leaving within the quiet time must not lose the last edit.
    const leave = () => {
      const { plan, base } = store.getState();
      if (plan === base.plan) return;
      keep(jobId, { revision: base.revision, base: base.plan, plan });
      void save();
    };
    addEventListener('pagehide', leave);
    const online = () => wait(0);
    addEventListener('online', online);
    return () => {
      unsubscribe();
      leave();
      clearTimeout(timer);
      removeEventListener('pagehide', leave);
      removeEventListener('online', online);
    };
  }, [store, jobId]);
}
