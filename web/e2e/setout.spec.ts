import type { Page } from '@playwright/test';
import Drawing from 'dxf-writer';
import {
  base,
  blankJob,
  comeBack,
  expect,
  figure,
  lower,
  newJob,
  prefer,
  ready,
  saved,
  signIn,
  stage,
  unfold,
  upload,
} from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

/** A house 9 × 6 of loose lines and a yard beside it, drawn by another library. */
function drawing(unit: 'Meters' | 'Millimeters' | null): string {
  const d = new Drawing();
  if (unit) d.setUnits(unit);
  const scale = unit === 'Millimeters' ? 1000 : 1;
  d.addLayer('walls', Drawing.ACI.RED, 'CONTINUOUS');
  d.addLayer('yard', Drawing.ACI.GREEN, 'CONTINUOUS');
  d.setActiveLayer('walls');
  const line = (a: number, b: number, c: number, e: number) =>
    d.drawLine(a * scale, b * scale, c * scale, e * scale);
  line(0, 0, 9, 0);
  line(9, 6, 9, 0);
  line(9, 6, 0, 6);
  line(0, 0, 0, 6);
  d.setActiveLayer('yard');
  line(20, 0, 26, 0);
  const text = d.toDxfString();
  return unit ? text : text.replace(/\$INSUNITS\s+70\s+\d+/, '$INSUNITS\n70\n0');
}
const bring = async (page: Page, text: string) => {
  await unfold(page, /Drawings and paper|Dibujos y papel/);
  await upload(page, 'drawing', 'house.dxf', text);
};

