/** Jobs between the routes and the database: validate, ask the core, keep. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Plan, SiteRecord } from '@cimiento/core';
import { readJob } from '@cimiento/formats';
import { changesBetween } from '../../db/changes.ts';
import type { Saving } from '../../db/queries/revisions.ts';
import type { JobSummary } from '../../db/schema.ts';
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
  };
}

/** A demo's job file. The demo folder lies beside web/ in the source tree and in the build. */
export async function demoJob(
  demo: Demo,
): Promise<{ readonly plan: Plan; readonly records: readonly SiteRecord[] }> {
  const folder = process.env.DEMO_FOLDER ?? join(process.cwd(), 'demo');
  const read = readJob(await readFile(join(folder, `${demo}.json`), 'utf8'));
  if (!read.ok) throw new Error(`demo ${demo}: ${JSON.stringify(read.problems)}`);
  return read;
}
