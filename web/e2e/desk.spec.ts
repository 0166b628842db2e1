import type { Page } from '@playwright/test';
import {
  atLast,
  atRest,
  comeBack,
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
  type,
  unfold,
} from './helpers.ts';
import { test } from './one-tab.ts';

const FIGURES = ['dig', 'spoil', 'keep', 'haul', 'stone', 'lean', 'concrete', 'water'] as const;
const all = async (page: Page) =>
  Object.fromEntries(
    await Promise.all(FIGURES.map(async (id) => [id, await figure(page, id)] as const)),
  ) as Record<(typeof FIGURES)[number], number>;

/** Opens Honey house, deepens the frost, sees everything follow, undoes, redoes, reloads. */
async function deepen(page: Page, texts: { frost: string; was: string; formation: [RegExp, RegExp] }) {
  await newJob(page, 'honey-house');
  const before = await all(page);
  await expect(flag(page, 'formation')).toContainText(texts.formation[0]);
  const flagBefore = await flag(page, 'formation').boundingBox();
  await stage(page, 'ground');
  await expect(field(page, 'ground.frost.local')).toHaveValue(texts.was);
  await type(page, 'ground.frost.local', texts.frost);
  await expect(flag(page, 'formation')).toContainText(texts.formation[1]);
  const after = await all(page);
  for (const id of ['dig', 'spoil', 'keep', 'water'] as const)
    expect(after[id], id).toBeGreaterThan(before[id]);
  expect(after.concrete).toBe(before.concrete);
  expect((await flag(page, 'formation').boundingBox())!.y).not.toBe(flagBefore!.y);
  await expect(page.locator('[data-caution=water]')).toContainText(/869|2'-10/);
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(flag(page, 'formation')).toContainText(texts.formation[0]);
  expect(await all(page)).toEqual(before);
  await page.keyboard.press('Control+Shift+z');
  await expect(flag(page, 'formation')).toContainText(texts.formation[1]);
  await saved(page);
  await comeBack(page);
  expect(await all(page)).toEqual(after);
}

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

test('frost 1.30 m: formation, dig, spoil, water and cautions change at once; undo; kept', {
  tag: '@journey',
}, async ({ page }) => {
  await deepen(page, { frost: '1.30 m', was: '0.95', formation: [/98\.302/, /97\.952/] });
});

test('the same in Spanish, with a decimal comma', async ({ page }) => {
  await prefer(page, { lang: 'es' });
  await deepen(page, { frost: '1,30', was: '0,95', formation: [/98,302/, /97,952/] });
  await expect(page.getByText('Decide la helada.')).toBeVisible();
});

test('the same in feet and inches', async ({ page }) => {
  await prefer(page, { system: 'imperial' });
  await deepen(page, { frost: `4' 3 1/8"`, was: `3'-1 1/2"`, formation: [/322'-6 1\/4"/, /321'-4 1\/2"/] });
});

test('every figure opens to how it was worked out', async ({ page }) => {
  await newJob(page, 'honey-house');
  for (const id of FIGURES) {
    await page.locator(`[data-figure=${id}]`).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('listitem').first()).toBeVisible();
    await expect(dialog).not.toContainText(/work\.|input\.|NaN/);
    await dialog.getByRole('button', { name: 'Close' }).click();
    await expect(dialog).toHaveCount(0);
  }
  await page.locator('[data-figure=spoil]').click();
  await expect(page.getByRole('dialog')).toContainText('US Army FM 5-434, Table 1-1');
});

test('a wrong entry says why at the field and keeps what was typed; the plan keeps its last good value', {
  tag: '@journey',
}, async ({ page }) => {
  await newJob(page, 'honey-house');
  const before = await figure(page, 'dig');
  const width = field(page, 'elements.width');
  for (const [text, words] of [
    ['abc', 'is not a number'],
    ['-600', 'Between'],
    ['99 m', 'Between'],
    ['6 kg', 'unit'],
    ['1e309', 'too large'],
    ['', 'needed'],
    ['9'.repeat(90), 'too long'],
  ] as const) {
    await width.fill(text);
    await expect(width).toHaveAttribute('aria-invalid', 'true');
    await expect(page.locator('[data-side] [role=status]').filter({ hasText: words })).toBeVisible();
    await page.keyboard.press('Tab');
    await expect(width).toHaveValue(text);
    expect(await figure(page, 'dig')).toBe(before);
  }
  await width.fill(`2' 6"`);
  await expect(page.getByText('= 762')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(width).toHaveValue('762');
  expect(await figure(page, 'dig')).toBeGreaterThan(before);
});

test('contradictions are named where they belong', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'levels');
  await type(page, 'levels.string', '98.0');
  await expect(page.locator('[data-problems]')).toContainText('Are the levels swapped?');
  await type(page, 'levels.string', '100.5');
  await expect(page.locator('[data-problems]')).toHaveCount(0);
  await stage(page, 'ground');
  await lower(page, 'pit');
  await page.locator('[data-pit-layers] [data-quantity="ground.logs.layers.top"]').last().fill('0.1');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-problems]')).toContainText('not below the one above it');
  await expect(page.locator('[data-saving=refused]')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-problems]')).toHaveCount(0);
  expect(await figure(page, 'dig')).toBeGreaterThan(100);
});

test('trenches by typed runs, pads by centre and size, kept', async ({ page }) => {
  await newJob(page, 'bell-frame');
  await prefer(page, { system: 'metric' });
  await page.reload();
  await ready(page);
  await stage(page, 'setout');
  await expect(page.getByRole('heading', { name: '6 pads' })).toBeVisible();
  const runs = page.getByLabel('Runs along the centre line');
  await runs.fill('8.4 Q');
  await page.getByRole('button', { name: 'Add', exact: true }).first().click();
  await expect(page.getByText('The direction in “8.4 Q” is not clear')).toBeVisible();
  await expect(runs).toHaveValue('8.4 Q');
  await runs.fill('8.4 E, 6 N, 8.4 W, close');
  await page.getByRole('button', { name: 'Add', exact: true }).first().click();
  await expect(page.getByRole('heading', { name: '1 trench, 6 pads' })).toBeVisible();
  await expect(page.locator('[data-side]').getByText('28.80 m').first()).toBeVisible();
  await page.getByPlaceholder('1000 x 1000').fill('1200 x 0.9 m');
  await page.getByRole('button', { name: 'Add', exact: true }).last().click();
  await expect(page.getByRole('heading', { name: '1 trench, 7 pads' })).toBeVisible();
  await saved(page);
  await comeBack(page);
  await expect(page.getByRole('heading', { name: '1 trench, 7 pads' })).toBeVisible();
});

test('dragging on the plan moves a pad, snaps, and is one undo; Delete removes', { tag: '@journey' }, async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  const pad = page.locator('[data-element=W1]');
  const before = await figure(page, 'dig');
  const from = (await pad.locator('path').first().boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y + 5, { steps: 4 });
  await page.mouse.move(from.x + from.width / 2, from.y - 60, { steps: 6 });
  await page.mouse.up();
  // Nearer the walls their slopes merge: less to dig.
  await expect.poll(() => figure(page, 'dig')).toBeLessThan(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => figure(page, 'dig')).toBe(before);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await pad.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Delete');
  await expect(page.getByRole('heading', { name: '8 trenches, 4 pads, 2 slabs' })).toBeVisible();
});

