/** What people log: kept without signal, sent once, seen by others as it happens, never undone, printed. */
import { expect, newJob, openRecords, prefer, ready, signIn, stage } from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

const records = async (page: import('@playwright/test').Page, url: string) =>
  ((await (await page.request.get(`${url}/records`)).json()) as { records: { value: { text: string } }[] })
    .records;

test('a note made without signal is kept over a reload and goes once there is signal', {
  tag: '@journey',
}, async ({ page }) => {
  const url = await newJob(page, 'bell-frame');
  await stage(page, 'log');
  await page.route('**/records?person=*', (route) => route.abort());
  await page.getByLabel('A note for the record').fill('Water came in at the north corner');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('[data-records] [data-record=note]')).toContainText('north corner');
  await expect(page.locator('[data-unsent]')).toContainText('1 record waits');
  expect(await records(page, url)).toHaveLength(0);
  await page.reload();
  await ready(page);
  await stage(page, 'log');
  await expect(page.locator('[data-records] [data-record=note]')).toContainText('north corner');
  await page.unroute('**/records?person=*');
  await page.evaluate(`window.dispatchEvent(new Event('online'))`);
  await expect(page.locator('[data-unsent]')).toHaveCount(0);
  await expect.poll(async () => (await records(page, url)).length).toBe(1);
});

test('what one logs the other sees as it happens; undo leaves it; taken back it is struck through', {
  tag: '@journey',
}, async ({ page, context }) => {
  const url = await newJob(page, 'bell-frame');
  const other = await context.newPage();
  await other.goto(url);
  await ready(other);
  await stage(other, 'log');
  await stage(page, 'log');
  await page.getByLabel('A note for the record').fill('Inspector was here');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(other.locator('[data-records]')).toContainText('Inspector was here');
  await expect(other.locator('[data-records]')).toContainText('Ximena Arce');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-records]')).toContainText('Inspector was here');
  await openRecords(other);
  await other.getByRole('button', { name: /^Take back/ }).click();
  await expect(page.locator('[data-records]')).toContainText('taken back');
  await expect(page.getByRole('button', { name: /^Take back/ })).toHaveCount(0);
  const pdf = await page.request.get(`${url}/record.pdf`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('records from outside are checked: wrong ones 422 with paths, strangers 401, other crews 404', {
  tag: '@journey',
}, async ({ page, browser }) => {
  const url = await newJob(page, 'bell-frame');
  const send = (body: unknown) =>
    page.request.post(`${url}/records`, {
      data: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json' },
    });
  const note = {
    id: 'n-1',
    kind: 'note',
    at: '2026-05-01T07:00:00Z',
    by: 'somebody else',
    element: null,
    place: null,
    corrects: null,
    value: { text: 'x' },
  };
  expect((await send([{ ...note, value: { text: 3 } }])).status()).toBe(422);
  const bad = (await (await send([{ ...note, kind: 'sung' }])).json()) as { problems: { path: string }[] };
  expect(bad.problems[0]!.path).toBe('/0/kind');
  expect((await send({})).status()).toBe(422);
  expect((await send([{ ...note, at: '2199-01-01T00:00:00Z' }])).status()).toBe(422);
  expect((await page.request.post(`${url}/records`, { data: 'x' })).status()).toBe(400);
  expect(await (await send([note])).json()).toEqual({ added: 1 });
  expect(await (await send([note])).json()).toEqual({ added: 0 });
  // Whoever is signed in logged it.
  const file = (await (await page.request.get(`${url}/plan.json`)).json()) as { records: { by: string }[] };
  expect(file.records[0]!.by).toBe('Ximena Arce');
  const stranger = await browser.newContext();
  expect((await stranger.request.get(`${url}/records`)).status()).toBe(401);
  expect((await stranger.request.get(`${url}/events`)).status()).toBe(401);
  await stranger.close();
  const others = await browser.newContext();
  const page2 = await others.newPage();
  await signIn(page2, { email: 'other@cimiento.demo', password: 'other-crew' });
  expect((await page2.request.get(`${url}/records`)).status()).toBe(404);
  expect((await page2.request.get(`${url}/events`)).status()).toBe(404);
  expect(
    (
      await page2.request.post(`${url}/records`, {
        data: JSON.stringify([note]),
        headers: { 'Content-Type': 'application/json' },
      })
    ).status(),
  ).toBe(404);
  await others.close();
});
