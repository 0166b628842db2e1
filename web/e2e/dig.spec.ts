import type { Page } from '@playwright/test';
import {
  atLast,
  blankJob,
  caution,
  comeBack,
  dragBy,
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
} from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

const side = (page: Page) => page.locator('[data-side]');

test('a lay-down area dragged over later digs: what is moved twice is said; undone; in both languages', {
  tag: '@journey',
}, async ({ page }) => {
  await newJob(page, 'honey-house');
  await stage(page, 'dig');
  await page.locator('[data-fit=plot]').click();
  const east = page.locator('[data-area="East field"]');
  await expect(east.locator('[data-rehandled]')).toHaveCount(0);
  await dragBy(page, '[data-lay-down=east]', -110, 0);
  await expect(east.locator('[data-rehandled]')).toContainText('must be moved again');
  await expect(east.locator('[data-rehandled]')).toContainText(/P3/);
  await expect(await caution(page, 'rehandle')).toContainText('lies in the way');
  await page.keyboard.press('Control+z');
  await expect(east.locator('[data-rehandled]')).toHaveCount(0);
  await page.keyboard.press('Control+y');
  await saved(page);
  await prefer(page, { lang: 'es' });
  await page.reload();
  await ready(page);
  await stage(page, 'dig');
  await expect(east.locator('[data-rehandled]')).toContainText('se moverán otra vez');
  await expect(await caution(page, 'rehandle')).toContainText('estorba');
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
  const ramp = page.getByRole('button', { name: 'Move Ramp in the order' });
  // What a reader is told of the drag says when the next key is heard.
  const told = page.locator('[id^=DndLiveRegion]').first();
  await ramp.focus();
  await page.keyboard.press('Space');
  await expect(ramp).toHaveAttribute('aria-pressed', 'true');
  const lifted = await atLast(() => told.textContent());
  await page.keyboard.press('ArrowLeft');
  await expect.poll(() => told.textContent()).not.toBe(lifted);
  await page.keyboard.press('Space');
  await expect(page.locator('[data-verdict=clash]')).toContainText('Ramp comes before Vault');
  await saved(page);
  await comeBack(page);
  await lower(page, 'order');
  await expect(page.locator('[data-verdict=clash]')).toContainText('Ramp comes before Vault');
  await page.getByRole('button', { name: 'Suggest an order' }).click();
  await expect(page.locator('[data-verdict=ok]')).toBeVisible();
});

test('slope, bench or shore: chosen from three, and undone', { tag: '@journey' }, async ({ page }) => {
  // Low enough that the ways lie well below what is seen.
  await page.setViewportSize({ width: 1280, height: 560 });
  await newJob(page, 'cheese-vault');
  await stage(page, 'dig');
  const before = await figure(page, 'dig');
  const shore = page.locator('[data-way=shore]');
  // Worked out once somebody comes near it.
  await expect(shore).toHaveCount(0);
  await side(page).getByText('Keep the sides up').scrollIntoViewIfNeeded();
  await expect(shore).toContainText('of face');
  await expect(page.locator('[data-way=slope]')).toContainText('as planned');
  await shore.getByRole('button', { name: 'Take this' }).click();
  await expect.poll(() => figure(page, 'dig')).toBeLessThan(before * 0.7);
  await expect(await caution(page, 'shored')).toContainText('a named designer');
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
  // The plan takes places once it says so.
  await expect(page.getByRole('button', { name: 'Done' })).toBeVisible();
  for (const [i, [x, y]] of (
    [
      [0.2, 0.2],
      [0.8, 0.2],
      [0.8, 0.8],
      [0.2, 0.8],
    ] as const
  ).entries()) {
    // The plan makes room for what was laid out before: a press while it does is given again where it then lies.
    let tries = 0;
    await expect(async () => {
      const drawn = side(page).getByText(`Plot of ${i + 1} corner`);
      if (await drawn.isVisible()) return;
      const box = (await page.locator('[role=application]').boundingBox())!;
      // What lies over a place, a name or a mark, lies beside it the next time.
      const beside = 14 * (tries++ % 4);
      await page.mouse.click(box.x + box.width * x + beside, box.y + box.height * y + beside);
      await expect(drawn).toBeVisible({ timeout: 4000 });
    }).toPass();
  }
  await page.getByRole('button', { name: 'Done' }).click();
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
  await expect(page.getByText('Nothing to dig yet.', { exact: true })).toBeVisible();
  await lower(page, 'piles');
  await expect(page.getByText('No lay-down area is drawn.')).toBeVisible();
});

