/** Beds: what each footing stands on, layer by layer. */
import type { Page } from '@playwright/test';
import {
  atLast,
  base,
  comeBack,
  dragBy,
  expect,
  field,
  figure,
  flag,
  newJob,
  prefer,
  saved,
  signIn,
  stage,
  unfold,
} from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

const formation = async (page: Page) => (await flag(page, 'formation').textContent()) ?? '';
const pick = (page: Page, id: string) => page.locator(`[data-name-of=${id}]`).click();

test('a pad is given a bed of its own: its formation, the tonnes and the sheet follow; undone, kept', {
  tag: '@journey',
}, async ({ page }) => {
  await newJob(page, 'honey-house');
  const side = page.locator('[data-side]');
  await stage(page, 'base');
  await pick(page, 'P2');
  await expect(side.getByText('Bed under P2')).toBeVisible();
  const before = { formation: await formation(page), stone: await figure(page, 'stone') };
  await side.getByRole('button', { name: 'Add a bed' }).click();
  await expect(side.getByText('under 1 element')).toBeVisible();
  // 120 mm of stone and lean concrete under the others, 150 mm of stone here.
  await expect.poll(() => formation(page)).not.toBe(before.formation);
  await expect.poll(() => figure(page, 'stone')).toBeGreaterThan(before.stone);

  // Sand on the stone, from the list; its thickness typed, then dragged.
  await side.getByLabel('Add a layer on top').selectOption('sand');
  await expect(page.locator('[data-layer-edge]')).toHaveCount(2);
  await side.locator('[data-bed-layer=layer-2] summary').click();
  const thickness = side.locator('[data-bed-layer=layer-2]').getByLabel('Thickness, compacted');
  await thickness.fill('120 mm');
  await thickness.press('Enter');
  await expect(side.getByText('270 mm')).toBeVisible();
  await dragBy(page, '[data-layer-edge=layer-1]', 0, 24);
  await expect(side.getByText('270 mm')).toHaveCount(0);
  await saved(page);
  // The last of the drag is worked out and drawn after it is kept.
  const dragged = await atLast(() => formation(page));

  // A layer thinner than its stone is refused at its field, and what was typed stays.
  await side.locator('[data-bed-layer=layer-1] summary').click();
  const stone = side.locator('[data-bed-layer=layer-1]').getByLabel('Thickness, compacted');
  await stone.fill('20 mm');
  await stone.press('Enter');
  await expect(side.getByText(/thinner than its largest stone/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => formation(page)).toBe(dragged);
  await saved(page);

  await comeBack(page);
  await stage(page, 'base');
  await pick(page, 'P2');
  await expect(side.getByText('Bed under P2')).toBeVisible();
  await expect.poll(() => formation(page)).toBe(dragged);

  const id = /jobs\/([\w-]+)/.exec(page.url())![1]!;
  const sheet = await page.request.get(`${base()}/jobs/${id}/takeoff.csv`);
  const rows = (await sheet.text()).split('\r\n').filter((row) => row.startsWith('bed,'));
  expect(rows.filter((row) => row.includes('B2'))).toHaveLength(8);
});

test('the first bed of a job goes under every footing; a trial beats the catalogue', async ({ page }) => {
  await newJob(page, 'bell-frame');
  const side = page.locator('[data-side]');
  await stage(page, 'base');
  await side.getByRole('button', { name: 'Add a bed' }).click();
  await expect.poll(() => figure(page, 'stone')).toBeGreaterThan(0);
  await side.locator('[data-bed-layer=layer-1] summary').click();
  const thickness = side.locator('[data-bed-layer=layer-1]').getByLabel('Thickness, compacted');
  await thickness.fill('2 ft');
  await thickness.press('Enter');
  await expect(side.getByText('as the compactor usually manages')).toBeVisible();
  await expect(side.getByText(/^4 × /)).toBeVisible();
  await side.getByLabel('A trial strip has shown more').check();
  await field(page, 'beds.layers.proven.lift').fill('1 ft');
  await field(page, 'beds.layers.proven.lift').press('Enter');
  await expect(side.getByText('as the trial has shown: Trial strip 1')).toBeVisible();
  await expect(side.getByText(/^2 × /)).toBeVisible();
  await unfold(page, 'Name, cloth, more');
  await side.getByLabel('Cloth under it').check();
  await expect(side.getByText('Cloth to buy')).toBeVisible();
  await saved(page);
});
