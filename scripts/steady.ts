/**
 * Every browser test again and again on a slow page, none tried a second time: whatever passes here has waited for what
 * it needs. Arguments go on to the runner (`npm run steady -- levels`), so part of them can be asked for; `TIMES` and
 * `SLOW` say how often and how slow, five times and four times unless said.
 */
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DATA, ROOT } from './postgres.ts';

const { TIMES = '5', SLOW = '4', WORKERS = '4' } = process.env;
const report = join(DATA, 'steady.json');
const ran = spawnSync(
  'npx',
  [
    'playwright',
    'test',
    `--repeat-each=${TIMES}`,
    `--workers=${WORKERS}`,
    '--retries=0',
    ...process.argv.slice(2),
  ],
  { cwd: ROOT, stdio: 'inherit', env: { ...process.env, SLOW, PLAYWRIGHT_JSON: report } },
);

interface Suite {
  readonly specs?: readonly { readonly title: string; readonly file: string; readonly ok: boolean }[];
  readonly suites?: readonly Suite[];
}
const specsOf = (suite: Suite): NonNullable<Suite['specs']> => [
  ...(suite.specs ?? []),
  ...(suite.suites ?? []).flatMap(specsOf),
];
const failed = new Map<string, number>();
for (const { title, file, ok } of specsOf(JSON.parse(readFileSync(report, 'utf8')) as Suite))
  if (!ok) failed.set(`${file} › ${title}`, (failed.get(`${file} › ${title}`) ?? 0) + 1);
for (const [name, times] of failed) console.log(`${name}: failed ${times} of ${TIMES}`);
console.log(failed.size === 0 ? 'steady: none failed' : `steady: ${failed.size} tests failed at least once`);
process.exitCode = ran.status === 0 ? 0 : 1;
