/** A phone in the hole: without server and network it opens, computes, shoots, is signed on, and sends it all later. */
import AxeBuilder from '@axe-core/playwright';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { expect } from './helpers.ts';
import { before, type OwnServer, ownServer } from './own-server.ts';
import { test } from './slowly.ts';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } as const;

async function phone(browser: Browser, url: string): Promise<BrowserContext> {
  const context = await browser.newContext({ ...PHONE, serviceWorkers: 'allow', locale: 'en-GB' });
  await context.addCookies([
    { name: 'cimiento_session', value: process.env.SIGNED_IN!, url, httpOnly: true, sameSite: 'Lax' },
    {
      name: 'cimiento_prefs',
      value: encodeURIComponent(JSON.stringify({ lang: 'en', theme: 'sun', system: null })),
      url,
    },
  ]);
  return context;
}

async function jobOn(page: Page, url: string, demo: string): Promise<string> {
  const response = await page.request.post(`${url}/jobs`, {
    form: { intent: 'demo', demo },
    maxRedirects: 0,
  });
  const { location } = response.headers();
  if (!location) throw new Error(`no job: ${response.status()} ${(await response.text()).slice(0, 300)}`);
  return location.split('/').pop()!;
}

/** The browser keeps the program, and the job. */
async function kept(page: Page): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const registration = await navigator.serviceWorker.getRegistration();
          return registration?.active?.state ?? 'none';
        }),
      { timeout: 60_000 },
    )
    .toBe('activated');
}

/** Presses figures on the page's own keys. @returns presses it took, the last logging them */
async function press(page: Page, figures: string): Promise<number> {
  for (const figure of figures)
    await page.locator('[data-keypad]').getByRole('button', { name: figure, exact: true }).tap();
  await page.locator('[data-log]').tap();
  return figures.length + 1;
}

const overview = (page: Page) => page.locator('[data-overview]').waitFor({ timeout: 60_000 });

test('a reload without a server opens, shoots twelve points, refuses and releases, changes a depth; all goes once', {
  tag: '@journey',
}, async ({ browser }) => {
  test.setTimeout(240_000);
  const server: OwnServer = await ownServer();
  const context = await phone(browser, server.url);
  try {
    let page = await context.newPage();
    const job = await jobOn(page, server.url, 'bell-frame');
    const at = `${server.url}/hole?job=${job}`;
    await page.goto(at);
    await overview(page);
    await kept(page);
    await page.close();

    await server.stop();
    page = await context.newPage();
    await page.goto(at);
    await overview(page);
    // The first line is what is wanting before anybody goes in.
    await expect(page.locator('[data-stops] > *').first()).toHaveAttribute('data-morning', 'none');

    // Twelve shots, over as many things as it takes.
    let shots = 0;
    const things = await page
      .locator('[data-go]')
      .evaluateAll((all) => all.map((one) => one.getAttribute('data-go')!));
    let most = 0;
    for (const thing of things) {
      if (shots >= 12) break;
      await page.locator(`[data-go="${thing}"]`).tap();
      await page.locator('[data-hole-thing]').waitFor();
      while (shots < 12 && (await page.locator('[data-point="-1"]').count()) === 0) {
        const wanted = await page.locator('[data-wanted-reading]').innerText();
        const [feet = '0', inches = '0'] = /(\d+)'-([\d ]+)/.exec(wanted)?.slice(1) ?? [];
        // A foot’s mark between feet and inches; half an inch is a shovel’s slip.
        most = Math.max(most, await press(page, `${feet}'${inches.trim().split(' ')[0]}`));
        await expect(page.locator('[data-verdict-text]')).not.toBeEmpty();
        shots++;
      }
      await page.goBack();
      await overview(page);
    }
    expect(shots).toBe(12);
    // Feet and inches are four figures and a mark at the most, and the press that logs them.
    expect(most).toBeLessThanOrEqual(6);

    // The inspector came: refused, and released the second time, with a reason for what is still wanting.
    const [first] = things;
    await page.goto(`${at}&at=${first}&do=hold&hold=bottom`);
    await page.locator('[data-visit]').tap();
    await page.locator('input[name=who]').fill('R. Vado');
    await page.locator('[data-visit-form] button').filter({ hasText: 'Refuse' }).tap();
    await page.locator('[data-sign]').tap();
    await expect(page.locator('[data-visit-problem]')).toContainText('what is to be done');
    await page.locator('input[name=what]').fill('deeper at the east end');
    await page.locator('[data-sign]').tap();
    await expect(page.locator('[data-hold-view][data-state=refused]')).toContainText(
      'deeper at the east end',
    );
    await page.locator('[data-visit]').tap();
    await page.locator('input[name=who]').fill('R. Vado');
    await page.locator('[data-visit-form] button').filter({ hasText: 'Release' }).tap();
    await page.locator('[data-sign]').tap();
    await expect(page.locator('[data-visit-problem]')).toContainText('why it goes all the same');
    await page.locator('input[name=what]').fill('made up with stone');
    await page.locator('[data-sign]').tap();
    await expect(page.locator('[data-hold-view][data-state=overridden]')).toBeVisible();

    // A depth is changed by word.
    await page.goto(`${at}&at=${first}&do=depth`);
    const field = page.locator('input[name=underside]');
    await field.fill("95'");
    await page.locator('[data-put-depth]').tap();
    await page.locator('input[name=who]').fill('Eng. Sol');
    await page.locator('[data-put-depth]').tap();
    await page.locator('[data-hole-thing]').waitFor();
    await page.close();

    // Still nobody there: all of it is, once.
    page = await context.newPage();
    await page.goto(at);
    await overview(page);
    await expect(page.locator('[data-waiting]')).toHaveAttribute('data-waiting', '15');
    await page.goto(`${at}&at=${first}`);
    await expect(page.locator('[data-from-string]')).not.toBeEmpty();

    await server.start();
    await expect(page.locator('[data-waiting]')).toHaveAttribute('data-waiting', '0', { timeout: 90_000 });
    const answer = await page.request.get(`${server.url}/jobs/${job}/whole`);
    const { records, plan } = (await answer.json()) as {
      records: { id: string; kind: string; by: string }[];
      plan: { levels: { instructions: { who: string; level: number }[] } };
    };
    expect(records.filter(({ kind }) => kind === 'shot')).toHaveLength(12);
    expect(records.filter(({ kind }) => kind === 'visit')).toHaveLength(2);
    expect(new Set(records.map(({ id }) => id)).size).toBe(records.length);
    expect(plan.levels.instructions.filter(({ who }) => who === 'Eng. Sol')).toHaveLength(1);
  } finally {
    await context.close();
    await server.stop();
  }
});

