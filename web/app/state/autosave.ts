/**
 * Saves the plan by itself as revisions. Every edit is kept in the browser's own storage at once
 * and forgotten only when the server has it. A save has a time limit; while the server or its
 * database is away, or the person is signed out, saving is tried again. Any other answer says what
 * is wrong, and waits for the person.
 */
import { type Plan, sameValue } from '@cimiento/core';
import { useEffect } from 'react';
import { forgetKept, keepEdit } from './kept.ts';
import type { DeskStore, Saving } from './store.ts';

/** Quiet time after the last edit before it is saved, ms. */
const QUIET = 700;
/** A save that has no answer by then is given up and tried again, ms. */
export const LONGEST_SAVE = 15_000;
const RETRY = [2000, 4000, 8000, 15_000] as const;
const SIGNED_OUT = 5000;
const SLOWLY = 60_000;
/** Saves without an answer remembered at the most. */
const MOST_SENT = 4;
/** Browsers send no more than this once a page is closing, bytes. */
const MOST_CLOSING = 60_000;

/** What saving needs of its surroundings: handed in, so that tests can stand in for them. */
export interface Surroundings {
  post(path: string, body: string, signal: AbortSignal): Promise<Response>;
  /** Runs a task later; returns how to call it off. */
  later(task: () => void, delay: number): () => void;
}

const browser: Surroundings = {
  post: (path, body, signal) =>
    fetch(path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body,
      signal,
      // A page that is closing may still send what is short.
      keepalive: body.length < MOST_CLOSING,
    }),
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

/** Answers that will be another if one only waits. */
const AWAY: readonly number[] = [408, 429, 502, 503, 504];
/** What an answer that needs the person says; anything else is the server's own fault. */
const FAULTS: Readonly<Record<number, Extract<Saving, { state: 'failed' }>['code']>> = {
  400: 'badRequest',
  403: 'forbidden',
  413: 'tooLarge',
};

/**
 * Watches a desk and saves what changes.
 * @param person id of who edits: under nobody else's session is it saved
 */
