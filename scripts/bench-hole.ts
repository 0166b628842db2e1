/** The hole on a phone whose server is gone: from asking for the page to the job's list, opened cold. */
import { chromium, type Page } from '@playwright/test';
import { ownServer } from '../web/e2e/own-server.ts';
import { CHROMIUM } from './chromium.ts';
import { row } from './rows.ts';

const RUNS = 8;
/** Longer than the page waits before it fetches what it may come to, ms. */
const SETTLED = 8000;

/** ms from the start of the page to the frame that shows the job. A text: a compiled one leans on a helper. */
const watch = `(() => {
  const look = () =>
    document.querySelector('[data-overview]')
      ? (window.shownAfter = performance.now())
      : requestAnimationFrame(look);
  requestAnimationFrame(look);
})()`;

async function opened(page: Page, at: string): Promise<number> {
  await page.addInitScript(watch);
  await page.goto(at);
  await page.locator('[data-overview]').waitFor();
  return (await page.evaluate('window.shownAfter')) as number;
}

/** Needs the tests' database, and the lead's session. */
export async function holeBench(): Promise<void> {
  const server = await ownServer();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      isMobile: true,
      hasTouch: true,
    });
    await context.addCookies([{ name: 'cimiento_session', value: process.env.SIGNED_IN!, url: server.url }]);
    const first = await context.newPage();
    const made = await first.request.post(`${server.url}/jobs`, {
      form: { intent: 'demo', demo: 'honey-house' },
      maxRedirects: 0,
    });
    const at = `${server.url}/hole?job=${made.headers().location!.split('/').pop()}`;
    await opened(first, at);
    await first.waitForTimeout(SETTLED);
    await first.close();
    await server.stop();
    const taken: number[] = [];
    for (let run = 0; run < RUNS; run++) {
      const page = await context.newPage();
      taken.push(await opened(page, at));
      await page.close();
    }
    row('the hole, cold and without a server (goal < 1 s)', taken);
  } finally {
    await browser.close();
    await server.stop();
  }
}
