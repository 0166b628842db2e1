import { type Page, chromium } from '@playwright/test';
import { CHROMIUM } from './chromium.ts';
const base = process.env.BASE_URL ?? 'http://127.0.0.1:3988';
const browser = await chromium.launch(CHROMIUM);
async function signed(opts: object) {
  const context = await browser.newContext(opts);
  const page = await context.newPage();
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  page.on('console', (m) => { if (m.type() === 'error') console.log('CONSOLE', m.text().slice(0, 300)); });
  await page.goto(`${base}/sign-in`);
  await page.getByRole('button', { name: 'Look around as the demo crew' }).click();
  await page.waitForURL('**/jobs');
  await page.waitForTimeout(800);
  return page;
}
async function open(page: Page, name: string) {
  await page.goto(`${base}/jobs`);
  await page.getByRole('link', { name }).first().click();
  await page.locator('[data-desk=live]').waitFor({ timeout: 60000 });
  await page.waitForTimeout(1500);
}
const page = await signed({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
const shot = (name: string) => page.screenshot({ path: `/tmp/keep/${name}.png` });
await open(page, 'Honey house');
await page.locator('[data-stage=backfill]:visible').click();
await page.waitForTimeout(2000);
await shot('bf-hh');
await page.locator('[data-lower=flow]').click();
await page.waitForTimeout(1200);
await shot('bf-flow');
await open(page, 'Cheese vault');
await page.locator('[data-stage=backfill]:visible').click();
await page.waitForTimeout(2000);
await page.locator('[data-player] input').fill('9');
await page.waitForTimeout(500);
await shot('bf-vault');
await browser.close();
