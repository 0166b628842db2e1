/**
 * A crew's whole data as lines of JSON: first what it is, then each job with its revisions from the
 * first on, last a line that counts them, so that a file cut short is known for one.
 */
import {
  isWholeText,
  MOST_RECORDS,
  MOST_REVISIONS,
  type Plan,
  type SiteRecord,
  wholeText,
} from '@cimiento/core';
import { validateRecords, validateShape } from '@cimiento/core/validate';
import { and, asc, eq, gt } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { Broken, type Refused } from '../broken.ts';
import { db } from '../client.ts';
import { legacyRecords } from '../legacy-records.ts';
import { isPhoto, MOST_BYTES, type Photo } from '../photo-bytes.ts';
import { type Change, crews, type JobSummary, jobs, people, revisions } from '../schema.ts';
import { photosForArchive, putPhoto } from './photos.ts';
import { putRecords, recordsForArchive } from './records.ts';

const ARCHIVE_FORMAT = 'cimiento-archive';
/** 2: records stand beside the revisions of a job. 3: photos come after their records. */
const ARCHIVE_VERSION = 3;
/** Versions that are read. */
const READ: ReadonlySet<unknown> = new Set([1, 2, ARCHIVE_VERSION]);
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
  let pictures = 0;
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
    for await (const { record, photo, thumb } of photosForArchive(crewId, job.id)) {
      const text = (bytes: Uint8Array) => Buffer.from(bytes).toString('base64');
      yield line({ kind: 'photo', job: job.id, record, photo: text(photo), thumb: text(thumb) });
      pictures++;
    }
  }
  yield line({ kind: 'end', jobs: all.length, revisions: count, records: logged, photos: pictures });
}

export type Taken =
  | {
      readonly ok: true;
      /** Ids of what was made, in the order of the file. */
      readonly made: readonly string[];
      readonly jobs: number;
      readonly revisions: number;
    }
  | Refused;

type Json = Record<string, unknown>;
const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const text = (value: unknown, most: number) => wholeText(typeof value === 'string' ? value : '', most);

/** When anything of a job can have happened: what PostgreSQL and the browser both tell alike. */
const YEARS = [Date.UTC(1970), Date.UTC(2200)] as const;
/** A moment; null when the row has none. @throws when it is out of all reason */
function momentIn(value: unknown): Date | null {
  if (value === undefined || value === null) return null;
  const time = typeof value === 'string' ? Date.parse(value) : Number.NaN;
  if (!(time >= YEARS[0] && time < YEARS[1])) throw new Broken('archiveBroken');
  return new Date(time);
}

/** How deep what changed may be nested, and how many changes a revision lists. */
const DEEPEST = 24;
const MOST_CHANGES = 200;
const LONGEST_PATH = 300;

/** Whether a value is of whole texts and not nested without end. */
function isPlain(value: unknown, depth = DEEPEST): boolean {
  if (typeof value === 'string') return isWholeText(value);
  if (typeof value === 'number') return Number.isFinite(value);
  if (typeof value !== 'object' || value === null) return true;
  if (depth === 0) return false;
  return Object.entries(value).every(([key, inner]) => isWholeText(key) && isPlain(inner, depth - 1));
}

function changesIn(value: unknown): Change[] {
  if (value === undefined || value === null) return [];
  const whole =
    Array.isArray(value) &&
    value.every(
      (one: unknown) =>
        isJson(one) && typeof one.path === 'string' && one.path.length <= LONGEST_PATH && isPlain(one),
    );
  if (!whole) throw new Broken('archiveBroken');
  return (value as Json[])
    .slice(0, MOST_CHANGES)
    .map(({ path, from = null, to = null }) => ({ path: String(path), from, to }));
}

/** What the log tells of an old revision; worked out anew only for the newest. */
function summaryIn(value: unknown, plan: Plan): JobSummary {
  const dig = isJson(value) && typeof value.dig === 'number' && value.dig >= 0 ? value.dig : 0;
  return { dig: Math.min(dig, 1e9), elements: plan.elements.length, holds: [], stale: true };
}

