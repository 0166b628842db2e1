/** The door: what is malformed, too long or forged is answered before anything else sees it. */
import { fork } from 'node:child_process';
import http from 'node:http';
import net from 'node:net';
import { join } from 'node:path';
import { DEMO_PERSON } from '../db/demo-people.ts';
import { base, expect } from './helpers.ts';
import { test } from './slowly.ts';

const address = () => new URL(base());

interface Answer {
  readonly status: number;
  readonly headers: http.IncomingHttpHeaders;
  readonly body: string;
}

function ask(
  path: string,
  options: http.RequestOptions = {},
  write: (request: http.ClientRequest) => void = (request) => request.end(),
): Promise<Answer> {
  return new Promise((done, fail) => {
    const { hostname, port } = address();
    const request = http.request({ hostname, port, path, ...options }, (response) => {
      let body = '';
      response.on('data', (chunk: Buffer) => {
        body += String(chunk);
      });
      response.on('end', () => done({ status: response.statusCode ?? 0, headers: response.headers, body }));
    });
    request.on('error', fail);
    write(request);
  });
}

/** Posts so many bytes in chunks without saying how many. */
const flood = (path: string, bytes: number, headers: http.OutgoingHttpHeaders = {}) =>
  ask(
    path,
    {
      method: 'POST',
      headers: { origin: base(), 'content-type': 'application/x-www-form-urlencoded', ...headers },
    },
    (request) => {
      request.on('error', () => {});
      const chunk = Buffer.alloc(64_000, 'a&');
      let left = bytes;
      const more = () => {
        while (left > 0) {
          left -= chunk.length;
          if (!request.write(chunk)) return void request.once('drain', more);
        }
        request.end();
      };
      more();
    },
  );

/** One request as raw bytes; the first line of the answer. */
const raw = (text: string): Promise<string> =>
  new Promise((done) => {
    const { hostname, port } = address();
    const socket = net.connect(Number(port), hostname, () => socket.write(text));
    let said = '';
    socket.on('data', (chunk) => {
      said += String(chunk);
      socket.end();
    });
    socket.on('close', () => done(said.split('\r\n')[0] ?? ''));
    socket.on('error', () => done(said));
  });

const cookieOf = async (): Promise<string> => {
  const response = await fetch(`${base()}/sign-in`, {
    method: 'POST',
    body: new URLSearchParams({ ...DEMO_PERSON }),
    headers: { origin: base() },
    redirect: 'manual',
  });
  expect(response.status).toBe(302);
  return response.headers
    .getSetCookie()
    .map((line) => line.split(';')[0])
    .join('; ');
};

test('a body is counted while it comes: too long is 413, and the server goes on', async () => {
  expect((await flood('/sign-in', 50_000_000)).status).toBe(413);
  expect((await flood('/join', 20_000)).status).toBe(413);
  // Signed out comes before too long: what was sent is sent again after signing in.
  expect((await flood('/jobs/x/revisions?base=1', 300_000)).status).toBe(401);
  expect((await flood('/sign-in', 4_900_000, { 'transfer-encoding': 'chunked' })).status).toBe(413);
  const cookie = await cookieOf();
  expect((await flood('/jobs/x/revisions?base=1', 30_000_000, { cookie })).status).toBe(413);
  expect((await ask('/healthz')).status).toBe(200);
});

