/**
 * The records of a desk: those the server has, those still on their way, and making new ones. They are
 * beside the plan: no undo touches them.
 */
import type { RecordKindId, RecordValue, SiteRecord } from '@cimiento/core';
import { useCallback, useEffect } from 'react';
import { useJobId } from './jobId.ts';
import { keep, letGo, waitingOf } from './outbox.ts';
import { type DeskStore, useDeskStore } from './store.ts';

/** Sent at once. */
const A_PAGE = 100;
/** Between tries, ms. */
const FIRST_WAIT = 2000;
const LONGEST_WAIT = 60_000;
/** An answer that takes longer is as good as none, ms. */
const LONGEST_ANSWER = 20_000;

/** What belongs to a record beside its kind and value. */
export interface About {
  readonly element?: string | null;
  readonly place?: readonly [number, number] | null;
  readonly corrects?: string | null;
}

/** A new record of this moment. */
export const recordOf = <K extends RecordKindId>(
  kind: K,
  value: RecordValue<K> | null,
  { element = null, place = null, corrects = null }: About = {},
): SiteRecord =>
  ({
    id: crypto.randomUUID(),
    kind,
    at: new Date().toISOString(),
    by: '',
    element,
    place,
    corrects,
    value,
  }) as SiteRecord;

/** Logs something: it counts at once, and goes to the server when there is signal. */
export function useLog() {
  const store = useDeskStore();
  const jobId = useJobId();
  return useCallback(
    <K extends RecordKindId>(kind: K, value: RecordValue<K> | null, about?: About): SiteRecord => {
      const record = recordOf(kind, value, about);
      const { records, unsent } = store.getState();
      store.setState({ records: [...records, record], unsent: [...unsent, record.id] });
      void keep(jobId, record).then(() => store.getState().send());
      return record;
    },
    [store, jobId],
  );
}

type Sending = 'sent' | 'later' | 'refused';

async function post(jobId: string, list: readonly SiteRecord[]): Promise<Sending> {
  const answer = await fetch(`/jobs/${jobId}/records`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(list),
    signal: AbortSignal.timeout(LONGEST_ANSWER),
  }).catch(() => null);
  if (answer?.ok) return 'sent';
  return answer?.status === 422 || answer?.status === 404 ? 'refused' : 'later';
}

/** Joins lists of records, one of each id: the server's word on it first. */
export function joined(known: readonly SiteRecord[], more: readonly SiteRecord[]): readonly SiteRecord[] {
  const byId = new Map(known.map((record) => [record.id, record]));
  for (const record of more) byId.set(record.id, record);
  return [...byId.values()];
}

/** Empties the outbox of a job again and again, and fetches what others logged. */
class Post {
  readonly #store: DeskStore;
  readonly #jobId: string;
  #after: number;
  #busy = false;
  #again = false;
  #wait = FIRST_WAIT;
  #timer: ReturnType<typeof setTimeout> | null = null;
  #stopped = false;

  constructor(store: DeskStore, jobId: string, after: number) {
    this.#store = store;
    this.#jobId = jobId;
    this.#after = after;
  }

  stop(): void {
    this.#stopped = true;
    if (this.#timer) clearTimeout(this.#timer);
  }

  /** What an earlier page could not send counts here too. */
  async wake(): Promise<void> {
    const waiting = await waitingOf(this.#jobId);
    if (this.#stopped || waiting.length === 0) return;
    const { records, unsent } = this.#store.getState();
    this.#store.setState({
      records: joined(waiting, records),
      unsent: [...new Set([...unsent, ...waiting.map((record) => record.id)])],
    });
    await this.send();
  }

  /** Sends what waits; only one sending is under way. */
  readonly send = async (): Promise<void> => {
    if (this.#busy) {
      this.#again = true;
      return;
    }
    this.#busy = true;
    do {
      this.#again = false;
      const { records, unsent } = this.#store.getState();
      const page = records.filter((record) => unsent.includes(record.id)).slice(0, A_PAGE);
      if (page.length === 0) break;
      const done = await post(this.#jobId, page);
      if (this.#stopped) break;
      if (done === 'later') {
        this.#later();
        break;
      }
      this.#wait = FIRST_WAIT;
      const ids = page.map((record) => record.id);
      // What was refused stays here: the person may want to read it.
      if (done === 'sent') await letGo(ids);
      const now = this.#store.getState();
      this.#store.setState({
        unsent: now.unsent.filter((id) => !ids.includes(id)),
        ...(done === 'refused' && { refused: true }),
      });
      this.#again ||= this.#store.getState().unsent.length > 0;
    } while (this.#again);
    this.#busy = false;
  };

  #later(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.send(), this.#wait);
    this.#wait = Math.min(2 * this.#wait, LONGEST_WAIT);
  }

  /** Takes in what others logged since. */
  readonly fetch = async (): Promise<void> => {
    const answer = await fetch(`/jobs/${this.#jobId}/records?after=${this.#after}`).catch(() => null);
    if (!answer?.ok || this.#stopped) return;
    const { records, last } = (await answer.json()) as { records: SiteRecord[]; last: number };
    this.#after = last;
    if (records.length > 0)
      this.#store.setState({ records: joined(this.#store.getState().records, records) });
  };
}

/**
 * Keeps the records of an open desk going both ways.
 * @param after what the page came with already
 */
export function useRecords(store: DeskStore, jobId: string, after: number): void {
  useEffect(() => {
    const post = new Post(store, jobId, after);
    store.setState({ send: () => void post.send() });
    void post.wake();
    const online = () => void post.send();
    window.addEventListener('online', online);
    let events: EventSource | null = null;
    const open = () => {
      events = new EventSource(`/jobs/${jobId}/events`);
      events.addEventListener('records', () => void post.fetch());
      events.addEventListener('revision', (event) => {
        const { number } = JSON.parse((event as MessageEvent<string>).data) as { number: number };
        store.setState({ newest: Math.max(number, store.getState().newest) });
      });
      // The line is back: what waits may go, and what came meanwhile is asked for.
      events.onopen = () => {
        void post.send();
        void post.fetch();
      };
    };
    // A page nobody looks at holds no line: a browser has six to one place.
    const look = () => {
      if (document.visibilityState === 'visible' && !events) open();
      else if (document.visibilityState === 'hidden') {
        events?.close();
        events = null;
      }
    };
    look();
    document.addEventListener('visibilitychange', look);
    return () => {
      post.stop();
      events?.close();
      window.removeEventListener('online', online);
      document.removeEventListener('visibilitychange', look);
    };
  }, [store, jobId, after]);
}
