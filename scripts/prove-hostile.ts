/**
 * Sends a server of its own hostile archives, records, plans and addresses, so many drawn from a seed, and
 * ends by itself: `npm run prove:hostile [-- trials seed]`. Counts answers; exits 1 when any is a 5xx or
 * missing, when another crew has to wait, or when a transaction is left open.
 */
import { gzipSync } from 'node:zlib';
import { seeded } from '../core/src/random/index.ts';
import { honeyHouse } from '../core/src/testing.ts';
import { Client, ownServer, wait } from './own-server.ts';

const trials = Math.max(1, Number(process.argv[2] ?? 300));
const seed = Number(process.argv[3] ?? 1);
const next = seeded(seed);
const draw = (n: number) => Math.floor(next() * n);
const some = <T>(of: readonly T[]): T => of[draw(of.length)]!;

const own = await ownServer('hostile');
const stranger = new Client(own.base);
const neighbour = new Client(own.base);
await stranger.join('stranger');
await neighbour.join('neighbour');
const made = await stranger.ask('/jobs', new URLSearchParams({ intent: 'demo', demo: 'bell-frame' }));
const job = made?.headers.get('location') ?? '';

const counts = new Map<string, number>();
const faults: string[] = [];
function count(what: string, response: Response | null): void {
  const status = response?.status ?? 0;
  counts.set(`${what} ${status}`, (counts.get(`${what} ${status}`) ?? 0) + 1);
  // Busy is an answer; a fault of the server's own, or none, is not.
  if (status === 0 || (status >= 500 && status !== 503)) faults.push(`${what}: ${status}`);
}
const gone = (): boolean => own.web.exitCode !== null || own.web.signalCode !== null;

/** Values no field expects. */
const ODD: readonly unknown[] = [
  2 ** 31,
  2 ** 31 - 1,
  -1,
  1e308,
  0.5,
  '',
  '\u0000',
  '\ud83d',
  'x'.repeat(5000),
  '0000-01-01T00:00:00Z',
  '-000400-01-01T00:00:00Z',
  '+275760-09-13T00:00:00Z',
  null,
  true,
  [],
  {},
  [[[[[[]]]]]],
  { __proto__: null, constructor: 1 },
];

/** A document with one place of it, drawn, changed. */
function harmed(document: unknown): unknown {
  const copy = structuredClone(document);
  let at = copy;
  for (;;) {
    if (typeof at !== 'object' || at === null) return copy;
    const keys = Object.keys(at);
    if (keys.length === 0) return copy;
    const key = some(keys);
    const holder = at as Record<string, unknown>;
    if (next() < 0.35 || typeof holder[key] !== 'object' || holder[key] === null) {
      if (next() < 0.2) delete holder[key];
      else holder[key] = some(ODD);
      return copy;
    }
    at = holder[key];
  }
}

const plan = honeyHouse();
const archive = (change: (rows: unknown[]) => unknown[] = (rows) => rows): string =>
  change([
    { format: 'cimiento-archive', version: 2, crew: 'x', at: '2026-01-01T00:00:00Z' },
    { kind: 'job', id: 'a', name: 'A', removedAt: null },
    {
      kind: 'revision',
      job: 'a',
      by: 'x',
      number: 1,
      at: '2026-01-01T00:00:00Z',
      why: 'new',
      summary: { dig: 1, elements: 1, holds: [] },
      changes: [{ path: '/a', from: null, to: 1 }],
      plan,
    },
    {
      kind: 'record',
      job: 'a',
      record: {
        id: 'r',
        kind: 'note',
        at: '2026-01-01T00:00:00Z',
        by: 'x',
        element: null,
        place: null,
        corrects: null,
        value: { text: 'x' },
      },
    },
    { kind: 'end', jobs: 1, revisions: 1, records: 1 },
  ])
    .map((row) => JSON.stringify(row))
    .join('\n');
const deep = `${'['.repeat(20_000)}${']'.repeat(20_000)}`;

async function sendArchive(bytes: Buffer | string, longest = 60_000): Promise<Response | null> {
  const form = new FormData();
  form.append('file', new File([new Uint8Array(Buffer.from(bytes))], 'a.gz'));
  return stranger.ask('/crew/archive', form, longest);
}
const record = {
  id: 'n',
  kind: 'note',
  at: '2026-05-01T07:00:00Z',
  by: '',
  element: null,
  place: null,
  corrects: null,
  after: null,
  revision: 1,
  value: { text: 'x' },
};

