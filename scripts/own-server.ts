/** A web server with a database of its own, for scripts that harm it: nothing of it is left when it is stopped. */
import { type ChildProcess, fork, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_PERSON } from '../web/db/demo-people.ts';

export const wait = (ms: number) => new Promise((next) => setTimeout(next, ms));
/** An answer that takes longer is as good as none, ms. */
const LONGEST_ANSWER = 8000;

type Body = string | URLSearchParams | FormData;

/** Somebody who asks the server things. */
export class Client {
  cookie = '';
  readonly base: string;
  constructor(base: string) {
    this.base = base;
  }
  /** @returns null when nobody answers in time */
  async ask(path: string, body?: Body, longest = LONGEST_ANSWER): Promise<Response | null> {
    return fetch(this.base + path, {
      ...(body !== undefined && { method: 'POST', body }),
      headers: { origin: this.base, cookie: this.cookie },
      redirect: 'manual',
      signal: AbortSignal.timeout(longest),
    }).catch(() => null);
  }
  async signIn(person: { email: string; password: string } = DEMO_PERSON): Promise<void> {
    for (let tries = 0; tries < 40; tries++) {
      if (this.#entered(await this.ask('/sign-in', new URLSearchParams({ ...person })))) return;
      await wait(250);
    }
    throw new Error('nobody can sign in');
  }
  /** Founds a crew of one. */
  async join(name: string): Promise<void> {
    const said = { crew: name, name, email: `${name}@test.example`, password: 'long-enough-words' };
    if (!this.#entered(await this.ask('/join', new URLSearchParams(said))))
      throw new Error(`${name} cannot join`);
  }
  #entered(response: Response | null): boolean {
    if (response?.status !== 302) return false;
    this.cookie = response.headers
      .getSetCookie()
      .map((line) => line.split(';')[0])
      .join('; ');
    return true;
  }
}

export interface OwnServer {
  readonly base: string;
  readonly database: { readonly port: number; restart(): void };
  /** Where its data lies. */
  readonly data: string;
  /** Starts a web server; one runs already. */
  serve(): Promise<ChildProcess>;
  readonly web: ChildProcess;
  stop(web: ChildProcess): Promise<void>;
}

/** @param name of what it is for: part of its folder's name */
export async function ownServer(name: string): Promise<OwnServer> {
  process.env.CIMIENTO_DATA = mkdtempSync(join(tmpdir(), `cimiento-${name}-`));
  spawnSync('chmod', ['755', process.env.CIMIENTO_DATA]);
  const { DATA, postgres, ROOT } = await import('./postgres.ts');
  const { buildWhenStale } = await import('./build.ts');
  const { ensureDatabase, migrateDatabase } = await import('../web/db/migrate.ts');
  const database = await postgres('pg');
  await ensureDatabase(database.url('postgres'), 'cimiento');
  await migrateDatabase(database.url('cimiento'));
  process.env.DATABASE_URL = database.url('cimiento');
  const { loadDemo } = await import('../web/db/demo.ts');
  const { closeDatabase } = await import('../web/db/client.ts');
  await loadDemo();
  await closeDatabase();
  await buildWhenStale();
  const port = 20_000 + (process.pid % 20_000);
  const serve = async () => {
    const web = fork(join(ROOT, 'web/server.ts'), [], {
      cwd: ROOT,
      execArgv: ['--import', 'tsx'],
      env: { ...process.env, NODE_ENV: 'production', PORT: String(port), CIMIENTO_DEMO: '1' },
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    await new Promise<void>((ready) => web.once('message', () => ready()));
    return web;
  };
  return {
    base: `http://127.0.0.1:${port}`,
    database,
    data: DATA,
    serve,
    web: await serve(),
    async stop(web) {
      web.kill('SIGTERM');
      await wait(500);
      database.stop();
      rmSync(DATA, { recursive: true, force: true });
    },
  };
}
