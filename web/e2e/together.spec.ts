/** Several pages, people and devices on one job: nobody is shown an old figure as saved, nothing is re-signed or lost. */
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { seeded } from '../../core/src/random/index.ts';
import {
  base,
  expect,
  field,
  newJob,
  prefer,
  ready,
  saved,
  savedAs,
  signIn,
  stage,
  type,
} from './helpers.ts';
import { test } from './slowly.ts';

const BEA = { email: 'other@cimiento.demo', password: 'other-crew' };
interface Shed {
  readonly ground: { readonly frost: { local: number } };
}
/** What the server has; a job on which something was logged comes as a job file. */
async function frostOf(page: Page, url: string): Promise<number> {
  const file = (await (await page.request.get(`${url}/plan.json`)).json()) as Shed | { plan: Shed };
  return ('plan' in file ? file.plan : file).ground.frost.local;
}

async function openedAs(browser: Browser, url: string, phone = false): Promise<Page> {
  const context = await browser.newContext(
    phone ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } : {},
  );
  const page = await context.newPage();
  await signIn(page);
  await prefer(page, {});
  await page.goto(url);
  await ready(page);
  return page;
}

/** What a page shows, and whether it says that it may be old. */
const shown = (page: Page) =>
  page.evaluate(() => {
    const saving = document.querySelector('[data-saving]');
    const dig = document.querySelector('[data-figure=dig] [data-value]');
    return {
      saved: saving?.getAttribute('data-saving') === 'saved' && saving.getAttribute('data-old') !== 'true',
      dig: dig?.textContent ?? '',
    };
  });

/** Drawn steps: all where all cases are drawn, a few where someone waits. */
const STEPS = process.env.DRAWN === 'all' ? 14 : 6;

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

test('two browsers and a phone, each going off line, to sleep and back: nobody sees an old figure as saved', async ({
  browser,
  page,
}) => {
  test.slow();
  const url = await newJob(page, 'bell-frame');
  const pages = [
    await openedAs(browser, url),
    await openedAs(browser, url),
    await openedAs(browser, url, true),
  ];
  const plan = (await (await page.request.get(`${url}/plan.json`)).json()) as {
    ground: { frost: { local: number } };
  };
  let revision = 1;
  const next = seeded(7);
  const draw = (n: number) => Math.floor(next() * n);
  const away = new Set<Page>();
  const asleep = new Set<Page>();
  for (let step = 0; step < STEPS; step++) {
    const who = pages[draw(3)]!;
    const what = draw(3);
    if (what === 0) {
      if (away.delete(who)) await who.context().setOffline(false);
      else {
        away.add(who);
        await who.context().setOffline(true);
      }
    } else if (what === 1) {
      // A machine that sleeps runs nothing, and then goes on.
      const session = await who.context().newCDPSession(who);
      const wakes = asleep.delete(who);
      if (!wakes) asleep.add(who);
      await session.send('Page.setWebLifecycleState', { state: wakes ? 'active' : 'frozen' });
      await session.detach();
    } else {
      plan.ground.frost.local = Math.round((1 + 0.02 * step) * 1000) / 1000;
      const answer = await page.request.post(`${url}/revisions?base=${revision}`, {
        data: JSON.stringify(plan),
        headers: { 'Content-Type': 'application/json' },
      });
      expect(answer.status()).toBe(200);
      revision = ((await answer.json()) as { revision: number }).revision;
    }
    await page.waitForTimeout(2000);
    const newest = await shown(pages.find((one) => !away.has(one) && !asleep.has(one)) ?? page);
    for (const one of pages) {
      if (asleep.has(one)) continue;
      const { saved: told, dig } = await shown(one);
      // Off line it says so; on line it is new.
      if (away.has(one)) expect(told, `step ${step}, off line`).toBe(false);
      else {
        expect(told, `step ${step}, on line`).toBe(true);
        expect(dig, `step ${step}`).toBe(newest.dig);
      }
    }
  }
  for (const one of pages) {
    if (asleep.has(one)) {
      const session = await one.context().newCDPSession(one);
      await session.send('Page.setWebLifecycleState', { state: 'active' });
    }
    if (away.has(one)) await one.context().setOffline(false);
  }
  // A page loaded now is as new as can be: all others come to show what it shows.
  const fresh = await openedAs(browser, url);
  const { dig } = await shown(fresh);
  for (const one of pages) await expect.poll(() => shown(one)).toEqual({ saved: true, dig });
  for (const one of [...pages, fresh]) await one.context().close();
});

