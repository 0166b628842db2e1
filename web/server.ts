/** The web server: static files, compression, a few plain headers, and React Router. */

import { join } from 'node:path';
import { createRequestHandler } from '@react-router/express';
import compression from 'compression';
import express from 'express';
import type { ServerBuild } from 'react-router';

const here = import.meta.dirname;
// Resolved at run time: the build does not exist yet when this file is type-checked.
const built = join(here, 'build/server/index.js');
const build: ServerBuild = await import(built);

const app = express();
app.disable('x-powered-by');
app.set('trust proxy', process.env.TRUST_PROXY === '1');
app.use(compression());
app.use((_request, response, next) => {
  response.set({
    'X-Content-Type-Options': 'nosniff',
    'Referrer-Policy': 'same-origin',
    'Content-Security-Policy':
      "frame-ancestors 'none'; base-uri 'self'; form-action 'self'; object-src 'none'",
  });
  next();
});
app.use('/assets', express.static(join(here, 'build/client/assets'), { immutable: true, maxAge: '1y' }));
app.use(express.static(join(here, 'build/client'), { maxAge: '1h' }));
app.use(
  createRequestHandler({
    build,
    mode: 'production',
    // Who asks: the brake on guessing passwords counts by address as well as by account.
    getLoadContext: (request) => ({ address: request.ip ?? '' }),
  }),
);

const port = Number(process.env.PORT ?? 3000);
const host = process.env.HOST ?? '127.0.0.1';
const server = app.listen(port, host, () => {
  console.log(`listening on http://${host}:${port}`);
  process.send?.('ready');
});
// Longer than clients and proxies keep an idle connection, or a request is sent into one just closed.
server.keepAliveTimeout = 65_000;
server.headersTimeout = 66_000;
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    // Keep-alive connections would hold the port for another minute.
    server.closeAllConnections();
  });
