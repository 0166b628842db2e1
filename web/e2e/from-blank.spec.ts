/** Whole jobs from New job alone: what one says on the phone, counted, and no step back. */
import type { Page } from '@playwright/test';
import { base, expect, figure, prefer, ready, signIn } from './helpers.ts';
import { test } from './one-tab.ts';

/** Presses and entries one job may take. */
const MOST = 15;

/** Says things into the form of a new job, counting; then starts it. */
async function job(
  page: Page,
  typed: Readonly<Record<string, string>>,
  chosen: Readonly<Record<string, string>>,
) {
  await signIn(page);
  await prefer(page, {});
  await page.goto(`${base()}/jobs`);
  await expect(page.getByRole('button', { name: 'Start the job' })).toBeVisible();
  let count = 1;
  const form = page.locator('[data-first]');
  for (const [name, value] of Object.entries(chosen)) {
    await form.locator(`select[name=${name}]`).selectOption(value);
    count++;
  }
  for (const [name, value] of Object.entries(typed)) {
    await form.locator(`input[name=${name}]`).fill(value);
    count++;
  }
  await form.getByRole('button', { name: 'Start the job' }).click();
  await ready(page);
  expect(count).toBeLessThanOrEqual(MOST);
  expect((await page.request.get(`${page.url()}/dig-sheet.pdf`)).status()).toBe(200);
}
const codes = async (page: Page) => {
  const answer = await page.request.get(`${page.url()}/takeoff.json`);
  return ((await answer.json()) as { cautions: { code: string }[] }).cautions.map(({ code }) => code);
};

test('pads round an outline on wet clay: 28 of them, water held, nothing else drawn', async ({ page }) => {
  await job(
    page,
    {
      name: 'Wet yard',
      length: '22.4',
      width: '16.8',
      apart: '2.8',
      frost: '0.9',
      water: '0.6',
      call: 'Mara 555 0101',
    },
    { kind: 'round', soil: 'softClay', near: 'no' },
  );
  await expect(page.getByRole('heading', { name: '28 pads' })).toBeVisible();
  // A metre square and 0.3 m thick each.
  expect(await figure(page, 'concrete')).toBeCloseTo(28 * 0.3, 1);
  expect(await codes(page)).toContain('water');
  expect(await codes(page)).not.toContain('ringUnknown');
});

test('an old wall underpinned: bays, passes, and no bay without its engineer', { tag: '@journey' }, async ({
  page,
}) => {
  await job(
    page,
    { name: 'Old gable', length: '6', thick: '500', old: '0.6', down: '2.4', frost: '0.8' },
    { kind: 'underpin', soil: 'stiffClay' },
  );
  await expect(page.getByRole('heading', { name: '1 underpinned run' })).toBeVisible();
  // From 0.6 m down to 2.4 m under 6 m of a wall half a metre thick.
  expect(await figure(page, 'dig')).toBeGreaterThan(6 * 0.5 * 1.8);
  expect(await codes(page)).not.toContain('underpinOpen');
});

test('a slab on a drained bed: bed for its frost, a drain at its foot, concrete once', async ({ page }) => {
  await job(
    page,
    { name: 'Cart shed', length: '12', width: '9', frost: '0.95', water: '1.8' },
    { kind: 'slab', soil: 'stiffClay', near: 'no' },
  );
  const found = await codes(page);
  expect(found).not.toContain('slabFrost');
  expect(found).not.toContain('drainNowhere');
  const concrete = await figure(page, 'concrete');
  expect(concrete).toBeGreaterThan(12 * 9 * 0.2);
  expect(concrete).toBeLessThan(12 * 9 * 0.2 * 1.5);
  expect(await figure(page, 'stone')).toBeGreaterThan(12 * 9 * 0.7 * 1.5);
});
