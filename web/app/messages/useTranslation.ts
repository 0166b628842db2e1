/**
 * The words of this page, as react-i18next gives them but without its work at every call: the
 * language of a page never changes under it, so there is nothing to watch, and a key without values
 * is looked up once.
 */
import type { i18n } from 'i18next';
import { useContext } from 'react';
import { I18nContext } from 'react-i18next';
import type { Say } from './keys.ts';

const known = new WeakMap<i18n, Say>();

/** The words of an instance, remembered by key where no values go in. */
export function wordsOf(instance: i18n): Say {
  const before = known.get(instance);
  if (before) return before;
  const words = new Map<string, string>();
  const t = ((key: string, values?: Record<string, unknown>) => {
    if (values !== undefined) return instance.t(key, values);
    let found = words.get(key);
    if (found === undefined) {
      found = instance.t(key);
      words.set(key, found);
    }
    return found;
  }) satisfies Say;
  known.set(instance, t);
  return t;
}

export function useTranslation(): { readonly t: Say } {
  const instance = useContext(I18nContext)?.i18n;
  if (!instance) throw new Error('useTranslation needs an I18nextProvider above it.');
  return { t: wordsOf(instance) };
}
