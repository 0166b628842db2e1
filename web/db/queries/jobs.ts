/** Jobs of a crew and their revisions. Every query names the crew: no job is reachable without it. */
import type { Plan, SiteRecord, System } from '@cimiento/core';
import { and, desc, eq, gt, inArray, isNull, lt, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { db } from '../client.ts';
import { type Change, type JobSummary, jobs, people, revisions } from '../schema.ts';
import { isId } from './ids.ts';
import { putRecords } from './records.ts';
import { tell } from './tell.ts';

const author = alias(people, 'author');
const mine = (crewId: string, jobId: string) =>
  and(eq(jobs.id, jobId), eq(jobs.crewId, crewId), isNull(jobs.removedAt));

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
    .orderBy(desc(jobs.updatedAt), jobs.name)
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

export interface Saving {
  readonly plan: Plan;
  readonly summary: JobSummary;
  readonly changes: Change[];
  readonly why: string;
  /** What was logged already, of a job from a file. */
  readonly records?: readonly SiteRecord[];
}

/** A new job with its first revision. */
export async function createJob(crewId: string, personId: string | null, saving: Saving): Promise<string> {
  const { plan, summary, changes, why, records = [] } = saving;
  return db.transaction(async (tx) => {
    const [job] = await tx
      .insert(jobs)
      .values({ crewId, name: plan.name, place: plan.place, plan, summary, updatedBy: personId })
      .returning({ id: jobs.id });
    await tx.insert(revisions).values({ jobId: job!.id, number: 1, plan, summary, changes, why, personId });
    // Revisions they were seen against are another job's.
    const own = records.map((record) => ({ ...record, revision: null }));
    await putRecords(tx, { crewId, jobId: job!.id, newest: 1 }, personId, own);
    return job!.id;
  });
}

export type Saved =
  | { readonly ok: true; readonly revision: number }
  | { readonly ok: false; readonly code: 'gone' | 'stale' };

/**
 * Saves a plan over the revision it was edited from. When someone saved in between, nothing is
 * written and the answer is `stale`.
 */
export async function saveRevision(
  crewId: string,
  jobId: string,
  personId: string,
  base: number,
  saving: Saving,
): Promise<Saved> {
  if (!isId(jobId)) return { ok: false, code: 'gone' };
  const { plan, summary, changes, why } = saving;
  return db.transaction(async (tx): Promise<Saved> => {
    const [job] = await tx
      .select({ revision: jobs.revision })
      .from(jobs)
      .where(mine(crewId, jobId))
      .for('update');
    if (!job) return { ok: false, code: 'gone' };
    if (job.revision !== base) return { ok: false, code: 'stale' };
    const number = base + 1;
    await tx.insert(revisions).values({ jobId, number, plan, summary, changes, why, personId });
    await tx
      .update(jobs)
      .set({
        plan,
        summary,
        name: plan.name,
        place: plan.place,
        revision: number,
        updatedAt: new Date(),
        updatedBy: personId,
      })
      .where(eq(jobs.id, jobId));
    await tell(tx, { job: jobId, what: 'revision', number });
    return { ok: true, revision: number };
  });
}

/** Puts the summary of a revision in its place; on the board only while that revision is the newest. */
export async function setSummary(jobId: string, number: number, summary: JobSummary): Promise<void> {
  await db.transaction(async (tx) => {
    await tx
      .update(revisions)
      .set({ summary })
      .where(and(eq(revisions.jobId, jobId), eq(revisions.number, number)));
    await tx
      .update(jobs)
      .set({ summary })
      .where(and(eq(jobs.id, jobId), eq(jobs.revision, number)));
  });
}

/** Revisions listed at a time. */
const REVISIONS_A_PAGE = 50;

/**
 * Newest revisions first, without their plans.
 * @param before those older than this number only
 */
export async function listRevisions(
  crewId: string,
  jobId: string,
  before = 2 ** 31 - 1,
  most = REVISIONS_A_PAGE,
) {
  if (!isId(jobId)) return [];
  return db
    .select({
      number: revisions.number,
      at: revisions.at,
      by: sql<string | null>`coalesce(${author.name}, ${revisions.byName})`,
      why: revisions.why,
      changes: revisions.changes,
      summary: revisions.summary,
    })
    .from(revisions)
    .innerJoin(jobs, eq(jobs.id, revisions.jobId))
    .leftJoin(author, eq(author.id, revisions.personId))
    .where(and(mine(crewId, jobId), lt(revisions.number, before)))
    .orderBy(desc(revisions.number))
    .limit(most);
}

export async function findRevision(crewId: string, jobId: string, number: number) {
  if (!isId(jobId)) return null;
  const [row] = await db
    .select({ plan: revisions.plan })
    .from(revisions)
    .innerJoin(jobs, eq(jobs.id, revisions.jobId))
    .where(and(mine(crewId, jobId), eq(revisions.number, number)));
  return row ?? null;
}

/** A print of the crew's job names its revision: from then on it stands for itself. */
export const nameRevision = (crewId: string, jobId: string, number: number) =>
  db
    .update(revisions)
    .set({ named: true })
    .where(
      and(
        inArray(revisions.jobId, db.select({ id: jobs.id }).from(jobs).where(mine(crewId, jobId))),
        eq(revisions.number, number),
        eq(revisions.named, false),
      ),
    );

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
