/** Pours: who is cast first, what stays behind, and the order that follows. */
import { type Page, test } from '@playwright/test';
import { expect, newJob, prefer, saved, signIn, stage, unfold } from './helpers.ts';

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
