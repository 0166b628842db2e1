/**
 * Looks words up in the pages: heads by points, values in double braces, one and other by the language’s own rule.
 * On the server and on paper i18next does; in a page that must open without signal it is a tenth of the script. A
 * test holds the two to saying the same of every message there is.
 */
import type { Say } from './keys.ts';
import { mergeInto, type Words } from './merged.ts';

export interface Plain {
  readonly say: Say;
  /** Puts more words with those that are there. */
  add(words: object): void;
}

/** What stands under some heads; a head may have a point in its name. */
function textAt(tree: Words, heads: readonly string[]): string | null {
  for (let n = 1; n <= heads.length; n++) {
    const at = tree[heads.slice(0, n).join('.')];
    if (typeof at === 'string' && n === heads.length) return at;
    const below = typeof at === 'object' ? textAt(at, heads.slice(n)) : null;
    if (below !== null) return below;
  }
  return null;
}

export function plainWords(lang: string): Plain {
  const tree: Record<string, string | Words> = {};
  const plural = new Intl.PluralRules(lang);
  /** What was found, by key: a desk asks for hundreds at every edit. */
  const known = new Map<string, string | null>();
  const found = (key: string): string | null => {
    const before = known.get(key);
    if (before !== undefined) return before;
    const text = walk(key);
    known.set(key, text);
    return text;
  };
  const walk = (key: string): string | null => textAt(tree, key.split('.'));
  /** None has words of its own where somebody wrote them. */
  const counted = (key: string, count: number) =>
    (count === 0 ? found(`${key}_zero`) : null) ??
    found(`${key}_${plural.select(count)}`) ??
    found(`${key}_other`);
  const say: Say = (key, values = {}) => {
    const { count } = values;
    const text = typeof count === 'number' ? (counted(key, count) ?? found(key)) : found(key);
    if (text === null) return key;
    if (!text.includes('{{')) return text;
    return text.replace(/\{\{\s*(\w+)\s*\}\}/g, (_all, name: string) => {
      const value = values[name];
      return value === undefined || value === null ? '' : String(value);
    });
  };
  return {
    say,
    add: (words) => {
      mergeInto(tree, words as Words);
      known.clear();
    },
  };
}
