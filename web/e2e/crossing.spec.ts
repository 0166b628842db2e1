/** What lay in the way and what the log teaches: settled by the lead, in the figures, on the section and on paper. */
import type { Page } from '@playwright/test';
import { caution, expect, figure, newJob, prefer, saved, signIn, stage, unfold } from './helpers.ts';
import { test } from './slowly.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

const side = (page: Page) => page.locator('[data-side]');
const url = (page: Page) => page.url().split('?')[0]!;

test('a water main through a pad: nobody has said, then it goes in a sleeve, and the pour leaves it out', {
  tag: '@journey',
}, async ({ page }) => {
  await newJob(page, 'bell-frame');
  const before = await figure(page, 'concrete');
  await stage(page, 'ground');
  await side(page).getByLabel('Add a hazard…').selectOption('service');
  const crossing = side(page).locator('[data-crossing]');
  await expect(crossing).toContainText('level not known');
  await caution(page, 'crossing');
  await crossing.getByLabel('Where it lies in what is cast').selectOption('sleeve');
  // A sleeve that does not let it through is named, and what was typed stays.
  const opening = crossing.getByLabel('Sleeve or gap, across');
  await opening.fill(`2"`);
  await opening.press('Enter');
  await expect(crossing.getByText(/does not let/)).toBeVisible();
  await opening.fill(`12"`);
  await opening.press('Enter');
  await expect(crossing.getByText(/does not let/)).toHaveCount(0);
  // Its middle half way up the pad it runs through.
  const json = async () => (await page.request.get(`${url(page)}/takeoff.json`)).json();
  const { underside, top } = (await json()).elements[0];
  const level = crossing.getByLabel('Level of its middle');
  await level.fill(`${((underside + top) / 2).toFixed(4)} m`);
  await level.press('Enter');
  await expect(crossing.locator('[data-lies=through]')).toBeVisible();
  await expect(crossing).toContainText('left out');
  await crossing.getByLabel('Who said so').fill('Water office, Ms Iriarte');
  await expect(page.locator('[data-side] [data-caution=crossing]')).toHaveCount(0);
  await saved(page);
  // π/4 · 0.3048² · 1.2192 = 0.0890 m³ come off the pad and off the order’s neat volume.
  const after = await json();
  expect(after.crossings[0].leftOut).toBeCloseTo(0.08896, 4);
  expect(await figure(page, 'concrete')).toBeLessThan(before);
  await page.locator('[data-name-of=P1]').first().click();
  await expect(page.locator('[data-service]')).toHaveAttribute('data-how', 'sleeve');
  const sheet = await page.request.get(`${url(page)}/dig-sheet.pdf`);
  expect(sheet.headers()['content-type']).toBe('application/pdf');
});

test('three days of the log propose a pace; it counts once the lead takes it, is undone, and left again', async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await stage(page, 'log');
  await unfold(page, /What the log teaches/);
  const row = side(page).locator('[data-teaches^=output]').first();
  await expect(row).toHaveAttribute('data-taken', 'false');
  await row.getByRole('button', { name: /^Take / }).click();
  await expect(row).toHaveAttribute('data-taken', 'true');
  await saved(page);
  await stage(page, 'dig');
  await unfold(page, 'Machine');
  await expect(page.locator('[data-machines]')).toContainText('by your own log');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-machines]')).not.toContainText('by your own log');
  await page.getByRole('button', { name: 'Redo' }).click();
  await stage(page, 'log');
  await unfold(page, /What the log teaches/);
  await row.getByRole('button', { name: 'Leave it' }).click();
  await expect(row).toHaveAttribute('data-taken', 'false');
});
