/**
 * The web server: counts what is posted, answers malformed requests before anything else sees
 * them, static files, compression, headers, and React Router.
 *
 * Behind a proxy that ends TLS set TRUST_PROXY=1: the last hop's forwarded address, host and
 * scheme are believed, and no other's. Without it forwarded headers are thrown away.
 */
import { join } from 'node:path';
import { createRequestHandler } from '@react-router/express';
import compression from 'compression';
import express, { type NextFunction, type Request, type Response } from 'express';
import type { ServerBuild } from 'react-router';
import sirv from 'sirv';
import { MOST_BODY } from './app/server/body.server.ts';
import { sayError } from './app/server/say.server.ts';

const here = import.meta.dirname;
// Resolved at run time: the build does not exist yet when this file is type-checked.
const built = join(here, 'build/server/index.js');
const build: ServerBuild = await import(built);

const trusted = process.env.TRUST_PROXY === '1';
const app = express();
app.disable('x-powered-by');
app.set('trust proxy', trusted ? 1 : false);

/** How long browsers may keep what is served, s. */
const HOUR = 3600;
const YEAR = 365 * 24 * HOUR;

const METHODS = new Set(['GET', 'HEAD', 'POST', 'OPTIONS']);
const HOST = /^(?:[a-z0-9](?:[a-z0-9.-]{0,252})|\[[0-9a-f:.]{2,45}\])(?::(\d{1,5}))?$/i;
const MOST_PORT = 65_535;
/** Whether an address can be made of it. */
const isHost = (text: string): boolean => {
  const found = HOST.exec(text);
  return found !== null && Number(found[1] ?? 0) <= MOST_PORT && URL.canParse(`http://${text}`);
};
const refuse = (response: Response, status: number, text: string) => {
  response.set({ 'Cache-Control': 'no-store', Connection: 'close' });
  response.status(status).type('text/plain').send(`${text}\n`);
};

/** Forwarded headers: the last hop's own word when a proxy is trusted, nobody's otherwise. */
function forwarded(request: Request): boolean {
  for (const name of ['x-forwarded-host', 'x-forwarded-proto', 'x-forwarded-port'] as const) {
    const value = request.headers[name];
    if (value === undefined) continue;
    delete request.headers[name];
    if (!trusted) continue;
    const last = String(value).split(',').pop()!.trim();
    if (name === 'x-forwarded-host' && !isHost(last)) return false;
    if (name === 'x-forwarded-proto' && last !== 'http' && last !== 'https') return false;
    request.headers[name] = last;
    // The address people see has no port of ours in it.
    if (name === 'x-forwarded-host') request.headers.host = last;
  }
  if (!trusted) delete request.headers['x-forwarded-for'];
  return true;
}

