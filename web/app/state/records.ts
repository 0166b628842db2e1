/**
 * The records of a desk: those the server has, those still on their way, and making new ones. They are
 * beside the plan: no undo touches them.
 */
import { inTime, type RecordKindId, type RecordValue, type SiteRecord } from '@cimiento/core';
import { useCallback, useEffect } from 'react';
import type { Sender } from '../outbox/sender.ts';
import type { Follower } from './follow.ts';
import { joined } from './joined.ts';
import { type Desk, type DeskStore, useDeskStore } from './store.ts';

/** What belongs to a record beside its kind and value. */
export interface About {
  readonly element?: string | null;
  /** What of what is laid, cast or filled there it hangs on. */
  readonly placement?: string | null;
  readonly place?: readonly [number, number] | null;
  readonly corrects?: string | null;
}

/** A new record of this moment, made by somebody who sees this desk. */
export const recordOf = <K extends RecordKindId>(
  { records, base }: Pick<Desk, 'records' | 'base'>,
  kind: K,
  value: RecordValue<K> | null,
  { element = null, placement = null, place = null, corrects = null }: About = {},
): SiteRecord =>
  ({
    id: crypto.randomUUID(),
    kind,
    at: new Date().toISOString(),
    by: '',
    element,
    placement,
    place,
    corrects,
    after: inTime(records).at(-1)?.id ?? null,
    revision: base.revision,
    value,
  }) as SiteRecord;

/** Logs something: it counts at once, and goes to the server when there is signal. */
export function useLog() {
  const store = useDeskStore();
  return useCallback(
    <K extends RecordKindId>(kind: K, value: RecordValue<K> | null, about?: About): SiteRecord => {
      const record = recordOf(store.getState(), kind, value, about);
      store.getState().deliver(record);
      return record;
    },
    [store],
  );
}

/** Shows on a desk what waits of its job, and how it fares. */
function showWaiting(store: DeskStore, jobId: string, { state }: Sender): void {
  const { waiting, unkept } = state.getState();
  const own = waiting.filter(({ job }) => job === jobId);
  const known = new Set(store.getState().records.map(({ id }) => id));
  const more = own.flatMap(({ record }) => (known.has(record.id) ? [] : [record]));
  store.setState({
    ...(more.length > 0 && { records: [...store.getState().records, ...more] }),
    unsent: own.flatMap(({ id, refused }) => (refused ? [] : [id])),
    refused: own.flatMap(({ id, refused }) => (refused ? [{ id, problems: refused.problems }] : [])),
    unkept: unkept.filter((id) => own.some((one) => one.id === id)),
  });
}

/**
 * Keeps the records and the plan of an open desk going both ways.
 * @param after up to which the page's records go
 */
export function useRecords(store: DeskStore, jobId: string, sender: Sender, after: number): void {
  useEffect(() => {
    store.setState({
      deliver: (record, picture) => {
        store.setState({ records: joined(store.getState().records, [record]) });
        void sender.log(jobId, record, picture);
      },
      retry: () => void sender.retry(),
    });
    showWaiting(store, jobId, sender);
    return sender.state.subscribe(() => showWaiting(store, jobId, sender));
  }, [store, jobId, sender]);
  useEffect(() => {
    let follower: Follower | null = null;
    let gone = false;
    const wake = () => (follower ? follower.wake() : void begin());
    const lost = () => follower?.lost();
    // A page nobody looks at holds no line: a browser has six to one place.
    const look = () => (document.visibilityState === 'visible' ? follower?.start() : follower?.rest());
    // What the page came with is new: what keeps it so is fetched once it stands.
    const begin = () =>
      import('./follow.ts').then(
        (made) => {
          if (gone || follower) return;
          follower = new made.Follower(store, jobId, after, made.browser);
          look();
        },
        // No signal yet: nothing is heard until there is.
        () => store.setState({ asOf: Date.now() }),
      );
    void begin();
    // One that comes back out of the browser's memory has heard nothing meanwhile.
    const shown = (event: PageTransitionEvent) => event.persisted && wake();
    document.addEventListener('visibilitychange', look);
    document.addEventListener('resume', wake);
    addEventListener('pageshow', shown);
    addEventListener('online', wake);
    addEventListener('offline', lost);
    return () => {
      gone = true;
      follower?.rest();
      document.removeEventListener('visibilitychange', look);
      document.removeEventListener('resume', wake);
      removeEventListener('pageshow', shown);
      removeEventListener('online', wake);
      removeEventListener('offline', lost);
    };
  }, [store, jobId, after]);
}
