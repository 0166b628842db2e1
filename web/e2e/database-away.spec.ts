/** Runs when every other test has ended: it takes the tests' database away and brings it back. */
import { postgres } from '../../scripts/postgres.ts';
import { expect, field, newJob, prefer, ready, signIn, stage, type } from './helpers.ts';
import { test } from './slowly.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await prefer(page, {});
});

test('the database goes away while typing: it says so, keeps the edit, tries again', {
  tag: '@journey',
}, async ({ page }) => {
  test.setTimeout(240_000);
  const url = await newJob(page, 'bell-frame');
  const server = await postgres('test');
  server.stop();
  try {
    await stage(page, 'ground');
    await type(page, 'ground.frost.local', `5'`);
    await expect(page.locator('[data-saving=waiting]')).toContainText('Kept in this browser', {
      timeout: 15_000,
    });
    const away = await page.request.get(url);
    expect(away.status()).toBe(503);
    expect(await away.text()).toContain('Saved jobs cannot be reached');
  } finally {
    await postgres('test');
  }
  await expect(page.locator('[data-saving=saved]')).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await ready(page);
  await stage(page, 'ground');
  await expect(field(page, 'ground.frost.local')).toHaveValue(`5'-0"`);
});