test('a drawing’s lines become footings, dug with the bucket chosen, over-dig by cause, in both languages', {
  tag: '@journey',
}, async ({ page }) => {
  await blankJob(page, 'Vine press');
  await stage(page, 'setout');
  await bring(page, drawing('Millimeters'));
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('walls (4)').check();
  await expect(dialog.getByText('26.00 m')).toBeVisible();
  await dialog.getByRole('button', { name: 'Use these lines' }).click();
  await expect(page.getByRole('heading', { name: '1 trench' })).toBeVisible();
  // Four loose lines are one closed run of 30 m.
  await expect(
    page
      .locator('[data-side]')
      .getByText(/^30\.00\sm$/)
      .first(),
  ).toBeVisible();
  await stage(page, 'dig');
  const before = await figure(page, 'dig');
  expect(before).toBeGreaterThan(0);
  // Poured against the earth with a 900 bucket in a 600 trench: the step is over-dig.
  const side = page.locator('[data-side]');
  await side.locator('select').nth(1).selectOption('trenchFill');
  await side.locator('select').nth(2).selectOption('0.9');
  await page.locator('[data-figure=dig]').click();
  const row = page.getByRole('dialog').getByText('Over-dig: bucket step', { exact: true });
  await expect(row).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);
  await prefer(page, { lang: 'es' });
  await page.reload();
  await ready(page);
  await expect(page.getByRole('heading', { name: '1 zanja' })).toBeVisible();
  await page.locator('[data-figure=dig]').click();
  await expect(
    page.getByRole('dialog').getByText('Sobreexcavación: paso del cucharón', { exact: true }),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await stage(page, 'setout');
  await bring(page, drawing('Millimeters'));
  await dialog.getByLabel('walls (4)').check();
  await expect(dialog.getByText('26,00 m')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Usar estas líneas' })).toBeVisible();
});

test('a drawing without a unit asks for one; bad ones say why', async ({ page }) => {
  await blankJob(page, 'Odd drawings');
  await stage(page, 'setout');
  await bring(page, drawing(null));
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('walls (4)').check();
  const use = dialog.getByRole('button', { name: 'Use these lines' });
  await expect(use).toBeDisabled();
  await dialog.getByLabel('The file does not say its unit').selectOption('ft');
  await expect(dialog.getByText('across')).toContainText('7.92 m');
  await expect(use).toBeEnabled();
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  for (const [text, said] of [
    ['BINARY\u0000\u001a', 'not a text file'],
    ['x,y\n1,2', 'not a DXF'],
    [drawing('Meters').slice(0, 900), /cut off|broken/],
    ['0\nSECTION\n2\nENTITIES\n0\nINSERT\n8\n0\n2\nB\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n', 'only blocks'],
  ] as const) {
    await bring(page, text);
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText(said);
    await page.getByRole('dialog').getByRole('button', { name: 'Leave it' }).click();
  }
});

test('what the tape reads is checked: within, the corner that is off, and what cannot be', async ({
  page,
}) => {
  await blankJob(page, 'Square');
  await stage(page, 'setout');
  await page.getByLabel('Runs along the centre line').fill('8 E, 6 N, 8 W, close');
  await page.getByRole('button', { name: 'Add', exact: true }).first().click();
  const line = (name: string) => page.locator(`[data-check="${name}"]`);
  const tape = (name: string, text: string) => line(name).getByRole('textbox').fill(text);
  await tape('A–B', '8.002');
  await tape('A–C', '10.00');
  await tape('B–D', '10');
  await expect(page.locator('[data-verdict=ok]')).toContainText('All 3 lines within 5 mm');
  await expect(page.locator('[data-stage=setout]:visible')).toContainText('taped within 2 mm');
  // Corner C 40 mm too far east: its side and its diagonal say so.
  await tape('A–B', '8');
  await tape('A–C', '10.032');
  await tape('B–C', '6');
  await tape('C–D', '8.04');
  await expect(page.locator('[data-verdict=off]')).toContainText('corner C');
  await expect(page.locator('[data-verdict=off]')).toContainText('too far east');
  await expect(line('C–D')).toContainText('✗ +40 mm');
  await saved(page);
  await comeBack(page);
  await stage(page, 'setout');
  await expect(page.locator('[data-verdict=off]')).toContainText('corner C');
  await tape('A–C', '30');
  await expect(page.locator('[data-verdict=off]')).toContainText('cannot be that long');
  await tape('A–C', 'abc');
  await expect(line('A–C').getByRole('textbox')).toHaveValue('abc');
  await page.getByRole('button', { name: 'Clear what was measured' }).click();
  await expect(page.getByText('Type what the tape reads').first()).toBeVisible();
});

test('boxes, slabs, arcs, ramps, pads along a trench and two tapes; undone one by one', async ({ page }) => {
  await blankJob(page, 'Shapes');
  await stage(page, 'setout');
  await unfold(page, 'Add another shape');
  const side = page.locator('[data-side]');
  const add = side.getByRole('button', { name: 'Add the shape' });
  const kind = side.getByLabel('Shape', { exact: true });
  await add.click();
  await expect(side.getByText('Type one or two sizes, such as 7.2 x 3.8.')).toBeVisible();
  await side.getByPlaceholder('7.2 x 3.8').fill('7.2 x 3.8');
  await add.click();
  await expect(page.getByRole('heading', { name: '1 box' })).toBeVisible();
  await kind.selectOption('ramp');
  await add.click();
  await expect(page.getByRole('heading', { name: '1 box, 1 ramp' })).toBeVisible();
  await kind.selectOption('slab');
  await add.click();
  await kind.selectOption('arc');
  await side.getByLabel('Radius').fill('0');
  await add.click();
  await expect(side.getByText('An arc needs a radius')).toBeVisible();
  await side.getByLabel('Radius').fill('5');
  await add.click();
  await expect(page.getByRole('heading', { name: '1 trench, 1 slab, 1 box, 1 ramp' })).toBeVisible();
  await kind.selectOption('pads');
  await side.getByPlaceholder('900 x 900').fill('900');
  await add.click();
  await expect(page.getByRole('heading', { name: /1 trench, [2-4] pads/ })).toBeVisible();
  await kind.selectOption('tapes');
  await side.getByLabel('Tape from the first point').fill('20');
  await add.click();
  await expect(
    side.getByText('The two tapes do not reach each other.').or(side.getByText('lies inside it')),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: '1 trench, 1 slab, 1 box, 1 ramp' })).toBeVisible();
  // A drain a metre outside the box; inside it, at two metres, there is nothing left.
  await page.locator('[data-element=B1]').first().press('Enter');
  await kind.selectOption('beside');
  await side.getByLabel('Away by').fill('-2');
  await add.click();
  await expect(side.getByText('At that distance nothing is left of it.')).toBeVisible();
  await side.getByLabel('Away by').fill('1');
  await add.click();
  await expect(page.getByRole('heading', { name: '2 trenches, 1 slab, 1 box, 1 ramp' })).toBeVisible();
});

