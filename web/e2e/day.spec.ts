/** A day on site, logged on the phone in the hole, seen on the desk and on paper. */
import type { Page } from '@playwright/test';
import { DEMO_HAND } from '../db/demo-people.ts';
import { base, expect, newJob, prefer, signIn, stage, unfold } from './helpers.ts';
import { test } from './slowly.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

async function dayOf(page: Page): Promise<string> {
  await signIn(page);
  await prefer(page, {});
  const made = await page.request.post(`${base()}/jobs`, {
    form: { intent: 'demo', demo: 'bell-frame' },
    maxRedirects: 0,
  });
  const job = made.headers().location!.split('/').at(-1)!;
  await page.goto(`${base()}/hole?job=${job}`);
  await page.getByRole('button', { name: 'The day' }).click();
  await page.locator('[data-day]').waitFor();
  return job;
}

/** Opens a form, fills it in and logs it. */
async function log(page: Page, kind: string, typed: Record<string, string>): Promise<void> {
  await page.locator(`[data-log=${kind}]`).click();
  for (const [name, text] of Object.entries(typed)) {
    const field = page.locator(`[data-form=${kind}] [name=${name}]`);
    if ((await field.evaluate((one) => one.tagName)) === 'SELECT') await field.selectOption(text);
    else await field.fill(text);
  }
  await page.locator('[data-log-it]').click();
}

test('hours, a heap, a truck too early, a stop, a side fallen in: logged by thumb, on the desk and on paper', {
  tag: '@journey',
}, async ({ page }) => {
  const job = await dayOf(page);
  await log(page, 'worked', { who: 'Tobias', hours: '9' });
  await expect(page.locator('[data-logged]')).toContainText('Tobias');

  // What is wrong is said at its field, and what was typed stays.
  await log(page, 'worked', { who: 'Nerea', hours: '25' });
  await expect(page.getByRole('alert')).toContainText('Between');
  await expect(page.locator('[name=who]')).toHaveValue('Nerea');
  await page.locator('[name=hours]').fill('7.5');
  await page.locator('[data-log-it]').click();
  await expect(page.locator('[data-day]')).toContainText('2 people');

  // 8 × 4.4 m at the foot, 1.4 high, 37°: 23.5 m³, three of the job's 10 yd³ trucks… of 7.65 m³: 3.07, so four.
  await page.locator('[data-log=heap]').click();
  for (const [name, text] of Object.entries({ a: '8 m', b: '4.4 m', height: '1.4 m', angle: '37' }))
    await page.locator(`[name=${name}]`).fill(text);
  await expect(page.locator('[data-comes-to=heap]')).toContainText('30.7');
  await expect(page.locator('[data-comes-to=heap]')).toContainText('4 loads');
  await page.locator('[name=b]').fill('3 m');
  await page.locator('[data-log-it]').click();
  await expect(page.getByRole('alert')).toContainText('stands on');
  await page.locator('[name=b]').fill('4.4 m');
  await page.locator('[data-log-it]').click();

  await page.locator('[data-log=arrived]').click();
  for (const [name, text] of Object.entries({
    due: '14:00',
    arrivedAt: '11:00',
    bucketfuls: '8',
    bucket: '0.35 m3',
    room: '1.5 m3',
  }))
    await page.locator(`[name=${name}]`).fill(text);
  await expect(page.locator('[data-comes-to=arrived]')).toContainText('do not go on');
  await page.locator('[data-log-it]').click();
  await log(page, 'stopped', { cause: 'rock', hours: '6', price: '62', note: 'boulder under P4' });
  await log(page, 'fell', { length: '3 m', height: '1.5 m', back: '0.6 m' });
  await expect(page.locator('[data-logged]')).toHaveAttribute('data-logged', '6');

  // It reaches the server, and the sheet says it.
  await expect
    .poll(async () => {
      const records = await (await page.request.get(`${base()}/jobs/${job}/records`)).text();
      return ['worked', 'heap', 'arrived', 'stopped', 'fell'].filter((kind) => records.includes(`"${kind}"`));
    })
    .toHaveLength(5);
  const sheet = await page.request.get(`${base()}/jobs/${job}/day-sheet.pdf?zone=UTC`);
  expect(sheet.status()).toBe(200);
  expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('two people on two phones and a desk go through a day: each sees what the other logged, under its name', async ({
  page,
  browser,
}) => {
  const job = await dayOf(page);
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, locale: 'en-GB' })
  ).newPage();
  await signIn(phone, DEMO_HAND);
  await prefer(phone, {});
  await phone.goto(`${base()}/hole?job=${job}&do=day`);
  await phone.locator('[data-day]').waitFor();
  await log(page, 'weather', { rain: '6 mm', low: '2', high: '9' });
  await log(phone, 'worked', { who: 'Tomás Rey', hours: '8' });
  await log(phone, 'handover', {
    from: 'Tomás Rey',
    to: 'Iker Pons',
    done: 'P1 to P4 dug and seen',
    keepOff: 'the stone in P2',
  });
  // The lead's phone hears of it, and so does a desk.
  await expect(page.locator('[data-logged]')).toContainText('the stone in P2');
  await expect(phone.locator('[data-logged]')).toContainText('rain 1/4"');
  const desk = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  ).newPage();
  await signIn(desk);
  await prefer(desk, {});
  await desk.goto(`${base()}/jobs/${job}`);
  await desk.locator('[data-desk=live]').waitFor();
  await desk.locator('[data-stage=log]:visible').click();
  const records = desk.locator('[data-records]');
  await expect(records).toContainText('the stone in P2');
  await expect(records).toContainText('Tomás Rey');
  await log(page, 'stopped', { cause: 'hose', hours: '1.5' });
  await expect(records).toContainText('burst hose');
  await Promise.all([phone.context().close(), desk.context().close()]);
});

test('the log says what it teaches of the machine’s pace, and how few days stand behind it', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await signIn(page);
  await prefer(page, {});
  await newJob(page, 'honey-house');
  await stage(page, 'log');
  await unfold(page, 'What the log teaches');
  // 62 in 7.5 h and 41 in 8 h: 103/15.5.
  const machine = page.locator('[data-teaches^=output-machine-1]');
  await expect(machine).toContainText('6.6');
  await expect(machine).toContainText('2 days');
  await expect(machine).toContainText('few days yet');
});
