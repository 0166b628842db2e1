/**
 * Records on their way to the server: kept in this browser (IndexedDB) from the moment they are made
 * until the server has them, whatever happens to page, line or battery in between. Sending one twice
 * keeps one.
 */
import type { SiteRecord } from '@cimiento/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

interface Waiting {
  readonly id: string;
  readonly job: string;
  readonly record: SiteRecord;
}
interface Outbox extends DBSchema {
  waiting: { key: string; value: Waiting; indexes: { job: string } };
}

const NAME = 'cimiento-outbox';
let opened: Promise<IDBPDatabase<Outbox> | null> | null = null;

/** Null where the browser keeps nothing: records then wait in the page only. */
function open(): Promise<IDBPDatabase<Outbox> | null> {
  opened ??= openDB<Outbox>(NAME, 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('job', 'job');
    },
    terminated() {
      opened = null;
    },
  }).catch(() => null);
  return opened;
}

/** Keeps a record until it is sent. @returns false when this browser has no room for it */
export async function keep(job: string, record: SiteRecord): Promise<boolean> {
  const db = await open();
  if (!db) return false;
  return db.put('waiting', { id: record.id, job, record }).then(
    () => true,
    () => false,
  );
}

/** What waits of a job, in the order of time. */
export async function waitingOf(job: string): Promise<SiteRecord[]> {
  const db = await open();
  const found = db ? await db.getAllFromIndex('waiting', 'job', job).catch(() => []) : [];
  return found.map((one) => one.record).sort((p, q) => (p.at < q.at ? -1 : p.at > q.at ? 1 : 0));
}

/** Lets go of what the server has. */
export async function letGo(ids: readonly string[]): Promise<void> {
  const db = await open();
  if (!db) return;
  const tx = db.transaction('waiting', 'readwrite');
  await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]).catch(() => {});
}
