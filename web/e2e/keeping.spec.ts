import type { Page } from '@playwright/test';
import {
  expect,
  field,
  figure,
  newJob,
  prefer,
  ready,
  saved,
  savedAs,
  signIn,
  stage,
  type,
} from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

/** A page out of reach of what others save: it would show it at once, while nothing is typed. */
const hearsNothing = (page: Page) => page.route('**/revisions?newer=*', (route) => route.abort());

test('saves by itself as revisions that say what changed, and brings an old one back', {
  tag: '@journey',
}, async ({ page }) => {
  await newJob(page, 'bell-frame');
  const before = await figure(page, 'dig');
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `5'`);
  await saved(page);
  await stage(page, 'log');
  await expect(page.getByText(`Local frost depth 4'-0" → 5'-0"`)).toBeVisible();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect.poll(() => figure(page, 'dig')).toBe(before);
  await savedAs(page, 3);
});

test('what is saved without a pause makes one revision, and each save in it can be brought back', async ({
  page,
}) => {
  await newJob(page, 'bell-frame');
  const digs: number[] = [];
  await stage(page, 'ground');
  for (const depth of [`5'`, `6'`, `7'`]) {
    await type(page, 'ground.frost.local', depth);
    await saved(page);
    digs.push(await figure(page, 'dig'));
  }
  await stage(page, 'log');
  const rows = page.locator('[data-side] ol[data-revisions] > li');
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toContainText(`Local frost depth 4'-0" → 7'-0"`);
  await rows.first().locator('summary').click();
  const within = rows.first().locator('[data-saves] li');
  await expect(within).toHaveCount(2);
  await within.last().getByRole('button', { name: 'Bring back' }).click();
  await expect.poll(() => figure(page, 'dig')).toBe(digs[0]);
  await savedAs(page, 5);
});

test('the second writer is shown the difference and nothing is lost', { tag: '@journey' }, async ({
  page,
  context,
}) => {
  const url = await newJob(page, 'bell-frame');
  await hearsNothing(page);
  const other = await context.newPage();
  await other.goto(url);
  await ready(other);
  await stage(other, 'ground');
  await type(other, 'ground.frost.local', `5'`);
  await stage(other, 'levels');
  await type(other, 'levels.string', `102'`);
  await saved(other);
  // Out of reach for a while, as on site: both edits are made before either can be saved.
  await page.route('**/revisions?base=*', (route) => route.abort());
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `4' 6"`);
  await stage(page, 'setout');
  await page.getByPlaceholder(`4' x 4'`).fill(`3'`);
  await page.getByRole('button', { name: 'Add', exact: true }).last().click();
  await expect(page.locator('[data-saving=waiting]')).toBeVisible();
  await page.unroute('**/revisions?base=*');
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toContainText('saved while you were typing');
  await expect(dialog).toContainText(`String level 101'-0" → 102'-0"`);
  await expect(dialog).toContainText(`theirs 5'-0"`);
  await expect(dialog).toContainText(`yours 4'-6"`);
  await dialog.getByRole('button', { name: 'Put my edits on top of theirs' }).click();
  await saved(page);
  const plan = await (await page.request.get(`${url}/plan.json`)).json();
  expect(plan.ground.frost.local).toBeCloseTo(1.3716, 6);
  expect(plan.levels.string).toBeCloseTo(102 * 0.3048, 6);
  expect(plan.elements).toHaveLength(7);
});

test('the second writer may take theirs, and undo brings the own version back', async ({ page, context }) => {
  const url = await newJob(page, 'bell-frame');
  await hearsNothing(page);
  const other = await context.newPage();
  await other.goto(url);
  await ready(other);
  await stage(other, 'ground');
  await type(other, 'ground.frost.local', `5'`);
  await saved(other);
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `4' 6"`);
  await page.getByRole('button', { name: 'Take theirs only' }).click();
  await page.unroute('**/revisions?newer=*');
  await expect(field(page, 'ground.frost.local')).toHaveValue(`5'-0"`);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'ground.frost.local')).toHaveValue(`4'-6"`);
  await savedAs(page, 3);
});

