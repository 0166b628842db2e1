/** Files of a job for downloading. */
import { findJob } from '../../db/queries/jobs.ts';
import { listRecords } from '../../db/queries/records.ts';
import type { Person } from '../../db/queries/sign-in.ts';
import { type Action, allow } from './can.server.ts';
import { notFound, requirePerson, requirePersonHere, withDatabase } from './http.server.ts';

/** A job for a call a page makes in the background. */
export const jobHere = async (request: Request, jobId: string, action: Action, person?: Person) =>
  found(person ?? (await requirePersonHere(request)), jobId, action);

async function found(person: Person, jobId: string, action: Action) {
  const job = await withDatabase(() => findJob(person.crewId, jobId));
  if (!job) throw notFound();
  allow(person, action, job);
  return job;
}

/** A job with all that was logged on it, for a page: whoever is not signed in is turned to the door. */
export const jobWithRecords = async (request: Request, jobId: string) =>
  withRecords(await requirePerson(request), jobId);

/** The same for a call a page makes in the background. */
export const jobForPhone = async (request: Request, jobId: string) =>
  withRecords(await requirePersonHere(request), jobId);

async function withRecords(person: Person, jobId: string) {
  const job = await found(person, jobId, 'job.read');
  const rows = await withDatabase(() => listRecords(job.crewId, job.id));
  return { ...job, person, records: rows.map((row) => row.record), last: rows.at(-1)?.seq ?? 0 };
}

/** A file response. The name is plain ASCII with the full one beside it (RFC 6266). */
export function fileOf(
  body: string | Uint8Array<ArrayBuffer>,
  type: string,
  name: string,
  extension: string,
  how: 'attachment' | 'inline' = 'attachment',
): Response {
  const plain =
    name
      .normalize('NFKD')
      .replace(/[^A-Za-z0-9 _-]/g, '')
      .trim()
      .replace(/ +/g, '-') || 'cimiento';
  const full = encodeURIComponent(`${name}.${extension}`).replace(
    /['()*]/g,
    (c) => `%${c.charCodeAt(0).toString(16)}`,
  );
  return new Response(body, {
    headers: {
      'Content-Type': type,
      'Content-Disposition': `${how}; filename="${plain}.${extension}"; filename*=UTF-8''${full}`,
      'Cache-Control': 'no-store',
    },
  });
}
