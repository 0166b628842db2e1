/** Files of a job for downloading. */
import { findJob } from '../../db/queries/jobs.ts';
import { notFound, requirePerson, withDatabase } from './http.server.ts';

export async function jobOf(request: Request, jobId: string) {
  const person = await requirePerson(request);
  const job = await withDatabase(() => findJob(person.crewId, jobId));
  if (!job) throw notFound();
  return job;
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
