import { expect, type Page } from '@playwright/test';
import { DEMO_PERSON } from '../db/demo-people.ts';

export const base = () => process.env.BASE_URL ?? '';

export async function prefer(
  page: Page,
  preferences: { lang?: string; theme?: string; system?: string | null },
): Promise<void> {
  const value = encodeURIComponent(
    JSON.stringify({ lang: 'en', theme: 'light', system: null, ...preferences }),
  );
  await page.context().addCookies([{ name: 'cimiento_prefs', value, url: base() }]);
}

export async function signIn(
  page: Page,
  person: { email: string; password: string } = DEMO_PERSON,
): Promise<void> {
  await page.goto(`${base()}/sign-in`);
  await page.locator('input[type=email]').fill(person.email);
  await page.locator('input[type=password]').fill(person.password);
  await page.locator('form:has(input[type=email]) button[type=submit]').click();
  await page.waitForURL('**/jobs');
}

/** A job of its own for a test, made from a demo; the desk is open and ready when this returns. */
export async function newJob(page: Page, demo: 'honey-house' | 'bell-frame'): Promise<string> {
  await page.goto(`${base()}/jobs`);
  await page.locator('select[name=demo]').selectOption(demo);
  await page.locator('form:has(select[name=demo]) button[type=submit]').click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  await ready(page);
  return page.url();
}

/** The desk answers only once its script runs; the autosave state is set by then. */
export async function ready(page: Page): Promise<void> {
  await page.locator('[data-figure=dig]').waitFor();
  await page.waitForLoadState('networkidle');
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
export const flag = (page: Page, name: string) => page.locator(`[data-flag=${name}]`);