test('malformed requests are 4xx, never 500', { tag: '@journey' }, async () => {
  const { host } = address();
  const line = async (request: string) => Number((await raw(request)).split(' ')[1]);
  expect(await line(`TRACE / HTTP/1.1\r\nHost: ${host}\r\n\r\n`)).toBe(405);
  expect(await line(`DELETE /jobs HTTP/1.1\r\nHost: ${host}\r\n\r\n`)).toBe(405);
  expect(await line('GET / HTTP/1.1\r\nHost: a b:c/d\r\n\r\n')).toBe(400);
  expect(await line('GET / HTTP/1.1\r\nHost: user@elsewhere:99999999\r\n\r\n')).toBe(400);
  expect(await line('GET / HTTP/1.1\r\nHost: 127.0.0.1:99999\r\n\r\n')).toBe(400);
  expect(await line('GET / HTTP/1.1\r\nHost: [::1\r\n\r\n')).toBe(400);
  expect(await line(`GET /%E0%A4%A HTTP/1.1\r\nHost: ${host}\r\n\r\n`)).toBe(400);
  expect(await line(`GET /a%00b HTTP/1.1\r\nHost: ${host}\r\n\r\n`)).toBe(400);
  const post = (headers: http.OutgoingHttpHeaders, body: string | Buffer) =>
    ask('/sign-in', { method: 'POST', headers: { origin: base(), ...headers } }, (request) =>
      request.end(body),
    );
  expect((await post({ 'content-encoding': 'gzip' }, 'x')).status).toBe(415);
  expect((await post({ 'content-type': 'text/plain' }, 'x')).status).toBe(400);
  const form = { 'content-type': 'application/x-www-form-urlencoded' };
  expect((await post(form, Buffer.from([0x61, 0x3d, 0xff, 0xfe]))).status).toBe(400);
  expect((await post(form, 'email=a%00b%40c&password=x')).status).toBe(400);
  expect((await post({ 'content-type': 'multipart/form-data' }, 'x')).status).toBe(400);
});

test('a plan with half an emoji or a NUL in a name is refused at its field, not a 500', async () => {
  const cookie = await cookieOf();
  const made = await fetch(`${base()}/jobs`, {
    method: 'POST',
    body: new URLSearchParams({ intent: 'blank', name: 'Text', system: 'metric' }),
    headers: { origin: base(), cookie },
    redirect: 'manual',
  });
  const job = made.headers.get('location')!;
  const { plan } = (await (
    await fetch(`${base()}${job}/revisions?number=1`, { headers: { cookie } })
  ).json()) as {
    plan: Record<string, unknown>;
  };
  for (const name of ['half \ud83d', 'nul \u0000', 'bell \u0007']) {
    const response = await fetch(`${base()}${job}/revisions?base=1`, {
      method: 'POST',
      body: JSON.stringify({ ...plan, name }),
      headers: { origin: base(), cookie },
    });
    expect(response.status).toBe(422);
    expect(await response.json()).toMatchObject({ problems: [{ code: 'text', path: '/name' }] });
  }
  const bad = await fetch(`${base()}${job}/revisions?base=1`, {
    method: 'POST',
    body: '{"cut',
    headers: { origin: base(), cookie },
  });
  expect(bad.status).toBe(400);
});

test('a return address stays on this site, as a browser reads it', async () => {
  const cookie = await cookieOf();
  for (const to of [
    '/%09/elsewhere.example',
    '/%0a/elsewhere.example',
    '//elsewhere.example',
    '/%5celsewhere.example',
    'https://elsewhere.example',
  ]) {
    const response = await fetch(`${base()}/sign-in?to=${to}`, { headers: { cookie }, redirect: 'manual' });
    const location = response.headers.get('location') ?? '';
    expect(new URL(location, base()).host, to).toBe(new URL(base()).host);
  }
});

test('without a trusted proxy forged forwarded headers change nothing', async () => {
  const forged = {
    origin: 'http://elsewhere.example',
    'x-forwarded-host': 'elsewhere.example',
    'x-forwarded-proto': 'https',
    'x-forwarded-for': '10.1.1.1',
    'content-type': 'application/x-www-form-urlencoded',
  };
  const answer = await ask('/sign-in', { method: 'POST', headers: forged }, (request) =>
    request.end('email=a&password=b'),
  );
  expect([400, 403]).toContain(answer.status);
  const page = await ask('/sign-in', {
    headers: { 'x-forwarded-proto': 'https', 'x-forwarded-host': 'a b' },
  });
  expect(page.status).toBe(200);
  expect(page.headers['strict-transport-security']).toBeUndefined();
  const signed = await ask(
    '/sign-in',
    { method: 'POST', headers: { ...forged, origin: base() } },
    (request) => request.end(new URLSearchParams({ ...DEMO_PERSON }).toString()),
  );
  expect(signed.status).toBe(302);
  expect(String(signed.headers['set-cookie'])).not.toContain('Secure');
});