test('an edit that could not be saved is still there when the page comes back', { tag: '@journey' }, async ({
  page,
}) => {
  await newJob(page, 'bell-frame');
  await page.route('**/revisions?base=*', (route) => route.abort());
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `5'`);
  await expect(page.locator('[data-saving=waiting]')).toBeVisible();
  await page.unroute('**/revisions?base=*');
  await page.reload();
  await ready(page);
  await saved(page);
  await stage(page, 'ground');
  await expect(field(page, 'ground.frost.local')).toHaveValue(`5'-0"`);
});

test('a save over a stale revision is refused with 409, a bad plan with 422, nonsense with 400', {
  tag: '@journey',
}, async ({ page }) => {
  const url = await newJob(page, 'bell-frame');
  const plan = await (await page.request.get(`${url}/plan.json`)).json();
  const post = (query: string, data: unknown) => page.request.post(`${url}/revisions${query}`, { data });
  expect((await post('?base=1', plan)).status()).toBe(200);
  expect((await post('?base=1', plan)).status()).toBe(409);
  expect((await post('?base=x', plan)).status()).toBe(400);
  expect((await post('?base=99999999999', plan)).status()).toBe(400);
  const bad = await post('?base=2', { ...plan, elements: [{ ...plan.elements[0], width: -1 }] });
  expect(bad.status()).toBe(422);
  expect((await bad.json()).problems[0]).toMatchObject({ code: 'range', path: '/elements/0/width' });
  expect(
    (
      await page.request.post(`${url}/revisions?base=2`, {
        headers: { 'content-type': 'application/json' },
        data: Buffer.from('{"a":'),
      })
    ).status(),
  ).toBe(400);
});

test('signed out while typing: it says so, keeps the edit, and saves after signing in again', async ({
  page,
  context,
}) => {
  await newJob(page, 'bell-frame');
  const cookies = await context.cookies();
  await context.clearCookies({ name: 'cimiento_session' });
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `5'`);
  await expect(page.locator('[data-saving=signedOut]')).toContainText('Your edit is kept here.');
  await context.addCookies(cookies.filter((c) => c.name === 'cimiento_session'));
  await saved(page);
});

test('files: plan, takeoff as CSV and JSON, and the dig sheet as PDF, in the person’s language', {
  tag: '@journey',
}, async ({ page }) => {
  const url = await newJob(page, 'honey-house');
  const csv = await page.request.get(`${url}/takeoff.csv`);
  expect(csv.headers()['content-disposition']).toContain('Honey-house-takeoff.csv');
  expect(await csv.text()).toMatch(/figure,dig,,339\.\d+,m3/);
  const json = await (await page.request.get(`${url}/takeoff.json`)).json();
  expect(json.checks.every((check: { ok: boolean }) => check.ok)).toBe(true);
  for (const preferences of [{}, { lang: 'es', system: 'imperial' }]) {
    await prefer(page, preferences);
    const pdf = await page.request.get(`${url}/dig-sheet.pdf`);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    const body = await pdf.body();
    expect(body.subarray(0, 5).toString()).toBe('%PDF-');
    // The job, three cards a page for what is dug otherwise, the lines: A4, or Letter for feet and inches.
    expect(body.toString('latin1').match(/\/Count 5\b/)).not.toBeNull();
    expect(body.toString('latin1')).toContain(
      preferences.system ? '/MediaBox [0 0 612 792]' : '/MediaBox [0 0 595.28',
    );
  }
  const schema = await (await page.request.get(`${new URL(url).origin}/plan.schema.json`)).json();
  expect(schema.properties.format.const).toBe('cimiento-plan');
});

