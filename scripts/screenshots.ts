/**
 * Takes the pictures in docs/screenshots/ from the demo data of a running ./start.
 * Usage: npm run screenshots [-- NAME …]   (BASE_URL defaults to http://127.0.0.1:3000)
 */
import { execFileSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { DEMO_PERSON, SPANISH_PERSON } from '../web/db/demo-people.ts';
import { CHROMIUM } from './chromium.ts';
import { ROOT } from './postgres.ts';

const base = process.env.BASE_URL ?? 'http://127.0.0.1:3000';
const folder = process.env.SHOTS ?? join(ROOT, 'docs/screenshots');
const wanted = process.argv.slice(2);
mkdirSync(folder, { recursive: true });

interface Shot {
  readonly name: string;
  readonly prefs?: Record<string, string | null>;
  readonly phone?: boolean;
  readonly job?: string;
  readonly path?: string;
  readonly act?: (page: Page) => Promise<void>;
}

const stage = (key: string) => async (page: Page) => {
  await page.locator(`[data-stage=${key}]:visible`).click();
};

type Act = (page: Page) => Promise<void>;
const then =
  (...acts: readonly Act[]): Act =>
  async (page) => {
    for (const act of acts) await act(page);
  };
const drawing =
  (name: string): Act =>
  (page) =>
    page.locator(`[data-lower=${name}]`).click();
/** Brings a panel of the side to its top. As text: this file is typed for Node. */
const panel =
  (title: string): Act =>
  (page) =>
    page.evaluate(`(() => {
      const all = [...document.querySelectorAll('[data-side] h2')];
      all.find((h) => h.textContent.startsWith(${JSON.stringify(title)}))?.scrollIntoView();
    })()`);
/** What-ifs come from a worker. */
const settled: Act = (page) => page.waitForTimeout(1500);

/** Fills in what one would say on the phone. */
const firstMinute: Act = async (page) => {
  await page.waitForLoadState('networkidle');
  const form = page.locator('[data-first]');
  await form.getByLabel('Job name').fill('House of the two doors');
  await form.getByLabel('What is it').selectOption('ring');
  await form.getByLabel('How long', { exact: true }).fill('14.4');
  await form.getByLabel('How wide', { exact: true }).fill('8.4');
  await form.getByLabel('Frost goes down to').fill('0.95');
};

const SHOTS: readonly Shot[] = [
  {
    name: 'first-minute',
    path: '/jobs',
    act: firstMinute,
  },
  {
    name: 'pencil',
    path: '/jobs',
    act: async (page) => {
      await firstMinute(page);
      const form = page.locator('[data-first]');
      await form.getByRole('button', { name: 'Start the job' }).click();
      await page.locator('[data-desk=live]').waitFor();
      await stage('levels')(page);
      await page.locator('[data-pencil="/levels/cover"]').waitFor();
      await settled(page);
    },
  },
  { name: 'desk-es-andes', job: 'Pórtico de la capilla', prefs: { lang: 'es-PE', theme: 'night' } },
  { name: 'desk', job: 'Honey house' },
  { name: 'ground', job: 'Honey house', act: then(stage('ground'), drawing('pit'), settled) },
  {
    name: 'dig-order',
    job: 'Honey house',
    act: then(stage('dig'), drawing('order'), panel('Keep the sides up'), async (page) => {
      await page.locator('[data-verdict=ok]').waitFor({ timeout: 60_000 });
      await page.getByRole('slider', { name: 'Steps dug' }).fill('5');
      await page.locator('[data-way=shore]').waitFor();
    }),
  },
  { name: 'levels', job: 'Honey house', act: then(stage('levels'), settled) },
  {
    name: 'base-proof',
    job: 'Honey house',
    act: then(
      stage('base'),
      async (page) => {
        await page.locator('[data-name-of=P1]').click();
        await page.locator('[data-side] summary').filter({ hasText: 'Lifts of P1' }).click();
        await page.getByRole('button', { name: /lift 1 of 1/ }).click();
      },
      drawing('proof'),
      panel('Lifts of P1'),
      settled,
    ),
  },
  {
    name: 'pour',
    job: 'Cheese vault',
    act: then(
      stage('pour'),
      async (page) => page.locator('[data-stages-cut]').waitFor({ timeout: 60_000 }),
      settled,
    ),
  },
  {
    name: 'backfill',
    job: 'Honey house',
    act: then(
      stage('backfill'),
      async (page) => {
        await page.getByRole('slider', { name: 'How far it is filled' }).fill('7');
        await page.locator('[data-fill="7"]').waitFor({ timeout: 60_000 });
      },
      settled,
    ),
  },
  {
    name: 'night',
    job: 'Honey house',
    act: then(
      stage('water'),
      drawing('night'),
      async (page) => {
        await page.locator('[data-chart=night]').waitFor({ timeout: 60_000 });
        await page.getByRole('slider', { name: 'Hour of the night' }).fill('17');
        await page.locator('[data-mean=two]').waitFor({ timeout: 60_000 });
      },
      panel('The same night'),
      settled,
    ),
  },
  {
    name: 'flotation',
    job: 'Cheese vault',
    act: then(
      stage('water'),
      async (page) => page.locator('[data-float=covered]').waitFor({ timeout: 60_000 }),
      panel('Does Vault float'),
      settled,
    ),
  },
  {
    name: 'workings',
    job: 'Honey house',
    act: async (page) => {
      await page.locator('[data-figure=dig]').click();
      await page.getByRole('dialog').waitFor();
    },
  },
  {
    name: 'hole',
    job: 'Honey house',
    phone: true,
    prefs: { theme: 'sun' },
    act: async (page) => {
      // The demo's morning was another day.
      await page.goto(`${base}/hole?job=${page.url().split('/').pop()}&at=T2`);
      await page.locator('[data-hole-thing]').waitFor();
      const wanted = await page.locator('[data-wanted-reading]').innerText();
      const reading = Math.round(Number(/[\d.]+/.exec(wanted)?.[0]) * 1000) - 35;
      for (const figure of String(reading))
        await page.locator('[data-keypad]').getByRole('button', { name: figure, exact: true }).click();
      await page.locator('[data-log]').click();
      await page.locator('[data-dig-on]').waitFor();
    },
  },
  // Last: what is typed here is kept.
  {
    name: 'setout',
    job: 'Honey house',
    act: then(stage('setout'), async (page) => {
      for (const [name, read] of [
        ['A–B', '14.402'],
        ['C–D', '14.43'],
        ['C–A', '8.4'],
        ['D–B', '8.4'],
        ['A–D', '16.697'],
        ['B–C', '16.671'],
      ])
        await page.locator(`[data-check="${name}"]`).getByRole('textbox').fill(read!);
      await page.locator('[data-verdict]').waitFor();
    }),
  },
  {
    name: 'days',
    job: 'Honey house',
    act: async (page) => {
      await page.goto(`${page.url().replace(/[?#].*$/, '')}/days`);
      await page.locator('[data-live=true] [data-task="fill/T1"]').waitFor();
    },
  },
  {
    name: 'log',
    job: 'Honey house',
    act: then(stage('log'), async (page) => {
      for (const text of ['Pump on site by noon', 'Water at the north corner, a bucket a minute']) {
        await page.getByLabel('A note for the record').fill(text);
        await page.getByRole('button', { name: 'Log it' }).click();
      }
      await page.locator('[data-records] summary').filter({ hasText: 'noon' }).first().click();
      await page.getByRole('button', { name: /^Take back: .*noon/ }).click();
      await page.locator('[data-unsent]').waitFor({ state: 'detached' });
    }),
  },
];

async function openJob(page: Page, name: string): Promise<string> {
  await page.goto(`${base}/jobs`);
  // The page draws its own board once its script runs: a press before that may fall between the two.
  await page.waitForLoadState('networkidle');
  await page.getByRole('link', { name }).first().click();
  await page.locator('[data-figure=dig]').waitFor();
  return page.url();
}

/** @param lang of the picture: a crew that writes in it */
async function signedIn(context: BrowserContext, lang = 'en'): Promise<void> {
  const who = lang.startsWith('es') ? SPANISH_PERSON : DEMO_PERSON;
  const page = await context.newPage();
  await page.goto(`${base}/sign-in`);
  await page.locator('input[name=email]:not([type=hidden])').fill(who.email);
  await page.locator('input[name=password]:not([type=hidden])').fill(who.password);
  await page.locator('form:has(input[type=email]) button[type=submit]').click();
  await page.waitForURL('**/jobs');
  await page.close();
}

const browser = await chromium.launch(CHROMIUM);
for (const shot of SHOTS) {
  if (wanted.length > 0 && !wanted.includes(shot.name)) continue;
  const context = await browser.newContext({
    viewport: shot.phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    hasTouch: shot.phone ?? false,
  });
  if (shot.path !== '/sign-in') await signedIn(context, shot.prefs?.lang ?? undefined);
  const prefs = { lang: 'en', theme: 'light', system: null, ...shot.prefs };
  await context.addCookies([
    { name: 'cimiento_prefs', value: encodeURIComponent(JSON.stringify(prefs)), url: base },
  ]);
  const page = await context.newPage();
  page.on(
    'console',
    (message) => message.type() === 'error' && console.error(`${shot.name}: ${message.text()}`),
  );
  page.on('pageerror', (error) => console.error(`${shot.name}: ${error.message}`));
  if (shot.job) await openJob(page, shot.job);
  else await page.goto(base + shot.path);
  await shot.act?.(page);
  // As text: this file is typed for Node, where there is no document.
  await page.evaluate('document.fonts.ready');
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(folder, `${shot.name}.png`) });
  await context.close();
}
for (const sheet of ['dig-sheet', 'set-out-sheet']) {
  if (wanted.length > 0 && !wanted.includes(sheet)) continue;
  const context = await browser.newContext();
  await signedIn(context);
  const page = await context.newPage();
  const url = await openJob(page, sheet === 'dig-sheet' ? 'Chapel porch' : 'Honey house');
  const pdf = await context.request.get(`${url}/${sheet}.pdf`);
  const file = join(folder, `${sheet}.pdf`);
  writeFileSync(file, await pdf.body());
  // From Debian's poppler-utils.
  execFileSync('pdftoppm', ['-r', '90', '-png', '-singlefile', file, join(folder, sheet)]);
  execFileSync('rm', [file]);
}
await browser.close();
