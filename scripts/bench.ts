/**
 * Performance: compute() on the demos and a simulated 60-element job, first-load script of the
 * desk, and edit-to-tally latency in the real browser. Prints medians and spread; asserts nothing.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import {
  compute,
  digInputs,
  digOrder,
  excavate,
  flatPlan,
  type Plan,
  spotSurface,
  takeSurvey,
  triangulate,
} from '@cimiento/core';
import { readLandXml, readPlan, readSurveyCsv, writeSurveyCsv } from '@cimiento/formats';
import { random, simulatedJob, simulatedSurvey } from '@cimiento/simulators';
import { chromium } from '@playwright/test';
import { newJob, signIn, stage } from '../web/e2e/helpers.ts';
import serve from '../web/e2e/serve.ts';
import { CHROMIUM } from './chromium.ts';
import { load } from './load.ts';
import { ROOT } from './postgres.ts';

const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);
const share = (values: readonly number[], part: number) =>
  sorted(values)[Math.min(values.length - 1, Math.floor(values.length * part))] ?? 0;
const ms = (value: number) => value.toFixed(1).padStart(7);
const row = (name: string, values: readonly number[]) =>
  console.log(
    `${name.padEnd(34)} median ${ms(share(values, 0.5))}  p95 ${ms(share(values, 0.95))}  min ${ms(share(values, 0))}  max ${ms(share(values, 1))} ms  (n ${values.length})`,
  );

function time(plan: Plan, runs: number): number[] {
  for (let i = 0; i < 3; i++) compute(plan);
  return Array.from({ length: runs }, () => {
    const start = performance.now();
    compute(plan);
    return performance.now() - start;
  });
}

const repeat = (runs: number, work: () => unknown) =>
  Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });

const demo = (name: string): Plan => {
  const read = readPlan(readFileSync(join(ROOT, 'demo', `${name}.json`), 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.plan;
};

console.log(`node ${process.version}\n\ncompute(plan)`);
row('Honey house', time(demo('honey-house'), 60));
row('Bell frame', time(demo('bell-frame'), 60));
for (const count of [15, 30, 60, 120, 240])
  row(`simulated job, ${count} elements`, time(simulatedJob(count), count > 100 ? 10 : 40));
row('Drying barn, stepped', time(demo('drying-barn'), 40));

/** The plan on ground nobody has seen: the hundredth spot a hair higher each time, so that nothing is remembered. */
let hair = 0;
function unseen(plan: Plan): Plan {
  const { surface } = plan.ground;
  if (surface.kind !== 'spots') throw new Error('surveyed ground is wanted');
  hair += 1e-7;
  const points = surface.points.map((p, i) => (i === 100 ? ([p[0], p[1], p[2] + hair] as const) : p));
  return { ...plan, ground: { ...plan.ground, surface: { ...surface, points: points.map((p) => [...p]) } } };
}

/** Times some work on things made beforehand. */
function timeEach<T>(runs: number, made: () => T, work: (given: T) => unknown): number[] {
  return Array.from({ length: runs }, () => {
    const given = made();
    const start = performance.now();
    work(given);
    return performance.now() - start;
  });
}

console.log(
  '\nthe dug solid on surveyed ground, five soils: nothing remembered; then one cross wall moved a centimetre',
);
for (const [count, triangles] of [
  [15, 5000],
  [30, 5000],
  [60, 5000],
  [120, 10_000],
  [240, 20_000],
  [400, 20_000],
] as const) {
  const plan = simulatedSurvey(count, triangles);
  const runs = count > 100 ? 5 : 12;
  const name = `${count} elements, ${triangles} tri.`;
  // Warm code, cold ground.
  for (let i = 0; i < 3; i++) compute(unseen(plan));
  row(
    `solid, ${name}`,
    timeEach(
      runs,
      () => digInputs(unseen(plan)),
      (inputs) => excavate(...inputs),
    ),
  );
  row(
    `takeoff, ${name}`,
    timeEach(runs, () => unseen(plan), compute),
  );
  let edited = plan;
  compute(edited);
  const edit = () => {
    edited = {
      ...edited,
      elements: edited.elements.map((e, i) =>
        i === 4 && e.kind === 'strip' ? { ...e, points: e.points.map(([x, y]) => [x + 0.01, y]) } : e,
      ),
    };
    return edited;
  };
  row(
    `  edit, solid`,
    timeEach(
      runs,
      () => digInputs(edit()),
      (inputs) => excavate(...inputs),
    ),
  );
  row(`  edit, takeoff`, timeEach(runs, edit, compute));
}
console.log('\norder of digging');
for (const demoName of ['honey-house', 'cheese-vault']) {
  const plan = demo(demoName);
  const takeoff = compute(plan);
  row(
    demoName,
    repeat(3, () => digOrder(plan, takeoff)),
  );
}
{
  const plan = simulatedJob(60);
  const takeoff = compute(plan);
  row(
    'simulated job, 60 elements',
    repeat(2, () => digOrder(plan, takeoff)),
  );
}

