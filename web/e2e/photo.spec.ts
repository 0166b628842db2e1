/** Photos from the phone: taken, made small there, logged with what they show; without signal too; seen on desk and paper. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { base, expect, newJob, prefer, signIn, stage } from './helpers.ts';
import { test } from './slowly.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

/** A picture as a phone takes one, of many colours: no small file. */
const large = (page: Page, width: number, height: number) =>
  page.evaluate(
    `(() => {
      const canvas = Object.assign(document.createElement('canvas'), { width: ${width}, height: ${height} });
      const pen = canvas.getContext('2d');
      let seed = 3;
      const next = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
      for (let i = 0; i < 30000; i++) {
        pen.fillStyle = 'hsl(' + 360 * next() + ' 60% 50%)';
        pen.fillRect(next() * ${width}, next() * ${height}, 40, 30);
      }
      return canvas.toDataURL('image/jpeg', 0.95).split(',')[1];
    })()`,
  ) as Promise<string>;

async function photosOf(page: Page): Promise<string> {
  await signIn(page);
  await prefer(page, {});
  const job = (await newJob(page, 'bell-frame')).split('/').at(-1)!;
  await page.goto(`${base()}/hole?job=${job}&at=P1&do=photo`);
  await page.locator('[data-take]').waitFor();
  return job;
}
const pick = (page: Page, name: string, buffer: Buffer) =>
  page.locator('[data-file=photo]').setInputFiles({ name, mimeType: 'image/jpeg', buffer });

test('a large photo is made small, said and logged; what is no photo is refused; it stands on desk and paper', {
  tag: '@journey',
}, async ({ page }) => {
  const job = await photosOf(page);
  await pick(page, 'notes.jpg', Buffer.from('this is no photo'));
  await expect(page.getByText('This is not a photo')).toBeVisible();
  const file = Buffer.from(await large(page, 3200, 2400), 'base64');
  expect(file.length).toBeGreaterThan(1_000_000);
  await pick(page, 'trench.jpg', file);
  const size = page.locator('[data-size]');
  await size.waitFor({ timeout: 60_000 });
  expect(Number(await size.getAttribute('data-size'))).toBeLessThanOrEqual(300_000);
  await page.locator('[name=text]').fill('Rock at the foot of P1');
  await page.locator('[data-log-it]').click();
  await expect(page.locator('[data-photos="1"]')).toContainText('P1 · Rock at the foot of P1');
  await expect(page.locator('[data-thumb] img')).toBeVisible();

  const sent = async () => (await (await page.request.get(`${base()}/jobs/${job}/records`)).json()).records;
  await expect.poll(async () => (await sent()).length).toBe(1);
  const records = await sent();
  expect(records).toMatchObject([
    { kind: 'photo', element: 'P1', value: { text: 'Rock at the foot of P1' } },
  ]);
  expect(records[0].place).not.toBeNull();
  const photo = await page.request.get(`${base()}/jobs/${job}/photos/${records[0].id}`);
  expect(photo.headers()['content-type']).toBe('image/jpeg');
  expect((await photo.body()).length).toBe(records[0].value.size);
  // Asked for again it is not sent again; of a stranger it is not there.
  const again = await page.request.get(`${base()}/jobs/${job}/photos/${records[0].id}`, {
    headers: { 'if-none-match': photo.headers().etag! },
  });
  expect(again.status()).toBe(304);
  for (const sheet of ['record.pdf', 'day-sheet.pdf']) {
    const pdf = (await (await page.request.get(`${base()}/jobs/${job}/${sheet}`)).body()).toString('latin1');
    expect(pdf, sheet).toContain('/DCTDecode');
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${base()}/jobs/${job}`);
  await stage(page, 'log');
  const line = page.locator('[data-record=photo]');
  await line.locator('summary').click();
  await expect(line.locator('[data-thumb] img')).toBeVisible();
});

test('without signal it waits on the phone, is seen there, and goes with its record once there is signal', async ({
  page,
}) => {
  const job = await photosOf(page);
  await page.route('**/photos/*?person=*', (route) => route.abort());
  await pick(page, 'small.jpg', readFileSync('demo/photos/demo-322.jpg'));
  await page.locator('[data-log-it]').click();
  await expect(page.locator('[data-photos="1"] [data-from=here] img')).toBeVisible();
  const logged = async () =>
    (
      (await (await page.request.get(`${base()}/jobs/${job}/records`)).json()) as {
        records: { id: string }[];
      }
    ).records;
  expect(await logged()).toEqual([]);
  await page.reload();
  await expect(page.locator('[data-photos="1"] [data-from=here] img')).toBeVisible();
  await page.unroute('**/photos/*?person=*');
  await page.evaluate(`window.dispatchEvent(new Event('online'))`);
  await expect.poll(async () => (await logged()).length, { timeout: 30_000 }).toBe(1);
  const [{ id } = { id: '' }] = await logged();
  expect((await page.request.get(`${base()}/jobs/${job}/photos/${id}?thumb`)).status()).toBe(200);
});

test('the server takes no photo that is none, too large or of twenty megabytes', async ({ page }) => {
  const job = await photosOf(page);
  const small = readFileSync('demo/photos/demo-322-small.jpg');
  const send = async (photo: Buffer) => {
    const part = (buffer: Buffer) => ({ name: 'x.jpg', mimeType: 'image/jpeg', buffer });
    const answer = await page.request.post(`${base()}/jobs/${job}/photos/p1`, {
      multipart: { photo: part(photo), thumb: part(small) },
    });
    const said = (await answer.json().catch(() => null)) as { problems?: { code: string }[] } | null;
    return [answer.status(), said?.problems?.[0]?.code ?? null];
  };
  expect(await send(Buffer.from('no photo'))).toEqual([422, 'notAPhoto']);
  expect(await send(Buffer.concat([small, Buffer.alloc(300_000)]))).toEqual([422, 'photoLarge']);
  expect((await send(Buffer.alloc(20_000_000, 1)))[0]).toBe(413);
  expect(await send(small)).toEqual([200, null]);
});
