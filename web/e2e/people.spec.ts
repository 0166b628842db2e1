import { gunzipSync } from 'node:zlib';
import { DEMO_PERSON, OTHER_PERSON } from '../db/demo-people.ts';
import { base, expect, newJob, prefer, signIn } from './helpers.ts';
import { test } from './slowly.ts';

test('the sign-in page shows the demo account and lets it in', { tag: '@journey' }, async ({ page }) => {
  await page.goto(`${base()}/`);
  await expect(page).toHaveURL(/sign-in\?to=%2Fjobs/);
  await expect(page.getByText(`${DEMO_PERSON.email} · ${DEMO_PERSON.password}`)).toBeVisible();
  await page.getByRole('button', { name: 'Look around as the demo crew' }).click();
  await expect(page.getByRole('heading', { name: 'Day board' })).toBeVisible();
  const cookie = (await page.context().cookies()).find((c) => c.name === 'cimiento_session');
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
});

test('a wrong password says so, keeps the e-mail, and is refused with 401', async ({ page }) => {
  await page.goto(`${base()}/sign-in`);
  await page.locator('input[type=email]').fill('nobody@cimiento.demo');
  await page.locator('input[type=password]').fill('nope');
  const [response] = await Promise.all([
    page.waitForResponse((r) => r.request().method() === 'POST'),
    page.getByRole('button', { name: 'Sign in' }).click(),
  ]);
  expect(response.status()).toBe(401);
  await expect(page.getByRole('alert')).toHaveText('E-mail or password is not right.');
  await expect(page.locator('input[type=email]')).toHaveValue('nobody@cimiento.demo');
});

test('a new crew starts with an empty board, and problems show at their fields', async ({ page }) => {
  await page.goto(`${base()}/join`);
  await page.getByLabel('Crew').fill('Test crew');
  await page.getByLabel('Your name').fill('Iris');
  await page.getByLabel('E-mail').fill('not-an-address');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('That is not an e-mail address.')).toBeVisible();
  await expect(page.getByText('At least 8 characters.')).toBeVisible();
  await expect(page.getByLabel('Crew')).toHaveValue('Test crew');
  await page.getByLabel('E-mail').fill('iris@test.example');
  await page.getByLabel('Password').fill('long-enough');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('No jobs yet.')).toBeVisible();
});

test('a job of another crew is not there: 404 on every door, in plain words', { tag: '@journey' }, async ({
  page,
  browser,
}) => {
  await signIn(page);
  const url = await newJob(page, 'bell-frame');
  const stranger = await (await browser.newContext({ locale: 'en-GB' })).newPage();
  await signIn(stranger, OTHER_PERSON);
  await prefer(stranger, {});
  for (const path of ['', '/plan.json', '/takeoff.csv', '/takeoff.json', '/dig-sheet.pdf', '/revisions'])
    expect((await stranger.request.get(url + path)).status(), path).toBe(404);
  const save = await stranger.request.post(`${url}/revisions?base=1`, {
    data: await (await page.request.get(`${url}/plan.json`)).json(),
  });
  expect(save.status()).toBe(404);
  await stranger.goto(url);
  await expect(stranger.getByRole('heading', { name: 'No such job' })).toBeVisible();
  await expect(stranger.getByText('    at ')).toHaveCount(0);
  await stranger.goto(`${base()}/jobs/not-an-id`);
  await expect(stranger.getByRole('heading', { name: 'No such job' })).toBeVisible();
});

test('a request from another site is refused', async ({ page }) => {
  await signIn(page);
  const url = await newJob(page, 'bell-frame');
  const headers = { origin: 'https://elsewhere.example' };
  const form = await page.request.post(`${base()}/jobs`, {
    headers,
    form: { intent: 'demo', demo: 'bell-frame' },
  });
  expect(form.status()).toBe(400);
  const save = await page.request.post(`${url}/revisions?base=1`, { headers, data: {} });
  expect([400, 403]).toContain(save.status());
});

test('the board reads like a day board, makes jobs and removes them', async ({ page }) => {
  await signIn(page);
  await page.goto(`${base()}/jobs`);
  const honey = page.getByRole('row', { name: /Honey house.*Alto Sereno/ }).first();
  await expect(honey).toContainText('sides need support');
  await expect(honey).toContainText('m³');
  await expect(page.getByRole('row', { name: /Bell frame.*Tamarack Flat/ }).first()).toContainText('yd³');
  await page.getByLabel('Job name').fill('Goat shed');
  await page.getByLabel('Place').fill('Peña Rota');
  await page.getByRole('button', { name: 'Start the job' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  await expect(page.getByText('Nothing to dig yet.', { exact: false }).first()).toBeVisible();
  await page.goto(`${base()}/jobs`);
  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: 'Remove Goat shed' }).click();
  await page.getByRole('button', { name: 'Remove Goat shed' }).click();
  await expect(page.getByRole('link', { name: 'Goat shed' })).toHaveCount(0);
  // Taken off by mistake: it comes back with all it had.
  await page.locator('[data-removed] summary').click();
  await page.getByRole('button', { name: 'Bring back Goat shed' }).first().click();
  await expect(page.getByRole('link', { name: 'Goat shed' })).toHaveCount(1);
});