test('flags on the staff follow the pointer, and each key counts', async ({ page }) => {
  await newJob(page, 'honey-house');
  const at = async (name: string) => Number(await flag(page, name).getAttribute('aria-valuenow'));
  const pull = async (name: string, by: number) => {
    const box = await atRest(flag(page, name));
    const [x, y] = [box.x + 80, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y + by, { steps: 5 });
    await page.mouse.up();
  };
  const [string, floor] = [await at('string'), await at('floor')];
  await pull('string', 24);
  await expect.poll(() => at('string')).toBeLessThan(string - 0.02);
  await saved(page);
  const moved = string - (await atLast(() => at('string')));
  // However many moves a drag has, the floor ends where the pointer does: as far down as the string.
  await pull('floor', 24);
  await expect.poll(() => at('floor')).toBeLessThan(floor - 0.02);
  await saved(page);
  expect(Math.abs(floor - (await atLast(() => at('floor'))) - moved)).toBeLessThan(0.05 * moved + 0.02);
  // Five keys before the drawing shows what the first one did.
  const level = await at('string');
  await flag(page, 'string').evaluate((node) => {
    for (let i = 0; i < 5; i += 1)
      node.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
  });
  await expect.poll(() => at('string')).toBeCloseTo(level + 0.05, 6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => at('string')).toBeCloseTo(level, 6);
});

test('keys: digits go to stages, / finds, ? lists, arrows nudge a number', { tag: '@journey' }, async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await page.locator('main h2').first().click();
  await page.keyboard.press('6');
  await expect(page.locator('[data-stage=base]')).toHaveAttribute('aria-current', 'step');
  await page.keyboard.press('/');
  await page.getByRole('textbox', { name: 'Find a trench' }).fill('weigh');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Pad Weigh pit' })).toBeVisible();
  await field(page, 'elements.thickness').focus();
  await page.keyboard.press('ArrowUp');
  await expect(field(page, 'elements.thickness')).toHaveValue('260');
  // Enter is done with a field, Escape leaves it: a key pressed then steers, and types into nothing.
  const thickness = field(page, 'elements.thickness');
  for (const [key, at, next] of [
    ['Enter', '3', 'levels'],
    ['Escape', '5', 'water'],
  ] as const) {
    await thickness.focus();
    await page.keyboard.press(key);
    await expect(page.locator('[data-quantity]:focus')).toHaveCount(0);
    await page.keyboard.press(at);
    await expect(page.locator(`[data-stage=${next}]`)).toHaveAttribute('aria-current', 'step');
    await page.keyboard.press('4');
  }
  await expect(thickness).toHaveValue('260');
  // Nor does a box that is ticked take it.
  const box = page.locator('[data-side] input[type=checkbox]').first();
  await box.focus();
  await page.keyboard.press('6');
  await expect(page.locator('[data-stage=base]')).toHaveAttribute('aria-current', 'step');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('go to a stage');
});

