/**
 * Who gets what from every route: made from the list of routes, so that a new one has to say. A lead, a hand of
 * the same crew, another crew's lead, and nobody.
 */
import type { APIRequestContext } from '@playwright/test';
import routes from '../app/routes.ts';
import { base, expect } from './helpers.ts';
import { test } from './slowly.ts';

const WHO = ['lead', 'hand', 'other', 'nobody'] as const;
type Who = (typeof WHO)[number];
/** Statuses in that order. */
type Row = readonly [number, number, number, number];

interface Asked {
  readonly get?: Row;
  /** Another query, or none of a job. */
  readonly query?: string;
  readonly post?: {
    readonly as: Row;
    readonly form?: Record<string, string>;
    readonly body?: 'plan' | 'records';
    readonly query?: string;
  };
}

const everybody = (status: number): Row => [status, status, status, status];
/** A page turns whoever is not signed in to the door; a call in the background is told. */
const people = (status = 200): Row => [status, status, status, 302];
const call = (status = 200): Row => [status, status, status, 401];
const ownPage: Row = [200, 200, 404, 302];
const ownCall: Row = [200, 200, 404, 401];

/** Every route by its path. */
const ROUTES: Readonly<Record<string, Asked>> = {
  '': { get: everybody(302) },
  'sign-in': { get: [302, 302, 302, 200], post: { as: [302, 302, 302, 400] } },
  // Posted to it ends the session: seen where people sign out.
  'sign-out': { get: everybody(302) },
  join: { get: everybody(200), post: { as: everybody(400) } },
  'come/:token': { get: everybody(410), post: { as: everybody(400) } },
  'forgot/:token?': { get: everybody(200), post: { as: everybody(400) } },
  mail: { get: everybody(200) },
  crew: { get: people(), post: { as: [200, 403, 200, 302], form: { intent: 'edits', on: '0' } } },
  preferences: { get: everybody(302), post: { as: everybody(302) } },
  today: { get: people() },
  healthz: { get: everybody(200) },
  'plan.schema.json': { get: everybody(200) },
  weather: { get: call(), query: '?to=2026-01-31&days=2' },
  gauge: { get: call(400) },
  forecast: { get: call(400) },
  instruments: { get: call(400) },
  'crew/archive': { get: [200, 403, 200, 302], post: { as: [400, 403, 400, 401] } },
  hole: { get: everybody(200) },
  'crew/jobs': { get: call() },
  jobs: { get: people(), post: { as: [400, 403, 400, 302], form: { intent: 'blank', name: '' } } },
  'jobs/:jobId': { get: ownPage },
  'jobs/:jobId/days': { get: ownPage },
  'jobs/:jobId/days.csv': { get: ownPage },
  'jobs/:jobId/revisions': {
    get: ownCall,
    // A revision that is long past: whoever may save is told what is newer.
    post: { as: [409, 403, 404, 401], body: 'plan', query: '?base=999' },
  },
  'jobs/:jobId/records': { get: ownCall, post: { as: ownCall, body: 'records' } },
  // A photo nobody has taken, and a form without one.
  'jobs/:jobId/photos/:record': { get: [404, 404, 404, 401], post: { as: [400, 400, 404, 401] } },
  'jobs/:jobId/whole': { get: ownCall },
  'jobs/:jobId/events': { get: ownCall },
  'jobs/:jobId/plan.json': { get: ownPage },
  'jobs/:jobId/takeoff.json': { get: ownPage },
  'jobs/:jobId/takeoff.csv': { get: ownPage },
  'jobs/:jobId/dig-sheet.pdf': { get: ownPage },
  'jobs/:jobId/set-out-sheet.pdf': { get: ownPage },
  'jobs/:jobId/base-sheet.pdf': { get: ownPage },
  'jobs/:jobId/backfill-sheet.pdf': { get: ownPage },
  'jobs/:jobId/record.pdf': { get: ownPage },
  'jobs/:jobId/order-sheet.pdf': { get: ownPage },
  'jobs/:jobId/pour-sheet.pdf': { get: ownPage },
  'jobs/:jobId/cut-list.pdf': { get: ownPage },
  'jobs/:jobId/day-sheet.pdf': { get: ownPage },
  'jobs/:jobId/inspection.pdf': { get: ownPage },
  'jobs/:jobId/tomorrow': { get: ownPage },
  'jobs/:jobId/tomorrow-sheet.pdf': { get: ownPage },
};

