import type { Page } from '@playwright/test';
import {
  atRest,
  dragBy,
  expect,
  field,
  figure,
  flag,
  lower,
  newJob,
  prefer,
  ready,
  saved,
  signIn,
  stage,
  unfold,
} from './helpers.ts';
import { test } from './one-tab.ts';

const side = (page: Page) => page.locator('[data-side]');

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

test('the barn’s strips are stepped, unstepped, undone and kept, in both languages', {
  tag: '@journey',
}, async ({ page }) => {
  await newJob(page, 'drying-barn');
  await stage(page, 'levels');
  await page.locator('[data-name-of=T2]').click();
  await lower(page, 'long');
  const drawing = page.locator('[data-long]');
  await expect(drawing).toHaveAttribute('data-long', '3');
  await expect(page.getByText(/T2 · \d steps?/)).toBeVisible();
  const stepped = await figure(page, 'dig');
  const box = side(page).getByLabel('Steps with the ground');
  await expect(box).toBeChecked();
  await box.uncheck();
  await expect(drawing).toHaveAttribute('data-long', '1');
  await expect.poll(() => figure(page, 'dig')).toBeGreaterThan(stepped);
  await page.keyboard.press('Control+z');
  await expect(drawing).toHaveAttribute('data-long', '3');
  await expect.poll(() => figure(page, 'dig')).toBe(stepped);
  // A higher step makes fewer of them.
  await field(page, 'levels.steps.height').fill('400');
  await expect(page.locator('[data-caution=stepHigh]')).toBeVisible();
  await expect(drawing).toHaveAttribute('data-long', '2');
  await saved(page);
  await prefer(page, { lang: 'es' });
  await page.reload();
  await ready(page);
  await stage(page, 'levels');
  await page.locator('[data-name-of=T2]').click();
  await lower(page, 'long');
  await expect(drawing).toHaveAttribute('data-long', '2');
  await expect(page.getByText(/T2 · \d escal/)).toBeVisible();
  await expect(side(page).getByLabel('Sigue el terreno en escalones')).toBeChecked();
});

test('the build-up is added to, dragged, reordered and typed beside the staff', { tag: '@journey' }, async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await stage(page, 'levels');
  const list = page.locator('[data-stack-layers]');
  const rows = () =>
    list
      .locator('[data-layer-row]')
      .evaluateAll((all) =>
        all.map((e) => (e as unknown as { dataset: { layerRow: string } }).dataset.layerRow),
      );
  await expect.poll(rows).toEqual(['slab', 'insulation', 'membrane', 'sand', 'hardcore']);
  await expect(flag(page, 'formation')).toBeVisible();
  await expect(page.getByText('973 mm left for the wall')).toBeVisible();

  await list.getByRole('button', { name: 'Move Insulation up' }).click();
  expect((await rows())[0]).toBe('insulation');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await rows())[0]).toBe('slab');

  // Dragged past its neighbours, a layer changes places.
  const hardcore = await atRest(page.locator('[data-layer-box=hardcore]'));
  const slab = await atRest(page.locator('[data-layer-box=slab]'));
  await dragBy(page, '[data-layer-box=slab]', 0, hardcore.y + hardcore.height - slab.y);
  await expect.poll(async () => (await rows()).at(-1)).toBe('slab');
  await page.keyboard.press('Control+z');

  // An edge dragged makes it thicker, to what the material comes in.
  const thickness = list.locator('[data-quantity="levels.floors.layers.thickness"]').first();
  await expect(thickness).toHaveValue('120');
  // Once the drawing has followed: the slab is on top again, and nothing moves.
  const top = async (layer: string) => (await page.locator(`[data-layer-box=${layer}]`).boundingBox())!.y;
  await expect.poll(async () => (await top('slab')) < (await top('hardcore'))).toBe(true);
  await page.locator('[data-layer-edge=slab]').hover();
  await dragBy(page, '[data-layer-edge=slab]', 0, 3);
  await expect.poll(async () => Number(await thickness.inputValue())).toBeGreaterThan(120);
  await thickness.fill('200');
  await expect(page.getByText('893 mm left for the wall')).toBeVisible();

  await list.getByLabel('Add a layer below').selectOption('block');
  await expect(page.locator('[data-decides]')).toContainText('Whole courses decide.');
  await expect(page.getByText(/\d courses of Block courses, even/)).toBeVisible();
  await saved(page);
});

