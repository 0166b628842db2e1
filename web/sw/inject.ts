/** Writes into the built service worker what it keeps: every script, style and font of this build, and the shell. */
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { injectManifest } from 'workbox-build';

const CLIENT = join(import.meta.dirname, '../build/client');
const SW = join(CLIENT, 'sw.js');
/** Larger ones are no part of a page, bytes. */
const LARGEST = 4_000_000;

const files = await readFile(join(import.meta.dirname, '../build/server/index.js'), 'utf8');
const program = /"?version"?\s*:\s*"([0-9a-f]{6,})"/.exec(files)?.[1];
if (!program) throw new Error('The build tells no version.');
const script = await readFile(SW, 'utf8');
await writeFile(SW, script.replaceAll('__PROGRAM__', JSON.stringify(program)));
const { count, size, warnings } = await injectManifest({
  swSrc: SW,
  swDest: SW,
  globDirectory: CLIENT,
  globPatterns: ['assets/**/*.{js,css,woff2}', '*.{svg,png,webmanifest}'],
  maximumFileSizeToCacheInBytes: LARGEST,
  // Built files have their own hash in their name.
  dontCacheBustURLsMatching: /^assets\//,
  additionalManifestEntries: [{ url: '/hole', revision: program }],
});
for (const warning of warnings) console.warn(warning);
console.log(`service worker: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
