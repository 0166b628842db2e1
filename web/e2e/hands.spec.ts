/** By mouse, finger, keys and ear: what is pressed is what is meant, and nothing is out of reach. */
import type { Page } from '@playwright/test';
import { DEMO_PERSON } from '../db/demo-people.ts';
import { base, expect, field, figure, newJob, prefer, ready, signIn, stage } from './helpers.ts';
import { test } from './slowly.ts';

test('a number pressed is a number selected; half a number is not worked out', { tag: '@journey' }, async ({
  page,
}) => {
  await signIn(page);
  await newJob(page, 'honey-house');
  await stage(page, 'levels');
  const string = field(page, 'levels.string');
  const before = await string.inputValue();
  const dug = await figure(page, 'dig');
  const selected = () =>
    string.evaluate((input: HTMLInputElement) => [input.selectionStart, input.selectionEnd]);
  await string.click();
  expect(await selected()).toEqual([0, before.length]);
  await page.keyboard.type('100.3');
  await expect(string).toHaveValue('100.3');
  // One on its way to a hundred, or past it, is nothing to dig to.
  await string.fill('');
  await page.keyboard.type('7');
  await page.waitForTimeout(900);
  expect(await figure(page, 'dig')).toBeGreaterThan(dug / 2);
  await string.fill('100.30');
  await page.keyboard.press('Escape');
  await expect(string).not.toBeFocused();
  await expect(page.locator('[data-saving=saved]')).toBeVisible();
  // Pressed within, a second press puts the mark where it is pressed.
  await string.click();
  await string.click();
  const [from, to] = await selected();
  expect(from).toBe(to);
  // Far off but meant: taken when the field is left.
  await stage(page, 'ground');
  const frost = field(page, 'ground.frost.local');
  await frost.fill('0.05');
  await page.waitForTimeout(600);
  const held = await figure(page, 'dig');
  await page.keyboard.press('Enter');
  await expect.poll(() => figure(page, 'dig')).toBeLessThan(held);
  // Out of its limits: said when the typing rests, not while it goes on.
  await frost.click();
  await page.keyboard.type('99');
  await expect(page.locator('[data-side] [role=status]').filter({ hasText: 'Between' })).toHaveCount(0);
  await expect(page.locator('[data-side] [role=status]').filter({ hasText: 'Between' })).toHaveCount(1);
});

const WIDTHS = [320, 360, 390, 412];

/** Words in the drawing shown that are smaller than eleven, or cut by its edge. */
async function unreadable(page: Page): Promise<string[]> {
  await page.waitForTimeout(600);
  return page.evaluate(() =>
    [...document.querySelectorAll('[data-swiped] > :first-child svg text')].flatMap((one) => {
      const text = one.textContent?.trim();
      const drawing = one.closest('svg')?.getBoundingClientRect();
      const own = one.getBoundingClientRect();
      if (!text || !drawing || own.width === 0) return [];
      const small = Number.parseFloat(getComputedStyle(one).fontSize) < 11;
      const cut = own.left < drawing.left - 1 || own.right > drawing.right + 1;
      return [...(small ? [`small “${text}”`] : []), ...(cut ? [`cut “${text}”`] : [])];
    }),
  );
}

for (const width of WIDTHS)
  test.describe(`a phone ${width} wide`, () => {
    test.use({ viewport: { width, height: 780 }, hasTouch: true, isMobile: true });
    test('every drawing of every stage is reached by a finger', async ({ page }) => {
      await signIn(page);
      await newJob(page, 'honey-house');
      const faults: string[] = [];
      for (const key of ['ground', 'setout', 'levels', 'dig', 'base', 'water']) {
        await page.getByRole('button', { name: /Stages/ }).tap();
        await page.locator(`[data-stage=${key}]:visible`).tap();
        const tabs = page.locator('main [role=tab]');
        const names = await tabs.evaluateAll((all) => all.map((one) => one.getAttribute('data-lower')!));
        for (const name of names) {
          const tab = page.locator(`main [role=tab][data-lower=${name}]`);
          // Taps its middle, and only if nothing lies over it there.
          const tapped = await tab.tap({ timeout: 15_000 }).catch((error: Error) => error.message);
          if (tapped) faults.push(`${key}: ${name}: ${tapped.slice(0, 200)}`);
          await expect(tab).toHaveAttribute('aria-selected', 'true');
          // A drawing that is fetched brings its own head: what stood there a moment ago may be gone.
          const look = () =>
            tab
              .evaluate(
                (one) => {
                  const list = one.parentElement!.getBoundingClientRect();
                  const own = one.getBoundingClientRect();
                  const inView = own.left >= list.left - 1 && own.right <= list.right + 1;
                  return inView && own.width >= 44 && own.height >= 44;
                },
                undefined,
                { timeout: 2000 },
              )
              .catch(() => false);
          await expect.poll(look, { message: `${key}: ${name}` }).toBe(true);
          if (width === 360)
            faults.push(...(await unreadable(page)).map((what) => `${key}: ${name}: ${what}`));
        }
        const wide = await page.evaluate('document.documentElement.scrollWidth');
        if ((wide as number) > width) faults.push(`${key}: the page is ${wide} wide`);
      }
      expect(faults).toEqual([]);
    });
  });

