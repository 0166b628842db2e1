/**
 * Revisions of a job. Saves by one person within a sitting make one revision that grows; each save keeps its
 * number, and the way back to it. What is named stands for itself.
 */
import type { Plan, SiteRecord } from '@cimiento/core';
import { and, asc, desc, eq, gte, lt, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import jsonPatch, { type Operation } from 'fast-json-patch';
import { changesBetween } from '../changes.ts';
import { db } from '../client.ts';
import { currentOf } from '../columns/plan.ts';
import type { Photo } from '../photo-bytes.ts';
import { type Change, type JobSummary, jobs, people, revisions, saves } from '../schema.ts';
import { isId } from './ids.ts';
import { mine } from './own.ts';
import { tell } from './tell.ts';

export type Here = Pick<
  Parameters<Parameters<typeof db.transaction>[0]>[0],
  'select' | 'insert' | 'update' | 'delete' | 'execute'
>;

/** Who does not save for so long begins a new sitting, ms. */
export const SITTING = 30 * 60_000;

/** A plan as it was kept, of whatever version: ways back are between those. */
const kept = sql<Plan>`${revisions.plan}`;

export interface Saving {
  readonly plan: Plan;
  readonly summary: JobSummary;
  readonly changes: Change[];
  readonly why: string;
  /** What was logged already, of a job from a file. */
  readonly records?: readonly SiteRecord[];
  /** Photos of those records. */
  readonly photos?: readonly Photo[];
}

export type Saved =
  | { readonly ok: true; readonly revision: number }
  | { readonly ok: false; readonly code: 'gone' | 'stale' };

/** The plan as it stood before a revision, null before the first. */
async function planBefore(tx: Here, jobId: string, first: number): Promise<Plan | null> {
  const [before] = await tx
    .select({ plan: revisions.plan })
    .from(revisions)
    .where(and(eq(revisions.jobId, jobId), lt(revisions.number, first)))
    .orderBy(desc(revisions.number))
    .limit(1);
  return before?.plan ?? null;
}

/**
 * The newest revision takes a save in.
 * @returns false when it stands for itself: another's, named, said why, or of an earlier sitting
 */
async function grow(
  tx: Here,
  jobId: string,
  personId: string,
  base: number,
  { plan, summary, why }: Saving,
): Promise<boolean> {
  const [newest] = await tx
    .select({
      first: revisions.first,
      plan: kept,
      why: revisions.why,
      personId: revisions.personId,
      named: revisions.named,
      at: revisions.at,
    })
    .from(revisions)
    .where(and(eq(revisions.jobId, jobId), eq(revisions.number, base)));
  const grows =
    // What the job began with stands for itself.
    base > 1 &&
    newest !== undefined &&
    newest.personId === personId &&
    !newest.named &&
    newest.why === '' &&
    why === '' &&
    Date.now() - newest.at.getTime() < SITTING;
  if (!grows) return false;
  const back = jsonPatch.compare(plan, newest.plan);
  await tx.insert(saves).values({ jobId, number: base, at: newest.at, back });
  const before = await planBefore(tx, jobId, newest.first);
  await tx
    .update(revisions)
    .set({
      number: base + 1,
      plan,
      summary,
      changes: before ? changesBetween(before, plan) : [],
      at: new Date(),
    })
    .where(and(eq(revisions.jobId, jobId), eq(revisions.number, base)));
  return true;
}

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
  const { plan, summary, why } = saving;
  return db.transaction(async (tx): Promise<Saved> => {
    const [job] = await tx
      .select({ revision: jobs.revision })
      .from(jobs)
      .where(mine(crewId, jobId))
      .for('update');
    if (!job) return { ok: false, code: 'gone' };
    if (job.revision !== base) return { ok: false, code: 'stale' };
    const number = base + 1;
    if (!(await grow(tx, jobId, personId, base, saving)))
      await tx.insert(revisions).values({
        jobId,
        number,
        first: number,
        plan,
        summary,
        changes: saving.changes,
        why,
        personId,
      });
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
    // The job first, as a save does: two that lock in another order wait for each other.
    await tx
      .update(jobs)
      .set({ summary })
      .where(and(eq(jobs.id, jobId), eq(jobs.revision, number)));
    await tx
      .update(revisions)
      .set({ summary })
      .where(and(eq(revisions.jobId, jobId), eq(revisions.number, number)));
  });
}

