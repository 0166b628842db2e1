/**
 * What the board shows of a job is worked out after a save has been answered: nobody waits for it.
 * Until then the board shows the last figures. A server that ends in between leaves them marked
 * stale, and the next look at the board works them out.
 */
import type { Plan } from '@cimiento/core';
import { findJob, setSummary } from '../../db/queries/jobs.ts';
import { summarise } from './pool.server.ts';
import { sayError } from './say.server.ts';

interface Wanted {
  readonly number: number;
  readonly plan: Plan;
}

/** The newest revision of each job that waits; one of a job is worked out at a time. */
const waiting = new Map<string, Wanted>();
const under = new Set<string>();

async function run(jobId: string): Promise<void> {
  under.add(jobId);
  try {
    for (let next = waiting.get(jobId); next; next = waiting.get(jobId)) {
      waiting.delete(jobId);
      await setSummary(jobId, next.number, await summarise(next.plan));
    }
  } catch (error) {
    // Too long, or the database is away: it stays stale, and is tried at the next look.
    if (error instanceof Error) sayError(error, { method: 'summary', path: '' });
  } finally {
    under.delete(jobId);
  }
}

/** Works out the summary of a saved revision; of several in a row only the newest. */
export function catchUp(jobId: string, number: number, plan: Plan): void {
  waiting.set(jobId, { number, plan });
  if (!under.has(jobId)) void run(jobId);
}

/** The same for a job whose summary was left stale. */
export async function catchUpJob(crewId: string, jobId: string): Promise<void> {
  if (under.has(jobId) || waiting.has(jobId)) return;
  const job = await findJob(crewId, jobId).catch(() => null);
  if (job) catchUp(jobId, job.revision, job.plan);
}
