/** A night of rain: wet with one pump, dry with two, played; what it leaves is taken into the plan. */
import type { Page } from '@playwright/test';
import {
  comeBack,
  expect,
  figure,
  newJob,
  openRecords,
  prefer,
  ready,
  saved,
  signIn,
  stage,
  unfold,
} from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
  await newJob(page, 'honey-house');
  await stage(page, 'water');
  await page.locator('[data-lower=night]').click();
});

const side = (page: Page) => page.locator('[data-side]');
const night = (page: Page, how: 'dry' | 'wet') =>
  expect(page.locator(`[data-night=${how}]`)).toBeVisible({ timeout: 60_000 });

test('wet at seven with one pump, dry with two; kept, undone; a pump that goes at two leaves it wet', {
  tag: '@journey',
}, async ({ page }) => {
  await night(page, 'wet');
  await expect(page.locator('[data-chart=night]')).toBeVisible();
  await expect(page.locator('[data-night]')).toContainText(/Wet at 07:00: \d+\smm/);
  const two = side(page).locator('[data-mean=two]');
  await expect(two).toHaveAttribute('data-dry', 'true', { timeout: 60_000 });
  await expect(side(page).locator('[data-mean=one]')).toContainText('as planned');
  await two.getByRole('button', { name: 'Take it: two pumps' }).click();
  await night(page, 'dry');
  await expect(page.locator('[data-night]')).toContainText('Dry at 07:00');
  // It goes out at two in the morning, half an hour into the rain… by hand.
  await side(page).locator('[data-pump]').first().getByLabel('There until').fill('2026-10-20T02:00');
  await night(page, 'wet');
  await page.getByRole('button', { name: 'Undo' }).click();
  await night(page, 'dry');
  await page.getByRole('button', { name: 'Undo' }).click();
  await night(page, 'wet');
  await saved(page);
});

test('the night is played on the chart and on the section, and what it leaves goes into the plan', async ({
  page,
}) => {
  await night(page, 'wet');
  const hour = page.getByRole('slider', { name: 'Hour of the night' });
  await hour.fill('16');
  await expect(page.locator('[data-played]')).toBeVisible();
  await page.locator('[data-lower=section]').click();
  await expect(page.locator('[data-flooded]')).toBeVisible();
  await hour.fill('0');
  await expect(page.locator('[data-flooded]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Play the night' }).click();
  await expect.poll(() => hour.inputValue()).not.toBe('0');
  await page.getByRole('button', { name: 'Pause' }).click();

  const dig = await figure(page, 'dig');
  await side(page).getByRole('button', { name: 'Log it: found so much lower' }).click();
  await expect.poll(() => figure(page, 'dig')).toBeGreaterThan(dig);
  // What was logged is no edit: it is taken back where it stands.
  await stage(page, 'log');
  const back = page.getByRole('button', { name: /^Take back: .*told .* low/ });
  await page.getByRole('button', { name: /older record/ }).click();
  await openRecords(page);
  await expect(back.first()).toBeVisible();
  while ((await back.count()) > 0) await back.first().click();
  await expect.poll(() => figure(page, 'dig')).toBe(dig);
});

