import { type Locator, type Page, expect as plain } from '@playwright/test';
import type { Demo } from '../app/server/jobs.server.ts';
import { DEMO_PERSON } from '../db/demo-people.ts';

/**
 * The runner's own, but what is not there yet is waited for without a description of the whole page made
 * at every look, which costs the page more than most edits.
 */
export const expect = plain.extend({
  async toBeVisible(locator: Locator, options: { timeout?: number } = {}) {
    const timeout = options.timeout ?? this.timeout;
    const state = this.isNot ? 'hidden' : 'visible';
    const failed = await locator.waitFor({ state, timeout }).then(
      () => null,
      (error: unknown) => error,
    );
    const pass = (failed === null) !== this.isNot;
    return { pass, message: () => `${locator} is not ${state}\n${failed}` };
  },
});

export const base = () => process.env.BASE_URL ?? '';

interface Preferences {
  lang?: string;
  theme?: string;
  system?: string | null;
}

/** What is kept of preferences; none: as they are at first. */
const preferred = (preferences: Preferences): string =>
  encodeURIComponent(JSON.stringify({ lang: 'en', theme: 'light', system: null, ...preferences }));

export async function prefer(page: Page, preferences: Preferences): Promise<void> {
  await page.context().addCookies([{ name: 'cimiento_prefs', value: preferred(preferences), url: base() }]);
}

/** Nobody changed language, units or theme: they are read when a page is loaded. */
export async function asAtFirst(page: Page): Promise<boolean> {
  const cookies = await page.context().cookies();
  return cookies.some(({ name, value }) => name === 'cimiento_prefs' && value === preferred({}));
}

/** Signs in as the form would; the form itself is tested where people are. */
export async function signIn(
  page: Page,
  person: { email: string; password: string } = DEMO_PERSON,
): Promise<void> {
  const { SIGNED_IN } = process.env;
  if (person === DEMO_PERSON && SIGNED_IN) {
    await page
      .context()
      .addCookies([
        { name: 'cimiento_session', value: SIGNED_IN, url: base(), httpOnly: true, sameSite: 'Lax' },
      ]);
    return;
  }
  const response = await page.request.post(`${base()}/sign-in`, { form: { ...person }, maxRedirects: 0 });
  expect(response.status()).toBe(302);
}

/** As the browser's own “back” does: the page hears of it and goes there without being loaded. */
const goTo = (to: string) => {
  history.pushState(null, '', to);
  dispatchEvent(new PopStateEvent('popstate'));
};

/** A job made as the board would make it; the desk is open and ready when this returns. */
async function makeJob(page: Page, form: Record<string, string>): Promise<string> {
  const response = await page.request.post(`${base()}/jobs`, { form, maxRedirects: 0 });
  expect(response.status()).toBe(302);
  const to = response.headers().location!;
  const before = page.locator('[data-desk=live]');
  if ((await asAtFirst(page)) && (await before.count()) > 0) {
    // A tab that was kept goes on from the job it is at, as it does when one goes back several steps.
    await before.evaluate((desk) => desk.setAttribute('data-left', ''));
    await page.evaluate(goTo, to);
    await page.locator('[data-left]').waitFor({ state: 'detached' });
  } else await page.goto(base() + to);
  await ready(page);
  return page.url();
}

/** A job of its own for a test, from a demo. */
export const newJob = (page: Page, demo: Demo) => makeJob(page, { intent: 'demo', demo });

/** A blank metric job of its own. */
export const blankJob = (page: Page, name: string) =>
  makeJob(page, { intent: 'blank', name, place: '', system: 'metric' });

/** The desk answers only once its script runs, and is drawn to its true size a frame later. */
export async function ready(page: Page): Promise<void> {
  await page.locator('[data-desk=live]').waitFor({ timeout: 60_000 });
  await page.evaluate('new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))');
}

