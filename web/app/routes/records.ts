/** Records of a job: those that came in after one, and adding some. Answers in JSON. */
import { dayOf, fillsUnasked, type Problem, type SiteRecord, wholeText } from '@cimiento/core';
import { validateRecords } from '@cimiento/core/validate';
import { data } from 'react-router';
import { findJob } from '../../db/queries/jobs.ts';
import { addRecords, listRecords, recordsOf } from '../../db/queries/records.ts';
import { jobHere } from '../server/download.server.ts';
import { requireMaker, requirePersonHere, textOf, withDatabase } from '../server/http.server.ts';
import { heldOf } from '../server/pool.server.ts';
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

/** Fill laid before it was let wants a name and a reason: what has none is refused, and says so at its field. */
async function unasked(crewId: string, jobId: string, sent: readonly unknown[], good: readonly SiteRecord[]) {
  if (!good.some(fillsUnasked)) return [];
  const job = await withDatabase(() => findJob(crewId, jobId));
  if (!job) return [];
  const records = await withDatabase(() => recordsOf(crewId, jobId));
  const day = dayOf(Date.now(), job.plan.water.zone);
  const held = await heldOf({ crewId, plan: job.plan, records }, good, day);
  const at = (id: string) =>
    sent.findIndex((one) => typeof one === 'object' && one !== null && 'id' in one && one.id === id);
  return held.map((id) => ({
    id,
    problems: [{ code: 'fillHeld', path: `/${at(id)}/value/despite` }] satisfies Problem[],
  }));
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
  const read = sorted(sent);
  const held = await unasked(person.crewId, params.jobId, sent, read.good);
  const good = read.good.filter(({ id }) => !held.some((one) => one.id === id));
  const refused = [...read.refused, ...held];
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
