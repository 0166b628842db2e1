/** A photo of a job: the picture or its thumbnail, and keeping one under the id of its record. */
import { createHash } from 'node:crypto';
import { PHOTO } from '@cimiento/core';
import { data } from 'react-router';
import { addPhoto, findPhoto } from '../../db/queries/photos.ts';
import { jobHere } from '../server/download.server.ts';
import { formOf, requireMaker, requirePersonHere, withDatabase } from '../server/http.server.ts';
import { photoIn } from '../server/photo.server.ts';
import type { Route } from './+types/photo';

/** Ids of records. */
const RECORD = /^[A-Za-z0-9_-]{1,60}$/;
/** Both pictures, and what a form puts round them, bytes. */
const MOST_SENT = PHOTO.most + PHOTO.mostThumb + 4000;

export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requirePersonHere(request);
  await jobHere(request, params.jobId, 'records.read', person);
  const which = new URL(request.url).searchParams.has('thumb') ? 'thumb' : 'photo';
  const found = await withDatabase(() => findPhoto(person.crewId, params.jobId, params.record, which));
  if (!found) throw data({ code: 'notFound' }, { status: 404 });
  // Kept by the browser, and asked for anew each time: whoever is signed out, or in as another, gets none.
  const tag = `"${createHash('sha256').update(found).digest('base64url')}"`;
  const headers = { 'Cache-Control': 'private, no-cache', ETag: tag };
  if (request.headers.get('if-none-match') === tag) return new Response(null, { status: 304, headers });
  return new Response(found, { headers: { ...headers, 'Content-Type': 'image/jpeg' } });
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const person = await requireMaker(request);
  await jobHere(request, params.jobId, 'records.add', person);
  if (!RECORD.test(params.record)) throw data({ code: 'badRequest' }, { status: 400 });
  const pictures = await photoIn(await formOf(request, context, MOST_SENT));
  const kept = await withDatabase(() =>
    addPhoto(person.crewId, params.jobId, { record: params.record, ...pictures }),
  );
  if (!kept) throw data({ code: 'notFound' }, { status: 404 });
  return Response.json({ kept: true });
}
