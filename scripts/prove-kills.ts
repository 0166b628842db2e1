/**
 * Kills the web server or the database, over and over, in the middle of saving, and counts what was
 * acknowledged and what is there after: `npm run prove:kills [trials]`. Prints acknowledged,
 * present and lost; exits 1 when anything is lost. On a database of its own.
 */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Plan } from '@cimiento/core';
import { Client, ownServer, wait } from './own-server.ts';

const trials = Math.max(1, Number(process.argv[2] ?? 60));
const own = await ownServer('kills');
const { database: server, data: DATA, serve } = own;
let { web } = own;
const client = new Client(own.base);
const ask = (path: string, body?: string | URLSearchParams) => client.ask(path, body);
const bodyOf = <T>(response: Response): Promise<T | null> =>
  response.json().then(
    (body) => body as T,
    () => null,
  );
await client.signIn();
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
await own.stop(web);
console.log(
  `${trials} kills (${appKills} of the web server, ${databaseKills} of the database; the web server stayed up through ${stayedUp} of those)`,
);
console.log(`acknowledged ${acknowledged}, present ${present}, lost ${acknowledged - present}`);
process.exitCode = acknowledged === present && stayedUp === databaseKills ? 0 : 1;
