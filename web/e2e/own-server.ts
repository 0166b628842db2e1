/** A web server of a test's own on the tests' database, to be stopped and started again as a line goes and comes. */
import { type ChildProcess, fork } from 'node:child_process';
import {
  createServer as createHttpServer,
  type IncomingMessage,
  request,
  type ServerResponse,
} from 'node:http';
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

export interface Front {
  readonly url: string;
  /** Whether anything but the program's own files comes through. */
  answers: boolean;
  /** Added to the end of the service worker: any change makes it another one. */
  newer: string;
  stop(): Promise<void>;
}

/** Stands before a server and passes on what is asked, or not; it can hand out another service worker. */
export async function before(behind: string): Promise<Front> {
  const front = { answers: true, newer: '' };
  const pass = (asked: IncomingMessage, answer: ServerResponse) => {
    const { url = '/', method, headers } = asked;
    const program = /^\/(?:assets\/|sw\.js|[\w.-]+\.(?:svg|png|webmanifest)$)/.test(url);
    // The page with no data in it is part of the program, as the worker fetches it.
    const shell = url === '/hole' && headers['sec-fetch-mode'] !== 'navigate';
    if (!front.answers && !program && !shell) return asked.socket.destroy();
    const onward = request(behind + url, { method, headers }, (given) => {
      const { 'content-length': _length, 'content-encoding': coding, ...rest } = given.headers;
      const worker = url === '/sw.js' && coding === undefined;
      answer.writeHead(given.statusCode ?? 502, worker ? rest : given.headers);
      if (!worker) return given.pipe(answer);
      return given.on('data', (part) => answer.write(part)).on('end', () => answer.end(front.newer));
    });
    if (url === '/sw.js') {
      onward.setHeader('accept-encoding', 'identity');
      for (const condition of ['if-none-match', 'if-modified-since']) onward.removeHeader(condition);
    }
    onward.on('error', () => asked.socket.destroy());
    asked.pipe(onward);
  };
  const server = createHttpServer(pass);
  const port = await freePort();
  await new Promise<void>((done) => server.listen(port, '127.0.0.1', done));
  return Object.assign(front, {
    url: `http://127.0.0.1:${port}`,
    stop: () =>
      new Promise<void>((done) => {
        server.closeAllConnections();
        server.close(() => done());
      }),
  });
}