test('a desk whose server is away opens out of what this browser keeps', async ({ browser }) => {
  test.setTimeout(240_000);
  const server = await ownServer();
  const context = await phone(browser, server.url);
  try {
    const page = await context.newPage();
    await page.setViewportSize({ width: 1280, height: 800 });
    const job = await jobOn(page, server.url, 'cheese-vault');
    await page.goto(`${server.url}/jobs/${job}`);
    await page.locator('[data-desk=live]').waitFor({ timeout: 60_000 });
    await kept(page);
    await server.stop();
    await page.goto(`${server.url}/jobs/${job}`);
    await page.locator('[data-desk=live]').waitFor({ timeout: 60_000 });
    await expect(page.locator('[data-figure=dig] [data-value]')).not.toBeEmpty();
    await page.goto(`${server.url}/jobs`);
    await page.locator(`[data-job="${job}"]`).waitFor({ timeout: 30_000 });
  } finally {
    await context.close();
    await server.stop();
  }
});

/** Lets the browser tell its service worker that there is signal again, as it does by itself in time. */
async function signalBack(context: BrowserContext, url: string): Promise<void> {
  // A page that runs nothing of the program.
  const page = await context.newPage();
  await page.goto(`${url}/favicon.svg`);
  const cdp = await context.newCDPSession(page);
  const found = new Promise<string>((done) =>
    cdp.on('ServiceWorker.workerRegistrationUpdated', ({ registrations }) => {
      const [one] = registrations;
      if (one) done(one.registrationId);
    }),
  );
  await cdp.send('ServiceWorker.enable');
  await cdp.send('ServiceWorker.dispatchSyncEvent', {
    origin: url,
    registrationId: await found,
    tag: 'outbox',
    lastChance: false,
  });
  await page.waitForTimeout(500);
}

