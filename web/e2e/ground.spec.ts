import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import {
  base,
  blankJob,
  comeBack,
  dragBy,
  expect,
  field,
  figure,
  lower,
  newJob,
  prefer,
  ready,
  saved,
  signIn,
  stage,
  type,
  unfold,
  upload,
} from './helpers.ts';
import { test } from './one-tab.ts';

const side = (page: Page) => page.locator('[data-side]');
const decides = (page: Page) => page.locator('[data-decides]');

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

test('three logs are built from nothing in clicks and typing, undone, kept', { tag: '@journey' }, async ({
  page,
}) => {
  const began = Date.now();
  await blankJob(page, 'Three pits');
  await stage(page, 'ground');
  await lower(page, 'pit');
  const layers = page.locator('[data-pit-layers]');
  const log = async (
    east: string,
    north: string,
    tops: readonly [soil: string, top: string][],
    first = false,
  ) => {
    if (!first) await side(page).getByRole('button', { name: 'Add a log' }).click();
    await field(page, 'ground.logs.at.0').fill(east);
    await page.locator('[data-side] [data-quantity="ground.logs.at.1"]').first().fill(north);
    for (const [i, [soil, top]] of tops.entries()) {
      if ((await layers.locator(`[data-layer="${i + 1}"]`).count()) === 0)
        await layers.getByRole('button', { name: 'Add a layer below' }).click();
      await layers.locator(`[data-layer="${i + 1}"] select`).selectOption({ label: soil });
      await layers.locator(`[data-layer="${i + 1}"] [data-quantity="ground.logs.layers.top"]`).fill(top);
    }
  };
  await log(
    '0',
    '0',
    [
      ['soft clay', '0.25'],
      ['gravelly clay', '1.8'],
    ],
    true,
  );
  await log('14', '2', [
    ['soft clay', '0.3'],
    ['gravelly clay', '1.6'],
  ]);
  await side(page).getByLabel('Water stands at').fill('1.1');
  await log('6', '-7', [
    ['soft clay', '0.5'],
    ['gravelly clay', '2.0'],
  ]);
  expect((Date.now() - began) / 1000).toBeLessThan(120);
  await expect(side(page).getByText('3 logs')).toBeVisible();
  await expect(page.locator('[data-problems]')).toHaveCount(0);
  await expect(page.locator('[data-log]')).toHaveCount(3);
  await expect(page.locator('[data-water=standing]')).toHaveCount(0);
  await saved(page);
  await page.keyboard.press('Escape');
  await comeBack(page);
  await stage(page, 'ground');
  await expect(side(page).getByText('3 soils to')).toHaveCount(3);
  // A pit is a mark on the plan too: dragged, and back by one undo.
  const mark = page.locator('[data-log=log-3]');
  await mark.scrollIntoViewIfNeeded();
  const before = await mark.boundingBox();
  await dragBy(page, '[data-log=log-3] rect', 0, -30);
  await expect.poll(async () => (await field(page, 'ground.logs.at.0').inputValue()) !== '').toBe(true);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => Math.round((await mark.boundingBox())!.y)).toBe(Math.round(before!.y));
});

test('soft clay dragged 0.4 m down: bearing decides instead of frost, with its reason, in both languages', {
  tag: '@journey',
}, async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'ground');
  await expect(decides(page)).toContainText('Frost decides.');
  const before = await figure(page, 'dig');
  await page.locator('[data-log=log-1]').click();
  const boundary = page.locator('[data-boundary=soft-clay]');
  await expect(boundary).toHaveAttribute('aria-valuenow', '0.25');
  // The face shows how many pixels a metre is by the next boundary down.
  const [y0, y1] = await Promise.all(
    ['soft-clay', 'gravelly-clay'].map(async (id) => {
      const box = (await page.locator(`[data-boundary=${id}] rect`).first().boundingBox())!;
      return box.y + box.height / 2;
    }),
  );
  await dragBy(page, '[data-boundary=soft-clay] rect', 0, ((y1! - y0!) / 1.55) * 0.4);
  await expect
    .poll(async () => Math.abs(Number(await boundary.getAttribute('aria-valuenow')) - 0.65))
    .toBeLessThan(0.03);
  await expect(decides(page)).toContainText('The bearing soil decides.');
  await expect.poll(() => figure(page, 'dig')).toBeGreaterThan(before);
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(decides(page)).toContainText('Frost decides.');
  await expect.poll(() => figure(page, 'dig')).toBe(before);
  await boundary.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowDown');
  await expect(decides(page)).toContainText('The bearing soil decides.');
  await saved(page);
  await prefer(page, { lang: 'es' });
  await page.reload();
  await ready(page);
  await stage(page, 'ground');
  await expect(decides(page)).toContainText('Decide el suelo de apoyo.');
  await page.locator('[data-log=log-1]').click();
  await boundary.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowUp');
  await expect(decides(page)).toContainText('Decide la helada.');
});