test('rules are ranked with what each would cost, and going deeper', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'levels');
  await unfold(page, 'Rules, deepest first');
  const rules = page.locator('[data-rules]');
  await expect(rules.locator('[data-rule]')).toHaveCount(4);
  await expect(rules.locator('[data-rule=frost]')).toContainText('decides');
  await expect(rules.locator('[data-rule=bearing]')).toContainText(/dig −\d/);
  const deeper = side(page).locator('[data-rule=deeper]');
  await expect(deeper).toContainText(/dig \+\d/);
  const said = await deeper.innerText();
  await field(page, 'low').fill('400');
  await expect.poll(() => deeper.innerText()).not.toBe(said);
  await expect(deeper).toContainText(/dig \+\d/);
});

test('the engineer’s word overrides, is marked on staff and revision, and shows its change', async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await stage(page, 'levels');
  await side(page).getByRole('button', { name: 'Add an instruction' }).click();
  const word = side(page).locator('[data-word]');
  await word.getByLabel('Who').fill('Eng. R. Sol');
  await word.locator('[data-quantity="levels.instructions.level"]').fill('98.20');
  await word.getByLabel('Why').fill('Soft at formation');
  await expect(page.locator('[data-decides]')).toContainText('The engineer’s word decides.');
  await expect(flag(page, 'word')).toContainText('98.200');
  await expect(word.locator('[data-word-change]')).toContainText(/dig \+\d/);
  await expect(page.locator('[data-caution=instruction]')).toContainText('Eng. R. Sol');
  await saved(page);
  await stage(page, 'log');
  await expect(page.locator('[data-word-revision]').first()).toHaveText(/engineer’s word/);
  const pdf = await page.request.get(`${page.url()}/dig-sheet.pdf`);
  expect(pdf.status()).toBe(200);
});

test('a neighbour’s footing too near is named with what to do', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'ground');
  await side(page).getByRole('button', { name: 'Tool shed wall' }).click();
  await field(page, 'ground.hazards.level').fill('100.1');
  await expect(page.locator('[data-caution=influence]')).toHaveCount(0);
  for (const n of [1, 2]) await side(page).getByLabel(`${n}: north`).fill('9.6');
  await expect(page.locator('[data-caution=influence]')).toContainText('Below the line of Tool shed wall');
  await expect(side(page).locator('[data-clashes]')).toContainText('line of influence');
  await stage(page, 'levels');
  await unfold(page, 'Neighbour’s footing');
  await expect(
    side(page).getByText('ask the engineer about underpinning', { exact: false }).first(),
  ).toBeVisible();
  await lower(page, 'section');
  await expect(page.locator('[data-neighbour=neighbour]')).toBeVisible();
  await saved(page);
});

test('the shallow school is worked out beside, and asks for an engineer', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'levels');
  await unfold(page, 'Shallow instead');
  await side(page).getByLabel('Work it out beside').check();
  const found = side(page).locator('[data-shallow]');
  await expect(found).toContainText('Bed needed');
  await expect(page.locator('[data-caution=shallowSchool]')).toContainText('Hold');
  const bed = await found.innerText();
  await side(page).getByLabel('Insulation board under it').check();
  await expect.poll(() => found.innerText()).not.toBe(bed);
  await side(page).getByLabel('Drain to daylight').check();
  await field(page, 'levels.shallow.outfall.level').fill('98');
  await expect(found).toContainText('it drains');
  await field(page, 'levels.shallow.outfall.level').fill('101');
  await expect(found).toContainText('under the ground there');
  // Taken at its word it is a slab of the plan, held until an engineer has spoken.
  await side(page).getByRole('button', { name: 'Make it a slab of the plan' }).click();
  await expect(page.locator('[data-element=R1]')).toBeVisible();
  await expect(page.locator('[data-caution=slabEngineer]')).toContainText('R1');
  await expect(page.locator('[data-caution=shallowSchool]')).toHaveCount(0);
  await saved(page);
});

test('floors may be measured over one another; a circle is named', async ({ page }) => {
  await newJob(page, 'drying-barn');
  await stage(page, 'levels');
  await unfold(page, 'Floor build-up');
  const floor = (id: string) => side(page).locator(`[data-floor=${id}]`);
  await expect(floor('hall').locator('[data-quantity="levels.floors.level"]')).toHaveValue('1.000');
  await floor('press').getByLabel('Level from').selectOption({ label: 'over Hall' });
  await expect(page.locator('[data-problems]')).toContainText('is measured from itself');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-problems]')).toHaveCount(0);
  await floor('hall').getByLabel('Level from').selectOption({ label: 'the datum' });
  await expect(floor('hall').locator('[data-quantity="levels.floors.level"]')).toHaveValue('50.300');
});
