/** Any sheet of a job: which one, its address says. */
import { sheetNamed } from '../paper/sheets.ts';
import { notFound } from '../server/http.server.ts';
import { sheetOf } from '../server/sheets.server.ts';
import type { Route } from './+types/sheet';

export const loader = ({ request, params }: Route.LoaderArgs) => {
  const sheet = sheetNamed(new URL(request.url).pathname);
  if (!sheet) throw notFound();
  return sheetOf(request, params.jobId, sheet);
};
