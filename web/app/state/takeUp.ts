/** An edit an earlier page could not save, taken up by the one that is open now. */
import { mergePlans, sameValue } from '@cimiento/core';
import { useEffect, useLayoutEffect } from 'react';
import { anyKept, forgetKept, keptEdit } from './kept.ts';
import type { Kept } from './readKept.ts';
import type { DeskStore } from './store.ts';

/** Looks for what an earlier page has left of a job, and takes it up. */
export function useTakeUp(store: DeskStore, jobId: string, person: string): void {
  // Nothing is called saved before it is known what an earlier page has left. Before the first paint.
  useLayoutEffect(() => {
    if (anyKept(jobId)) store.setState({ saving: { state: 'unsaved' } });
  }, [store, jobId]);
  useEffect(() => {
    let gone = false;
    void keptEdit(jobId, person).then((kept) => {
      if (gone) return;
      if (kept) takeUp(store, jobId, kept);
      const { plan: now, base, saving } = store.getState();
      if (now === base.plan && saving.state === 'unsaved') store.setState({ saving: { state: 'saved' } });
    });
    return () => {
      gone = true;
    };
  }, [store, jobId, person]);
}

/**
 * An edit an earlier page could not save comes back as unsaved work on what it was based on; what was typed
 * here while it was looked for stays on top of it.
 */
function takeUp(store: DeskStore, jobId: string, kept: Kept): void {
  const { plan: shown, base } = store.getState();
  const mine = shown === base.plan ? kept.plan : mergePlans(base.plan, kept.plan, shown).merged;
  const { sent } = kept;
  store.setState({ sent: [...sent, ...store.getState().sent] });
  // It was saved after all while the page was closing; only the answer came too late.
  if (sameValue(kept.plan, base.plan)) {
    if (shown === base.plan) forgetKept(jobId);
  }
  // What the server has is what this browser sent last: what was typed after goes on top of it.
  else if (kept.revision === base.revision || sent.some((one) => sameValue(one.plan, base.plan)))
    store.getState().replace(mine);
  else
    store.setState({
      plan: mine,
      base: { revision: kept.revision, plan: kept.base },
      saving: { state: 'conflict', conflict: { ...base, by: null } },
    });
}
