/** Revisions of a job: the list, one of them, and saving the next. Answers in JSON. */

import { MOST_REVISIONS, wholeText } from '@cimiento/core';
import { readPlan } from '@cimiento/formats';
import { data } from 'react-router';
import { findJob } from '../../db/queries/jobs.ts';
import { findRevision, listRevisions, listSaves, saveRevision } from '../../db/queries/revisions.ts';
import { allow } from '../server/can.server.ts';
import { jobHere } from '../server/download.server.ts';
import { notFound, requireMaker, requirePersonHere, textOf, withDatabase } from '../server/http.server.ts';
import { savingOf } from '../server/jobs.server.ts';
import { catchUp } from '../server/summaries.server.ts';
import type { Route } from './+types/revisions';

/** A positive whole number in an address; null when it is none. */
function numberIn(query: URLSearchParams, name: string): number | null {
  const value = Number(query.get(name) ?? Number.NaN);
  return Number.isInteger(value) && value > 0 && value < 2 ** 31 ? value : null;
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requirePersonHere(request);
  const job = await jobHere(request, params.jobId, 'job.read', person);
  const query = new URL(request.url).searchParams;
  if (query.has('number')) {
    const number = numberIn(query, 'number');
    const found =
      number === null ? null : await withDatabase(() => findRevision(person.crewId, params.jobId, number));
    if (!found) throw notFound();
    return Response.json({ number, plan: found.plan });
  }
  // A page that was away asks whether there is a newer one than its own.
  if (query.has('newer')) {
    const known = numberIn(query, 'newer');
    if (known === null) throw data({ code: 'badRequest' }, { status: 400 });
    const { revision, plan, updatedBy } = job;
    if (revision <= known) return new Response(null, { status: 204 });
    return Response.json({ number: revision, plan, by: updatedBy });
  }
  // The saves one has grown over.
  if (query.has('within')) {
    const [within, before] = [numberIn(query, 'within'), numberIn(query, 'before')];
    if (within === null || (query.has('before') && before === null))
      throw data({ code: 'badRequest' }, { status: 400 });
    const saves = await withDatabase(() =>
      listSaves(person.crewId, params.jobId, within, before ?? undefined),
    );
    return Response.json({ saves });
  }
  if (query.has('before') && numberIn(query, 'before') === null)
    throw data({ code: 'badRequest' }, { status: 400 });
  const before = numberIn(query, 'before') ?? undefined;
  const revisions = await withDatabase(() => listRevisions(person.crewId, params.jobId, before));
  // A job always has its first revision: an empty first page is no job.
  if (revisions.length === 0 && before === undefined) throw notFound();
  return Response.json({ revisions, more: (revisions.at(-1)?.first ?? 1) > 1 });
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const person = await requireMaker(request);
  const refuse = (status: number, body: unknown) => Response.json(body, { status });
  const read = readPlan(await textOf(request, context));
  if (!read.ok)
    return refuse('unreadable' in read ? 400 : 422, { code: 'problems', problems: read.problems });
  const query = new URL(request.url).searchParams;
  const base = Number(query.get('base'));
  if (!Number.isInteger(base) || base < 1 || base >= 2 ** 31) return refuse(400, { code: 'badRequest' });
  if (base > MOST_REVISIONS)
    return refuse(422, { code: 'problems', problems: [{ code: 'revisionsFull', path: '' }] });
  return withDatabase(async () => {
    const job = await findJob(person.crewId, params.jobId);
    if (!job) throw data({ code: 'notFound' }, { status: 404 });
    allow(person, 'job.save', job);
    const stale = async () => {
      const now = await findJob(person.crewId, params.jobId);
      return refuse(409, { code: 'stale', revision: now?.revision, plan: now?.plan, by: now?.updatedBy });
    };
    if (job.revision !== base) return stale();
    const summary = { ...job.summary, elements: read.plan.elements.length, stale: true };
    const saving = savingOf(read.plan, job.plan, wholeText(query.get('why') ?? '', 200), summary);
    const saved = await saveRevision(person.crewId, params.jobId, person.id, base, saving);
    if (saved.ok) {
      catchUp(person.crewId, params.jobId);
      return Response.json({ revision: saved.revision });
    }
    if (saved.code === 'gone') throw notFound();
    return stale();
  });
}
