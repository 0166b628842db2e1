/** Revisions of a job: the list, one of them, and saving the next. Answers in JSON. */

import { readPlan } from '@cimiento/formats';
import { data } from 'react-router';
import { findJob, findRevision, listRevisions, saveRevision } from '../../db/queries/jobs.ts';
import { notFound, requirePersonHere, textOf, withDatabase } from '../server/http.server.ts';
import { savingOf } from '../server/jobs.server.ts';
import type { Route } from './+types/revisions';

export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requirePersonHere(request);
  const job = await withDatabase(() => findJob(person.crewId, params.jobId));
  if (!job) throw notFound();
  const wanted = new URL(request.url).searchParams.get('number');
  if (wanted === null) return Response.json({ revisions: await withDatabase(() => listRevisions(job.id)) });
  const number = Number(wanted);
  const found =
    Number.isInteger(number) && number > 0 && number < 2 ** 31
      ? await withDatabase(() => findRevision(job.id, number))
      : null;
  if (!found) throw notFound();
  return Response.json({ number, plan: found.plan });
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requirePersonHere(request);
  const refuse = (status: number, body: unknown) => Response.json(body, { status });
  const read = readPlan(await textOf(request));
  if (!read.ok)
    return refuse('unreadable' in read ? 400 : 422, { code: 'problems', problems: read.problems });
  const query = new URL(request.url).searchParams;
  const base = Number(query.get('base'));
  if (!Number.isInteger(base) || base < 1 || base >= 2 ** 31) return refuse(400, { code: 'badRequest' });
  return withDatabase(async () => {
    const job = await findJob(person.crewId, params.jobId);
    if (!job) throw data({ code: 'notFound' }, { status: 404 });
    const stale = async () => {
      const now = await findJob(person.crewId, params.jobId);
      return refuse(409, { code: 'stale', revision: now?.revision, plan: now?.plan, by: now?.updatedBy });
    };
    if (job.revision !== base) return stale();
    const saving = savingOf(read.plan, job.plan, (query.get('why') ?? '').slice(0, 200));
    const saved = await saveRevision(person.crewId, params.jobId, person.id, base, saving);
    if (saved.ok) return Response.json({ revision: saved.revision });
    if (saved.code === 'gone') throw notFound();
    return stale();
  });
}
