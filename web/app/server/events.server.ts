/**
 * What happens to jobs, as it happens: one connection of this process listens, and every open desk is
 * told. Any number of servers on one database hear the same.
 */
import pg from 'pg';
import { CHANNEL, type Happened } from '../../db/queries/tell.ts';
import { sayError } from './say.server.ts';

type Hear = (happened: Happened) => void;
const listeners = new Map<string, Set<Hear>>();
let client: pg.Client | null = null;
/** Waits longer after every miss, ms. */
const FIRST_WAIT = 500;
const LONGEST_WAIT = 30_000;
let wait = FIRST_WAIT;

function lost(): void {
  if (client === null) return;
  client = null;
  if (listeners.size === 0) return;
  setTimeout(() => void connect(), wait).unref();
  wait = Math.min(2 * wait, LONGEST_WAIT);
}

async function connect(): Promise<void> {
  if (client !== null) return;
  const own = new pg.Client({ connectionString: process.env.DATABASE_URL, keepAlive: true });
  client = own;
  own.on('error', lost);
  own.on('end', lost);
  own.on('notification', ({ payload }) => {
    try {
      const happened = JSON.parse(payload ?? '') as Happened;
      for (const hear of listeners.get(happened.job) ?? []) hear(happened);
    } catch (error) {
      if (error instanceof Error) sayError(error, { method: 'notification', path: '' });
    }
  });
  try {
    await own.connect();
    await own.query(`listen ${CHANNEL}`);
    wait = FIRST_WAIT;
    // What happened while nobody listened is asked for anew by every desk.
    for (const [job, hears] of listeners) for (const hear of hears) hear({ job, what: 'records' });
  } catch {
    lost();
  }
}

/** Hears what happens to a job until it is let go. */
export function listenTo(jobId: string, hear: Hear): () => void {
  const own = listeners.get(jobId) ?? new Set();
  own.add(hear);
  listeners.set(jobId, own);
  void connect();
  return () => {
    own.delete(hear);
    if (own.size === 0) listeners.delete(jobId);
  };
}
