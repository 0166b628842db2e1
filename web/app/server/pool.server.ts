/**
 * Workers beside the web server: some for takeoffs, some (polite) for paper, so that ten sheets at
 * once hold up no save. Started when first needed. Crews take turns; anything too long is called off
 * with a reason; a sheet that does not read back is made again by a fresh worker.
 */
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import type { DayPlan, Days, Plan, SiteRecord } from '@cimiento/core';
import { LRUCache } from 'lru-cache';
import { Piscina } from 'piscina';
import { data } from 'react-router';
import type { JobSummary } from '../../db/schema.ts';
import type { PaperTask } from '../../work/tasks.ts';
import { afresh } from './afresh.ts';
import { sayError } from './say.server.ts';
import { TooMany, Turns } from './turns.server.ts';

type Which = 'takeoff' | 'paper';
/** Seconds a takeoff, and a sheet, may take once it is its turn. */
const LONGEST: Record<Which, number> = { takeoff: 10, paper: 60 };
const THREADS: Record<Which, number> = {
  // One crew has one at a time, so one that is slow leaves the other to everybody else.
  takeoff: 2,
  paper: Math.max(1, Math.floor(availableParallelism() / 2)),
};
const FILES: Record<Which, string> = { takeoff: 'takeoffs.js', paper: 'paper.js' };
/** What one crew may have waiting; more is told to come back. */
const MOST_WAITING = 40;

// Built beside the server (vite.work.config.ts); the folder is the project's.
function started(which: Which): Piscina {
  const made = new Piscina({
    filename: join(process.cwd(), 'web/build/work', FILES[which]),
    minThreads: THREADS[which],
    maxThreads: THREADS[which],
    idleTimeout: 300_000,
    // What a worker prints could hold parts of a plan.
    env: { ...process.env, DATABASE_URL: '' },
  });
  // A worker that dies takes its task with it, not the server.
  made.on('error', (error) => sayError(error, { method: 'worker', path: FILES[which] }));
  return made;
}

interface Pool {
  readonly workers: Piscina;
  /** One of them has read the program and answers. */
  ready: Promise<unknown>;
}
const pools: Partial<Record<Which, Pool>> = {};
/** Whether it could is told by the task that waits for it. */
const ready = (workers: Piscina) => workers.run(null, { name: 'ready' }).catch(() => {});

function poolOf(which: Which): Pool {
  const known = pools[which];
  if (known) return known;
  const workers = started(which);
  const made = { workers, ready: ready(workers) };
  pools[which] = made;
  return made;
}

const turns: Record<Which, Turns> = {
  takeoff: new Turns({ atOnce: THREADS.takeoff, each: MOST_WAITING }),
  paper: new Turns({ atOnce: THREADS.paper, each: MOST_WAITING }),
};

const refused = (code: 'tookTooLong' | 'paperUnread', params: Record<string, string> = {}) =>
  data({ code: 'problems', problems: [{ code, path: '', params }] }, { status: 422 });

async function working<T>(which: Which, name: string, task: unknown): Promise<T> {
  const pool = poolOf(which);
  // A worker that starts on a busy machine takes seconds to read the program: none of them the job's.
  await pool.ready;
  const limit = AbortSignal.timeout(LONGEST[which] * 1000);
  try {
    return (await pool.workers.run(task, { name, signal: limit })) as T;
  } catch (error) {
    if (!limit.aborted) throw error;
    // The worker went with what it was at: another one starts.
    pool.ready = ready(pool.workers);
    throw refused('tookTooLong', { limit: `${LONGEST[which]} s` });
  }
}

async function within<T>(crew: string, which: Which, work: () => Promise<T>): Promise<T> {
  try {
    return await turns[which].run(crew, work);
  } catch (error) {
    if (error instanceof TooMany)
      throw data({ code: 'busy' }, { status: 503, headers: { 'Retry-After': '10' } });
    throw error;
  }
}

/** A job as the pool is given it. */
interface Worked {
  readonly crewId: string;
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
}
export const summarise = (crewId: string, plan: Plan, records: readonly SiteRecord[] = []) =>
  within(crewId, 'takeoff', () => working<JobSummary>('takeoff', 'summary', { plan, records }));
/** The days of a job, from a day on, the order it is dug in, and what is on one of them. */
export interface DaysOf {
  readonly days: Days;
  readonly order: readonly string[];
  readonly on: DayPlan;
}
/** The last ones asked for, by what they are of: an order is looked for for seconds. */
const daysKnown = new LRUCache<string, DaysOf>({ max: 60 });
export async function daysIn(
  { id, revision, crewId, plan, records }: Worked & { readonly id: string; readonly revision: number },
  today: string,
  day = today,
): Promise<DaysOf> {
  // What was logged up to then: a board of a day that is over is as it stood.
  const known = records.filter((record) => record.at.slice(0, 10) <= today);
  const key = [id, revision, known.length, known.at(-1)?.id, today, day].join(' ');
  const before = daysKnown.get(key);
  if (before) return before;
  const made = await within(crewId, 'takeoff', () =>
    working<DaysOf>('takeoff', 'days', { plan, records: known, today, day }),
  );
  daysKnown.set(key, made);
  return made;
}
/** Ids of what was sent that fills before it was let. */
export const heldOf = ({ crewId, plan, records }: Worked, sent: readonly SiteRecord[], today: string) =>
  within(crewId, 'takeoff', () => working<string[]>('takeoff', 'held', { plan, records, sent, today }));
export const takeoffText = ({ crewId, plan, records }: Worked, format: 'json' | 'csv') =>
  within(crewId, 'takeoff', () => working<string>('takeoff', format, { plan, records }));
export const printed = (crewId: string, task: PaperTask) =>
  within(crewId, 'paper', () =>
    afresh(
      () => working<Uint8Array<ArrayBuffer>>('paper', 'paper', task),
      (error) => {
        if (error instanceof Error) sayError(error, { method: 'paper', path: task.sheet });
        // Whatever state made it print wrong goes with its workers; sheets under way are finished.
        const old = pools.paper;
        delete pools.paper;
        void old?.workers.close();
      },
      () => refused('paperUnread'),
    ),
  );
