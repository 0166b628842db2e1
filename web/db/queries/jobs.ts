/** Jobs of a crew. Every query names the crew: no job is reachable without it. */
import type { System } from '@cimiento/core';
import { and, desc, eq, gt, isNull, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { db } from '../client.ts';
import { jobs, people, records, revisions } from '../schema.ts';
import { isId } from './ids.ts';
import { mine } from './own.ts';
import { putPhoto } from './photos.ts';
import { putRecords } from './records.ts';
import type { Saving } from './revisions.ts';

const author = alias(people, 'author');
/** When the last record of a job came in; null when none has. */
const lastLogged = sql`(select ${records.receivedAt} from ${records} where ${records.jobId} = ${jobs.id} order by ${records.seq} desc limit 1)`;

export const listJobs = (crewId: string) =>
  db
    .select({
      id: jobs.id,
      name: jobs.name,
      place: jobs.place,
      revision: jobs.revision,
      summary: jobs.summary,
      system: sql<System>`${jobs.plan}->>'system'`,
      updatedAt: jobs.updatedAt,
      updatedBy: author.name,
    })
    .from(jobs)
    .leftJoin(author, eq(author.id, jobs.updatedBy))
    .where(and(eq(jobs.crewId, crewId), isNull(jobs.removedAt)))
    // Today's job first: what was last worked on, on the plan or on site.
    .orderBy(desc(sql`greatest(${jobs.updatedAt}, ${lastLogged})`), jobs.name)
    .limit(500);

export async function findJob(crewId: string, jobId: string) {
  if (!isId(jobId)) return null;
  const [row] = await db
    .select({
      id: jobs.id,
      crewId: jobs.crewId,
      plan: jobs.plan,
      summary: jobs.summary,
      revision: jobs.revision,
      updatedAt: jobs.updatedAt,
      updatedBy: author.name,
    })
    .from(jobs)
    .leftJoin(author, eq(author.id, jobs.updatedBy))
    .where(mine(crewId, jobId));
  return row ?? null;
}

/** A new job with its first revision. */
export async function createJob(crewId: string, personId: string | null, saving: Saving): Promise<string> {
  const { plan, summary, changes, why, records = [], photos = [] } = saving;
  return db.transaction(async (tx) => {
    const [job] = await tx
      .insert(jobs)
      .values({ crewId, name: plan.name, place: plan.place, plan, summary, updatedBy: personId })
      .returning({ id: jobs.id });
    await tx
      .insert(revisions)
      .values({ jobId: job!.id, number: 1, first: 1, plan, summary, changes, why, personId });
    // Revisions they were seen against are another job's.
    const own = records.map((record) => ({ ...record, revision: null }));
    await putRecords(tx, { crewId, jobId: job!.id, newest: 1 }, personId, own);
    for (const photo of photos) await putPhoto(tx, crewId, job!.id, photo);
    return job!.id;
  });
}

/** Takes a job off the board. It can be brought back for a while. */
export async function removeJob(crewId: string, jobId: string): Promise<boolean> {
  if (!isId(jobId)) return false;
  const gone = await db
    .update(jobs)
    .set({ removedAt: new Date() })
    .where(mine(crewId, jobId))
    .returning({ id: jobs.id });
  return gone.length > 0;
}

/** Days a removed job can be brought back. */
export const KEPT_DAYS = 30;
const stillKept = () => gt(jobs.removedAt, new Date(Date.now() - KEPT_DAYS * 24 * 3600_000));

/** Jobs removed lately, last removed first. */
export const listRemoved = (crewId: string) =>
  db
    .select({ id: jobs.id, name: jobs.name, place: jobs.place, removedAt: jobs.removedAt })
    .from(jobs)
    .where(and(eq(jobs.crewId, crewId), stillKept()))
    .orderBy(desc(jobs.removedAt))
    .limit(200);

/** Puts a removed job back on the board with all its revisions. */
export async function bringBack(crewId: string, jobId: string): Promise<boolean> {
  if (!isId(jobId)) return false;
  const back = await db
    .update(jobs)
    .set({ removedAt: null })
    .where(and(eq(jobs.id, jobId), eq(jobs.crewId, crewId), stillKept()))
    .returning({ id: jobs.id });
  return back.length > 0;
}
