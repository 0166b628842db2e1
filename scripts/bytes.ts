/**
 * How much script the desk loads before it stands, gzip: what the page itself asks for, with the words
 * of one language. Fails over the budget, so that it cannot slip unseen.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT } from './postgres.ts';

/** kB of script, gzip. */
const BUDGET = 350;
const CLIENT = join(ROOT, 'web/build/client');

interface Entry {
  readonly module: string;
  readonly imports: readonly string[];
}
interface Manifest {
  readonly entry: Entry;
  readonly routes: Readonly<Record<string, Entry>>;
}

const files = readdirSync(join(CLIENT, 'assets'));
const one = (pattern: RegExp): string => {
  const found = files.find((file) => pattern.test(file));
  if (!found) throw new Error(`No ${pattern} in the build.`);
  return found;
};
const text = readFileSync(join(CLIENT, 'assets', one(/^manifest-.*\.js$/)), 'utf8');
const manifest = JSON.parse(text.slice(text.indexOf('{'), text.lastIndexOf('}') + 1)) as Manifest;
const asked = new Set<string>();
/** A file and what it imports without being asked. */
const take = (path: string): void => {
  const file = path.replace(/^.*\//, '');
  if (asked.has(file)) return;
  asked.add(file);
  const script = readFileSync(join(CLIENT, 'assets', file), 'utf8');
  for (const [, next] of script.matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)) take(next!);
};
const { entry, routes } = manifest;
for (const { module, imports } of [entry, routes.root!, routes['routes/job']!])
  for (const path of [module, ...imports]) take(path);
take(one(/^esFirst-.*\.js$/));

const sizes = [...asked]
  .map((file) => [file, gzipSync(readFileSync(join(CLIENT, 'assets', file))).length / 1000] as const)
  .sort((p, q) => q[1] - p[1]);
const total = sizes.reduce((sum, [, size]) => sum + size, 0);
for (const [file, size] of sizes.slice(0, 8)) console.log(`${size.toFixed(1).padStart(8)} kB  ${file}`);
console.log(`${total.toFixed(1)} kB of script, gzip, in ${sizes.length} files; at most ${BUDGET}`);
if (total > BUDGET) process.exitCode = 1;
