/**
 * Words. One i18next instance a language and country: nothing in it is a request's own, since its language
 * never changes once it is made.
 */
import { type Lang, tongueOf } from '@cimiento/core';
import { createInstance, type i18n } from 'i18next';
import type { Messages } from './en.ts';
import type { Say } from './keys.ts';
import { loaded } from './load.ts';

const whole = new Map<Lang, Promise<Messages>>();

/** The whole of a language, for the server. */
export function loadMessages(lang: Lang): Promise<Messages> {
  const known = whole.get(lang);
  if (known) return known;
  const words: Promise<Messages> =
    tongueOf(lang) === 'es' ? import('./es.ts').then((m) => m.es) : import('./en.ts').then((m) => m.en);
  const made = loaded(lang, words);
  whole.set(lang, made);
  return made;
}

const made = new Map<Lang, i18n>();

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

export function makeI18n(lang: Lang, messages: Messages): i18n {
  const before = made.get(lang);
  if (before) return before;
  const instance = createInstance();
  made.set(lang, instance);
  void instance.init({
    lng: lang,
    // One lookup: a country has all its words, and asks no other.
    load: 'currentOnly',
    resources: { [lang]: { translation: messages } },
    initAsync: false,
    interpolation: { escapeValue: false },
    returnNull: false,
  });
  return instance;
}
