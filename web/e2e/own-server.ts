/** A web server of a test's own on the tests' database, to be stopped and started again as a line goes and comes. */
import { type ChildProcess, fork } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { ROOT } from '../../scripts/postgres.ts';

export const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });

export interface OwnServer {
  readonly url: string;
  start(): Promise<void>;
  stop(): Promise<void>;
}

export async function ownServer(): Promise<OwnServer> {
  const port = await freePort();
  let web: ChildProcess | null = null;
  const stop = async () => {
    const running = web;
    web = null;
    if (!running || running.exitCode !== null) return;
    const gone = new Promise((done) => running.once('exit', done));
    running.kill('SIGKILL');
    await gone;
  };
  const start = async () => {
    const made = fork(join(ROOT, 'web/server.ts'), [], {
      cwd: ROOT,
      execArgv: ['--import', 'tsx'],
      env: { ...process.env, NODE_ENV: 'production', PORT: String(port), CIMIENTO_DEMO: '1' },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    web = made;
    await new Promise<void>((ready, fail) => {
      made.once('message', () => ready());
      made.once('exit', (code) => fail(new Error(`the web server ended with ${code}`)));
    });
  };
  await start();
  return { url: `http://127.0.0.1:${port}`, start, stop };
}
