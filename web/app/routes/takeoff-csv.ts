import { compute } from '@cimiento/core';
import { takeoffCsv } from '@cimiento/formats';
import { fileOf, jobOf } from '../server/download.server.ts';
import type { Route } from './+types/takeoff-csv';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { plan } = await jobOf(request, params.jobId);
  // The mark tells spreadsheets the text is UTF-8.
  return fileOf(
    `\uFEFF${takeoffCsv(plan, compute(plan))}`,
    'text/csv; charset=utf-8',
    `${plan.name} takeoff`,
    'csv',
  );
}