test('a save that hangs loses nothing: typed on, closed and opened again it is all there', async ({
  page,
  context,
}) => {
  const url = await newJob(page, 'bell-frame');
  // The line is open and nothing ever comes back.
  await page.route('**/revisions?base=*', () => {});
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `4' 6"`);
  await expect(page.locator('[data-saving=saving]')).toBeVisible();
  await type(page, 'ground.frost.local', `5'`);
  await stage(page, 'levels');
  await type(page, 'levels.string', `101'`);
  // The tab goes while the save still hangs; nobody was told that anything is wrong.
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  // What reads a kept edit is slow to come: nothing is called saved before it has.
  await again.route(/readKept/, async (route) => {
    await new Promise((done) => setTimeout(done, 1500));
    await route.continue();
  });
  await again.goto(url);
  await ready(again);
  expect(await again.locator('[data-saving]').getAttribute('data-saving')).toBe('unsaved');
  await saved(again);
  const plan = await (await again.request.get(`${url}/plan.json`)).json();
  expect(plan.ground.frost.local).toBeCloseTo(5 * 0.3048, 6);
  expect(plan.levels.string).toBeCloseTo(101 * 0.3048, 6);
});

test('a save without an answer is given up, tried again, and goes through', async ({ page }) => {
  await newJob(page, 'bell-frame');
  let hung = 0;
  await page.route('**/revisions?base=*', (route) => {
    hung++;
    return hung === 1 ? undefined : route.continue();
  });
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `4' 6"`);
  await expect(page.locator('[data-saving=waiting]')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('button', { name: 'Save as a file' })).toBeVisible();
  await saved(page);
  expect(hung).toBe(2);
});

test('an answer that is no “away” says what is wrong and how to go on', async ({ page }) => {
  await newJob(page, 'bell-frame');
  await stage(page, 'ground');
  for (const [status, words] of [
    [413, 'larger than the server takes'],
    [403, 'only a lead changes plans'],
    [400, 'could not read it'],
    [500, 'went wrong on the server'],
  ] as const) {
    await page.route('**/revisions?base=*', (route) => route.fulfill({ status, json: {} }));
    await type(page, 'ground.frost.local', `${4 + status / 1000}'`);
    await expect(page.locator('[data-saving=failed]')).toContainText(words);
    await page.unroute('**/revisions?base=*');
  }
  await type(page, 'ground.frost.local', `5'`);
  await saved(page);
});

test('the log goes back through all revisions', async ({ page }) => {
  const url = await newJob(page, 'bell-frame');
  const plan = await (await page.request.get(`${url}/plan.json`)).json();
  for (let base = 1; base <= 60; base++) {
    // What is said why stands for itself.
    const response = await page.request.post(`${url}/revisions?base=${base}&why=note`, {
      data: JSON.stringify({ ...plan, note: `note ${base}` }),
      headers: { 'content-type': 'application/json' },
    });
    expect(response.status()).toBe(200);
  }
  await page.reload();
  await ready(page);
  await stage(page, 'log');
  await expect(page.locator('[data-side] ol[data-revisions] > li')).toHaveCount(50);
  await page.locator('[data-older]').click();
  await expect(page.locator('[data-side] ol[data-revisions] > li')).toHaveCount(61);
  await expect(page.locator('[data-older]')).toHaveCount(0);
});

test('a sheet says that it is being made, and opens once it is', async ({ page, context }) => {
  const url = await newJob(page, 'bell-frame');
  let made = 0;
  await context.route('**/dig-sheet.pdf', async (route) => {
    made++;
    await new Promise((next) => setTimeout(next, 1200));
    await route.fulfill({ contentType: 'text/plain', body: 'a sheet' });
  });
  const opened = context.waitForEvent('page');
  const link = page.locator('[data-sheet]').first();
  await link.click();
  await expect(link).toHaveAttribute('aria-busy', 'true');
  await expect(link.getByRole('status')).toBeVisible();
  const tab = await opened;
  await tab.waitForURL(`${url}/dig-sheet.pdf`);
  await expect(link).toHaveAttribute('aria-busy', 'false');
  expect(made).toBe(2);
});
