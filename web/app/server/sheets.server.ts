/** Printed sheets of a job, in the reader's language and units. */
import { LRUCache } from 'lru-cache';
import { thumbsOf } from '../../db/queries/photos.ts';
import { nameRevision } from '../../db/queries/revisions.ts';
import type { PaperTask } from '../../work/tasks.ts';
import { SHEETS } from '../paper/sheets.ts';
import { fileOf, jobWithRecords } from './download.server.ts';
import { preferencesOf, withDatabase } from './http.server.ts';
import { printed } from './pool.server.ts';

/** The time zone a page asks for, by its IANA name; one that is none is UTC. */
function zoneOf(request: Request): string {
  const asked = new URL(request.url).searchParams.get('zone') ?? 'UTC';
  try {
    return new Intl.DateTimeFormat('en', { timeZone: asked }).resolvedOptions().timeZone;
  } catch {
    return 'UTC';
  }
}

/** The day a page asks for; none, or what is no day, is the newest there is. */
const dayAsked = (request: Request): string | undefined =>
  /^\d{4}-\d{2}-\d{2}$/.exec(new URL(request.url).searchParams.get('day') ?? '')?.[0];

/** Sheets made lately. */
const made = new LRUCache<string, Promise<Uint8Array<ArrayBuffer>>>({ max: 24 });

export async function sheetOf(request: Request, jobId: string, sheet: PaperTask['sheet']): Promise<Response> {
  const { crewId, plan, revision, updatedAt, records, last } = await jobWithRecords(request, jobId);
  const { lang, system } = preferencesOf(request);
  // Neither a revision nor a record changes, so a sheet of them does not either: made once, also for several who wait.
  const zone = zoneOf(request);
  const day = dayAsked(request);
  const pour = new URL(request.url).searchParams.get('pour')?.slice(0, 80) ?? undefined;
  const key = [jobId, revision, last, sheet, lang, system, zone, day, pour].join();
  const { photos } = SHEETS[sheet] as { readonly photos?: true };
  const task = {
    sheet,
    plan,
    records,
    revision,
    savedAt: updatedAt,
    lang,
    system: system ?? plan.system,
    zone,
    ...(day !== undefined && { day }),
    ...(pour !== undefined && { pour }),
    ...(photos && { thumbs: await withDatabase(() => thumbsOf(crewId, jobId)) }),
  };
  let making = made.get(key);
  if (!making) {
    making = printed(crewId, task);
    made.set(key, making);
    making.catch(() => made.delete(key));
  }
  const pdf = await making;
  // People dig by it from now on.
  await withDatabase(() => nameRevision(crewId, jobId, revision));
  return fileOf(new Uint8Array(pdf), 'application/pdf', plan.name, 'pdf', 'inline');
}
