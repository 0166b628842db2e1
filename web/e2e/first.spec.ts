/** The first minute: what one would say on the phone, typed by hand, and the whole plan on it; pencil to ink. */
import type { Page } from '@playwright/test';
import { base, expect, figure, prefer, ready, saved, signIn, stage } from './helpers.ts';
import { test } from './one-tab.ts';

/** Three keys a second, and two seconds for a choice or a press: what it takes by hand, whatever the machine. */
const KEY = 1 / 3;
const PRESS = 2;
const MINUTE = 60;
let byHand = 0;

test.beforeEach(async ({ page }) => {
  byHand = 0;
  await signIn(page);
  await prefer(page, {});
  await page.goto(`${base()}/jobs`);
});

/** Types into a field of the form as a person does. */
const say = async (page: Page, label: string, text: string) => {
  byHand += PRESS + KEY * text.length;
  await page.locator('[data-first]').getByLabel(label, { exact: true }).pressSequentially(text);
};
const choose = async (page: Page, label: string, value: string) => {
  byHand += PRESS;
  await page.locator('[data-first]').getByLabel(label).selectOption(value);
};
const start = async (page: Page) => {
  byHand += PRESS;
  await page.getByRole('button', { name: 'Start the job' }).click();
  await ready(page);
};

test('a house ring with a cross wall: figures and sheet within a minute of typing', {
  tag: '@journey',
}, async ({ page }) => {
  await expect(page.getByRole('button', { name: 'Start the job' })).toBeVisible();
  await say(page, 'Job name', 'Two doors');
  await choose(page, 'What is it', 'ring');
  await say(page, 'How long', '14.4');
  await say(page, 'How wide', '8.4');
  await say(page, 'Frost goes down to (0 where it never freezes)', '0.95');
  await choose(page, 'What is under it', 'softClay');
  await say(page, 'Water seen, below the ground', '1.2');
  await start(page);
  expect(await figure(page, 'dig')).toBeGreaterThan(50);
  const sheet = await page.request.get(`${page.url()}/dig-sheet.pdf`);
  expect(sheet.status()).toBe(200);
  expect(byHand).toBeLessThan(MINUTE);
  await expect(page.getByRole('heading', { name: '2 trenches' })).toBeVisible();
});

test('six pads in feet: datum at 100 feet, figures and sheet within a minute', async ({ page }) => {
  await expect(page.getByRole('button', { name: 'Start the job' })).toBeVisible();
  await say(page, 'Job name', 'Six posts');
  await choose(page, 'Drawn in', 'imperial');
  await choose(page, 'What is it', 'pads');
  await say(page, 'How long', '24');
  await say(page, 'How wide', '16');
  await say(page, 'Frost goes down to (0 where it never freezes)', "3' 2");
  await choose(page, 'What is under it', 'stiffClay');
  await start(page);
  expect(await figure(page, 'concrete')).toBeGreaterThan(0);
  expect((await page.request.get(`${page.url()}/dig-sheet.pdf`)).status()).toBe(200);
  expect(byHand).toBeLessThan(MINUTE);
  await expect(page.getByRole('heading', { name: '6 pads' })).toBeVisible();
  await expect(page.locator('[data-flag=ground], svg').getByText('100\'-0"').first()).toBeVisible();
});

test('what cannot be is said at its field, and nothing typed is lost', async ({ page }) => {
  const form = page.locator('[data-first]');
  await form.getByLabel('Job name').fill('Deep');
  await choose(page, 'What is it', 'ring');
  await form.getByLabel('How long').fill('long');
  await form.getByLabel(/^Frost goes down to/).fill('95');
  await form.getByRole('button', { name: 'Start the job' }).click();
  await expect(form.getByText(/not a number|long/).first()).toBeVisible();
  await expect(form.getByLabel(/^Frost goes down to/)).toHaveAttribute('aria-invalid', 'true');
  await expect(form.getByLabel('Job name')).toHaveValue('Deep');
  await expect(form.getByLabel('How long')).toHaveValue('long');
});

test('an assumption settled goes from pencil to ink on list, section and tally; undone; next says what to look at', async ({
  page,
}) => {
  const form = page.locator('[data-first]');
  await form.getByLabel('Job name').fill('Pencil');
  await choose(page, 'What is it', 'trench');
  await form.getByRole('button', { name: 'Start the job' }).click();
  await ready(page);
  // Nobody has said how deep frost goes: that comes first.
  const next = page.locator('[data-next]');
  await expect(next).toContainText('Ask how deep frost goes here');
  await next.click();
  await page.getByLabel('Local frost depth').fill('0.8 m');
  await page.getByLabel('Local frost depth').press('Enter');
  // Then who marks what is buried; that nothing is near is an answer too.
  await expect(next).toContainText('Have services located and marked');
  await next.click();
  await page.locator('[data-on-purpose="/ground/hazards"]').click();
  await expect(next).toContainText('Name who to call');
  await next.click();
  await page.getByLabel('Who to call, and the number').fill('Mara 555 0101');
  await expect(next).toContainText('Look for water');
  await stage(page, 'dig');
  const spoil = page.locator('[data-figure=spoil]');
  await expect(spoil).toHaveAttribute('data-pencil', 'true');
  await expect(page.getByText('stiff clay, assumed').first()).toBeVisible();
  const pit = page.locator('[data-plan] [data-log=log-1]');
  await expect(pit).toHaveAttribute('data-pencil', 'true');
  const count = page.locator('[data-unsaid]');
  const before = Number(await count.getAttribute('data-unsaid'));
  await spoil.click();
  await expect(page.locator('[data-bound=spoil]')).toContainText(/from .* to /, { timeout: 60_000 });
  await page.keyboard.press('Escape');
  await count.click();
  await page
    .locator('[data-assumed="/ground/logs/0"]')
    .getByRole('button', { name: 'Assumed. It is so' })
    .click();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(count).toHaveAttribute('data-unsaid', String(before - 1));
  await expect(spoil).not.toHaveAttribute('data-pencil', 'true');
  await expect(page.getByText('stiff clay, assumed')).toHaveCount(0);
  await expect(pit).not.toHaveAttribute('data-pencil', 'true');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(spoil).toHaveAttribute('data-pencil', 'true');
  await expect(pit).toHaveAttribute('data-pencil', 'true');
  // A field in pencil is settled where it stands.
  await stage(page, 'levels');
  const cover = page.locator('[data-pencil="/levels/cover"]');
  await cover.getByRole('button', { name: 'Assumed. It is so' }).click();
  await expect(cover).toHaveCount(0);
  await saved(page);
});
