/** Keeps what an open page sees of a job on this phone, so that it opens without signal. */
import type { SiteRecord } from '@cimiento/core';
import { keepJob } from './phone.ts';
import type { DeskStore } from './store.ts';

/** Changes that come together are kept together, ms. */
const TOGETHER = 800;

/** What waits is kept by the outbox, what is typed by the page: on the phone stands what the server has. */
export function sentOf(store: DeskStore, records: readonly SiteRecord[]): SiteRecord[] {
  const { unsent, refused } = store.getState();
  const waiting = new Set([...unsent, ...refused.map(({ id }) => id)]);
  return records.filter(({ id }) => !waiting.has(id));
}

/**
 * @param last up to which the page's records go
 * @returns ends it
 */
export function keepOnPhone(store: DeskStore, jobId: string, person: string, last: number): () => void {
  let timer: ReturnType<typeof setTimeout> | null = null;
  const put = (looked?: number) => {
    timer = null;
    const { base, records, asOf } = store.getState();
    void keepJob(person, {
      id: jobId,
      plan: base.plan,
      revision: base.revision,
      records: sentOf(store, records),
      last: store.getState().heard ?? last,
      asOf: asOf ?? Date.now(),
      ...(looked !== undefined && { looked }),
    });
  };
  put(Date.now());
  const stop = store.subscribe((now, before) => {
    if (now.base === before.base && now.records === before.records && now.asOf === before.asOf) return;
    timer ??= setTimeout(put, TOGETHER);
  });
  return () => {
    stop();
    if (timer) {
      clearTimeout(timer);
      put();
    }
  };
}