test('a climate file sets the design winter; °F is asked about; the chart follows; undo', async ({
  page,
}) => {
  await newJob(page, 'bell-frame');
  await stage(page, 'ground');
  const text = readFileSync(join(import.meta.dirname, '../../demo/alto-sereno-climate.csv'), 'utf8');
  await upload(page, 'climate', 'climate.csv', text);
  await expect(page.locator('[data-chart=index] rect')).toHaveCount(33);
  await expect(side(page).getByText('mean of the three coldest', { exact: false })).toBeVisible();
  await expect(page.locator('[data-frost-compare]')).toContainText('the larger: it counts');
  await expect(side(page)).toContainText('1992–93');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-chart=index]')).toHaveCount(0);
  const fahrenheit = text.replace(
    /,(-?[\d.]+)$/gm,
    (_, t: string) => `,${(Number(t) * 1.8 + 32).toFixed(1)}`,
  );
  await upload(page, 'climate', 'climate-f.csv', fahrenheit);
  await expect(side(page).getByText('Are they °F?', { exact: false })).toBeVisible();
  await side(page).getByRole('button', { name: 'Read them as °F' }).click();
  await expect(page.locator('[data-chart=index] rect')).toHaveCount(33);
  await upload(page, 'climate', 'broken.csv', 'date,mean\n2011-01-01,cold');
  await expect(side(page).getByText('is not a number')).toBeVisible();
});

test('logs and spots come in by CSV and LandXML, and what is wrong is named', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'ground');
  await upload(page, 'logs', 'bad.csv', 'log,x,y,top,soil\nN,0,0,zero,silt');
  await expect(side(page).getByText('“zero” in line 2, column 4 is not a number.')).toBeVisible();
  await upload(
    page,
    'logs',
    'logs.csv',
    'log,x,y,top,soil\nN,0,9,0,topsoil\nN,0,9,0.4,silt\nS,4,-4,0,topsoil\nS,4,-4,0.3,silt',
  );
  await expect(side(page).getByText('2 logs')).toBeVisible();
  const before = await figure(page, 'dig');

  await unfold(page, 'Ground surface');
  await upload(page, 'survey', 'spots.csv', 'N,E,Z\n-20,-20,101\n-20,40,101\n30,-20,101\n30,40,101\n5,5,101');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Read the file' }).click();
  await expect(dialog.getByText('Spots kept')).toBeVisible();
  await dialog.getByRole('button', { name: 'Use this surface' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(side(page).getByText('5 spots from 101.000', { exact: false })).toBeVisible();
  // A metre of ground on top of the same bearing and floor: much the same depth, but higher.
  await expect.poll(() => figure(page, 'dig')).not.toBe(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => figure(page, 'dig')).toBe(before);

  await upload(page, 'survey', 'bomb.xml', '<!DOCTYPE x [<!ENTITY a "b">]><LandXML/>');
  await dialog.getByRole('button', { name: 'Read the file' }).click();
  await expect(dialog.getByText('declares a document type', { exact: false })).toBeVisible();
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  const xml = `<LandXML><Units><Metric linearUnit="meter"/></Units><Surfaces><Surface><Definition surfType="TIN"><Pnts><P id="1">-20 -20 100</P><P id="2">-20 40 100</P><P id="3">30 40 100.5</P><P id="4">30 -20 100.5</P></Pnts><Faces><F>1 2 3</F><F>1 3 4</F></Faces></Definition></Surface></Surfaces></LandXML>`;
  await upload(page, 'survey', 'site.xml', xml);
  await dialog.getByRole('button', { name: 'Read the file' }).click();
  await dialog.getByRole('button', { name: 'Use this surface' }).click();
  await expect(side(page).getByText('4 spots from 100.000', { exact: false })).toBeVisible();
  await saved(page);
});

