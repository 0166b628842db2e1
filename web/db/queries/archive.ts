/**
 * A crew's whole data as lines of JSON: first what it is, then each job with its revisions from the
 * first on, last a line that counts them, so that a file cut short is known for one.
 */
import { type Plan, wholeText } from '@cimiento/core';
import { validateRecords, validateShape } from '@cimiento/core/validate';
import { and, asc, eq, gt } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { db } from '../client.ts';
import { legacyRecords } from '../legacy-records.ts';
import { type Change, crews, type JobSummary, jobs, people, revisions } from '../schema.ts';
import { putRecords, recordsForArchive } from './records.ts';

const ARCHIVE_FORMAT = 'cimiento-archive';
/** 2: records stand beside the revisions of a job. */
const ARCHIVE_VERSION = 2;
/** Revisions fetched at a time. */
const PAGE = 40;
const author = alias(people, 'author');

/** Lines of a crew's archive, jobs off the board included. */
export async function* archiveLines(crewId: string): AsyncGenerator<string> {
  const [crew] = await db.select({ name: crews.name }).from(crews).where(eq(crews.id, crewId));
  const line = (value: object) => `${JSON.stringify(value)}\n`;
  yield line({
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    crew: crew?.name ?? '',
    at: new Date().toISOString(),
  });
  const all = await db
    .select({ id: jobs.id, name: jobs.name, removedAt: jobs.removedAt })
    .from(jobs)
    .where(eq(jobs.crewId, crewId))
    .orderBy(asc(jobs.updatedAt));
  let count = 0;
  let logged = 0;
  for (const job of all) {
    yield line({ kind: 'job', ...job });
    for (let after = 0; ; ) {
      const page = await db
        .select({
          number: revisions.number,
          at: revisions.at,
          by: author.name,
          byName: revisions.byName,
          why: revisions.why,
          summary: revisions.summary,
          changes: revisions.changes,
          plan: revisions.plan,
        })
        .from(revisions)
        .leftJoin(author, eq(author.id, revisions.personId))
        .where(and(eq(revisions.jobId, job.id), gt(revisions.number, after)))
        .orderBy(asc(revisions.number))
        .limit(PAGE);
      for (const { byName, by, ...revision } of page) {
        yield line({ kind: 'revision', job: job.id, by: by ?? byName, ...revision });
        count++;
      }
      after = page.at(-1)?.number ?? after;
      if (page.length < PAGE) break;
    }
    for (const { record } of await recordsForArchive(crewId, job.id)) {
      yield line({ kind: 'record', job: job.id, record });
      logged++;
    }
  }
  yield line({ kind: 'end', jobs: all.length, revisions: count, records: logged });
}

export type Taken =
  | { readonly ok: true; readonly jobs: number; readonly revisions: number }
  | {
      readonly ok: false;
      readonly code: 'notAnArchive' | 'archiveCut' | 'archiveBroken';
      readonly line: number;
    };

type Json = Record<string, unknown>;
const text = (value: unknown, most: number) => wholeText(typeof value === 'string' ? value : '', most);
const date = (value: unknown): Date | null => {
  const made = typeof value === 'string' ? new Date(value) : null;
  return made && Number.isFinite(made.getTime()) ? made : null;
};

interface Read {
  readonly job: string;
  readonly number: number;
  readonly plan: Plan;
  readonly row: Json;
}

function revisionIn(row: Json): Read | null {
  const shape = validateShape(row.plan);
  const { job, number } = row;
  return shape.ok && typeof job === 'string' && typeof number === 'number' && Number.isInteger(number)
    ? { job, number, plan: shape.plan, row }
    : null;
}

class Broken extends Error {
  readonly code: 'notAnArchive' | 'archiveCut' | 'archiveBroken';
  readonly line: number;
  constructor(code: Broken['code'], line: number) {
    super(code);
    this.code = code;
    this.line = line;
  }
}

/**
 * Takes an archive in: every job of it becomes a new job of the crew, all or nothing.
 * @param summaryOf what the board shows of a plan
 */
export async function takeArchive(
  crewId: string,
  personId: string,
  lines: AsyncIterable<string>,
  summaryOf: (plan: Plan) => JobSummary | Promise<JobSummary>,
): Promise<Taken> {
  try {
    return await db.transaction(async (tx): Promise<Taken> => {
      let at = 0;
      let headed = false;
      let ended = false;
      let count = 0;
      let logged = 0;
      /** Their job's id to ours, with the newest revision seen and whether it was off the board. */
      const made = new Map<string, { id: string; newest: Read | null; removedAt: Date | null }>();
      for await (const one of lines) {
        at++;
        if (one.trim() === '') continue;
        let row: Json;
        try {
          const parsed: unknown = JSON.parse(one);
          if (typeof parsed !== 'object' || parsed === null) throw new Error('no object');
          row = parsed as Json;
        } catch {
          throw new Broken(headed ? 'archiveBroken' : 'notAnArchive', at);
        }
        if (!headed) {
          if (row.format !== ARCHIVE_FORMAT || !(row.version === 1 || row.version === ARCHIVE_VERSION))
            throw new Broken('notAnArchive', at);
          headed = true;
        } else if (row.kind === 'job' && typeof row.id === 'string' && !made.has(row.id)) {
          made.set(row.id, { id: '', newest: null, removedAt: date(row.removedAt) });
        } else if (row.kind === 'revision') {
          const read = revisionIn(row);
          const job = read && made.get(read.job);
          if (!job || read.number <= (job.newest?.number ?? 0)) throw new Broken('archiveBroken', at);
          const summary = await summaryOf(read.plan);
          const { plan, number } = read;
          if (job.newest === null) {
            const [own] = await tx
              .insert(jobs)
              .values({ crewId, name: plan.name, place: plan.place, plan, summary, updatedBy: personId })
              .returning({ id: jobs.id });
            job.id = own!.id;
          }
          await tx.insert(revisions).values({
            jobId: job.id,
            number,
            plan,
            summary,
            changes: Array.isArray(row.changes) ? (row.changes.slice(0, 200) as Change[]) : [],
            why: text(row.why, 200),
            byName: text(row.by, 80),
            at: date(row.at) ?? new Date(),
          });
          job.newest = read;
          count++;
        } else if (row.kind === 'record') {
          const job = typeof row.job === 'string' ? made.get(row.job) : undefined;
          const read = validateRecords([row.record]);
          if (!job?.newest || !read.ok) throw new Broken('archiveBroken', at);
          await putRecords(tx, crewId, job.id, null, read.records);
          logged++;
        } else if (row.kind === 'end') {
          if (row.jobs !== made.size || row.revisions !== count || (row.records ?? 0) !== logged)
            throw new Broken('archiveCut', at);
          ended = true;
        } else throw new Broken('archiveBroken', at);
      }
      if (!headed) throw new Broken('notAnArchive', at);
      if (!ended) throw new Broken('archiveCut', at);
      for (const { id, newest, removedAt } of made.values()) {
        if (!newest) continue;
        const { plan, number, row } = newest;
        // What an old plan held of what was done goes on as records.
        await putRecords(tx, crewId, id, null, legacyRecords(row.plan));
        await tx
          .update(jobs)
          .set({
            plan,
            summary: await summaryOf(plan),
            name: plan.name,
            place: plan.place,
            revision: number,
            updatedAt: date(row.at) ?? new Date(),
            removedAt,
          })
          .where(eq(jobs.id, id));
      }
      return { ok: true, jobs: made.size, revisions: count };
    });
  } catch (error) {
    if (error instanceof Broken) return { ok: false, code: error.code, line: error.line };
    throw error;
  }
}