export function autosave(
  store: DeskStore,
  jobId: string,
  person = '',
  around: Surroundings = browser,
): Autosave {
  let callOff = () => {};
  let busy = false;

  const wait = (delay: number) => {
    callOff();
    callOff = around.later(() => void save(), delay);
  };
  /** Keeps what is not saved, or forgets what is. */
  const keep = () => {
    const { plan, base, kept, sent } = store.getState();
    if (plan === base.plan) forgetKept(jobId);
    const room = plan === base.plan || keepEdit(jobId, { ...base, base: base.plan, plan, sent, person });
    if (room !== kept) store.setState({ kept: room });
  };

  /** Remembers a save that is on its way, so that it is never taken for another person's. */
  const send = (plan: Plan, revision: number) => {
    const { sent } = store.getState();
    store.setState({ sent: [...sent, { revision, plan }].slice(-MOST_SENT) });
    keep();
  };

  const failed = () => {
    const { saving } = store.getState();
    const tries = saving.state === 'waiting' ? saving.tries + 1 : 1;
    store.setState({ saving: { state: 'waiting', tries } });
    wait(RETRY[Math.min(tries, RETRY.length) - 1] ?? RETRY[0]);
  };

  /** The server holds `plan` as `revision`: what was typed since is still to be saved. */
  function stands(plan: Plan, revision: number): void {
    const newer = store.getState().plan !== plan;
    store.setState({
      base: { revision, plan },
      saving: { state: newer ? 'unsaved' : 'saved' },
      sent: [],
    });
    keep();
    if (newer) wait(QUIET);
  }

  function settle(plan: Plan, status: number, answer: Record<string, unknown>): void {
    const revision = Number(answer.revision);
    // Saved all right the time before, and only the answer was lost on the way: not another's.
    const { sent } = store.getState();
    const ours = status === 409 ? sent.find((mine) => sameValue(answer.plan, mine.plan))?.plan : undefined;
    // An answer is an answer: what was refused does not stand. Before another's save none of ours does.
    if (status === 409 && !ours) store.setState({ sent: [] });
    else if (status >= 400 && status < 500 && status !== 409 && !AWAY.includes(status))
      store.setState({ sent: sent.slice(0, -1) });
    if (status === 200 && Number.isInteger(revision)) stands(plan, revision);
    else if (ours) stands(ours, revision);
    else if (status === 409 && typeof answer.plan === 'object') {
      const by = typeof answer.by === 'string' ? answer.by : null;
      const conflict = { revision, plan: answer.plan as Plan, by };
      store.setState({ saving: { state: 'conflict', conflict } });
    } else if (status === 401) {
      store.setState({ saving: { state: 'signedOut' } });
      // Signing in again in another tab is enough.
      wait(SIGNED_OUT);
    } else if (status === 404) store.setState({ saving: { state: 'gone' } });
    else if (status === 422) {
      const problems = Array.isArray(answer.problems) ? answer.problems : [];
      store.setState({ saving: { state: 'refused', problems } });
    } else if (AWAY.includes(status) || status === 409) failed();
    else {
      store.setState({ saving: { state: 'failed', code: FAULTS[status] ?? 'broken' } });
      // A fault of the server's own may pass: slowly again.
      if (!(status in FAULTS)) wait(SLOWLY);
    }
  }

  async function save(): Promise<void> {
    const { plan, base, saving, sent } = store.getState();
    if (plan === base.plan || busy || saving.state === 'conflict' || saving.state === 'gone') return;
    // Undone back to what is saved: nothing to keep.
    if (sameValue(plan, base.plan) && sent.length === 0) {
      store.setState({ base: { ...base, plan }, saving: { state: 'saved' } });
      keep();
      return;
    }
    busy = true;
    send(plan, base.revision);
    if (saving.state !== 'waiting') store.setState({ saving: { state: 'saving' } });
    const limit = new AbortController();
    const inTime = around.later(() => limit.abort(), LONGEST_SAVE);
    try {
      const path = `/jobs/${jobId}/revisions?base=${base.revision}&person=${person}`;
      const response = await around.post(path, JSON.stringify(plan), limit.signal);
      const body: unknown = await response.json().catch(() => null);
      if (limit.signal.aborted) throw new Error('no answer in time');
      busy = false;
      settle(
        plan,
        response.status,
        (typeof body === 'object' && body !== null ? body : {}) as Record<string, unknown>,
      );
    } catch {
      busy = false;
      // It may have come through all the same: it stays among those sent.
      failed();
    } finally {
      inTime();
    }
  }

  const unsubscribe = store.subscribe((now, before) => {
    if (now.plan === before.plan && now.base === before.base) return;
    keep();
    if (now.plan === now.base.plan) return;
    const { state } = now.saving;
    if (state === 'saved' || state === 'refused' || state === 'failed')
      store.setState({ saving: { state: 'unsaved' } });
    if (state !== 'waiting' && state !== 'conflict') wait(QUIET);
  });
  // What an earlier page left: it waits to be saved like any edit.
  const { plan, base, saving } = store.getState();
  if (plan !== base.plan && saving.state !== 'conflict') {
    store.setState({ saving: { state: 'unsaved' } });
    keep();
    wait(QUIET);
  }
  return {
    flush: save,
    stop() {
      unsubscribe();
      callOff();
    },
  };
}

export function useAutosave(store: DeskStore, jobId: string, person: string): void {
  useEffect(() => {
    const saver = autosave(store, jobId, person);
    // Leaving within the quiet time: what is short still goes, the rest is kept.
    const flush = () => void saver.flush();
    const hidden = () => document.visibilityState === 'hidden' && flush();
    addEventListener('pagehide', flush);
    addEventListener('visibilitychange', hidden);
    addEventListener('online', flush);
    return () => {
      flush();
      saver.stop();
      removeEventListener('pagehide', flush);
      removeEventListener('visibilitychange', hidden);
      removeEventListener('online', flush);
    };
  }, [store, jobId, person]);
}
