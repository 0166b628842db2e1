/**
 * The desk in a real browser: script it loads, and from a typed number to the tally that shows it, with
 * its parts; how many frames a second a large plan zooms at. The goals stand beside.
 */
import { writePlan } from '@cimiento/formats';
import { simulatedJob } from '@cimiento/simulators';
import { type CDPSession, chromium, type Page } from '@playwright/test';
import { newJob, ready, signIn, stage } from '../web/e2e/helpers.ts';
import serve from '../web/e2e/serve.ts';
import { daysBench } from './bench-days.ts';
import { holeBench } from './bench-hole.ts';
import { logBench } from './bench-log.ts';
import type { Line } from './budgets.ts';
import { CHROMIUM } from './chromium.ts';
import { load } from './load.ts';
import { row } from './rows.ts';

interface Parts {
  readonly ScriptDuration: number;
  readonly RecalcStyleDuration: number;
  readonly LayoutDuration: number;
  readonly TaskDuration: number;
}

async function partsOf(cdp: CDPSession): Promise<Parts> {
  const { metrics } = await cdp.send('Performance.getMetrics');
  return Object.fromEntries(metrics.map(({ name, value }) => [name, value])) as unknown as Parts;
}

/** Types frost depths one after the other; ms from each to the frame that shows its tally, and its section. */
const typed = (page: Page, runs: number) =>
  page.evaluate(`(async () => {
  const input = document.querySelector('[data-side] [data-quantity="ground.frost.local"]');
  input.focus();
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const shown = () => document.querySelector('[data-figure=dig] [data-value]').textContent;
  const drawn = () => document.querySelector('[data-flag=formation]').textContent;
  const out = { tally: [], drawings: [] };
  const until = (what, before, start) => new Promise((done) => {
    const look = () => (what() !== before || performance.now() - start > 4000 ? requestAnimationFrame(() => done(performance.now() - start)) : requestAnimationFrame(look));
    look();
  });
  for (let i = 0; i < ${runs}; i++) {
    const before = [shown(), drawn()];
    const start = performance.now();
    set.call(input, (1.1 + (i % 40) / 60 + (i >= 40 ? 0.01 : 0)).toFixed(3));
    input.dispatchEvent(new Event('input', { bubbles: true }));
    const both = [until(shown, before[0], start), until(drawn, before[1], start)];
    out.tally.push(await both[0]);
    out.drawings.push(await both[1]);
    await new Promise((done) => setTimeout(done, 30));
  }
  return out;
})()`) as Promise<{ tally: number[]; drawings: number[] }>;

/** Frames a second while the plan is zoomed in and out by the wheel. */
const zoomed = (page: Page) =>
  page.evaluate(`(async () => {
  const plan = document.querySelector('svg[data-plan]');
  const box = plan.getBoundingClientRect();
  let frames = 0;
  const start = performance.now();
  while (performance.now() - start < 3000) {
    plan.dispatchEvent(new WheelEvent('wheel', { bubbles: true, cancelable: true, deltaY: frames % 40 < 20 ? -40 : 40, clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 }));
    await new Promise((done) => requestAnimationFrame(done));
    frames++;
  }
  return (1000 * frames) / (performance.now() - start);
})()`) as Promise<number>;

async function timed(page: Page, name: string, runs: number, goal: string): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  await page.locator('[data-side] [data-quantity="ground.frost.local"]').waitFor();
  await typed(page, 6);
  await page.evaluate('performance.clearMeasures()');
  const before = await partsOf(cdp);
  const taken = await typed(page, runs);
  const after = await partsOf(cdp);
  row(`${name} (goal ${goal})`, taken.tally);
  row('  its drawings', taken.drawings);
  const each = (part: keyof Parts) => (((after[part] - before[part]) * 1000) / runs).toFixed(1);
  const core = (await page.evaluate(
    `performance.getEntriesByName('takeoff').reduce((sum, entry) => sum + entry.duration, 0) / ${runs}`,
  )) as number;
  console.log(
    `  an edit: script ${each('ScriptDuration')} ms (core on the page ${core.toFixed(1)}), style ${each('RecalcStyleDuration')}, layout ${each('LayoutDuration')}, all tasks ${each('TaskDuration')}`,
  );
}

/** Opens a job of 240 elements at its ground. */
async function largeJob(page: Page): Promise<void> {
  const response = await page.request.post(`${process.env.BASE_URL}/jobs`, {
    multipart: {
      intent: 'file',
      file: {
        name: 'job.json',
        mimeType: 'application/json',
        buffer: Buffer.from(writePlan(simulatedJob(240))),
      },
    },
    maxRedirects: 0,
  });
  await page.goto(`${process.env.BASE_URL}${response.headers().location}`);
  await ready(page);
  await stage(page, 'ground');
}

/** Each way from an edit to its tally that has a budget, and how it is measured: ms of each edit. */
export async function editsToTally(
  each: (line: Line, measure: () => Promise<readonly number[]>) => Promise<void>,
): Promise<void> {
  const stop = await serve();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await signIn(page);
    await newJob(page, 'honey-house');
    await stage(page, 'ground');
    const measured = async (runs: number) => {
      await page.locator('[data-side] [data-quantity="ground.frost.local"]').waitFor();
      await typed(page, 6);
      return (await typed(page, runs)).tally;
    };
    await each('edit to tally, Honey house', () => measured(40));
    await largeJob(page);
    await each('edit to tally, 240 elements', () => measured(12));
  } finally {
    await browser.close();
    await stop();
  }
}

/** @param only the board of days alone */
export async function deskBench(only?: 'days'): Promise<void> {
  const stop = await serve();
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await signIn(page);
  await daysBench(page, process.env.BASE_URL ?? '');
  if (only) {
    await browser.close();
    await stop();
    return;
  }
  console.log('\ndesk, in the browser: from the input event to the frame that shows the new tally');
  await newJob(page, 'honey-house');
  await stage(page, 'ground');
  await timed(page, 'Honey house', 75, 'p95 < 100, none over 250');
  await largeJob(page);
  await timed(page, '240 elements', 20, 'p95 < 250');
  console.log(`240 elements: zooms at ${(await zoomed(page)).toFixed(1)} frames a second (goal 30)`);
  // The first minute, three keys a second: from the empty form to the figures.
  await page.goto(`${process.env.BASE_URL}/jobs`);
  const form = page.locator('[data-first]');
  await form.waitFor();
  const began = performance.now();
  const say = (label: string, text: string) =>
    form.getByLabel(label, { exact: true }).pressSequentially(text, { delay: 333 });
  await say('Job name', 'Two doors');
  await form.getByLabel('What is it').selectOption('ring');
  await say('How long', '14.4');
  await say('How wide', '8.4');
  await say('Frost goes down to (0 where it never freezes)', '0.95');
  await form.getByLabel('What is under it').selectOption('softClay');
  await say('Water seen, below the ground', '1.2');
  await form.getByRole('button', { name: 'Start the job' }).click();
  await ready(page);
  const url = page.url();
  await page.request.get(`${url}/dig-sheet.pdf`);
  console.log(
    `first minute, typed: ${((performance.now() - began) / 1000).toFixed(1)} s to figures and sheet (goal 60)`,
  );
  await browser.close();
  await holeBench();
  await logBench();
  if (!process.argv.includes('--desk')) await load(process.env.BASE_URL ?? '');
  await stop();
}
