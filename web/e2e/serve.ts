/** Serves the production build on the tests' own database for the browser tests. */
import { fork } from 'node:child_process';
import { join } from 'node:path';
import { buildWhenStale } from '../../scripts/build.ts';
import { postgres, ROOT } from '../../scripts/postgres.ts';
import { DEMO_PERSON } from '../db/demo-people.ts';
import { dropDatabase, ensureDatabase, migrateDatabase } from '../db/migrate.ts';
import { freePort } from './own-server.ts';

const DATABASE = 'cimiento_browser';

/** The lead's session, made once: a password is slow to check on purpose. */
async function signedIn(base: string): Promise<string> {
  const answer = await fetch(`${base}/sign-in`, {
    method: 'POST',
    body: new URLSearchParams({ ...DEMO_PERSON }),
    redirect: 'manual',
  });
  const cookie = answer.headers.getSetCookie().find((one) => one.startsWith('cimiento_session='));
  if (!cookie) throw new Error(`the lead could not sign in: ${answer.status}`);
  return cookie.slice(cookie.indexOf('=') + 1, cookie.indexOf(';'));
}

export default async function serve(): Promise<() => Promise<void>> {
  const server = await postgres('test');
  await dropDatabase(server.url('postgres'), DATABASE);
  await ensureDatabase(server.url('postgres'), DATABASE);
  await migrateDatabase(server.url(DATABASE));
  process.env.DATABASE_URL = server.url(DATABASE);
  await buildWhenStale();
  const port = await freePort();
  process.env.BASE_URL = `http://127.0.0.1:${port}`;
  const web = fork(join(ROOT, 'web/server.ts'), [], {
    cwd: ROOT,
    execArgv: ['--import', 'tsx'],
    env: { ...process.env, NODE_ENV: 'production', PORT: String(port), CIMIENTO_DEMO: '1' },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  const serving = new Promise<void>((ready, fail) => {
    web.once('message', () => ready());
    web.once('exit', (code) => fail(new Error(`the web server ended with ${code}`)));
  });
  // While it starts.
  const loading = async () => {
    const { loadDemo } = await import('../db/demo.ts');
    const { closeDatabase } = await import('../db/client.ts');
    await loadDemo();
    await closeDatabase();
  };
  await Promise.all([serving, loading()]);
  process.env.SIGNED_IN = await signedIn(process.env.BASE_URL);
  return async () => {
    web.removeAllListeners('exit');
    const gone = new Promise((done) => web.once('exit', done));
    web.kill('SIGTERM');
    await gone;
    if (server.started) server.stop();
  };
}