test('all jobs go out in one file and come in again', async ({ page }) => {
  await page.goto(`${base()}/join`);
  const join = { crew: 'Movers', name: 'Mo', email: `mo${Date.now()}@test.example`, password: 'long-enough' };
  await page.request.post(`${base()}/join`, { form: join });
  await page.request.post(`${base()}/jobs`, { form: { intent: 'demo', demo: 'bell-frame' } });
  // A hold of this one comes from what was logged: a lift that failed its test.
  await page.request.post(`${base()}/jobs`, { form: { intent: 'demo', demo: 'reading-room' } });
  const packed = await page.request.get(`${base()}/crew/archive`);
  expect(packed.headers()['content-disposition']).toContain('.jsonl.gz');
  const buffer = await packed.body();
  await page.goto(`${base()}/jobs`);
  await page.waitForLoadState('networkidle');
  await expect(page.getByRole('link', { name: 'Bell frame' })).toHaveCount(1);
  await page.locator('[data-archive] summary').click();
  const bring = async (name: string, bytes: Buffer) => {
    await page
      .locator('[data-archive] input[type=file]')
      .setInputFiles({ name, mimeType: 'application/gzip', buffer: bytes });
    await page.getByRole('button', { name: 'Bring them in' }).click();
  };
  await bring('cut.jsonl.gz', buffer.subarray(0, buffer.length / 2));
  await expect(page.locator('[data-archive] [role=alert]')).toContainText('cut short');
  await bring('all.jsonl.gz', buffer);
  await expect(page.getByRole('link', { name: 'Bell frame' })).toHaveCount(2);
  const rows = page.getByRole('row', { name: /Reading room/ });
  await expect(async () => {
    await page.reload();
    const [first, second] = await rows.locator('td:nth-child(2)').allInnerTexts();
    expect(second).toBe(first);
    expect(first).toContain('+2');
  }).toPass({ timeout: 30_000 });
  // The same file unpacked is as good.
  await page.locator('[data-archive] summary').click();
  await bring('all.jsonl', gunzipSync(buffer));
  await expect(page.getByRole('link', { name: 'Bell frame' })).toHaveCount(3);
});

test('a plan file goes out and comes in; a bad one is told in words, what and which', {
  tag: '@journey',
}, async ({ page }) => {
  await signIn(page);
  const url = await newJob(page, 'seed-store');
  const plan = await (await page.request.get(`${url}/plan.json`)).json();
  const upload = async (name: string, text: string) => {
    await page.goto(`${base()}/jobs`);
    await page.waitForLoadState('networkidle');
    await page
      .locator('input[type=file][accept*=json]')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
    await page.getByRole('button', { name: 'Load the file' }).click();
  };
  await upload('bad.json', '{"format":');
  await expect(page.getByRole('alert')).toContainText('This file is not JSON');
  await upload('new.json', JSON.stringify({ ...plan, version: plan.version + 1 }));
  await expect(page.getByRole('alert')).toContainText(`newer version (${plan.version + 1})`);
  await upload('wide.json', JSON.stringify({ ...plan, dig: { ...plan.dig, buckets: [0] } }));
  await expect(page.getByRole('alert')).toContainText('Bucket 1:');
  await expect(page.getByRole('alert')).not.toContainText('/dig/');
  await upload('good.json', JSON.stringify({ ...plan, name: 'From a file' }));
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  const back = await (await page.request.get(`${page.url()}/plan.json`)).json();
  expect(back).toEqual({ ...plan, name: 'From a file' });
});

test('language, units and theme are a person’s own, and whole', async ({ page }) => {
  // Kept with the person: not the one the other tests sign in as.
  await signIn(page, OTHER_PERSON);
  await page.goto(`${base()}/jobs`);
  // Each choice loads the page anew; the next one waits until its script listens.
  const settled = () => page.waitForLoadState('networkidle');
  await settled();
  await page.locator('select[name=lang]').selectOption('es');
  await expect(page.getByRole('heading', { name: 'Tablero del día' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'es');
  await settled();
  await page.locator('select[name=theme]').selectOption('night');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await settled();
  await page.locator('header select[name=system]').selectOption('metric');
  await expect(page.getByRole('row', { name: /Bell frame/ }).first()).toContainText('m³');
  await page.getByRole('button', { name: 'Salir' }).click();
  await expect(page.getByRole('heading', { name: 'Entrar' })).toBeVisible();
  await prefer(page, {});
});
