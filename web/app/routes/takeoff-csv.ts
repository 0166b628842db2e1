import { fileOf, jobWithRecords } from '../server/download.server.ts';
import { takeoffText } from '../server/pool.server.ts';
import type { Route } from './+types/takeoff-csv';

export async function loader({ request, params }: Route.LoaderArgs) {
  const job = await jobWithRecords(request, params.jobId);
  // The mark tells spreadsheets the text is UTF-8.
  const text = `\uFEFF${await takeoffText(job, 'csv')}`;
  return fileOf(text, 'text/csv; charset=utf-8', `${job.plan.name} takeoff`, 'csv');
}
