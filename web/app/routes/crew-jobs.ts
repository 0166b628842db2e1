/** Who is signed in, and the crew's jobs by name: for a phone in the hole. */
import { listJobs } from '../../db/queries/jobs.ts';
import { allow } from '../server/can.server.ts';
import { requirePersonHere, withDatabase } from '../server/http.server.ts';
import type { Route } from './+types/crew-jobs';

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requirePersonHere(request);
  allow(person, 'jobs.list');
  const jobs = await withDatabase(() => listJobs(person.crewId));
  return Response.json({
    person: { id: person.id, name: person.name },
    now: Date.now(),
    jobs: jobs.map(({ id, name, place, system }) => ({ id, name, place, system })),
  });
}