/** The longest the neighbour's board and new job took while something else went on, ms. */
let longestWait = 0;
async function neighbourWorks(): Promise<void> {
  const start = performance.now();
  count('neighbour board', await neighbour.ask('/jobs', undefined, 20_000));
  longestWait = Math.max(longestWait, performance.now() - start);
}

for (let trial = 0; trial < trials && !gone(); trial++) {
  const kind = trial % 5;
  if (kind === 0) {
    const text = archive((rows) => {
      const at = draw(rows.length);
      return rows.with(at, harmed(rows[at]));
    });
    count('archive', await sendArchive(next() < 0.5 ? gzipSync(text) : text));
  } else if (kind === 1) {
    const packed = gzipSync(archive());
    const bytes = Buffer.from(packed);
    for (let i = draw(4); i >= 0; i--) bytes[draw(bytes.length)] = draw(256);
    count('archive bytes', await sendArchive(next() < 0.3 ? bytes.subarray(0, draw(bytes.length)) : bytes));
  } else if (kind === 2) {
    count(
      'record',
      await stranger.ask(`${job}/records`, JSON.stringify([harmed({ ...record, id: `n${trial}` })])),
    );
  } else if (kind === 3) {
    count(
      'plan',
      await stranger.ask(
        `${job}/revisions?base=${some(['1', '2147483647', '-1', '1e9', 'x'])}`,
        JSON.stringify(harmed(plan)),
      ),
    );
  } else {
    const path = some(['/records?after=', '/revisions?number=', '/revisions?before=', '/revisions?newer=']);
    const value = some(['0', '-1', '1e309', '9007199254740993', '2147483648', '%00', '%F0%9F', 'x']);
    count('address', await stranger.ask(`${job}${path}${value}`));
  }
  if (trial % 20 === 0) await neighbourWorks();
}
// Nested without end, where it is told and where it is not.
for (const changes of [`[{"path":"/a","from":${deep},"to":1}]`, deep])
  count('archive deep', await sendArchive(archive().replace('[{"path":"/a","from":null,"to":1}]', changes)));
// What unpacks without end: many times a small file, from the same crew and others at once.
const bomb = gzipSync(
  Buffer.concat([Buffer.from(`${archive().split('\n')[0]}\n`), Buffer.alloc(500_000_000, 0x20)]),
  {
    level: 9,
  },
);
const start = performance.now();
const bombs = Array.from({ length: 10 }, () => sendArchive(bomb, 120_000));
await wait(300);
for (let i = 0; i < 5; i++) {
  await neighbourWorks();
  await wait(200);
}
for (const response of await Promise.all(bombs)) count('bomb', response);
const bombSeconds = ((performance.now() - start) / 1000).toFixed(1);
// Somebody who sends and goes.
const controller = new AbortController();
const form = new FormData();
form.append('file', new File([new Uint8Array(bomb)], 'a.gz'));
const left = fetch(`${own.base}/crew/archive`, {
  method: 'POST',
  body: form,
  headers: { origin: own.base, cookie: stranger.cookie },
  signal: controller.signal,
}).catch(() => null);
await wait(400);
controller.abort();
await left;
await wait(500);
const { default: pg } = await import('pg');
const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
const { rows } = await client.query<{ n: number }>(
  "select count(*)::int as n from pg_stat_activity where state like 'idle in transaction%'",
);
await client.end();
if (rows[0]!.n > 0) faults.push(`${rows[0]!.n} transactions left open`);
if (gone()) faults.push('the server is gone');
if (longestWait > 3000) faults.push(`the neighbour waited ${Math.round(longestWait)} ms`);
await own.stop(own.web);
for (const [what, n] of [...counts].sort()) console.log(`${String(n).padStart(5)} × ${what}`);
console.log(
  `seed ${seed}: ${trials} drawn, ten archives that unpack to 500 MB answered in ${bombSeconds} s (${bomb.length} bytes each); the neighbour waited ${Math.round(longestWait)} ms at the most`,
);
for (const fault of faults.slice(0, 20)) console.log(`fault: ${fault}`);
console.log(`${faults.length} faults`);
process.exitCode = faults.length > 0 ? 1 : 0;
