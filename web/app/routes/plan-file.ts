import { writeJob } from '@cimiento/formats';
import { fileOf, jobWithRecords } from '../server/download.server.ts';
import type { Route } from './+types/plan-file';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { plan, records } = await jobWithRecords(request, params.jobId);
  return fileOf(writeJob(plan, records), 'application/json', plan.name, 'json');
}
