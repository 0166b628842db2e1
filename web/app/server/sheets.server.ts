/** Printed sheets of a job, in the reader's language and units. */
import { LRUCache } from 'lru-cache';
import type { PaperTask } from '../../work/tasks.ts';
import { fileOf, jobWithRecords } from './download.server.ts';
import { preferencesOf } from './http.server.ts';
import { printed } from './pool.server.ts';

/** Sheets made lately. */
const made = new LRUCache<string, Promise<Uint8Array<ArrayBuffer>>>({ max: 24 });

export async function sheetOf(request: Request, jobId: string, sheet: PaperTask['sheet']): Promise<Response> {
  const { plan, revision, updatedAt, records, last } = await jobWithRecords(request, jobId);
  const { lang, system } = preferencesOf(request);
  // Neither a revision nor a record changes, so a sheet of them does not either: made once, also for several who wait.
  const key = [jobId, revision, last, sheet, lang, system].join();
  const task = { sheet, plan, records, revision, savedAt: updatedAt, lang, system: system ?? plan.system };
  let making = made.get(key);
  if (!making) {
    making = printed(task);
    made.set(key, making);
    making.catch(() => made.delete(key));
  }
  const pdf = await making;
  return fileOf(new Uint8Array(pdf), 'application/pdf', plan.name, 'pdf', 'inline');
}
