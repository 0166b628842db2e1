/**
 * Workers beside the web server: one for takeoffs, one (polite) for paper, so that ten sheets at
 * once hold up no save. Started when first needed. Anything too long is called off with a reason.
 */
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import type { Plan, SiteRecord } from '@cimiento/core';
import { Piscina } from 'piscina';
import { data } from 'react-router';
import type { JobSummary } from '../../db/schema.ts';
import type { PaperTask } from '../../work/tasks.ts';
import { sayError } from './say.server.ts';

/** Seconds a takeoff, and a sheet, may take, the wait for their turn included. */
const LONGEST = { takeoff: 10, paper: 150 } as const;
/** Asked at once at the most; more are told to come back. */
const MOST_WAITING = 200;

// Built beside the server (vite.work.config.ts); the folder is the project's.
function pool(file: string, threads: number): Piscina {
  const made = new Piscina({
    filename: join(process.cwd(), 'web/build/work', file),
    minThreads: 1,
    maxThreads: threads,
    idleTimeout: 300_000,
    maxQueue: MOST_WAITING,
    // What a worker prints could hold parts of a plan.
    env: { ...process.env, DATABASE_URL: '' },
  });
  // A worker that dies takes its task with it, not the server.
  made.on('error', (error) => sayError(error, { method: 'worker', path: file }));
  return made;
}

let takeoffs: Piscina | null = null;
let sheets: Piscina | null = null;

async function within<T>(which: 'takeoff' | 'paper', name: string, task: unknown): Promise<T> {
  takeoffs ??= pool('takeoffs.js', 1);
  if (which === 'paper') sheets ??= pool('paper.js', Math.max(1, Math.floor(availableParallelism() / 2)));
  const workers = which === 'paper' ? sheets! : takeoffs;
  const limit = AbortSignal.timeout(LONGEST[which] * 1000);
  try {
    return (await workers.run(task, { name, signal: limit })) as T;
  } catch (error) {
    if (limit.aborted)
      throw data(
        {
          code: 'problems',
          problems: [{ code: 'tookTooLong', path: '', params: { limit: `${LONGEST[which]} s` } }],
        },
        { status: 422 },
      );
    if (error instanceof Error && /queue/i.test(error.message))
      throw data({ code: 'busy' }, { status: 503, headers: { 'Retry-After': '10' } });
    throw error;
  }
}

/** A job as the pool is given it. */
interface Worked {
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
}
export const summarise = (plan: Plan, records: readonly SiteRecord[] = []) =>
  within<JobSummary>('takeoff', 'summary', { plan, records } satisfies Worked);
export const takeoffText = ({ plan, records }: Worked, format: 'json' | 'csv') =>
  within<string>('takeoff', format, { plan, records });
export const printed = (task: PaperTask) => within<Uint8Array<ArrayBuffer>>('paper', 'paper', task);