test('rain, hours and pumps that cannot be are named at their field; a ditch takes what runs in away', async ({
  page,
}) => {
  await night(page, 'wet');
  await side(page).getByLabel('Time zone').fill('Moon/Crater');
  await expect(
    side(page)
      .getByText(/no time zone “Moon\/Crater”/)
      .first(),
  ).toBeVisible();
  await side(page).getByLabel('Time zone').fill('Europe/Madrid');
  await side(page).getByLabel('It begins').fill('2026-03-29T02:30');
  await expect(page.locator('[data-no-night=noSuchHour]')).toBeVisible();
  await side(page).getByLabel('It begins').fill('2026-10-20T00:30');
  await night(page, 'wet');
  const pump = side(page).locator('[data-pump]').first();
  await pump.getByLabel('Lets go at').fill('115');
  await pump.getByLabel('Lets go at').press('Enter');
  await expect(pump.locator('[data-cannot]')).toContainText('11.00 m at most', { timeout: 60_000 });
  await pump.getByLabel('Starts, over formation').fill('-400 mm');
  await pump.getByLabel('Starts, over formation').press('Enter');
  await expect(pump.getByText(/must start higher than it stops/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await night(page, 'wet');

  await unfold(page, 'What runs in');
  const drains = side(page).locator('[data-drains]');
  await expect(drains).toContainText(/\d+\.\d\sm² of ground drains in/);
  const before = await drains.innerText();
  await side(page).getByRole('button', { name: 'Dig a cut-off ditch' }).click();
  await expect(page.locator('[data-cut-off="ditch-1"]')).toHaveCount(1);
  await expect.poll(() => drains.innerText(), { timeout: 60_000 }).not.toBe(before);
  await saved(page);
});

test('a thousand storms say how sure it is; a blank job asks for rain first, in Spanish and feet', async ({
  page,
}) => {
  await night(page, 'wet');
  await unfold(page, 'How sure is that');
  await side(page).getByRole('button', { name: 'Let it rain a thousand times' }).click();
  await expect(side(page).locator('[data-chance]')).toContainText(/Of 1000 such storms \d+%/, {
    timeout: 150_000,
  });
  await prefer(page, { lang: 'es', system: 'imperial' });
  await newJob(page, 'bell-frame');
  await stage(page, 'water');
  await page.locator('[data-lower=night]').click();
  await expect(page.locator('[data-no-night=noStorm]')).toBeVisible({ timeout: 60_000 });
  await side(page).getByRole('button', { name: 'Esperar lluvia' }).click();
  await expect(page.locator('[data-night]')).toBeVisible({ timeout: 60_000 });
  await saved(page);
  await page.reload();
  await ready(page);
  await stage(page, 'water');
  await expect(side(page).getByLabel('Lluvia en total')).not.toHaveValue('');
});

test('ground that drains in is drawn on the plan: its area runs in, and is undone', async ({ page }) => {
  await night(page, 'wet');
  await unfold(page, 'What runs in');
  await side(page).getByRole('button', { name: 'Draw the ground that drains in' }).click();
  const plan = (await page.locator('svg[data-plan]').boundingBox())!;
  for (const [x, y] of [
    [0.7, 0.2],
    [0.9, 0.2],
    [0.9, 0.5],
  ])
    await page.mouse.click(plan.x + x! * plan.width, plan.y + y! * plan.height);
  await page.getByRole('button', { name: 'Done' }).first().click();
  await expect(page.locator('[data-drawn]')).toHaveCount(1);
  await expect(side(page).locator('[data-drains=typed]')).toBeVisible({ timeout: 60_000 });
  await expect(side(page).locator('[data-drains=typed]')).toContainText('m²');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-drawn]')).toHaveCount(0);
});

test('a rising-head test narrows the range, stays in the record and is taken back', async ({ page }) => {
  const range = () =>
    side(page)
      .getByText(/^\d+\.\d+ – \d+\.\d+\sL\/s$/)
      .first()
      .innerText();
  const before = await range();
  await unfold(page, 'Rising-head test');
  const form = side(page).locator('details', { hasText: 'Rising-head test' });
  await form.getByLabel('Pit, long').fill('1.0 m');
  await form.getByLabel('Pit, wide').fill('0.8 m');
  await form.getByLabel('Water stands outside at').fill('98.8');
  for (const [i, [minutes, level]] of [
    ['0', '98.0'],
    ['18', '98.3'],
    ['30', '98.2'],
  ].entries()) {
    const row = form.locator('[role=group]').nth(i);
    await row.getByLabel('Minutes').fill(minutes!);
    await row.getByLabel('Level', { exact: true }).fill(level!);
  }
  await expect(form.getByText(/a reading does not/)).toBeVisible();
  await form.locator('[role=group]').nth(2).getByLabel('Level', { exact: true }).fill('98.45');
  await expect(form.locator('[data-recharge]')).toContainText('between');
  await form.getByRole('button', { name: 'Log the test' }).click();
  await expect.poll(range).not.toBe(before);
  await expect(side(page).getByText('measured').first()).toBeVisible();
  await stage(page, 'log');
  await expect(page.locator('[data-record=risingHead]')).toContainText('3 readings');
  await openRecords(page);
  await page.getByRole('button', { name: /^Take back: .*Rising-head test/ }).click();
  await stage(page, 'water');
  await expect.poll(range).toBe(before);
});

test('the vault floats until it is filled over; a thicker base mends it; told in kips', async ({ page }) => {
  await newJob(page, 'cheese-vault');
  await stage(page, 'water');
  await expect(side(page).locator('[data-float=walls]')).toHaveAttribute('data-safe', 'false', {
    timeout: 60_000,
  });
  await expect(side(page).locator('[data-float=covered]')).toHaveAttribute('data-safe', 'true');
  await expect(
    side(page).getByText('Keep pumping until it is filled over and the engineer has released it.'),
  ).toBeVisible();
  await expect(page.getByText(/can float until it is roofed/).first()).toBeVisible();
  // The water a metre and a half lower: walls alone hold it.
  await side(page).getByLabel('Highest of the year').fill('97.6');
  await side(page).getByLabel('Highest of the year').press('Enter');
  await expect(side(page).locator('[data-float=walls]')).toHaveAttribute('data-safe', 'true');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(side(page).locator('[data-float=walls]')).toHaveAttribute('data-safe', 'false');
  await saved(page);
  await prefer(page, { system: 'imperial' });
  await page.reload();
  await ready(page);
  await stage(page, 'water');
  await expect(side(page).locator('[data-float=walls]')).toContainText('kip');
});

test('beside a stream bags are counted, a thin dam is named, and the pipe is the smallest that does', async ({
  page,
}) => {
  await newJob(page, 'footbridge');
  await stage(page, 'water');
  // 0.90 high, crest 0.50, 1:1 and 1.5:1, 6 m: 483 bags of 20 L; 120 L/s at 1 % through 0.6 m of water go through 400 mm of plastic.
  await expect(side(page).locator('[data-bags="483"]')).toBeVisible({ timeout: 60_000 });
  await expect(side(page).locator('[data-kind=smooth][data-bypass="0.4"]')).toContainText('209');
  await side(page).getByLabel('Over the water').fill('100 mm');
  await side(page).getByLabel('Over the water').press('Enter');
  await expect(side(page).locator('[data-dam-fault=freeboard]')).toBeVisible();
  await side(page).getByLabel('The stream brings').fill('20000 L/s');
  await side(page).getByLabel('The stream brings').press('Enter');
  await expect(
    side(page)
      .getByText(/5,?000/)
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(side(page).locator('[data-bags="483"]')).toBeVisible();
  await saved(page);
});

test('ways to hold the water stand side by side; where it goes and who allowed it is kept; wash-out is sent away', async ({
  page,
}) => {
  await newJob(page, 'footbridge');
  await stage(page, 'water');
  const way = (by: string) => side(page).locator(`[data-holding=${by}]`);
  await expect(way('sump')).toContainText('as planned', { timeout: 60_000 });
  // What cannot hold it is not offered.
  await expect(way('gravity')).toHaveCount(0);
  await way('wellpoints').getByRole('button').click();
  await way('wellpoints').getByLabel('Why so').fill('The bank must stay dry');
  await expect(way('sump')).not.toContainText('as planned');
  await side(page).getByLabel('Allowed by').fill('River warden');
  await expect(side(page).locator('[data-around=well]')).toContainText(/\d+\smm/);
  // The wash-out uphill runs into the far pad; moved past it, it runs away.
  const caution = page.getByText(/Truck wash-out runs into the hole of A2/);
  await expect(caution.first()).toBeVisible();
  await unfold(page, 'Water on the ground');
  const wash = side(page).locator('[data-surface]');
  await expect(wash.locator('[data-runs=A2]')).toBeVisible();
  await wash.getByLabel('East').fill('30');
  await wash.getByLabel('East').press('Enter');
  await expect(wash.locator('[data-runs=away]')).toBeVisible();
  await expect(caution).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(wash.locator('[data-runs=A2]')).toBeVisible();
  await saved(page);
  await comeBack(page);
  await stage(page, 'water');
  await expect(way('wellpoints').getByLabel('Why so')).toHaveValue('The bank must stay dry', {
    timeout: 60_000,
  });
});

test('a filter is chosen by the soil’s sieve test; water under pressure is a hold until it is relieved', async ({
  page,
}) => {
  await newJob(page, 'footbridge');
  await stage(page, 'water');
  await unfold(page, 'Cloth, stone or none');
  const filter = side(page).locator('[data-filter=loam]');
  await expect(filter.locator('[data-grading=typed]')).toBeVisible({ timeout: 60_000 });
  await expect(filter.locator('[data-stone-faults=fits]')).toBeVisible();
  await filter.getByLabel('As sold').selectOption('clean20');
  await expect(filter.locator('[data-stone-faults=coarse]')).toBeVisible();
  await filter.locator('[data-file=grading]').setInputFiles({
    name: 'sieves.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('mm,passing\n0.075,3\n0.6,20\n2,50'),
  });
  await expect(filter.getByText(/stops too early/)).toBeVisible();
  await filter.locator('[data-file=grading]').setInputFiles({
    name: 'sieves.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('mm,passing\n0.075,30\n0.6,20\n2,50'),
  });
  await expect(filter.getByRole('alert')).toContainText('no more passes a finer sieve');
  await filter.locator('[data-filter-by=none]').getByRole('button').click();
  await expect(filter.locator('[data-filter-by=none]')).toContainText('as planned');
  await unfold(page, 'Water under pressure below');
  await side(page).getByRole('button', { name: 'Water under pressure was struck' }).click();
  await side(page).getByLabel('It would rise to').fill('101');
  await side(page).getByLabel('It would rise to').press('Enter');
  await expect(page.getByText(/water under pressure can lift its bottom/).first()).toBeVisible();
  await side(page).getByRole('button', { name: 'None was struck' }).click();
  await expect(page.getByText(/water under pressure can lift its bottom/)).toHaveCount(0);
  await saved(page);
});

test('rain comes from a file and from the forecast; instruments are heard beside what was reckoned', async ({
  page,
}) => {
  const rain = (text: string) =>
    side(page)
      .locator('[data-file=rain]')
      .setInputFiles({ name: 'rain.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await night(page, 'wet');
  await rain('time,mm\n2026-10-20T01:00,1\n2026-10-20T03:00,1');
  await expect(side(page).getByText('before 2026-10-20 03:00 an hour is missing')).toBeVisible();
  await rain('time,mm\n2026-10-20T01:00,0.5\n2026-10-20T02:00,0.5\n2026-10-20T03:00,0');
  await expect(side(page).getByLabel('Hour 3')).toHaveValue('0');
  await night(page, 'dry');
  await side(page).getByRole('button', { name: 'Ask the forecast, hour by hour' }).click();
  await expect(side(page).getByLabel('Hour 24')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(side(page).getByLabel('Hour 24')).toHaveCount(0);
  await page.getByRole('button', { name: 'Read the rain gauge' }).click();
  await expect(page.locator('[data-instrument=rain]')).toBeVisible({ timeout: 60_000 });
  // Nonsense and strangers are turned away at the door.
  const { origin } = new URL(page.url());
  expect((await page.request.get(`${origin}/instruments?kind=level&place=a&expected=1,x`)).status()).toBe(
    400,
  );
  expect((await page.request.get(`${origin}/forecast?from=soon`)).status()).toBe(400);
  const all = await page.request.get(`${origin}/instruments?kind=pump&place=a&expected=0,0.001,0.002`);
  expect((await all.json()).readings.length).toBeGreaterThan(0);
});
