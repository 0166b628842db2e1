/**
 * Takes the pictures in docs/screenshots/ from the demo data of a running ./start.
 * Usage: npm run screenshots [-- NAME …]   (BASE_URL defaults to http://127.0.0.1:3000)
 */
import { execFileSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { DEMO_PERSON } from '../web/db/demo-people.ts';
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

const SHOTS: readonly Shot[] = [
  { name: 'sign-in', path: '/sign-in' },
  { name: 'job-board', path: '/jobs' },
  { name: 'desk', job: 'Honey house' },
  { name: 'desk-ground-night', job: 'Honey house', prefs: { theme: 'night' }, act: stage('ground') },
  { name: 'desk-es-imperial-sun', job: 'Bell frame', prefs: { lang: 'es', theme: 'sun' } },
  { name: 'desk-setout', job: 'Honey house', act: stage('setout') },
  { name: 'desk-levels', job: 'Honey house', act: stage('levels') },
  { name: 'desk-base', job: 'Honey house', act: stage('base') },
  {
    name: 'workings',
    job: 'Honey house',
    act: async (page) => {
      await page.locator('[data-figure=dig]').click();
      await page.getByRole('dialog').waitFor();
    },
  },
  { name: 'desk-phone', job: 'Honey house', phone: true, prefs: { theme: 'sun' } },
];

async function openJob(page: Page, name: string): Promise<string> {
  await page.goto(`${base}/jobs`);
  await page.getByRole('link', { name }).first().click();
  await page.locator('[data-figure=dig]').waitFor();
  return page.url();
}

async function signedIn(context: BrowserContext): Promise<void> {
  const page = await context.newPage();
  await page.goto(`${base}/sign-in`);
  await page.locator('input[name=email]:not([type=hidden])').fill(DEMO_PERSON.email);
  await page.locator('input[name=password]:not([type=hidden])').fill(DEMO_PERSON.password);
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
  if (shot.path !== '/sign-in') await signedIn(context);
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
if (wanted.length === 0 || wanted.includes('dig-sheet')) {
  const context = await browser.newContext();
  await signedIn(context);
  const page = await context.newPage();
  const url = await openJob(page, 'Honey house');
  const pdf = await context.request.get(`${url}/dig-sheet.pdf`);
  const file = join(folder, 'dig-sheet.pdf');
  writeFileSync(file, await pdf.body());
  // From Debian's poppler-utils.
  execFileSync('pdftoppm', ['-r', '90', '-png', '-singlefile', file, join(folder, 'dig-sheet')]);
  execFileSync('rm', [file]);
}
await browser.close();
