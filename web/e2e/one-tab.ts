/**
 * One tab for many tests: it goes from job to job without loading everything anew, as a person's does in
 * the course of an evening.
 */
import type { BrowserContext, Page } from '@playwright/test';
import { asAtFirst } from './helpers.ts';
import { test as plain } from './slowly.ts';

/** What was typed last may still be on its way, ms. */
const SAVES_WITHIN = 3000;

/**
 * Makes a tab fit for the next test.
 * @returns whether it is: not with other tabs about, or with what would be sent in the next test
 */
async function tidy(context: BrowserContext): Promise<boolean> {
  const [page, ...others] = context.pages();
  if (!page || others.length > 0) return false;
  const saved = page.locator('[data-saving=saved]').waitFor({ timeout: SAVES_WITHIN });
  const all = await saved.then(
    () => true,
    () => false,
  );
  if (!all) return false;
  await context.unrouteAll({ behavior: 'ignoreErrors' });
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  page.removeAllListeners();
  // Another language or unit goes with the page that was loaded in it.
  if (!(await asAtFirst(page))) {
    await context.clearCookies({ name: 'cimiento_prefs' });
    await page.goto('about:blank');
  }
  return true;
}

export const test = plain.extend<
  { context: BrowserContext; page: Page },
  { tab: { kept: BrowserContext | null } }
>({
  tab: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner reads what is asked for off the pattern
    async ({}, use) => {
      const tab = { kept: null as BrowserContext | null };
      await use(tab);
      await tab.kept?.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ browser, tab }, use, info) => {
    const context = tab.kept ?? (await browser.newContext());
    tab.kept = null;
    await use(context);
    if (info.status === info.expectedStatus && (await tidy(context))) tab.kept = context;
    else await context.close();
  },
  page: async ({ context }, use) => use(context.pages()[0] ?? (await context.newPage())),
});