test('trucks by the clock: who waits, how many would do, kept, in both languages', async ({ page }) => {
  await newJob(page, 'cheese-vault');
  await stage(page, 'dig');
  await lower(page, 'trucks');
  const view = page.locator('[data-trucks]');
  await expect(view).toHaveAttribute('data-trucks', String(await figure(page, 'haul')));
  await expect(page.locator('[data-verdict=waits]')).toContainText('waiting for trucks');
  await expect(page.locator('[data-load-row="1"]')).toContainText('off the heap');
  await view.getByRole('combobox').selectOption('5');
  await expect(page.locator('[data-verdict=ok]')).toContainText('never waits');
  await expect(page.locator('[data-waits]')).toHaveCount(0);
  // An earlier start: every load is wanted that much earlier.
  const first = page.locator('[data-load-row="1"]');
  await expect(first).toContainText('15:44');
  await view.locator('input[type=time]').fill('06:15');
  await expect(first).toContainText('14:59');
  await view.locator('[data-quantity="dig.day.hours"]').fill('25');
  await expect(view.locator('[data-quantity="dig.day.hours"]')).toHaveAttribute('aria-invalid', 'true');
  await view.locator('[data-quantity="dig.day.hours"]').fill('12');
  // The map of depths, and how deep it is under the pointer.
  const sheet = (await page.locator('[role=application]').boundingBox())!;
  const depths = async (press: string, deep: string, none: string) => {
    await page.locator('[data-depths]').waitFor({ state: 'detached' });
    await page.getByRole('button', { name: press }).click();
    await expect(page.locator('[data-depths]')).toBeAttached();
    // Under what is picked, without a pointer; and under the pointer, where nothing is dug.
    await page.mouse.move(5, 5);
    await expect(page.locator('[data-depth-here]')).toContainText(deep);
    await page.mouse.move(sheet.x + 20, sheet.y + 20);
    await expect(page.locator('[data-depth-here]')).toContainText(none);
  };
  await depths('Depths', 'below the string', 'Nothing is dug');
  await saved(page);
  await prefer(page, { lang: 'es' });
  await page.reload();
  await ready(page);
  await stage(page, 'dig');
  await lower(page, 'trucks');
  await expect(page.locator('[data-load-row="1"]')).toContainText('14:59');
  await expect(page.locator('[data-load-row="1"]')).toContainText('del montón');
  await expect(page.locator('[data-verdict=ok]')).toContainText('nunca espera');
  await view.getByRole('combobox').selectOption('1');
  await expect(page.locator('[data-verdict=waits]')).toContainText('espera camiones');
  await depths('Profundidades', 'bajo el hilo', 'no se excava');
});

test('hand trim is an element’s own; a cramped machine takes longer; hand work is counted', async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await stage(page, 'dig');
  await unfold(page, 'Machine');
  const hours = page.locator('[data-machines] tr').first();
  const before = await hours.innerText();
  await side(page).getByLabel('Little room to swing').check();
  await expect(side(page).getByText('Slowed by cramped swing', { exact: false })).toBeVisible();
  await expect.poll(() => hours.innerText()).not.toBe(before);
  await expect(side(page).getByText('by buried services', { exact: false })).toBeVisible();
  await side(page).getByText('Name, wall, level').first().click();
  const trim = page.locator('[data-side] [data-quantity="elements.trim"]');
  const hand = side(page).getByText('Dug by hand, one person').locator('..');
  const people = await hand.innerText();
  await trim.fill('300');
  await expect.poll(() => hand.innerText()).not.toBe(people);
  await trim.fill('900');
  await expect(trim).toHaveAttribute('aria-invalid', 'true');
});

test('a day is logged with the figures of that day, and none is made up', async ({ page }) => {
  await newJob(page, 'bell-frame');
  await stage(page, 'dig');
  await unfold(page, 'Machine');
  await unfold(page, 'Numbers of');
  await expect(page.locator('[data-side] [aria-label^="Remove day"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Log a day' }).click();
  const day = page.locator('[data-new-day]');
  await expect(day.getByRole('button', { name: 'Log it' })).toBeDisabled();
  await day.locator('input').first().fill('52');
  await expect(day.getByRole('button', { name: 'Log it' })).toBeDisabled();
  await day.locator('input').last().fill('7');
  await day.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('[data-side] [aria-label^="Remove day"]')).toHaveCount(1);
  await expect
    .poll(async () => (await (await page.request.get(`${page.url()}/records`)).json()).records.length)
    .toBe(1);
  const file = await (await page.request.get(`${page.url()}/plan.json`)).json();
  const [logged] = file.records;
  expect(file.records).toHaveLength(1);
  expect(logged).toMatchObject({ kind: 'dug', by: 'Ximena Arce' });
  // The job is typed in yards and kept in metres.
  expect(logged.value.volume).toBeCloseTo(52 * 0.9144 ** 3, 6);
  expect(logged.value.hours).toBeCloseTo(7, 6);
});
