/** A job with all that was logged on it, for a phone that keeps it. */
import { jobForPhone } from '../server/download.server.ts';
import type { Route } from './+types/whole';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { id, plan, revision, records, last } = await jobForPhone(request, params.jobId);
  return Response.json({ id, plan, revision, records, last });
}
