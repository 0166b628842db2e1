/** Everything that must hold before a change lands. The last line counts what the runners ran. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildWhenStale } from './build.ts';
import { DATA, ROOT } from './postgres.ts';

const OUT = join(DATA, 'check');
rmSync(OUT, { recursive: true, force: true });
mkdirSync(OUT, { recursive: true });
const UNIT = join(OUT, 'vitest.json');
const BROWSER = join(OUT, 'playwright.json');

const began = Date.now();
const failures: string[] = [];

function step(
  name: string,
  command: string,
  args: readonly string[],
  env: Record<string, string> = {},
): void {
  const start = Date.now();
  console.log(`\n── ${name}`);
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  console.log(
    `── ${name}: ${done.status === 0 ? 'ok' : 'FAILED'} (${((Date.now() - start) / 1000).toFixed(1)} s)`,
  );
  if (done.status !== 0) failures.push(name);
}

const run = (name: string, script: string) => step(name, 'npm', ['run', '--silent', script]);

run('lint', 'lint');
run('types', 'types');
run('share of tests', 'test:share');
console.log('\n── build');
try {
  console.log(buildWhenStale() ? '── build: ok' : '── build: up to date');
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  failures.push('build');
}
step('unit and database tests', 'npx', [
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${UNIT}`,
]);
step('browser tests', 'npx', ['playwright', 'test'], { PLAYWRIGHT_JSON: BROWSER });

/** Counts out of the runners' own reports; a report that is missing counts as one failure. */
function counts(): { passed: number; failed: number; skipped: number } {
  const total = { passed: 0, failed: 0, skipped: 0 };
  try {
    const unit = JSON.parse(readFileSync(UNIT, 'utf8')) as {
      numPassedTests: number;
      numFailedTests: number;
      numPendingTests: number;
      numFailedTestSuites: number;
    };
    total.passed += unit.numPassedTests;
    // A suite that did not load has no tests to fail.
    total.failed += unit.numFailedTests || (unit.numFailedTestSuites > 0 ? unit.numFailedTestSuites : 0);
    total.skipped += unit.numPendingTests;
  } catch {
    total.failed += 1;
  }
  try {
    const { stats } = JSON.parse(readFileSync(BROWSER, 'utf8')) as {
      stats: { expected: number; unexpected: number; flaky: number; skipped: number };
    };
    total.passed += stats.expected + stats.flaky;
    total.failed += stats.unexpected;
    if (stats.flaky > 0)
      console.log(`${stats.flaky} browser tests passed only when tried again: see “flaky” above`);
    total.skipped += stats.skipped;
  } catch {
    total.failed += 1;
  }
  return total;
}

const { passed, failed, skipped } = counts();
console.log(
  `\n${((Date.now() - began) / 1000).toFixed(0)} s in all.${failures.length > 0 ? ` Failed: ${failures.join(', ')}.` : ''}`,
);
console.log(`${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ''}`);
process.exitCode = failures.length > 0 || failed > 0 || passed === 0 ? 1 : 0;
