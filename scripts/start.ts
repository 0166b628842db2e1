/** Serves the demo: database, tables, demo jobs, build, web server. Ctrl-C stops what it started. */
import { type ChildProcess, fork } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { DEMO_PERSON } from '../web/db/demo-people.ts';
import { buildWhenStale } from './build.ts';
import { DATA, postgres, ROOT } from './postgres.ts';

const fresh = process.argv.includes('--fresh');
const RUNNING = join(DATA, 'web.json');
const DATABASE = 'cimiento';
const say = (text: string) => console.log(text);

interface Running {
  readonly pid: number;
  readonly url: string;
}

/** A server an earlier ./start left running, when it still answers. */
async function alreadyRunning(): Promise<Running | null> {
  if (!existsSync(RUNNING)) return null;
  try {
    const running = JSON.parse(readFileSync(RUNNING, 'utf8')) as Running;
    process.kill(running.pid, 0);
    const response = await fetch(`${running.url}/healthz`, { signal: AbortSignal.timeout(2000) });
    if (response.ok) return running;
  } catch {
    // Gone, or not ours: the note is stale.
  }
  rmSync(RUNNING, { force: true });
  return null;
}

const freePort = (wanted: number): Promise<number> =>
  new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', () => (wanted === 0 ? fail(new Error('no free port')) : done(freePort(0))));
    probe.listen(wanted, process.env.HOST ?? '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });

const live = await alreadyRunning();
if (live && !fresh) {
  say(`Cimiento is already running at ${live.url}`);
  process.exit(0);
}
if (live) {
  say(`Cimiento is running at ${live.url}; stop it before rebuilding the demo.`);
  process.exit(1);
}

say('Starting PostgreSQL …');
const server = await postgres('pg');
process.env.DATABASE_URL = server.url(DATABASE);
const { dropDatabase, ensureDatabase, migrateDatabase } = await import('../web/db/migrate.ts');
if (fresh) await dropDatabase(server.url('postgres'), DATABASE);
await ensureDatabase(server.url('postgres'), DATABASE);
await migrateDatabase(server.url(DATABASE));
const { loadDemo } = await import('../web/db/demo.ts');
const { closeDatabase } = await import('../web/db/client.ts');
if (await loadDemo()) say('Loaded the demo jobs.');
await closeDatabase();

say('Building …');
buildWhenStale();

const port = await freePort(Number(process.env.PORT ?? 3000));
const url = `http://${process.env.HOST ?? '127.0.0.1'}:${port}`;
const web: ChildProcess = fork(join(ROOT, 'web/server.ts'), [], {
  cwd: ROOT,
  execArgv: ['--import', 'tsx'],
  env: { ...process.env, NODE_ENV: 'production', PORT: String(port), CIMIENTO_DEMO: '1' },
});

let stopping = false;
function stop(code: number): void {
  if (stopping) return;
  stopping = true;
  rmSync(RUNNING, { force: true });
  const finish = () => {
    // No other ./start is alive, so the database is ours to stop even if a killed run left it.
    server.stop();
    process.exit(code);
  };
  if (web.exitCode !== null || web.signalCode !== null) finish();
  else {
    web.once('exit', finish);
    web.kill('SIGTERM');
    setTimeout(() => web.kill('SIGKILL'), 5000).unref();
  }
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => stop(0));
web.on('message', (message) => {
  if (message !== 'ready') return;
  writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, url } satisfies Running));
  say(`\nCimiento is at ${url}\nDemo crew: ${DEMO_PERSON.email} / ${DEMO_PERSON.password}\nCtrl-C stops it.`);
});
web.on('exit', (code) => {
  if (!stopping) {
    console.error('The web server stopped.');
    stop(code ?? 1);
  }
});
