/**
 * The runner's own test, on a browser that can be made slow: with SLOW=4 every page of it, whoever opens it, has a
 * quarter of the processor. A slow page is the usual case: what a test has not waited for shows itself there
 * (`npm run steady`).
 */
import { type Browser, type BrowserContext, type Page, test as plain } from '@playwright/test';

const SLOW = Number(process.env.SLOW ?? 1);

async function slowed(page: Page): Promise<void> {
  // A page may be gone before it is slowed.
  const session = await page
    .context()
    .newCDPSession(page)
    .catch(() => null);
  await session?.send('Emulation.setCPUThrottlingRate', { rate: SLOW }).catch(() => null);
}

const watched = (context: BrowserContext): BrowserContext =>
  context.on('page', (page) => {
    void slowed(page);
  });

export const test = plain.extend<object, { browser: Browser }>({
  browser: [
    async ({ browser }, use) => {
      if (SLOW > 1) {
        const open = browser.newContext.bind(browser);
        browser.newContext = async (...options) => watched(await open(...options));
      }
      await use(browser);
    },
    { scope: 'worker' },
  ],
});
