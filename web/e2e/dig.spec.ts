import { expect, type Page, test } from '@playwright/test';
import {
  blankJob,
  dragBy,
  figure,
  lower,
  newJob,
  prefer,
  ready,
  saved,
  signIn,
  stage,
  unfold,
} from './helpers.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

const side = (page: Page) => page.locator('[data-side]');

for (const [lang, words] of [
  ['en', { again: 'must be moved again', caution: 'lies in the way' }],
  ['es', { again: 'se moverán otra vez', caution: 'estorba' }],
] as const)
  test(`a lay-down area dragged over later digs: what is moved twice is said; undone (${lang})`, async ({
    page,
  }) => {
    await prefer(page, { lang });
    await newJob(page, 'honey-house');
    await stage(page, 'dig');
    const east = page.locator('[data-area="East field"]');
    await expect(east.locator('[data-rehandled]')).toHaveCount(0);
    await dragBy(page, '[data-lay-down=east]', -110, 0);
    await expect(east.locator('[data-rehandled]')).toContainText(words.again);
    await expect(east.locator('[data-rehandled]')).toContainText(/P3/);
    await expect(side(page).getByText(words.caution).first()).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(east.locator('[data-rehandled]')).toHaveCount(0);
  });

test('the order is found, played, dragged, judged, kept, and suggested again', async ({ page }) => {
  await newJob(page, 'cheese-vault');
  await stage(page, 'dig');
  await lower(page, 'order');
  const rows = page.locator('[data-step]');
  await expect(page.locator('[data-verdict=ok]')).toContainText('Every order was weighed');
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toHaveAttribute('data-step', 'Vault');
  // Played a step at a time: after one step the ramp is still whole ground.
  await page.getByRole('slider', { name: 'Steps dug' }).fill('1');
  await expect(page.locator('[data-undug]')).toHaveCount(1);
  await expect(page.locator('[data-machine]')).toHaveCount(1);
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.locator('[data-player="2"]')).toBeVisible();
  await expect(page.locator('[data-undug]')).toHaveCount(0);
  // The ramp first: it leads into a pit that is not there. By keyboard, as by hand.
  await page.getByRole('button', { name: 'Move Ramp in the order' }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(300);
  await page.keyboard.press('ArrowLeft');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect(page.locator('[data-verdict=clash]')).toContainText('Ramp comes before Vault');
  await saved(page);
  await page.reload();
  await ready(page);
  await lower(page, 'order');
  await expect(page.locator('[data-verdict=clash]')).toContainText('Ramp comes before Vault');
  await page.getByRole('button', { name: 'Suggest an order' }).click();
  await expect(page.locator('[data-verdict=ok]')).toBeVisible();
});

test('slope, bench or shore: chosen from three, and undone', async ({ page }) => {
  await newJob(page, 'cheese-vault');
  await stage(page, 'dig');
  const before = await figure(page, 'dig');
  const shore = page.locator('[data-way=shore]');
  await expect(shore).toContainText('of face');
  await expect(page.locator('[data-way=slope]')).toContainText('as planned');
  await shore.getByRole('button', { name: 'Take this' }).click();
  await expect.poll(() => figure(page, 'dig')).toBeLessThan(before * 0.7);
  await expect(side(page).getByText('Held sides are someone’s design.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect.poll(() => figure(page, 'dig')).toBe(before);
  // Bench it, one metre high: the job’s bench is a field.
  await page.locator('[data-way=bench]').getByRole('button', { name: 'Take this' }).click();
  await expect.poll(() => figure(page, 'dig')).not.toBe(before);
});

test('a machine that does not reach, a narrow gate, and the hours of two', async ({ page }) => {
  await newJob(page, 'cheese-vault');
  await stage(page, 'dig');
  await unfold(page, 'Machine');
  await expect(page.locator('[data-machines] tr')).toHaveCount(2);
  await side(page).getByRole('button', { name: '+ 4 t' }).click();
  await expect(page.locator('[data-machines] tr')).toHaveCount(3);
  await expect(page.locator('[data-machines]')).toContainText('short of depth');
  await side(page).getByLabel('Digs with').selectOption({ label: '4 t' });
  await expect(side(page).getByText('does not reach the bottom').first()).toBeVisible();
  await side(page).getByLabel('Track: width', { exact: true }).fill('1.5');
  await expect(side(page).getByText('Track is too narrow for 4 t').first()).toBeVisible();
});

test('areas, ways, gates and the plot are drawn; own rules typed; loads have a chance', async ({ page }) => {
  await newJob(page, 'bell-frame');
  await stage(page, 'dig');
  await side(page).getByRole('button', { name: 'Add a lay-down area' }).click();
  await expect(page.locator('[data-area=L1]')).toBeVisible();
  await expect(page.locator('[data-lay-down]')).toHaveCount(1);
  await side(page).getByRole('button', { name: 'Draw the plot' }).click();
  const box = (await page.locator('[role=application]').boundingBox())!;
  for (const [x, y] of [
    [0.2, 0.2],
    [0.8, 0.2],
    [0.8, 0.8],
    [0.2, 0.8],
  ] as const)
    await page.mouse.click(box.x + box.width * x, box.y + box.height * y);
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(side(page).getByText('Plot of 4 corners')).toBeVisible();
  await expect(page.locator('[data-plot]')).toBeVisible();
  await side(page).getByLabel('Rules for sides').selectOption('own');
  await expect(side(page).getByLabel('Class C no steeper than')).toBeVisible();
  await side(page).getByLabel('People protected from').fill(`8'`);
  await expect(side(page).getByText('Nobody enters an unsupported face')).toHaveCount(0);
});

test('a blank job says what it wants: no order, no heaps, nothing dug', async ({ page }) => {
  await blankJob(page, 'Empty');
  await stage(page, 'dig');
  await lower(page, 'order');
  await expect(page.getByText('Nothing to dig yet.')).toBeVisible();
  await lower(page, 'piles');
  await expect(page.getByText('No lay-down area is drawn.')).toBeVisible();
});