const listed = routes.map(({ path = '' }) => path);

test('every route says who gets what from it', { tag: '@journey' }, () => {
  expect(listed.toSorted()).toEqual(Object.keys(ROUTES).toSorted());
});

test('a lead, a hand, another crew and nobody get of every route what they should', {
  tag: '@journey',
}, async ({ playwright }) => {
  const ask = async () =>
    playwright.request.newContext({ baseURL: base(), extraHTTPHeaders: { 'accept-language': 'en-GB' } });
  const as = Object.fromEntries(await Promise.all(WHO.map(async (who) => [who, await ask()]))) as Record<
    Who,
    APIRequestContext
  >;
  const mark = `${Date.now().toString(36)}${process.pid}`;
  const join = async (who: 'lead' | 'other') => {
    const form = {
      crew: who,
      name: who,
      email: `${who}-${mark}@matrix.example`,
      password: 'a-long-password',
    };
    expect((await as[who].post('/join', { form, maxRedirects: 0 })).status()).toBe(302);
  };
  await join('lead');
  await join('other');
  const made = await as.lead.post('/jobs', {
    form: { intent: 'demo', demo: 'bell-frame' },
    maxRedirects: 0,
  });
  const job = made.headers().location!;
  const link = await as.lead.post('/crew.data', { form: { intent: 'invite', role: 'crew' } });
  const [, token] = /\/come\/([\w-]+)/.exec(await link.text()) ?? [];
  const come = { name: 'hand', email: `hand-${mark}@matrix.example`, password: 'a-long-password' };
  expect((await as.hand.post(`/come/${token}`, { form: come, maxRedirects: 0 })).status()).toBe(302);

  const plan = await (await as.lead.get(`${job}/plan.json`)).json();
  const wrong: string[] = [];
  for (const [path, { get, query = '', post }] of Object.entries(ROUTES)) {
    const to = `/${path.replace('jobs/:jobId', job.slice(1)).replace(':token?', '').replace(':token', 'no-such-token')}`;
    for (const [i, who] of WHO.entries()) {
      if (get) {
        // What goes on for ever is asked for its head alone.
        const status = path.endsWith('/events')
          ? await headOf(as[who], to)
          : (await as[who].get(to + query, { maxRedirects: 0 })).status();
        if (status !== get[i]) wrong.push(`GET ${path} as ${who}: ${status}, not ${get[i]}`);
      }
      if (post) {
        const data = post.body === 'plan' ? plan : post.body === 'records' ? [] : undefined;
        const answer = await as[who].post(to + (post.query ?? ''), {
          maxRedirects: 0,
          ...(data === undefined ? { form: post.form ?? {} } : { data }),
        });
        if (answer.status() !== post.as[i])
          wrong.push(`POST ${path} as ${who}: ${answer.status()}, not ${post.as[i]}`);
      }
    }
  }
  expect(wrong).toEqual([]);
  await Promise.all(WHO.map((who) => as[who].dispose()));
});

/** Status of what does not end. */
async function headOf(as: APIRequestContext, to: string): Promise<number> {
  const { cookies } = await as.storageState();
  const ending = new AbortController();
  const answer = await fetch(base() + to, {
    headers: { cookie: cookies.map(({ name, value }) => `${name}=${value}`).join('; ') },
    redirect: 'manual',
    signal: ending.signal,
  });
  ending.abort();
  return answer.status;
}
