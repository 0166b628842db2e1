/**
 * Jobs this browser keeps, so that they open without network and server: the newest plan and records it has
 * seen of each, and what was last worked out of them. A database a person: another one opens another.
 */
import type { DBSchema } from 'idb';
import { database, type Opens } from '../outbox/database.ts';
import type { PhoneJob } from './readPhone.ts';

/** Who is signed in here, as far as this browser knows. */
export interface PhonePerson {
  readonly id: string;
  readonly name: string;
}

interface Phone extends DBSchema {
  jobs: { key: string; value: PhoneJob };
  /** Small pictures of photos, by the id of their record. */
  thumbs: { key: string; value: { readonly id: string; readonly at: number; readonly bytes: ArrayBuffer } };
}

/** Jobs kept at the most: those looked at longest ago go first. */
const MOST_JOBS = 40;
const PERSON = 'cimiento:person';
const LEAVING = 'cimiento:leaving';
const nameOf = (person: string) => `cimiento-jobs-${person}`;

const opened = new Map<string, Opens<Phone>>();

/** Null where the browser keeps nothing. */
function open(person: string): ReturnType<Opens<Phone>> {
  const known = opened.get(person);
  if (known) return known();
  const made = database<Phone>(nameOf(person), 2, (db, before) => {
    if (before < 1) db.createObjectStore('jobs', { keyPath: 'id' });
    if (before < 2) db.createObjectStore('thumbs', { keyPath: 'id' });
  });
  opened.set(person, made);
  return made();
}

/** What an earlier program kept is read as it is written now; fetched only where there is something to read. */
const reader = () => import('./readPhone.ts');

/**
 * Keeps a job. What was worked out of it stays unless another is given.
 * @returns false when there is no room for it
 */
export async function keepJob(
  person: string,
  job: Omit<PhoneJob, 'looked' | 'view'> & Partial<Pick<PhoneJob, 'looked' | 'view'>>,
): Promise<boolean> {
  const db = await open(person);
  if (!db) return false;
  try {
    const tx = db.transaction('jobs', 'readwrite');
    const before = await tx.store.get(job.id);
    const { looked = before?.looked ?? Date.now(), view = before?.view ?? null } = job;
    await tx.store.put({ ...job, looked, view });
    // Every job is read with its plan only where there is one too many.
    if ((await tx.store.count()) > MOST_JOBS) {
      const all = await tx.store.getAll();
      const old = all.sort((p, q) => q.looked - p.looked).slice(MOST_JOBS);
      await Promise.all(old.map(({ id }) => tx.store.delete(id)));
    }
    await tx.done;
    return true;
  } catch {
    return false;
  }
}

export async function keptJob(person: string, id: string): Promise<PhoneJob | null> {
  const found = await (await open(person))?.get('jobs', id).catch(() => undefined);
  return found ? (await reader()).whole(found) : null;
}

/** Those looked at last stand first, by name. */
export async function keptJobs(
  person: string,
): Promise<{ id: string; name: string; place: string; asOf: number }[]> {
  const all = (await (await open(person))?.getAll('jobs').catch(() => [])) ?? [];
  return all
    .sort((p, q) => q.looked - p.looked)
    .map(({ id, plan: { name, place }, asOf }) => ({ id, name, place, asOf }));
}

/** A job that is gone from the board is gone from here too. */
export async function dropJob(person: string, id: string): Promise<void> {
  await (await open(person))?.delete('jobs', id).catch(() => {});
}

/** Small pictures kept at the most: those kept longest go first. */
const MOST_THUMBS = 600;

/** Keeps the small picture of a photo, to be seen without signal. */
export async function keepThumb(person: string, id: string, bytes: ArrayBuffer): Promise<void> {
  const db = await open(person);
  try {
    await db?.put('thumbs', { id, at: Date.now(), bytes });
    if (db && (await db.count('thumbs')) > MOST_THUMBS) {
      const all = await db.getAll('thumbs');
      const old = all.sort((p, q) => q.at - p.at).slice(MOST_THUMBS);
      await Promise.all(old.map((one) => db.delete('thumbs', one.id)));
    }
  } catch {
    // No room for it: it is seen with signal.
  }
}

export const keptThumb = async (person: string, id: string): Promise<ArrayBuffer | null> =>
  (await (await open(person))?.get('thumbs', id).catch(() => undefined))?.bytes ?? null;

const storage = <T>(use: () => T, otherwise: T): T => {
  try {
    return use();
  } catch {
    return otherwise;
  }
};

export const whoIsHere = (): PhonePerson | null =>
  storage(() => {
    const found: unknown = JSON.parse(localStorage.getItem(PERSON) ?? 'null');
    return typeof found === 'object' && found !== null && 'id' in found && 'name' in found
      ? (found as PhonePerson)
      : null;
  }, null);

export const isHere = (person: PhonePerson): void =>
  storage(() => {
    const text = JSON.stringify({ id: person.id, name: person.name });
    if (localStorage.getItem(PERSON) !== text) localStorage.setItem(PERSON, text);
    localStorage.removeItem(LEAVING);
  }, undefined);

/** Somebody signs out: once the door is reached nothing of theirs is left here but what waits to be sent. */
export const leaves = (): void =>
  storage(() => {
    const person = whoIsHere();
    if (person) localStorage.setItem(LEAVING, person.id);
  }, undefined);

/** At the door: what a person who signed out has kept here goes. What they have not sent stays. */
export async function wipeLeft(): Promise<void> {
  const person = storage(() => localStorage.getItem(LEAVING), null);
  if (person === null) return;
  const db = await open(person);
  await db?.clear('jobs').catch(() => {});
  await db?.clear('thumbs').catch(() => {});
  db?.close();
  opened.delete(person);
  storage(() => {
    localStorage.removeItem(LEAVING);
    localStorage.removeItem(PERSON);
  }, undefined);
}