test('an outline that crosses itself is named at the shape and digs nothing', async ({ page }) => {
  await newJob(page, 'cheese-vault');
  await stage(page, 'setout');
  const side = page.locator('[data-side]');
  await expect.poll(() => figure(page, 'dig')).toBeGreaterThan(600);
  await side.getByLabel('2: east').fill('3.6');
  await side.getByLabel('2: north').fill('6');
  await expect(side.getByText('The outline crosses itself').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => figure(page, 'dig')).toBeGreaterThan(600);
});

test('boards stand clear, strings cross at two levels, and the sheet prints', { tag: '@journey' }, async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await stage(page, 'setout');
  await lower(page, 'boards');
  const first = page.locator('[data-string=S1]');
  await expect(first).toContainText('100.500 m');
  await expect(first).toContainText('prop every');
  await expect(page.locator('[data-string=S3]')).toContainText('100.520 m');
  await expect(page.locator('[data-string=S3]')).toContainText('over or under S1, S2');
  await unfold(page, 'Boards and strings');
  const offset = page.getByLabel('Boards beyond the dug edge');
  const before = await first.innerText();
  await offset.fill('1.5');
  await expect(first).not.toHaveText(before);
  await offset.fill('0.05');
  await expect(page.getByText('between 0.20 m and 10.00 m').first()).toBeVisible();
  await expect(offset).toHaveValue('0.05');
  const id = page.url().split('/').pop();
  const sheet = await page.request.get(`${base()}/jobs/${id}/set-out-sheet.pdf`);
  expect(sheet.headers()['content-type']).toBe('application/pdf');
  expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await unfold(page, 'Drawings and paper');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save DXF' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/Honey house.*\.dxf$/);
});

test('four taped sides are brought to close: a little is shared out, a mistake is called one', async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await stage(page, 'setout');
  const tape = (name: string, read: string) =>
    page.locator(`[data-check="${name}"]`).getByRole('textbox').fill(read);
  await tape('A–B', '14.4');
  await tape('C–D', '14.406');
  await tape('C–A', '8.4');
  await expect(page.locator('[data-loop]')).toHaveCount(0);
  await tape('D–B', '8.4');
  const loop = page.locator('[data-loop]');
  await expect(loop).toHaveCount(1);
  await expect(loop).toContainText('fails to close by 6 mm');
  await expect(loop).not.toContainText('a mistake');
  await tape('C–D', '14.4');
  await expect(loop).toContainText('closes.');
  await tape('C–D', '14.5');
  await expect(loop).toContainText('That is a mistake, not the tape');
});

test('a run that goes under an old wall keeps its corners and its steps', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'dig');
  await page.locator('[data-side]').getByLabel('Carries').selectOption('underpin');
  await stage(page, 'setout');
  await expect(page.getByLabel('1: east')).toBeVisible();
  await stage(page, 'levels');
  await expect(page.getByLabel('Steps with the ground')).toBeVisible();
});

test('a distance taped stays in its box while the record takes it', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'setout');
  const box = page.locator('[data-check="A–B"]').getByRole('textbox');
  await box.fill('14.402');
  // Looked at in every frame: it used to empty and fill again, over what was typed on.
  await page.evaluate(`(() => {
    const box = document.querySelector('[data-check="A–B"] input');
    window.seen = [];
    const look = () => { window.seen.push(box.value); requestAnimationFrame(look); };
    look();
  })()`);
  await expect(page.locator('[data-check="A–B"]')).toContainText('+2 mm');
  await page.keyboard.press('Tab');
  await expect(box).toHaveValue('14.402');
  expect([...new Set(await page.evaluate<string[]>('window.seen'))]).toEqual(['14.402']);
  await box.fill('');
  await page.keyboard.press('Tab');
  await expect(page.locator('[data-check="A–B"]')).not.toContainText('mm');
  await expect(box).toHaveValue('');
});

test('boards the machine drives over are told, with the dig it is at', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'setout');
  await lower(page, 'boards');
  await expect(page.locator('[data-in-the-way]').first()).toContainText('driven over when');
});
