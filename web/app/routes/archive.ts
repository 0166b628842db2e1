/** A crew's whole data as one gzipped file of JSON lines: out, and in again. */
import { Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import type { Problem } from '@cimiento/core';
import { data } from 'react-router';
import { Broken } from '../../db/broken.ts';
import { archiveLines, takeArchive } from '../../db/queries/archive.ts';
import { LONGEST_ARCHIVE, MOST_UNPACKED, withArchive } from '../server/archive.server.ts';
import { allow } from '../server/can.server.ts';
import { requirePerson, requirePersonHere, sameOrigin, withDatabase } from '../server/http.server.ts';
import { catchUp } from '../server/summaries.server.ts';
import type { Route } from './+types/archive';

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requirePerson(request);
  allow(person, 'archive.read');
  const packed = Readable.from(archiveLines(person.crewId)).pipe(createGzip());
  const name = `cimiento-${new Date().toISOString().slice(0, 10)}.jsonl.gz`;
  return new Response(Readable.toWeb(packed) as ReadableStream, {
    headers: {
      'Content-Type': 'application/gzip',
      'Content-Disposition': `attachment; filename="${name}"`,
      'Cache-Control': 'no-store',
    },
  });
}

const LIMITS = {
  archiveLarge: `${MOST_UNPACKED / 1e6} MB`,
  archiveSlow: `${LONGEST_ARCHIVE / 1000} s`,
} as const;

/** Takes an archive in. Answers with how many jobs came, or with what is wrong. */
export async function action({ request }: Route.ActionArgs) {
  sameOrigin(request);
  const person = await requirePersonHere(request);
  allow(person, 'archive.take');
  const refused = (problem: Problem, status: number) => data({ problems: [problem] }, { status });
  try {
    const taken = await withArchive(person.crewId, request, (lines) =>
      withDatabase(() => takeArchive(person.crewId, person.id, lines)),
    );
    if (taken === null) return refused({ code: 'archiveBusy', path: '' }, 409);
    if (!taken.ok) throw new Broken(taken.code, taken.line);
    for (const job of taken.made) catchUp(person.crewId, job);
    return data({ problems: [] as Problem[] });
  } catch (error) {
    if (!(error instanceof Broken)) throw error;
    const { code, line } = error;
    const limit = code === 'archiveLarge' || code === 'archiveSlow' ? { limit: LIMITS[code] } : {};
    return refused({ code, path: '', params: { line, ...limit } }, 422);
  }
}
