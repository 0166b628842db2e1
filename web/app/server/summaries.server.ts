/**
 * What the board shows of a job is worked out after a save has been answered: nobody waits for it.
 * Until then the board shows the last figures. A server that ends in between leaves them marked
 * stale, and the next look at the board works them out.
 */
import { findJob } from '../../db/queries/jobs.ts';
import { recordsOf } from '../../db/queries/records.ts';
import { setSummary } from '../../db/queries/revisions.ts';
import { summarise } from './pool.server.ts';
import { sayError } from './say.server.ts';

/** Jobs that wait, by crew; one of a crew is worked out at a time, and then as it is at that moment. */
const waiting = new Map<string, Set<string>>();
const under = new Set<string>();

async function one(crewId: string, jobId: string): Promise<void> {
  try {
    const job = await findJob(crewId, jobId);
    if (!job) return;
    const records = await recordsOf(crewId, jobId);
    await setSummary(jobId, job.revision, await summarise(crewId, job.plan, records));
  } catch (error) {
    // Too long, or the database is away: it stays stale, and is tried at the next look.
    if (error instanceof Error) sayError(error, { method: 'summary', path: '' });
  }
}

async function run(crewId: string): Promise<void> {
  under.add(crewId);
  for (const jobs = waiting.get(crewId); jobs && jobs.size > 0; ) {
    const [jobId] = jobs;
    jobs.delete(jobId!);
    await one(crewId, jobId!);
  }
  waiting.delete(crewId);
  under.delete(crewId);
}

/** Works out what the board shows of a job; of several calls in a row the last decides. */
export function catchUp(crewId: string, jobId: string): void {
  const jobs = waiting.get(crewId) ?? new Set();
  waiting.set(crewId, jobs.add(jobId));
  if (!under.has(crewId)) void run(crewId);
}
