import { fileOf, jobOf } from '../server/download.server.ts';
import { takeoffText } from '../server/pool.server.ts';
import type { Route } from './+types/takeoff-json';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { plan } = await jobOf(request, params.jobId);
  return fileOf(await takeoffText(plan, 'json'), 'application/json', `${plan.name} takeoff`, 'json');
}
