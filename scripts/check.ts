/**
 * What must hold before a change lands, side by side where one does not wait for another. By hand that is types, lint,
 * units and database with an eighth of the drawn cases, and the journeys (tagged in web/e2e); `all` adds what takes
 * long: every drawn case, every browser test, the days in other time zones, the budgets. CI runs `all`.
 * The last line counts what the runners ran.
 */
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildWhenStale } from './build.ts';
import { DATA, ROOT } from './postgres.ts';

const OUT = join(DATA, 'check');
rmSync(OUT, { recursive: true, force: true });
mkdirSync(OUT, { recursive: true });
const UNIT = join(OUT, 'unit.json');
const STORE = join(OUT, 'database.json');
const BROWSER = join(OUT, 'playwright.json');

const asked = process.argv.slice(2);
if (asked.some((word) => word !== 'all')) {
  console.error('usage: ./check [all]');
  process.exit(2);
}
const ALL = asked.includes('all');
/** Someone waits for this: long drawn tests draw an eighth, unless all are asked for. */
const DRAWN = process.env.DRAWN ?? (ALL ? 'all' : 'few');

/** Zones in which what has to do with days is tried again: one west of Greenwich, one far east of it. */
const ZONES = ['America/Santiago', 'Pacific/Auckland'] as const;
const DAYS = ['core/src/time', 'core/src/programme', 'core/src/compute/days', 'core/src/day', 'core/src/log'];
const zoneFile = (zone: string) => join(OUT, `unit-${zone.replace('/', '-')}.json`);

const began = Date.now();
const failures: string[] = [];
const seconds = (since: number) => ((Date.now() - since) / 1000).toFixed(1);

/** Runs a step; what it says is shown when it ends, so that steps side by side do not mix. */
function step(
  name: string,
  command: string,
  args: readonly string[],
  env: Record<string, string> = {},
): Promise<void> {
  const start = Date.now();
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, env: { ...process.env, ...env } });
    const said: Buffer[] = [];
    child.stdout.on('data', (chunk: Buffer) => said.push(chunk));
    child.stderr.on('data', (chunk: Buffer) => said.push(chunk));
    const end = (ok: boolean) => {
      console.log(`\n── ${name}\n${Buffer.concat(said).toString().trimEnd()}`);
      console.log(`── ${name}: ${ok ? 'ok' : 'FAILED'} (${seconds(start)} s)`);
      if (!ok) failures.push(name);
      done();
    };
    child.on('error', (error) => {
      said.push(Buffer.from(`${error.message}\n`));
      end(false);
    });
    child.on('close', (code) => end(code === 0));
  });
}

/** A script without what npm runs before it: the types of the routes are made once, below. */
const run = (name: string, script: string) =>
  step(name, 'npm', ['run', '--silent', '--ignore-scripts', script]);
const vitest = (
  name: string,
  project: string,
  file: string,
  env: Record<string, string> = {},
  folders: readonly string[] = [],
) =>
  step(
    name,
    'npx',
    [
      'vitest',
      'run',
      '--project',
      project,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${file}`,
      ...folders,
    ],
    { DRAWN, ...env },
  );

/** The build, and what needs it or its database. */
async function builds(): Promise<void> {
  const start = Date.now();
  try {
    const made = await buildWhenStale();
    console.log(`── build: ${made ? 'ok' : 'up to date'} (${seconds(start)} s)`);
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    failures.push('build');
    return;
  }
  await run('script of the desk', 'bytes');
  await vitest('database tests', 'database', STORE);
}

// Types of the routes are made once and first: lint and the compiler both read them, and a second making
// deletes them for a moment under whoever reads.
await step('types of the routes', 'npm', ['run', '--silent', 'typegen', '-w', 'web']);
await Promise.all([
  run('types', 'types'),
  run('lint', 'lint').then(() => run('share of tests', 'test:share')),
  builds(),
  vitest('unit tests', 'unit', UNIT),
]);
// Alone: beside others a browser waits, and draws and asks while it does, which takes longer than one
// after the other.
await step('browser tests', 'npx', ['playwright', 'test', ...(ALL ? [] : ['--grep', '@journey'])], {
  PLAYWRIGHT_JSON: BROWSER,
  DRAWN,
});
if (ALL) {
  for (const zone of ZONES)
    await vitest(`days in ${zone}`, 'unit', zoneFile(zone), { TZ: zone, DRAWN: 'few' }, DAYS);
  // Alone too: what is timed beside others is slower than it is.
  await step('budgets', 'npm', ['run', '--silent', 'bench', '--', '--budget']);
}

interface Counts {
  passed: number;
  failed: number;
  skipped: number;
}

/** Counts out of a runner's own report; one that is missing counts as one failure. */
function count(total: Counts, file: string, add: (report: never) => void): void {
  try {
    add(JSON.parse(readFileSync(file, 'utf8')) as never);
  } catch {
    total.failed += 1;
  }
}

function counts(): Counts {
  const total: Counts = { passed: 0, failed: 0, skipped: 0 };
  interface Vitest {
    readonly numPassedTests: number;
    readonly numFailedTests: number;
    readonly numPendingTests: number;
    readonly numFailedTestSuites: number;
  }
  for (const file of [UNIT, STORE, ...(ALL ? ZONES.map(zoneFile) : [])])
    count(total, file, (unit: Vitest) => {
      total.passed += unit.numPassedTests;
      // A suite that did not load has no tests to fail.
      total.failed += unit.numFailedTests || (unit.numFailedTestSuites > 0 ? unit.numFailedTestSuites : 0);
      total.skipped += unit.numPendingTests;
    });
  interface Playwright {
    readonly stats: { expected: number; unexpected: number; flaky: number; skipped: number };
  }
  count(total, BROWSER, ({ stats }: Playwright) => {
    total.passed += stats.expected + stats.flaky;
    total.failed += stats.unexpected;
    if (stats.flaky > 0)
      console.log(`${stats.flaky} browser tests passed only when tried again: see “flaky” above`);
    total.skipped += stats.skipped;
  });
  return total;
}

const { passed, failed, skipped } = counts();
if (!ALL)
  console.log(
    '\nLeft to ./check all, which CI runs: the other drawn cases, the browser tests that are no journey, days in other time zones, the budgets of speed.',
  );
console.log(`\n${seconds(began)} s in all.${failures.length > 0 ? ` Failed: ${failures.join(', ')}.` : ''}`);
console.log(`${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ''}`);
process.exitCode = failures.length > 0 || failed > 0 || passed === 0 ? 1 : 0;