test('a desk takes what somebody else saves at once, and undo takes back one’s own', {
  tag: '@journey',
}, async ({ page, browser }) => {
  const url = await newJob(page, 'bell-frame');
  await stage(page, 'levels');
  await type(page, 'levels.string', `102'`);
  await saved(page);
  const other = await openedAs(browser, url);
  await stage(other, 'ground');
  await type(other, 'ground.frost.local', `5'`);
  await saved(other);
  await stage(page, 'ground');
  await expect(field(page, 'ground.frost.local')).toHaveValue(`5'-0"`);
  await savedAs(page, 3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await stage(page, 'levels');
  await expect(field(page, 'levels.string')).not.toHaveValue(`102'-0"`);
  await saved(page);
  expect(await frostOf(page, url)).toBeCloseTo(5 * 0.3048, 6);
  await other.context().close();
});

test('a tab made from another keeps its own edit: the other’s save deletes nothing of it', async ({
  page,
  context,
}) => {
  const url = await newJob(page, 'bell-frame');
  await page.route('**/revisions?base=*', (route) => route.abort());
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `5'`);
  await expect(page.locator('[data-saving=waiting]')).toBeVisible();
  // Opened by the first, it has a copy of its storage.
  const opened = context.waitForEvent('page');
  await page.evaluate((to) => void window.open(to), url);
  const copy = await opened;
  await ready(copy);
  await stage(copy, 'levels');
  await type(copy, 'levels.string', `102'`);
  await saved(copy);
  await page.close({ runBeforeUnload: false });
  // The first tab is gone before it could save; whoever comes next finds its edit.
  const again = await context.newPage();
  await again.goto(url);
  await ready(again);
  const merge = again.getByRole('button', { name: 'Put my edits on top of theirs' });
  await merge.click();
  await saved(again);
  expect(await frostOf(again, url)).toBeCloseTo(5 * 0.3048, 6);
});

/** Whoever is signed in in a browser. */
async function turnTo(context: BrowserContext, page: Page, person: typeof BEA | null): Promise<void> {
  await context.clearCookies({ name: 'cimiento_session' });
  if (person) await signIn(page, person);
  else await signIn(page);
}

test('on a shared phone nobody signs what another logged; it waits for them and goes when they are back', {
  tag: '@journey',
}, async ({ page, context }) => {
  const url = await newJob(page, 'bell-frame');
  await stage(page, 'log');
  await page.route('**/records?person=*', (route) => route.abort());
  await page.getByLabel('A note for the record').fill('Bottom seen, may be covered');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('[data-unsent]')).toContainText('1 record waits');
  await page.unroute('**/records?person=*');
  // The phone is handed on: the old page stands open while another signs in.
  await turnTo(context, page, BEA);
  await page.evaluate(`window.dispatchEvent(new Event('online'))`);
  await page.waitForTimeout(600);
  await page.goto(`${base()}/jobs`);
  await expect(page.locator('[data-outbox]')).toContainText('1 record of someone else');
  await turnTo(context, page, null);
  const logged = async () =>
    ((await (await page.request.get(`${url}/records`)).json()) as { records: { by: string }[] }).records;
  expect(await logged()).toEqual([]);
  await page.goto(`${base()}/jobs`);
  await expect.poll(async () => (await logged()).map(({ by }) => by)).toEqual(['Ximena Arce']);
  await expect(page.locator('[data-outbox]')).toHaveCount(0);
});

