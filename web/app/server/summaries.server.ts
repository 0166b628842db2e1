/**
 * What the board shows of a job is worked out after a save has been answered: nobody waits for it.
 * Until then the board shows the last figures. A server that ends in between leaves them marked
 * stale, and the next look at the board works them out.
 */
import { findJob, setSummary } from '../../db/queries/jobs.ts';
import { recordsOf } from '../../db/queries/records.ts';
import { summarise } from './pool.server.ts';
import { sayError } from './say.server.ts';

/** Jobs that wait, with their crew; one of a job is worked out at a time, and then the newest there is. */
const waiting = new Map<string, string>();
const under = new Set<string>();

async function run(jobId: string): Promise<void> {
  under.add(jobId);
  try {
    for (let crewId = waiting.get(jobId); crewId !== undefined; crewId = waiting.get(jobId)) {
      waiting.delete(jobId);
      const job = await findJob(crewId, jobId);
      if (!job) continue;
      const records = await recordsOf(crewId, jobId);
      await setSummary(jobId, job.revision, await summarise(crewId, job.plan, records));
    }
  } catch (error) {
    // Too long, or the database is away: it stays stale, and is tried at the next look.
    if (error instanceof Error) sayError(error, { method: 'summary', path: '' });
  } finally {
    under.delete(jobId);
  }
}

/** Works out what the board shows of a job; of several calls in a row the last decides. */
export function catchUp(crewId: string, jobId: string): void {
  waiting.set(jobId, crewId);
  if (!under.has(jobId)) void run(jobId);
}

/** The same for a job whose summary was left stale, unless that is under way. */
export function catchUpStale(crewId: string, jobId: string): void {
  if (!under.has(jobId) && !waiting.has(jobId)) catchUp(crewId, jobId);
}