/** Goes to the board and comes back: what stands there then is what the server has. */
export async function comeBack(page: Page): Promise<void> {
  const { pathname } = new URL(page.url());
  await page.evaluate(goTo, '/jobs');
  await page.locator('[data-desk=live]').waitFor({ state: 'detached' });
  await page.evaluate(goTo, pathname);
  await ready(page);
}

/** The number shown for a headline figure. */
export async function figure(page: Page, id: string): Promise<number> {
  const text = await page.locator(`[data-figure=${id}] [data-value]`).innerText();
  return Number(text.split(/\s/)[0]!.replace(',', '.'));
}

export const stage = (page: Page, key: string) => page.locator(`[data-stage=${key}]:visible`).click();

/** A quantity field by its range key, in the side panel. */
export const field = (page: Page, range: string) =>
  page.locator(`[data-side] [data-quantity="${range}"]`).first();

export async function type(page: Page, range: string, text: string): Promise<void> {
  await field(page, range).fill(text);
}

export const saved = (page: Page) => expect(page.locator('[data-saving=saved]')).toBeVisible();
/** Saved, as so many revisions. */
export async function savedAs(page: Page, revision: number): Promise<void> {
  await saved(page);
  await expect(page.locator('[data-stage=log]:visible')).toContainText(`rev ${revision}`);
}

/** Opens a caution of the side panel, wherever it stands. */
export async function caution(page: Page, code: string) {
  const found = page.locator(`[data-side] [data-caution="${code}"]`).first();
  // What it lies under may be put anew while the desk settles, and is folded again: opened until it stays so.
  await expect(async () => {
    await found.evaluate((node) => {
      for (let up: Element | null = node; up; up = up.parentElement)
        if (up instanceof HTMLDetailsElement) up.open = true;
      node.querySelector('details')?.setAttribute('open', '');
    });
    await page.waitForTimeout(150);
    await expect(found).toBeVisible({ timeout: 500 });
  }).toPass({ timeout: 30_000 });
  return found;
}

/** Opens every record of the log that is shown. */
export const openRecords = (page: Page) =>
  page.locator('[data-records] details').evaluateAll((all) => {
    for (const one of all) one.setAttribute('open', '');
  });

export const flag = (page: Page, name: string) => page.locator(`[data-flag=${name}]`);

/** What is read once it no longer changes: what is still to come may move it. */
export async function atLast<T>(read: () => Promise<T>): Promise<T> {
  let [before, same] = [await read(), 0];
  await expect
    .poll(
      async () => {
        const now = await read();
        same = JSON.stringify(now) === JSON.stringify(before) ? same + 1 : 0;
        before = now;
        return same;
      },
      { intervals: [200] },
    )
    .toBeGreaterThan(4);
  return before;
}

/** Where a thing stands once its drawing no longer moves. */
export const atRest = async (thing: Locator) => (await atLast(() => thing.boundingBox()))!;

/** Turns to one of the drawings under the plan. */
export const lower = (page: Page, name: string) => page.locator(`[data-lower=${name}]`).click();

/** Hands a text to a file input as a file of that name. */
export const upload = (page: Page, input: string, name: string, text: string) =>
  page
    .locator(`[data-file=${input}]`)
    .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

/** Drags something by a number of pixels. */
export async function dragBy(page: Page, selector: string, dx: number, dy: number): Promise<void> {
  const box = (await page.locator(selector).first().boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 });
  await page.mouse.move(x + dx, y + dy, { steps: 6 });
  await page.mouse.up();
}

/** Opens a folded panel by its heading. */
export const unfold = (page: Page, title: string | RegExp) =>
  // A panel that is put anew while the desk settles is folded again: it is opened until it stays so.
  expect(async () => {
    const summary = page.locator('[data-side] summary').filter({ hasText: title }).first();
    const fold = summary.locator('xpath=..');
    if ((await fold.getAttribute('open')) === null) await summary.click();
    await page.waitForTimeout(150);
    await expect(fold).toHaveAttribute('open', '', { timeout: 500 });
  }).toPass({ timeout: 30_000 });
