/** How much is read before anything is opened: words that are seen, numbers left out. */
import type { Page } from '@playwright/test';
import { atLast, base, expect, newJob, signIn, stage } from './helpers.ts';
import { test } from './one-tab.ts';

const STAGES = ['ground', 'setout', 'levels', 'dig', 'water', 'base', 'pour', 'backfill', 'log'] as const;
const MOST_ON_DESK = 220;
const MOST_IN_HOLE = 90;

/** Words in the window that are seen: what holds a letter, in drawings too; not what is folded or cut off. */
const words = (page: Page) =>
  page.evaluate(() => {
    const inside = (r: DOMRect, b: { top: number; bottom: number; left: number; right: number }) =>
      r.bottom > b.top && r.top < b.bottom && r.right > b.left && r.left < b.right;
    const screen = { top: 0, left: 0, bottom: innerHeight, right: innerWidth };
    const seen = (text: Node): boolean => {
      const own = text.parentElement;
      if (!own?.checkVisibility({ visibilityProperty: true, opacityProperty: true })) return false;
      const range = document.createRange();
      range.selectNodeContents(text);
      const [rect] = range.getClientRects();
      if (!rect || rect.width <= 2 || !inside(rect, screen)) return false;
      for (let up: Element | null = own; up; up = up.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(up);
        if (overflowX + overflowY !== 'visiblevisible' && !inside(rect, up.getBoundingClientRect()))
          return false;
      }
      return true;
    };
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    let count = 0;
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (
        node.textContent?.trim() &&
        !node.parentElement?.closest('script, style, title, option') &&
        seen(node)
      )
        count += node.textContent.split(/\s+/).filter((word) => /\p{L}/u.test(word)).length;
    return count;
  });

test.describe('at 1280 × 800', () => {
  test.use({ viewport: { width: 1280, height: 800 } });
  test('no stage of a house says more than 220 words before anything is opened', async ({ page }) => {
    await signIn(page);
    await newJob(page, 'honey-house');
    for (const key of STAGES) {
      await stage(page, key);
      await expect(page.locator('[data-side] h2, [data-side] h3').first()).toBeVisible();
      // What comes later takes its place: on Water the ways to hold it, out of a worker.
      if (key === 'water')
        await expect(page.locator('[data-side] [data-holding]').first()).toBeVisible({ timeout: 60_000 });
      const said = await atLast(() => words(page));
      expect(said, key).toBeLessThanOrEqual(MOST_ON_DESK);
      // An empty screen says little too: there is something to read.
      expect(said, key).toBeGreaterThan(MOST_ON_DESK / 4);
    }
  });
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('a thing in the hole says no more than 90', async ({ page }) => {
    await signIn(page);
    const job = (await newJob(page, 'honey-house')).split('/').pop();
    await page.goto(`${base()}/hole?job=${job}&at=T1`);
    await expect(page.locator('[data-point]')).toBeVisible();
    expect(await atLast(() => words(page))).toBeLessThanOrEqual(MOST_IN_HOLE);
    await page.goto(`${base()}/hole?job=${job}`);
    await expect(page.locator('[data-go]').first()).toBeVisible();
    expect(await words(page)).toBeLessThanOrEqual(MOST_IN_HOLE);
  });
});