test.describe('two fingers and the wheel', () => {
  test.use({ hasTouch: true });
  test('zoom over a trench too, which stays where it is', async ({ page }) => {
    await signIn(page);
    await newJob(page, 'honey-house');
    await stage(page, 'dig');
    const trench = page.locator('[data-element]').first();
    await trench.focus();
    await page.keyboard.press('Enter');
    const handle = page.locator('[data-handle]').first();
    const at = (await handle.boundingBox())!;
    const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
    const span = async () => (await page.locator('[data-plan] [data-element]').first().boundingBox())!.width;
    const first = await span();
    await page.mouse.move(x, y);
    await page.mouse.wheel(0, -300);
    await expect.poll(span).toBeGreaterThan(first * 1.1);
    await page.locator('[data-fit=dig]').click();
    await expect.poll(span).toBeCloseTo(first, 0);
    // The first finger lands on the corner that is dragged by it, the second beside.
    const touch = await page.context().newCDPSession(page);
    const put = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...points: number[]) =>
      touch.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: points.map((dx, id) => ({ x: x + dx, y, id })),
      });
    await put('touchStart', 0);
    await put('touchStart', 0, 40);
    for (let i = 1; i <= 8; i++) await put('touchMove', 0, 40 + 12 * i);
    await put('touchEnd');
    await expect.poll(span).toBeGreaterThan(first * 1.5);
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
});

test('menus close by Escape and when the focus goes on; single keys can be put to rest', async ({ page }) => {
  await signIn(page);
  await newJob(page, 'honey-house');
  const menu = page.locator('header details');
  const summary = menu.locator('summary');
  await summary.click();
  await expect(menu).toHaveAttribute('open', '');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  await expect(menu).not.toHaveAttribute('open', '');
  await expect(summary).toBeFocused();
  await summary.click();
  await page.locator('[data-side]').focus();
  await expect(menu).not.toHaveAttribute('open', '');
  await page.keyboard.press('?');
  await page.locator('[data-single-keys]').uncheck();
  // No chord acts under a dialog.
  const chosen = page.locator('[data-stage][aria-current=step]:visible');
  const at = await chosen.getAttribute('data-stage');
  await page.keyboard.press('Control+Enter');
  await page.keyboard.press('Escape');
  await page.locator('[data-side]').focus();
  await page.keyboard.press('3');
  await page.waitForTimeout(300);
  expect(await chosen.getAttribute('data-stage')).toBe(at);
  // From inside a field to the next stage all the same.
  await stage(page, 'ground');
  await field(page, 'ground.frost.local').focus();
  await page.keyboard.press('Control+Enter');
  await expect(chosen).toHaveAttribute('data-stage', 'setout');
  await expect(page.locator('[data-side]')).toBeFocused();
  await page.keyboard.press('Control+Shift+Enter');
  await expect(chosen).toHaveAttribute('data-stage', 'ground');
});

test('what an edit changed is said once it rests, and no key of it', async ({ page }) => {
  await signIn(page);
  await newJob(page, 'honey-house');
  await stage(page, 'ground');
  const said = page.locator('[data-tally-said]');
  await page.evaluate(() => {
    const heard: string[] = [];
    Object.assign(window, { heard });
    new MutationObserver(() => heard.push(document.querySelector('[data-tally-said]')!.textContent!)).observe(
      document.querySelector('[data-tally-said]')!,
      { childList: true, characterData: true, subtree: true },
    );
  });
  await field(page, 'ground.frost.local').click();
  await page.keyboard.type('1.37', { delay: 120 });
  await expect(said).toContainText(/Dig, in the ground [\d.]+\sm³, up [\d.]+\sm³/);
  expect(await page.evaluate('heard.length')).toBe(1);
  const flag = page.locator('[data-flag=string]');
  const [now, least, most] = await flag.evaluate((one) =>
    ['now', 'min', 'max'].map((name) => Number(one.getAttribute(`aria-value${name}`))),
  );
  expect(least).toBeLessThan(now!);
  expect(most).toBeGreaterThan(now!);
  // What the drawings show is said too.
  await expect(page.locator('main svg[aria-label^="T1: "]')).toHaveAttribute(
    'aria-label',
    /^T1: .* deep, .* from the string, 1200.mm at the bottom, sides 1H:1V\. Under it from the bottom up: Crushed stone.*, Blinding 75.mm\./,
  );
  await expect(page.getByRole('application', { name: /^8 trenches, 5 pads, 2 slabs/ })).toHaveCount(1);
  await flag.focus();
  await page.keyboard.press('PageDown');
  await expect(flag).toHaveAttribute('aria-valuenow', String(Math.round((now! - 0.1) * 1e6) / 1e6));
});