interface RevisionRow {
  readonly number: number;
  readonly plan: Plan;
  readonly summary: JobSummary;
  readonly changes: Change[];
  readonly why: string;
  readonly byName: string;
  readonly at: Date | null;
  /** What an old plan held of what was done goes on as records. */
  readonly before: readonly SiteRecord[];
}
type Row =
  | { readonly kind: 'job'; readonly job: string; readonly removedAt: Date | null }
  | { readonly kind: 'revision'; readonly job: string; readonly revision: RevisionRow }
  | { readonly kind: 'record'; readonly job: string; readonly record: SiteRecord }
  | { readonly kind: 'photo'; readonly job: string; readonly photo: Photo };

function revisionIn(row: Json): RevisionRow {
  const { number } = row;
  const shape = validateShape(row.plan);
  if (
    !shape.ok ||
    typeof number !== 'number' ||
    !Number.isInteger(number) ||
    number < 1 ||
    number > MOST_REVISIONS
  )
    throw new Broken('archiveBroken');
  const { plan } = shape;
  return {
    number,
    plan,
    summary: summaryIn(row.summary, plan),
    changes: changesIn(row.changes),
    why: text(row.why, 200),
    byName: text(row.by, 80),
    at: momentIn(row.at),
    before: legacyRecords(row.plan),
  };
}

/** @throws where either picture is none, or larger than one may be */
function photoOf(row: Json): Photo {
  const picture = (which: 'photo' | 'thumb') => {
    const bytes = new Uint8Array(Buffer.from(String(row[which] ?? ''), 'base64'));
    if (bytes.length > MOST_BYTES[which] || !isPhoto(bytes)) throw new Broken('archiveBroken');
    return bytes;
  };
  return { record: text(row.record, 60), photo: picture('photo'), thumb: picture('thumb') };
}

function rowIn(one: string, headed: boolean): Json {
  let parsed: unknown;
  try {
    parsed = JSON.parse(one);
  } catch {
    parsed = null;
  }
  if (!isJson(parsed)) throw new Broken(headed ? 'archiveBroken' : 'notAnArchive');
  return parsed;
}

/**
 * The rows of an archive, each checked, in an order that makes sense; ends only when the file does rightly.
 * @throws Broken, with the line
 */
async function* rowsOf(lines: AsyncIterable<string>): AsyncGenerator<Row> {
  let at = 0;
  let headed = false;
  let ended = false;
  let [count, logged, pictures] = [0, 0, 0];
  /** The newest revision of each job so far, and the ids of its records. */
  const known = new Map<string, { newest: number; records: Set<string>; photos: Set<string> }>();
  const take = (row: Json): Row | null => {
    const job = typeof row.job === 'string' ? row.job : '';
    const own = known.get(job);
    switch (row.kind) {
      case 'job': {
        if (typeof row.id !== 'string' || known.has(row.id)) throw new Broken('archiveBroken');
        known.set(row.id, { newest: 0, records: new Set(), photos: new Set() });
        return { kind: 'job', job: row.id, removedAt: momentIn(row.removedAt) };
      }
      case 'revision': {
        const revision = revisionIn(row);
        if (!own || revision.number <= own.newest) throw new Broken('archiveBroken');
        own.newest = revision.number;
        count++;
        return { kind: 'revision', job, revision };
      }
      case 'record': {
        const read = validateRecords([row.record]);
        const [record] = read.ok ? read.records : [];
        if (!own || own.newest === 0 || !record || own.records.has(record.id))
          throw new Broken('archiveBroken');
        own.records.add(record.id);
        if (own.records.size > MOST_RECORDS) throw new Broken('archiveBroken');
        logged++;
        return { kind: 'record', job, record };
      }
      case 'photo': {
        const photo = photoOf(row);
        // Of a record that is there, once.
        if (!own?.records.has(photo.record) || own.photos.has(photo.record))
          throw new Broken('archiveBroken');
        own.photos.add(photo.record);
        pictures++;
        return { kind: 'photo', job, photo };
      }
      case 'end':
        if (
          row.jobs !== known.size ||
          row.revisions !== count ||
          (row.records ?? 0) !== logged ||
          (row.photos ?? 0) !== pictures
        )
          throw new Broken('archiveCut');
        ended = true;
        return null;
      default:
        throw new Broken('archiveBroken');
    }
  };
  try {
    for await (const one of lines) {
      at++;
      if (one.trim() === '') continue;
      const row = rowIn(one, headed);
      if (ended) throw new Broken('archiveBroken');
      if (headed) {
        const taken = take(row);
        if (taken) yield taken;
      } else if (row.format === ARCHIVE_FORMAT && READ.has(row.version)) headed = true;
      else throw new Broken('notAnArchive');
      // Others are served between two lines.
      await new Promise((next) => setImmediate(next));
    }
    if (!headed) throw new Broken('notAnArchive');
    if (!ended || [...known.values()].some(({ newest }) => newest === 0)) throw new Broken('archiveCut');
  } catch (error) {
    throw error instanceof Broken ? new Broken(error.code, at) : error;
  }
}