test('every stage has its panel, with no word missing, in both languages', { tag: '@journey' }, async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  for (const lang of ['en', 'es']) {
    await prefer(page, { lang });
    await page.reload();
    await ready(page);
    for (const key of ['ground', 'setout', 'levels', 'dig', 'water', 'base', 'pour', 'backfill', 'log']) {
      await stage(page, key);
      const side = page.locator('[data-side]');
      await expect(side.getByRole('heading').first()).toBeVisible();
      expect(await side.innerText()).not.toMatch(
        /\b(ground|setout|levels|dig|water|base|pour|backfill|log|input|origin|work|rule|caution|soil)\.[a-z]|NaN|undefined|\{\{/,
      );
    }
  }
});

test('trench-fill takes whole buckets and more concrete; the engineer’s word overrides the rules', async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  const before = await figure(page, 'concrete');
  const side = page.locator('[data-side]');
  await side.getByLabel('Poured').selectOption('trenchFill');
  await side.getByLabel('Bucket', { exact: true }).selectOption('0.45');
  await expect(side.getByText('2 passes of 450')).toBeVisible();
  await expect(side.getByText('900 mm', { exact: true }).last()).toBeVisible();
  await expect.poll(() => figure(page, 'concrete')).toBeGreaterThan(before);
  await stage(page, 'levels');
  await side.getByRole('button', { name: 'Add an instruction' }).click();
  await type(page, 'levels.instructions.level', '99.20');
  await expect(side.locator('[data-decides]')).toContainText('The engineer’s word decides.');
  await expect(side.locator('[data-caution=aboveFrost]')).toBeVisible();
  await expect(flag(page, 'word')).toContainText('99.200');
});

test('soils, floor layers, trucks, buckets: added, changed and removed', async ({ page }) => {
  await newJob(page, 'honey-house');
  const side = page.locator('[data-side]');
  await stage(page, 'ground');
  await unfold(page, 'Soils from the top down');
  await side.getByRole('button', { name: 'Add a soil below' }).click();
  await expect(side.getByLabel('Kind of soil')).toHaveCount(5);
  await side.getByRole('button', { name: 'Remove Topsoil' }).click();
  await expect(side.getByLabel('Kind of soil')).toHaveCount(4);
  await expect(page.locator('[data-problems]')).toHaveCount(0);
  await stage(page, 'levels');
  const thicknesses = page.locator('[data-quantity="levels.floors.layers.thickness"]');
  await expect(thicknesses.nth(2)).toHaveValue('0.3');
  await page.getByLabel('Add a layer below').selectOption('sand');
  await expect(thicknesses).toHaveCount(6);
  await unfold(page, 'Floor build-up');
  await expect(side.getByText('99.900 m')).toBeVisible();
  await stage(page, 'dig');
  await side.getByRole('button', { name: 'Remove Tipper wagon' }).click();
  await expect(side.getByRole('button', { name: 'Remove Small tipper' })).toBeDisabled();
  await expect.poll(() => figure(page, 'haul')).toBeGreaterThan(5);
  await stage(page, 'base');
  await unfold(page, 'Name, cloth, more');
  const stone = await figure(page, 'stone');
  await side.getByRole('button', { name: 'Remove bed B1' }).click();
  await expect.poll(() => figure(page, 'stone')).toBeLessThan(stone - 40);
  await saved(page);
});

test('the plan zooms and fits, and the section can be stretched and says so', async ({ page }) => {
  await newJob(page, 'honey-house');
  const label = page.locator('[data-name-of=T3]');
  const before = (await label.boundingBox())!;
  await page.getByRole('button', { name: 'Zoom in' }).click();
  await expect.poll(async () => (await label.boundingBox())!.x).not.toBe(before.x);
  await page.getByRole('button', { name: 'Fit to the dig' }).click();
  await expect.poll(async () => Math.round((await label.boundingBox())!.x)).toBe(Math.round(before.x));
  await page.getByRole('button', { name: 'true scale' }).click();
  await expect(page.getByRole('button', { name: 'heights × 2' })).toHaveAttribute('aria-pressed', 'true');
});

test('a wide job moves to the worker and still follows the typing', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'setout');
  for (let i = 0; i < 6; i++) {
    await page
      .getByLabel('Runs along the centre line')
      .fill(Array.from({ length: 30 }, (_, n) => `2 ${n % 2 ? 'E' : i % 2 ? 'N' : 'S'}`).join(', '));
    await page.getByRole('button', { name: 'Add', exact: true }).first().click();
  }
  await expect(page.getByRole('heading', { name: '14 trenches, 5 pads, 2 slabs' })).toBeVisible();
  const before = await figure(page, 'dig');
  await stage(page, 'dig');
  await type(page, 'elements.width', '900');
  await expect.poll(() => figure(page, 'dig')).toBeGreaterThan(before);
  await saved(page);
});
