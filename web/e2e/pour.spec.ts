/** Pours: who is cast first, what stays behind, and the order that follows. */
import type { Page } from '@playwright/test';
import { expect, newJob, prefer, saved, signIn, stage, unfold } from './helpers.ts';
import { test } from './slowly.ts';

const side = (page: Page) => page.locator('[data-side]');

test('pours are cast in the order the lead sets; a pump’s line, hopper and forms are ordered with each', async ({
  page,
}) => {
  await signIn(page);
  await prefer(page, {});
  await newJob(page, 'honey-house');
  await stage(page, 'pour');
  const pours = side(page).locator('[data-pour]');
  const names = () => pours.evaluateAll((all) => all.map((one) => one.getAttribute('data-pour')));
  await expect.poll(async () => (await names()).length).toBeGreaterThan(1);
  const before = await names();
  await pours
    .nth(1)
    .getByRole('button', { name: /earlier$/ })
    .click();
  await expect.poll(names).toEqual([before[1], before[0], ...before.slice(2)]);
  await saved(page);
  const url = page.url().split('?')[0]!;
  const json = async () => (await page.request.get(`${url}/takeoff.json`)).json();
  const { pours: cast, concrete } = await json();
  expect(cast[0].id).toBe(before[1]);
  const neat = cast.reduce((sum: number, one: { neat: number }) => sum + one.neat, 0);
  expect(neat).toBeCloseTo(concrete.neat, 9);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual(before);

  await unfold(page, 'Stays behind, each pour');
  await side(page).getByLabel('Through a line').check();
  await side(page).getByLabel('Line, how long').fill('45');
  await side(page).getByLabel('Line, inside').fill('125');
  await side(page).getByLabel('Left in the hopper').fill('0.1');
  await page.keyboard.press('Enter');
  await saved(page);
  const more = await json();
  expect(more.pours[0].stays).toBeCloseTo(0.652, 3);
  expect(more.concrete.ordered).toBeGreaterThan(concrete.ordered);
  // How it is ordered is said, kept and printed.
  await pours.first().locator('summary').first().click();
  await pours
    .first()
    .getByLabel(/^Mix and class/)
    .fill('C25/30 S3');
  await saved(page);
  const sheet = await page.request.get(`${url}/order-sheet.pdf`);
  expect(sheet.headers()['content-type']).toBe('application/pdf');
  expect((await json()).pours).toHaveLength(before.length);

  // What cannot be is named at its field.
  const waste = side(page).getByLabel('Waste');
  await waste.fill('300 %');
  await waste.press('Enter');
  await expect(waste).toHaveAttribute('aria-invalid', 'true');
});

test('low shots raise the order, and it says why', async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
  await newJob(page, 'honey-house');
  await stage(page, 'pour');
  const footings = side(page).locator('[data-pour=footings]');
  await unfold(page, 'Lean concrete');
  await side(page).getByLabel('Make up a low bottom with').selectOption('stone');
  await expect(footings).not.toContainText('low bottoms');
  const neat = async () => {
    await saved(page);
    const { pours } = await (await page.request.get(`${page.url().split('?')[0]}/takeoff.json`)).json();
    return pours[0].neat as number;
  };
  const before = await neat();
  await side(page).getByLabel('Make up a low bottom with').selectOption('concrete');
  await expect(footings).toContainText('of it for low bottoms');
  await expect(footings).toContainText('by the shots');
  expect(await neat()).toBeGreaterThan(before);
});

