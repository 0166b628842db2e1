/**
 * Serves the demo: database, tables, demo jobs, build, web server. Ctrl-C, at any moment, stops
 * what it started. Notes of what runs are kept, so that the next start finds what a killed one left.
 */
import { type ChildProcess, fork } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  rmSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import pg from 'pg';
import { DEMO_PERSON } from '../web/db/demo-people.ts';
import { dump } from './backup.ts';
import { buildWhenStale } from './build.ts';
import { DATA, postgres, ROOT, type Server, stopPostgres } from './postgres.ts';

const fresh = process.argv.includes('--fresh');
const sure = process.argv.includes('--yes');
const RUNNING = join(DATA, 'web.json');
const LOCK = join(DATA, 'start.lock');
const DATABASE = 'cimiento';
const say = (text: string) => console.log(text);

interface Running {
  /** Of this program, and of the web server it started. */
  readonly pid: number;
  readonly web: number;
  readonly url: string;
}

const commandOf = (pid: number): string => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').trim();
  } catch {
    return '';
  }
};
const isOurs = (pid: number, file: string) => commandOf(pid).includes(file);

let web: ChildProcess | null = null;
let stopping = false;
let locked = false;

/** Ends what runs, in order, then this program. */
function stop(code: number): void {
  if (stopping) return;
  stopping = true;
  const finish = () => {
    if (locked) rmSync(RUNNING, { force: true });
    // No other ./start is alive, so the database is ours to stop even if a killed run left it.
    if (locked) {
      stopPostgres('pg');
      rmSync(LOCK, { force: true });
    }
    process.exit(code);
  };
  const running = web;
  if (!running || running.exitCode !== null || running.signalCode !== null) finish();
  else {
    running.once('exit', finish);
    running.kill('SIGTERM');
    setTimeout(() => running.kill('SIGKILL'), 5000).unref();
  }
}
// From the first moment: whatever is under way ends first, and then what it brought up.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => stop(0));
/** Lets a signal that came during a step be seen before the next one. */
const step = () => new Promise<void>((next) => setImmediate(() => !stopping && next()));
/** A step somebody waits for: told while it is taken, and how long it took. */
async function told<T>(name: string, work: () => Promise<T>): Promise<T> {
  const start = performance.now();
  say(`${name} …`);
  const made = await work();
  say(`${name}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
  return made;
}

/** The note of a server that answers; ends what a killed start left behind. */
async function alreadyRunning(): Promise<Running | null> {
  if (!existsSync(RUNNING)) return null;
  try {
    const running = JSON.parse(readFileSync(RUNNING, 'utf8')) as Running;
    if (isOurs(running.pid, 'scripts/start.ts')) {
      // It may still be on its way up: its note is left alone.
      const response = await fetch(`${running.url}/healthz`, { signal: AbortSignal.timeout(3000) }).catch(
        () => null,
      );
      return response?.ok ? running : null;
    }
    if (isOurs(running.web, 'web/server.ts')) {
      say(`Ending the web server a killed start left behind (${running.web}).`);
      process.kill(running.web, 'SIGKILL');
    }
  } catch {
    // Gone, or not ours: the note is stale.
  }
  rmSync(RUNNING, { force: true });
  return null;
}

/** One start at a time: the lock holds the id of who has it. */
function lock(): number | null {
  mkdirSync(DATA, { recursive: true });
  try {
    const file = openSync(LOCK, 'wx');
    writeSync(file, String(process.pid));
    locked = true;
    return null;
  } catch {
    const holder = Number(existsSync(LOCK) ? readFileSync(LOCK, 'utf8') : 0);
    if (holder && holder !== process.pid && isOurs(holder, 'scripts/start.ts')) return holder;
    rmSync(LOCK, { force: true });
    return lock();
  }
}

/** Id and command of the process that listens on a port, when it can be told. */
function holderOf(port: number): string {
  const hex = port.toString(16).toUpperCase().padStart(4, '0');
  try {
    const inode = ['/proc/net/tcp', '/proc/net/tcp6']
      .flatMap((file) => readFileSync(file, 'utf8').split('\n').slice(1))
      .map((line) => line.trim().split(/\s+/))
      .find((row) => row[1]?.endsWith(`:${hex}`) && row[3] === '0A')?.[9];
    for (const pid of inode ? readdirSync('/proc').filter((name) => /^\d+$/.test(name)) : []) {
      try {
        for (const fd of readdirSync(`/proc/${pid}/fd`))
          if (readlinkSync(`/proc/${pid}/fd/${fd}`) === `socket:[${inode}]`)
            return `process ${pid} (${commandOf(Number(pid)).slice(0, 60)})`;
      } catch {
        // Another's process: its files are not ours to look at.
      }
    }
  } catch {
    // Not Linux.
  }
  return 'another process';
}

const HOST = process.env.HOST ?? '127.0.0.1';
const freePort = (wanted: number): Promise<number> =>
  new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', () => {
      if (wanted === 0) return fail(new Error('no free port'));
      say(`Port ${wanted} is held by ${holderOf(wanted)}: another is taken.`);
      done(freePort(0));
    });
    probe.listen(wanted, HOST, () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** How many jobs and people there are beyond the demo; edits of the demo count as jobs. */
async function beyondDemo(url: string): Promise<number> {
  const client = new pg.Client({ connectionString: url });
  try {
    await client.connect();
    const { rows } = await client.query<{ n: string }>(
      "select (select count(*) from jobs where revision > 1 or id in (select job_id from revisions where number = 1 and why <> 'demo'))" +
        " + (select count(*) from people where email not like '%@cimiento.demo') as n",
    );
    return Number(rows[0]?.n ?? 0);
  } catch {
    // No such database or no such tables: nothing to lose.
    return 0;
  } finally {
    await client.end().catch(() => {});
  }
}

/** Drops the database for a new demo; what is not the demo only when asked, and never without a dump. */
async function dropForFresh(running: Server): Promise<void> {
  const url = running.url(DATABASE);
  const others = await beyondDemo(url);
  if (others > 0) {
    const folder = join(DATA, 'dumps');
    mkdirSync(folder, { recursive: true });
    const file = join(folder, `${new Date().toISOString().replace(/[:.]/g, '-')}.dump`);
    if (!sure) {
      if (!process.stdin.isTTY) {
        say(
          `The database holds ${others} jobs or people that are not the demo: --fresh --yes drops them (a dump is kept).`,
        );
        return stop(1);
      }
      const ask = createInterface({ input: process.stdin, output: process.stdout });
      const answer = await ask.question(
        `The database holds ${others} jobs or people that are not the demo. Drop them? A dump is kept. [y/N] `,
      );
      ask.close();
      if (!/^(y|yes|s|si|sí)$/i.test(answer.trim())) {
        say('Nothing was dropped.');
        return stop(1);
      }
    }
    dump(url, file);
    say(`Kept what there was in ${file}`);
  }
  const { dropDatabase } = await import('../web/db/migrate.ts');
  await dropDatabase(running.url('postgres'), DATABASE);
}

async function main(): Promise<void> {
  for (let told = false, holder = lock(); holder !== null; holder = lock()) {
    const live = await alreadyRunning();
    if (live) break;
    if (!told) say(`Another ./start (${holder}) is at work: waiting for it.`);
    told = true;
    await new Promise((next) => setTimeout(next, 500));
  }
  const live = await alreadyRunning();
  if (live) {
    if (fresh) {
      say(`Cimiento is running at ${live.url}; stop it before rebuilding the demo.`);
      process.exit(1);
    }
    // Its database may have died under it: the web server waits, and goes on once it is back.
    const under = await postgres('pg');
    say(
      under.started
        ? `Cimiento is already running at ${live.url}; its database was down and is up again.`
        : `Cimiento is already running at ${live.url}`,
    );
    process.exit(0);
  }
  await step();
  const running = await told('Starting PostgreSQL', () => postgres('pg'));
  await step();
  const database = running.url(DATABASE);
  process.env.DATABASE_URL = database;
  // What is looked at first is in the middle of its work, whatever day it is.
  process.env.CIMIENTO_DEMO_TODAY = '1';
  if (fresh) await dropForFresh(running);
  await step();
  await told('Bringing the tables up to date', async () => {
    const { ensureDatabase, migrateDatabase } = await import('../web/db/migrate.ts');
    await ensureDatabase(running.url('postgres'), DATABASE);
    await migrateDatabase(database);
  });
  await step();
  await told('Loading the demo jobs where they are not', async () => {
    const { loadDemo } = await import('../web/db/demo.ts');
    const { closeDatabase } = await import('../web/db/client.ts');
    await loadDemo();
    await closeDatabase();
  });
  await step();
  await told('Building what changed', buildWhenStale);
  await step();
  const begun = performance.now();
  say('Starting the web server …');

  const port = await freePort(Number(process.env.PORT ?? 3000));
  const url = `http://${HOST}:${port}`;
  await step();
  const started = fork(join(ROOT, 'web/server.ts'), [], {
    cwd: ROOT,
    execArgv: ['--import', 'tsx'],
    env: { ...process.env, NODE_ENV: 'production', PORT: String(port), HOST, CIMIENTO_DEMO: '1' },
  });
  web = started;
  writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, web: started.pid ?? 0, url } satisfies Running));
  started.on('message', (message) => {
    if (message !== 'ready') return;
    say(`Starting the web server: ${((performance.now() - begun) / 1000).toFixed(1)} s`);
    say(
      `\nCimiento is at ${url}\nDemo crew: ${DEMO_PERSON.email} / ${DEMO_PERSON.password}\nCtrl-C stops it.`,
    );
  });
  started.on('exit', (code) => {
    if (stopping) return;
    console.error('The web server stopped.');
    stop(code ?? 1);
  });
  const watched = running;
  // A database that dies is brought up again where it was: the web server finds it there.
  setInterval(() => {
    if (stopping || watched.alive()) return;
    say('PostgreSQL has died: bringing it up again.');
    try {
      watched.restart();
    } catch (error) {
      say(error instanceof Error ? error.message : String(error));
    }
  }, 2000).unref();
}

main().catch((error: unknown) => {
  if (stopping) return;
  console.error(error instanceof Error ? error.message : error);
  stop(1);
});
