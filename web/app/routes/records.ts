/** Records of a job: those that came in after one, and adding some. Answers in JSON. */
import type { Problem } from '@cimiento/core';
import { validateRecords } from '@cimiento/core/validate';
import { data } from 'react-router';
import { addRecords, listRecords } from '../../db/queries/records.ts';
import { jobHere } from '../server/download.server.ts';
import { requirePersonHere, textOf, withDatabase } from '../server/http.server.ts';
import { catchUp } from '../server/summaries.server.ts';
import type { Route } from './+types/records';

/** Sent at once at the most: an outbox empties itself in pages. */
const MOST_SENT = 200;
/** A clock this far ahead is wrong, ms. */
const AHEAD = 26 * 3600_000;

export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requirePersonHere(request);
  await jobHere(request, params.jobId, 'records.read', person);
  const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
  if (!Number.isSafeInteger(after) || after < 0) throw data({ code: 'badRequest' }, { status: 400 });
  const rows = await withDatabase(() => listRecords(person.crewId, params.jobId, after));
  return Response.json({ records: rows.map((row) => row.record), last: rows.at(-1)?.seq ?? after });
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const person = await requirePersonHere(request);
  const refuse = (status: number, problems: readonly Problem[]) =>
    Response.json({ code: 'problems', problems }, { status });
  let sent: unknown;
  try {
    sent = JSON.parse(await textOf(request, context)) as unknown;
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return refuse(400, [{ code: 'notJson', path: '' }]);
  }
  const read = validateRecords(sent, '');
  if (!read.ok) return refuse(422, read.problems);
  if (read.records.length > MOST_SENT)
    return refuse(422, [
      { code: 'tooMany', path: '', value: read.records.length, max: MOST_SENT, kind: 'count' },
    ]);
  const late = read.records.findIndex((record) => Date.parse(record.at) > Date.now() + AHEAD);
  if (late >= 0) return refuse(422, [{ code: 'notADate', path: `/${late}/at` }]);
  // Whoever is signed in logs it, whatever the sender says.
  const own = read.records.map((record) => ({ ...record, by: person.name }));
  const added = await withDatabase(() => addRecords(person.crewId, params.jobId, person.id, own));
  if (added === null) throw data({ code: 'notFound' }, { status: 404 });
  if (added > 0) catchUp(person.crewId, params.jobId);
  return Response.json({ added });
}
