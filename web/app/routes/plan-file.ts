import { writePlan } from '@cimiento/formats';
import { fileOf, jobOf } from '../server/download.server.ts';
import type { Route } from './+types/plan-file';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { plan } = await jobOf(request, params.jobId);
  return fileOf(writePlan(plan), 'application/json', plan.name, 'json');
}