/** Revisions listed at a time. */
const REVISIONS_A_PAGE = 50;
const author = alias(people, 'author');

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
      /** The first save it holds. */
      first: revisions.first,
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

/** Saves of a revision listed at a time. */
const SAVES_A_PAGE = 40;

/**
 * Saves a revision has grown over, newest first.
 * @param number of the revision
 * @param before those older than this number only
 */
export async function listSaves(crewId: string, jobId: string, number: number, before = number) {
  if (!isId(jobId)) return [];
  return db
    .select({ number: saves.number, at: saves.at })
    .from(saves)
    .innerJoin(jobs, eq(jobs.id, saves.jobId))
    .innerJoin(revisions, and(eq(revisions.jobId, saves.jobId), eq(revisions.number, number)))
    .where(
      and(
        mine(crewId, jobId),
        gte(saves.number, revisions.first),
        lt(saves.number, Math.min(before, number)),
      ),
    )
    .orderBy(desc(saves.number))
    .limit(SAVES_A_PAGE);
}

/** The revision that holds a save; none when the job has no such save. */
async function holding(tx: Here, jobId: string, number: number) {
  const [row] = await tx
    .select({ number: revisions.number, first: revisions.first, plan: kept, named: revisions.named })
    .from(revisions)
    .where(and(eq(revisions.jobId, jobId), gte(revisions.number, number)))
    .orderBy(asc(revisions.number))
    .limit(1);
  return row && row.first <= number ? row : null;
}

/** A save's plan, as it was kept; null when the way back to it is not here, as after an archive. */
async function planAt(
  tx: Here,
  jobId: string,
  { number: last, plan }: { readonly number: number; readonly plan: Plan },
  number: number,
): Promise<Plan | null> {
  if (number === last) return plan;
  const ways = await tx
    .select({ back: saves.back })
    .from(saves)
    .where(and(eq(saves.jobId, jobId), gte(saves.number, number), lt(saves.number, last)))
    .orderBy(desc(saves.number));
  if (ways.length < last - number) return null;
  return ways.reduce(
    (at, { back }) => jsonPatch.applyPatch(at, back as Operation[], false, true).newDocument,
    plan,
  );
}

/** The plan of a save; of one that came grown out of an archive, what it grew into. */
export async function findRevision(crewId: string, jobId: string, number: number) {
  if (!isId(jobId)) return null;
  const [job] = await db.select({ id: jobs.id }).from(jobs).where(mine(crewId, jobId));
  const row = job ? await holding(db, jobId, number) : null;
  if (!row) return null;
  const found = await planAt(db, jobId, row, number);
  return { plan: currentOf(found ?? row.plan) };
}

/** A save that something names stands for itself from then on: it ends a revision, and none grows over it. */
async function standAlone(tx: Here, jobId: string, number: number): Promise<void> {
  const row = await holding(tx, jobId, number);
  if (!row || (row.number === number && row.named)) return;
  const own = and(eq(revisions.jobId, jobId), eq(revisions.number, row.number));
  const plan = row.number === number ? null : await planAt(tx, jobId, row, number);
  if (plan === null) {
    await tx.update(revisions).set({ named: true }).where(own);
    return;
  }
  const before = await planBefore(tx, jobId, row.first);
  const [whole] = await tx.select().from(revisions).where(own);
  const [save] = await tx
    .delete(saves)
    .where(and(eq(saves.jobId, jobId), eq(saves.number, number)))
    .returning({ at: saves.at });
  const current = currentOf(plan);
  await tx
    .update(revisions)
    .set({ first: number + 1, changes: changesBetween(current, whole!.plan) })
    .where(own);
  await tx.insert(revisions).values({
    ...whole!,
    number,
    plan: current,
    summary: { ...whole!.summary, stale: true },
    changes: before ? changesBetween(before, current) : [],
    named: true,
    at: save!.at,
  });
}

/** Within a transaction that holds the job's row. */
export async function nameRevisions(tx: Here, jobId: string, numbers: readonly number[]): Promise<void> {
  for (const number of [...new Set(numbers)].sort((p, q) => p - q)) await standAlone(tx, jobId, number);
}

/** A print of the crew's job names its revision. */
export async function nameRevision(crewId: string, jobId: string, number: number): Promise<void> {
  if (!isId(jobId)) return;
  await db.transaction(async (tx) => {
    const [job] = await tx.select({ id: jobs.id }).from(jobs).where(mine(crewId, jobId)).for('update');
    if (job) await nameRevisions(tx, jobId, [number]);
  });
}