test('pages are private, and run their own scripts only', async () => {
  const cookie = await cookieOf();
  for (const path of ['/jobs', '/sign-in']) {
    const page = await ask(path, { headers: { cookie } });
    expect(page.headers['cache-control'], path).toContain('no-store');
  }
  const page = await ask('/sign-in');
  const policy = String(page.headers['content-security-policy']);
  const nonce = /'nonce-([^']+)'/.exec(policy)?.[1];
  expect(policy).toMatch(/script-src 'self' 'nonce-/);
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  for (const [tag] of page.body.matchAll(/<script[^>]*>/g)) expect(tag).toContain(`nonce="${nonce}"`);
  const again = await ask('/sign-in');
  expect(String(again.headers['content-security-policy'])).not.toContain(nonce);
});

test('behind a trusted proxy the last hop is believed, and only it', async () => {
  const port = 20_000 + (process.pid % 20_000);
  const web = fork(join(process.cwd(), 'web/server.ts'), [], {
    execArgv: ['--import', 'tsx'],
    env: { ...process.env, NODE_ENV: 'production', PORT: String(port), TRUST_PROXY: '1' },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  try {
    await new Promise((ready) => web.once('message', ready));
    const at = { hostname: '127.0.0.1', port };
    const hop = {
      host: `127.0.0.1:${port}`,
      'x-forwarded-proto': 'https',
      'x-forwarded-host': 'forged.example, dig.example',
      'content-type': 'application/x-www-form-urlencoded',
    };
    const page = await ask('/sign-in', { ...at, headers: hop });
    expect(page.headers['strict-transport-security']).toContain('max-age');
    const form = new URLSearchParams({ ...DEMO_PERSON }).toString();
    const post = (origin: string) =>
      ask('/sign-in', { ...at, method: 'POST', headers: { ...hop, origin } }, (request) => request.end(form));
    expect([400, 403]).toContain((await post('https://forged.example')).status);
    const signed = await post('https://dig.example');
    expect(signed.status).toBe(302);
    for (const cookie of signed.headers['set-cookie'] ?? []) expect(cookie).toContain('Secure');
    expect((await ask('/sign-in', { ...at, headers: { ...hop, 'x-forwarded-host': 'a b' } })).status).toBe(
      400,
    );
  } finally {
    web.kill('SIGTERM');
  }
});

test('built files come packed as the browser takes them, to be kept; what is not there is not found', async () => {
  const page = await ask('/sign-in');
  const scripts = [...page.body.matchAll(/"(\/assets\/[\w.-]+\.js)"/g)].map(([, path]) => path!);
  const entry = scripts.find((path) => path.includes('entry.client'))!;
  const size = async (accepts: string, encoding: string | undefined) => {
    const answer = await ask(entry, { headers: { 'accept-encoding': accepts } });
    expect(answer.status, accepts).toBe(200);
    expect(answer.headers['content-encoding'], accepts).toBe(encoding);
    expect(answer.headers['cache-control'], accepts).toContain('immutable');
    expect(answer.headers['content-type'], accepts).toContain('javascript');
    expect(answer.headers['x-content-type-options'], accepts).toBe('nosniff');
    return Number(answer.headers['content-length']);
  };
  const [brotli, gzip, plain] = [
    await size('gzip, deflate, br', 'br'),
    await size('gzip, deflate', 'gzip'),
    await size('identity', undefined),
  ];
  expect(brotli).toBeGreaterThan(0);
  expect(gzip).toBeGreaterThan(brotli);
  expect(plain).toBeGreaterThan(2 * gzip);
  const { headers } = await ask(entry);
  const again = await ask(entry, { headers: { 'if-none-match': String(headers.etag) } });
  expect(again.status).toBe(304);
  for (const path of ['/assets/none-of-it.js', '/assets/', '/assets/..%2f..%2fserver/index.js', '/.vite/x'])
    expect((await ask(path, { headers: { cookie: await cookieOf() } })).status, path).toBe(404);
});