test('a vault is cast in three, joined by the lead; its pump runs on until it is held down; steel is counted', {
  tag: '@journey',
}, async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
  await newJob(page, 'cheese-vault');
  await stage(page, 'pour');
  const pours = side(page).locator('[data-pour]');
  const orders = () =>
    pours.evaluateAll((all) => all.map((one) => /order ([\d.]+)/.exec(one.textContent ?? '')?.[1] ?? ''));
  await expect.poll(orders).toEqual(['7.5', '11.0', '6.0']);
  // Numbered on the plan, and stage by stage on the section.
  await expect(page.locator('[data-pour-layer] [data-pour-tag=B1]')).toContainText('1–3');
  await expect(page.locator('[data-stages-cut="3"] [data-pour-tag]')).toHaveCount(3);
  await pours
    .first()
    .getByRole('button', { name: /with the next$/ })
    .click();
  await expect.poll(orders).toEqual(['18.5', '6.0']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(orders).toEqual(['7.5', '11.0', '6.0']);
  await unfold(page, /^Steel, as drawn/);
  const base = side(page).locator('[data-steel=S1]');
  await expect(base).toContainText('40 bars of 7.10 m');
  await expect(base).toContainText('45 supports');
  await base.locator('summary').click();
  await base.getByLabel('Comes in lengths of').fill('6000');
  await expect(base).toContainText('1 lap each');
  await base.getByLabel(/^Lap/).fill('');
  await base.getByLabel(/^Lap/).press('Tab');
  await expect(base.getByRole('alert')).toContainText('give the lap the engineer drew');
  // How far it is built before the water may come back is said with the water.
  await stage(page, 'water');
  await expect(side(page).locator('[data-float=covered]')).toBeVisible();
});

test('a wall by the flood, in rises; laid it takes units; one under the flood is told of', async ({
  page,
}) => {
  await signIn(page);
  await prefer(page, {});
  await newJob(page, 'footbridge');
  const url = page.url().split('?')[0]!;
  const json = async () => (await page.request.get(`${url}/takeoff.json`)).json();
  const first = await json();
  // 98.4 and 2.4 over it.
  expect(first.elements[0].rising.top).toBeCloseTo(100.8, 9);
  await stage(page, 'dig');
  await side(page).getByText('Name, wall, level').click();
  await expect(side(page).locator('[data-rising=takes]')).toContainText('top 100.800 m');
  await side(page)
    .getByLabel(/^Cast at once/)
    .fill('400');
  await expect(side(page).locator('[data-rising=takes]')).toContainText('in 5 rises of');
  await side(page).getByLabel('Over that level').fill('0.1');
  await page.keyboard.press('Tab');
  await expect(
    side(page)
      .getByText(/would end at 98\.500/)
      .first(),
  ).toBeVisible();
  await side(page).getByLabel('Over that level').fill('2.4');
  await page.keyboard.press('Tab');
  await side(page).getByLabel('Made', { exact: true }).selectOption('laid');
  await expect(side(page).locator('[data-rising=takes]')).toContainText('with breakage');
  await saved(page);
  const laid = await json();
  expect(laid.concrete.neat).toBeLessThan(first.concrete.neat);
  const csv = await (await page.request.get(`${url}/takeoff.csv`)).text();
  expect(csv).toContain('cast,A2.rise.1,volume');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  test('what is looked to before a pour is ticked in the hole and read on the desk', async ({ page }) => {
    await signIn(page);
    await prefer(page, {});
    await newJob(page, 'footbridge');
    const id = page.url().split('?')[0]!.split('/').pop()!;
    const origin = new URL(page.url()).origin;
    await page.goto(`${origin}/hole?job=${id}`);
    await page
      .getByText(/^\d+ holds?$/)
      .first()
      .tap();
    const pour = page.locator('[data-pour=pads]');
    await pour.locator('summary').tap();
    await expect(pour).toHaveAttribute('data-free', 'false');
    await expect(pour.locator('[data-ready=seen]')).toHaveAttribute('data-state', 'no');
    await pour.locator('[data-ready=light]').tap();
    await pour.locator('[data-ready=access]').tap();
    await pour.locator('[data-log-ready]').tap();
    await expect(pour.locator('[data-log-ready]')).toBeHidden();
    await expect
      .poll(async () => {
        const { records } = await (await page.request.get(`${origin}/jobs/${id}/whole`)).json();
        return records
          .filter(({ kind }: { kind: string }) => kind === 'readied')
          .map(({ value }: { value: { done: string[] } }) => value.done.toSorted().join());
      })
      .toEqual(['access,light']);
  });
});
