/** The board of days: tasks the plan makes of itself, what is late, what is called by when. */
import { test } from '@playwright/test';
import { base, expect, newJob, prefer, signIn, stage } from './helpers.ts';

test('a job’s days are drawn by place and day, with what is late and what is called by when, in both languages', async ({
  page,
}) => {
  await signIn(page);
  await prefer(page, {});
  await newJob(page, 'honey-house');
  await stage(page, 'log');
  const job = new URL(page.url()).pathname.split('/').at(-1)!;
  await page.locator('[data-side]').getByRole('link', { name: 'Days' }).click();
  await expect(page.locator('[data-days]')).toBeVisible();
  expect(new URL(page.url()).pathname).toBe(`/jobs/${job}/days`);
  // What was shot is dug: it no longer stands there. What is not goes on from today.
  await expect(page.locator('[data-task="dig/T1"]')).toHaveCount(0);
  const bar = page.locator('[data-task="pour/footings"]');
  await expect(bar).toHaveAttribute('title', /pour · .*\sh/);
  expect(Number(await bar.getAttribute('data-late'))).toBeGreaterThan(0);
  await expect(page.locator('[data-row="e:T2"] [data-task="bed/T2"]')).toHaveCount(1);
  expect(Number(await page.locator('[data-calls]').getAttribute('data-calls'))).toBeGreaterThan(3);
  await expect(page.getByText(/concrete, .*m³ for /).first()).toBeVisible();
  const csv = await (await page.request.get(`${base()}/jobs/${job}/days.csv`)).text();
  expect(csv).toContain('task,element,pour,begins,ends');
  expect(csv).toContain('pour/footings,,footings,');
  await prefer(page, { lang: 'es-ES' });
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Días de');
  await expect(page.locator('[data-task="pour/footings"]')).toContainText(/hormigonar|verter/);
});
