import { daysCsv } from '@cimiento/formats';
import { fileOf, jobWithRecords } from '../server/download.server.ts';
import { daysIn } from '../server/pool.server.ts';
import { today } from '../ui/today.ts';
import type { Route } from './+types/days-csv';

export async function loader({ request, params }: Route.LoaderArgs) {
  const job = await jobWithRecords(request, params.jobId);
  const { days } = await daysIn(job, today(job.plan.water.zone));
  return fileOf(`\uFEFF${daysCsv(days)}`, 'text/csv; charset=utf-8', `${job.plan.name} days`, 'csv');
}
