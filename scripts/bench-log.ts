/** A job of ten thousand records and five hundred photos: how long its list and its photos take to be seen. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { ownServer } from '../web/e2e/own-server.ts';
import { CHROMIUM } from './chromium.ts';
import { ROOT } from './postgres.ts';
import { row } from './rows.ts';

const RECORDS = 10_000;
const PHOTOS = 500;
/** Sent at once. */
const A_PAGE = 200;
const RUNS = 6;

const record = (i: number, kind: 'note' | 'photo') => ({
  id: `${kind}-${i}`,
  kind,
  at: new Date(Date.UTC(2026, 3, 1, 6) + 60_000 * i).toISOString(),
  by: '',
  element: `P${1 + (i % 6)}`,
  placement: null,
  place: null,
  corrects: null,
  after: null,
  revision: null,
  value:
    kind === 'note'
      ? { text: `Bottom ${i} seen and swept` }
      : { text: `Bottom ${i}`, width: 1200, height: 900, size: 40_606 },
});

async function filled(page: Page, url: string): Promise<string> {
  const made = await page.request.post(`${url}/jobs`, {
    form: { intent: 'demo', demo: 'bell-frame' },
    maxRedirects: 0,
  });
  const job = made.headers().location!.split('/').pop()!;
  const picture = (name: string) => ({
    name: 'x.jpg',
    mimeType: 'image/jpeg',
    buffer: readFileSync(join(ROOT, `demo/photos/${name}.jpg`)),
  });
  const multipart = { photo: picture('demo-322'), thumb: picture('demo-322-small') };
  for (let i = 0; i < PHOTOS; i++) {
    const answer = await page.request.post(`${url}/jobs/${job}/photos/photo-${i}`, { multipart });
    if (!answer.ok()) throw new Error(`photo ${i}: ${answer.status()}`);
  }
  const all = [
    ...Array.from({ length: RECORDS - PHOTOS }, (_, i) => record(i, 'note')),
    ...Array.from({ length: PHOTOS }, (_, i) => record(i, 'photo')),
  ];
  for (let i = 0; i < all.length; i += A_PAGE) {
    const answer = await page.request.post(`${url}/jobs/${job}/records`, { data: all.slice(i, i + A_PAGE) });
    if (!answer.ok()) throw new Error(`records from ${i}: ${answer.status()}`);
  }
  return job;
}

/** Waits for the frame in which six photos are seen. A text: a compiled one leans on a helper. */
const seen = `new Promise((done) => {
  const look = () =>
    [...document.querySelectorAll('[data-thumb] img')].filter((one) => one.complete && one.naturalWidth > 0)
      .length >= 6
      ? done()
      : requestAnimationFrame(look);
  look();
})`;

/** ms from a press to the frame that shows so many records, told by the page itself. */
const shown = (page: Page, pressed: string, records: number): Promise<number> =>
  page.evaluate(`new Promise((done) => {
    const button = [...document.querySelectorAll('${pressed}')].find((one) => one.offsetParent !== null);
    const start = performance.now();
    const look = () =>
      document.querySelectorAll('[data-record]').length >= ${records}
        ? requestAnimationFrame(() => done(performance.now() - start))
        : requestAnimationFrame(look);
    button.click();
    look();
  })`);

/** Needs the tests' database, and the lead's session. */
export async function logBench(): Promise<void> {
  const server = await ownServer();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addCookies([{ name: 'cimiento_session', value: process.env.SIGNED_IN!, url: server.url }]);
    const page = await context.newPage();
    const job = await filled(page, server.url);
    const timed = async (work: () => Promise<unknown>): Promise<number> => {
      const start = performance.now();
      await work();
      return performance.now() - start;
    };
    const [read, list, older, photos]: [number[], number[], number[], number[]] = [[], [], [], []];
    for (let run = 0; run < RUNS; run++) {
      read.push(await timed(() => page.request.get(`${server.url}/jobs/${job}/records`)));
      await page.goto(`${server.url}/jobs/${job}`);
      await page.locator('[data-desk=live]').waitFor();
      await page.locator('[data-stage=ground]:visible').click();
      await page.waitForTimeout(3000);
      list.push(await shown(page, '[data-stage=log]', 3));
      older.push(await shown(page, '[data-records] + button', 200));
      await page.goto(`${server.url}/hole?job=${job}&do=day`);
      await page.locator('[data-log=photo]').waitFor();
      await page.waitForTimeout(2000);
      photos.push(
        await timed(async () => {
          await page.locator('[data-log=photo]').click();
          await page.locator('[data-thumb] img').nth(5).waitFor();
          await page.evaluate(seen);
        }),
      );
    }
    row('10 000 records read from the server', read);
    row('their list, from pressing Log (goal < 200 ms)', list);
    row('two hundred older ones', older);
    row('photos seen, of 500 (goal < 1 s)', photos);
  } finally {
    await browser.close();
    await server.stop();
  }
}
