/** What share of the code lines are tests: wanted 25–33 %, refused outside 20–38 %. */
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './postgres.ts';

const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard', '*.ts', '*.tsx'], {
  cwd: ROOT,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => file && existsSync(join(ROOT, file)));

/** Lines that hold code: neither blank nor all comment. */
const lines = (file: string) =>
  readFileSync(join(ROOT, file), 'utf8')
    .split('\n')
    .filter((line) => !/^\s*(\/\/|\*|\/\*|$)/.test(line)).length;

const isTest = (file: string) => /\.(test|spec)\.tsx?$|\/e2e\/|\/testing\.ts$|\/test-[a-z]+\.ts$/.test(file);
const sum = (list: readonly string[]) => list.reduce((total, file) => total + lines(file), 0);
const tests = sum(files.filter(isTest));
const code = sum(files.filter((file) => !isTest(file)));
const share = tests / (tests + code);
console.log(
  `tests are ${(100 * share).toFixed(1)} % of ${tests + code} code lines (${tests} of tests, ${code} of code)`,
);
if (share < 0.2 || share > 0.38) {
  console.error('outside 20–38 %');
  process.exitCode = 1;
}