test('an edit of the plan is sent with no page open, and no page takes it for somebody else’s', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const server = await ownServer();
  const context = await phone(browser, server.url);
  try {
    let page = await context.newPage();
    const job = await jobOn(page, server.url, 'cheese-vault');
    const at = `${server.url}/hole?job=${job}`;
    const underside = async () => {
      const answer = await context.request.get(`${server.url}/jobs/${job}/whole`);
      const { plan, revision } = (await answer.json()) as {
        plan: { note: string; levels: { instructions: { who: string }[] } };
        revision: number;
      };
      return { revision, who: plan.levels.instructions.filter(({ who }) => who === 'Eng. Sol').length };
    };
    await page.goto(at);
    await overview(page);
    await kept(page);
    const thing = await page.locator('[data-go]').first().getAttribute('data-go');
    const before = await underside();
    await server.stop();
    await page.goto(`${at}&at=${thing}&do=depth`);
    const field = page.locator('input[name=underside]');
    await field.fill(String(Number(await field.inputValue()) - 0.1));
    await page.locator('[data-put-depth]').tap();
    await page.locator('input[name=who]').fill('Eng. Sol');
    await page.locator('[data-put-depth]').tap();
    await page.locator('[data-hole-thing]').waitFor();
    await page.waitForTimeout(1500);
    await page.close();

    await server.start();
    await signalBack(context, server.url);
    await expect.poll(underside).toEqual({ revision: before.revision + 1, who: 1 });
    // Somebody else saves meanwhile: the page that comes takes what was sent for its own all the same.
    const desk = await context.request.get(`${server.url}/jobs/${job}/whole`);
    const { plan } = (await desk.json()) as { plan: object };
    const saved = await context.request.post(
      `${server.url}/jobs/${job}/revisions?base=${before.revision + 1}`,
      {
        data: { ...plan, note: 'saved from the office' },
      },
    );
    expect(saved.status()).toBe(200);
    page = await context.newPage();
    await page.goto(at);
    await overview(page);
    await page.waitForTimeout(2500);
    expect(
      await page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('unsaved'))),
    ).toEqual([]);
    expect(await underside()).toEqual({ revision: before.revision + 2, who: 1 });
  } finally {
    await context.close();
    await server.stop();
  }
});

test('a newer program comes while a record waits: it takes over when no page is open, sends the record once, and is taken when asked', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const front = await before(process.env.BASE_URL!);
  const context = await phone(browser, front.url);
  try {
    let page = await context.newPage();
    const job = await jobOn(page, front.url, 'cheese-vault');
    await page.goto(`${front.url}/hole?job=${job}`);
    await overview(page);
    await kept(page);
    front.answers = false;
    await page.locator('[data-go]').first().tap();
    await page.locator('[data-hole-thing]').waitFor();
    const wanted = Number(/[\d.]+/.exec(await page.locator('[data-wanted-reading]').innerText())![0]);
    await press(page, String(Math.round(wanted * 1000) + 4));
    const waiting = page.locator('[data-waiting]');
    await expect(waiting).toHaveAttribute('data-waiting', '1');

    // There is a newer one. The page that is open goes on with its own, and takes it when asked.
    front.newer = '\n// a newer one';
    const script = () =>
      page.evaluate(async () => {
        const { active, waiting: next } = (await navigator.serviceWorker.getRegistration())!;
        return { active: active?.state, next: next?.state ?? null };
      });
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update());
    await expect.poll(script, { timeout: 60_000 }).toEqual({ active: 'activated', next: 'installed' });
    await page.reload();
    await page.locator('[data-hole-thing]').waitFor();
    await expect(waiting).toHaveAttribute('data-waiting', '1');
    await expect(page.locator('[data-newer]')).toBeHidden();
    expect(await script()).toEqual({ active: 'activated', next: 'installed' });
    // The phone is put away: the next time it opens it is the newer one, which knows what waits.
    await page.close();
    page = await context.newPage();
    await page.goto(`${front.url}/hole?job=${job}`);
    await overview(page);
    await expect.poll(script, { timeout: 60_000 }).toEqual({ active: 'activated', next: null });
    const waits = page.locator('[data-waiting]');
    await expect(waits).toHaveAttribute('data-waiting', '1');

    front.answers = true;
    await expect(waits).toHaveAttribute('data-waiting', '0', { timeout: 90_000 });
    // With nothing waiting it is offered, and taken when asked.
    front.newer = '\n// a newer one still';
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update());
    await page.locator('[data-newer] button').tap();
    await expect
      .poll(() => script().catch(() => null), { timeout: 60_000 })
      .toEqual({ active: 'activated', next: null });
    await overview(page);
    const answer = await page.request.get(`${front.url}/jobs/${job}/whole`);
    const { records } = (await answer.json()) as { records: { kind: string }[] };
    expect(records.filter(({ kind }) => kind === 'shot')).toHaveLength(1);
  } finally {
    await context.close();
    await front.stop();
  }
});

