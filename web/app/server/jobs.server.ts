/** Jobs between the routes and the database: validate, ask the core, keep. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { type Plan, planChanges } from '@cimiento/core';
import { readPlan } from '@cimiento/formats';
import type { Saving } from '../../db/queries/jobs.ts';
import type { Change, JobSummary } from '../../db/schema.ts';
import { summaryOf } from './summary.ts';

export const DEMOS = ['honey-house', 'bell-frame', 'drying-barn', 'cheese-vault'] as const;
export type Demo = (typeof DEMOS)[number];

/** A changed value as the log keeps it: a whole survey is only counted there, the plan has it. */
function brief(value: unknown): unknown {
  if (value === undefined) return null;
  return Array.isArray(value) && value.length > MOST_LISTED ? { entries: value.length } : value;
}
const MOST_LISTED = 60;

/**
 * What is kept of a save: the plan, its summary, and what changed against the one before.
 * @param summary worked out already, by the pool; else here
 */
export function savingOf(
  plan: Plan,
  before: Plan | null,
  why = '',
  summary: JobSummary = summaryOf(plan),
): Saving {
  const changes: Change[] = before
    ? planChanges(before, plan)
        .slice(0, 200)
        .map(({ path, from, to }) => ({ path, from: brief(from), to: brief(to) }))
    : [];
  return { plan, summary, changes, why };
}

/** A demo's plan file. The demo folder lies beside web/ in the source tree and in the build. */
export async function demoPlan(demo: Demo): Promise<Plan> {
  const folder = process.env.DEMO_FOLDER ?? join(process.cwd(), 'demo');
  const read = readPlan(await readFile(join(folder, `${demo}.json`), 'utf8'));
  if (!read.ok) throw new Error(`demo ${demo}: ${JSON.stringify(read.problems)}`);
  return read.plan;
}
