import { fileOf, jobWithRecords } from '../server/download.server.ts';
import { takeoffText } from '../server/pool.server.ts';
import type { Route } from './+types/takeoff-json';

export async function loader({ request, params }: Route.LoaderArgs) {
  const job = await jobWithRecords(request, params.jobId);
  const { plan } = job;
  return fileOf(await takeoffText(job, 'json'), 'application/json', `${plan.name} takeoff`, 'json');
}
