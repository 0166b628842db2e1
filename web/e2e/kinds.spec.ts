/** Kinds of foundation: slabs on a drained bed, old walls in bays, drains, digging by hand, several strings. */
import type { Page } from '@playwright/test';
import {
  base,
  caution,
  comeBack,
  expect,
  field,
  figure,
  flag,
  newJob,
  prefer,
  saved,
  signIn,
  stage,
  type,
  unfold,
} from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

const pick = (page: Page, id: string) => page.locator(`[data-name-of=${id}]`).click();
const side = (page: Page) => page.locator('[data-side]');

test('a slab turned from a drained bed to below frost digs for frost, and back; undone, in feet and Spanish', async ({
  page,
}) => {
  await newJob(page, 'seed-store');
  await stage(page, 'dig');
  await pick(page, 'R1');
  const founding = side(page).getByLabel('It goes down');
  await expect(founding).toHaveValue('floor');
  const dug = await figure(page, 'dig');
  await expect(side(page).getByText('Its floor decides')).toBeVisible();
  await expect(page.locator('[data-caution=slabEngineer]')).toContainText('R1');
  await founding.selectOption('depth');
  await expect.poll(() => figure(page, 'dig')).toBeGreaterThan(dug * 1.2);
  await expect(side(page).getByText('Frost decides')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => figure(page, 'dig')).toBe(dug);

  // The apron's bed is too thin for the winter: what would do is taken in one press.
  await pick(page, 'R2');
  await caution(page, 'slabFrost');
  const stone = await figure(page, 'stone');
  await side(page).getByRole('button', { name: 'Take that bed' }).click();
  await expect(page.locator('[data-caution=slabFrost]')).toHaveCount(0);
  await expect.poll(() => figure(page, 'stone')).toBeGreaterThan(stone);
  await saved(page);
  await comeBack(page);
  await stage(page, 'base');
  await pick(page, 'R1');
  await expect(side(page).getByRole('heading', { name: 'Drained bed' })).toBeVisible();

  await prefer(page, { lang: 'es' });
  await page.reload();
  await stage(page, 'dig');
  await pick(page, 'R1');
  await expect(side(page).getByLabel('Baja')).toHaveValue('floor');
  await expect(side(page).getByText('Helada bajo la losa')).toBeVisible();
});

test('bays under an old wall are drawn, numbered, told by pass and printed', { tag: '@journey' }, async ({
  page,
}) => {
  await newJob(page, 'chapel-porch');
  await stage(page, 'dig');
  await pick(page, 'U1');
  await expect(page.locator('[data-bays-drawn="9"]')).toBeVisible();
  await expect(side(page).locator('[data-bays]')).toContainText('0.70');
  await field(page, 'elements.bay').fill('1.3 m');
  await field(page, 'elements.bay').press('Enter');
  await expect(page.locator('[data-bays-drawn="8"]')).toBeVisible();
  // A new underside over the old is named at its field, and what was typed stays.
  await type(page, 'elements.level', '49.4');
  await expect(
    side(page)
      .getByText(/must lie below the old wall/)
      .first(),
  ).toBeVisible();
  await expect(field(page, 'elements.level')).toHaveValue('49.4');
  await type(page, 'elements.level', '48.1');
  await saved(page);
  const id = /jobs\/([\w-]+)/.exec(page.url())![1]!;
  const sheet = await page.request.get(`${base()}/jobs/${id}/dig-sheet.pdf`);
  expect(sheet.headers()['content-type']).toContain('pdf');
  // Not known: it is an open trench, and that is a hold.
  await side(page).getByLabel('The old wall is known').uncheck();
  await expect(page.locator('[data-caution=underpinOpen]')).toBeVisible();
  await expect(page.locator('[data-bays-drawn]')).toHaveCount(0);
});