test('100 000 spots are read in a worker while the desk answers', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'ground');
  await unfold(page, 'Ground surface');
  let seed = 7;
  const next = () => {
    seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0;
    return seed / 4_294_967_296;
  };
  const rows = ['x,y,z'];
  for (let i = 0; i < 100_000; i++) {
    const [x, y] = [next() * 300 - 100, next() * 300 - 100];
    rows.push(
      `${x.toFixed(3)},${y.toFixed(3)},${(100 + 2 * Math.sin(x / 40) + Math.cos(y / 30)).toFixed(3)}`,
    );
  }
  await upload(page, 'survey', 'many.csv', rows.join('\n'));
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Read the file' }).click();
  await expect(dialog.locator('[data-progress]')).toBeVisible();
  // The page's own thread is free: frames go on being drawn while the worker works.
  const frames = (await page.evaluate(`new Promise((done) => {
    let n = 0;
    const start = performance.now();
    const tick = () => (document.querySelector('[data-progress]') && performance.now() - start < 400 ? (n++, requestAnimationFrame(tick)) : done(n));
    requestAnimationFrame(tick);
  })`)) as number;
  expect(frames).toBeGreaterThan(5);
  await expect(dialog.getByText('100000')).toBeVisible({ timeout: 30_000 });
  await dialog.getByRole('button', { name: 'Use this surface' }).click();
  await expect(page.locator('[data-contours]')).not.toHaveAttribute('data-contours', '0');
  await expect.poll(() => figure(page, 'dig'), { timeout: 20_000 }).toBeGreaterThan(100);
  await saved(page);
});

test('the soil in the hand says a group, a class and why; a test typed overrides it', async ({ page }) => {
  await newJob(page, 'bell-frame');
  await stage(page, 'ground');
  await unfold(page, 'Soils from the top down');
  await side(page).getByRole('button', { name: 'Sandy silt in the hand' }).click();
  const dialog = page.getByRole('dialog');
  const found = dialog.locator('[data-identified]');
  await expect(found).toContainText('Say first what most of it is.');
  const answer = (test: string, value: string) =>
    dialog.locator(`[data-test=${test}] [data-answer=${value}]`).click();
  await answer('grain', 'clay');
  await answer('thread', 'medium');
  await answer('thumb', 'firm');
  await expect(found).toContainText('CL · lean clay');
  await expect(found).toContainText('A test not tried is taken at its worst.');
  await answer('seep', 'dry');
  await expect(found).toContainText('Never class A by hand.');
  await answer('seep', 'seeps');
  await expect(found).toContainText('Water seeps from the face: class C.');
  await dialog.getByRole('button', { name: 'Call it stiff clay' }).click();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(side(page).getByText('class C (by hand)', { exact: false })).toBeVisible();
  await saved(page);
});

test('hazards are placed, drawn and checked; frozen ground comes from the weather feed', async ({ page }) => {
  await newJob(page, 'bell-frame');
  await prefer(page, { system: 'metric' });
  await page.reload();
  await ready(page);
  await stage(page, 'ground');
  await side(page).getByLabel('Add a hazard…').selectOption('service');
  await expect(page.locator('[data-hazard=hazard-1]')).toBeVisible();
  await expect(page.locator('[data-caution="keepOff.service"]')).toContainText('Hold');
  await field(page, 'ground.hazards.keepOff').fill('0');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-caution="keepOff.service"]')).toHaveCount(0);
  await side(page).getByRole('button', { name: 'Draw on the plan' }).click();
  // The plan takes places once it says so.
  await expect(page.getByRole('button', { name: 'Done' })).toBeVisible();
  const plan = (await page.getByRole('region', { name: 'Plan' }).locator('svg').boundingBox())!;
  await page.mouse.click(plan.x + 40, plan.y + plan.height - 60);
  await page.mouse.click(plan.x + 80, plan.y + plan.height - 60);
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.locator('[data-hazard-point]')).toHaveCount(4);
  // Delete takes the hazard that has the keyboard, not the pad that is picked.
  await page.locator('[data-hazard=hazard-1]').focus();
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-hazard]')).toHaveCount(0);
  await expect(page.locator('[data-element]')).toHaveCount(6);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-hazard]')).toHaveCount(1);

  // Standing cautions are folded, and one press away.
  await page.locator('[data-standing] > summary').click();
  await expect(page.locator('[data-caution=thaw]')).toBeVisible();
  await side(page).getByLabel('Day of the dig').fill('2026-01-25');
  await side(page).getByRole('button', { name: 'Ask the weather feed' }).click();
  await expect(side(page).getByText('Frozen crust to break')).toBeVisible();
  await expect(page.locator('[data-caution=frozenFace]')).toContainText('digs like rock');
  await side(page).getByLabel('Day of the dig').fill('2026-07-20');
  await side(page).getByRole('button', { name: 'Ask the weather feed' }).click();
  await expect(side(page).getByText('No frost in the ground on that day.')).toBeVisible();
  await expect(page.locator('[data-caution=thaw]')).toBeVisible();
  await saved(page);
});