/** A made-up survey: hills over 400 × 300 m, and a centimetre of roughness. */
function hills(count: number): [number, number, number][] {
  const next = random(5);
  return Array.from({ length: count }, () => {
    const [x, y] = [next() * 400, next() * 300];
    return [x, y, 100 + 2 * Math.sin(x / 40) + Math.cos(y / 30) + (next() - 0.5) * 0.01];
  });
}
const many = hills(100_000);
const few = hills(8000);
const csv = writeSurveyCsv({ points: many, breaklines: [] });
const xml = `<LandXML><Surfaces><Surface><Definition surfType="TIN"><Pnts>${many
  .map(([x, y, z], i) => `<P id="${i}">${y} ${x} ${z}</P>`)
  .join('')}</Pnts></Definition></Surface></Surfaces></LandXML>`;
console.log('\nsurveys');
row(
  '100 000 spots triangulated',
  repeat(5, () => triangulate(flatPlan(many), [])),
);
row(
  '100 000 spots read from CSV',
  repeat(5, () => readSurveyCsv(csv, null, 'm')),
);
row(
  '100 000 spots read from LandXML',
  repeat(3, () => readLandXml(xml)),
);
row(
  '100 000 spots taken and thinned',
  repeat(3, () => takeSurvey({ points: many, breaklines: [] }, [0, 0])),
);
row(
  'surface of 8 000 spots',
  repeat(5, () => spotSurface(few, [])),
);
if (process.argv.includes('--compute')) process.exit(0);

const stop = await serve();
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await signIn(page);
const url = await newJob(page, 'honey-house');
// A fresh load of the desk alone, with nothing cached.
const scripts = new Map<string, number>();
const fresh = await browser.newContext({ viewport: { width: 1280, height: 800 } });
await fresh.addCookies(await page.context().cookies());
const desk = await fresh.newPage();
desk.on('response', async (response) => {
  if (!response.url().endsWith('.js')) return;
  const body = await response.body().catch(() => Buffer.alloc(0));
  scripts.set(response.url(), gzipSync(body, { level: 9 }).length);
});
await desk.goto(url);
await desk.waitForLoadState('networkidle');
const bytes = [...scripts.values()].reduce((sum, size) => sum + size, 0);
console.log(
  `\nfirst load of the desk: ${(bytes / 1000).toFixed(1)} kB of script, gzip, in ${scripts.size} files`,
);

// From the input event to the frame that shows the new tally.
await stage(desk, 'ground');
const latencies = (await desk.evaluate(`(async () => {
  const input = document.querySelector('[data-side] [data-quantity="ground.frost.local"]');
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const shown = () => document.querySelector('[data-figure=dig] [data-value]').textContent;
  const out = [];
  for (let i = 0; i < 80; i++) {
    const before = shown();
    const start = performance.now();
    set.call(input, (0.8 + (i % 40) / 50 + (i >= 40 ? 0.01 : 0)).toFixed(2));
    input.dispatchEvent(new Event('input', { bubbles: true }));
    await new Promise((done) => {
      const look = () => (shown() !== before || performance.now() - start > 2000 ? requestAnimationFrame(() => done()) : requestAnimationFrame(look));
      look();
    });
    out.push(performance.now() - start);
    await new Promise((done) => setTimeout(done, 30));
  }
  return out;
})()`)) as number[];
console.log('\nedit to tally, Honey house, in the browser');
row('typed frost depth', latencies.slice(5));
await browser.close();
await load(process.env.BASE_URL ?? '');
await stop();
