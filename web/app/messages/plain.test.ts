/** What a page says is what the server says: every message, with every value it asks for, one and many. */
import { LANGS } from '@cimiento/core';
import { expect, it } from 'vitest';
import { loadMessages, makeI18n, wordsOf } from './i18n.ts';
import { coded } from './keys.ts';
import { plainWords } from './plain.ts';

type Tree = { readonly [key: string]: string | Tree };
const flat = (words: Tree, head = ''): [string, string][] =>
  Object.entries(words).flatMap(([key, value]) =>
    typeof value === 'string' ? [[head + key, value] as [string, string]] : flat(value, `${head}${key}.`),
  );

it.each(LANGS)('%s', async (lang) => {
  const messages = await loadMessages(lang);
  const server = wordsOf(makeI18n(lang, messages));
  const { say, add } = plainWords(lang);
  // In parts, as a page gets them.
  const heads = Object.entries(messages as unknown as Tree);
  add(Object.fromEntries(heads.slice(0, 9)));
  add(Object.fromEntries(heads.slice(9)));
  for (const [key, text] of flat(messages as unknown as Tree)) {
    const names = [...text.matchAll(/\{\{\s*(\w+)\s*\}\}/g)].map(([, name]) => name!);
    const values = Object.fromEntries(
      names.map((name, i) => [name, i % 2 > 0 ? 7 + i : `${name} <&> {{x}} $1`]),
    );
    const stem = coded(key.replace(/_(?:zero|one|other)$/, ''));
    for (const count of [0, 1, 2, 5, 1.5]) {
      const asked = names.includes('count') || stem !== key ? { ...values, count } : values;
      expect(say(stem, asked), `${key} of ${count}`).toBe(server(stem, asked));
    }
    if (names.length === 0 && stem === key) expect(say(stem)).toBe(server(stem));
  }
  expect(say(coded('no.such.key'))).toBe(server(coded('no.such.key')));
});
