/** Records of a job: those that came in after one, and adding some. Answers in JSON. */
import { type Problem, type SiteRecord, wholeText } from '@cimiento/core';
import { validateRecords } from '@cimiento/core/validate';
import { data } from 'react-router';
import { addRecords, listRecords } from '../../db/queries/records.ts';
import { jobHere } from '../server/download.server.ts';
import { requireMaker, requirePersonHere, textOf, withDatabase } from '../server/http.server.ts';
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

/** Each record by itself: one that cannot be kept takes no other with it. */
function sorted(sent: readonly unknown[]) {
  const good: SiteRecord[] = [];
  const refused: { id: string | null; problems: readonly Problem[] }[] = [];
  const seen = new Set<string>();
  sent.forEach((one, i) => {
    const id =
      typeof one === 'object' && one !== null && 'id' in one && typeof one.id === 'string'
        ? wholeText(one.id, 60)
        : null;
    const read = validateRecords([one], '');
    const path = (problem: Problem): Problem => ({ ...problem, path: problem.path.replace(/^\/0/, `/${i}`) });
    const [record] = read.ok ? read.records : [];
    if (!record) refused.push({ id, problems: read.ok ? [] : read.problems.map(path) });
    else if (Date.parse(record.at) > Date.now() + AHEAD)
      refused.push({ id, problems: [{ code: 'notADate', path: `/${i}/at` }] });
    else if (!seen.has(record.id)) good.push(record);
    if (record) seen.add(record.id);
  });
  return { good, refused };
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const person = await requireMaker(request);
  const refuse = (status: number, problems: readonly Problem[]) =>
    Response.json({ code: 'problems', problems }, { status });
  let sent: unknown;
  try {
    sent = JSON.parse(await textOf(request, context)) as unknown;
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return refuse(400, [{ code: 'notJson', path: '' }]);
  }
  if (!Array.isArray(sent)) return refuse(422, [{ code: 'type', path: '' }]);
  if (sent.length > MOST_SENT)
    return refuse(422, [{ code: 'tooMany', path: '', value: sent.length, max: MOST_SENT, kind: 'count' }]);
  const { good, refused } = sorted(sent);
  // Nothing of it can be kept: told as one answer, too.
  if (good.length === 0 && refused.length > 0)
    return Response.json(
      { code: 'problems', problems: refused.flatMap(({ problems }) => problems).slice(0, 50), refused },
      { status: 422 },
    );
  // Whoever is signed in logs it, whatever the sender says.
  const own = good.map((record) => ({ ...record, by: person.name }));
  const added = await withDatabase(() => addRecords(person.crewId, params.jobId, person.id, own));
  if (added === null) throw data({ code: 'notFound' }, { status: 404 });
  if (added > 0) catchUp(person.crewId, params.jobId);
  return Response.json(refused.length > 0 ? { added, refused } : { added });
}
