/** Jobs between the routes and the database: validate, ask the core, keep. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { type Lang, type Plan, type SiteRecord, tongueOf } from '@cimiento/core';
import { readJob } from '@cimiento/formats';
import { changesBetween } from '../../db/changes.ts';
import type { Photo } from '../../db/photo-bytes.ts';
import type { Saving } from '../../db/queries/revisions.ts';
import type { JobSummary } from '../../db/schema.ts';
import { ofToday } from './demo-days.server.ts';
import { summaryOf } from './summary.ts';

export const DEMOS = [
  'honey-house',
  'bell-frame',
  'drying-barn',
  'cheese-vault',
  'seed-store',
  'chapel-porch',
  'reading-room',
  'footbridge',
] as const;
export type Demo = (typeof DEMOS)[number];

/**
 * What is kept of a save: the plan, its summary, and what changed against the one before.
 * @param summary worked out already, by the pool; else here
 */
export function savingOf(
  plan: Plan,
  before: Plan | null,
  why = '',
  summary: JobSummary = summaryOf(plan),
  records: readonly SiteRecord[] = [],
  photos: readonly Photo[] = [],
): Saving {
  return {
    plan,
    summary,
    // Worked out when it is asked: a revision that grows tells what changed since its sitting began instead.
    get changes() {
      return before ? changesBetween(before, plan) : [];
    },
    why,
    records,
    photos,
  };
}

/** What of a job file people wrote: names and notes, not ids, kinds and codes. */
const WRITTEN_BY_PEOPLE = /^(name|note|text|reason|why|what|who|emergencyContact|at|done|open|keepOff)$/;

/** A demo's job file with what people wrote in it as `words.es.json` has it. */
async function inSpanish(file: string, folder: string): Promise<string> {
  const words = JSON.parse(await readFile(join(folder, 'words.es.json'), 'utf8')) as Record<string, string>;
  const said = (key: string, value: unknown): unknown =>
    typeof value === 'string' && WRITTEN_BY_PEOPLE.test(key) ? (words[value] ?? value) : value;
  return JSON.stringify(JSON.parse(file, said));
}

/**
 * A demo's job file, its names and notes in the reader's language. The demo folder lies beside web/ in the
 * source tree and in the build.
 * @param today the day its work is in the middle of; null: its days as its file has them
 */
export async function demoJob(
  demo: Demo,
  lang: Lang = 'en',
  today: string | null = null,
): Promise<{
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
  readonly photos: readonly Photo[];
}> {
  const folder = process.env.DEMO_FOLDER ?? join(process.cwd(), 'demo');
  const file = await readFile(join(folder, `${demo}.json`), 'utf8');
  const read = readJob(tongueOf(lang) === 'es' ? await inSpanish(file, folder) : file);
  if (!read.ok) throw new Error(`demo ${demo}: ${JSON.stringify(read.problems)}`);
  const picture = async (name: string) =>
    new Uint8Array(await readFile(join(folder, 'photos', `${name}.jpg`)));
  const photos = await Promise.all(
    read.records
      .filter(({ kind }) => kind === 'photo')
      .map(async ({ id }) => ({
        record: id,
        photo: await picture(id),
        thumb: await picture(`${id}-small`),
      })),
  );
  const { plan, records } = read;
  return { ...(today === null ? { plan, records } : ofToday({ plan, records }, today)), photos };
}
