/**
 * What the server bears, on its own database: pages a second, a save while sheets print, a large
 * sheet. `npm run load`, and the last part of `npm run bench`. Prints figures beside their goals;
 * asserts nothing. Every loop is bounded in count and goes to the loopback server it started.
 */
import http from 'node:http';
import { fileURLToPath } from 'node:url';
import { blankPlan, type Plan } from '@cimiento/core';
import { simulatedJob } from '@cimiento/simulators';
import { DEMO_PERSON } from '../web/db/demo-people.ts';
import serve from '../web/e2e/serve.ts';

const share = (values: readonly number[], part: number): number => {
  const sorted = [...values].sort((p, q) => p - q);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? 0;
};

interface Answer {
  readonly status: number;
  readonly ms: number;
  readonly body: string;
  readonly headers: http.IncomingHttpHeaders;
}

/** A client that keeps its connections and its cookies, as a browser does. */
function client(base: string, connections = 40) {
  const { hostname, port } = new URL(base);
  const agent = new http.Agent({ keepAlive: true, maxSockets: connections });
  let cookie = '';
  const ask = (path: string, body?: string, type = 'application/json'): Promise<Answer> =>
    new Promise((done, fail) => {
      const start = performance.now();
      const request = http.request(
        {
          hostname,
          port,
          path,
          agent,
          method: body === undefined ? 'GET' : 'POST',
          headers: {
            cookie,
            origin: base,
            'accept-encoding': 'identity',
            'user-agent': 'Mozilla/5.0 (X11; Linux x86_64) Chrome/130.0.0.0',
            ...(body !== undefined && { 'content-type': type, 'content-length': Buffer.byteLength(body) }),
          },
        },
        (response) => {
          const chunks: Buffer[] = [];
          response.on('data', (chunk: Buffer) => chunks.push(chunk));
          response.on('end', () =>
            done({
              status: response.statusCode ?? 0,
              ms: performance.now() - start,
              body: Buffer.concat(chunks).toString('utf8'),
              headers: response.headers,
            }),
          );
        },
      );
      request.on('error', fail);
      request.end(body);
    });
  return {
    ask,
    form: (path: string, fields: Record<string, string>) =>
      ask(path, new URLSearchParams(fields).toString(), 'application/x-www-form-urlencoded'),
    keep: (answer: Answer) => {
      cookie = (answer.headers['set-cookie'] ?? []).map((line) => line.split(';')[0]).join('; ');
    },
  };
}

/** Asks a page some hundreds of times with so many at once. */
async function pages(
  web: ReturnType<typeof client>,
  name: string,
  path: string,
  goal: string,
): Promise<void> {
  for (let i = 0; i < 20; i++) await web.ask(path);
  const one: number[] = [];
  for (let i = 0; i < 60; i++) one.push((await web.ask(path)).ms);
  let left = 300;
  const start = performance.now();
  await Promise.all(
    Array.from({ length: 8 }, async () => {
      while (left-- > 0) await web.ask(path);
    }),
  );
  const rate = 300 / ((performance.now() - start) / 1000);
  console.log(
    `${name.padEnd(34)} alone median ${share(one, 0.5).toFixed(1)} p95 ${share(one, 0.95).toFixed(1)} ms · ${rate.toFixed(0)} a second   (goal ${goal})`,
  );
}

export async function load(base: string): Promise<void> {
  console.log('\nthe server under load');
  const web = client(base);
  const signedIn = await web.form('/sign-in', { ...DEMO_PERSON });
  web.keep(signedIn);
  const made = await web.form('/jobs', { intent: 'demo', demo: 'honey-house' });
  const job = made.headers.location ?? '';
  await pages(web, 'job list', '/jobs', '≥ 60/s');
  await pages(web, 'desk page', job, '≤ 60 ms, ≥ 20/s');

  // Twenty saves a second over five jobs while ten dig sheets print, and go on printing.
  const jobs = await Promise.all(
    Array.from(
      { length: 5 },
      async () => (await web.form('/jobs', { intent: 'demo', demo: 'honey-house' })).headers.location ?? '',
    ),
  );
  const plans: Plan[] = [];
  for (const path of jobs)
    plans.push(
      JSON.parse((await web.ask(`${path}/revisions?number=1`)).body || '{}').plan ?? blankPlan('x', 'metric'),
    );
  const saves = async (printing: boolean, name: string) => {
    let on = printing;
    const sheets: number[] = [];
    const paper = Array.from({ length: printing ? 10 : 0 }, async () => {
      // Of a job that is being saved: every sheet is of another revision, and made anew.
      while (on) sheets.push((await web.ask(`${jobs[sheets.length % jobs.length]}/dig-sheet.pdf`)).ms);
    });
    const times: number[] = [];
    let refused = 0;
    const revisions = jobs.map(() => 1);
    const already = await Promise.all(jobs.map((path) => web.ask(`${path}/revisions`)));
    already.forEach((answer, i) => {
      revisions[i] =
        (JSON.parse(answer.body || '{"revisions":[{"number":1}]}').revisions[0].number as number) ?? 1;
    });
    const under: Promise<void>[] = [];
    const busy = jobs.map(() => Promise.resolve());
    for (let n = 0; n < 200; n++) {
      const i = n % jobs.length;
      const path = jobs[i]!;
      const plan = structuredClone(plans[i]!);
      plan.ground.frost.local = 0.8 + (n % 40) / 100;
      busy[i] = busy[i]!.then(async () => {
        const answer = await web.ask(`${path}/revisions?base=${revisions[i]}`, JSON.stringify(plan));
        times.push(answer.ms);
        if (answer.status === 200) revisions[i]!++;
        else refused++;
      });
      under.push(busy[i]!);
      await new Promise((next) => setTimeout(next, 50));
    }
    await Promise.all(under);
    on = false;
    await Promise.all(paper);
    console.log(
      `${name.padEnd(34)} median ${share(times, 0.5).toFixed(0)} p95 ${share(times, 0.95).toFixed(0)} max ${share(times, 1).toFixed(0)} ms, ${refused} refused${printing ? `; ${sheets.length} sheets, median ${(share(sheets, 0.5) / 1000).toFixed(1)} s` : ''}   (goal p95 < 150 ms)`,
    );
  };
  await saves(false, 'a save, 20 a second');
  await saves(true, 'a save while ten sheets print');

  for (const count of [60, 240]) {
    const body = new FormData();
    body.append('intent', 'file');
    body.append('file', new File([JSON.stringify(simulatedJob(count))], 'plan.json'));
    const posted = new Response(body);
    const large = await web.ask('/jobs', await posted.text(), posted.headers.get('content-type') ?? '');
    for (const sheet of ['dig-sheet', 'set-out-sheet']) {
      await web.ask(`${job}/${sheet}.pdf`);
      const { ms, status } = await web.ask(`${large.headers.location}/${sheet}.pdf`);
      console.log(
        `${`${sheet}, ${count} elements`.padEnd(34)} ${(ms / 1000).toFixed(1)} s (${status})   (goal < 4 s)`,
      );
    }
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const stop = await serve();
  try {
    await load(process.env.BASE_URL ?? '');
  } finally {
    await stop();
  }
}