type Here = Parameters<Parameters<typeof db.transaction>[0]>[0];

/** Puts checked rows into the tables: every job of theirs becomes a new job. */
async function putRows(tx: Here, crewId: string, personId: string, rows: AsyncIterable<Row>) {
  interface Made {
    id: string;
    newest: RevisionRow | null;
    readonly removedAt: Date | null;
  }
  const made = new Map<string, Made>();
  let count = 0;
  /** Records go in together. */
  const pending: { job: Made | null; records: SiteRecord[] } = { job: null, records: [] };
  const settle = async () => {
    const { job, records } = pending;
    if (job?.newest)
      await putRecords(tx, { crewId, jobId: job.id, newest: job.newest.number }, null, records);
    Object.assign(pending, { job: null, records: [] });
  };
  for await (const row of rows) {
    if (row.kind === 'job') {
      await settle();
      made.set(row.job, { id: '', newest: null, removedAt: row.removedAt });
      continue;
    }
    const job = made.get(row.job)!;
    if (row.kind === 'record') {
      if (pending.job !== job || pending.records.length >= RECORDS_AT_ONCE) await settle();
      pending.job = job;
      pending.records.push(row.record);
      continue;
    }
    if (row.kind === 'photo') {
      await putPhoto(tx, crewId, job.id, row.photo);
      continue;
    }
    const { before: _, ...revision } = row.revision;
    const { plan, summary } = revision;
    if (job.newest === null) {
      const [own] = await tx
        .insert(jobs)
        .values({ crewId, name: plan.name, place: plan.place, plan, summary, updatedBy: personId })
        .returning({ id: jobs.id });
      job.id = own!.id;
    }
    // Saves it had grown over stay where it came from: it comes as it ended.
    const first = (job.newest?.number ?? 0) + 1;
    await tx.insert(revisions).values({ jobId: job.id, ...revision, first, at: revision.at ?? new Date() });
    job.newest = row.revision;
    count++;
  }
  await settle();
  for (const { id, newest, removedAt } of made.values()) {
    const { plan, number, summary, at, before } = newest!;
    await putRecords(tx, { crewId, jobId: id, newest: number }, null, before);
    await tx
      .update(jobs)
      .set({
        plan,
        summary,
        name: plan.name,
        place: plan.place,
        revision: number,
        updatedAt: at ?? new Date(),
        removedAt,
      })
      .where(eq(jobs.id, id));
  }
  return { made: [...made.values()].map(({ id }) => id), revisions: count };
}
/** Records put in by one statement. */
const RECORDS_AT_ONCE = 400;

/**
 * Takes an archive in: every job of it becomes a new job of the crew, all or nothing. It is read twice:
 * checked to its end first, with no transaction open, then put in. What the board shows of the jobs is
 * stale until it is worked out (summaries.server.ts).
 * @param open its lines from the first, each time it is called; may throw `Broken`
 */
export async function takeArchive(
  crewId: string,
  personId: string,
  open: () => AsyncIterable<string>,
): Promise<Taken> {
  try {
    for await (const _ of rowsOf(open()));
    const { made, revisions: count } = await db.transaction((tx) =>
      putRows(tx, crewId, personId, rowsOf(open())),
    );
    return { ok: true, made, jobs: made.length, revisions: count };
  } catch (error) {
    if (error instanceof Broken) return { ok: false, code: error.code, line: error.line };
    throw error;
  }
}
