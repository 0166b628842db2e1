import { fileOf, jobOf } from '../server/download.server.ts';
import { takeoffText } from '../server/pool.server.ts';
import type { Route } from './+types/takeoff-csv';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { plan } = await jobOf(request, params.jobId);
  // The mark tells spreadsheets the text is UTF-8.
  const text = `\uFEFF${await takeoffText(plan, 'csv')}`;
  return fileOf(text, 'text/csv; charset=utf-8', `${plan.name} takeoff`, 'csv');
}
