/**
 * What this browser keeps of an edit until the server has it: written at every edit, so that a
 * closed tab, a lost line or a dead battery loses nothing. One entry a tab: two tabs on one job do
 * not overwrite each other's.
 */
import { currentPlan, type Plan } from '@cimiento/core';

const PREFIX = 'cimiento:unsaved:';
const TAB = 'cimiento:tab';
const keyOf = (jobId: string, tab: string) => `${PREFIX}${jobId}:${tab}`;

/** A save under way or whose answer never came: it may stand on the server all the same. */
export interface Sent {
  readonly revision: number;
  readonly plan: Plan;
}

export interface Kept {
  readonly revision: number;
  readonly base: Plan;
  readonly plan: Plan;
  /** Saves sent without an answer, oldest first. */
  readonly sent: readonly Sent[];
}

/** This tab's own name; it outlives a reload but not the tab. */
function tabName(): string {
  try {
    const known = sessionStorage.getItem(TAB);
    if (known) return known;
    const made = Math.random().toString(36).slice(2, 10);
    sessionStorage.setItem(TAB, made);
    return made;
  } catch {
    return 'tab';
  }
}

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
export function keepEdit(jobId: string, { revision, base, plan, sent }: Kept): boolean {
  const held = sent.map((one) => `{"revision":${one.revision},"plan":${textOf(one.plan)}}`).join();
  const text = `{"revision":${revision},"base":${textOf(base)},"plan":${JSON.stringify(plan)},"sent":[${held}],"at":${Date.now()}}`;
  try {
    localStorage.setItem(keyOf(jobId, tabName()), text);
    return true;
  } catch {
    return false;
  }
}

/** This tab's edit is saved, or no longer wanted. */
export function forgetKept(jobId: string): void {
  try {
    localStorage.removeItem(keyOf(jobId, tabName()));
  } catch {
    // No storage: nothing was kept.
  }
}

function read(text: string | null): (Kept & { at: number }) | null {
  try {
    const kept: unknown = JSON.parse(text ?? 'null');
    if (typeof kept !== 'object' || kept === null || !('plan' in kept) || !('base' in kept)) return null;
    const { revision, at, sent } = kept as Record<string, unknown>;
    // It may have been kept by an earlier version of this program.
    const [plan, base] = [currentPlan(kept.plan), currentPlan(kept.base)];
    if (!plan || !base || typeof revision !== 'number') return null;
    const lost = (Array.isArray(sent) ? sent : []).flatMap((one: { revision?: unknown; plan?: unknown }) => {
      const made = currentPlan(one?.plan);
      return made ? [{ revision: Number(one.revision), plan: made }] : [];
    });
    return {
      plan,
      base,
      revision,
      sent: lost,
      at: typeof at === 'number' ? at : 0,
    };
  } catch {
    return null;
  }
}

/**
 * An edit an earlier page could not save, if there is one for this job: this tab's own first, else
 * the newest a closed tab left. It becomes this tab's.
 */
export function keptEdit(jobId: string): Kept | null {
  try {
    const mine = keyOf(jobId, tabName());
    const own = read(localStorage.getItem(mine));
    if (own) return own;
    const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '');
    const [newest] = keys
      // An earlier version of this program kept one a job, without a tab.
      .filter((key) => key === `${PREFIX}${jobId}` || key.startsWith(`${PREFIX}${jobId}:`))
      .flatMap((key) => {
        const kept = read(localStorage.getItem(key));
        return kept ? [{ key, kept }] : [];
      })
      .sort((p, q) => q.kept.at - p.kept.at);
    if (!newest) return null;
    if (keepEdit(jobId, newest.kept)) localStorage.removeItem(newest.key);
    return newest.kept;
  } catch {
    return null;
  }
}