test('what the browser draws itself follows the theme; forced colours still show what is chosen', async ({
  page,
}) => {
  await signIn(page);
  await newJob(page, 'honey-house');
  await prefer(page, { theme: 'night' });
  await page.reload();
  await ready(page);
  expect(await page.evaluate('getComputedStyle(document.documentElement).colorScheme')).toBe('dark');
  await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
  await stage(page, 'dig');
  for (const chosen of ['[role=tab][aria-selected=true]', '[data-stage=dig][aria-current=step]:visible'])
    expect(
      await page
        .locator(chosen)
        .first()
        .evaluate((one) => getComputedStyle(one).outlineStyle),
    ).toBe('solid');
});

/** Presses a key, and counts it. */
function counted(page: Page) {
  let presses = 0;
  return {
    press: async (...keys: string[]) => {
      for (const key of keys) {
        await page.keyboard.press(key);
        presses++;
      }
    },
    type: async (text: string) => {
      await page.keyboard.type(text);
      presses += text.length;
    },
    presses: () => presses,
  };
}

test('from the door to the dig sheet of a ring by keys alone, in sixty presses beside what is typed', async ({
  page,
}) => {
  await page.goto(`${base()}/sign-in`);
  const email = page.getByLabel('E-mail');
  await email.focus();
  await page.keyboard.type(DEMO_PERSON.email);
  const keys = counted(page);
  await keys.press('Tab');
  await page.keyboard.type(DEMO_PERSON.password);
  await keys.press('Enter');
  await page.locator('[data-head]').waitFor();
  await expect(page.locator('[data-head]')).toBeFocused();
  await keys.press('Tab');
  await expect(page.locator('[data-skip=newJob]')).toBeFocused();
  await keys.press('Enter');
  const form = page.locator('[data-first]');
  await expect(form.getByLabel('Job name')).toBeFocused();
  const to = async (label: string, exact = true) => {
    const wanted = form.getByLabel(label, { exact });
    for (let i = 0; i < 12 && !(await wanted.evaluate((one) => one === document.activeElement)); i++)
      await keys.press('Tab');
    await expect(wanted).toBeFocused();
  };
  await keys.type('Ring');
  await to('What is it', false);
  const what = form.getByLabel('What is it');
  for (let i = 0; i < 8 && (await what.inputValue()) !== 'ring'; i++) await keys.press('ArrowDown');
  await to('How long');
  await keys.type('14.4');
  await to('How wide');
  await keys.type('8.4');
  await to('Frost goes down to', false);
  await keys.type('0.9');
  await keys.press('Enter');
  await ready(page);
  const opened = page.waitForEvent('popup');
  const sheet = page.locator('header [data-sheet]');
  for (let i = 0; i < 20 && !(await sheet.evaluate((one) => one === document.activeElement)); i++)
    await keys.press('Tab');
  await keys.press('Enter');
  await opened;
  expect(keys.presses()).toBeLessThanOrEqual(60);
});

test('with text twice as large nothing is wider than the page, and every stage is reached', async ({
  page,
}) => {
  await signIn(page);
  await newJob(page, 'honey-house');
  await page.addStyleTag({ content: 'html { font-size: 200% !important }' });
  for (const key of ['ground', 'dig', 'water', 'base']) {
    await stage(page, key);
    await page.waitForTimeout(500);
    const [wide, side] = (await page.evaluate(
      `[document.documentElement.scrollWidth, document.querySelector('[data-side]').scrollWidth - document.querySelector('[data-side]').clientWidth]`,
    )) as [number, number];
    expect(wide, key).toBeLessThanOrEqual(1280);
    expect(side, key).toBeLessThanOrEqual(1);
  }
});
