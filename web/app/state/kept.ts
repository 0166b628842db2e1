/**
 * What this browser keeps of an edit until the server has it: written at every edit, so that a
 * closed tab, a lost line or a dead battery loses nothing. One entry a page, under a name no other page
 * has: two tabs on one job, also one made from the other, do not touch each other's. What a page that is
 * gone has left, the next one takes over.
 */
import type { Plan } from '@cimiento/core';
import { PAGE_LOCK, savedAway } from '../outbox/edits.ts';
import { copyEdit, dropCopy } from './editsAway.ts';
import type { Kept } from './readKept.ts';

/** Where a tab writes the name of its last page; a tab made from another has a copy of it. */
const TAB = 'cimiento:tab';
const PREFIX = 'cimiento:unsaved:';
const keyOf = (jobId: string, page: string) => `${PREFIX}${jobId}:${page}`;

/** How long the page before this one in its tab may take to go, ms. */
const GOING = 1000;

/** A page by its name: how it is told from others, and whether those are still there. */
export interface Page {
  readonly name: string;
  /** The page before in this tab, if it was one of this program. */
  readonly before: string | null;
  /** Whether a page of that name is open in this browser. */
  isOpen(name: string): Promise<boolean>;
}

/** A page's name is held as long as the page is there, whatever ends it; no other page can hold it. */
function openPage(): Page {
  const name = `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 10)}`;
  let before: string | null = null;
  try {
    before = sessionStorage.getItem(TAB);
    sessionStorage.setItem(TAB, name);
  } catch {
    // No storage: nothing is kept either.
  }
  const locks = globalThis.navigator?.locks;
  void locks?.request(PAGE_LOCK + name, () => new Promise<void>(() => {}));
  return {
    name,
    before,
    async isOpen(other) {
      // Without locks nobody can tell: what is kept is taken over, as by a reload.
      if (!locks) return false;
      const free = () => locks.request(PAGE_LOCK + other, { ifAvailable: true }, (lock) => lock !== null);
      if (await free()) return false;
      if (other !== before) return true;
      // A reload is quicker than the old page goes; a tab made from a living one waits in vain.
      return locks
        .request(PAGE_LOCK + other, { signal: AbortSignal.timeout(GOING) }, () => false)
        .catch(() => true);
    },
  };
}

let own: Page | null = null;
const thisPage = (): Page => {
  own ??= openPage();
  return own;
};
/** For tests: another page of the same browser. */
export const turnToPage = (page: Page | null): void => {
  own = page;
};

/** The base changes seldom and is written at every edit: its text is kept with it. */
const texts = new WeakMap<Plan, string>();
function textOf(plan: Plan): string {
  const known = texts.get(plan);
  if (known !== undefined) return known;
  const made = JSON.stringify(plan);
  texts.set(plan, made);
  return made;
}

/**
 * Keeps an edit in the browser's own storage.
 * @returns false when there is no room for it, or no storage
 */
export function keepEdit(jobId: string, { revision, base, plan, sent, person }: Kept): boolean {
  const held = sent.map((one) => `{"revision":${one.revision},"plan":${textOf(one.plan)}}`).join();
  const text = `{"revision":${revision},"base":${textOf(base)},"plan":${JSON.stringify(plan)},"sent":[${held}],"person":${JSON.stringify(person)},"at":${Date.now()}}`;
  const page = thisPage().name;
  const key = keyOf(jobId, page);
  try {
    localStorage.setItem(key, text);
    copyEdit({ key, job: jobId, page, text });
    return true;
  } catch {
    return false;
  }
}

function forget(key: string): void {
  try {
    if (localStorage.getItem(key) === null) return;
    localStorage.removeItem(key);
    dropCopy(key);
  } catch {
    // No storage: nothing was kept.
  }
}

/** This page's edit is saved, or no longer wanted. */
export const forgetKept = (jobId: string): void => forget(keyOf(jobId, thisPage().name));

/** Between tries to fetch what reads old edits, ms. */
const AGAIN = 2000;

/** What reads an edit of any version: fetched only when there is one, and until it is there. */
async function reader(): Promise<typeof import('./readKept.ts').readKept> {
  for (;;) {
    const found = await import('./readKept.ts').catch(() => null);
    if (found) return found.readKept;
    await new Promise((done) => setTimeout(done, AGAIN));
  }
}

interface Entry {
  readonly key: string;
  readonly job: string;
  /** Empty where an earlier program kept one a job. */
  readonly page: string;
}

function entries(): Entry[] {
  try {
    return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
      .filter((key) => key.startsWith(PREFIX))
      .map((key) => {
        const [job = '', page = ''] = key.slice(PREFIX.length).split(':');
        return { key, job, page };
      });
  } catch {
    return [];
  }
}

const theirs = (kept: Kept, person: string) => kept.person === '' || kept.person === person;

/** Edits of a person that pages now gone have left, or this one; newest first. */
async function left(person: string): Promise<(Entry & { readonly kept: Kept; readonly at: number })[]> {
  const { name, isOpen } = thisPage();
  if (entries().length === 0) return [];
  // What the service worker has saved since is no edit any more.
  for (const key of await savedAway((one) => localStorage.getItem(one))) forget(key);
  const all = entries();
  if (all.length === 0) return [];
  const readKept = await reader();
  const found = await Promise.all(
    all.map(async (entry) => {
      const kept = readKept(localStorage.getItem(entry.key));
      if (!kept || !theirs(kept, person)) return [];
      if (entry.page !== name && entry.page !== '' && (await isOpen(entry.page))) return [];
      return [{ ...entry, kept, at: kept.at }];
    }),
  );
  return found.flat().sort((p, q) => q.at - p.at);
}

/** Jobs of which edits of a person wait here, with no page open that would save them. */
export const jobsLeft = async (person: string): Promise<string[]> => [
  ...new Set((await left(person)).map(({ job }) => job)),
];

/** Whether anything is kept of a job: it may be of a page that is open, or of somebody else; told at once. */
export const anyKept = (jobId: string): boolean => entries().some(({ job }) => job === jobId);

/**
 * An edit an earlier page could not save, if there is one for this job: this page's own first, then what
 * this tab's last page left, else the newest any closed page left. It becomes this page's; of two pages
 * that look at once one takes it.
 */
export async function keptEdit(jobId: string, person: string): Promise<Kept | null> {
  const take = async (): Promise<Kept | null> => {
    const { name, before } = thisPage();
    const all = (await left(person)).filter(({ job }) => job === jobId);
    const next = all.find(({ page }) => page === name) ?? all.find(({ page }) => page === before) ?? all[0];
    if (!next) return null;
    if (next.page !== name && keepEdit(jobId, next.kept)) forget(next.key);
    return next.kept;
  };
  try {
    const locks = globalThis.navigator?.locks;
    return locks ? await locks.request(`cimiento:take:${jobId}`, take) : await take();
  } catch {
    return null;
  }
}
