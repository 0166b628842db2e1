/** Keeps what an open page sees of a job on this phone, so that it opens without signal. */
import { keepJob } from './phone.ts';
import type { DeskStore } from './store.ts';

/** Changes that come together are kept together, ms. */
const TOGETHER = 800;

/**
 * @param last up to which the page's records go
 * @returns ends it
 */
export function keepOnPhone(store: DeskStore, jobId: string, person: string, last: number): () => void {
  let timer: ReturnType<typeof setTimeout> | null = null;
  const put = (looked?: number) => {
    timer = null;
    const { base, records, unsent, refused, asOf } = store.getState();
    // What waits is kept by the outbox, what is typed by the page: here stands what the server has.
    const waiting = new Set([...unsent, ...refused.map(({ id }) => id)]);
    void keepJob(person, {
      id: jobId,
      plan: base.plan,
      revision: base.revision,
      records: records.filter(({ id }) => !waiting.has(id)),
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
