/** The board of days: putting a large job in time, and in a real browser from a nudge to the bar that stands elsewhere. */
import { compute, programmeOf } from '@cimiento/core';
import { simulatedJob } from '@cimiento/simulators';
import type { Page } from '@playwright/test';
import { newJob } from '../web/e2e/helpers.ts';
import { row } from './rows.ts';

const RAINY = Array.from({ length: 10 }, (_, i) => ({
  day: `2026-11-${String(2 + i).padStart(2, '0')}`,
  rain: i % 3 === 2 ? 0.012 : 0,
  low: 3,
  high: 9,
  from: 'typed' as const,
}));

/** Days of a job worked out of its takeoff; with ten days of weather. */
export function daysInTime(): void {
  for (const [name, weather] of [
    ['240 elements, days', []],
    ['240 elements, days with rain', RAINY],
  ] as const) {
    const plan = simulatedJob(240);
    plan.days = { ...plan.days, start: '2026-11-02', weather: [...weather] };
    const first: number[] = [];
    const again: number[] = [];
    for (let run = 0; run < 6; run++) {
      // A takeoff nothing is remembered of; then one whose fillings and rain are, as an edit of the days finds it.
      const takeoff = compute(plan);
      for (const into of [first, again]) {
        const start = performance.now();
        programmeOf(plan, takeoff, { today: '2026-11-02' });
        into.push(performance.now() - start);
      }
    }
    row(`${name} (at most 300)`, again.slice(1));
    row(`${name}, with its fillings`, first.slice(1));
  }
}

/** ms from an arrow key on a bar to where it stands then. */
const nudged = (page: Page, task: string, runs: number) =>
  page.evaluate(
    `(async () => {
  const out = [];
  for (let i = 0; i < ${runs}; i++) {
    const bar = document.querySelector('[data-task="${task}"]');
    const before = bar.dataset.begins;
    bar.focus();
    const start = performance.now();
    bar.dispatchEvent(new KeyboardEvent('keydown', { key: i % 4 < 2 ? 'ArrowRight' : 'ArrowLeft', bubbles: true }));
    await new Promise((done) => {
      const look = () => {
        const now = document.querySelector('[data-task="${task}"]')?.dataset.begins;
        if ((now && now !== before) || performance.now() - start > 4000) requestAnimationFrame(done);
        else requestAnimationFrame(look);
      };
      look();
    });
    out.push(performance.now() - start);
    await new Promise((done) => setTimeout(done, 120));
  }
  return out;
})()`,
  ) as Promise<number[]>;

export async function daysBench(page: Page, base: string): Promise<void> {
  await newJob(page, 'honey-house');
  const job = new URL(page.url()).pathname.split('/').at(-1)!;
  await page.goto(`${base}/jobs/${job}/days?day=2026-10-15`);
  await page.locator('[data-live=true] [data-task="fill/T1"]').waitFor();
  // The first edit is seen warm.
  await nudged(page, 'fill/T1', 4);
  row('an edit of its days (p95 < 250)', await nudged(page, 'fill/T1', 40));
}
