/**
 * Copies of what waits to be saved, where the service worker can read them (IndexedDB): the browser's plain
 * storage, which a closing page can still write to, is shut to it. The copy follows the original; what the
 * worker has saved it marks, and the next page lets the original go.
 */
import { sameValue } from '@cimiento/core';
import type { DBSchema } from 'idb';
import { database } from './database.ts';

export interface EditAway {
  /** Name of the original. */
  readonly key: string;
  readonly job: string;
  /** Name of the page that keeps it. */
  readonly page: string;
  /** The original as it was kept. */
  readonly text: string;
  /** The server has it. */
  readonly saved: boolean;
}
interface Edits extends DBSchema {
  edits: { key: string; value: EditAway };
}

/** An answer that takes longer is as good as none, ms. */
const LONGEST_ANSWER = 20_000;

/** A page holds a lock of this and its name as long as it is open. */
export const PAGE_LOCK = 'cimiento:page:';

/** Null where the browser keeps nothing: the next page then saves what is left. */
const open = database<Edits>('cimiento-edits', 1, (db) => {
  db.createObjectStore('edits', { keyPath: 'key' });
});

/** Writes copies, and takes away (null) those whose original is gone. */
export async function writeEdits(changes: ReadonlyMap<string, EditAway | null>): Promise<void> {
  const db = await open();
  if (!db) return;
  const tx = db.transaction('edits', 'readwrite');
  const all = [...changes].map(([key, one]) => (one ? tx.store.put(one) : tx.store.delete(key)));
  await Promise.all([...all, tx.done]).catch(() => {});
}

interface Kept {
  readonly revision: number;
  readonly plan: unknown;
  readonly sent: readonly { readonly plan: unknown }[];
  readonly person: string;
}

const kept = (text: string): Kept => JSON.parse(text) as Kept;
/** Whether both hold the same plan; not where one of them is none. */
function samePlan(one: string, other: string): boolean {
  try {
    return sameValue(kept(one).plan, kept(other).plan);
  } catch {
    return false;
  }
}

/** @returns names of originals whose plan the server has, by what is kept under each */
export async function savedAway(textOf: (key: string) => string | null): Promise<string[]> {
  if (!globalThis.navigator?.serviceWorker) return [];
  const all = (await (await open())?.getAll('edits').catch(() => [])) ?? [];
  return all
    .filter(({ key, text, saved }) => {
      const now = saved ? textOf(key) : null;
      // A page that was closing may have written more of its sendings, but no other plan.
      return now !== null && samePlan(now, text);
    })
    .map(({ key }) => key);
}

/** @returns whether asking again may help */
async function send({ job, text }: EditAway): Promise<'saved' | 'later' | 'page'> {
  const { revision, plan, sent, person } = kept(text);
  const post = (base: number) =>
    fetch(`/jobs/${job}/revisions?base=${base}&person=${encodeURIComponent(person)}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(plan),
      signal: AbortSignal.timeout(LONGEST_ANSWER),
    }).catch(() => null);
  let answer = await post(revision);
  if (answer?.status === 409) {
    const now = (await answer.json().catch(() => null)) as { plan?: unknown; revision?: number } | null;
    if (sameValue(now?.plan, plan)) return 'saved';
    // An earlier save of this edit came through after all, only its answer did not.
    if (!sent.some((one) => sameValue(one.plan, now?.plan))) return 'page';
    answer = await post(Number(now?.revision));
  }
  if (answer?.ok) return 'saved';
  return !answer || answer.status === 429 || answer.status >= 500 ? 'later' : 'page';
}

/**
 * Saves edits of pages that are gone; those of open pages they save themselves, and what needs a person
 * (another's save between, a refusal) waits for a page.
 * @param isOpen whether a page of that name is open
 * @returns how many are still to be sent
 */
export async function sendEditsAway(isOpen: (page: string) => Promise<boolean>): Promise<number> {
  const db = await open();
  let left = 0;
  for (const one of (await db?.getAll('edits').catch(() => [])) ?? []) {
    if (one.saved) continue;
    if (await isOpen(one.page)) {
      left++;
      continue;
    }
    const how = await send(one);
    // A page may have opened meanwhile, and typed on.
    if (how === 'saved' && (await db?.get('edits', one.key))?.text === one.text)
      await db?.put('edits', { ...one, saved: true });
    if (how === 'later') left++;
  }
  return left;
}
