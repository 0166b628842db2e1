/**
 * What desk and board say before anything else is fetched has its words from the start: a key whose words
 * come later shows as a key ("sheet.side.bays") until they do.
 */
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { expect, it } from 'vitest';
import { enBoard } from './enBoard.ts';
import { enFirst } from './enFirst.ts';
import { merged } from './merged.ts';

const APP = join(import.meta.dirname, '..');

/** Modules that come with a page: what it imports without being asked, and what that does. */
function withPage(entry: string, found = new Set<string>()): Set<string> {
  if (found.has(entry) || !existsSync(entry)) return found;
  found.add(entry);
  const text = readFileSync(entry, 'utf8');
  for (const [, names, from] of text.matchAll(/import\s+(?!type\b)([^'"]*?)from\s+'(\.[^']+)'/g)) {
    // Only what is more than types is fetched.
    const values = (names ?? '')
      .replace(/[{}\s]/g, ' ')
      .split(',')
      .some((name) => !/^\s*(type\s.*)?$/.test(name));
    if (values) withPage(join(dirname(entry), from!), found);
  }
  return found;
}

const PAGES = { 'routes/job.tsx': enFirst, 'routes/jobs.tsx': merged(enFirst, enBoard, {}) } as const;
const found = (words: object, path: string): unknown =>
  path.split('.').reduce<unknown>((node, key) => (node as Record<string, unknown> | undefined)?.[key], words);

it.each(Object.entries(PAGES))('%s says nothing whose words come later', (page, words) => {
  const at = (path: string) => found(words, path);
  const plural = (key: string): boolean => at(key) !== undefined || at(`${key}_other`) !== undefined;
  const modules = [...withPage(join(APP, page))].filter((file) => !/messages\/|\.server\./.test(file));
  expect(modules.length).toBeGreaterThan(20);
  const missing: string[] = [];
  for (const file of modules) {
    const text = readFileSync(file, 'utf8');
    for (const [, key] of text.matchAll(/\bt\(\s*'([a-zA-Z]+(?:\.[\w.]+)+)'/g))
      if (!plural(key!)) missing.push(`${relative(APP, file)}: ${key}`);
    // Of a key made of parts what comes before the first of them must be there.
    for (const [, head] of text.matchAll(/\bt\(\s*(?:coded\()?`([a-zA-Z]+(?:\.\w+)*)\.\$\{/g))
      if (at(head!) === undefined) missing.push(`${relative(APP, file)}: ${head}.…`);
  }
  expect(missing).toEqual([]);
});
