/**
 * One tab for many tests: it goes from job to job without loading everything anew, as a person's does in
 * the course of an evening. Who changes what the tab is (language, size, signal) leaves it to nobody.
 */
import { type BrowserContext, type Page, test as plain } from '@playwright/test';
import { asAtFirst } from './helpers.ts';

interface Tab {
  context: BrowserContext;
  page: Page;
}

/** What was typed last may still be on its way, ms. */
const SAVES_WITHIN = 3000;

const tidy = async ({ context, page }: Tab): Promise<boolean> => {
  if (page.isClosed() || context.pages().length > 1 || !(await asAtFirst(page))) return false;
  // What could not be sent would be sent in the next test.
  return page
    .locator('[data-saving=saved]')
    .waitFor({ timeout: SAVES_WITHIN })
    .then(
      () => true,
      () => false,
    );
};

export const test = plain.extend<object, { tab: { kept: Tab | null } }>({
  tab: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner reads what is asked for off the pattern
    async ({}, use) => {
      const tab = { kept: null as Tab | null };
      await use(tab);
      await tab.kept?.context.close();
    },
    { scope: 'worker' },
  ],
  page: async ({ browser, tab }, use, info) => {
    const context = tab.kept?.context ?? (await browser.newContext());
    const page = tab.kept?.page ?? (await context.newPage());
    tab.kept = null;
    await use(page);
    const mine = { context, page };
    if (info.status === info.expectedStatus && (await tidy(mine))) {
      await page.unrouteAll({ behavior: 'ignoreErrors' });
      page.removeAllListeners();
      tab.kept = mine;
    } else await context.close();
  },
});
