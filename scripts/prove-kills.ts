/**
 * Kills the web server or the database, over and over, in the middle of saving, and counts what was
 * acknowledged and what is there after: `npm run prove:kills [trials]`. Prints acknowledged,
 * present and lost; exits 1 when anything is lost. On a database of its own.
 */
import { type ChildProcess, fork, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Plan } from '@cimiento/core';
import { DEMO_PERSON } from '../web/db/demo-people.ts';

process.env.CIMIENTO_DATA = mkdtempSync(join(tmpdir(), 'cimiento-kills-'));
spawnSync('chmod', ['755', process.env.CIMIENTO_DATA]);
const { DATA, postgres, ROOT } = await import('./postgres.ts');
const { buildWhenStale } = await import('./build.ts');
const { ensureDatabase, migrateDatabase } = await import('../web/db/migrate.ts');

const trials = Math.max(1, Number(process.argv[2] ?? 60));
const wait = (ms: number) => new Promise((next) => setTimeout(next, ms));
const server = await postgres('pg');
await ensureDatabase(server.url('postgres'), 'cimiento');
await migrateDatabase(server.url('cimiento'));
process.env.DATABASE_URL = server.url('cimiento');
const { loadDemo } = await import('../web/db/demo.ts');
const { closeDatabase } = await import('../web/db/client.ts');
await loadDemo();
await closeDatabase();
await buildWhenStale();

const PORT = 20_000 + (process.pid % 20_000);
const base = `http://127.0.0.1:${PORT}`;
async function serve(): Promise<ChildProcess> {
  const web = fork(join(ROOT, 'web/server.ts'), [], {
    cwd: ROOT,
    execArgv: ['--import', 'tsx'],
    env: { ...process.env, NODE_ENV: 'production', PORT: String(PORT), CIMIENTO_DEMO: '1' },
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
  await new Promise<void>((ready) => web.once('message', () => ready()));
  return web;
}
let web = await serve();
let cookie = '';
async function ask(path: string, body?: string | URLSearchParams): Promise<Response | null> {
  return fetch(base + path, {
    ...(body !== undefined && { method: 'POST', body }),
    headers: { origin: base, cookie },
    redirect: 'manual',
    signal: AbortSignal.timeout(8000),
  }).catch(() => null);
}
const bodyOf = <T>(response: Response): Promise<T | null> =>
  response.json().then(
    (body) => body as T,
    () => null,
  );
async function signIn(): Promise<void> {
  for (let tries = 0; tries < 40; tries++) {
    const response = await ask('/sign-in', new URLSearchParams({ ...DEMO_PERSON }));
    if (response?.status === 302) {
      cookie = response.headers
        .getSetCookie()
        .map((line) => line.split(';')[0])
        .join('; ');
      return;
    }
    await wait(250);
  }
  throw new Error('nobody can sign in');
}
await signIn();
const made = await ask('/jobs', new URLSearchParams({ intent: 'demo', demo: 'bell-frame' }));
const job = made?.headers.get('location') ?? '';
const plan = ((await (await ask(`${job}/revisions?number=1`))!.json()) as { plan: Plan }).plan;

/** Postmaster's id, from the cluster's own note. */
function postmaster(): number {
  const folders = [join(DATA, 'pg'), ...readdirSync(tmpdir()).map((name) => join(tmpdir(), name))];
  const notes = folders
    .map((folder) => join(folder, 'postmaster.pid'))
    .filter((file) => {
      try {
        return readFileSync(file, 'utf8').split('\n')[3] === String(server.port) && statSync(file).isFile();
      } catch {
        return false;
      }
    });
  return notes[0] ? Number(readFileSync(notes[0], 'utf8').split('\n')[0]) : 0;
}

let revision = 1;
let acknowledged = 1;
let stayedUp = 0;
let appKills = 0;
let databaseKills = 0;
/** What each acknowledged save wrote, by number. */
const written = new Map<number, string>();
for (let trial = 0; trial < trials; trial++) {
  const database = trial % 2 === 1;
  // Somewhere within a few saves: a different moment each time.
  const moment = 40 + ((trial * 97) % 1100);
  let killed = false;
  const kill = setTimeout(() => {
    killed = true;
    if (database) process.kill(postmaster(), 'SIGKILL');
    else web.kill('SIGKILL');
  }, moment);
  for (let n = 0; !killed && n < 400; n++) {
    const note = `trial ${trial} save ${n}`;
    const response = await ask(`${job}/revisions?base=${revision}`, JSON.stringify({ ...plan, note }));
    // An answer cut off half way acknowledges nothing.
    const answer = response?.status === 200 ? await bodyOf<{ revision: number }>(response) : null;
    if (answer) {
      revision = answer.revision;
      written.set(revision, note);
      acknowledged++;
    } else break;
  }
  clearTimeout(kill);
  if (!killed) {
    if (database) process.kill(postmaster(), 'SIGKILL');
    else web.kill('SIGKILL');
  }
  if (database) {
    databaseKills++;
    await wait(300);
    if (web.exitCode === null && web.signalCode === null) stayedUp++;
    for (let tries = 0; tries < 40; tries++) {
      try {
        server.restart();
        break;
      } catch {
        await wait(250);
      }
    }
  } else {
    appKills++;
    await wait(50);
    web = await serve();
  }
  if (web.exitCode !== null || web.signalCode !== null) web = await serve();
  // By itself, without a new sign-in: the session is in the database.
  let listed: { revisions: { number: number }[] } | null = null;
  for (let tries = 0; tries < 60 && !listed; tries++) {
    const response = await ask(`${job}/revisions`);
    listed = response?.status === 200 ? await bodyOf(response) : null;
    if (!listed) await wait(200);
  }
  if (!listed) throw new Error(`trial ${trial}: the server does not recover`);
  const newest = listed.revisions[0]!.number;
  // A save whose answer was lost may stand all the same; one that was acknowledged must.
  if (newest > revision) revision = newest;
}

let present = 1;
for (const [number, note] of written) {
  const found = await ask(`${job}/revisions?number=${number}`);
  if (found?.status === 200 && ((await found.json()) as { plan: Plan }).plan.note === note) present++;
}
web.kill('SIGTERM');
await wait(500);
server.stop();
rmSync(DATA, { recursive: true, force: true });
console.log(
  `${trials} kills (${appKills} of the web server, ${databaseKills} of the database; the web server stayed up through ${stayedUp} of those)`,
);
console.log(`acknowledged ${acknowledged}, present ${present}, lost ${acknowledged - present}`);
process.exitCode = acknowledged === present && stayedUp === databaseKills ? 0 : 1;
