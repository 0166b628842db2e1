/** A crew's whole data as one gzipped file of JSON lines. It comes in again on the day board. */
import { Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import { archiveLines } from '../../db/queries/archive.ts';
import { allow } from '../server/can.server.ts';
import { requirePerson } from '../server/http.server.ts';
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
