/** Records of a job: added, never changed. Every query names the crew. */
import { type SiteRecord, upgradedRecord } from '@cimiento/core';
import { and, asc, eq, gt, isNull, max } from 'drizzle-orm';
import { db } from '../client.ts';
import { jobs, records } from '../schema.ts';
import { isId } from './ids.ts';
import { type Here, nameRevisions } from './revisions.ts';
import { tell } from './tell.ts';

export interface RecordRow {
  readonly record: SiteRecord;
  /** Grows as records come in: ask for what came after. */
  readonly seq: number;
}

const columns = {
  id: records.id,
  kind: records.kind,
  at: records.at,
  by: records.byName,
  element: records.element,
  placement: records.placement,
  place: records.place,
  corrects: records.corrects,
  after: records.after,
  revision: records.revision,
  value: records.value,
  seq: records.seq,
};

/** Records of a job that came in after one, in the order they came. */
export async function listRecords(crewId: string, jobId: string, after = 0): Promise<RecordRow[]> {
  if (!isId(jobId)) return [];
  const rows = await db
    .select(columns)
    .from(records)
    .innerJoin(jobs, eq(jobs.id, records.jobId))
    .where(
      and(
        eq(records.jobId, jobId),
        eq(records.crewId, crewId),
        eq(jobs.crewId, crewId),
        isNull(jobs.removedAt),
        gt(records.seq, after),
      ),
    )
    .orderBy(asc(records.seq));
  return rows.map(rowOf);
}

const rowOf = ({ seq, at, ...row }: { seq: number; at: Date } & Record<string, unknown>): RecordRow => ({
  seq,
  // Rows are never changed: those of before are read as they are written now.
  record: upgradedRecord({ ...row, at: at.toISOString() }) as SiteRecord,
});

/** Records of a job, off the board or not. */
export async function recordsForArchive(crewId: string, jobId: string): Promise<RecordRow[]> {
  const rows = await db
    .select(columns)
    .from(records)
    .where(and(eq(records.jobId, jobId), eq(records.crewId, crewId)))
    .orderBy(asc(records.seq));
  return rows.map(rowOf);
}

/** The records alone. */
export const recordsOf = async (crewId: string, jobId: string): Promise<SiteRecord[]> =>
  (await listRecords(crewId, jobId)).map((row) => row.record);

/**
 * Puts records beside a job within a transaction that holds the job's row; those it has already stay as
 * they are. A revision the job has not got (yet) is not named.
 * @param newest the job's newest revision
 */
export async function putRecords(
  tx: Here,
  { crewId, jobId, newest }: { readonly crewId: string; readonly jobId: string; readonly newest: number },
  personId: string | null,
  list: readonly SiteRecord[],
): Promise<number> {
  if (list.length === 0) return 0;
  const [last] = await tx
    .select({ seq: max(records.seq) })
    .from(records)
    .where(eq(records.jobId, jobId));
  const known = (revision: number | null) => (revision !== null && revision <= newest ? revision : null);
  const rows = await tx
    .insert(records)
    .values(
      list.map(({ id, kind, at, by, element, placement, place, corrects, after, revision, value }, i) => ({
        jobId,
        id,
        crewId,
        kind,
        at: new Date(at),
        personId,
        byName: by,
        element,
        placement,
        place,
        corrects,
        after,
        revision: known(revision),
        value,
        seq: (last?.seq ?? 0) + 1 + i,
      })),
    )
    .onConflictDoNothing()
    .returning({ revision: records.revision });
  await nameRevisions(
    tx,
    jobId,
    rows.flatMap((row) => row.revision ?? []),
  );
  return rows.length;
}

/**
 * Adds records to a job of the crew.
 * @returns how many were new; null when the crew has no such job
 */
export async function addRecords(
  crewId: string,
  jobId: string,
  personId: string,
  list: readonly SiteRecord[],
): Promise<number | null> {
  if (!isId(jobId)) return null;
  return db.transaction(async (tx) => {
    const [job] = await tx
      .select({ revision: jobs.revision })
      .from(jobs)
      .where(and(eq(jobs.id, jobId), eq(jobs.crewId, crewId), isNull(jobs.removedAt)))
      .for('update');
    if (!job) return null;
    const added = await putRecords(tx, { crewId, jobId, newest: job.revision }, personId, list);
    if (added > 0) await tell(tx, { job: jobId, what: 'records' });
    return added;
  });
}
