/** Printed sheets of a job, in the reader's language and units. */
import type { PaperTask } from '../../work/tasks.ts';
import { fileOf, jobOf } from './download.server.ts';
import { preferencesOf } from './http.server.ts';
import { printed } from './pool.server.ts';

export async function sheetOf(request: Request, jobId: string, sheet: PaperTask['sheet']): Promise<Response> {
  const { plan, revision, updatedAt } = await jobOf(request, jobId);
  const { lang, system } = preferencesOf(request);
  const pdf = await printed({
    sheet,
    plan,
    revision,
    savedAt: updatedAt,
    lang,
    system: system ?? plan.system,
  });
  return fileOf(new Uint8Array(pdf), 'application/pdf', plan.name, 'pdf', 'inline');
}