test('a trench dug by hand has its hours, and no turn of the machine', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'dig');
  await pick(page, 'T5');
  await side(page).getByLabel('Dug by hand: no machine gets there').check();
  await expect(side(page).getByText('One person digs it in')).toBeVisible();
  await expect(side(page).locator('[data-blocks]')).toContainText('T1');
  // What they log moves nothing by itself: the lead takes it.
  await expect(side(page).getByText(/at 0\.60?\sm³ an hour, typical/)).toBeVisible();
  for (let day = 0; day < 3; day++) {
    await side(page).getByRole('button', { name: 'Log what was dug by hand' }).click();
    const form = side(page).locator('[data-new-day]');
    await form.getByLabel('Dug, loose').fill('6');
    await form.getByLabel('In', { exact: true }).fill('5');
    await form.getByRole('button', { name: 'Log it' }).click();
  }
  await expect(side(page).getByText(/at 0\.60?\sm³ an hour, typical/)).toBeVisible();
  await stage(page, 'log');
  await unfold(page, /What the log teaches/);
  await page
    .locator('[data-teaches=byHand]')
    .getByRole('button', { name: /^Take / })
    .click();
  await stage(page, 'dig');
  await expect(side(page).getByText(/at 1\.20?\sm³ an hour, measured/)).toBeVisible();
  await page.locator('[data-lower=order]').click();
  await expect(page.locator('[data-step=T5]')).toHaveCount(0);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(side(page).getByText(/at 0\.60?\sm³ an hour, typical/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(side(page).getByText('One person digs it in')).toHaveCount(0);
});

test('boards against frost lie where one says, and paving falls', async ({ page }) => {
  await newJob(page, 'seed-store');
  await stage(page, 'dig');
  await pick(page, 'R1');
  const dig = await figure(page, 'dig');
  await expect(page.locator('[data-caution=slabSide]')).toHaveCount(0);
  await side(page).getByLabel('Boards against frost').selectOption('edge');
  // Frost comes in from the side again, and less is dug.
  await expect(side(page).getByText(/boards .* out past the edge would do/)).toBeVisible();
  await expect.poll(() => figure(page, 'dig')).toBeLessThan(dig);
  await type(page, 'elements.boards.width', `30'`);
  await expect(side(page).getByText(/16'-4/).first()).toBeVisible();
  await type(page, 'elements.boards.width', `2'`);
  await stage(page, 'base');
  await unfold(page, 'Floor of Store floor');
  await expect(side(page).getByText(/Board under the edge/)).toBeVisible();
  await stage(page, 'dig');
  await pick(page, 'R2');
  await expect(side(page).getByText('High and low edge')).toBeVisible();
  await type(page, 'elements.crossfall.toward', '0');
  await saved(page);
  await comeBack(page);
  await stage(page, 'dig');
  await pick(page, 'R1');
  await expect(side(page).getByLabel('Boards against frost')).toHaveValue('edge');
});

test('a stone footing stands beside the concrete strip it could be', async ({ page }) => {
  await newJob(page, 'chapel-porch');
  await stage(page, 'dig');
  await pick(page, 'G1');
  const line = side(page).locator('[data-in-concrete]');
  await expect(line).toContainText(/stone −.*\st · concrete −/);
});

test('a drain goes by its outfall; what is in the way leaves in its own load', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'dig');
  await pick(page, 'T5');
  await side(page).getByLabel('Carries').selectOption('drain');
  await side(page).getByLabel('It has an outfall, which decides its level').check();
  await type(page, 'elements.outfall.level', '99');
  await expect(side(page).getByText('The outfall decides.')).toBeVisible();
  await type(page, 'elements.outfall.head', '98.9');
  await expect(
    side(page)
      .getByText(/Water does not climb/)
      .first(),
  ).toBeVisible();
  await type(page, 'elements.outfall.head', '99.1');
  await expect(side(page).getByText(/Water does not climb/)).toHaveCount(0);

  const loads = await figure(page, 'haul');
  await stage(page, 'ground');
  await unfold(page, 'In the way');
  await side(page).getByRole('button', { name: 'Add something in the way' }).click();
  await side(page).getByLabel('What it is').selectOption('slab');
  await type(page, 'ground.obstructions.volume', '3.1');
  await expect.poll(() => figure(page, 'haul')).toBeGreaterThan(loads);
  await saved(page);
});

test('a floor hangs on a string of its own: depths follow it; pours are moved', async ({ page }) => {
  await newJob(page, 'chapel-porch');
  await stage(page, 'levels');
  await pick(page, 'P1');
  await expect(flag(page, 'string')).toContainText('50.050');
  await unfold(page, 'Strings');
  await type(page, 'levels.strings.level', '50.15');
  await expect(flag(page, 'string')).toContainText('50.150');
  await stage(page, 'pour');
  await expect(side(page).locator('[data-pour]')).toHaveCount(6);
  await side(page).getByLabel('Cast P1 with').selectOption('new');
  await expect(side(page).locator('[data-pour]')).toHaveCount(7);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(side(page).locator('[data-pour]')).toHaveCount(6);
  await saved(page);
});
