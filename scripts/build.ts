/** Builds the web application when its sources changed since the last build. */
import { execFile } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { ROOT } from './postgres.ts';

const SOURCES = ['core', 'formats', 'simulators', 'web', 'package-lock.json'];
const STAMP = join(ROOT, 'web/build/.stamp');
/** What is tested with is no part of what is built. */
const TESTS = /\.test\.tsx?$|^testing\.ts$/;
/** What a build may say, bytes. */
const MOST_SAID = 10_000_000;

function* filesOf(path: string): Generator<string> {
  if (!statSync(path).isDirectory()) yield path;
  else
    for (const name of readdirSync(path).sort())
      if (!['node_modules', 'build', '.react-router', 'e2e'].includes(name) && !TESTS.test(name))
        yield* filesOf(join(path, name));
}

function fingerprint(): string {
  const hash = createHash('sha256');
  for (const source of SOURCES)
    for (const file of filesOf(join(ROOT, source)))
      hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Builds when need be, beside whatever else runs; whether it did. Throws with the build's own words when it fails. */
export async function buildWhenStale(): Promise<boolean> {
  const now = fingerprint();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === now) return false;
  const env: NodeJS.ProcessEnv = { ...process.env, NODE_ENV: 'production' };
  await promisify(execFile)('npm', ['run', '--silent', 'build'], {
    cwd: ROOT,
    env,
    maxBuffer: MOST_SAID,
  }).catch(({ stdout, stderr }: { stdout: string; stderr: string }) => {
    throw new Error(`The build failed:\n${stdout}\n${stderr}`);
  });
  writeFileSync(STAMP, now);
  return true;
}
