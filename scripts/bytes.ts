/**
 * How much script the desk, and the hole, load before they stand, gzip: what the page itself asks for, with the
 * words of one language. Fails over a budget, so that it cannot slip unseen.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT } from './postgres.ts';

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
/** A page's first script: what it asks for itself, with the words it starts with. */
const { entry, routes } = manifest;
function firstOf(route: string, words: readonly RegExp[]): Set<string> {
  const asked = new Set<string>();
  const take = (path: string): void => {
    const file = path.replace(/^.*\//, '');
    if (asked.has(file)) return;
    asked.add(file);
    const script = readFileSync(join(CLIENT, 'assets', file), 'utf8');
    for (const [, next] of script.matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)) take(next!);
  };
  for (const { module, imports } of [entry, routes.root!, routes[route]!])
    for (const path of [module, ...imports]) take(path);
  for (const pattern of words) take(one(pattern));
  return asked;
}

/** Pages that count, and kB of script each may take, gzip. */
const PAGES = [
  { name: 'desk', files: firstOf('routes/job', [/^esFirst-.*\.js$/]), budget: 350 },
  { name: 'hole', files: firstOf('routes/hole', [/^esHole-.*\.js$/]), budget: 180 },
];
for (const { name, files: asked, budget } of PAGES) {
  const sizes = [...asked]
    .map((file) => [file, gzipSync(readFileSync(join(CLIENT, 'assets', file))).length / 1000] as const)
    .sort((p, q) => q[1] - p[1]);
  const total = sizes.reduce((sum, [, size]) => sum + size, 0);
  const shown = process.argv.includes('--all') ? sizes : sizes.slice(0, 8);
  for (const [file, size] of shown) console.log(`${size.toFixed(1).padStart(8)} kB  ${file}`);
  console.log(`${name}: ${total.toFixed(1)} kB of script, gzip, in ${sizes.length} files; at most ${budget}`);
  if (total > budget) process.exitCode = 1;
}