test('the weather feed wants a signed-in person and a date', async ({ page, browser }) => {
  const stranger = await browser.newContext();
  const origin = base();
  expect((await stranger.request.get(`${origin}/weather?to=2026-01-25&days=3`)).status()).toBe(401);
  await stranger.close();
  const ask = (query: string) => page.request.get(`${origin}/weather?${query}`);
  const days = (await (await ask('to=2026-01-25&days=3')).json()) as { days: { date: string }[] };
  expect(days.days.map((day) => day.date)).toEqual(['2026-01-23', '2026-01-24', '2026-01-25']);
  for (const bad of [
    '',
    'to=soon&days=3',
    'to=2026-01-25&days=0',
    'to=2026-01-25&days=9999',
    'to=2026-01-25&days=1.5',
  ])
    expect((await ask(bad)).status()).toBe(400);
});

test('a fence section between any two points is drawn to scale', async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'ground');
  await lower(page, 'fence');
  const region = page.getByRole('region', { name: 'Fence section' });
  await expect(region.locator('[data-soil]')).not.toHaveCount(0);
  await region.getByLabel('From').selectOption({ label: 'TP3' });
  await region.getByLabel('To').selectOption({ label: 'TP2' });
  await expect(region.getByText('14.88 m')).toBeVisible();
  await region.getByRole('button', { name: 'true scale' }).click();
  await expect(region.getByRole('button', { name: 'heights × 2' })).toBeVisible();
  await region.getByRole('button', { name: 'On the plan' }).click();
  // The plan takes places once it says so.
  await expect(page.getByRole('button', { name: 'Done' })).toBeVisible();
  const plan = (await page.getByRole('region', { name: 'Plan' }).locator('svg').boundingBox())!;
  // On a loaded machine a press may come before the plan listens: both places are pressed until they are taken.
  await expect(async () => {
    await page.mouse.click(plan.x + 250, plan.y + 60);
    await page.waitForTimeout(200);
    await page.mouse.click(plan.x + 250, plan.y + 260);
    await expect(region.getByLabel('From')).toHaveValue('', { timeout: 3000 });
    await expect(region.getByLabel('To')).toHaveValue('', { timeout: 1000 });
    await expect(region.locator('[data-soil]')).not.toHaveCount(0, { timeout: 3000 });
  }).toPass({ timeout: 40_000 });
});

test('a wrong survey number is said at its field and kept', async ({ page }) => {
  await newJob(page, 'drying-barn');
  await stage(page, 'ground');
  await unfold(page, 'Ground surface');
  await side(page).getByText('List of spots').click();
  const level = page.locator('[data-side] [data-quantity="ground.surface.points.2"]').first();
  await level.fill('high');
  await expect(level).toHaveAttribute('aria-invalid', 'true');
  await expect(level).toHaveValue('high');
  await type(page, 'ground.surface.points.2', '50.4');
  await expect(level).toHaveAttribute('aria-invalid', 'false');
  const lines = side(page).getByLabel('Breaklines');
  await lines.fill('1 2; 3 99');
  await lines.blur();
  await expect(side(page).getByText('Each line needs two or more spot numbers')).toBeVisible();
  await expect(lines).toHaveValue('1 2; 3 99');
});
