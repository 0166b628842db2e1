import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { base, expect, lower, newJob, prefer, ready, signIn, stage } from './helpers.ts';
import { test } from './slowly.ts';

/**
 * What axe finds; of a theme only its contrast, since nothing else hangs on it.
 * @param parts what is looked at, of a page whose rest was looked at before
 */
async function serious(page: Page, contrastOnly = false, parts: readonly string[] = []): Promise<string[]> {
  // No frames of other sites here: found in the page itself, without a second one to gather in. Of what is
  // well nobody asks where it is, which would take longest.
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ preload: false, resultTypes: ['violations'] });
  for (const part of parts) axe.include(part);
  const { violations } = await (contrastOnly
    ? axe.withRules(['color-contrast'])
    : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
  ).analyze();
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((node) => node.target.join(' '))
          .slice(0, 3)
          .join(' | ')}`,
    );
}

/** The themes beside the light one: what else axe looks at is the same in all. */
const DARKER = ['night', 'sun'];

test('axe finds nothing serious on sign-in, job board and desk, in any theme', async ({ page }) => {
  const check = async (where: string, ...parts: string[]) => {
    // What is folded away is there for who opens it.
    await page.evaluate(() => {
      for (const fold of document.querySelectorAll<HTMLDetailsElement>('[data-side] details'))
        fold.open = true;
    });
    expect(await serious(page, false, parts), where).toEqual([]);
    for (const theme of [...DARKER, 'light']) {
      await page.evaluate((to) => document.documentElement.setAttribute('data-theme', to), theme);
      if (theme !== 'light') expect(await serious(page, true, parts), `${where}, ${theme}`).toEqual([]);
    }
  };
  await page.goto(`${base()}/sign-in`);
  await check('sign-in');
  await signIn(page);
  // A theme chosen is what the page comes with.
  for (const theme of [...DARKER, 'light']) {
    await prefer(page, { theme });
    await page.goto(`${base()}/jobs`);
    await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
  }
  await check('jobs');
  await newJob(page, 'honey-house');
  await stage(page, 'dig');
  await check('dig');
  // Of the other stages what they bring with them.
  for (const key of ['ground', 'setout', 'levels', 'base', 'backfill']) {
    await stage(page, key);
    await check(key, '[data-side]', 'main > div:last-of-type');
  }
  await stage(page, 'dig');
  await lower(page, 'trucks');
  await page.locator('[data-load-row]').first().waitFor();
  await page.getByRole('button', { name: 'Depths' }).click();
  await check('trucks and depths', 'main');
  await page.locator('[data-figure=dig]').click();
  await page.getByRole('dialog').waitFor();
  await check('workings', '[role=dialog]');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('everything is there, stacked, with targets a thumb can hit', { tag: '@journey' }, async ({
    page,
  }) => {
    await signIn(page);
    await newJob(page, 'honey-house');
    await prefer(page, { theme: 'sun' });
    await page.reload();
    await ready(page);
    expect(await page.evaluate('document.documentElement.scrollWidth')).toBeLessThanOrEqual(390);
    // One row of head, then what one asks in the hole, then the drawings: all on the first screen.
    const head = (await page.locator('header').first().boundingBox())!;
    expect(head.height).toBeLessThan(64);
    const answers = page.locator('[data-answer]');
    await expect(answers).toHaveCount(4);
    await expect(page.locator('[data-answer=depth]')).toContainText('2.198 m');
    await expect(page.locator('[data-answer=width]')).toContainText('1200 mm');
    await expect(page.locator('[data-answer=sides]')).toContainText('1H:1V');
    await expect(page.locator('[data-answer=next]')).toContainText(/Next: /);
    const section = (await page.getByRole('region', { name: 'Section', exact: true }).boundingBox())!;
    for (const box of await Promise.all((await answers.all()).map((one) => one.boundingBox()))) {
      expect(box!.y).toBeGreaterThanOrEqual(head.y + head.height - 1);
      expect(box!.y + box!.height).toBeLessThanOrEqual(section.y + 1);
    }
    expect(section.y + section.height).toBeLessThan(844);
    const tally = (await page.locator('[data-figure=dig]').boundingBox())!;
    expect(tally.y).toBeGreaterThan(section.y);
    await page.getByRole('button', { name: /Stages/ }).tap();
    await page.locator('[data-stage=ground]:visible').tap();
    await expect(page.getByRole('heading', { name: 'Ground surface' })).toBeVisible();
    const small =
      await page.evaluate(`[...document.querySelectorAll('button, input:not([type=checkbox]), select')]
      .filter((e) => e.checkVisibility() && e.getBoundingClientRect().height < 44)
      .map((e) => e.outerHTML.slice(0, 80))`);
    expect(small).toEqual([]);
    expect(await serious(page)).toEqual([]);
  });
  test('plan and section change places under the thumb, and a finger passing over moves no trench', async ({
    page,
  }) => {
    await signIn(page);
    await newJob(page, 'honey-house');
    const row = page.locator('[data-swiped]');
    const box = (await row.boundingBox())!;
    const touch = await page.context().newCDPSession(page);
    /** A finger that pushes over the middle of the drawing, in a dozen moves. */
    const swipe = async (by: number) => {
      const [x, y] = [box.x + box.width / 2 - by / 2, box.y + 0.8 * box.height];
      const put = (type: 'touchStart' | 'touchMove' | 'touchEnd', dx: number | null) =>
        touch.send('Input.dispatchTouchEvent', { type, touchPoints: dx === null ? [] : [{ x: x + dx, y }] });
      await put('touchStart', 0);
      for (let i = 1; i <= 12; i++) await put('touchMove', (by * i) / 12);
      await put('touchEnd', null);
    };
    await expect(row).toHaveAttribute('data-swiped', '0');
    await swipe(-260);
    await expect(row).toHaveAttribute('data-swiped', '1');
    await expect(page.getByRole('region', { name: 'Plan', exact: true })).toBeInViewport({ ratio: 0.9 });
    await swipe(260);
    await expect(row).toHaveAttribute('data-swiped', '0');
    await page.getByRole('button', { name: 'Plan', exact: true }).tap();
    await expect(row).toHaveAttribute('data-swiped', '1');
    // Once the push has come to rest: what is touched is picked, and the answers are of it.
    await expect(page.getByRole('region', { name: 'Plan', exact: true })).toBeInViewport({ ratio: 0.99 });
    await page.locator('[data-name-of=P1]').tap();
    await expect(page.locator('[data-in-hole=P1]')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
    await page.getByLabel('Standing in').selectOption({ label: 'Trench T2' });
    await expect(page.locator('[data-in-hole=T2]')).toBeVisible();
  });
});

test('drawings are tabs, and arrows move between them', async ({ page }) => {
  await signIn(page);
  await newJob(page, 'honey-house');
  await stage(page, 'dig');
  const tab = (name: string) => page.locator(`[role=tab][data-lower=${name}]`);
  await expect(page.getByRole('tablist')).toBeVisible();
  await tab('section').focus();
  await page.keyboard.press('ArrowRight');
  await expect(tab('order')).toHaveAttribute('aria-selected', 'true');
  await expect(tab('order')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('tab', { selected: true })).not.toHaveAttribute('data-lower', 'section');
  await page.keyboard.press('Home');
  await expect(tab('section')).toHaveAttribute('aria-selected', 'true');
});

test('no page writes an error to the console', async ({ page }) => {
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  page.on('pageerror', (error) => errors.push(error.message));
  await signIn(page);
  await newJob(page, 'honey-house');
  for (const key of ['ground', 'setout', 'levels', 'water', 'base', 'pour', 'backfill', 'log'])
    await stage(page, key);
  await page.goto(`${base()}/jobs`);
  await page.goto(`${base()}/join`);
  expect(errors).toEqual([]);
});
