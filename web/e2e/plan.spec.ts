import type { Page } from '@playwright/test';
import { expect, newJob, prefer, signIn, stage } from './helpers.ts';
import { test } from './one-tab.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

interface Seen {
  readonly of: string;
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** Names as they stand on the screen, and the marks they must keep off. */
const seen = (page: Page): Promise<{ names: Seen[]; marks: Seen[] }> =>
  page.evaluate(() => {
    const boxOf = (node: Element, of: string) => {
      const { left, top, right, bottom } = node.getBoundingClientRect();
      return { of, x0: left, y0: top, x1: right, y1: bottom };
    };
    const all = (selector: string) => [...document.querySelectorAll(`[data-plan] ${selector}`)];
    return {
      names: all('[data-name-of] text').map((text) =>
        boxOf(text, text.parentElement?.getAttribute('data-name-of') ?? ''),
      ),
      marks: [
        ...all('[data-log] > rect').map((mark) => boxOf(mark, `log:${mark.parentElement?.dataset.log}`)),
        ...all('[data-pin] circle').map((mark) => boxOf(mark, `pin:${mark.parentElement?.dataset.pin}`)),
        ...all('[data-handle]').map((mark) => boxOf(mark, 'handle')),
      ],
    };
  });

/** Letters reach less far than the box the browser says they have, px. */
const SPARE = 4;
const overlap = (p: Seen, q: Seen) =>
  p.x0 < q.x1 - SPARE && q.x0 < p.x1 - SPARE && p.y0 < q.y1 - SPARE && q.y0 < p.y1 - SPARE;

for (const demo of ['honey-house', 'cheese-vault', 'drying-barn', 'reading-room'] as const)
  test(`no name on the plan of ${demo} covers another or a mark, at any stage and size`, async ({ page }) => {
    await newJob(page, demo);
    for (const at of ['ground', 'setout', 'dig', 'water', 'base']) {
      await stage(page, at);
      for (const press of ['[data-fit=plot]', '[data-fit=dig]', '[data-zoom=in]']) {
        await page.locator(press).click();
        await page.waitForTimeout(80);
        const { names, marks } = await seen(page);
        expect(names.length).toBeGreaterThan(0);
        // Gathered first: a thousand assertions would take longer than what they look at.
        const over = names.flatMap((name, i) =>
          [
            ...names.slice(i + 1).filter((other) => overlap(name, other)),
            ...marks.filter((mark) => mark.of !== name.of && overlap(name, mark)),
          ].map((other) => `${at} ${press}: ${name.of} over ${other.of}`),
        );
        expect(over).toEqual([]);
      }
    }
  });

test('the picked thing is named whatever is round it, and a wide plot leaves the dig its size', async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  const width = async () => (await page.locator('[data-element=T1]').boundingBox())!.width;
  const fitted = await width();
  await page.locator('[data-fit=plot]').click();
  await expect.poll(width).toBeLessThan(0.9 * fitted);
  for (const id of ['P3', 'W1', 'T1']) {
    await page.locator(`[data-element=${id}]`).press('Enter');
    await expect(page.locator(`[data-name-of=${id}]`)).toBeVisible();
  }
  await page.locator('[data-plan]').press('f');
  await expect.poll(async () => Math.round(await width())).toBe(Math.round(fitted));
});

test('a piece of what is dug is hatched where it lies, on plan and section, until one is done with it', async ({
  page,
}) => {
  await newJob(page, 'honey-house');
  await page.locator('[data-figure=dig]').click();
  await page.getByRole('button', { name: /(batters|side slopes): 171\.5/ }).press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.locator('[data-hatched=sides]')).toHaveCount(2);
  await expect(page.getByRole('status').filter({ hasText: 'Hatched' })).toContainText(
    /(batters|side slopes), 171\.5/,
  );
  // Another element is cut: its sides are hatched there.
  await page.locator('[data-name-of=P1]').click();
  await expect(page.locator('[data-hatched=sides]')).toHaveCount(2);
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.locator('[data-hatched]')).toHaveCount(0);
});
