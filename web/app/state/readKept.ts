/** Reads an edit a browser has kept, by this version of the program or an earlier one. */
import { currentPlan, type Plan } from '@cimiento/core';

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
  /** Id of who edited; empty where an earlier program did not say. */
  readonly person: string;
}

/** @returns null for what is none */
export function readKept(text: string | null): (Kept & { at: number }) | null {
  try {
    const kept: unknown = JSON.parse(text ?? 'null');
    if (typeof kept !== 'object' || kept === null || !('plan' in kept) || !('base' in kept)) return null;
    const { revision, at, sent, person } = kept as Record<string, unknown>;
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
      person: typeof person === 'string' ? person : '',
      at: typeof at === 'number' ? at : 0,
    };
  } catch {
    return null;
  }
}