test('two phones and the desk see one another’s shots, each once; a release by who may not is not taken', {
  tag: '@journey',
}, async ({ browser }) => {
  test.setTimeout(240_000);
  const url = process.env.BASE_URL!;
  const [one, two] = await Promise.all([0, 1].map(() => browser.newContext({ ...PHONE, locale: 'en-GB' })));
  const desk = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  for (const context of [one!, two!, desk])
    await context.addCookies([
      { name: 'cimiento_session', value: process.env.SIGNED_IN!, url, httpOnly: true, sameSite: 'Lax' },
    ]);
  try {
    const pages = await Promise.all([one!, two!, desk].map((context) => context.newPage()));
    const [first, second, third] = pages as [Page, Page, Page];
    const job = await jobOn(first, url, 'cheese-vault');
    await third.goto(`${url}/jobs/${job}`);
    await third.locator('[data-desk=live]').waitFor({ timeout: 60_000 });
    const concreteOf = () => third.locator('[data-figure=concrete] [data-value]').innerText();
    const before = await concreteOf();
    for (const page of [first, second]) {
      await page.goto(`${url}/hole?job=${job}`);
      await overview(page);
      await page.locator('[data-go]').first().tap();
      await page.locator('[data-hole-thing]').waitFor();
    }
    // Both shoot the first point at the same time: 90 mm low, whatever is wanted.
    const wanted = Number(/[\d.]+/.exec(await first.locator('[data-wanted-reading]').innerText())![0]);
    const low = String(Math.round(wanted * 1000) + 90);
    await Promise.all([press(first, low), press(second, low)]);
    await expect(first.locator('[data-verdict-text]')).toHaveText('90 low: make up');
    for (const page of [first, second])
      await expect(page.locator('[data-waiting]')).toHaveAttribute('data-waiting', '0', { timeout: 30_000 });
    await expect(first.locator('[data-sums]')).toContainText('low');
    // The desk orders more before anybody has told it.
    await expect.poll(concreteOf, { timeout: 30_000 }).not.toBe(before);
    const answer = await first.request.get(`${url}/jobs/${job}/whole`);
    const { records } = (await answer.json()) as { records: { kind: string }[] };
    expect(records.filter(({ kind }) => kind === 'shot')).toHaveLength(2);

    // The leak test is the engineer’s: the lead may not let it go.
    await first.goto(`${url}/hole?job=${job}&at=${await firstThing(first)}&do=hold&hold=leak`);
    await first.locator('[data-visit]').tap();
    await first.locator('input[name=who]').fill('X. Arce');
    await first.locator('select[name=role]').selectOption('lead');
    await first.locator('[data-visit-form] button').filter({ hasText: 'Release' }).tap();
    await first.locator('input[name=what]').fill('we are in a hurry');
    await first.locator('[data-sign]').tap();
    await expect(first.locator('[data-visit-problem]')).toContainText('Only the engineer');
  } finally {
    await Promise.all([one!.close(), two!.close(), desk.close()]);
  }
});

const firstThing = async (page: Page) => new URL(page.url()).searchParams.get('at');

test('every screen of the hole is read by a screen reader, in the sun, with a gloved thumb', async ({
  browser,
}) => {
  test.setTimeout(240_000);
  const url = process.env.BASE_URL!;
  const context = await phone(browser, url);
  try {
    const page = await context.newPage();
    const job = await jobOn(page, url, 'honey-house');
    const at = `${url}/hole?job=${job}`;
    const screens = [
      `${url}/hole`,
      at,
      `${at}&at=T1`,
      `${at}&do=holds`,
      `${at}&at=T1&do=hold&hold=bottom`,
      `${at}&do=morning`,
      `${at}&at=T2&do=change`,
      `${at}&do=levels`,
      `${at}&do=papers`,
      `${at}&at=T1&do=depth`,
    ];
    const faults: string[] = [];
    for (const screen of screens) {
      await page.goto(screen);
      await page.locator('main').waitFor({ timeout: 60_000 });
      if (screen !== `${url}/hole`)
        await page.locator('[data-hole] [data-status]').waitFor({ timeout: 60_000 });
      await page.waitForTimeout(700);
      const found = await new AxeBuilder({ page })
        .options({
          runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'] },
          rules: { 'color-contrast-enhanced': { enabled: true } },
        })
        .analyze();
      faults.push(
        ...found.violations.map(({ id, nodes }) => `${screen}: ${id} ${nodes[0]?.html.slice(0, 120)}`),
      );
      const small = await page
        .locator('main button:visible, main select:visible, main input:visible')
        .evaluateAll((all) =>
          all.flatMap((one) => {
            const { width, height } = one.getBoundingClientRect();
            return Math.min(width, height) < 44 && one.getAttribute('type') !== 'hidden'
              ? [one.outerHTML.slice(0, 100)]
              : [];
          }),
        );
      faults.push(...small.map((html) => `${screen}: small ${html}`));
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
      if (wide > 0) faults.push(`${screen}: ${wide} px too wide`);
    }
    expect(faults).toEqual([]);
  } finally {
    await context.close();
  }
});