test('the day board shows what waits of any job, edits too, and sends it', async ({ page, context }) => {
  const url = await newJob(page, 'bell-frame');
  await context.route('**/revisions?base=*', (route) => route.abort());
  await context.route('**/records?person=*', (route) => route.abort());
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', `5'`);
  await stage(page, 'log');
  await page.getByLabel('A note for the record').fill('Water at the north corner');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('[data-saving=waiting]')).toBeVisible();
  await page.close({ runBeforeUnload: false });
  const board = await context.newPage();
  await board.goto(`${base()}/jobs`);
  const row = board.locator(`[data-outbox-job="${url.split('/').at(-1)}"]`);
  await expect(row).toContainText('1 record');
  await expect(row).toContainText('an edit of the plan');
  await context.unrouteAll();
  await board.getByRole('button', { name: 'Send now' }).click();
  await expect(row).toHaveCount(0);
  expect(await frostOf(board, url)).toBeCloseTo(5 * 0.3048, 6);
  const { records } = (await (await board.request.get(`${url}/records`)).json()) as { records: unknown[] };
  expect(records).toHaveLength(1);
});

test('one record the server will not have leaves the others alone, and says why', {
  tag: '@journey',
}, async ({ page }) => {
  const url = await newJob(page, 'bell-frame');
  await stage(page, 'log');
  // As a server would that knows no such thing.
  await page.route('**/records?person=*', async (route) => {
    const sent = route.request().postDataJSON() as { id: string; value: { text: string } }[];
    const bad = sent.filter(({ value }) => value.text.startsWith('odd'));
    if (bad.length === 0) return route.continue();
    await route.fulfill({
      json: {
        added: 0,
        refused: bad.map(({ id }) => ({ id, problems: [{ code: 'notADate', path: '/0/at' }] })),
      },
    });
  });
  for (const text of ['odd one', 'a good one']) {
    await page.getByLabel('A note for the record').fill(text);
    await page.getByRole('button', { name: 'Log it' }).click();
  }
  await expect(page.locator('[data-refused]')).toContainText('would not have 1 record');
  await expect(page.locator('[data-refused]')).toContainText('odd one');
  await expect(page.locator('[data-unsent]')).toHaveCount(0);
  const texts = async () =>
    (
      (await (await page.request.get(`${url}/records`)).json()) as { records: { value: { text: string } }[] }
    ).records.map(({ value }) => value.text);
  expect(await texts()).toEqual(['a good one']);
  await page.unroute('**/records?person=*');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect.poll(texts).toEqual(['a good one', 'odd one']);
  await expect(page.locator('[data-refused]')).toHaveCount(0);
});

test('a record this browser has no room for is said to be in the page only, and goes all the same', async ({
  page,
}) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  const url = await newJob(page, 'bell-frame');
  await stage(page, 'log');
  await page.route('**/records?person=*', (route) => route.abort());
  await page.getByLabel('A note for the record').fill('Boulder under the north pad');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText('1 record is in this page only')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save as a file' })).toBeVisible();
  await page.unroute('**/records?person=*');
  await page.evaluate(`window.dispatchEvent(new Event('online'))`);
  await expect(page.getByText('1 record is in this page only')).toHaveCount(0);
  const { records } = (await (await page.request.get(`${url}/records`)).json()) as { records: unknown[] };
  expect(records).toHaveLength(1);
});

test('signed out with a plan of any size: it says so, and saves after signing in', async ({
  page,
  context,
}) => {
  const url = await newJob(page, 'honey-house');
  const size = (await (await page.request.get(`${url}/plan.json`)).body()).length;
  expect(size).toBeGreaterThan(16_000);
  const cookies = await context.cookies();
  await context.clearCookies({ name: 'cimiento_session' });
  await stage(page, 'ground');
  await type(page, 'ground.frost.local', '1.40 m');
  await expect(page.locator('[data-saving=signedOut]')).toContainText('Your edit is kept here.');
  await context.addCookies(cookies.filter((c) => c.name === 'cimiento_session'));
  await saved(page);
  expect(await frostOf(page, url)).toBeCloseTo(1.4, 6);
});
