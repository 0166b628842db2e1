/**
 * Records on their way to the server: kept in this browser (IndexedDB) from the moment they are made
 * until the server has them, whatever happens to page, line or battery in between. Each belongs to the
 * person who made it and waits for them: nobody else's session sends it. Sending one twice keeps one.
 */
import { type Problem, type SiteRecord, upgradedRecord } from '@cimiento/core';
import type { DBSchema } from 'idb';
import { database } from './database.ts';

/** Why the server would not have a record, and which program said so. */
export interface Refusal {
  readonly problems: readonly Problem[];
  readonly program: string;
}
/** A photo of a record: the picture and a small one, as JPEG. */
export interface Picture {
  readonly photo: ArrayBuffer;
  readonly thumb: ArrayBuffer;
}
export interface Waiting {
  readonly id: string;
  readonly job: string;
  /** Id of who made it; empty where an earlier program did not say. */
  readonly person: string;
  readonly record: SiteRecord;
  readonly refused: Refusal | null;
  /** Goes before the record it is of. */
  readonly picture?: Picture;
}
interface Outbox extends DBSchema {
  waiting: { key: string; value: Waiting; indexes: { job: string } };
}

/** Null where the browser keeps nothing: records then wait in the page only. */
const open = database<Outbox>('cimiento-outbox', 2, (db, before) => {
  if (before < 1) db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('job', 'job');
});

/** Those an earlier program kept are read as they are written now. */
const whole = ({ person = '', refused = null, record, ...rest }: Waiting): Waiting => {
  const { placement = null, after = null, revision = null, ...known } = upgradedRecord(record) as SiteRecord;
  return { ...rest, person, refused, record: { ...known, placement, after, revision } as SiteRecord };
};

/** Keeps something until it is sent. @returns false when this browser has no room for it */
export async function keep(one: Waiting): Promise<boolean> {
  const db = await open();
  if (!db) return false;
  return db.put('waiting', one).then(
    () => true,
    () => false,
  );
}

/** All that waits in this browser, whoever's. */
export async function allWaiting(): Promise<Waiting[]> {
  const db = await open();
  const found = db ? await db.getAll('waiting').catch(() => []) : [];
  return found.map(whole);
}

/** The photo of a record that waits here; null: none does. */
export const waitingPicture = async (id: string): Promise<Picture | null> =>
  (await (await open())?.get('waiting', id).catch(() => undefined))?.picture ?? null;

/** Lets go of what the server has. */
export async function letGo(ids: readonly string[]): Promise<void> {
  const db = await open();
  if (!db) return;
  const tx = db.transaction('waiting', 'readwrite');
  await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]).catch(() => {});
}