const decodes = (path: string): boolean => {
  try {
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
};

app.use((request, response, next) => {
  if (!METHODS.has(request.method)) {
    response.set('Allow', [...METHODS].join(', '));
    return refuse(response, 405, 'method not allowed');
  }
  const { host } = request.headers;
  if (host !== undefined && !isHost(host)) return refuse(response, 400, 'malformed host');
  if (!forwarded(request)) return refuse(response, 400, 'malformed forwarded header');
  if (!decodes(request.path)) return refuse(response, 400, 'malformed address');
  const encoding = request.headers['content-encoding'];
  if (encoding !== undefined && encoding !== 'identity')
    return refuse(response, 415, 'send the body as it is');
  response.set({
    'X-Content-Type-Options': 'nosniff',
    'X-Frame-Options': 'DENY',
    'Referrer-Policy': 'same-origin',
    'Cross-Origin-Opener-Policy': 'same-origin',
  });
  if (request.secure) response.set('Strict-Transport-Security', 'max-age=31536000');
  next();
});

// Built files are packed already, and known once and for all: they are looked up once, not at each request.
const packed = { brotli: true, gzip: true, etag: true };
app.use('/assets', sirv(join(here, 'build/client/assets'), { ...packed, immutable: true, maxAge: YEAR }));
app.use(
  sirv(join(here, 'build/client'), {
    ...packed,
    maxAge: HOUR,
    // What keeps the program in a browser is asked for anew each time: it says which program that is.
    setHeaders: (response, path) => {
      if (path === '/sw.js') response.setHeader('Cache-Control', 'no-cache');
    },
  }),
);
// Everything else is somebody's own. Said only now: what stands there already, built files keep.
app.use((_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
});
app.use(
  compression({
    // A stream of events is passed on as it comes.
    filter: (request, response) =>
      !/text\/event-stream/i.test(String(response.getHeader('Content-Type'))) &&
      compression.filter(request, response),
  }),
);

/** Whether a request carries a session, whoever's. */
const signedIn = ({ headers }: Request): boolean =>
  /(?:^|;\s*)cimiento_session=[\w-]{20,}/.test(headers.cookie ?? '');

/** How long a body may be: a form for anybody, more for who carries a session. */
function mostOf(request: Request): number {
  if (!signedIn(request)) return MOST_BODY.form;
  return isArchive(request) ? MOST_BODY.archive : MOST_BODY.plan;
}

/** A crew's archive is not held here: its route writes it to a file as it comes. */
const isArchive = ({ path }: Request) => path === '/crew/archive' || path === '/crew/archive.data';

interface Counted extends Request {
  counted?: Buffer;
}

/** How long a sender of too much may go on before the line is cut, ms. */
const DRAIN = 3000;

/** What anybody may post to without a session. */
const OPEN = /^\/(?:sign-in|join|preferences)(?:\.data)?$/;

/**
 * Says that a body is too long; to whoever is signed out that they are, since that comes first: a page
 * that hears it sends again after signing in. What still comes is read and dropped for a moment: a line
 * cut at once would take the answer with it.
 */
function tooLarge(request: Request, response: Response): void {
  response.set('Cache-Control', 'no-store');
  if (!signedIn(request) && !OPEN.test(request.path)) response.status(401).json({ code: 'signedOut' });
  else response.status(413).type('text/plain').send('too large\n');
  request.resume();
  const cut = setTimeout(() => request.socket.destroy(), DRAIN);
  request.once('end', () => clearTimeout(cut));
}

/** Reads a body while counting it; what is too long is not kept. */
app.use((request: Counted, response, next) => {
  if (request.method === 'GET' || request.method === 'HEAD') return next();
  const most = mostOf(request);
  if (Number(request.headers['content-length'] ?? 0) > most) return tooLarge(request, response);
  if (isArchive(request) && signedIn(request)) return next();
  const chunks: Buffer[] = [];
  let size = 0;
  const take = (chunk: Buffer) => {
    size += chunk.length;
    if (size <= most) return void chunks.push(chunk);
    request.off('data', take).off('end', end);
    chunks.length = 0;
    tooLarge(request, response);
  };
  const end = () => {
    request.counted = Buffer.concat(chunks);
    next();
  };
  request.on('data', take).once('end', end);
});

app.use(
  createRequestHandler({
    build,
    mode: 'production',
    // Who asks: the brake on guessing passwords counts by address as well as by account.
    getLoadContext: (request: Counted) => ({
      address: request.ip ?? '',
      body: request.counted ?? null,
      program: build.assets.version,
    }),
  }),
);
// Express knows an error handler by its four arguments.
app.use((error: unknown, request: Request, response: Response, _next: NextFunction) => {
  sayError(error, { method: request.method, path: request.path });
  if (response.headersSent) response.destroy();
  else refuse(response, 500, 'something went wrong here');
});

const port = Number(process.env.PORT ?? 3000);
const host = process.env.HOST ?? '127.0.0.1';
const server = app.listen(port, host, () => {
  console.log(`listening on http://${host}:${port}`);
  process.send?.('ready');
});
// Longer than clients and proxies keep an idle connection, or a request is sent into one just closed.
server.keepAliveTimeout = 65_000;
server.headersTimeout = 66_000;
// As long as an archive takes over a phone; everything else is short.
server.requestTimeout = 300_000;
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    // Keep-alive connections would hold the port for another minute.
    server.closeAllConnections();
  });
// Whoever started this server is gone: it goes too, or it would hold the port.
process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
